import { useShallow } from 'zustand/react/shallow'
import { TriangleAlert } from 'lucide-react'
import { words } from '@/words'
import type { DraftBook } from '../draftBook'

/** The id of what is said of a field, for the field to point at. */
export const saidOf = (at: string) => `said${at.replaceAll('/', '-')}`

/** What is wrong with what was typed in the sentence, each under the name of its field; in the flow, so that it covers nothing. */
export function Wrong({ book }: { book: DraftBook }) {
  const wrong = book.use(
    useShallow((state) =>
      Object.entries(state.drafts).flatMap(([at, { problem }]) => (problem === undefined ? [] : [`${at} ${problem}`])),
    ),
  )
  return (
    <ul className="space-y-1 empty:hidden">
      {wrong
        .filter((one) => !one.startsWith('/name '))
        .map((one) => {
          const at = one.slice(0, one.indexOf(' '))
          return (
            <li
              key={at}
              className="said-wrong flex items-start gap-2 rounded-lg border border-warn bg-warn-wash px-3 py-1.5 leading-snug text-warn"
            >
              <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
              <span>
                <strong className="font-semibold">{words(`field${at.replaceAll('/', '.')}`)}: </strong>
                <span id={saidOf(at)} role="alert">
                  {one.slice(at.length + 1)}
                </span>
              </span>
            </li>
          )
        })}
    </ul>
  )
}
