import { newId } from '@/ui/newId'
import { create, type StoreApi, type UseBoundStore } from 'zustand'
import { api, Refused, Unanswered, type Change, type DesignView } from '@/api/client'
import { words } from '@/words'
import { waiting, type Draft, type Edit, type Pending } from './waiting'

export type { Draft, Pending }

/** Slow: sent, and no answer for a while. */
export type Saving = 'saved' | 'saving' | 'slow' | 'unanswered'

export interface TableState {
  view: DesignView | null
  /** Text in a field that is not (yet) the value that is kept, by pointer. */
  drafts: Record<string, Draft>
  pending: Pending[]
  /** What the server failed at again and again: it blocks nothing, and is the maker's to try again or to let go. */
  setAside: Pending[]
  saving: Saving
  /** What the server says ails it. */
  said: string | null
  /** The browser keeps nothing: what waits goes when the page is closed. */
  isOnlyHere: boolean
  /** It was taken off the shelf elsewhere; what waits stays. */
  isGone: boolean
  /** Another window changed it since this one last did. */
  isElsewhere: boolean
  /** What is wrong with the design as a whole: it is not there, or an edit was refused for no field on the screen. */
  trouble: string | null
}

export interface DraftBook {
  use: UseBoundStore<StoreApi<TableState>>
  load: () => Promise<void>
  /** Looks again and again whether it was changed elsewhere, until what is returned is called. */
  watch: () => () => void
  type: (at: string, text: string, gesture: string) => void
  /** Back to what stood there when it was entered; null for the usual. */
  restore: (at: string, text: string | null, gesture: string) => void
  nudge: (at: string, steps: number, gesture: string) => void
  set: (changes: Change[]) => void
  undo: () => void
  redo: () => void
  focus: (at: string | null) => void
  forgetTrouble: () => void
  /** What was set aside is sent once more, or let go. */
  again: () => void
  letGo: () => void
  /** Puts it back on the shelf, and goes on. */
  putBack: () => Promise<void>
  /** Shows what the server says the design is now, after something other than an edit. */
  show: (view: DesignView) => void
}

const RETRY_MS = [400, 800, 1500, 3000]
const SLOW_MS = 2500
const LOOKS_EVERY_MS = 2500
/** So often the server may fail at one thing. */
const FAILS = 3

/** Tells other tabs that a design is another now. */
const told = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('gimbo.designs')

/**
 * What the maker does to one design: drafts as she types, edits in order, each sent until it is answered.
 *
 * Only one request is under way at a time; edits of the same field in one stay there run together while they wait, so
 * that fast typing never queues up. What is not answered is kept in this browser over a reload.
 */
