import { useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { Tabs } from 'radix-ui'
import type { Catalogue } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { words } from '@/words'
import { Closed } from './Closed'
import { PieceTabs } from './PieceTabs'
import { openDraftBook } from './draftBook'
import { Fits } from './Fits'
import { GoesWith } from './GoesWith'
import { Legend } from './Legend'
import { Measures } from './Measures'
import { Sentence } from './Sentence'
import { Sheet } from './Sheet'
import { Steps } from './Steps'
import { TopBar } from './TopBar'

/** The design table: the request as a sentence, the sheet to scale, its measures, steps and fits. */
export function Table({ designId, catalogue }: { designId: string; catalogue: Catalogue }) {
  const book = useMemo(() => openDraftBook(designId), [designId])
  const { view, trouble, saving } = book.use()
  const [lit, setLit] = useState<number[]>([])
  const [chosen, setChosen] = useState('')

  useEffect(() => {
    void book.load()
  }, [book])

  useEffect(() => {
    document.title = view ? `${view.name} · Gimbo` : 'Gimbo'
  }, [view])

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
      <main className="p-10">{saving === 'unanswered' && <ErrorNote>{words('saving.waiting')}</ErrorNote>}</main>
    )
  }

  const { design } = view
  const piece = design.pieces.find((one) => one.id === chosen) ?? design.pieces[0]
  if (!piece) return null
  return (
    <div className="flex h-full min-h-0 flex-col">
      <TopBar book={book} view={view} piece={piece} />
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
          <section aria-label={words('sheet.section')} className="relative flex min-h-0 flex-col px-4 pt-3 pb-2">
            {design.pieces.length > 1 && (
              <PieceTabs
                pieces={design.pieces}
                now={piece.id}
                onChoose={(id) => {
                  setChosen(id)
                  setLit([])
                }}
              />
            )}
            <div className="relative min-h-0 flex-1">
              <Sheet hasAside={piece.layers.length > 1} design={design} piece={piece} lit={lit} onLight={setLit} />
              <div className="absolute top-1 right-0">
                {piece.layers.length > 1 && <Closed design={design} piece={piece} />}
              </div>
            </div>
            <Legend piece={piece} />
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
                <Measures key={piece.id} piece={piece} lit={lit} onLight={setLit} />
                <h2 className="mt-3 mb-1 border-t border-line px-2 pt-3 text-lg">{words('fits.title')}</h2>
                <Fits
                  isOneOfSeveral={design.pieces.length > 1}
                  checks={design.checks}
                  onRemedy={(changes) => book.set(changes)}
                />
                <GoesWith book={book} view={view} piece={piece} />
              </Tabs.Content>
              <Tabs.Content value="steps">
                <Steps design={design} piece={piece} onLight={setLit} />
              </Tabs.Content>
            </Tabs.Root>
          </aside>
        </div>
      </main>
    </div>
  )
}
