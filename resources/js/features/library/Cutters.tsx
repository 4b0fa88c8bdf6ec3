import { Link } from 'react-router'
import type { Library } from '@/api/client'
import { Pair } from '@/ui/Pair'
import { SelectField } from '@/ui/SelectField'
import { words } from '@/words'
import { EntryField, EntryForm, NameAndSystem, PageHead, RowButtons } from './EntryForm'
import { filled, useEntryForm } from './useEntryForm'

const BLANK = { name: '', system: 'metric', host: '', port: '', answers: 'yes', width: '', height: '' }

/** The maker's own cutting machines and where they are reached. */
export function Cutters({ own }: { own: Library['cutters'] }) {
  const form = useEntryForm('cutters', BLANK, filled('port'))
  const { draft } = form
  return (
    <>
      <PageHead title={words('cutters.title')} addLabel={words('cutters.add')} form={form}>
        <Link to="/cutting" className="quiet-button">
          {words('cutters.to-jobs')}
        </Link>
      </PageHead>
      <ul>
        {own.map((cutter) => (
          <li key={cutter.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
            <span className="min-w-48 font-semibold">{cutter.name}</span>
            <span className="text-soft">
              {cutter.host}:{cutter.port}
            </span>
            <span className="mr-auto text-soft">
              {words('cutters.bed')} <Pair width={cutter.width} height={cutter.height} />
            </span>
            <RowButtons form={form} entry={cutter} />
          </li>
        ))}
        <li className="flex min-h-13 flex-wrap items-center gap-x-4 border-b border-line py-1">
          <span className="min-w-48 font-semibold">{words('cutters.stand-in')}</span>
          <span className="text-soft">{words('cutters.stand-in.how')}</span>
        </li>
      </ul>
      <EntryForm title={words(form.isNew ? 'cutters.add' : 'cutters.change')} form={form}>
        {draft && (
          <div className="form-grid">
            <NameAndSystem form={form} />
            <EntryField form={form} field="host" label={words('cutters.host')} />
            <EntryField form={form} field="port" label={words('cutters.port')} placeholder="9100" inputMode="numeric" />
            <SelectField
              label={words('cutters.answers')}
              value={draft.answers ?? 'yes'}
              choices={['yes', 'no'].map((value) => ({ value, label: words(`cutters.answers.${value}`) }))}
              onChange={form.put('answers')}
              className="col-span-full"
            />
            <EntryField form={form} field="width" label={words('cutters.width')} data-keypad="length" />
            <EntryField form={form} field="height" label={words('cutters.height')} data-keypad="length" />
          </div>
        )}
      </EntryForm>
    </>
  )
}
