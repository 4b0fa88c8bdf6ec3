import type { Change } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ChoicePart } from '@/ui/ChoicePart'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import type { PartProps } from '../sentence/part'
import { paperFrom } from './additions'

interface PaperPartProps extends PartProps {
  /** Where its id stands in the request. */
  at: string
  /** The id that stands there; none for the main paper. */
  paper: string | undefined
  /** What else is changed with it. */
  also?: Change[]
}

/** What one thing is cut from: the design's main paper, another of its papers, or one out of the drawer. */
export function PaperPart({ book, view, at, paper, also = [] }: PaperPartProps) {
  const kept = useLibrary().library?.papers ?? []
  const own = view.design.papers.filter(({ id }) => id !== '')
  const nameOf = (id: string) => own.find((one) => one.id === id)?.name ?? id
  const others = kept.filter((one) => !own.some(({ name }) => name === one.name))
  const choose = (value: string) => {
    const stock = others.find((one) => `drawer ${one.id}` === value)
    const from = stock && paperFrom(view, stock)
    book.set([...also, ...(from?.changes ?? []), { at, to: from ? from.id : value === '' ? null : value }])
  }
  return (
    <ChoicePart
      label={words('with.paper')}
      value={paper ?? ''}
      face={paper ? nameOf(paper) : words('with.paper.main')}
      groups={[
        {
          choices: [
            { value: '', label: words('with.paper.main') },
            ...own.map((one) => ({ value: one.id, label: one.name ?? one.id })),
          ],
        },
        ...(others.length > 0
          ? [
              {
                label: words('papers.title'),
                choices: others.map((one) => ({
                  value: `drawer ${one.id}`,
                  label: one.name,
                  aside: <Figure text={one.caliper} />,
                })),
              },
            ]
          : []),
      ]}
      onChoose={choose}
    />
  )
}
