import { Plus } from 'lucide-react'
import type { BoughtEnvelopes } from '@/api/client'
import { Pair } from '@/ui/Pair'
import { words } from '@/words'
import { EntryField, EntryForm, NameAndSystem, RowButtons } from './EntryForm'
import { filled, useEntryForm } from './useEntryForm'

const BLANK = { name: '', system: 'imperial', width: '', height: '', count: '', pack: '', place: '' }

/** Envelopes that were bought: how large, how many there are, and how many a pack holds. */
export function Envelopes({ envelopes }: { envelopes: BoughtEnvelopes[] }) {
  const form = useEntryForm('envelopes', BLANK, filled('count', 'pack'))
  return (
    <section className="mt-8" aria-label={words('envelopes.title')}>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <h2 className="mr-auto text-xl">{words('envelopes.title')}</h2>
        <button type="button" className="quiet-button text-live" onClick={form.begin}>
          <Plus aria-hidden="true" className="size-5" />
          {words('envelopes.add')}
        </button>
      </div>
      {envelopes.length === 0 && <p className="text-soft">{words('envelopes.none')}</p>}
      <ul className="grid gap-4 md:grid-cols-2 lg:grid-cols-3">
        {envelopes.map((one) => (
          <li key={one.id} className="flex flex-col rounded-xl border border-line bg-panel pt-3">
            <span className="flex-1 px-5">
              <h3 className="text-lg">{one.name}</h3>
              <p>
                <span className="font-semibold">{one.count}</span> × <Pair width={one.width} height={one.height} />
                {one.place && <span className="text-soft"> · {one.place}</span>}
              </p>
              <p className="text-soft">{words('envelopes.pack-of', { count: one.pack })}</p>
            </span>
            <span className="px-2 pb-1">
              <RowButtons form={form} entry={one} />
            </span>
          </li>
        ))}
      </ul>
      <EntryForm title={words(form.isNew ? 'envelopes.add' : 'envelopes.change')} form={form}>
        {form.draft && (
          <div className="form-grid">
            <NameAndSystem form={form} />
            <EntryField form={form} field="width" label={words('envelopes.width')} data-keypad="length" />
            <EntryField form={form} field="height" label={words('envelopes.height')} data-keypad="length" />
            <EntryField form={form} field="count" label={words('stock.how-many')} data-keypad="count" />
            <EntryField form={form} field="pack" label={words('envelopes.pack')} placeholder="25" data-keypad="count" />
            <EntryField form={form} field="place" label={words('stock.place')} />
          </div>
        )}
      </EntryForm>
    </section>
  )
}
