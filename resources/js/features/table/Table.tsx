import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { Tabs } from 'radix-ui'
import type { Catalogue, DesignView, Piece } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { isTyping } from '@/ui/isTyping'
import { Still } from '@/ui/Still'
import { words } from '@/words'
import { openDraftBook, type DraftBook } from './draftBook'
import { Board, type Lit } from './drawing/Board'
import { Legend } from './drawing/Legend'
import { Fits } from './Fits'
import { GoesWith } from './GoesWith'
import { Measures } from './Measures'
import { pieceName } from '@/ui/pieceName'
import { PieceTabs } from './PieceTabs'
import { Sentence } from './Sentence'
import { Steps } from './Steps'
import { TopBar } from './TopBar'
import { fitsOf, measuresOf, useAlternatives } from './useAlternatives'

const FoldView = lazy(() => import('./fold/FoldView'))

const NOTHING: Lit = { piece: '', measures: [] }

/** The design table: the request as a sentence, the sheets to scale or folding, their measures, steps and fits. */
export function Table({ designId, catalogue }: { designId: string; catalogue: Catalogue }) {
  const book = useMemo(() => openDraftBook(designId), [designId])
  const view = book.use((state) => state.view)
  const trouble = book.use((state) => (state.view ? null : state.trouble))
  const isUnanswered = book.use((state) => state.saving === 'unanswered')

  useEffect(() => {
    void book.load()
  }, [book])

  useEffect(() => {
    document.title = view ? `${view.name} · Gimbo` : 'Gimbo'
  }, [view])

  useUndoKeys(book)

  if (!view) {
    return trouble ? (
      <main className="mx-auto max-w-xl space-y-4 p-10">
        <h1 className="text-2xl">{words('table.missing')}</h1>
        <ErrorNote>{trouble}</ErrorNote>
        <Link to="/" className="full-button">
          {words('table.to-shelf')}
        </Link>
      </main>
    ) : (
      <main className="p-10">{isUnanswered && <ErrorNote>{words('saving.waiting')}</ErrorNote>}</main>
    )
  }
  return <Laid book={book} view={view} catalogue={catalogue} />
}

function useUndoKeys(book: DraftBook) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return
      const isUndo = event.key.toLowerCase() === 'z' && !event.shiftKey
      const isRedo = (event.key.toLowerCase() === 'z' && event.shiftKey) || event.key.toLowerCase() === 'y'
      if (!isUndo && !isRedo) return
      event.preventDefault()
      if (isUndo) book.undo()
      else book.redo()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [book])
}

interface LaidProps {
  book: DraftBook
  view: DesignView
  catalogue: Catalogue
}

function Laid({ book, view, catalogue }: LaidProps) {
  const trouble = book.use((state) => state.trouble)
  const isSaved = book.use((state) => state.saving === 'saved')
  const [lit, setLit] = useState<Lit>(NOTHING)
  const { design } = view
  const shown = useShown(design.pieces)
  useViewKeys(shown.set)
  const alternatives = useAlternatives(view, isSaved)
  const { pieces, isFold } = shown
  const first = pieces[0]
  if (!first) return null
  const litOn = (piece: Piece) => (lit.piece === piece.id ? lit.measures : [])
  const pointAtFit = (fit: string | null) => {
    const piece = pieces.find((one) => fit !== null && measuresOf(alternatives, one.id, fit).length > 0)
    setLit(piece && fit !== null ? { piece: piece.id, measures: measuresOf(alternatives, piece.id, fit) } : NOTHING)
  }
  return (
    <div className="flex h-full min-h-0 flex-col">
      <TopBar book={book} view={view} piece={first} />
      <main className="flex min-h-0 flex-1 flex-col">
        <h1 className="sr-only">{view.name}</h1>
        <div className="border-y border-line bg-panel px-6 py-2">
          <Sentence book={book} view={view} catalogue={catalogue} />
          {trouble && (
            <div className="py-2">
              <ErrorNote
                action={
                  <button type="button" className="quiet-button" onClick={book.forgetTrouble}>
                    {words('trouble.dismiss')}
                  </button>
                }
              >
                {trouble}
              </ErrorNote>
            </div>
          )}
        </div>
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_25.5rem] max-[1100px]:grid-cols-[minmax(0,1fr)_22.5rem]">
          <section aria-label={words('sheet.section')} className="flex min-h-0 min-w-0 flex-col px-4 pt-2 pb-1">
            <Bar view={view} shown={shown} />
            <div className="relative min-h-0 flex-1">
              {isFold ? (
                <Suspense fallback={<p className="p-6 text-soft">{words('fold.loading')}</p>}>
                  <FoldView
                    pieces={design.pieces}
                    chosen={shown.chosen}
                    picture={view.picture}
                    colour={view.choices['/paper/colour']}
                  />
                </Suspense>
              ) : (
                <Board
                  design={design}
                  pieces={pieces}
                  isToOneScale={shown.isToOneScale}
                  lit={lit}
                  colour={view.choices['/paper/colour']}
                  onLight={setLit}
                />
              )}
            </div>
            {!isFold && <Legend pieces={pieces} />}
          </section>
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
                    {pieces.length > 1 && <h2 className="mt-2 px-2 text-lg">{shown.nameOf(piece)}</h2>}
                    <Measures
                      piece={piece}
                      lit={litOn(piece)}
                      alternatives={alternatives}
                      isOneOfSeveral={design.pieces.length > 1}
                      onLight={(measures) => setLit({ piece: piece.id, measures })}
                    />
                  </section>
                ))}
                <h2 className="mt-3 mb-1 border-t border-line px-2 pt-3 text-lg">{words('fits.title')}</h2>
                <Fits
                  isOneOfSeveral={design.pieces.length > 1}
                  checks={design.checks}
                  lit={fitsOf(alternatives, lit.piece, lit.measures)}
                  onRemedy={(changes) => book.set(changes)}
                  onPoint={pointAtFit}
                />
                <GoesWith book={book} view={view} piece={first} />
              </Tabs.Content>
              <Tabs.Content value="steps">
                <Steps design={design} lit={lit} onLight={setLit} />
              </Tabs.Content>
            </Tabs.Root>
          </aside>
        </div>
      </main>
    </div>
  )
}

