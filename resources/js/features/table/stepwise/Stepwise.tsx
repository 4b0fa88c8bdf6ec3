import { Check, ChevronLeft, ChevronRight, Hand as HandIcon, TriangleAlert, Volume2, VolumeX } from 'lucide-react'
import { useEffect, useLayoutEffect, useState, type ReactNode } from 'react'
import type { DesignView, Piece, Step, Told } from '@/api/client'
import { Main } from '@/ui/Main'
import { isTyping } from '@/ui/isTyping'
import { useRoom } from '@/ui/room'
import { Sentences } from '@/ui/Sentence'
import { Sheet } from '@/ui/Sheet'
import { nameOfPiece } from '@/ui/pieceName'
import { words } from '@/words'
import type { Hand } from './hand'
import { figuresOf, standingOf, type Standing, type WorkRecord } from './record'
import { StepText } from './StepText'
import { ToolPicture } from './ToolPicture'
import { turnedSince } from './turned'
import { usePlace, type Order } from './usePlace'
import { canSpeak, useSpeech } from './useSpeech'
import { useSwipe } from './useSwipe'

/** More copies than these are counted, not shown one by one. */
const MOST_SHOWN = 12

interface StepwiseProps {
  view: DesignView
  told: Told
  record: WorkRecord
  /** By the number of the step; none until they have come. */
  pictures: string[]
  spoken: string[]
  hand: Hand
  onHand: (hand: Hand) => void
  /** Where it is left to, if anywhere. */
  leave?: ReactNode
  onLast?: () => void
  onOrder?: (order: Order) => void
  /** What stands under a picture. */
  underPicture?: (index: number, order: Order, picture: string) => ReactNode
  /** What helps where a figure was missed. */
  missed?: ((piece: Piece, step: Step, onDone: () => void) => ReactNode) | undefined
}

