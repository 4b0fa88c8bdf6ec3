import { Archive, FileArchive, Plus, Search } from 'lucide-react'
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, files, LARGEST_FILE, problemsOf, Refused, type Catalogue, type ShelfCard } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { FileButton } from '@/ui/FileButton'
import { Header } from '@/ui/Header'
import { Sheet } from '@/ui/Sheet'
import { Page } from '@/ui/Main'
import { useShortcuts } from '@/ui/shortcuts'
import { useSize } from '@/ui/useSize'
import { words } from '@/words'
import { Archived } from './Archived'
import { found, grouped, ORDERS, type Order } from './found'
import { NameSheet } from './NameSheet'
import { columnsIn, Sections } from './Sections'
import { Start } from './Start'

/** More than these are not named in an address: only all of them can be handed on at once. */
const MOST_NAMED = 120

/** Every design by its own drawing, to be found, sorted, grouped and put away; the way in for new ones. */
export function Shelf({ catalogue }: { catalogue: Catalogue }) {
  const navigate = useNavigate()
  const [cards, setCards] = useState<ShelfCard[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [takenOff, setTakenOff] = useState<ShelfCard | null>(null)
  const [isStarting, setStarting] = useState(false)
  const [showsArchive, setShowsArchive] = useState(false)
  const [naming, setNaming] = useState<{ card: ShelfCard; what: 'name' | 'group' } | null>(null)
  const [asked, setAsked] = useState('')
  const [order, setOrder] = useState<Order>('latest')
  const search = useRef<HTMLInputElement>(null)
  const [across, { width }] = useSize<HTMLDivElement>()

  const attempt = useCallback(async (work: () => Promise<void>) => {
    setTrouble(null)
    try {
      await work()
    } catch (error) {
      setTrouble(describe(error))
    }
  }, [])
  const latest = useRef(0)
  const load = useCallback(async () => {
    const turn = ++latest.current
    const { designs } = await api.shelf()
    // An answer that a later question has overtaken is out of date.
    if (turn === latest.current) setCards(designs)
  }, [])

  useEffect(() => {
    load().catch((error: unknown) => setTrouble(describe(error)))
  }, [load])
  useShortcuts(({ key }) => {
    if (key === '/') return () => search.current?.focus()
    if (key.toLowerCase() === 'n') return () => setStarting(true)
  })

  const start = (make: string, spec: object) =>
    void attempt(async () => {
      const view = await api.start(words('shelf.new-name', { make: words(`make.${make}.noun`) }), spec)
      await navigate(`/designs/${view.id}`)
    })
  const takeIn = (file: File) =>
    attempt(async () => {
      if (file.size > LARGEST_FILE) throw new Refused(413, [{ at: '', message: words('reason.request.too-large') }])
      const view = await api.takeIn(await file.text())
      await navigate(`/designs/${view.id}`)
    })
  const copy = useCallback(
    (card: ShelfCard) =>
      void attempt(async () => {
        await api.copy(card.id, words('shelf.copy-name', { name: card.name }).slice(0, 80))
        await load()
      }),
    [attempt, load],
  )
  const takeOff = useCallback(
    (card: ShelfCard) =>
      void attempt(async () => {
        await api.takeOff(card.id)
        setTakenOff(card)
        await load()
      }),
    [attempt, load],
  )
  const putBack = async (card: ShelfCard) => {
    let isBack = false
    await attempt(async () => {
      await api.putBack(card.id)
      isBack = true
      setTakenOff((now) => (now?.id === card.id ? null : now))
      await load()
    })
    return isBack
  }
  const rename = useCallback((card: ShelfCard) => setNaming({ card, what: 'name' }), [])
  const group = useCallback((card: ShelfCard) => setNaming({ card, what: 'group' }), [])

  const askedNow = useDeferredValue(asked)
  const shown = useMemo(() => found(cards ?? [], askedNow, order), [cards, askedNow, order])
  const sections = useMemo(() => grouped(shown), [shown])
  const isAll = shown.length === cards?.length
  const groups = useMemo(() => [...new Set((cards ?? []).map((card) => card.group).filter(Boolean))].sort(), [cards])

  return (
    <div className="flex h-full flex-col">
      <Header>
        <FileButton
          label={words('shelf.take-in')}
          accept=".json,application/json"
          onFile={(file) => void takeIn(file)}
        />
        <button type="button" className="full-button" onClick={() => setStarting(true)}>
          <Plus aria-hidden="true" className="size-5" />
          {words('shelf.new-picker')}
        </button>
      </Header>
      <Page title={words('place.shelf')}>
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
        <div className="mb-5 flex flex-wrap items-center gap-x-2 gap-y-3">
          <h1 className="mr-auto text-2xl">{words('shelf.title')}</h1>
          {cards !== null && cards.length > 0 && (
            <>
              <span className="relative flex-1 basis-44 max-sm:order-1 md:max-w-64">
                <Search aria-hidden="true" className="pointer-events-none absolute top-3 left-3 size-5 text-soft" />
                <input
                  ref={search}
                  type="search"
                  className="field pl-10!"
                  placeholder={words('shelf.find')}
                  aria-label={words('shelf.find')}
                  value={asked}
                  onChange={(event) => setAsked(event.target.value)}
                />
              </span>
              <select
                className="field w-auto! cursor-pointer max-sm:order-1"
                aria-label={words('shelf.order')}
                value={order}
                onChange={(event) => setOrder(event.target.value as Order)}
              >
                {ORDERS.map((one) => (
                  <option key={one} value={one}>
                    {words(`shelf.order.${one}`)}
                  </option>
                ))}
              </select>
            </>
          )}
          {shown.length > 0 && (isAll || shown.length <= MOST_NAMED) && (
            <a className="quiet-button text-soft" href={files.several(isAll ? [] : shown.map(({ id }) => id))} download>
              <FileArchive aria-hidden="true" className="size-5" />
              <span className="max-sm:sr-only">{words('shelf.hand-on')}</span>
            </a>
          )}
          <button type="button" className="quiet-button text-soft" onClick={() => setShowsArchive(true)}>
            <Archive aria-hidden="true" className="size-5" />
            <span className="max-sm:sr-only">{words('shelf.archive')}</span>
          </button>
        </div>
        {cards?.length === 0 && (
          <div className="mx-auto mt-2 max-w-5xl rounded-2xl border border-line bg-panel p-[max(1rem,min(1.75rem,4vw))]">
            <p className="mb-5 font-serif text-lg">{words('shelf.empty')}</p>
            <Start catalogue={catalogue} onStart={start} />
          </div>
        )}
        {cards !== null && cards.length > 0 && sections.length === 0 && (
          <p className="rounded-xl border border-line bg-panel p-5">
            {words('shelf.none-found', { asked: askedNow })}{' '}
            <button type="button" className="quiet-button text-live" onClick={() => setAsked('')}>
              {words('shelf.show-all')}
            </button>
          </p>
        )}
        <div ref={across}>
          <Sections
            key={`${askedNow} ${order}`}
            sections={sections}
            columns={columnsIn(width)}
            onRename={rename}
            onGroup={group}
            onCopy={copy}
            onTakeOff={takeOff}
          />
        </div>
      </Page>
      <Sheet title={words('shelf.new-design')} isOpen={isStarting} onOpenChange={setStarting} isWide>
        {trouble && <ErrorNote>{trouble}</ErrorNote>}
        <Start catalogue={catalogue} onStart={start} />
      </Sheet>
      {naming && (
        <NameSheet
          {...naming}
          groups={groups}
          onDone={(hasChanged) => {
            setNaming(null)
            if (hasChanged) void attempt(load)
          }}
        />
      )}
      {showsArchive && <Archived trouble={trouble} onPutBack={putBack} onDone={() => setShowsArchive(false)} />}
    </div>
  )
}

function describe(error: unknown): string {
  const [first] = problemsOf(error)
  if (!first) return words('saving.try-again')
  return first.at === '' ? first.message : words('shelf.refused-at', { at: first.at, message: first.message })
}
