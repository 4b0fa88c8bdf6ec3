import { ChevronLeft, ChevronRight, X } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, problemsOf, type DesignView } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { isTyping } from '@/ui/isTyping'
import { pieceName } from '@/ui/pieceName'
import { StepWords } from '../Steps'
import { turnedSince } from './lying'
import { MissedHelp } from './MissedHelp'
import { ToolPicture } from './ToolPicture'
import { useWakeLock } from './useWakeLock'

const BIG = ['score', 'punch', 'trim', 'mark', 'slant']

/** The work at the table: one step at a time, legible from a metre, kept where it is when the tablet sleeps. */
export function Work({ designId }: { designId: string }) {
  const [view, setView] = useState<DesignView | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  useEffect(() => {
    let isOver = false
    api.design(designId).then(
      (found) => {
        if (isOver) return
        setView(found)
        document.title = `${found.name} · Gimbo`
      },
      (error: unknown) => !isOver && setTrouble(problemsOf(error)[0]?.message ?? ''),
    )
    return () => {
      isOver = true
    }
  }, [designId])
  useWakeLock()
  if (trouble !== null)
    return (
      <main className="p-10">
        <ErrorNote>{trouble}</ErrorNote>
      </main>
    )
  return view && <Steps view={view} />
}

type Order = 'by-piece' | 'by-tool'

interface Place {
  /** The design as it was: after a change the steps are others. */
  revision: number
  order: Order
  place: number
}

function usePlace(view: DesignView): [Place, (place: Partial<Place>) => void] {
  const key = `gimbo.work.${view.id}`
  const [place, setPlace] = useState<Place>(() => {
    try {
      const kept = JSON.parse(localStorage.getItem(key) ?? '') as Place
      if (kept.revision === view.revision && Number.isInteger(kept.place)) return kept
    } catch {
      // Nothing kept, or nothing that can be read: from the beginning.
    }
    return { revision: view.revision, order: 'by-piece', place: 0 }
  })
  useEffect(() => localStorage.setItem(key, JSON.stringify(place)), [key, place])
  return [place, (change) => setPlace((now) => ({ ...now, ...change }))]
}

