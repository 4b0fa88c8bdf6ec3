import { useState } from 'react'
import type { ToolSet } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { SelectField } from '@/ui/SelectField'
import { words } from '@/words'
import { EntryField, EntryForm, NameAndSystem, PageHead, RowButtons } from './EntryForm'
import { NotchTrial } from './NotchTrial'
import { filled, useEntryForm } from './useEntryForm'

const FIELDS = [
  'cut',
  'trimmerScore',
  'score',
  'punch',
  'notch',
  'reach',
  'scoreReach',
  'trimmerReach',
  'slant',
] as const
/** What cuts one size only. */
const PUNCHES = ['circles', 'circleReach', 'corners', 'tab', 'repeat', 'holeReach', 'dies', 'plate', 'tapes'] as const
const BLANK = {
  name: '',
  system: 'imperial',
  cut: '',
  trimmerScore: '',
  score: '',
  punch: '',
  notch: '',
  reach: '',
  scoreReach: '',
  trimmerReach: '',
  slant: '',
  reads: 'both',
  ...Object.fromEntries(PUNCHES.map((field) => [field, ''])),
}

/** The maker's tools: the smallest step each can be set to, how far they reach, and the notch as it really is. */
export function ToolSets({ sets }: { sets: ToolSet[] }) {
  const form = useEntryForm('tools', BLANK, filled())
  const [isTrying, setTrying] = useState(false)
  const { draft, put } = form
  return (
    <>
      <PageHead title={words('tools-page.title')} addLabel={words('tools-page.add')} form={form} />
      <p className="mb-4 max-w-2xl text-soft">{words('tools-page.why')}</p>
      {sets.length === 0 && <p className="rounded-xl border border-line bg-panel p-5">{words('tools-page.none')}</p>}
      <ul className="grid gap-4 md:grid-cols-2">
        {sets.map((set) => (
          <li key={set.id} className="rounded-xl border border-line bg-panel px-5 pt-4 pb-2">
            <h2 className="text-lg">{set.name}</h2>
            <p className="text-soft">{words(`system.${set.system}`)}</p>
            <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-1">
              {[...FIELDS, ...PUNCHES.filter((field) => set[field])].map((field) => (
                <div key={field} className="contents">
                  <dt>{words(`field.tools.${field}`)}</dt>
                  <dd className="text-right text-lg font-semibold">
                    {set[field] ? (
                      <Scales text={set[field]} />
                    ) : (
                      <span className="font-normal text-soft">{words('entry.unsaid')}</span>
                    )}
                  </dd>
                </div>
              ))}
            </dl>
            <RowButtons form={form} entry={set} />
          </li>
        ))}
      </ul>
      <EntryForm title={words(form.isNew ? 'tools-page.add' : 'tools-page.change')} form={form} isWide>
        {draft && (
          <>
            <div className="form-grid items-end! gap-y-2.5! [--field:10.5rem]">
              <NameAndSystem form={form} />
              {FIELDS.map((field) => (
                <EntryField
                  form={form}
                  field={field}
                  key={field}
                  label={words(`field.tools.${field}`)}
                  placeholder={words('entry.usual')}
                  data-keypad="length"
                />
              ))}
              <SelectField
                label={words('field.tools.reads')}
                value={draft.reads || 'both'}
                choices={['both', 'left'].map((value) => ({ value, label: words(`reads.${value}`) }))}
                onChange={put('reads')}
              />
              <button
                type="button"
                className="quiet-button -ml-3 self-end justify-self-start text-live"
                onClick={() => setTrying(true)}
              >
                {words('trial.notch')}
              </button>
            </div>
            <details className="rounded-xl border border-line px-4 py-2" open={PUNCHES.some((field) => draft[field])}>
              <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{words('tools-page.punches')}</summary>
              <p className="mb-2 text-soft">{words('tools-page.punches-why')}</p>
              <div className="form-grid items-end! gap-y-2.5! [--field:10.5rem]">
                {PUNCHES.map((field) => (
                  <EntryField
                    form={form}
                    field={field}
                    key={field}
                    label={words(`field.tools.${field}`)}
                    placeholder={words(`example.tools.${field}`)}
                  />
                ))}
              </div>
            </details>
            {isTrying && (
              <NotchTrial
                system={draft.system ?? 'imperial'}
                onFound={(notch) => {
                  put('notch')(notch)
                  setTrying(false)
                }}
              />
            )}
          </>
        )}
      </EntryForm>
    </>
  )
}

/** What a tool can be set to, on one scale or on two; or the sizes there are. */
function Scales({ text }: { text: string }) {
  return text.split(', ').map((scale, i) => (
    <span key={scale}>
      {i > 0 && ` ${words('tools.or')} `}
      {scale.startsWith('oval ') && `${words('with.shape.oval')} `}
      {scale
        .replace('oval ', '')
        .split(' × ')
        .map((length, n) => (
          <span key={n}>
            {n > 0 && ' × '}
            <Figure text={length} />
          </span>
        ))}
    </span>
  ))
}
