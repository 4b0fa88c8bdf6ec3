import { Plus, X } from 'lucide-react'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, problemsOf, type Catalogue, type DesignView } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { LookButtons } from '@/ui/Header'
import { ask } from '@/ui/Asking'
import { Page } from '@/ui/Main'
import { useRoom } from '@/ui/room'
import { Wordmark } from '@/ui/Wordmark'
import { words } from '@/words'
import { compared, type ComparedRow } from './compared'
import { openDraftBook, type DraftBook } from './draftBook'
import { Board } from './drawing/Board'
import { commonScale } from './drawing/layout'
import { Sentence } from './sentence/Sentence'

const MOST = 3
/** Room for the sheets of two and of three versions. */
const SHEET_PX = { 2: 480, 3: 320, tight: 240, height: 290 }
const LABELS_REM = 11
const GAP_PX = 20

/** Two or three versions of one design in columns: what is asked of each, its sheet to one scale, and every figure that differs. */
export function Compare({ designId, catalogue }: { designId: string; catalogue: Catalogue }) {
  const navigate = useNavigate()
  const [ids, setIds] = useState<string[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const fail = useCallback((error: unknown) => setTrouble(problemsOf(error)[0]?.message ?? ''), [])

  useEffect(() => {
    let isOver = false
    const load = async () => {
      const { variants } = await api.variants(designId)
      // One to compare with, from the start.
      const first = variants.length === 0 ? [(await api.addVariant(designId)).id] : variants
      if (!isOver) setIds([designId, ...first])
    }
    load().catch(fail)
    return () => {
      isOver = true
    }
  }, [designId, fail])

  const attempt = (work: () => Promise<void>) => {
    setTrouble(null)
    void work().catch(fail)
  }
  const keep = (id: string) =>
    attempt(async () => {
      const question = { title: words('compare.keep'), note: words('compare.keep-note'), act: words('compare.keep') }
      if (!(await ask(question))) return
      if (id !== designId) await api.keepVariant(designId, id)
      else for (const other of ids ?? []) if (other !== designId) await api.dropVariant(designId, other)
      await navigate(`/designs/${designId}`)
    })
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-2 px-[max(0.25rem,min(1.25rem,2vw))] py-1.5">
        <Wordmark label={words('table.to-shelf')} isShort />
        <span aria-hidden="true" className="text-xl text-soft">
          /
        </span>
        <Link to={`/designs/${designId}`} className="quiet-button">
          {words('compare.back')}
        </Link>
        <span className="flex-1" />
        <LookButtons />
        <button
          type="button"
          className="full-button"
          disabled={!ids || ids.length >= MOST}
          onClick={() => attempt(async () => setIds([...(ids ?? []), (await api.addVariant(designId)).id]))}
        >
          <Plus aria-hidden="true" className="size-5" />
          {words('compare.one-more')}
        </button>
      </header>
      <Page title={words('compare.title')} className="overflow-x-hidden py-0! pb-8!">
        <h1 className="sr-only">{words('compare.title')}</h1>
        {trouble && <ErrorNote>{trouble}</ErrorNote>}
        {ids && (
          <Columns
            ids={ids}
            catalogue={catalogue}
            onKeep={keep}
            onDrop={(id, title) =>
              attempt(async () => {
                const question = {
                  title: words('compare.drop', { title }),
                  note: words('ask.for-good'),
                  act: words('form.remove'),
                }
                if (!(await ask(question))) return
                await api.dropVariant(designId, id)
                setIds(ids.filter((one) => one !== id))
              })
            }
          />
        )}
      </Page>
    </div>
  )
}

interface ColumnsProps {
  ids: string[]
  catalogue: Catalogue
  onKeep: (id: string) => void
  onDrop: (id: string, title: string) => void
}

