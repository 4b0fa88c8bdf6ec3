import { SlidersHorizontal } from 'lucide-react'
import type { ComponentProps } from 'react'
import { ChoicePart } from '@/ui/ChoicePart'
import { words } from '@/words'
import type { PartProps } from './part'
import { FieldRows, PartPopover } from './PartPopover'
import { Tools } from './Tools'

const DETAILS = [
  '/tools/cut',
  '/tools/trimmer-score',
  '/tools/score',
  '/tools/punch',
  '/tools/notch',
  '/tools/reach',
  '/tools/cut/reach',
  '/tools/score/reach',
  '/tools/trimmer-score/reach',
  '/tools/punch/reach',
  '/tools/slant/reach',
  '/clearance/depth',
]

/** What most trimmers' scoring blades are set by. */
const USUAL_BLADE = { imperial: '1/16 in', metric: '1 mm' }

const READINGS = ['read-on', 'each-edge']

/** What most boards and trimmers reach. */
const USUAL_REACH = { imperial: '12 in', metric: '305 mm' }

/** What matters seldom: a make's finer lengths, the tools' own steps, the notch, room in depth. One step away. */
export function Details({ book, view, more }: PartProps & { more: string[] }) {
  const drafts = book.use((state) => state.drafts)
  const fields = [...more, ...DETAILS].filter((at) => view.fields[at])
  const isWrong = fields.some((at) => drafts[at]?.problem !== undefined)
  const isOwn = fields.some((at) => view.fields[at]?.given)
  return (
    <PartPopover
      title={words('tools.title')}
      align="end"
      part={
        {
          className: 'part',
          'data-wrong': isWrong,
          'data-default': !isOwn,
          children: (
            <span className="part-face inline-flex items-center gap-1.5">
              <SlidersHorizontal aria-hidden="true" className="size-4" />
              {view.choices['/tools/name'] ?? words(isOwn ? 'tools.own' : 'tools.usual')}
            </span>
          ),
        } as ComponentProps<'button'>
      }
    >
      <Tools book={book} view={view} />
      <FieldRows {...{ book, view }} fields={fields} />
      <p className="mt-2 text-[0.95rem] text-soft">{words('tools.two-scales')}</p>
      <p className="mt-2 text-[1.1rem]">
        {words('tools.scores-are')}{' '}
        <ChoicePart
          label={words('field.tools.readings')}
          value={view.choices['/tools/readings'] ?? 'read-on'}
          face={words(`readings.${view.choices['/tools/readings'] ?? 'read-on'}`)}
          groups={[{ choices: READINGS.map((value) => ({ value, label: words(`readings.${value}`) })) }]}
          onChoose={(to) => book.set([{ at: '/tools/readings', to: to === 'read-on' ? null : to }])}
        />
      </p>
      <button
        type="button"
        className="quiet-button -ml-3 block font-sans text-base font-semibold text-live"
        onClick={() =>
          book.set([
            {
              at: '/tools/trimmer-score',
              to: view.fields['/tools/trimmer-score'] ? null : USUAL_BLADE[view.design.system],
            },
          ])
        }
      >
        {words(view.fields['/tools/trimmer-score'] ? 'tools.trimmer-cuts-only' : 'tools.trimmer-scores')}
      </button>
      <button
        type="button"
        className="quiet-button -ml-3 font-sans text-base font-semibold text-live"
        onClick={() =>
          book.set([{ at: '/tools/reach', to: view.fields['/tools/reach'] ? null : USUAL_REACH[view.design.system] }])
        }
      >
        {words(view.fields['/tools/reach'] ? 'tools.forget-reach' : 'tools.say-reach')}
      </button>
    </PartPopover>
  )
}
