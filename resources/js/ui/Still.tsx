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
      {of.faces.map((face, i) => {
        const points = face.ring.map((point) => point.join(',')).join(' ')
        const style = {
          '--light': face.light,
          ...(face.colour ? { '--paper-of': face.colour } : {}),
        } as React.CSSProperties
        if (!face.seams) return <polygon key={i} points={points} data-side={face.side} style={style} />
        const sides = face.ring.flatMap((from, n) =>
          face.seams?.includes(n)
            ? []
            : [`M${from.join(',')}L${(face.ring[(n + 1) % face.ring.length] ?? from).join(',')}`],
        )
        return (
          <g key={i} data-side={face.side} style={style}>
            <polygon points={points} data-side={face.side} data-seamed="" />
            <path d={sides.join('')} fill="none" />
          </g>
        )
      })}
    </svg>
  )
}
