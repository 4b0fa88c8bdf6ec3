import { newId } from '@/ui/newId'
import { useState } from 'react'
import { Sheet } from '@/ui/Sheet'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import type { DraftBook } from './draftBook'

interface NotesSheetProps {
  book: DraftBook
  notes: string
  by: string
  onDone: () => void
}

/** The maker's own notes, and from whom the recipe comes, kept as they are written. */
export function NotesSheet({ book, notes, by, onDone }: NotesSheetProps) {
  const from = book.use((state) => state.drafts['/by'])
  const [naming] = useState(() => newId())
  const draft = book.use((state) => state.drafts['/notes'])
  const [gesture] = useState(() => newId())
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
      <TextField
        className="mt-4"
        label={words('by.field')}
        hint={words('by.why')}
        problem={from?.problem}
        value={from?.text ?? by}
        onFocus={() => book.focus('/by')}
        onBlur={() => book.focus(null)}
        onChange={(text) => book.type('/by', text, naming)}
      />
    </Sheet>
  )
}
