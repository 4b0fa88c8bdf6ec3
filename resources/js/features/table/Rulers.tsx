import type { Piece, Sized } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { marksOf, ticksOf, type View } from './geometry'

const TICK_PX = [5, 8, 11, 16] as const
const GAP_PX = 8
const LABEL_PX = 58

/** A ruler's own numbers keep this far from a setting marked on it. */
const CLEAR_PX = { top: 34, left: 24 }

interface RulersProps {
  view: View
  design: Sized
  piece: Piece
  lit: number[]
  onLight: (measures: number[]) => void
}

/** Rulers along the top and the left, read from the tool's zero, with the settings marked on them. */
export function Rulers({ view, design, piece, lit, onLight }: RulersProps) {
  const [x0, y0] = view.zero
  const top = ticksOf(view.reach[0], design.system, view.scale)
  const left = ticksOf(view.reach[1], design.system, view.scale)
  const marks = marksOf(piece)
  const isHidden = (ruler: 'top' | 'left', at: number) =>
    marks.some((mark) => mark.ruler === ruler && Math.abs(mark.at - at) * view.scale < CLEAR_PX[ruler])
  const baseX = x0 - GAP_PX
  const baseY = y0 - GAP_PX

  return (
    <g>
      <g aria-hidden="true" className="stroke-soft fill-soft" strokeWidth="1">
        <line x1={x0} x2={x0 + view.reach[0] * view.scale} y1={baseY} y2={baseY} />
        {top.map(({ at, size, label }) => {
          const x = x0 + at * view.scale
          return (
            <g key={at}>
              <line x1={x} x2={x} y1={baseY} y2={baseY - TICK_PX[size]} />
              {label && !isHidden('top', at) && (
                <text x={x} y={baseY - 20} textAnchor="middle" stroke="none" className="text-[13px]">
                  {label}
                </text>
              )}
            </g>
          )
        })}
        <line y1={y0} y2={y0 + view.reach[1] * view.scale} x1={baseX} x2={baseX} />
        {left.map(({ at, size, label }) => {
          const y = y0 + at * view.scale
          return (
            <g key={at}>
              <line y1={y} y2={y} x1={baseX} x2={baseX - TICK_PX[size]} />
              {label && !isHidden('left', at) && (
                <text
                  x={baseX - 20}
                  y={y}
                  textAnchor="end"
                  dominantBaseline="central"
                  stroke="none"
                  className="text-[13px]"
                >
                  {label}
                </text>
              )}
            </g>
          )
        })}
      </g>
      {marks.map(({ measure, ruler, at, from }, i) => {
        const isLit = lit.includes(measure)
        const near = marks
          .slice(0, i)
          .filter((other) => other.ruler === ruler && Math.abs(other.at - at) * view.scale < CLEAR_PX[ruler])
        const isLabelled = near.length === 0 || (isLit && !near.some((other) => lit.includes(other.measure)))
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
            className="cursor-pointer"
          >
            <polygon points={pointer} className={isLit ? 'fill-ink' : 'fill-live'} />
            {isLabelled && (
              <foreignObject
                x={ruler === 'top' ? x - 60 : x - 14 - LABEL_PX}
                y={ruler === 'top' ? y - 39 : y - 14}
                width={ruler === 'top' ? 120 : LABEL_PX}
                height="28"
              >
                <div className={`flex h-full items-center ${ruler === 'top' ? 'justify-center' : 'justify-end'}`}>
                  <span className={`text-[17px] font-semibold ${isLit ? 'text-ink' : 'text-live'}`}>
                    {from === 'bottom' && '↑ '}
                    <Figure text={piece.measures[measure]?.text ?? ''} unit={false} />
                    {from === 'right' && ' ←'}
                    {from && <span className="sr-only">{words(`sheet.aside.${from}`)}</span>}
                  </span>
                </div>
              </foreignObject>
            )}
          </g>
        )
      })}
    </g>
  )
}
