import { ChevronLeft, ChevronRight, Hand as HandIcon, X } from 'lucide-react'
import { useEffect, useMemo } from 'react'
import { Link } from 'react-router'
import { files, type DesignView } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { words } from '@/words'
import { isTyping } from '@/ui/isTyping'
import { openDraftBook } from '../draftBook'
import { Changed } from './Changed'
import { StepText } from './StepText'
import { ToolPicture } from './ToolPicture'
import type { Hand } from './hand'
import { savePng } from './savePng'
import { turnedSince } from './turned'
import { useHand, usePictures } from './usePictures'
import { usePlace, type Order } from './usePlace'
import { useWakeLock } from './useWakeLock'

/** The work at the table: one step at a time, legible from a metre, kept where it is when the tablet sleeps. */
export function Work({ designId }: { designId: string }) {
  const book = useMemo(() => openDraftBook(designId), [designId])
  const view = book.use((state) => state.view)
  const trouble = book.use((state) => state.trouble)
  const isGone = book.use((state) => state.isGone)
  const isUnanswered = book.use((state) => state.saving === 'unanswered')
  const said = book.use((state) => state.said)
  useEffect(() => {
    void book.load()
    return book.watch()
  }, [book])
  useEffect(() => {
    if (view) document.title = `${view.name} · Gimbo`
  }, [view])
  useWakeLock()
  if (!view) {
    const why = trouble ?? (isUnanswered ? (said ?? words('saving.waiting')) : null)
    return (
      why !== null && (
        <main className="space-y-4 p-10">
          <ErrorNote
            action={
              <button type="button" className="quiet-button" onClick={() => location.reload()}>
                {words('unkept.again')}
              </button>
            }
          >
            {why}
          </ErrorNote>
          <Link to="/" className="full-button">
            {words('table.to-shelf')}
          </Link>
        </main>
      )
    )
  }
  return (
    <div className="flex h-full flex-col bg-panel">
      {isGone && (
        <div className="px-5 pt-2">
          <ErrorNote
            action={
              <button type="button" className="quiet-button" onClick={() => void book.putBack()}>
                {words('unkept.put-back')}
              </button>
            }
          >
            {words('work.gone')}
          </ErrorNote>
        </div>
      )}
      <Changed view={view} />
      <Steps view={view} />
    </div>
  )
}

function Steps({ view }: { view: DesignView }) {
  const { design } = view
  const [{ order, place: kept }, put] = usePlace(view)
  const [hand, setHand] = useHand()
  const pictures = usePictures(view.id, view.mark, order, hand)
  const indexes = order === 'by-tool' ? design.byTool : design.steps.map((_, i) => i)
  const last = indexes.length - 1
  const place = Math.max(0, Math.min(kept, last))
  const step = design.steps[indexes[place] ?? 0]
  const piece = design.pieces.find((one) => one.id === step?.piece) ?? design.pieces[0]

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // From where she is by then: a second press may come before the first is drawn.
      const to: Record<string, (now: number) => number> = {
        ArrowRight: (now) => now + 1,
        PageDown: (now) => now + 1,
        ' ': (now) => now + 1,
        ArrowLeft: (now) => now - 1,
        PageUp: (now) => now - 1,
        Home: () => 0,
        End: () => last,
      }
      const next = to[event.key]
      if (isTyping(event.target)) return
      if (next === undefined || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === ' ' && event.target instanceof HTMLButtonElement) return
      event.preventDefault()
      put((now) => ({ place: Math.max(0, Math.min(next(now.place), last)) }))
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  if (!step || !piece) return null
  const picture = pictures[indexes[place] ?? 0]
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <WorkHeader
        view={view}
        order={order}
        hand={hand}
        onHand={setHand}
        place={place}
        of={last + 1}
        onOrder={(to) => {
          const now = indexes[place] ?? 0
          put({ order: to, place: Math.max(0, to === 'by-tool' ? design.byTool.indexOf(now) : now) })
        }}
      />
      <main className="grid min-h-0 flex-1 grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] gap-8 px-8 py-5">
        <div className="flex min-h-0 flex-col">
          <div className="min-h-0 flex-1">
            <ToolPicture svg={picture} piece={piece.id} />
          </div>
          {picture && (
            <p className="flex gap-2 text-soft">
              <a className="quiet-button" href={files.step(view.id, (indexes[place] ?? 0) + 1, order, hand)} download>
                {words('work.picture.svg')}
              </a>
              <button
                type="button"
                className="quiet-button"
                onClick={() => void savePng(picture, `${view.name} ${place + 1}.png`)}
              >
                {words('work.picture.png')}
              </button>
            </p>
          )}
        </div>
        <section className="flex min-h-0 flex-col overflow-y-auto" aria-live="polite">
          <StepText
            key={indexes[place]}
            view={view}
            piece={piece}
            step={step}
            turned={turnedSince(design.steps, indexes, place) ?? 0}
          />
        </section>
      </main>
      <nav aria-label={words('work.steps')} className="grid grid-cols-2 gap-3 p-3">
        <button type="button" className="step-button" disabled={place === 0} onClick={() => put({ place: place - 1 })}>
          <ChevronLeft aria-hidden="true" className="size-8" />
          {words('work.back')}
        </button>
        {place < last ? (
          <button type="button" className="step-button" onClick={() => put({ place: place + 1 })}>
            {words('work.next')}
            <ChevronRight aria-hidden="true" className="size-8" />
          </button>
        ) : (
          <Link to={`/designs/${view.id}`} className="step-button">
            {words('work.done')}
          </Link>
        )}
      </nav>
    </div>
  )
}

interface WorkHeaderProps {
  view: DesignView
  order: Order
  hand: Hand
  onHand: (hand: Hand) => void
  place: number
  of: number
  onOrder: (order: Order) => void
}

/** What is made, in which order, and how far she is. */
function WorkHeader({ view, order, hand, onHand, place, of, onOrder }: WorkHeaderProps) {
  return (
    <header className="px-5 pt-2">
      <div className="flex items-center gap-4">
        <Link to={`/designs/${view.id}`} className="quiet-button" aria-label={words('work.leave')}>
          <X aria-hidden="true" className="size-6" />
        </Link>
        <h1 className="truncate text-xl">{view.name}</h1>
        <span className="flex-1" />
        {view.design.pieces.length > 1 && (
          <div role="group" aria-label={words('work.order')} className="flex gap-1">
            {(['by-piece', 'by-tool'] as const).map((one) => (
              <button
                key={one}
                type="button"
                className="choice-button"
                aria-pressed={order === one}
                onClick={() => onOrder(one)}
              >
                {words(`work.${one}`)}
              </button>
            ))}
          </div>
        )}
        <button
          type="button"
          className="quiet-button"
          aria-pressed={hand === 'left'}
          onClick={() => onHand(hand === 'left' ? 'right' : 'left')}
        >
          <HandIcon aria-hidden="true" className={`size-6 ${hand === 'left' ? '' : '-scale-x-100'}`} />
          {words(`work.hand.${hand}`)}
        </button>
        <span className="text-xl tabular-nums" role="status">
          {words('work.place', { place: place + 1, of })}
        </span>
      </div>
      <div
        className="mt-2 h-2 rounded-full bg-line"
        role="progressbar"
        aria-label={words('work.progress')}
        aria-valuemin={1}
        aria-valuemax={of}
        aria-valuenow={place + 1}
      >
        <div className="h-full rounded-full bg-live" style={{ width: `${(100 * (place + 1)) / of}%` }} />
      </div>
    </header>
  )
}
