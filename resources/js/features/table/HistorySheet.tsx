import { Bookmark, Trash2 } from 'lucide-react'
import { useCallback, useEffect, useState } from 'react'
import { api, problemsOf, type DesignView, type History } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { ask } from '@/ui/Asking'
import { Sheet } from '@/ui/Sheet'
import { TextField } from '@/ui/TextField'
import { fieldName } from '@/ui/fieldName'
import { hasWords, language, listed, words } from '@/words'
import type { DraftBook } from './draftBook'

interface HistorySheetProps {
  book: DraftBook
  view: DesignView
  onDone: () => void
}

/** Everything that was done to a design, to go back to; and the states that have a name. */
export function HistorySheet({ book, view, onDone }: HistorySheetProps) {
  const [history, setHistory] = useState<History | null>(null)
  const [name, setName] = useState('')
  const [trouble, setTrouble] = useState<string | null>(null)
  const load = useCallback(async () => {
    try {
      setHistory(await api.history(view.id))
      setTrouble(null)
    } catch (error) {
      setTrouble(problemsOf(error)[0]?.message ?? '')
    }
  }, [view.id])
  useEffect(() => {
    let isOver = false
    api.history(view.id).then(
      (found) => !isOver && setHistory(found),
      (error: unknown) => !isOver && setTrouble(problemsOf(error)[0]?.message ?? ''),
    )
    return () => {
      isOver = true
    }
  }, [view.id, view.revision])
  const attempt = async (work: () => Promise<unknown>) => {
    setTrouble(null)
    try {
      await work()
      await load()
    } catch (error) {
      setTrouble(problemsOf(error)[0]?.message ?? '')
    }
  }
  return (
    <Sheet title={words('history.title')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()}>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      <form
        className="mb-5 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void attempt(async () => {
            await api.namePoint(view.id, name)
            setName('')
          })
        }}
      >
        <TextField
          className="min-w-44 flex-1"
          label={words('history.name-now')}
          value={name}
          onChange={setName}
          maxLength={80}
        />
        <button type="submit" className="full-button" disabled={name.trim() === ''}>
          <Bookmark aria-hidden="true" className="size-5" />
          {words('history.name')}
        </button>
      </form>
      {history && history.points.length > 0 && (
        <section className="mb-5">
          <h3 className="mb-1 text-lg">{words('history.points')}</h3>
          <ul>
            {history.points.map((point) => (
              <li key={point.id} className="flex items-center gap-2 border-b border-line">
                <span className="min-w-0 flex-1">
                  <span className="block truncate font-semibold">{point.name}</span>
                  <span className="block text-[0.95rem] text-soft">{when(point.madeAt)}</span>
                </span>
                <button
                  type="button"
                  className="quiet-button font-semibold text-live"
                  aria-label={words('history.return-to', { name: point.name })}
                  onClick={() => void attempt(async () => book.show(await api.returnTo(view.id, point.id)))}
                >
                  {words('history.return')}
                </button>
                <button
                  type="button"
                  className="quiet-button text-soft"
                  aria-label={words('history.forget', { name: point.name })}
                  onClick={() =>
                    void ask({
                      title: words('history.forget', { name: point.name }),
                      note: words('ask.for-good'),
                      act: words('form.remove'),
                    }).then((isMeant) => (isMeant ? attempt(() => api.forgetPoint(view.id, point.id)) : undefined))
                  }
                >
                  <Trash2 aria-hidden="true" className="size-5" />
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <h3 className="mb-1 text-lg">{words('history.changes')}</h3>
      <ol>
        {history?.revisions.map((revision) => {
          const isNow = revision.number === history.now
          return (
            <li key={revision.number}>
              <button
                type="button"
                className={`w-full cursor-pointer rounded-lg px-3 py-2 text-left hover:bg-live-wash ${isNow ? 'bg-live-wash font-semibold' : ''} ${revision.number > history.now ? 'text-soft' : ''}`}
                aria-current={isNow ? 'step' : undefined}
                onClick={() => void attempt(async () => book.show(await api.go(view.id, history.now, revision.number)))}
              >
                <span className="flex flex-wrap justify-between gap-x-4">
                  <span>{changeWords(revision.changes)}</span>
                  <span className="shrink-0 font-normal text-soft">{when(revision.madeAt)}</span>
                </span>
              </button>
            </li>
          )
        })}
      </ol>
    </Sheet>
  )
}

function when(iso: string): string {
  return iso === ''
    ? ''
    : new Intl.DateTimeFormat(language(), {
        day: 'numeric',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
      }).format(new Date(iso))
}

const MOST = 3
const LONGEST_VALUE = 48

/** What one change did, in the fields' own names. */
function changeWords(changes: History['revisions'][number]['changes']): string {
  if (changes.length === 0) return words('history.begun')
  // What something added is called within the request says nothing.
  const told = changes.filter(({ at }) => !/^\/with\/\d+\/id$/.test(at))
  const some = told.slice(0, MOST).map(({ at, to }) => {
    const what = fieldName(at)
    return to === null ? words('history.usual', { what }) : words('history.set', { what, to: valueWords(at, to) })
  })
  const changed = listed(some)
  return told.length > MOST
    ? words('history.more', { changes: some.join(words('list.between')), count: told.length - MOST })
    : changed
}

function valueWords(at: string, to: string): string {
  const key = [`choice.${to}`, `with.role.${to}`, `readings.${to}`, `system.${to}`, `make.${to}.noun`].find(hasWords)
  if (key && !at.startsWith('/name') && at !== '/notes' && at !== '/by') return words(key)
  return to.length > LONGEST_VALUE ? `${to.slice(0, LONGEST_VALUE)}…` : to
}
