import { Printer } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, Refused, type DesignView, type Sized } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { hasWords, words } from '@/words'
import { Legend } from './Legend'
import { measureRows } from './measureRows'
import { Sheet } from './Sheet'
import { Steps } from './Steps'

const SYSTEMS = ['imperial', 'metric'] as const
const nothing = () => undefined

/** The measures of one design on paper, in both systems side by side: two roundings of one exact design. */
export function PrintView({ designId }: { designId: string }) {
  const [view, setView] = useState<DesignView | null>(null)
  const [columns, setColumns] = useState<Sized[]>([])
  const [trouble, setTrouble] = useState<string | null>(null)

  useEffect(() => {
    const load = async () => {
      try {
        const found = await api.design(designId)
        const both = await Promise.all(SYSTEMS.map((to) => api.size(found.spec, [{ at: '/system', to }])))
        setView(found)
        setColumns(both)
        document.title = `${found.name} · Gimbo`
      } catch (error) {
        setTrouble(error instanceof Refused ? error.message : words('saving.try-again'))
      }
    }
    void load()
  }, [designId])

  if (trouble) {
    return (
      <main className="p-10">
        <ErrorNote>{trouble}</ErrorNote>
      </main>
    )
  }
  const piece = view?.design.pieces[0]
  if (!view || !piece) return null
  return (
    <main className="mx-auto my-6 max-w-[52rem] bg-paper px-12 py-8 shadow-lg print:m-0 print:max-w-none print:p-0 print:shadow-none">
      <div className="no-print mb-5 flex justify-between">
        <Link to={`/designs/${designId}`} className="quiet-button -ml-3">
          {words('print.back')}
        </Link>
        <button type="button" className="full-button" onClick={() => window.print()}>
          <Printer aria-hidden="true" className="size-5" />
          {words('print.print')}
        </button>
      </div>
      <h1 className="text-3xl">{view.name}</h1>
      <p className="mt-1 text-lg text-soft">
        {words(`make.${view.design.make}.noun`)}, {words('print.holds')}{' '}
        <Figure text={view.fields['/holds/width']?.text ?? ''} /> ×{' '}
        <Figure text={view.fields['/holds/height']?.text ?? ''} />
      </p>
      <div className="mt-5 grid grid-cols-2 gap-10">
        {columns.map((design) => (
          <MeasureTable key={design.system} design={design} />
        ))}
      </div>
      <div className="relative mt-6 h-[25rem] break-inside-avoid">
        <Sheet design={view.design} piece={piece} lit={[]} onLight={nothing} />
      </div>
      <Legend piece={piece} />
      <section className="mt-7">
        <h2 className="mb-1 text-xl">{words('tab.steps')}</h2>
        <Steps design={view.design} onLight={nothing} />
      </section>
    </main>
  )
}

function MeasureTable({ design }: { design: Sized }) {
  const rows = design.pieces.flatMap((piece) => measureRows(piece))
  return (
    <section className="break-inside-avoid">
      <h2 className="border-b-2 border-ink pb-1 text-xl">{words(`print.${design.system}`)}</h2>
      <table className="w-full">
        <tbody>
          {rows.map((row) => {
            const note = [`${row.key}.${row.from[0]}`, `${row.key}.note`].find(hasWords)
            return (
              <tr key={row.key + row.text} className="border-b border-line align-top">
                <th scope="row" className="py-2 pr-3 text-left leading-snug font-normal">
                  {words(row.key)}
                  {note && <span className="block text-[0.9rem] text-soft">{words(note)}</span>}
                </th>
                <td className="py-2 text-right text-2xl font-semibold">
                  <Figure text={row.text} />
                </td>
              </tr>
            )
          })}
          <tr>
            <th scope="row" className="py-2 text-left font-normal">
              {words('print.inside')}
            </th>
            <td className="py-2 text-right text-lg whitespace-nowrap">
              <Figure text={design.inside.text.width} unit={false} /> × <Figure text={design.inside.text.height} />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  )
}
