import { Printer } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, Refused, type DesignView, type Piece, type Sized } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { Board } from './drawing/Board'
import { Legend } from './drawing/Legend'
import { measureRows, rowNote } from './measureRows'
import { pieceName } from '@/ui/pieceName'
import { Steps } from './Steps'

const SYSTEMS = ['imperial', 'metric'] as const
const nothing = () => undefined
const NOTHING_LIT = { piece: '', measures: [] }

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
  if (!view) return null
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
      {view.design.pieces.map((piece) => (
        <section key={piece.id} className="mt-6 break-inside-avoid">
          {view.design.pieces.length > 1 && <h2 className="text-xl">{pieceName(piece)}</h2>}
          <div className="relative h-[25rem]">
            <Board design={view.design} pieces={[piece]} lit={NOTHING_LIT} hasLens={false} onLight={nothing} />
          </div>
          <Legend pieces={[piece]} />
        </section>
      ))}
      <section className="mt-7">
        <h2 className="mb-1 text-xl">{words('tab.steps')}</h2>
        <Steps design={view.design} onLight={nothing} />
      </section>
    </main>
  )
}

function MeasureTable({ design }: { design: Sized }) {
  return (
    <section>
      <h2 className="border-b-2 border-ink pb-1 text-xl">{words(`print.${design.system}`)}</h2>
      <table className="w-full">
        <tbody>
          {design.pieces.map((piece) => (
            <PieceRows key={piece.id} piece={piece} isOnly={design.pieces.length === 1} />
          ))}
          <tr>
            <th scope="row" className="py-2 text-left font-normal">
              {words('print.inside')}
            </th>
            <td className="py-2 text-right text-lg whitespace-nowrap">
              <Figure text={design.inside.text.width} unit={false} /> ×{' '}
              <Figure text={design.inside.text.height} unit={design.inside.depth === 0} />
              {design.inside.depth > 0 && (
                <>
                  {' '}
                  × <Figure text={design.inside.text.depth} />
                </>
              )}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  )
}

function PieceRows({ piece, isOnly }: { piece: Piece; isOnly: boolean }) {
  return (
    <>
      {!isOnly && (
        <tr>
          <th scope="rowgroup" colSpan={2} className="pt-4 text-left font-serif text-lg">
            {pieceName(piece)}
          </th>
        </tr>
      )}
      {measureRows(piece).map((row) => {
        const note = rowNote(row)
        return (
          <tr key={row.key + row.text} className="break-inside-avoid border-b border-line align-top">
            <th scope="row" className="py-2 pr-3 text-left leading-snug font-normal">
              {words(row.key)}
              {note && <span className="block text-[0.9rem] text-soft">{note}</span>}
            </th>
            <td className="py-2 text-right text-2xl font-semibold whitespace-nowrap">
              <Figure text={row.text} />
            </td>
          </tr>
        )
      })}
    </>
  )
}
