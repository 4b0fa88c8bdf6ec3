import { ticksOf } from '../drawing/geometry'
import type { OnTool } from './lying'

/** How thick the fence is drawn, and how much room its ruler and reading take above it, in pixels. */
export const FENCE_PX = 18
export const RULER_PX = 64

const TICK_PX = [5, 8, 11, 16]

interface FenceProps {
  lies: OnTool
  system: 'imperial' | 'metric'
  /** A board has a fence on the left as well; a punch has none. */
  hasSide: boolean
  isFromRight: boolean
}

/** What the sheet lies against, with the ruler it is read on. */
export function Fence({ lies, system, hasSide, isFromRight }: FenceProps) {
  const ruler = lies.top - FENCE_PX - 5
  const ticks = ticksOf(lies.width / lies.scale, system, lies.scale)
  return (
    <g>
      {hasSide && (
        <rect
          x={lies.left - FENCE_PX - 4}
          y={lies.top - FENCE_PX}
          width={FENCE_PX}
          height={lies.height + FENCE_PX}
          rx="3"
          className="fill-soft"
        />
      )}
      <rect
        x={lies.left - FENCE_PX - 4}
        y={lies.top - FENCE_PX - 4}
        width={lies.width + FENCE_PX + 14}
        height={FENCE_PX}
        rx="3"
        className="fill-soft"
      />
      <g className="stroke-soft" strokeWidth="1.2">
        {ticks.map(({ at, size }) => {
          const x = readingAt(lies, at, isFromRight)
          return <line key={at} x1={x} x2={x} y1={ruler} y2={ruler - (TICK_PX[size] ?? 0)} />
        })}
      </g>
      <g className="fill-panel text-[0.9rem]" textAnchor="middle">
        {ticks.map(({ at, label }) => {
          const x = readingAt(lies, at, isFromRight)
          return (
            label !== undefined && (
              <text key={at} x={x} y={lies.top - 8}>
                {label}
              </text>
            )
          )
        })}
      </g>
    </g>
  )
}

/** Where the ruler says so many millimetres, in pixels. */
export function readingAt(lies: OnTool, at: number, isFromRight: boolean): number {
  return isFromRight ? lies.left + lies.width - at * lies.scale : lies.left + at * lies.scale
}
