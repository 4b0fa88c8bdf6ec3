import { useState } from 'react'
import type { Change, Library, System, Usual as UsualSpec } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { paperChanges } from '@/spec/paperChanges'
import { toolChanges } from '@/spec/toolChanges'
import { useRoom } from '@/ui/room'
import { SelectField } from '@/ui/SelectField'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'

/** What is typed of it: a paper and a set of tools by their ids, lengths as texts; blank where it is as everybody has it. */
export interface UsualDraft {
  paper: string
  caliper: string
  tools: string
  width: string
  height: string
}

export const NOTHING_SAID: UsualDraft = { paper: '', caliper: '', tools: '', width: '', height: '' }

const text = (value: unknown) => (typeof value === 'string' ? value : '')

/** What was said before, as it stands in the fields. */
export function asDraft(usual: UsualSpec | null, papers: Named[], tools: Named[]): UsualDraft {
  const idOf = (all: Named[], name: unknown) => all.find((one) => one.name === name)?.id ?? ''
  return {
    paper: idOf(papers, usual?.paper?.name),
    caliper: text(usual?.paper?.caliper),
    tools: idOf(tools, usual?.tools?.name),
    width: text(usual?.clearance?.width),
    height: text(usual?.clearance?.height),
  }
}

type Named = { id: string; name: string }

interface UsualProps {
  draft: UsualDraft
  problems: Record<string, string>
  /** Whether it was said before; then it is out of the way. */
  isSaid: boolean
  onChange: (draft: UsualDraft) => void
}

/** Asked for once, where it is first needed: what she would otherwise set each time. */
export function Usual({ draft, problems, isSaid, onChange }: UsualProps) {
  const { library } = useLibrary()
  const room = useRoom()
  const [isOpen, setOpen] = useState(!isSaid && room !== 'narrow')
  const put = (field: keyof UsualDraft) => (value: string) => onChange({ ...draft, [field]: value })
  const isWrong = Object.keys(problems).some((at) => /^\/(paper|clearance|tools)\//.test(at))
  const papers = library?.papers ?? []
  const sets = library?.tools ?? []
  return (
    <details
      className="mb-5 max-w-5xl rounded-xl border border-line bg-table/50 px-4"
      open={isOpen || isWrong}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="flex min-h-11 cursor-pointer items-center py-1 font-semibold">
        {words(isSaid ? 'usual.title-said' : 'usual.title')}
      </summary>
      <p className="mb-3 text-soft">{words('usual.note')}</p>
      <div className="form-grid pb-4">
        {papers.length > 0 && (
          <SelectField
            label={words('usual.paper')}
            value={draft.paper}
            choices={[
              { value: '', label: words('usual.paper.none') },
              ...papers.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={put('paper')}
          />
        )}
        {draft.paper === '' && (
          <TextField
            label={words('usual.caliper')}
            value={draft.caliper}
            placeholder={words('entry.usual')}
            problem={problems['/paper/caliper']}
            onChange={put('caliper')}
          />
        )}
        {sets.length > 0 && (
          <SelectField
            label={words('usual.tools')}
            value={draft.tools}
            choices={[
              { value: '', label: words('tools.usual-set') },
              ...sets.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={put('tools')}
          />
        )}
        {(['width', 'height'] as const).map((side) => (
          <TextField
            key={side}
            label={words(`field.clearance.${side}`)}
            value={draft[side]}
            placeholder={words('usual.as-it-needs')}
            problem={problems[`/clearance/${side}`]}
            data-keypad="length"
            onChange={put(side)}
          />
        ))}
      </div>
    </details>
  )
}

/** The same as changes, as they are made on the table; blank is as everybody has it. */
export function usualChanges(draft: UsualDraft, system: System, { papers, tools }: Library): Change[] {
  const paper = papers.find(({ id }) => id === draft.paper)
  const set = tools.find(({ id }) => id === draft.tools)
  const typed = [
    { at: '/clearance/width', to: draft.width.trim() },
    { at: '/clearance/height', to: draft.height.trim() },
    ...(paper ? paperChanges(paper) : [{ at: '/paper/caliper', to: draft.caliper.trim() }]),
    ...(set ? toolChanges(set).filter(({ at }) => at !== '/system') : []),
  ]
  return [{ at: '/system', to: set?.system ?? system }, ...typed.filter((one) => !('to' in one) || Boolean(one.to))]
}