function Steps({ view }: { view: DesignView }) {
  const { design } = view
  const [{ order, place: kept }, put] = usePlace(view)
  const indexes = order === 'by-tool' ? design.byTool : design.steps.map((_, i) => i)
  const last = indexes.length - 1
  const [missedAt, setMissed] = useState<number | null>(null)
  const place = Math.max(0, Math.min(kept, last))
  const step = design.steps[indexes[place] ?? 0]
  const piece = design.pieces.find((one) => one.id === step?.piece) ?? design.pieces[0]

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const to: Record<string, number> = {
        ArrowRight: place + 1,
        PageDown: place + 1,
        ' ': place + 1,
        ArrowLeft: place - 1,
        PageUp: place - 1,
        Home: 0,
        End: last,
      }
      const next = to[event.key]
      if (isTyping(event.target)) return
      if (next === undefined || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === ' ' && event.target instanceof HTMLButtonElement) return
      event.preventDefault()
      put({ place: Math.max(0, Math.min(next, last)) })
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  if (!step || !piece) return null
  const measure = piece.measures[step.measures[0] ?? -1]
  const canBeMissed = measure !== undefined && ['cut', 'score', 'punch'].includes(step.do)
  const isMissed = missedAt === place
  const since = turnedSince(design.steps, indexes, place)
  const turn = since === null ? '' : since > 0 ? words(`turn.${since}`) : ''
  const isAtFence = (step.do === 'score' || step.do === 'punch') && measure
  return (
    <div className="flex h-full flex-col bg-panel">
      <header className="px-5 pt-2">
        <div className="flex items-center gap-4">
          <Link to={`/designs/${view.id}`} className="quiet-button" aria-label={words('work.leave')}>
            <X aria-hidden="true" className="size-6" />
          </Link>
          <h1 className="truncate text-xl">{view.name}</h1>
          <span className="flex-1" />
          {design.pieces.length > 1 && (
            <div role="group" aria-label={words('work.order')} className="flex gap-1">
              {(['by-piece', 'by-tool'] as const).map((one) => (
                <button
                  key={one}
                  type="button"
                  className="choice-button"
                  aria-pressed={order === one}
                  onClick={() => {
                    const now = indexes[place] ?? 0
                    const to = one === 'by-tool' ? design.byTool.indexOf(now) : now
                    put({ order: one, place: Math.max(0, to) })
                  }}
                >
                  {words(`work.${one}`)}
                </button>
              ))}
            </div>
          )}
          <span className="text-xl tabular-nums" role="status">
            {words('work.place', { place: place + 1, of: last + 1 })}
          </span>
        </div>
        <div
          className="mt-2 h-2 rounded-full bg-line"
          role="progressbar"
          aria-label={words('work.progress')}
          aria-valuemin={1}
          aria-valuemax={last + 1}
          aria-valuenow={place + 1}
        >
          <div className="h-full rounded-full bg-live" style={{ width: `${(100 * (place + 1)) / (last + 1)}%` }} />
        </div>
      </header>
      <main className="grid min-h-0 flex-1 grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] gap-8 px-8 py-5">
        <ToolPicture design={design} piece={piece} step={step} />
        <section className="flex min-h-0 flex-col overflow-y-auto" aria-live="polite">
          {design.pieces.length > 1 && (
            <p className="mb-3 text-2xl">
              <strong className="font-serif">{pieceName({ id: piece.id, count: 1 })}</strong>
              {piece.count > 1 && <span className="ml-3 text-live">{words('work.times', { count: piece.count })}</span>}
            </p>
          )}
          {turn !== '' && <p className="mb-2 text-3xl leading-tight text-live">{turn}</p>}
          {isAtFence && (
            <p className="mb-2 text-2xl leading-tight text-soft">
              {words(`work.lies.${step.do}.${lying(step, measure)}`)}
            </p>
          )}
          <p className="text-[2.1rem] leading-tight">
            <StepWords step={{ ...step, quarterTurns: 0 }} piece={piece} />
          </p>
          {measure && BIG.includes(step.do) && !isMissed && (
            <p className="mt-5 text-[6.5rem] leading-none font-semibold text-live" data-figure>
              <Figure text={measure.text} />
            </p>
          )}
          {step.do === 'cut' && !isMissed && (
            <p
              className="mt-5 text-[min(4.6rem,5.2vw)] leading-none font-semibold whitespace-nowrap text-live"
              data-figure
            >
              <Figure text={piece.sheet.text.width} unit={false} /> × <Figure text={piece.sheet.text.height} />
            </p>
          )}
          {step.do === 'cut' && (
            <p className="mt-5 text-2xl leading-snug text-soft">
              {words('work.pencil', { piece: pieceName({ id: piece.id, count: 1 }), name: view.name })}
            </p>
          )}
          {measure && measure.standoff > 0 && step.do === 'score' && (
            <p className="mt-4 text-xl leading-snug text-soft">{words('work.standoff')}</p>
          )}
          {step.advice.map((advice) => (
            <p key={advice} className="mt-4 text-2xl leading-snug text-soft">
              {words(`advice.${advice}`)}
            </p>
          ))}
          {canBeMissed &&
            (isMissed ? (
              <MissedHelp
                key={`${piece.id} ${step.measures[0]}`}
                designId={view.id}
                piece={piece}
                measures={step.measures}
                onDone={() => setMissed(null)}
              />
            ) : (
              <button
                type="button"
                className="quiet-button mt-3 -ml-3 self-start text-lg text-live"
                onClick={() => setMissed(place)}
              >
                {words('missed.ask')}
              </button>
            ))}
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

/** Which end of the sheet lies where: the edge or the corner at the fence, or the side at the punch. */
function lying(step: DesignView['design']['steps'][number], measure: { from: string; side: number | null }): string {
  return step.do === 'punch' ? `${measure.side ?? 1}` : measure.from
}
