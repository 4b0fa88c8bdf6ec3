import { lazy, Suspense, useEffect, useMemo } from 'react'
import { Link } from 'react-router'
import type { Catalogue, DesignView } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { words } from '@/words'
import { openDraftBook, type DraftBook } from './draftBook'
import { LitBoard } from './drawing/Board'
import { Legend } from './drawing/Legend'
import { FiguresAside } from './FiguresAside'
import { light, NOTHING_LIT } from './lit'
import { Sentence } from './sentence/Sentence'
import { TopBar } from './TopBar'
import { Unkept } from './Unkept'
import { useShown, useViewKeys } from './useShown'
import { usePicture } from './usePicture'
import { ViewBar } from './ViewBar'

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
      <main className="p-10">{isUnanswered && <ErrorNote>{said ?? words('saving.waiting')}</ErrorNote>}</main>
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
  const picture = usePicture(view.id, view.spec, isSaved)
  useEffect(() => () => light(NOTHING_LIT), [view.id])
  const { design } = view
  const shown = useShown(design.pieces)
  useViewKeys(shown.set)
  const { pieces, isFold } = shown
  const first = pieces[0]
  if (!first) return null
  return (
    <div className="flex h-full min-h-0 flex-col">
      <TopBar book={book} view={view} piece={first} />
      <main className="flex min-h-0 flex-1 flex-col" data-waits={isSaved ? undefined : true}>
        <h1 className="sr-only">{view.name}</h1>
        <div className="border-y border-line bg-panel px-6 py-2">
          <Sentence book={book} view={view} catalogue={catalogue} />
          <Unkept book={book} />
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
        <div
          data-figures
          className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_25.5rem] max-[1100px]:grid-cols-[minmax(0,1fr)_22.5rem]"
        >
          <section aria-label={words('sheet.section')} className="flex min-h-0 min-w-0 flex-col px-4 pt-2 pb-1">
            <ViewBar view={view} shown={shown} picture={picture} />
            <div className="relative min-h-0 flex-1">
              {isFold ? (
                <Suspense fallback={<p className="p-6 text-soft">{words('fold.loading')}</p>}>
                  <FoldView
                    steps={view.design.steps}
                    pieces={design.pieces}
                    chosen={shown.chosen}
                    picture={picture}
                    colour={view.choices['/paper/colour']}
                  />
                </Suspense>
              ) : (
                <LitBoard
                  design={design}
                  pieces={pieces}
                  isToOneScale={shown.isToOneScale}
                  colour={view.choices['/paper/colour']}
                />
              )}
            </div>
            {!isFold && <Legend pieces={pieces} />}
          </section>
          <FiguresAside book={book} view={view} pieces={pieces} />
        </div>
      </main>
    </div>
  )
}
