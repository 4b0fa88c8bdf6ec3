import type { DesignView, Piece } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'

interface GoesWithProps {
  view: DesignView
  /** Shows one of the pieces alone. */
  onChoose: (piece: string) => void
}

/** How many it takes, and everything that goes with it: grouped by what it lies on, alike ones once with their number. */
export function GoesWith({ view, onChoose }: GoesWithProps) {
  const { design } = view
  const added = design.pieces.filter(({ role }) => role !== 'made')
  const hasNumbers = design.takes !== null || design.capacities.length > 0
  if (!hasNumbers && added.length === 0 && design.supplies.length === 0) return null
  return (
    <section className="far-down mt-3 border-t border-line px-2 pt-3">
      <h2 className="mb-1 text-lg">{words('goes-with.title')}</h2>
      <dl className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 gap-y-1">
        {design.takes !== null && design.capacities.length === 0 && (
          <>
            <dt>{words('goes-with.takes')}</dt>
            <dd className="text-right font-semibold">{design.takes}</dd>
          </>
        )}
        {design.capacities.length > 0 && <dt className="col-span-2">{words('goes-with.capacity')}</dt>}
        {design.capacities.map(({ of, each, inAll }) => (
          <div key={of} className="contents">
            <dt className="pl-3 text-soft">{words(`capacity.${of}`)}</dt>
            <dd className="text-right font-semibold">
              {words('capacity.counts', { each: String(each), inAll: String(inAll) })}
            </dd>
          </div>
        ))}
        {byPanel(added).map((piece) => (
          <div key={piece.id} className="contents" data-added={piece.id}>
            <dt>
              <button type="button" className="with-piece" onClick={() => onChoose(piece.id)}>
                {pieceName(piece)}
              </button>
            </dt>
            <dd className="text-right font-semibold whitespace-nowrap">
              <Pair {...piece.sheet.text} />
            </dd>
          </div>
        ))}
        {design.supplies.map((supply, i) => (
          <div key={i} className="contents" data-supply={supply.role}>
            <dt>{words(`supply.${supply.role}`)}</dt>
            <dd className="text-right font-semibold whitespace-nowrap">
              <Figure text={supply.text.length ?? supply.text.size ?? ''} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}

/** What lies on one panel one after another, what lies on none at the end. */
function byPanel(pieces: Piece[]): Piece[] {
  const panels = [...new Set(pieces.map(({ panel }) => panel ?? null))]
  return panels
    .sort((a, b) => Number(a === null) - Number(b === null))
    .flatMap((panel) => pieces.filter((piece) => (piece.panel ?? null) === panel))
}