/** What lies on the table: one piece or all, flat or folding; kept in the address, so that a reload shows the same. */
function useShown(all: Piece[]) {
  const [params, setParams] = useSearchParams()
  const isFold = params.get('view') === 'fold'
  const asked = params.get('piece')
  const set = useCallback(
    (name: string, value: string | null) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before)
          if (value === null) after.delete(name)
          else after.set(name, value)
          return after
        },
        { replace: true },
      ),
    [setParams],
  )
  const only = all.find((piece) => piece.id === asked)
  const isAll = asked === 'all' && all.length > 1
  const chosen = isAll ? null : (only?.id ?? null)
  // The fold shows what belongs together unless one piece is asked for; the table shows one sheet unless all are.
  const sheets = useMemo(
    () => (isAll ? all : all.filter((piece) => piece.id === (only?.id ?? all[0]?.id))),
    [all, isAll, only?.id],
  )
  return {
    pieces: sheets,
    isFold,
    chosen: chosen ?? (isFold || isAll ? null : (all[0]?.id ?? null)),
    isToOneScale: params.get('scale') !== 'each',
    set,
    nameOf: pieceName,
  }
}

/** S shows the sheet, F the fold. */
function useViewKeys(set: (name: string, value: string | null) => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      if (event.key.toLowerCase() === 's') set('view', null)
      else if (event.key.toLowerCase() === 'f') set('view', 'fold')
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [set])
}

function Bar({ view, shown }: { view: DesignView; shown: ReturnType<typeof useShown> }) {
  const { design } = view
  const isSeveral = design.pieces.length > 1
  return (
    <div className="mb-1 flex flex-wrap items-start gap-x-4 gap-y-1">
      <div role="group" aria-label={words('view.label')} className="flex gap-1">
        {(['sheet', 'fold'] as const).map((one) => (
          <button
            key={one}
            type="button"
            className="choice-button"
            aria-pressed={shown.isFold === (one === 'fold')}
            onClick={() => shown.set('view', one === 'fold' ? 'fold' : null)}
          >
            {words(`view.${one}`)}
          </button>
        ))}
      </div>
      {isSeveral && (
        <PieceTabs pieces={design.pieces} now={shown.chosen} onChoose={(id) => shown.set('piece', id ?? 'all')} />
      )}
      {isSeveral && !shown.isFold && shown.chosen === null && (
        <button
          type="button"
          className="quiet-button text-soft"
          onClick={() => shown.set('scale', shown.isToOneScale ? 'each' : null)}
        >
          {words(shown.isToOneScale ? 'pieces.one-scale' : 'pieces.each-fitted')}
        </button>
      )}
      <figure className="ml-auto flex items-center gap-3">
        {!shown.isFold && (
          <button
            type="button"
            className="h-13 w-20 cursor-pointer rounded-lg hover:bg-panel"
            aria-label={words('view.to-fold')}
            onClick={() => shown.set('view', 'fold')}
          >
            <Still of={view.picture} />
          </button>
        )}
        <figcaption className="text-[0.95rem] leading-tight text-soft">
          {words('closed.caption')}
          <span className="block text-lg whitespace-nowrap text-ink">
            <Figure text={design.closed.text.width} unit={false} /> ×{' '}
            <Figure text={design.closed.text.height} unit={design.closed.depth < THICK_MM} />
            {design.closed.depth >= THICK_MM && (
              <>
                {' '}
                × <Figure text={design.closed.text.depth} />
              </>
            )}
          </span>
        </figcaption>
      </figure>
    </div>
  )
}

/** Thinner than this, nobody asks how thick it is. */
const THICK_MM = 6
