import type { Piece } from '@/api/client'
import { words } from '@/words'
import { pieceName } from '@/ui/pieceName'

interface PieceTabsProps {
  pieces: Piece[]
  /** The piece that is shown; null for all of them. */
  now: string | null
  onChoose: (id: string | null) => void
}

/** Which of several pieces lies on the table. */
export function PieceTabs({ pieces, now, onChoose }: PieceTabsProps) {
  return (
    <div role="group" aria-label={words('pieces.label')} className="flex flex-wrap gap-1">
      {[null, ...pieces].map((piece) => (
        <button
          key={piece?.id ?? ''}
          type="button"
          aria-pressed={(piece?.id ?? null) === now}
          className="choice-button"
          onClick={() => onChoose(piece?.id ?? null)}
        >
          {piece ? pieceName(piece) : words('pieces.all')}
        </button>
      ))}
    </div>
  )
}
