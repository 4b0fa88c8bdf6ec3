import { Layers as LayersIcon } from 'lucide-react'
import { words } from '@/words'
import type { PartProps } from './part'
import { FieldRows, PartPopover } from './PartPopover'

const LAYERS = ['card', 'mats', 'mat', 'decoration', 'envelope', 'liner']

/** What a card with mats and flowers on it is usually made of: what is asked for first. */
const USUAL_LAYERS = { card: '0.3 mm', mats: 1, mat: '0.3 mm' }

/** The thickness from what the card is made of, where nobody has measured it. */
export function Layers({ book, view }: PartProps) {
  const isLayered = view.fields['/holds/layers/card'] !== undefined
  return (
    <PartPopover
      title={words('layers.title')}
      align="start"
      part={{
        className: 'icon-part',
        'aria-label': words('layers.open'),
        children: <LayersIcon aria-hidden="true" className="size-5" />,
      }}
    >
      {!isLayered && <p className="max-w-72 font-sans text-base leading-snug text-soft">{words('layers.why')}</p>}
      <FieldRows
        {...{ book, view }}
        fields={LAYERS.map((layer) => `/holds/layers/${layer}`).filter((at) => view.fields[at])}
      />
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
    </PartPopover>
  )
}
