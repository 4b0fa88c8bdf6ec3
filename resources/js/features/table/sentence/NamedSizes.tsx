import { ChevronsUpDown } from 'lucide-react'
import type { Catalogue } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ChoicePart } from '@/ui/ChoicePart'
import { Pair } from '@/ui/Pair'
import { words } from '@/words'
import type { PartProps } from './part'

/** A card or an envelope by its name, published or the maker's own, instead of its two lengths. */
export function NamedSizes({ book, view, catalogue }: PartProps & { catalogue: Catalogue }) {
  const own = useLibrary().library?.sizes ?? []
  const isNow = (size: { width: string; height: string }) =>
    size.width === view.fields['/holds/width']?.text && size.height === view.fields['/holds/height']?.text
  const now = catalogue.sizes.find((size) => size.kind !== 'sheet' && isNow(size))
  const group = (kind: string) => ({
    label: words(`sizes.${kind}`),
    choices: catalogue.sizes
      .filter((size) => size.kind === kind)
      .map((size) => ({ value: size.id, label: words(`size.${size.id}`), aside: <Pair {...size} /> })),
  })
  return (
    <ChoicePart
      className="icon-part"
      label={words('field.size-by-name')}
      value={now?.id ?? ''}
      face={<ChevronsUpDown aria-hidden="true" className="size-5" />}
      groups={[
        ...(own.length > 0
          ? [
              {
                label: words('sizes.own'),
                choices: own.map((size) => ({ value: size.id, label: size.name, aside: <Pair {...size} /> })),
              },
            ]
          : []),
        group('card'),
        group('envelope'),
      ]}
      onChoose={(id) => {
        const size = [...catalogue.sizes, ...own].find((one) => one.id === id)
        if (size)
          book.set([
            { at: '/holds/width', to: size.width },
            { at: '/holds/height', to: size.height },
          ])
      }}
    />
  )
}
