import type { Piece, Sized } from '@/api/client'
import { marksOf, ticksOf, type View } from './geometry'
import { dimensionsOf, DIMENSION_PX, RULER_GAP_PX } from './labelsOf'

const TICK_PX = [5, 8, 11, 16] as const

interface RulersProps {
  view: View
  design: Sized
  piece: Piece
  lit: number[]
  onLight: (measures: number[]) => void
}

/** Rulers along the top and the left, read from the tool's zero, with the settings marked on them; dimension lines on the other sides. */
export function Rulers({ view, design, piece, lit, onLight }: RulersProps) {
  const [x0, y0] = view.zero
  const [baseX, baseY] = [x0 - RULER_GAP_PX, y0 - RULER_GAP_PX]
  return (
    <g>
      <g aria-hidden="true" className="stroke-soft" strokeWidth="1" data-layer="rulers">
        <line x1={x0} x2={x0 + view.reach[0] * view.scale} y1={baseY} y2={baseY} />
        {ticksOf(view.reach[0], design.system, view.scale).map(({ at, size }) => {
          const x = x0 + at * view.scale
          return <line key={at} x1={x} x2={x} y1={baseY} y2={baseY - TICK_PX[size]} />
        })}
        <line y1={y0} y2={y0 + view.reach[1] * view.scale} x1={baseX} x2={baseX} />
        {ticksOf(view.reach[1], design.system, view.scale).map(({ at, size }) => {
          const y = y0 + at * view.scale
          return <line key={at} y1={y} y2={y} x1={baseX} x2={baseX - TICK_PX[size]} />
        })}
        {dimensionsOf(piece, view).map(({ from, to, out }, i) => {
          const off = (p: readonly [number, number], by: number) => [p[0] + out[0] * by, p[1] + out[1] * by] as const
          const [a, b] = [off(from, DIMENSION_PX - 4), off(to, DIMENSION_PX - 4)]
          return (
            <g key={i} data-layer="dimension">
              <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
              {[from, to].map((end, j) => {
                const [near, far] = [off(end, DIMENSION_PX - 9), off(end, DIMENSION_PX + 1)]
                return <line key={j} x1={near[0]} y1={near[1]} x2={far[0]} y2={far[1]} />
              })}
            </g>
          )
        })}
      </g>
      {marksOf(piece).map(({ measure, ruler, at }) => {
        const [x, y] = ruler === 'top' ? [x0 + at * view.scale, baseY] : [baseX, y0 + at * view.scale]
        const pointer =
          ruler === 'top'
            ? `${x - 7},${y - 12} ${x + 7},${y - 12} ${x},${y + 3}`
            : `${x - 12},${y - 7} ${x - 12},${y + 7} ${x + 3},${y}`
        return (
          <g
            key={measure}
            onPointerEnter={() => onLight([measure])}
            onPointerLeave={() => onLight([])}
            onClick={() => onLight([measure])}
            className="cursor-pointer"
          >
            <circle cx={x} cy={y - 4} r="16" fill="transparent" />
            <polygon points={pointer} className={lit.includes(measure) ? 'fill-ink' : 'fill-live'} />
          </g>
        )
      })}
    </g>
  )
}
