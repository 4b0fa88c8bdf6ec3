import type { Piece } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'

/** Its figures' fractions marked, to be set as fractions. */
const withFractions = (svg: string) =>
  svg.replace(/(\d+\/\d+)(?=[^<>]*<\/text>)/g, '<tspan class="sp-fraction">$1</tspan>')

/** The sheet as it lies on the tool now: what was done before pale, what is done now in full. Drawn by the core, coloured here. */
export function ToolPicture({ svg, piece }: { svg: string | undefined; piece: Piece }) {
  return (
    <div
      className="step-picture h-full min-h-0"
      role="img"
      aria-label={words('work.picture', { piece: pieceName({ ...piece, count: 1 }) })}
      dangerouslySetInnerHTML={{ __html: withFractions(svg ?? '') }}
    />
  )
}
