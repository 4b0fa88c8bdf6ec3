import { TriangleAlert } from 'lucide-react'
import { fieldName } from '@/ui/fieldName'
import type { DraftBook } from '../draftBook'

/** The id of what is said of a field, for the field to point at. */
export const saidOf = (at: string) => `said${at.replaceAll('/', '-')}`

/** What is wrong with what was typed in the sentence, each under the name of its field; in the flow, so that it covers nothing. */
export function Wrong({ book }: { book: DraftBook }) {
  const drafts = book.use((state) => state.drafts)
  return (
    <ul className="space-y-1 empty:hidden">
      {Object.entries(drafts)
        .filter(([at, { problem }]) => problem !== undefined && at !== '/name')
        .map(([at, { problem }]) => (
          <li
            key={at}
            className="said-wrong flex items-start gap-2 rounded-lg border border-warn bg-warn-wash px-3 py-1.5 leading-snug text-warn"
          >
            <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
            <span>
              <strong className="font-semibold">{fieldName(at)}: </strong>
              <span id={saidOf(at)} role="alert">
                {problem}
              </span>
            </span>
          </li>
        ))}
    </ul>
  )
}
