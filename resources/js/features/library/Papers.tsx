import { useState } from 'react'
import type { PaperStock } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { SelectField } from '@/ui/SelectField'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'
import { EntryField, EntryForm, NameAndSystem, PageHead, RowButtons } from './EntryForm'
import { filled, useEntryForm } from './useEntryForm'
import { Found } from './Found'
import { Stock } from './Stock'
import { StockFile } from './StockFile'
import { useTrial } from './useTrial'

const BASES = ['gsm', 'text-lb', 'cover-lb'] as const
const BLANK = { name: '', system: 'imperial', weight: '', basis: 'gsm', caliper: '', width: '', height: '', colour: '' }

/** The maker's papers: weight, caliper, sheet and colour. */
export function Papers({ papers }: { papers: PaperStock[] }) {
  const form = useEntryForm('papers', BLANK, filled('weight'))
  const [isStacking, setStacking] = useState(false)
  const { draft, put } = form
  return (
    <>
      <PageHead title={words('papers.title')} addLabel={words('papers.add')} form={form}>
        <StockFile />
      </PageHead>
      <p className="mb-4 max-w-2xl text-soft">{words('papers.why')}</p>
      {papers.length === 0 && <p className="rounded-xl border border-line bg-panel p-5">{words('papers.none')}</p>}
      <ul className="grid gap-4 md:grid-cols-2 lg:grid-cols-3">
        {papers.map((paper) => (
          <li key={paper.id} className="flex flex-col overflow-hidden rounded-xl border border-line bg-panel">
            <span
              className="h-14 border-b border-line bg-paper"
              style={paper.colour ? { background: paper.colour } : undefined}
            />
            <span className="flex-1 px-5 pt-3">
              <h2 className="text-lg">{paper.name}</h2>
              <p className="text-soft">
                {paper.weight !== null && `${words(`weight.${paper.basis}`, { weight: paper.weight })} · `}
                <Figure text={paper.caliper} /> {words('papers.thick')}
              </p>
              {paper.width && paper.height && (
                <p className="text-soft">
                  {words('papers.sheet')} <Pair width={paper.width} height={paper.height} />
                </p>
              )}
              <Stock paper={paper} />
            </span>
            <span className="px-2 pb-1">
              <RowButtons form={form} entry={paper} />
            </span>
          </li>
        ))}
      </ul>
      <EntryForm title={words(form.isNew ? 'papers.add' : 'papers.change')} form={form}>
        {draft && (
          <>
            <div className="form-grid">
              <NameAndSystem form={form} />
              <EntryField form={form} field="weight" label={words('papers.weight')} inputMode="numeric" />
              <SelectField
                label={words('papers.basis')}
                value={draft.basis ?? 'gsm'}
                choices={BASES.map((value) => ({ value, label: words(`basis.${value}`) }))}
                onChange={put('basis')}
              />
              <EntryField
                form={form}
                field="caliper"
                label={words('papers.caliper')}
                placeholder={words('papers.from-weight')}
              />
              <button type="button" className="quiet-button self-end text-live" onClick={() => setStacking(true)}>
                {words('trial.caliper')}
              </button>
            </div>
            {isStacking && (
              <Stack
                onFound={(caliper) => {
                  put('caliper')(caliper)
                  setStacking(false)
                }}
              />
            )}
            <div className="form-grid">
              <EntryField form={form} field="width" label={words('papers.width')} data-keypad="length" />
              <EntryField form={form} field="height" label={words('papers.height')} data-keypad="length" />
              <EntryField form={form} field="colour" blank="#ffffff" label={words('papers.colour')} type="color" />
            </div>
          </>
        )}
      </EntryForm>
    </>
  )
}

/** One sheet is too thin to measure: a stack of them is not. */
function Stack({ onFound }: { onFound: (caliper: string) => void }) {
  const { typed, put, trial, problems } = useTrial('caliper', { sheets: '20', stack: '' })
  return (
    <section aria-label={words('trial.caliper')} className="rounded-xl border border-line bg-table/50 p-4">
      <p className="mb-3">{words('trial.caliper.how')}</p>
      <div className="form-grid">
        <TextField
          value={typed.sheets ?? ''}
          problem={problems.sheets}
          onChange={put('sheets')}
          label={words('trial.sheets')}
          data-keypad="count"
        />
        <TextField
          value={typed.stack ?? ''}
          problem={problems.stack}
          onChange={put('stack')}
          label={words('trial.stack')}
          data-keypad="length"
        />
      </div>
      <Found trial={trial} said={words('trial.caliper-is')} onUse={onFound} />
    </section>
  )
}
