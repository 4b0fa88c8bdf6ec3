import { ChevronDown } from 'lucide-react'
import { Collapsible } from 'radix-ui'
import type { Alternative, Piece, Term } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { light, NOTHING_LIT, useIsLit } from './lit'
import { measureRows, rowNote, type MeasureRow } from './measureRows'
import { nameOfPiece } from '@/ui/pieceName'

interface MeasuresProps {
  piece: Piece
  alternatives: Alternative[] | null
  /** All of the design: of several, a fit says which it is about. */
  pieces: Piece[]
}

/** What the hand sets, in the order it is set; each figure opens into what it is made of, and what a step up or down would do. */
export function Measures({ piece, alternatives, pieces }: MeasuresProps) {
  return (
    <ol className="divide-y divide-line">
      {measureRows(piece).map((row) => (
        <Row key={row.key + row.measures.join()} {...{ piece, row, alternatives, pieces }} />
      ))}
    </ol>
  )
}

function Row({ piece, row, alternatives, pieces }: MeasuresProps & { row: MeasureRow }) {
  const note = rowNote(row)
  const isLit = useIsLit(piece.id, row.measures)
  const lightThese = () => light({ piece: piece.id, measures: row.measures })
  const lightNone = () => light(NOTHING_LIT)
  return (
    <li>
      <Collapsible.Root>
        <Collapsible.Trigger
          className={`group flex w-full cursor-pointer items-center gap-3 rounded-lg px-2 py-2.5 text-left hover:bg-live-wash ${
            isLit ? 'bg-live-wash' : ''
          }`}
          onPointerEnter={lightThese}
          onPointerLeave={lightNone}
          onFocus={lightThese}
          onBlur={lightNone}
        >
          <span className="flex-1">
            <span className="block text-[1.06rem] leading-snug font-semibold">{words(row.key)}</span>
            {note && <span className="block text-[0.95rem] leading-snug text-soft">{note}</span>}
          </span>
          <Figure text={row.text} className="text-[1.9rem] leading-none font-semibold" />
          <ChevronDown
            aria-hidden="true"
            className="size-5 shrink-0 text-soft transition-transform group-data-[state=open]:rotate-180"
          />
          <span className="sr-only">{words('measure.why')}</span>
        </Collapsible.Trigger>
        <Collapsible.Content>
          <MadeOf terms={row.madeOf} total={row.text} />
          <StepsAway {...{ piece, row, alternatives, pieces }} />
        </Collapsible.Content>
      </Collapsible.Root>
    </li>
  )
}

/** A sum as a maker would write it out: each part, what of it counts, and the figure below the line. */
function MadeOf({ terms, total }: { terms: Term[]; total: string }) {
  return (
    <table className="mb-3 ml-2 w-[calc(100%-1rem)] text-[0.98rem]">
      <caption className="sr-only">{words('measure.made-of')}</caption>
      <tbody>
        {terms.map((term, i) => (
          <tr key={i}>
            <th scope="row" className="py-1 text-left font-normal text-soft">
              {words(`term.${term.kind}${term.dimension ? `.${term.dimension}` : ''}`)}
            </th>
            <td className="py-1 pr-3 text-right text-soft">
              {term.whole && (
                <>
                  <Figure text={term.whole} unit={false} />
                  <span className="sr-only">{words('measure.of-which')}</span>
                  <span aria-hidden="true" className="pl-3">
                    →
                  </span>
                </>
              )}
            </td>
            <td className="py-1 text-right">
              <Figure text={term.text} unit={false} />
            </td>
          </tr>
        ))}
        <tr className="border-t border-soft font-semibold">
          <th scope="row" className="py-1.5 text-left">
            {words('measure.total')}
          </th>
          <td />
          <td className="py-1.5 text-right">
            <Figure text={total} />
          </td>
        </tr>
      </tbody>
    </table>
  )
}

/** Less than what is shown of a figure. */
const isNothing = (text: string) => /^-?0 /.test(text)

type StepsAwayProps = Pick<MeasuresProps, 'piece' | 'alternatives' | 'pieces'> & { row: MeasureRow }

/** The same setting a step up and a step down, and what each would leave of the fits. */
function StepsAway({ piece, row, alternatives, pieces }: StepsAwayProps) {
  const away = (alternatives ?? []).filter(
    (one) => one.piece === piece.id && one.measures.some((measure) => row.measures.includes(measure)),
  )
  if (away.length === 0) return null
  return (
    <div className="mb-3 grid gap-1.5 px-2">
      {away.map((one) => (
        <section
          key={`${one.measures.join()} ${one.steps}`}
          className="rounded-lg border border-line px-3 py-2"
          data-steps={one.steps}
        >
          <p className="flex items-baseline justify-between gap-3 text-[0.98rem]">
            <span>{words(one.steps > 0 ? 'measure.step-up' : 'measure.step-down')}</span>
            <Figure text={one.text} className="text-lg font-semibold" />
          </p>
          {one.fits.length === 0 && <p className="text-[0.95rem] text-soft">{words('measure.changes-nothing')}</p>}
          <ul className="text-[0.95rem]">
            {[...one.fits]
              .sort((a, b) => Number(a.ok) - Number(b.ok))
              .map((fit) => (
                <li
                  key={fit.id + (fit.piece ?? '')}
                  className={`flex justify-between gap-3 ${fit.ok ? 'text-soft' : 'font-semibold text-warn'}`}
                >
                  <span>
                    {words(`check.${fit.id}`)}
                    {fit.piece && pieces.length > 1 && ` (${nameOfPiece(pieces, fit.piece)})`}
                  </span>
                  <span className="text-right whitespace-nowrap">
                    {!fit.ok && `${words(isNothing(fit.spare) ? 'measure.just-no-more' : 'measure.no-more')} `}
                    {(fit.ok || !isNothing(fit.spare)) && <Figure text={fit.spare.replace(/^-/, '')} />}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  )
}
