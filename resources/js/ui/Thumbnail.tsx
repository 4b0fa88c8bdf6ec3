import type { Thumbnail as Drawing } from '@/api/client'

const LAYERS = [
  { lines: 'cuts', stroke: 'stroke-ink', dash: undefined },
  { lines: 'valleys', stroke: 'stroke-valley', dash: '6 3.5' },
  { lines: 'mountains', stroke: 'stroke-mountain', dash: '8 2.5 1.5 2.5' },
] as const

/** A design's own sheet, small, lying as it lies on its tool. */
export function Thumbnail({ drawing }: { drawing: Drawing }) {
  const { width, height } = drawing
  const turn = drawing.lie === 'corner-up' ? -45 : 0
  const [wide, high] =
    drawing.lie === 'corner-up' ? [(width + height) / Math.SQRT2, (width + height) / Math.SQRT2] : [width, height]
  const pad = Math.max(wide, high) * 0.03
  return (
    <svg
      viewBox={`${-wide / 2 - pad} ${-high / 2 - pad} ${wide + 2 * pad} ${high + 2 * pad}`}
      className="size-full"
      aria-hidden="true"
    >
      <g transform={`rotate(${turn}) scale(1 -1) translate(${-width / 2} ${-height / 2})`}>
        {drawing.faces.map((ring, i) => (
          <polygon key={i} points={ring.map((point) => point.join(',')).join(' ')} className="fill-paper" />
        ))}
        {(drawing.laid ?? []).map(({ ring, colour }, i) => (
          <polygon
            key={`laid${i}`}
            points={ring.map((point) => point.join(',')).join(' ')}
            className="stroke-edge"
            fill={colour ?? 'var(--paper-laid)'}
            strokeWidth="0.8"
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {LAYERS.map(({ lines, stroke, dash }) =>
          drawing[lines].map(([x1, y1, x2, y2], i) => (
            <line
              key={`${lines}${i}`}
              {...{ x1, y1, x2, y2 }}
              className={stroke}
              strokeWidth="1.4"
              strokeDasharray={dash}
              vectorEffect="non-scaling-stroke"
            />
          )),
        )}
      </g>
    </svg>
  )
}
