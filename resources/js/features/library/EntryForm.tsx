import type { ReactNode } from 'react'
import { FormButtons } from '@/ui/FormButtons'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'
import type { useEntryForm } from './useEntryForm'

interface EntryFormProps {
  title: string
  form: ReturnType<typeof useEntryForm>
  children: ReactNode
  isWide?: boolean
}

/** The sheet an entry is written on. */
export function EntryForm({ title, form, children, isWide = false }: EntryFormProps) {
  return (
    <Sheet
      title={title}
      isOpen={form.draft !== null}
      onOpenChange={(isOpen) => !isOpen && form.close()}
      isWide={isWide}
    >
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault()
          void form.keep()
        }}
      >
        {children}
        {form.problems[''] && (
          <p role="alert" className="text-warn">
            {form.problems['']}
          </p>
        )}
        <FormButtons onLeave={form.close} />
      </form>
    </Sheet>
  )
}

interface RowButtonsProps {
  name: string
  onChange: () => void
  onRemove: () => void
}

export function RowButtons({ name, onChange, onRemove }: RowButtonsProps) {
  return (
    <span className="flex justify-end">
      <button
        type="button"
        className="quiet-button text-live"
        onClick={onChange}
        aria-label={words('form.change-named', { name })}
      >
        {words('form.change')}
      </button>
      <button
        type="button"
        className="quiet-button text-soft"
        onClick={onRemove}
        aria-label={words('form.remove-named', { name })}
      >
        {words('form.remove')}
      </button>
    </span>
  )
}