export function openDraftBook(designId: string): DraftBook {
  const store = waiting(designId)
  const use = create<TableState>(() => ({
    view: null,
    drafts: {},
    pending: [],
    setAside: [],
    saving: 'saved',
    said: null,
    isOnlyHere: false,
    isGone: false,
    isElsewhere: false,
    trouble: null,
  }))
  let isRunning = false
  let focused: string | null = null

  const put = (change: Partial<TableState>) => {
    use.setState(change)
    if (change.drafts) store.keepTexts(change.drafts)
  }
  const hold = (item: Pending) => put({ isOnlyHere: !store.keep(item) })

  /** Drafts that have become the value, or that nobody is typing any more and nothing waits for, go. */
  const settle = () => {
    const { drafts, pending } = use.getState()
    const waits = pending.flatMap((item) => (item.kind === 'edit' ? item.changes.map((change) => change.at) : []))
    const left = Object.entries(drafts).filter(
      ([at, draft]) => at === focused || waits.includes(at) || draft.problem !== undefined,
    )
    put({ drafts: Object.fromEntries(left) })
  }

  /** Where nothing of hers comes before it, it is made from what she sees. */
  const seen = () => (use.getState().pending.length === 0 ? (use.getState().view?.revision ?? null) : null)

  const enqueue = (item: Pending) => {
    const { pending } = use.getState()
    // The first one is under way once running; only one that still waits can take another's place.
    const last = pending.length > (isRunning ? 1 : 0) ? pending.at(-1) : undefined
    const merged = last && mergedEdit(last, item)
    if (merged && last) store.drop(last)
    hold(merged ?? item)
    put({
      pending: merged ? [...pending.slice(0, -1), merged] : [...pending, item],
      saving: 'saving',
      isElsewhere: false,
    })
    void run()
  }
  /** The first that waits is done with. */
  const next = (change: Partial<TableState> = {}) => {
    const [done, ...pending] = use.getState().pending
    if (done) store.drop(done)
    put({ ...change, pending })
  }

  const run = async () => {
    if (isRunning || use.getState().view === null || use.getState().isGone) return
    isRunning = true
    let failures = 0
    for (let item = use.getState().pending[0]; item; item = use.getState().pending[0]) {
      if (item.revision === null) {
        // From here on it is the same however often it is sent.
        item = { ...item, revision: use.getState().view?.revision ?? 0 }
        hold(item)
        put({ pending: [item, ...use.getState().pending.slice(1)] })
      }
      const slow = setTimeout(() => put({ saving: 'slow' }), SLOW_MS)
      try {
        const view = await sent(designId, item, item.revision ?? 0)
        failures = 0
        next({ view, saving: 'saving', said: null, drafts: withoutProblems(use.getState().drafts, item) })
        told?.postMessage({ design: designId, mark: view.mark })
      } catch (error) {
        if (error instanceof Unanswered) {
          failures++
          if (error.isItsOwn && failures >= FAILS) {
            failures = 0
            next({ setAside: [...use.getState().setAside, item] })
            continue
          }
          put({ saving: 'unanswered', said: error.said })
          await pause(RETRY_MS[Math.min(failures - 1, RETRY_MS.length - 1)] ?? 0)
          continue
        }
        if (!(error instanceof Refused)) throw error
        if (error.status === 404) {
          put({ isGone: true })
          break
        }
        refuse(item, error)
        if (error.status === 409) await refresh()
      } finally {
        clearTimeout(slow)
      }
      settle()
    }
    isRunning = false
    put({ saving: 'saved', said: null })
  }

  const refuse = (item: Pending, error: Refused) => {
    const drafts = { ...use.getState().drafts }
    let trouble: string | null = null
    for (const { at, message } of error.problems) {
      const field = item.kind === 'edit' ? item.changes.find((change) => change.at === at || at === '')?.at : undefined
      const draft = field === undefined ? undefined : drafts[field]
      if (draft && field !== undefined) drafts[field] = { ...draft, problem: message }
      else trouble ??= message
    }
    next({ drafts, trouble: trouble ?? use.getState().trouble })
  }

  /** Takes what the design is now from the server. */
  const refresh = async () => {
    const view = await api.design(designId)
    const before = use.getState().view
    if (before?.mark === view.mark) return
    put({ view, isElsewhere: before !== null })
    settle()
  }

  /** Whether it was changed elsewhere, and what other tabs left that are closed by now. */
  const look = async () => {
    if (isRunning || use.getState().view === null || document.visibilityState === 'hidden') return
    try {
      const { mark } = await api.now(designId)
      if (isRunning) return
      if (mark !== use.getState().view?.mark) await refresh()
      put({ isGone: false })
      await adopt()
    } catch (error) {
      if (error instanceof Refused && error.status === 404) put({ isGone: true })
    }
  }

  const adopt = async () => {
    const left = await store.adopt()
    if (left.pending.length === 0 && Object.keys(left.drafts).length === 0) return
    put({
      pending: [
        ...left.pending,
        ...use.getState().pending.filter((item) => !left.pending.some(({ id }) => id === item.id)),
      ],
      drafts: { ...left.drafts, ...use.getState().drafts },
    })
    await run()
  }

  return {
    use,
    async load() {
      for (let failures = 0; ; failures++) {
        try {
          put({ view: await api.design(designId), isGone: false })
          break
        } catch (error) {
          if (error instanceof Refused) return put({ trouble: error.message })
          put({ saving: 'unanswered', said: error instanceof Unanswered ? error.said : null })
          await pause(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? 0)
        }
      }
      put({ saving: use.getState().pending.length > 0 ? 'saving' : 'saved', said: null })
      await adopt()
      settle()
      await run()
    },
    watch() {
      const timer = setInterval(() => void look(), LOOKS_EVERY_MS)
      const seen = () => void look()
      const heard = ({ data }: MessageEvent<{ design: string; mark: string }>) => {
        if (data.design === designId && data.mark !== use.getState().view?.mark) void look()
      }
      document.addEventListener('visibilitychange', seen)
      window.addEventListener('focus', seen)
      told?.addEventListener('message', heard)
      return () => {
        clearInterval(timer)
        document.removeEventListener('visibilitychange', seen)
        window.removeEventListener('focus', seen)
        told?.removeEventListener('message', heard)
      }
    },
    type(at, text, gesture) {
      const { drafts } = use.getState()
      put({ drafts: { ...drafts, [at]: { ...drafts[at], text } }, trouble: null })
      enqueue(edit([{ at, to: text }], seen(), `${at} ${gesture}`))
    },
    restore(at, text, gesture) {
      const { [at]: dropped, ...drafts } = use.getState().drafts
      if (dropped) put({ drafts })
      const { view, pending } = use.getState()
      const isAsBefore =
        view?.fields[at]?.given === (text !== null) && (text === null || view.fields[at]?.text === text)
      const isUnderWay = pending.some((item) => item.kind === 'edit' && item.changes.some((change) => change.at === at))
      if (!isAsBefore || isUnderWay) enqueue(edit([{ at, to: text }], seen(), `${at} ${gesture}`))
    },
    nudge(at, steps, gesture) {
      const { [at]: dropped, ...drafts } = use.getState().drafts
      if (dropped) put({ drafts })
      enqueue(edit([{ at, nudge: steps }], seen(), `${at} ${gesture}`))
    },
    set(changes) {
      put({ trouble: null })
      enqueue(edit(changes, seen(), null))
    },
    undo() {
      put({ drafts: {}, trouble: null })
      enqueue({ kind: 'undo', id: newId(), revision: seen() })
    },
    redo() {
      put({ drafts: {}, trouble: null })
      enqueue({ kind: 'redo', id: newId(), revision: seen() })
    },
    focus(at) {
      focused = at
      settle()
    },
    show(view) {
      put({ view, drafts: {}, trouble: null })
      told?.postMessage({ design: designId, mark: view.mark })
    },
    forgetTrouble() {
      put({ trouble: null })
    },
    again() {
      const { setAside, pending } = use.getState()
      setAside.forEach(hold)
      put({ setAside: [], pending: [...pending, ...setAside], saving: 'saving' })
      void run()
    },
    letGo() {
      put({ setAside: [] })
    },
    async putBack() {
      try {
        await api.putBack(designId)
        put({ isGone: false })
        await refresh()
        await run()
      } catch (error) {
        put({ trouble: error instanceof Refused ? error.message : words('saving.try-again') })
      }
    },
  }
}

