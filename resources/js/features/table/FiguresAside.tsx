import { Tabs } from 'radix-ui'
import type { DesignView, Piece } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'
import type { DraftBook } from './draftBook'
import { Fits } from './Fits'
import { GoesWith } from './GoesWith'
import { Measures } from './Measures'
import { Steps } from './Steps'
import { light, NOTHING_LIT } from './lit'
import { measuresOf, useAlternatives } from './useAlternatives'

interface FiguresAsideProps {
  book: DraftBook
  view: DesignView
  /** Those on the table. */
  pieces: Piece[]
}

/** The measures with the fits they make, and the steps that set them; pointing at one lights what belongs to it. */
export function FiguresAside({ book, view, pieces }: FiguresAsideProps) {
  const { design } = view
  const isSaved = book.use((state) => state.saving === 'saved')
  const alternatives = useAlternatives(view, isSaved)
  const pointAtFit = (fit: string | null) => {
    const piece = pieces.find((one) => fit !== null && measuresOf(alternatives, one.id, fit).length > 0)
    light(piece && fit !== null ? { piece: piece.id, measures: measuresOf(alternatives, piece.id, fit) } : NOTHING_LIT)
  }
  return (
    <aside
      aria-label={words('figures.section')}
      className="min-h-0 overflow-y-auto border-l border-line bg-panel px-4 py-2"
      tabIndex={0}
    >
      <Tabs.Root defaultValue="measures">
        <Tabs.List className="mb-1 flex gap-1 border-b border-line" aria-label={words('figures.section')}>
          {['measures', 'steps'].map((tab) => (
            <Tabs.Trigger
              key={tab}
              value={tab}
              className="-mb-px min-h-11 cursor-pointer border-b-[3px] border-transparent px-3 font-serif text-lg font-semibold text-soft data-[state=active]:border-live data-[state=active]:text-ink"
            >
              {words(`tab.${tab}`)}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="measures">
          {pieces.map((piece) => (
            <section key={piece.id}>
              {pieces.length > 1 && <h2 className="mt-2 px-2 text-lg">{pieceName(piece)}</h2>}
              <Measures piece={piece} alternatives={alternatives} isOneOfSeveral={design.pieces.length > 1} />
            </section>
          ))}
          <h2 className="mt-3 mb-1 border-t border-line px-2 pt-3 text-lg">{words('fits.title')}</h2>
          <Fits
            isOneOfSeveral={design.pieces.length > 1}
            checks={design.checks}
            alternatives={alternatives}
            onRemedy={(changes) => book.set(changes)}
            onPoint={pointAtFit}
          />
          {pieces[0] && <GoesWith book={book} view={view} piece={pieces[0]} />}
        </Tabs.Content>
        <Tabs.Content value="steps">
          <Steps design={design} />
        </Tabs.Content>
      </Tabs.Root>
    </aside>
  )
}
