import { useState } from 'react'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'
import type { DraftBook } from './draftBook'

/** The maker's own notes, kept as they are written. */
export function NotesSheet({ book, notes, onDone }: { book: DraftBook; notes: string; onDone: () => void }) {
  const draft = book.use((state) => state.drafts['/notes'])
  const [gesture] = useState(() => crypto.randomUUID())
  return (
    <Sheet title={words('hand-on.notes')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()}>
      <p className="mb-3 text-soft">{words('notes.why')}</p>
      <textarea
        className="field min-h-52 py-2 leading-snug"
        aria-label={words('notes.field')}
        aria-invalid={draft?.problem !== undefined}
        aria-describedby={draft?.problem ? 'notes-problem' : undefined}
        value={draft?.text ?? notes}
        onFocus={() => book.focus('/notes')}
        onBlur={() => book.focus(null)}
        onChange={(event) => book.type('/notes', event.target.value, gesture)}
      />
      {draft?.problem && (
        <p id="notes-problem" role="alert" className="mt-1 text-warn">
          {draft.problem}
        </p>
      )}
    </Sheet>
  )
}
