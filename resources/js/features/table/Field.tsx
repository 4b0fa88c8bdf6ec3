import type { DesignView } from '@/api/client'
import { LengthField } from '@/ui/LengthField'
import { words } from '@/words'
import { fieldName } from '@/ui/fieldName'
import type { DraftBook } from './draftBook'
import { saidOf } from './sentence/Wrong'

/** What is counted, not measured. */
const COUNTED = /\/(count|mats|grammage|wanted)$/

interface FieldProps {
  book: DraftBook
  view: DesignView
  /** JSON pointer of the field in the request. */
  at: string
}

/** One field of the request, changed where it stands; nothing where the request has no such field. */
export function Field({ book, view, at }: FieldProps) {
  const draft = book.use((state) => state.drafts[at])
  const field = view.fields[at]
  if (!field) return null
  const isAsked = Boolean(field.likely) && draft === undefined
  return (
    <>
      <LengthField
        label={fieldName(at)}
        value={field.text}
        draft={draft?.text}
        isWrong={draft?.problem !== undefined}
        saidBy={saidOf(at)}
        keypad={COUNTED.test(at) ? 'count' : 'length'}
        isDefault={!field.given}
        onType={(text, gesture) => book.type(at, text, gesture)}
        onRestore={(text, gesture) => book.restore(at, text, gesture)}
        onNudge={(steps, gesture) => book.nudge(at, steps, gesture)}
        onFocusChange={(isFocused) => book.focus(isFocused ? at : null)}
      />
      {isAsked && (
        <button
          type="button"
          data-likely={at}
          className="ml-1 min-h-11 cursor-pointer rounded-lg border border-warn px-2 py-1 align-middle font-sans text-[0.95rem] leading-tight whitespace-nowrap text-warn hover:bg-warn-wash"
          onClick={() => book.set([{ at, to: field.likely }])}
        >
          {words('field.likely', { likely: field.likely ?? '' })}
        </button>
      )}
    </>
  )
}
