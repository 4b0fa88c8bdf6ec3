import { Plus } from 'lucide-react'
import { Link } from 'react-router'
import type { Library } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import { EntryForm, RowButtons } from './EntryForm'
import { SystemField } from './Sizes'
import { filled, useEntryForm } from './useEntryForm'

const BLANK = { name: '', system: 'metric', host: '', port: '', width: '', height: '' }

const toEntry = (draft: Record<string, string>) => {
  const entry = filled(draft)
  return /^\d{1,6}$/.test(entry.port ?? '') ? { ...entry, port: Number(entry.port) } : entry
}

/** The maker's own cutting machines and where they are reached. */
export function Cutters({ own }: { own: Library['cutters'] }) {
  const form = useEntryForm('cutters', BLANK, toEntry)
  const { draft, problems, put } = form
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-2xl">{words('cutters.title')}</h1>
        <Link to="/cutting" className="quiet-button">
          {words('cutters.to-jobs')}
        </Link>
        <button type="button" className="full-button" onClick={() => form.open()}>
          <Plus aria-hidden="true" className="size-5" />
          {words('cutters.add')}
        </button>
      </div>
      <ul>
        {own.map((cutter) => (
          <li key={cutter.id} className="flex items-center gap-4 border-b border-line py-1">
            <span className="min-w-48 font-semibold">{cutter.name}</span>
            <span className="text-soft">
              {cutter.host}:{cutter.port}
            </span>
            <span className="mr-auto text-soft">
              {words('cutters.bed')} <Figure text={cutter.width} /> × <Figure text={cutter.height} />
            </span>
            <RowButtons
              name={cutter.name}
              onChange={() =>
                form.open(
                  Object.fromEntries(
                    Object.keys(BLANK).map((field) => [field, String(cutter[field as keyof typeof cutter])]),
                  ),
                  cutter.id,
                )
              }
              onRemove={() => void form.remove(cutter.id)}
            />
          </li>
        ))}
        <li className="flex min-h-13 items-center gap-4 border-b border-line py-1">
          <span className="min-w-48 font-semibold">{words('cutters.stand-in')}</span>
          <span className="text-soft">{words('cutters.stand-in.how')}</span>
        </li>
      </ul>
      <EntryForm title={words(form.isNew ? 'cutters.add' : 'cutters.change')} form={form}>
        {draft && (
          <div className="grid grid-cols-2 gap-4">
            <TextField
              label={words('entry.name')}
              value={draft.name ?? ''}
              problem={problems.name}
              onChange={put('name')}
              autoFocus
            />
            <SystemField value={draft.system ?? 'metric'} onChange={put('system')} />
            <TextField
              label={words('cutters.host')}
              value={draft.host ?? ''}
              problem={problems.host}
              onChange={put('host')}
            />
            <TextField
              label={words('cutters.port')}
              value={draft.port ?? ''}
              problem={problems.port}
              placeholder="9100"
              inputMode="numeric"
              onChange={put('port')}
            />
            <TextField
              label={words('cutters.width')}
              value={draft.width ?? ''}
              problem={problems.width}
              onChange={put('width')}
            />
            <TextField
              label={words('cutters.height')}
              value={draft.height ?? ''}
              problem={problems.height}
              onChange={put('height')}
            />
          </div>
        )}
      </EntryForm>
    </>
  )
}
