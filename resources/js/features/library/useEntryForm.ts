import { useState } from 'react'
import { api, problemsOf, type Library } from '@/api/client'
import { refreshLibrary } from '@/api/useLibrary'

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

  const close = () => {
    setDraft(null)
    setEditing(null)
    setProblems({})
  }
  return {
    draft,
    problems,
    isNew: editing === null,
    /** A blank one. */
    begin: () => {
      setDraft(blank)
      setEditing(null)
      setProblems({})
    },
    /** One that is kept, as texts. */
    change: (entry: Kept) => {
      const texts = Object.keys(blank).map((field) => [field, String(entry[field as keyof Kept] ?? '')] as const)
      setDraft(Object.fromEntries(texts))
      setEditing(entry.id)
      setProblems({})
    },
    close,
    put: (field: string) => (value: string) => {
      setDraft((now) => now && { ...now, [field]: value })
      setProblems((now) => Object.fromEntries(Object.entries(now).filter(([at]) => at !== field)))
    },
    keep: async () => {
      if (!draft) return
      try {
        await (editing === null ? api.addEntry(kind, toEntry(draft)) : api.changeEntry(kind, editing, toEntry(draft)))
        close()
        await refreshLibrary()
      } catch (error) {
        setProblems(Object.fromEntries(problemsOf(error).map(({ at, message }) => [at.slice(1), message])))
      }
    },
    remove: async (id: string) => {
      try {
        await api.dropEntry(kind, id)
      } finally {
        await refreshLibrary()
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
