import { SlidersHorizontal } from 'lucide-react'
import { Popover } from 'radix-ui'
import { words } from '@/words'
import type { PartProps } from './part'
import { FieldRows, PartPopover } from './PartPopover'
import { Tools } from './Tools'

const DETAILS = ['/tools/cut', '/tools/score', '/tools/punch', '/tools/notch', '/tools/reach', '/clearance/depth']

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
      trigger={
        <Popover.Trigger className="part" data-wrong={isWrong} data-default={!isOwn}>
          <span className="part-face inline-flex items-center gap-1.5">
            <SlidersHorizontal aria-hidden="true" className="size-4" />
            {view.choices['/tools/name'] ?? words(isOwn ? 'tools.own' : 'tools.usual')}
          </span>
        </Popover.Trigger>
      }
    >
      <Tools book={book} view={view} />
      <FieldRows {...{ book, view }} fields={fields} />
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
