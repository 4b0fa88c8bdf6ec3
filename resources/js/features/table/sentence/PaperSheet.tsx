import type { Catalogue } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { paperChanges } from '@/spec/paperChanges'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import { Pair } from '@/ui/Pair'
import { words } from '@/words'
import { Field } from '../Field'
import type { PartProps } from './part'

/** The paper from the drawer or the sheet it must come out of, if any. */
export function PaperSheet({ book, view, catalogue }: PartProps & { catalogue: Catalogue }) {
  const papers = useLibrary().library?.papers ?? []
  const paper = view.choices['/paper/name']
  const [width, height] = [view.fields['/paper/sheet/width'], view.fields['/paper/sheet/height']]
  const sheets = catalogue.sizes.filter((size) => size.kind === 'sheet')
  const now = sheets.find((size) => size.width === width?.text && size.height === height?.text)
  const choose = (id: string) => {
    const kept = papers.find((one) => one.id === id)
    if (kept) return book.set(paperChanges(kept))
    const size = sheets.find((one) => one.id === id)
    book.set(
      size
        ? [
            { at: '/paper/sheet/width', to: size.width },
            { at: '/paper/sheet/height', to: size.height },
          ]
        : [{ at: '/paper/sheet', to: null }],
    )
  }
  return (
    <>
      <ChoicePart
        label={words('field.paper.sheet')}
        value={now?.id ?? (width ? 'own' : 'any')}
        face={paper ?? (width ? (now ? words(`size.${now.id}`) : words('sheet.own')) : words('sheet.any'))}
        groups={[
          { choices: [{ value: 'any', label: words('sheet.any') }] },
          ...(papers.length > 0
            ? [
                {
                  label: words('papers.title'),
                  choices: papers.map((one) => ({
                    value: one.id,
                    label: one.name,
                    aside:
                      one.width && one.height ? (
                        <Pair width={one.width} height={one.height} />
                      ) : (
                        <Figure text={one.caliper} />
                      ),
                  })),
                },
              ]
            : []),
          {
            label: words('sizes.sheet'),
            choices: sheets.map((size) => ({
              value: size.id,
              label: words(`size.${size.id}`),
              aside: <Pair {...size} />,
            })),
          },
        ]}
        onChoose={choose}
      />
      {width && (
        <>
          {' '}
          <span className="whitespace-nowrap">
            (<Field {...{ book, view }} at="/paper/sheet/width" /> ×{' '}
            <Field {...{ book, view }} at="/paper/sheet/height" />)
          </span>
        </>
      )}
    </>
  )
}
