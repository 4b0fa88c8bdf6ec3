import type { Piece, Sized, Step } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { useSize } from '@/ui/useSize'
import { words } from '@/words'
import { Fence, FENCE_PX, readingAt, RULER_PX } from './Fence'
import { LyingSheet } from './LyingSheet'
import { onTool, type OnTool } from './lying'
import { Rail, RailReading } from './Rail'

interface ToolPictureProps {
  design: Sized
  piece: Piece
  step: Step
}

/** The sheet as it lies on the tool now: fence and ruler, what was set before in grey, what is set now in full. */
export function ToolPicture({ design, piece, step }: ToolPictureProps) {
  const [ref, size] = useSize<HTMLDivElement>()
  const measure = piece.measures[step.measures[0] ?? -1]
  const isBoard = step.do === 'score' || step.do === 'punch'
  const isCut = step.do === 'cut'
  const lies = onTool(piece, step.lying.turn, measure?.standoff ?? 0, {
    left: (isBoard ? FENCE_PX : 4) + 30,
    top: RULER_PX + FENCE_PX,
    width: Math.max(10, size.width - FENCE_PX - (isCut ? 150 : 70)),
    height: Math.max(10, size.height - RULER_PX - FENCE_PX - (isCut || measure?.groove ? 60 : 24)),
  })
  const isFromRight = step.do === 'punch' && measure?.from === 'right'
  const mark = measure && isBoard ? readingAt(lies, measure.at, isFromRight) : null
  // Corner up, the sheet's other two corners lie on a groove of their own.
  const groove = measure?.groove && isBoard && size.width > 0 ? readingAt(lies, measure.groove.at, false) : null
  return (
    <div
      ref={ref}
      className="relative h-full min-h-0"
      role="img"
      aria-label={words('work.picture', { piece: piece.id })}
    >
      {size.width > 0 && (
        <svg width={size.width} height={size.height} className="absolute inset-0" aria-hidden="true">
          {isBoard && (
            <Fence
              lies={lies}
              system={!measure ? design.system : measure.scale.unit === 'in' ? 'imperial' : 'metric'}
              hasSide={step.do === 'score'}
              isFromRight={isFromRight}
            />
          )}
          <LyingSheet design={design} piece={piece} step={step} lies={lies} />
          {step.do === 'slant' && <Rail piece={piece} step={step} lies={lies} />}
          {groove !== null && (
            <line
              x1={groove}
              x2={groove}
              y1={lies.top - FENCE_PX}
              y2={lies.top + lies.height}
              className="stroke-soft"
              strokeWidth="2"
              strokeDasharray="2 6"
              strokeLinecap="round"
            />
          )}
          {mark !== null && <Mark at={mark} top={lies.top} isPunch={step.do === 'punch'} />}
        </svg>
      )}
      {size.width > 0 && step.do === 'slant' && <RailReading piece={piece} step={step} lies={lies} />}
      {groove !== null && measure?.groove && (
        <span
          className="pointer-events-none absolute -translate-x-1/2 text-xl whitespace-nowrap text-soft"
          style={{ left: groove, top: lies.top + lies.height + 6 }}
          aria-hidden="true"
        >
          <Figure text={measure.groove.text} />
        </span>
      )}
      {size.width > 0 && isCut && <SheetSize piece={piece} lies={lies} />}
      {mark !== null && measure && (
        <span
          className="pointer-events-none absolute top-0 -translate-x-1/2 text-3xl font-semibold text-live"
          style={{ left: Math.max(60, Math.min(mark, size.width - 60)) }}
          aria-hidden="true"
        >
          {isFromRight ? '← ' : ''}
          <Figure text={measure.text} />
        </span>
      )}
    </div>
  )
}

/** Where the ruler is read, and the notch a punch takes out there. */
function Mark({ at, top, isPunch }: { at: number; top: number; isPunch: boolean }) {
  const ruler = top - FENCE_PX
  return (
    <>
      {isPunch && (
        <path
          d={`M${at - 12} ${top} L${at} ${top + 14} L${at + 12} ${top}`}
          className="fill-table stroke-live"
          strokeWidth="3.5"
        />
      )}
      <polygon points={`${at - 10},${ruler - 22} ${at + 10},${ruler - 22} ${at},${ruler - 4}`} className="fill-live" />
    </>
  )
}

/** Which side of the sheet is how long. */
function SheetSize({ piece, lies }: { piece: Piece; lies: OnTool }) {
  const { width, height } = piece.sheet.text
  const label = 'pointer-events-none absolute text-3xl font-semibold whitespace-nowrap text-live'
  return (
    <div aria-hidden="true">
      <span
        className={`${label} -translate-x-1/2`}
        style={{ left: lies.left + lies.width / 2, top: lies.top + lies.height + 10 }}
      >
        <Figure text={width} />
      </span>
      <span
        className={`${label} -translate-y-1/2`}
        style={{ left: lies.left + lies.width + 14, top: lies.top + lies.height / 2 }}
      >
        <Figure text={height} />
      </span>
    </div>
  )
}
