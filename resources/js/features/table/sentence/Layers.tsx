import { Layers as LayersIcon } from 'lucide-react'
import { Popover } from 'radix-ui'
import { words } from '@/words'
import { Field } from '../Field'
import type { PartProps } from './part'

const LAYERS = ['card', 'mats', 'mat', 'decoration', 'envelope', 'liner']

/** What a card with mats and flowers on it is usually made of: what is asked for first. */
const USUAL_LAYERS = { card: '0.3 mm', mats: 1, mat: '0.3 mm' }

/** The thickness from what the card is made of, where nobody has measured it. */
export function Layers({ book, view }: PartProps) {
  const isLayered = view.fields['/holds/layers/card'] !== undefined
  return (
    <Popover.Root>
      <Popover.Trigger className="icon-part" aria-label={words('layers.open')}>
        <LayersIcon aria-hidden="true" className="size-5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={words('layers.title')}
          className="menu sentence p-4!"
          align="start"
          sideOffset={6}
          collisionPadding={12}
        >
          <h2 className="mb-1 text-lg leading-snug">{words('layers.title')}</h2>
          {!isLayered && <p className="max-w-72 font-sans text-base leading-snug text-soft">{words('layers.why')}</p>}
          <dl className="grid grid-cols-[1fr_auto] items-center gap-x-6 text-[1.05rem]">
            {LAYERS.filter((layer) => view.fields[`/holds/layers/${layer}`]).map((layer) => (
              <div key={layer} className="contents">
                <dt className="font-sans text-soft">{words(`field.holds.layers.${layer}`)}</dt>
                <dd className="text-right">
                  <Field {...{ book, view }} at={`/holds/layers/${layer}`} />
                </dd>
              </div>
            ))}
          </dl>
          <button
            type="button"
            className="quiet-button -ml-3 font-sans text-base font-semibold text-live"
            onClick={() =>
              book.set(
                isLayered
                  ? [
                      { at: '/holds/thickness', to: view.fields['/holds/thickness']?.text ?? null },
                      { at: '/holds/layers', to: null },
                    ]
                  : [
                      { at: '/holds/thickness', to: null },
                      { at: '/holds/layers', to: USUAL_LAYERS },
                    ],
              )
            }
          >
            {words(isLayered ? 'layers.measured' : 'layers.use')}
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
