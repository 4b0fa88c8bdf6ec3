import type { Piece } from '@/api/client'
import { words } from '@/words'
import { pieceName } from './pieceName'

interface PieceTabsProps {
  pieces: Piece[]
  now: string
  onChoose: (id: string) => void
}

/** Which of several pieces lies on the table. */
export function PieceTabs({ pieces, now, onChoose }: PieceTabsProps) {
  return (
    <div role="group" aria-label={words('pieces.label')} className="mb-1 flex shrink-0 flex-wrap gap-1">
      {pieces.map((piece) => (
        <button
          key={piece.id}
          type="button"
          aria-pressed={piece.id === now}
          className="min-h-11 cursor-pointer rounded-lg border border-line px-3 hover:border-live aria-pressed:border-live aria-pressed:bg-panel aria-pressed:font-semibold aria-pressed:text-live"
          onClick={() => onChoose(piece.id)}
        >
          {pieceName(piece)}
        </button>
      ))}
    </div>
  )
}
