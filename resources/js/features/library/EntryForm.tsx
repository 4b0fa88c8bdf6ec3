import { Plus } from 'lucide-react'
import type { ComponentProps, ReactNode } from 'react'
import { FormButtons } from '@/ui/FormButtons'
import { SelectField } from '@/ui/SelectField'
import { Sheet } from '@/ui/Sheet'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import type { EntryFormState, Kept } from './useEntryForm'

interface EntryFormProps {
  title: string
  form: EntryFormState
  children: ReactNode
  isWide?: boolean
}

/** The sheet an entry is written on. */
export function EntryForm({ title, form, children, isWide = false }: EntryFormProps) {
  return (
    <Sheet title={title} isOpen={form.draft !== null} onOpenChange={(isOpen) => !isOpen && form.lay()} isWide={isWide}>
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

/** A field of the entry; what is wrong with it stands under it. */
export function EntryField({ form, field, blank = '', ...rest }: FieldProps) {
  return (
    <TextField
      value={form.draft?.[field] || blank}
      problem={form.problems[field]}
      onChange={form.put(field)}
      {...rest}
    />
  )
}

interface FieldProps extends Omit<ComponentProps<typeof TextField>, 'value' | 'problem' | 'onChange' | 'form'> {
  form: EntryFormState
  field: string
  /** What stands there while nothing is said. */
  blank?: string
}

/** What every entry has: a name, and the system its bare numbers are in. */
export function NameAndSystem({ form }: { form: EntryFormState }) {
  return (
    <>
      <EntryField form={form} field="name" label={words('entry.name')} autoFocus />
      <SelectField
        label={words('entry.system')}
        value={form.draft?.system ?? 'imperial'}
        choices={['imperial', 'metric'].map((system) => ({ value: system, label: words(`system.${system}`) }))}
        onChange={form.put('system')}
      />
    </>
  )
}

interface PageHeadProps {
  title: string
  addLabel: string
  form: EntryFormState
  children?: ReactNode
}

/** What the page is about, and one more of it. */
export function PageHead({ title, addLabel, form, children }: PageHeadProps) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <h1 className="mr-auto text-2xl">{title}</h1>
      {children}
      <button type="button" className="full-button" onClick={form.begin}>
        <Plus aria-hidden="true" className="size-5" />
        {addLabel}
      </button>
    </div>
  )
}

/** Changes one entry, or takes it away. */
export function RowButtons({ form, entry }: { form: EntryFormState; entry: Kept }) {
  const { name } = entry
  return (
    <span className="flex flex-wrap justify-end">
      <button
        type="button"
        className="quiet-button text-live"
        onClick={() => form.change(entry)}
        aria-label={words('form.change-named', { name })}
      >
        {words('form.change')}
      </button>
      <button
        type="button"
        className="quiet-button text-soft"
        onClick={() => void form.remove(entry)}
        aria-label={words('form.remove-named', { name })}
      >
        {words('form.remove')}
      </button>
    </span>
  )
}
