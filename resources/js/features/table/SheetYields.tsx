import type { Change, Piece, SheetYield } from '@/api/client'
import { Pair } from '@/ui/Pair'
import { nameOfPiece } from '@/ui/pieceName'
import { words } from '@/words'

interface SheetYieldsProps {
  yields: SheetYield[]
  pieces: Piece[]
  onRemedy: (changes: Change[]) => void
}

/** How often each piece comes out of a sheet of its paper, what is left, and the hair less room that gives more of them. */
export function SheetYields({ yields, pieces, onRemedy }: SheetYieldsProps) {
  if (yields.length === 0) return null
  return (
    <section className="mt-3 border-t border-line px-2 pt-3" aria-label={words('yield.title')}>
      <h2 className="mb-1 text-lg">{words('yield.title')}</h2>
      <ul className="space-y-1">
        {yields.map((one) => (
          <li key={one.piece} data-yield={one.piece}>
            <span className="font-semibold">{words('yield.count', { count: one.count })}</span>{' '}
            {pieces.length > 1 && nameOfPiece(pieces, one.piece)}
            {one.count > 0 && one.left && (
              <span className="block text-soft">
                {words('yield.left')} <Pair {...one.left} />
              </span>
            )}
            {one.more && (
              <span className="block">
                {words('yield.more', { count: one.more.count })}{' '}
                <button
                  type="button"
                  className="with-word"
                  onClick={() => onRemedy(one.more?.edits.map(({ at, to }) => ({ at, to })) ?? [])}
                >
                  {words(`remedy.${one.more.id}`, one.more.params)}
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
