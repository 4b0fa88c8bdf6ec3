import { create, type StoreApi, type UseBoundStore } from 'zustand'
import { api, Refused, Unanswered, type Change, type DesignView } from '@/api/client'

export type Draft = { text: string; problem?: string }

/** Something the server has not answered yet. */
export type Pending =
  { kind: 'edit'; id: string; gesture: string | null; changes: Change[] } | { kind: 'undo' } | { kind: 'redo' }

export type Saving = 'saved' | 'saving' | 'unanswered'

export interface TableState {
  view: DesignView | null
  /** Text in a field that is not (yet) the value that is kept, by pointer. */
  drafts: Record<string, Draft>
  pending: Pending[]
  saving: Saving
  /** What is wrong with the design as a whole: it is not there, or an edit was refused for no field on the screen. */
  trouble: string | null
}

export interface DraftBook {
  use: UseBoundStore<StoreApi<TableState>>
  load: () => Promise<void>
  type: (at: string, text: string, gesture: string) => void
  nudge: (at: string, steps: number, gesture: string) => void
  set: (changes: Change[]) => void
  undo: () => void
  redo: () => void
  focus: (at: string | null) => void
  forgetTrouble: () => void
  /** Shows what the server says the design is now, after something other than an edit. */
  show: (view: DesignView) => void
}

interface Kept {
  drafts: Record<string, Draft>
  pending: Pending[]
}

const RETRY_MS = [400, 800, 1500, 3000]

/**
 * What the maker does to one design: drafts as she types, edits in order, each sent until it is answered.
 *
 * Only one request is under way at a time; edits of the same field in one stay there run together while they wait, so
 * that fast typing never queues up. What is not answered is kept in this browser over a reload.
 */
export function openDraftBook(designId: string, storage: Storage = localStorage): DraftBook {
  const key = `gimbo.pending.${designId}`
  const use = create<TableState>(() => ({
    view: null,
    saving: 'saved',
    trouble: null,
    ...remembered(storage.getItem(key)),
  }))
  let isRunning = false
  let focused: string | null = null

  const keep = () => {
    const { drafts, pending } = use.getState()
    const isEmpty = pending.length === 0 && Object.keys(drafts).length === 0
    if (isEmpty) storage.removeItem(key)
    else storage.setItem(key, JSON.stringify({ drafts, pending } satisfies Kept))
  }
  const put = (change: Partial<TableState>) => {
    use.setState(change)
    keep()
  }

  /** Drafts that have become the value, or that nobody is typing any more and nothing waits for, go. */
  const settle = () => {
    const { drafts, pending } = use.getState()
    const waiting = pending.flatMap((item) => (item.kind === 'edit' ? item.changes.map((change) => change.at) : []))
    const left = Object.entries(drafts).filter(
      ([at, draft]) => at === focused || waiting.includes(at) || draft.problem !== undefined,
    )
    put({ drafts: Object.fromEntries(left) })
  }

  const enqueue = (item: Pending) => {
    const { pending } = use.getState()
    // The first one is under way once running; only one that still waits can take another's place.
    const last = pending.length > (isRunning ? 1 : 0) ? pending.at(-1) : undefined
    const merged = last && mergedEdit(last, item)
    put({ pending: merged ? [...pending.slice(0, -1), merged] : [...pending, item], saving: 'saving' })
    void run()
  }

  const run = async () => {
    if (isRunning || use.getState().view === null) return
    isRunning = true
    let failures = 0
    for (let item = use.getState().pending[0]; item; item = use.getState().pending[0]) {
      try {
        const view = await send(designId, item, use.getState().view?.revision ?? 0)
        failures = 0
        put({ view, pending: use.getState().pending.slice(1), drafts: withoutProblems(use.getState().drafts, item) })
      } catch (error) {
        if (error instanceof Unanswered) {
          put({ saving: 'unanswered' })
          await pause(RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)] ?? 0)
          continue
        }
        if (!(error instanceof Refused)) throw error
        refuse(item, error)
      }
      settle()
    }
    isRunning = false
    put({ saving: 'saved' })
  }

  const refuse = (item: Pending, error: Refused) => {
    const drafts = { ...use.getState().drafts }
    let trouble: string | null = null
    for (const { at, message } of error.problems) {
      const draft = drafts[at]
      const isItsField = item.kind === 'edit' && item.changes.some((change) => change.at === at)
      if (draft && isItsField) drafts[at] = { ...draft, problem: message }
      else trouble ??= message
    }
    put({ drafts, trouble: trouble ?? use.getState().trouble, pending: use.getState().pending.slice(1) })
  }

  return {
    use,
    async load() {
      for (let failures = 0; ; failures++) {
        try {
          put({ view: await api.design(designId) })
          break
        } catch (error) {
          if (error instanceof Refused) return put({ trouble: error.message })
          put({ saving: 'unanswered' })
          await pause(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? 0)
        }
      }
      settle()
      put({ saving: use.getState().pending.length > 0 ? 'saving' : 'saved' })
      await run()
    },
    type(at, text, gesture) {
      const { drafts } = use.getState()
      put({ drafts: { ...drafts, [at]: { ...drafts[at], text } }, trouble: null })
      enqueue({
        kind: 'edit',
        id: crypto.randomUUID(),
        gesture: `${at} ${gesture}`.slice(0, 64),
        changes: [{ at, to: text }],
      })
    },
    nudge(at, steps, gesture) {
      const { [at]: dropped, ...drafts } = use.getState().drafts
      if (dropped) put({ drafts })
      enqueue({
        kind: 'edit',
        id: crypto.randomUUID(),
        gesture: `${at} ${gesture}`.slice(0, 64),
        changes: [{ at, nudge: steps }],
      })
    },
    set(changes) {
      put({ trouble: null })
      enqueue({ kind: 'edit', id: crypto.randomUUID(), gesture: null, changes })
    },
    undo() {
      put({ drafts: {}, trouble: null })
      enqueue({ kind: 'undo' })
    },
    redo() {
      put({ drafts: {}, trouble: null })
      enqueue({ kind: 'redo' })
    },
    focus(at) {
      focused = at
      settle()
    },
    show(view) {
      put({ view, drafts: {}, trouble: null })
    },
    forgetTrouble() {
      put({ trouble: null })
    },
  }
}

function send(designId: string, item: Pending, revision: number): Promise<DesignView> {
  if (item.kind === 'undo') return api.undo(designId, revision)
  if (item.kind === 'redo') return api.redo(designId, revision)
  return api.edit(designId, { id: item.id, gesture: item.gesture, changes: item.changes })
}

/** Two edits of one field in one stay there as one; null where they are not that. */
function mergedEdit(earlier: Pending, later: Pending): Pending | null {
  if (earlier.kind !== 'edit' || later.kind !== 'edit') return null
  if (later.gesture === null || earlier.gesture !== later.gesture) return null
  const [was] = earlier.changes
  const [is] = later.changes
  if (!was || !is || earlier.changes.length > 1 || later.changes.length > 1 || was.at !== is.at) return null
  if ('to' in is) return later
  return 'nudge' in was ? { ...later, changes: [{ at: is.at, nudge: was.nudge + is.nudge }] } : null
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

function remembered(text: string | null): Kept {
  try {
    const kept = JSON.parse(text ?? '') as Partial<Kept>
    return { drafts: kept.drafts ?? {}, pending: kept.pending ?? [] }
  } catch {
    return { drafts: {}, pending: [] }
  }
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))