/** One step at a time, legible from a metre, done with a thumb, a key or a foot. */
export function Stepwise(props: StepwiseProps) {
  const { view, told, record, pictures, spoken, hand } = props
  const { design } = view
  const { steps, byTool } = told
  const ticks = record.use((state) => state.ticks)
  const isAway = record.use((state) => state.isAway && state.waiting.length > 0)
  const standings = steps.map((step) => standingOf(ticks, view, step))
  const firstToDo = () =>
    Math.max(
      0,
      standings.findIndex(({ standing }) => standing !== 'done'),
    )
  const [{ order, place: wanted }, put, placeNow] = usePlace(view, firstToDo)
  const [showsAll, setShowsAll] = useState(false)
  const room = useRoom()
  const indexes = order === 'by-tool' ? byTool : steps.map((_, i) => i)
  const last = indexes.length - 1
  const within = (at: number) => Math.max(0, Math.min(at, last))
  const place = within(wanted)
  const index = indexes[place] ?? 0
  const step = steps[index]
  const piece = design.pieces.find((one) => one.id === step?.piece) ?? design.pieces[0]
  const [isAloud, setAloud] = useSpeech(spoken[index] ?? '')

  const look = (next: (now: number) => number) => put((now) => ({ place: within(next(now.place)) }))
  const set = (of: Step, copy: number, done: boolean) =>
    record.tick({ step: of.id, copy, done, revision: view.revision, figures: figuresOf(view, of) })
  /** The next copy of this step is done; after the last of them it goes on. */
  const done = () => {
    const at = within(placeNow())
    const step = steps[indexes[at] ?? 0]
    if (!step) return
    const { copies } = standingOf(record.use.getState().ticks, view, step)
    const copy = copies.findIndex((one) => one !== 'done')
    if (copy >= 0) set(step, copy + 1, true)
    if (copy >= 0 && copies.filter((one) => one !== 'done').length > 1) return
    if (at < last) look((now) => now + 1)
    else props.onLast?.()
  }

  // Before anything is seen: a key pressed at once is one, too.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const acts: Record<string, () => void> = {
        PageDown: done,
        ' ': done,
        Enter: done,
        ArrowRight: () => look((now) => now + 1),
        ArrowLeft: () => look((now) => now - 1),
        PageUp: () => look((now) => now - 1),
        Home: () => look(() => 0),
        End: () => look(() => last),
      }
      const act = acts[event.key]
      if (!act || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      const isPressing = event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement
      if ((event.key === ' ' || event.key === 'Enter') && isPressing) return
      event.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  const { onOrder } = props
  useEffect(() => onOrder?.(order), [onOrder, order])
  const swipe = useSwipe((by) => look((now) => now + by))
  if (!step || !piece) return null
  const standing = standings[index]
  const picture = pictures[index]
  const orders = design.pieces.length > 1 && (
    <div role="group" aria-label={words('work.order')} className="flex gap-1">
      {(['by-piece', 'by-tool'] as const).map((one) => (
        <button
          key={one}
          type="button"
          className="choice-button"
          aria-pressed={order === one}
          onClick={() => put({ order: one, place: one === 'by-tool' ? byTool.indexOf(index) : index })}
        >
          {words(`work.${one}`)}
        </button>
      ))}
    </div>
  )
  const isTight = room === 'narrow' || room === 'short' || room === 'upright'
  const count = standings.filter((one) => one.standing === 'done').length
  return (
    <div className="work" data-room={room}>
      <header className="px-[max(0.25rem,min(1.25rem,2vw))] pt-1">
        <div className="flex flex-wrap items-center gap-x-2">
          {props.leave}
          <h1 className="min-w-16 flex-1 truncate text-xl max-sm:text-lg">{view.name}</h1>
          {room !== 'narrow' && orders}
          <button
            type="button"
            className="quiet-button"
            aria-pressed={hand === 'left'}
            aria-label={words(`work.hand.${hand}`)}
            onClick={() => props.onHand(hand === 'left' ? 'right' : 'left')}
          >
            <HandIcon aria-hidden="true" className={`size-6 ${hand === 'left' ? '' : '-scale-x-100'}`} />
            {!isTight && words(`work.hand.${hand}`)}
          </button>
          {canSpeak && spoken.length > 0 && (
            <button
              type="button"
              className="quiet-button"
              aria-pressed={isAloud}
              aria-label={words('work.aloud')}
              onClick={() => setAloud(!isAloud)}
            >
              {isAloud ? (
                <Volume2 aria-hidden="true" className="size-6" />
              ) : (
                <VolumeX aria-hidden="true" className="size-6" />
              )}
            </button>
          )}
          <button type="button" className="quiet-button text-xl tabular-nums" onClick={() => setShowsAll(true)}>
            <span role="status">{words('work.place', { place: place + 1, of: last + 1 })}</span>
            <span className="sr-only">{words('work.all')}</span>
          </button>
        </div>
        <div
          className="mt-1 flex h-3 gap-px"
          role="progressbar"
          aria-label={words('work.progress')}
          aria-valuemin={1}
          aria-valuemax={last + 1}
          aria-valuenow={place + 1}
          aria-valuetext={words('work.glance', { place: place + 1, of: last + 1, done: count })}
        >
          {indexes.map((one, i) => (
            <span key={one} className="work-segment" data-now={i === place} data-standing={standings[one]?.standing} />
          ))}
        </div>
        {isAway && (
          <p role="status" className="mt-1 rounded-lg border border-warn bg-warn-wash px-3 py-1 text-warn">
            {words('work.away')}
          </p>
        )}
      </header>
      <Main title={view.name} className="work-halves" {...swipe}>
        <div className="flex min-h-0 flex-col">
          <div className="min-h-0 flex-1">
            <ToolPicture svg={picture} piece={piece} />
          </div>
          {picture && props.underPicture?.(index, order, picture)}
        </div>
        <section className="work-text scroller" aria-live="polite">
          {standing?.standing === 'other' && (
            <p className="mb-2 flex items-start gap-2 rounded-lg border border-warn bg-warn-wash px-3 py-2 text-lg leading-snug text-warn">
              <TriangleAlert aria-hidden="true" className="mt-1 size-5 shrink-0" />
              {words('work.done-otherwise', { was: standing.was ?? '–', now: figuresOf(view, step) })}
            </p>
          )}
          <StepText
            key={index}
            view={view}
            piece={piece}
            step={step}
            turned={turnedSince(steps, indexes, place) ?? 0}
            missed={props.missed}
          />
          {step.copies > 1 && standing && (
            <Copies copies={standing.copies} onTick={(copy, to) => set(step, copy, to)} />
          )}
          {step.copies === 1 && standing?.standing === 'done' && (
            <button
              type="button"
              className="quiet-button mt-2 -ml-3 self-start text-lg text-good"
              onClick={() => set(step, 1, false)}
            >
              <Check aria-hidden="true" className="size-6" />
              {words('work.take-back')}
            </button>
          )}
        </section>
      </Main>
      <nav aria-label={words('work.steps')} className="grid grid-cols-[1fr_2.4fr_1fr] gap-2 p-2">
        <button
          type="button"
          className="step-button"
          disabled={place === 0}
          aria-label={words('work.back')}
          onClick={() => look((now) => now - 1)}
        >
          <ChevronLeft aria-hidden="true" className="size-8" />
        </button>
        <button type="button" className="step-button" data-done={standing?.standing === 'done'} onClick={done}>
          <Check aria-hidden="true" className="size-8" />
          {nextWords(step, standing?.done ?? 0, place === last)}
        </button>
        <button
          type="button"
          className="step-button"
          disabled={place === last}
          aria-label={words('work.ahead')}
          onClick={() => look((now) => now + 1)}
        >
          <ChevronRight aria-hidden="true" className="size-8" />
        </button>
      </nav>
      <Sheet title={words('work.all')} isOpen={showsAll} onOpenChange={setShowsAll}>
        {room === 'narrow' && orders}
        <ol>
          {indexes.map((one, i) => {
            const of = steps[one]
            const its = standings[one]
            if (!of || !its) return null
            return (
              <li key={one}>
                <button
                  type="button"
                  className="flex min-h-12 w-full cursor-pointer items-center gap-3 rounded-lg px-2 py-1.5 text-left leading-snug hover:bg-live-wash aria-[current=step]:bg-live-wash"
                  aria-current={i === place ? 'step' : undefined}
                  ref={i === place ? (now) => now?.scrollIntoView({ block: 'center' }) : undefined}
                  onClick={() => {
                    put({ place: i })
                    setShowsAll(false)
                  }}
                >
                  <Mark standing={its.standing} number={i + 1} />
                  <span className="min-w-0 flex-1">
                    {design.pieces.length > 1 && <strong>{nameOfPiece(design.pieces, of.piece)}. </strong>}
                    <Sentences all={of.says} />
                    {of.copies > 1 && (
                      <span className="block text-soft">{words('work.copies', { done: its.done, of: of.copies })}</span>
                    )}
                  </span>
                </button>
              </li>
            )
          })}
        </ol>
      </Sheet>
    </div>
  )
}

