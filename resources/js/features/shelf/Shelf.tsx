import { Copy, FileInput, Moon, Sun, Trash2, TriangleAlert } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, Refused, type Catalogue, type ShelfCard } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { useTheme } from '@/ui/theme'
import { Wordmark } from '@/ui/Wordmark'
import { words } from '@/words'
import { MakeGrid, Picker } from './Picker'
import { Thumbnail } from './Thumbnail'

const LARGEST_FILE = 256 * 1024

/** A quarter-letter card, the size most makers start with. */
const FIRST_CARD = { width: '5 1/2 in', height: '4 1/4 in', thickness: '1 mm', count: 1 }

/** Every design by its own drawing; the way in for new ones. */
export function Shelf({ catalogue }: { catalogue: Catalogue }) {
  const navigate = useNavigate()
  const [cards, setCards] = useState<ShelfCard[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [takenOff, setTakenOff] = useState<ShelfCard | null>(null)
  const [theme, toggleTheme] = useTheme()
  const picker = useRef<HTMLInputElement>(null)

  const attempt = async (work: () => Promise<void>) => {
    setTrouble(null)
    try {
      await work()
    } catch (error) {
      setTrouble(describe(error))
    }
  }
  const load = async () => setCards((await api.shelf()).designs)

  useEffect(() => {
    document.title = 'Gimbo'
    api.shelf().then(
      ({ designs }) => setCards(designs),
      (error: unknown) => setTrouble(describe(error)),
    )
  }, [])

  const start = (make: string) =>
    attempt(async () => {
      const view = await api.start(words('shelf.new-name', { make: words(`make.${make}.noun`) }), {
        make,
        holds: FIRST_CARD,
      })
      await navigate(`/designs/${view.id}`)
    })
  const takeIn = (file: File) =>
    attempt(async () => {
      if (file.size > LARGEST_FILE) throw new Refused(413, [{ at: '', message: words('reason.request.too-large') }])
      const view = await api.takeIn(await file.text())
      await navigate(`/designs/${view.id}`)
    })
  const copy = (card: ShelfCard) =>
    attempt(async () => {
      await api.copy(card.id, words('shelf.copy-name', { name: card.name }).slice(0, 80))
      await load()
    })
  const takeOff = (card: ShelfCard) =>
    attempt(async () => {
      await api.takeOff(card.id)
      setTakenOff(card)
      await load()
    })
  const putBack = (card: ShelfCard) =>
    attempt(async () => {
      await api.putBack(card.id)
      setTakenOff(null)
      await load()
    })

  return (
    <div className="flex h-full flex-col">
      <header className="flex items-center gap-3 px-5 py-1.5">
        <Wordmark label={words('table.to-shelf')} />
        <span className="flex-1" />
        <button type="button" className="quiet-button" onClick={toggleTheme} aria-label={words(`theme.${theme}`)}>
          {theme === 'dark' ? (
            <Sun aria-hidden="true" className="size-5" />
          ) : (
            <Moon aria-hidden="true" className="size-5" />
          )}
        </button>
        <button type="button" className="quiet-button" onClick={() => picker.current?.click()}>
          <FileInput aria-hidden="true" className="size-5" />
          {words('shelf.take-in')}
        </button>
        <input
          ref={picker}
          type="file"
          accept=".json,application/json"
          className="hidden"
          aria-label={words('shelf.take-in')}
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file) void takeIn(file)
          }}
        />
        <Picker makes={catalogue.makes} onPick={(make) => void start(make)} />
      </header>
      <main className="min-h-0 flex-1 overflow-y-auto border-t border-line px-6 py-5" tabIndex={-1}>
        <div className="mb-4 space-y-2 empty:hidden">
          {trouble && <ErrorNote>{trouble}</ErrorNote>}
          {takenOff && (
            <div
              role="status"
              className="flex items-center justify-between gap-3 rounded-lg border border-line bg-panel px-4 py-1"
            >
              {words('shelf.taken-off', { name: takenOff.name })}
              <button
                type="button"
                className="quiet-button font-semibold text-live"
                onClick={() => void putBack(takenOff)}
              >
                {words('shelf.put-back')}
              </button>
            </div>
          )}
        </div>
        <h1 className="mb-4 text-2xl">{words('shelf.title')}</h1>
        {cards?.length === 0 && (
          <div className="mx-auto mt-2 mb-8 max-w-5xl">
            <p className="text-center font-serif text-xl leading-snug">{words('shelf.empty')}</p>
            <p className="mt-1 mb-6 text-center text-soft">{words('shelf.empty-next')}</p>
            <MakeGrid makes={catalogue.makes} onPick={(make) => void start(make)} />
          </div>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15.5rem,1fr))] gap-5">
          {cards?.map((card) => (
            <li
              key={card.id}
              className="group relative flex flex-col rounded-xl border border-line bg-panel focus-within:border-live hover:border-live"
            >
              <Link to={`/designs/${card.id}`} className="flex flex-1 flex-col rounded-xl">
                <span className="flex h-48 items-center justify-center rounded-t-xl bg-table/60 p-4">
                  <Thumbnail drawing={card.drawing} />
                </span>
                <span className="block px-4 pt-3 pb-14">
                  <span className="block font-serif text-[1.12rem] leading-snug font-semibold">{card.name}</span>
                  <span className="block text-soft">
                    {words(`make.${card.summary.make}.noun`)} ·{' '}
                    <Figure text={card.summary.holds.text.width} unit={false} /> ×{' '}
                    <Figure text={card.summary.holds.text.height} />
                  </span>
                </span>
              </Link>
              <span className="absolute inset-x-2 bottom-1.5 flex items-center">
                {!card.summary.fits && (
                  <span className="mr-auto flex items-center gap-1.5 pl-2 text-[0.95rem] font-semibold text-warn">
                    <TriangleAlert aria-hidden="true" className="size-4" />
                    {words('shelf.does-not-fit')}
                  </span>
                )}
                <button
                  type="button"
                  className="quiet-button ml-auto text-soft"
                  aria-label={words('shelf.copy', { name: card.name })}
                  onClick={() => void copy(card)}
                >
                  <Copy aria-hidden="true" className="size-4.5" />
                </button>
                <button
                  type="button"
                  className="quiet-button text-soft"
                  aria-label={words('shelf.take-off', { name: card.name })}
                  onClick={() => void takeOff(card)}
                >
                  <Trash2 aria-hidden="true" className="size-4.5" />
                </button>
              </span>
            </li>
          ))}
        </ul>
      </main>
    </div>
  )
}

function describe(error: unknown): string {
  const first = error instanceof Refused ? error.problems[0] : undefined
  if (!first) return words('saving.try-again')
  return first.at === '' ? first.message : words('shelf.refused-at', { at: first.at, message: first.message })
}