function Columns({ ids, catalogue, onKeep, onDrop }: ColumnsProps) {
  const [views, setViews] = useState<Record<string, DesignView>>({})
  const room = useRoom()
  /** One under the other; a figure's name above its figures. */
  const isTight = room === 'narrow' || room === 'short' || (room === 'upright' && ids.length > 2)
  const onView = useCallback((view: DesignView) => setViews((now) => ({ ...now, [view.id]: view })), [])
  const all = ids.map((id) => views[id])
  const known = all.filter((view) => view !== undefined)
  const scale = commonScale(
    known.flatMap((view) => view.design.pieces.slice(0, 1)),
    isTight ? SHEET_PX.tight : ids.length > 2 ? SHEET_PX[3] : SHEET_PX[2],
    SHEET_PX.height,
  )
  const rows = known.length === ids.length ? compared(known.map((view) => view.design)) : []
  return (
    <>
      <div
        className="grid"
        style={
          isTight
            ? { rowGap: GAP_PX }
            : { gridTemplateColumns: `${LABELS_REM}rem repeat(${ids.length}, minmax(0, 1fr))`, columnGap: GAP_PX }
        }
      >
        {!isTight && <span />}
        {ids.map((id, i) => (
          <Column
            key={id}
            id={id}
            title={i === 0 ? words('compare.as-it-is') : words('compare.version', { n: i + 1 })}
            catalogue={catalogue}
            scale={scale}
            onView={onView}
            onKeep={() => onKeep(id)}
            {...(i > 0 && ids.length > 2 ? { onDrop: () => onDrop(id, words('compare.version', { n: i + 1 })) } : {})}
          />
        ))}
      </div>
      <table
        className={`mt-3 table-fixed ${isTight ? 'compare-tight w-full' : ''}`}
        style={isTight ? undefined : { width: `calc(100% + ${GAP_PX}px)` }}
      >
        <caption className="sr-only">{words('compare.title')}</caption>
        <colgroup>
          {!isTight && <col style={{ width: `calc(${LABELS_REM}rem + ${GAP_PX}px)` }} />}
          {ids.map((id) => (
            <col key={id} />
          ))}
        </colgroup>
        <tbody>
          {rows.map((row) => (
            <Row key={row.key} row={row} columns={ids.length} />
          ))}
        </tbody>
      </table>
    </>
  )
}

interface ColumnProps {
  id: string
  title: string
  catalogue: Catalogue
  scale: number
  onView: (view: DesignView) => void
  onKeep: () => void
  onDrop?: () => void
}

/** One version: the same sentence as on the table, changed the same way. */
function Column({ id, title, catalogue, scale, onView, onKeep, onDrop }: ColumnProps) {
  const book: DraftBook = useMemo(() => openDraftBook(id), [id])
  const { view, trouble } = book.use()
  useEffect(() => {
    void book.load()
    return book.watch()
  }, [book])
  useEffect(() => {
    if (view) onView(view)
  }, [view, onView])
  return (
    <section aria-label={title} className="flex min-w-0 flex-col rounded-b-xl border-x border-b border-line bg-panel">
      <div className="flex flex-wrap items-center gap-1 px-4 pt-2">
        <h2 className="mr-auto text-lg">{title}</h2>
        {onDrop && (
          <button
            type="button"
            className="quiet-button text-soft"
            aria-label={words('compare.drop', { title })}
            onClick={onDrop}
          >
            <X aria-hidden="true" className="size-5" />
          </button>
        )}
        <button
          type="button"
          className="quiet-button font-semibold text-live"
          aria-label={words('compare.keep-named', { title })}
          onClick={onKeep}
        >
          {words('compare.keep')}
        </button>
      </div>
      {view && (
        <>
          <div className="relative bg-table/60" style={{ height: SHEET_PX.height }}>
            <Board design={view.design} pieces={view.design.pieces.slice(0, 1)} scale={scale} hasLens={false} />
          </div>
          <div className="compact px-4 py-2">
            <Sentence book={book} view={view} catalogue={catalogue} />
          </div>
          {trouble && <ErrorNote>{trouble}</ErrorNote>}
        </>
      )}
    </section>
  )
}

function Row({ row, columns }: { row: ComparedRow; columns: number }) {
  if (row.heading)
    return (
      <tr>
        <th scope="rowgroup" colSpan={columns + 1} className="pt-5 pb-1 text-left font-serif text-lg">
          {row.label}
        </th>
      </tr>
    )
  return (
    <tr className="border-b border-line" data-differs={row.differs}>
      <th scope="row" className="py-1.5 pr-3 text-left leading-tight font-normal text-soft">
        {row.label}
      </th>
      {row.cells.map((cell, i) => (
        <td
          key={i}
          className={`px-4 py-1.5 text-lg ${cell.isBad ? 'text-warn' : ''} ${row.differs ? 'bg-live-wash font-semibold' : 'text-soft'}`}
        >
          {cell.texts.length === 0 && <span className="text-soft">–</span>}
          {cell.texts.map((text, j) => (
            <span key={j}>
              {j > 0 && <span aria-hidden="true"> × </span>}
              <Figure text={text} unit={j === cell.texts.length - 1} />
            </span>
          ))}
          {cell.isBad && <span className="ml-2 text-[0.95rem]">{words('compare.fails')}</span>}
        </td>
      ))}
    </tr>
  )
}
