import { create, type StoreApi, type UseBoundStore } from 'zustand'
import { api, Refused, type DesignView, type Step, type Tick } from '@/api/client'
import { kept } from '@/ui/kept'
import { words } from '@/words'

interface RecordState {
  /** By step and copy. */
  ticks: Record<string, Tick>
  /** Ticks the server has not heard of. */
  waiting: Tick[]
  /** It does not answer: what is ticked is kept here and told later. */
  isAway: boolean
  /** What the server knows has been heard, or there is none. */
  isHeard: boolean
}

/** Which steps of which copies are done. */
export interface WorkRecord {
  use: UseBoundStore<StoreApi<RecordState>>
  tick: (tick: Omit<Tick, 'at'>) => void
  /** Keeps it as the server has it, until what is returned is called. */
  watch: () => () => void
}

const RETRY_MS = 2000
const LOOKS_EVERY_MS = 5000

const keyOf = ({ step, copy }: Pick<Tick, 'step' | 'copy'>) => `${step} ${copy}`

/** What was ticked last counts. */
function merged(ticks: Record<string, Tick>, more: Tick[]): Record<string, Tick> {
  const all = { ...ticks }
  for (const tick of more) {
    const known = all[keyOf(tick)]
    if (!known || known.at < tick.at) all[keyOf(tick)] = tick
  }
  return all
}

function read(key: string): Tick[] {
  try {
    const found = JSON.parse(kept.get(key) ?? '[]') as Tick[]
    return Array.isArray(found) ? found : []
  } catch {
    return []
  }
}

/**
 * The record of work of a design. What is ticked stands at once and is kept in this browser until the server has it; where
 * there is none (`isServed`), for good.
 */
export function openRecord(designId: string, isServed = true): WorkRecord {
  const place = `gimbo.ticks.${designId}`
  const waiting = read(place)
  const use = create<RecordState>(() => ({ ticks: merged({}, waiting), waiting, isAway: false, isHeard: !isServed }))
  let isRunning = false

  const put = (change: Partial<RecordState>) => {
    use.setState(change)
    if (change.waiting) {
      const held = isServed ? change.waiting : Object.values(use.getState().ticks)
      if (held.length === 0) kept.remove(place)
      else kept.set(place, JSON.stringify(held))
    }
  }
  const take = (answer: { ticks: Tick[] }) =>
    put({ ticks: merged(use.getState().ticks, answer.ticks), isAway: false, isHeard: true })

  const flush = async () => {
    if (isRunning || !isServed) return
    isRunning = true
    for (let sent = use.getState().waiting; sent.length > 0; sent = use.getState().waiting) {
      try {
        take(await api.tick(designId, sent))
        put({ waiting: use.getState().waiting.filter((tick) => !sent.includes(tick)) })
      } catch (error) {
        if (error instanceof Refused) {
          put({ waiting: use.getState().waiting.filter((tick) => !sent.includes(tick)) })
          continue
        }
        put({ isAway: true })
        await new Promise((done) => setTimeout(done, RETRY_MS))
      }
    }
    isRunning = false
  }
  const look = async () => {
    if (!isServed || isRunning || document.visibilityState === 'hidden') return
    try {
      take(await api.ticks(designId))
    } catch (error) {
      put({ isAway: !(error instanceof Refused), isHeard: true })
    }
  }

  return {
    use,
    tick(tick) {
      const done: Tick = { ...tick, at: new Date().toISOString() }
      const { ticks, waiting } = use.getState()
      use.setState({ ticks: merged(ticks, [done]) })
      put({ waiting: [...waiting.filter((one) => keyOf(one) !== keyOf(done)), done] })
      void flush()
    },
    watch() {
      void flush().then(look)
      const timer = setInterval(() => void look(), LOOKS_EVERY_MS)
      const seen = () => void look()
      document.addEventListener('visibilitychange', seen)
      return () => {
        clearInterval(timer)
        document.removeEventListener('visibilitychange', seen)
      }
    },
  }
}

/** The figures a step is done by, as they are read. */
export function figuresOf(view: DesignView, step: Step): string {
  const piece = view.design.pieces.find(({ id }) => id === step.piece)
  if (!piece) return ''
  if (step.do === 'cut') return `${piece.sheet.text.width} × ${piece.sheet.text.height}`
  return [...new Set(step.measures.flatMap((measure) => piece.measures[measure]?.text ?? []))].join(
    words('list.between'),
  )
}

export type Standing = 'open' | 'begun' | 'done' | 'other'

/** How a step stands: `other` where it was done by figures that are others now. */
export function standingOf(ticks: Record<string, Tick>, view: DesignView, step: Step) {
  const figures = figuresOf(view, step)
  const copies = Array.from({ length: step.copies }, (_, i) => {
    const tick = ticks[keyOf({ step: step.id, copy: i + 1 })]
    return !tick?.done ? 'open' : tick.figures === figures ? 'done' : ('other' as const)
  })
  const done = copies.filter((copy) => copy === 'done').length
  const standing: Standing = copies.includes('other')
    ? 'other'
    : done === copies.length
      ? 'done'
      : done > 0
        ? 'begun'
        : 'open'
  const was = copies.includes('other')
    ? ticks[keyOf({ step: step.id, copy: copies.indexOf('other') + 1 })]?.figures
    : null
  return { copies, done, standing, was: was ?? null }
}
