import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { Catalogue, DesignView } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Main } from '@/ui/Main'
import { isTyping } from '@/ui/isTyping'
import { useRoom } from '@/ui/room'
import { words } from '@/words'
import { openDraftBook, type DraftBook } from './draftBook'
import { LitBoard } from './drawing/Board'
import { Legend } from './drawing/Legend'
import { FiguresAside } from './FiguresAside'
import { light, NOTHING_LIT } from './lit'
import { Changes } from './Changes'
import { Sentence } from './sentence/Sentence'
import { Wrong } from './sentence/Wrong'
import { TopBar } from './TopBar'
import { Unkept } from './Unkept'
import { useShown, useViewKeys } from './useShown'
import { usePicture } from './usePicture'
import { ViewBar } from './ViewBar'
import { PanelMenu, type PointedAt } from './with/PanelMenu'
import { With } from './with/With'

const FoldView = lazy(() => import('./fold/FoldView'))

/** The design table: the request as a sentence, the sheets to scale or folding, their measures, steps and fits. */
export function Table({ designId, catalogue }: { designId: string; catalogue: Catalogue }) {
  const book = useMemo(() => openDraftBook(designId), [designId])
  const view = book.use((state) => state.view)
  const trouble = book.use((state) => (state.view ? null : state.trouble))
  const isUnanswered = book.use((state) => state.saving === 'unanswered')
  const said = book.use((state) => state.said)

  useEffect(() => {
    void book.load()
    return book.watch()
  }, [book])

  useUndoKeys(book)

  if (!view) {
    return trouble ? (
      <Main title={words('table.missing')} className="mx-auto max-w-xl space-y-4 p-[max(1rem,3vw)]">
        <h1 className="text-2xl">{words('table.missing')}</h1>
        <ErrorNote>{trouble}</ErrorNote>
        <Link to="/" className="full-button">
          {words('table.to-shelf')}
        </Link>
      </Main>
    ) : (
      <Main title="" className="p-[max(1rem,3vw)]">
        {isUnanswered && <ErrorNote>{said ?? words('saving.waiting')}</ErrorNote>}
      </Main>
    )
  }
  return <Laid book={book} view={view} catalogue={catalogue} />
}

function useUndoKeys(book: DraftBook) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // In a text that is being written it takes back what was written.
      if (!(event.ctrlKey || event.metaKey) || event.altKey || isTyping(event.target)) return
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
  const picture = usePicture(view.id, view.spec, isSaved)
  useEffect(() => () => light(NOTHING_LIT), [view.id])
  const { design } = view
  const shown = useShown(design.pieces)
  useViewKeys(shown.set)
  const room = useRoom()
  const hasSentence = room !== 'narrow' && room !== 'short'
  const { pieces, isFold } = shown
  const [pointedAt, setPointedAt] = useState<PointedAt | null>(null)
  const pointAt = useCallback((on: string, x: number, y: number) => setPointedAt({ on, x, y }), [])
  const first = pieces[0]
  if (!first) return null
  const request = <Request book={book} view={view} catalogue={catalogue} />
  return (
    <div className="table-page" data-room={room}>
      <a href="#figures" className="skip-link">
        {words('table.to-figures')}
      </a>
      <TopBar book={book} view={view} piece={first} room={room} />
      <Main title={view.name} className="flex min-h-0 flex-1 flex-col" data-waits={isSaved ? undefined : true}>
        <h1 className="sr-only">{view.name}</h1>
        <div className="border-y border-line bg-panel px-[max(0.5rem,min(1.5rem,2vw))] empty:border-b-0">
          {hasSentence && request}
          <Unkept book={book} />
          {trouble && (
            <div className="py-2">
              <ErrorNote
                action={
                  <button type="button" className="quiet-button" onClick={book.forgetTrouble}>
                    {words('trouble.close')}
                  </button>
                }
              >
                {trouble}
              </ErrorNote>
            </div>
          )}
        </div>
        <div data-figures className="table-halves">
          <section aria-label={words('sheet.section')} className="table-drawing">
            <ViewBar view={view} shown={shown} picture={picture} room={room} />
            <div className="relative min-h-0 flex-1">
              {isFold ? (
                <Suspense fallback={<p className="p-6 text-soft">{words('fold.loading')}</p>}>
                  <FoldView view={view} chosen={shown.chosen} picture={picture} />
                </Suspense>
              ) : (
                <LitBoard design={design} pieces={pieces} isToOneScale={shown.isToOneScale} onPanel={pointAt} />
              )}
            </div>
            {!isFold && <Legend design={design} pieces={pieces} />}
          </section>
          <FiguresAside
            book={book}
            view={view}
            pieces={pieces}
            room={room}
            request={hasSentence ? null : request}
            onChoose={(piece) => shown.set('piece', piece)}
          />
        </div>
      </Main>
      {pointedAt && <PanelMenu {...{ book, view }} at={pointedAt} onClose={() => setPointedAt(null)} />}
      <Changes design={design} />
    </div>
  )
}

/** The sentence, and what is wrong with what stands in it. */
function Request({ book, view, catalogue }: LaidProps) {
  return (
    <div className="py-2">
      <Sentence book={book} view={view} catalogue={catalogue} />
      <With book={book} view={view} />
      <Wrong book={book} />
    </div>
  )
}
