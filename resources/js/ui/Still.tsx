import type { Still as Picture } from '@/api/client'

/** The core's own picture of the finished thing. Light and side set the colour; the style sheet knows which. */
export function Still({ of, label }: { of: Picture; label?: string }) {
  const pad = Math.max(of.width, of.height) * 0.02
  return (
    <svg
      viewBox={`${-pad} ${-pad} ${of.width + 2 * pad} ${of.height + 2 * pad}`}
      className="still size-full"
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {of.faces.map((face, i) => (
        <polygon
          key={i}
          points={face.ring.map((point) => point.join(',')).join(' ')}
          data-side={face.side}
          style={{ '--light': face.light } as React.CSSProperties}
        />
      ))}
    </svg>
  )
}