const edit = (changes: Change[], revision: number | null, gesture: string | null): Edit => ({
  kind: 'edit',
  id: newId(),
  revision,
  gesture: gesture?.slice(0, 64) ?? null,
  changes,
})

function sent(designId: string, item: Pending, revision: number): Promise<DesignView> {
  if (item.kind !== 'edit') return api[item.kind](designId, item.id, revision)
  return api.edit(designId, { id: item.id, revision, gesture: item.gesture, changes: item.changes })
}

/** What a change would have set, as text to be copied out. */
export function asText(items: Pending[]): string {
  const lines = items.map((item) =>
    item.kind === 'edit'
      ? item.changes
          .map((change) => `${change.at}: ${'to' in change ? String(change.to) : `± ${change.nudge}`}`)
          .join('\n')
      : words(`action.${item.kind}`),
  )
  return lines.join('\n')
}

/** Two edits of one field in one stay there as one; null where they are not that. */
function mergedEdit(earlier: Pending, later: Pending): Edit | null {
  if (earlier.kind !== 'edit' || later.kind !== 'edit') return null
  if (later.gesture === null || earlier.gesture !== later.gesture) return null
  const [was] = earlier.changes
  const [is] = later.changes
  if (!was || !is || earlier.changes.length > 1 || later.changes.length > 1 || was.at !== is.at) return null
  const since = { ...later, revision: earlier.revision }
  if ('to' in is) return since
  return 'nudge' in was ? { ...since, changes: [{ at: is.at, nudge: was.nudge + is.nudge }] } : null
}

/** Once an edit went through, what was wrong with its fields before is no longer. */
function withoutProblems(drafts: Record<string, Draft>, item: Pending): Record<string, Draft> {
  if (item.kind !== 'edit') return drafts
  const mended = { ...drafts }
  for (const { at } of item.changes) {
    const draft = mended[at]
    if (draft) mended[at] = { text: draft.text }
  }
  return mended
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))
