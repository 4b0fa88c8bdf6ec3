import { newId } from '@/ui/newId'
import type { Change } from '@/api/client'
import { kept } from '@/ui/kept'

export type Draft = { text: string; problem?: string }

/**
 * Something the server has not answered yet. Its id is the request's: sent again, it is done once. The revision is the one
 * that was seen as it was made, or that an undo was pressed at; null until it is sent where others of hers come before it.
 */
export type Pending = Edit | { kind: 'undo' | 'redo'; id: string; revision: number | null }

export interface Edit {
  kind: 'edit'
  id: string
  revision: number | null
  gesture: string | null
  changes: Change[]
}

interface Waits {
  item: Pending
  tab: string
  at: number
}

/** Open as long as this page is: by it, other tabs see whose edits nobody sends any more. */
const tab = newId()
const lockOf = (one: string) => `gimbo.tab.${one}`
void navigator.locks?.request(lockOf(tab), () => new Promise(() => undefined)).catch(() => undefined)

let last = 0
/** Later each time, also within a millisecond. */
const now = () => (last = Math.max(Date.now(), last + 0.001))

/** What waits of one design, each edit and each text that is no value yet under a key of its own: tabs never write over one another's. */
export function waiting(design: string) {
  const edits = `gimbo.wait.${design}.`
  const texts = `gimbo.draft.${design}.`
  const read = <T>(key: string): T | null => {
    try {
      return JSON.parse(kept.get(key) ?? '') as T
    } catch {
      return null
    }
  }
  return {
    /** Whether it stays when the page is closed. */
    keep(item: Pending): boolean {
      const before = read<Waits>(edits + item.id)
      return kept.set(edits + item.id, JSON.stringify({ item, tab, at: before?.at ?? now() } satisfies Waits))
    },
    drop(item: Pending) {
      kept.remove(edits + item.id)
    },
    /** All texts of this tab, and no others of it. */
    keepTexts(drafts: Record<string, Draft>) {
      for (const key of kept.keys(texts)) {
        const isMine = read<{ tab: string }>(key)?.tab === tab
        if (isMine && !(key.slice(texts.length) in drafts)) kept.remove(key)
      }
      for (const [at, draft] of Object.entries(drafts)) kept.set(texts + at, JSON.stringify({ ...draft, tab }))
    },
    /** Takes over what tabs left that are no longer open, in the order in which it was made. */
    async adopt(): Promise<{ pending: Pending[]; drafts: Record<string, Draft> }> {
      const open = new Set([lockOf(tab)])
      try {
        for (const lock of (await navigator.locks?.query())?.held ?? []) open.add(lock.name ?? '')
      } catch {
        // Then nobody is known to be open; what is sent twice is done once.
      }
      const found: Waits[] = []
      for (const key of kept.keys(edits)) {
        const waits = read<Waits>(key)
        if (waits && !open.has(lockOf(waits.tab))) found.push(waits)
      }
      const drafts: Record<string, Draft> = {}
      for (const key of kept.keys(texts)) {
        const draft = read<Draft & { tab: string }>(key)
        if (!draft || open.has(lockOf(draft.tab))) continue
        drafts[key.slice(texts.length)] = {
          text: draft.text,
          ...(draft.problem === undefined ? {} : { problem: draft.problem }),
        }
      }
      found.sort((a, b) => a.at - b.at)
      for (const { item } of found) this.keep(item)
      this.keepTexts(drafts)
      return { pending: found.map(({ item }) => item), drafts }
    },
  }
}
