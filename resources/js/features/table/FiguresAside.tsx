import { Tabs } from 'radix-ui'
import type { ReactNode } from 'react'
import type { DesignView, Piece } from '@/api/client'
import type { Room } from '@/ui/room'
import { pieceName } from '@/ui/pieceName'
import { words } from '@/words'
import type { DraftBook } from './draftBook'
import { Field } from './Field'
import { Fits } from './Fits'
import { GoesWith } from './GoesWith'
import { Measures } from './Measures'
import { SheetYields } from './SheetYields'
import { Steps } from './Steps'
import { madeOf } from './with/additions'
import { PaperPart } from './with/PaperPart'
import { light, NOTHING_LIT } from './lit'
import { measuresOf, useAlternatives } from './useAlternatives'

interface FiguresAsideProps {
  book: DraftBook
  view: DesignView
  /** Those on the table. */
  pieces: Piece[]
  room: Room
  /** The request, where there is no room for it above the drawing. */
  request: ReactNode
  /** Shows one of the pieces alone. */
  onChoose: (piece: string) => void
}

/** The measures with the fits they make, and the steps that set them; pointing at one lights what belongs to it. */
export function FiguresAside({ book, view, pieces, room, request, onChoose }: FiguresAsideProps) {
  const { design } = view
  const made = madeOf(design)
  const isSaved = book.use((state) => state.saving === 'saved')
  const { alternatives, yields } = useAlternatives(view, isSaved)
  const pointAtFit = (fit: string | null) => {
    const piece = pieces.find((one) => fit !== null && measuresOf(alternatives, one.id, fit).length > 0)
    light(piece && fit !== null ? { piece: piece.id, measures: measuresOf(alternatives, piece.id, fit) } : NOTHING_LIT)
  }
  const measures = (
    <div>
      {pieces.map((piece) => (
        <section key={piece.id}>
          {design.pieces.length > 1 && (
            <h2 className="mt-2 px-2 text-lg">
              {pieceName(piece)}
              {piece.role === 'made' && (design.papers.length > 1 || made.length > 1) && (
                <span className="sentence ml-2 inline! text-[1rem]! font-normal">
                  {words('with.from')}{' '}
                  <PaperPart
                    book={book}
                    view={view}
                    at={`/pieces/${piece.id}/paper`}
                    paper={piece.paper || undefined}
                  />
                </span>
              )}
            </h2>
          )}
          <Measures piece={piece} alternatives={alternatives} pieces={design.pieces} />
        </section>
      ))}
    </div>
  )
  const fits = (
    <div>
      <h2 className={`mb-1 px-2 text-lg ${room === 'upright' ? 'pt-2' : 'mt-3 border-t border-line pt-3'}`}>
        {words('fits.title')}
      </h2>
      <Fits
        pieces={design.pieces}
        checks={design.checks}
        alternatives={alternatives}
        onRemedy={(changes) => book.set(changes)}
        onPoint={pointAtFit}
      />
      <p className="sentence wanted mt-3 border-t border-line px-2 py-4">
        {words('sentence.make')} <Field {...{ book, view }} at="/wanted" /> {words('sentence.of-it')}
      </p>
      <SheetYields yields={yields} pieces={design.pieces} onRemedy={(changes) => book.set(changes)} />
      <GoesWith view={view} onChoose={onChoose} />
    </div>
  )
  if (room === 'large')
    return (
      <Column label={words('figures.section')} className="grid grid-cols-2 gap-x-4 pt-2">
        <div>
          <h2 className="px-2 text-xl">{words('tab.measures')}</h2>
          {measures}
          {fits}
        </div>
        <div className="border-l border-line pl-4">
          <h2 className="mb-1 px-2 text-xl">{words('tab.steps')}</h2>
          <Steps view={view} />
        </div>
      </Column>
    )
  const tabs = [...(request === null ? [] : ['request']), 'measures', 'steps']
  return (
    <Column label={words('figures.section')}>
      <Tabs.Root key={tabs[0]} defaultValue={tabs[0]}>
        <Tabs.List
          className="sticky top-0 z-10 mb-1 flex flex-wrap gap-1 border-b border-line bg-panel pt-2"
          aria-label={words('figures.section')}
        >
          {tabs.map((tab) => (
            <Tabs.Trigger
              key={tab}
              value={tab}
              className="-mb-px min-h-11 cursor-pointer border-b-[3px] border-transparent px-3 font-serif text-lg font-semibold text-soft data-[state=active]:border-live data-[state=active]:text-ink"
            >
              {words(`tab.${tab}`)}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="request">{request}</Tabs.Content>
        <Tabs.Content value="measures" className={room === 'upright' ? 'grid grid-cols-2 gap-x-5' : ''}>
          {measures}
          {fits}
        </Tabs.Content>
        <Tabs.Content value="steps">
          <Steps view={view} />
        </Tabs.Content>
      </Tabs.Root>
    </Column>
  )
}

function Column({ label, className = '', children }: { label: string; className?: string; children: ReactNode }) {
  return (
    <aside
      id="figures"
      aria-label={label}
      className={`table-figures scroller min-h-0 outline-offset-[-3px] ${className}`}
      tabIndex={0}
    >
      {children}
    </aside>
  )
}
