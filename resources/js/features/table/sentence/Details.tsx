import { SlidersHorizontal } from 'lucide-react'
import { Popover } from 'radix-ui'
import { words } from '@/words'
import { Field } from '../Field'
import type { PartProps } from './part'
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
    <Popover.Root>
      <Popover.Trigger className="part" data-wrong={isWrong} data-default={!isOwn}>
        <span className="part-face inline-flex items-center gap-1.5">
          <SlidersHorizontal aria-hidden="true" className="size-4" />
          {view.choices['/tools/name'] ?? words(isOwn ? 'tools.own' : 'tools.usual')}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={words('tools.title')}
          className="menu sentence p-4!"
          align="end"
          sideOffset={6}
          collisionPadding={12}
        >
          <h2 className="mb-1 text-lg leading-snug">{words('tools.title')}</h2>
          <Tools book={book} view={view} />
          <dl className="grid grid-cols-[1fr_auto] items-center gap-x-6 text-[1.05rem]">
            {fields.map((at) => (
              <div key={at} className="contents">
                <dt className="font-sans text-soft">{words(`field${at.replaceAll('/', '.')}`)}</dt>
                <dd className="text-right">
                  <Field {...{ book, view }} at={at} />
                </dd>
              </div>
            ))}
          </dl>
          <button
            type="button"
            className="quiet-button -ml-3 font-sans text-base font-semibold text-live"
            onClick={() =>
              book.set([
                { at: '/tools/reach', to: view.fields['/tools/reach'] ? null : USUAL_REACH[view.design.system] },
              ])
            }
          >
            {words(view.fields['/tools/reach'] ? 'tools.forget-reach' : 'tools.say-reach')}
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
