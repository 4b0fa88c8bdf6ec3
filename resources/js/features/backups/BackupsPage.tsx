import { Download, History as HistoryIcon, RotateCcw, Save, Undo2 } from 'lucide-react'
import { useCallback, useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, files, problemsOf, type Backup, type BackupLook } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { FileButton } from '@/ui/FileButton'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { Progress } from '@/ui/Progress'
import { Sheet } from '@/ui/Sheet'
import { Thumbnail } from '@/ui/Thumbnail'
import { language, listed, words, wordsAround } from '@/words'

type Kept = Awaited<ReturnType<typeof api.backups>>

/** Copies of everything: made, looked into and put back; and everything as one file, out and in. */
export function BackupsPage() {
  const navigate = useNavigate()
  const [kept, setKept] = useState<Kept | null>(null)
  const [look, setLook] = useState<BackupLook | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [said, setSaid] = useState<string | null>(null)
  const [isBusy, setBusy] = useState(false)
  const [going, setGoing] = useState<{ share: number | null; stop: () => void } | null>(null)

  const attempt = useCallback(async (work: () => Promise<string | null>) => {
    setTrouble(null)
    setSaid(null)
    setBusy(true)
    try {
      const done = await work()
      setKept(await api.backups())
      setSaid(done)
    } catch (error) {
      setTrouble(problemsOf(error)[0]?.message ?? '')
    } finally {
      setBusy(false)
    }
  }, [])
  useEffect(() => {
    let isOver = false
    api.backups().then(
      (found) => !isOver && setKept(found),
      (error: unknown) => !isOver && setTrouble(problemsOf(error)[0]?.message ?? ''),
    )
    return () => {
      isOver = true
    }
  }, [])
  const open = (backup: Backup) =>
    void attempt(async () => {
      setLook(await api.backup(backup.name))
      return null
    })
  const restore = (backup: Backup) =>
    void attempt(async () => {
      const { before } = await api.restore(backup.name)
      setLook(null)
      return words('backups.restored', { then: when(backup.madeAt), before: when(before.madeAt) })
    })
  return (
    <div className="flex h-full flex-col">
      <Header>
        <FileButton
          label={words('backups.take-in')}
          accept=".jsonl,application/jsonl"
          onFile={(file) =>
            void attempt(async () => {
              const stop = new AbortController()
              const show = (share: number | null) => setGoing({ share, stop: () => stop.abort() })
              show(0)
              try {
                // Once all of it has gone it is read, and how long that takes is not known.
                const { backup, unreadable } = await api.takeInAll(
                  file,
                  (share) => show(share < 1 ? share : null),
                  stop.signal,
                )
                setGoing(null)
                setLook(await api.backup(backup.name))
                return unreadable.length === 0 ? null : words('backups.unreadable', { names: listed(unreadable) })
              } catch (error) {
                if (stop.signal.aborted) return words('backups.stopped')
                throw error
              } finally {
                setGoing(null)
              }
            })
          }
        />
        <button
          type="button"
          className="full-button"
          disabled={isBusy}
          onClick={() => void attempt(async () => words('backups.made', { when: when((await api.backUp()).madeAt) }))}
        >
          <Save aria-hidden="true" className="size-5" />
          {words('backups.make')}
        </button>
      </Header>
      <Page title={words('backups.title')}>
        <div className="mx-auto max-w-4xl">
          <div className="mb-4 flex flex-wrap items-center gap-3">
            <h1 className="mr-auto text-2xl">{words('backups.title')}</h1>
            <a className="quiet-button" href={files.everythingKept()} download>
              <Download aria-hidden="true" className="size-5" />
              {words('backups.everything')}
            </a>
          </div>
          <p className="mb-4 max-w-prose text-soft">
            {wordsAround('backups.note').map((part) =>
              'text' in part ? part.text : <code key={part.slot}>{kept?.folder}</code>,
            )}
          </p>
          <div className="mb-4 space-y-2 empty:hidden">
            {going && (
              <Progress
                label={words(going.share === null ? 'backups.reading' : 'backups.sending')}
                share={going.share}
                onStop={going.stop}
              />
            )}
            {isBusy && !going && <Progress label={words('backups.busy')} share={null} />}
            {trouble && <ErrorNote>{trouble}</ErrorNote>}
            {said && (
              <p role="status" className="rounded-lg border border-line bg-panel px-4 py-3">
                {said}
              </p>
            )}
          </div>
          {kept?.backups.length === 0 && <p>{words('backups.none')}</p>}
          <ul>
            {kept?.backups.map((backup) => (
              <li
                key={backup.name}
                className="flex flex-wrap items-center gap-3 border-b border-line py-1"
                aria-label={words('backups.of', { when: when(backup.madeAt) })}
              >
                <HistoryIcon aria-hidden="true" className="size-5 text-soft" />
                <time className="font-semibold tabular-nums sm:w-56" dateTime={backup.madeAt}>
                  {when(backup.madeAt)}
                </time>
                <span className="mr-auto text-soft">{words(`backup.${backup.why}`)}</span>
                <button type="button" className="quiet-button" disabled={isBusy} onClick={() => open(backup)}>
                  {words('backups.look')}
                </button>
              </li>
            ))}
          </ul>
        </div>
      </Page>
      {look && (
        <Sheet
          title={words('backups.of', { when: when(look.backup.madeAt) })}
          isOpen
          onOpenChange={(isOpen) => !isOpen && setLook(null)}
          isWide
        >
          {trouble && <ErrorNote>{trouble}</ErrorNote>}
          <div className="mb-4 flex flex-wrap items-center gap-3">
            <p className="max-w-prose flex-1 basis-64">
              {words('backups.restore-note', { count: look.designs.length })}
            </p>
            <button
              type="button"
              className="full-button ml-auto"
              disabled={isBusy}
              onClick={() => restore(look.backup)}
            >
              <RotateCcw aria-hidden="true" className="size-5" />
              {words('backups.restore')}
            </button>
          </div>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(100%,15rem),1fr))] gap-3">
            {look.designs.map((design) => (
              <li key={design.id} className="flex flex-col gap-1 rounded-xl border border-line bg-panel p-3">
                <span className="h-24 w-full">
                  <Thumbnail drawing={design.drawing} />
                </span>
                <span className="truncate font-serif font-semibold">{design.name}</span>
                <span className="text-[0.95rem] text-soft">
                  <time dateTime={design.savedAt}>{when(design.savedAt)}</time>
                  {design.isAway && ` · ${words('backups.away')}`}
                </span>
                <button
                  type="button"
                  className="quiet-button -ml-3 self-start"
                  disabled={isBusy}
                  onClick={() =>
                    void attempt(async () => {
                      const view = await api.fetchBack(look.backup.name, design.id)
                      await navigate(`/designs/${view.id}`)
                      return null
                    })
                  }
                >
                  <Undo2 aria-hidden="true" className="size-5" />
                  {words('backups.fetch')}
                </button>
              </li>
            ))}
          </ul>
        </Sheet>
      )}
    </div>
  )
}

const when = (at: string) => new Date(at).toLocaleString(language(), { dateStyle: 'medium', timeStyle: 'short' })
