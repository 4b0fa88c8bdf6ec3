import type { Piece, Sized } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { path, type XY } from './geometry'

/** What it looks like folded, seen from the side of its flaps, upright. */
export function Closed({ design, piece }: { design: Sized; piece: Piece }) {
  const layers = piece.layers
  const base = (layers[0]?.ring ?? []) as unknown as XY[]
  const [a, b] = [base[0], base[1]]
  if (!a || !b) return null
  const turn = Math.atan2(b[1] - a[1], b[0] - a[0])
  const [cos, sin] = [Math.cos(-turn), Math.sin(-turn)]
  const upright = ([x, y]: XY): XY => [x * cos - y * sin, -(x * sin + y * cos)]
  const rings = layers.map((layer) => (layer.ring as unknown as XY[]).map(upright))
  const all = rings.flat()
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))]
  const [top, bottom] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))]
  const line = (right - left) / 130
  return (
    <figure className="w-32 text-center">
      <svg
        viewBox={`${left - line} ${top - line} ${right - left + 2 * line} ${bottom - top + 2 * line}`}
        className="mx-auto h-24 w-32"
        role="img"
        aria-label={words('closed.label')}
      >
        {rings.map((ring, i) => (
          <polygon
            key={i}
            points={path(ring)}
            className="fill-paper stroke-ink"
            strokeWidth={line}
            strokeLinejoin="round"
            fillOpacity={i === 0 ? 1 : 0.82}
          />
        ))}
      </svg>
      <figcaption className="text-[0.95rem] leading-tight text-soft">
        {words('closed.caption')}
        <span className="block text-lg whitespace-nowrap text-ink">
          <Figure text={design.closed.text.width} unit={false} /> × <Figure text={design.closed.text.height} />
        </span>
      </figcaption>
    </figure>
  )
}
