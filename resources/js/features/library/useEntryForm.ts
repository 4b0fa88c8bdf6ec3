import { useRef, useState } from 'react'
import { api, problemsOf, type Library } from '@/api/client'
import { refreshLibrary } from '@/api/useLibrary'
import { takeSeat } from '@/ui/focus'
import { notice } from '@/ui/notices'
import { words } from '@/words'

export type Draft = Record<string, string>
export type EntryFormState = ReturnType<typeof useEntryForm>

/** What any entry of the library has. */
export interface Kept {
  id: string
  name: string
}

/** A form for one entry: what is typed stays typed until it is kept; what is wrong stands at its field. */
export function useEntryForm(kind: keyof Library, blank: Draft, toEntry: (draft: Draft) => object) {
  const [editing, setEditing] = useState<string | null>(null)
  const [draft, setDraft] = useState<Draft | null>(null)
  const [problems, setProblems] = useState<Record<string, string>>({})

  /** What was half filled in when it was closed, by what it was about: it comes back when that is opened again. */
  const left = useRef(new Map<string | null, Draft>())

  const close = () => {
    setDraft(null)
    setEditing(null)
    setProblems({})
  }
  return {
    draft,
    problems,
    isNew: editing === null,
    /** A blank one, or what was begun before. */
    begin: () => {
      setDraft(left.current.get(null) ?? blank)
      setEditing(null)
      setProblems({})
    },
    /** One that is kept, as texts. */
    change: (entry: Kept) => {
      const texts = Object.keys(blank).map((field) => [field, String(entry[field as keyof Kept] ?? '')] as const)
      setDraft(left.current.get(entry.id) ?? Object.fromEntries(texts))
      setEditing(entry.id)
      setProblems({})
    },
    /** Closed by the way; what was typed is there when it is opened again. */
    lay: () => {
      if (draft) left.current.set(editing, draft)
      close()
    },
    /** Left as it was. */
    close: () => {
      left.current.delete(editing)
      close()
    },
    put: (field: string) => (value: string) => {
      setDraft((now) => now && { ...now, [field]: value })
      setProblems((now) => Object.fromEntries(Object.entries(now).filter(([at]) => at !== field)))
    },
    keep: async () => {
      if (!draft) return
      try {
        await (editing === null ? api.addEntry(kind, toEntry(draft)) : api.changeEntry(kind, editing, toEntry(draft)))
        left.current.delete(editing)
        close()
        await refreshLibrary()
      } catch (error) {
        setProblems(Object.fromEntries(problemsOf(error).map(({ at, message }) => [at.slice(1), message])))
      }
    },
    remove: async ({ id, ...entry }: Kept) => {
      try {
        await api.dropEntry(kind, id)
        notice(words('form.removed', { name: entry.name }), {
          label: words('form.put-back'),
          act: () => void api.addEntry(kind, entry).then(refreshLibrary, () => notice(words('saving.try-again'))),
        })
      } catch {
        notice(words('saving.try-again'))
      } finally {
        await refreshLibrary()
        takeSeat(null)
      }
    },
  }
}

/**
 * Only what was filled in: an empty field means the usual. Digits in a field that counts become the number they are;
 * anything else there is left for the server to say what is wrong with it.
 */
export const filled =
  (...counts: string[]) =>
  (draft: Draft) =>
    Object.fromEntries(
      Object.entries(draft)
        .filter(([, value]) => value.trim() !== '')
        .map(([field, value]) => [field, counts.includes(field) && /^\d{1,6}$/.test(value) ? Number(value) : value]),
    )
