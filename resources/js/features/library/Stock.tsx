import { Minus, Plus, X } from 'lucide-react'
import { useState } from 'react'
import { api, problemsOf, type PaperStock, type StockRow } from '@/api/client'
import { refreshLibrary } from '@/api/useLibrary'
import { FormButtons } from '@/ui/FormButtons'
import { Figure } from '@/ui/Figure'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'

/** What there is of a paper: sheets and offcuts, how many of each, and where they lie. */
export function Stock({ paper }: { paper: PaperStock }) {
  const [draft, setDraft] = useState<StockRow[] | null>(null)
  const [seen, setSeen] = useState<StockRow[]>([])
  const [problems, setProblems] = useState<Record<string, string>>({})
  const rows = paper.stock ?? []
  const open = () => {
    setSeen(rows)
    setDraft(rows.length > 0 ? rows : [blank(paper)])
    setProblems({})
  }
  const put = (i: number, change: Partial<StockRow>) => {
    setDraft((all) => all?.map((row, n) => (n === i ? { ...row, ...change } : row)) ?? null)
    setProblems({})
  }
  const keep = async () => {
    if (!draft) return
    try {
      await api.stock(paper.id, draft, seen)
      setDraft(null)
      await refreshLibrary()
    } catch (error) {
      setProblems(Object.fromEntries(problemsOf(error).map(({ at, message }) => [at, message])))
      await refreshLibrary()
    }
  }
  return (
    <>
      <ul className="mt-2" aria-label={words('stock.of', { paper: paper.name })}>
        {rows.map((row) => (
          <li key={row.id} className={row.count === 0 ? 'text-soft' : ''}>
            <span className="font-semibold">{row.count}</span> × <Figure text={row.width} /> ×{' '}
            <Figure text={row.height} />
            {row.offcut && <span className="text-soft"> · {words('stock.offcut')}</span>}
            {row.roll && <span className="text-soft"> · {words('stock.roll')}</span>}
            {row.place && <span className="text-soft"> · {row.place}</span>}
          </li>
        ))}
        {rows.length === 0 && <li className="text-soft">{words('stock.none')}</li>}
      </ul>
      <button
        type="button"
        className="quiet-button -ml-3 text-live"
        aria-label={words('stock.count-named', { paper: paper.name })}
        onClick={open}
      >
        {words('stock.count')}
      </button>
      <Sheet
        title={words('stock.of', { paper: paper.name })}
        isOpen={draft !== null}
        onOpenChange={(isOpen) => !isOpen && setDraft(null)}
        isWide
      >
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault()
            void keep()
          }}
        >
          {draft?.map((row, i) => (
            <Row
              key={row.id}
              row={row}
              i={i}
              problems={problems}
              put={put}
              onDrop={() => setDraft(draft.filter((_, n) => n !== i))}
            />
          ))}
          <div className="flex flex-wrap gap-2">
            {(['sheet', 'offcut', 'roll'] as const).map((kind) => (
              <button
                key={kind}
                type="button"
                className="quiet-button text-live"
                onClick={() => setDraft([...(draft ?? []), blank(paper, kind)])}
              >
                <Plus aria-hidden="true" className="size-5" /> {words(`stock.add.${kind}`)}
              </button>
            ))}
          </div>
          {problems[''] && (
            <p role="alert" className="text-warn">
              {problems['']}
            </p>
          )}
          <FormButtons onLeave={() => setDraft(null)} />
        </form>
      </Sheet>
    </>
  )
}

let made = 0

const blank = (paper: PaperStock, kind = 'sheet'): StockRow => ({
  id: `new-${++made}`,
  width: paper.width ?? '',
  height: kind === 'roll' ? '' : (paper.height ?? ''),
  count: 1,
  offcut: kind === 'offcut',
  place: '',
  ...(kind === 'roll' ? { roll: true } : {}),
})

interface RowProps {
  row: StockRow
  i: number
  problems: Record<string, string>
  put: (i: number, change: Partial<StockRow>) => void
  onDrop: () => void
}

function Row({ row, i, problems, put, onDrop }: RowProps) {
  const wrong = ['width', 'height', 'count', 'place'].map((name) => problems[`/stock/${i}/${name}`]).find(Boolean)
  return (
    <fieldset className="border-b border-line pb-3">
      <legend className="sr-only">
        {words(row.roll ? 'stock.roll' : row.offcut ? 'stock.offcut' : 'stock.sheets')}
      </legend>
      <div className="flex flex-wrap items-end gap-2">
        <span className="flex items-center gap-1">
          <button
            type="button"
            className="quiet-button px-2!"
            aria-label={words('stock.less')}
            onClick={() => put(i, { count: Math.max(0, row.count - 1) })}
          >
            <Minus aria-hidden="true" className="size-5" />
          </button>
          <input
            className="field w-20! text-center"
            inputMode="numeric"
            data-keypad="count"
            aria-label={words('stock.how-many')}
            value={String(row.count)}
            onChange={({ target }) => put(i, { count: /^\d{1,6}$/.test(target.value) ? Number(target.value) : 0 })}
          />
          <button
            type="button"
            className="quiet-button px-2!"
            aria-label={words('stock.more')}
            onClick={() => put(i, { count: row.count + 1 })}
          >
            <Plus aria-hidden="true" className="size-5" />
          </button>
        </span>
        {(['width', 'height'] as const).map((side) => (
          <label key={side} className="block">
            <span className="mb-1 block text-[0.98rem] text-soft">
              {words(row.roll ? `stock.roll-${side}` : `papers.${side}`)}
            </span>
            <input
              className="field w-32!"
              data-keypad="length"
              aria-invalid={problems[`/stock/${i}/${side}`] !== undefined}
              value={row[side]}
              onChange={({ target }) => put(i, { [side]: target.value })}
            />
          </label>
        ))}
        <label className="block">
          <span className="mb-1 block text-[0.98rem] text-soft">{words('stock.place')}</span>
          <input className="field w-36!" value={row.place} onChange={({ target }) => put(i, { place: target.value })} />
        </label>
        {row.roll ? (
          <span className="flex min-h-11 items-center">{words('stock.roll')}</span>
        ) : (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={row.offcut}
              onChange={({ target }) => put(i, { offcut: target.checked })}
            />
            {words('stock.offcut')}
          </label>
        )}
        <button
          type="button"
          className="quiet-button px-2! text-soft"
          aria-label={words('stock.drop')}
          onClick={onDrop}
        >
          <X aria-hidden="true" className="size-5" />
        </button>
      </div>
      {wrong && (
        <p role="alert" className="mt-1 text-warn">
          {wrong}
        </p>
      )}
    </fieldset>
  )
}
