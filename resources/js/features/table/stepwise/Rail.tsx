import type { Piece, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import type { XY } from '../drawing/geometry'
import type { OnTool } from './lying'

const RAIL_PX = 12
const PAST_PX = 18
const TICK_PX = 8

interface RailProps {
  piece: Piece
  step: Step
  lies: OnTool
}

/** Where a slanted cut's two marks are on the picture: the point that lies on the rail, and the corner beside it. */
function marksOf({ piece, step, lies }: RailProps) {
  const measure = piece.measures[step.measures[0] ?? -1]
  const [onRail] = (step.lying.line ?? []) as unknown as XY[]
  if (!measure?.corner || !onRail) return null
  return { measure, rail: lies.at(onRail), corner: lies.at(measure.corner as unknown as XY) }
}

/** The trimmer's rail along the cut, what lies on it, and how far off the corner is. */
export function Rail(props: RailProps) {
  const marks = marksOf(props)
  if (!marks) return null
  const { lies } = props
  const [[x, y], [cornerX, cornerY]] = [marks.rail, marks.corner]
  return (
    <>
      <rect
        x={x + 3}
        y={lies.top - PAST_PX}
        width={RAIL_PX}
        height={lies.height + 2 * PAST_PX}
        rx="3"
        className="fill-soft"
        opacity="0.55"
      />
      <path
        d={`M${cornerX} ${cornerY}H${x}M${cornerX} ${cornerY - TICK_PX}v${2 * TICK_PX}`}
        className="fill-none stroke-live"
        strokeWidth="2"
      />
      <circle cx={x} cy={y} r="8" className="fill-live stroke-panel" strokeWidth="2.5" />
    </>
  )
}

/** The reading between the corner and the rail. */
export function RailReading(props: RailProps) {
  const marks = marksOf(props)
  if (!marks) return null
  const [[x], [cornerX, cornerY]] = [marks.rail, marks.corner]
  return (
    <span
      className="pointer-events-none absolute mt-2 -translate-x-1/2 rounded-lg bg-panel/85 px-1 text-3xl font-semibold whitespace-nowrap text-live"
      style={{ left: (x + cornerX) / 2, top: cornerY }}
      aria-hidden="true"
    >
      <Figure text={marks.measure.text} />
    </span>
  )
}
