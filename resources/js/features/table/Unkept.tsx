import { ErrorNote } from '@/ui/ErrorNote'
import { words } from '@/words'
import { asText, type DraftBook } from './draftBook'

/** What could not be kept, and what can be done: it is there to be tried again, copied out, or let go. */
export function Unkept({ book }: { book: DraftBook }) {
  const setAside = book.use((state) => state.setAside)
  const isGone = book.use((state) => state.isGone)
  const pending = book.use((state) => state.pending)
  const copy = (items: typeof pending) => void navigator.clipboard?.writeText(asText(items)).catch(() => undefined)
  return (
    <>
      {isGone && (
        <div className="py-2">
          <ErrorNote
            action={
              <span className="flex flex-wrap gap-2">
                <button type="button" className="quiet-button" onClick={() => void book.putBack()}>
                  {words('unkept.put-back')}
                </button>
                {pending.length > 0 && (
                  <button type="button" className="quiet-button" onClick={() => copy(pending)}>
                    {words('unkept.copy')}
                  </button>
                )}
              </span>
            }
          >
            {words('unkept.gone')}
          </ErrorNote>
        </div>
      )}
      {setAside.length > 0 && (
        <div className="py-2">
          <ErrorNote
            action={
              <span className="flex flex-wrap gap-2">
                <button type="button" className="quiet-button" onClick={book.again}>
                  {words('unkept.again')}
                </button>
                <button type="button" className="quiet-button" onClick={() => copy(setAside)}>
                  {words('unkept.copy')}
                </button>
                <button type="button" className="quiet-button" onClick={book.letGo}>
                  {words('unkept.let-go')}
                </button>
              </span>
            }
          >
            {words('unkept.set-aside', { what: asText(setAside) })}
          </ErrorNote>
        </div>
      )}
    </>
  )
}