function nextWords(step: Step, done: number, isLast: boolean): string {
  if (step.copies > 1 && done < step.copies) return words('work.done-copy', { copy: done + 1, of: step.copies })
  return words(isLast ? 'work.done' : 'work.next')
}

function Mark({ standing, number }: { standing: Standing; number: number }) {
  return (
    <span className="work-mark" data-standing={standing}>
      {standing === 'done' ? <Check aria-hidden="true" className="size-5" /> : number}
      <span className="sr-only">{words(`work.standing.${standing}`)}</span>
    </span>
  )
}

interface CopiesProps {
  copies: string[]
  onTick: (copy: number, done: boolean) => void
}

/** Each copy of a piece by itself. */
function Copies({ copies, onTick }: CopiesProps) {
  const done = copies.filter((one) => one === 'done').length
  return (
    <div className="mt-4">
      <p className="text-lg text-soft">{words('work.copies', { done, of: copies.length })}</p>
      {copies.length > MOST_SHOWN && done < copies.length && (
        <button
          type="button"
          className="quiet-button -ml-3 text-live"
          onClick={() => copies.forEach((standing, i) => standing !== 'done' && onTick(i + 1, true))}
        >
          {words('work.all-copies', { of: copies.length })}
        </button>
      )}
      {copies.length <= MOST_SHOWN && (
        <div role="group" aria-label={words('work.each-copy')} className="mt-1 flex flex-wrap gap-2">
          {copies.map((standing, i) => (
            <button
              key={i}
              type="button"
              className="work-copy"
              aria-pressed={standing === 'done'}
              aria-label={words('work.copy', { copy: i + 1 })}
              onClick={() => onTick(i + 1, standing !== 'done')}
            >
              {standing === 'done' ? <Check aria-hidden="true" className="size-6" /> : i + 1}
            </button>
          ))}
        </div>
      )}
    </div>
  )
}
