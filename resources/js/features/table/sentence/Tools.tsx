import type { Change } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { toolChanges } from '@/spec/toolChanges'
import { ChoicePart } from '@/ui/ChoicePart'
import { words } from '@/words'
import type { PartProps } from './part'

const USUAL_TOOLS: Change[] = [{ at: '/tools', to: null }]

/** The set of tools by its name. */
export function Tools({ book, view }: PartProps) {
  const sets = useLibrary().library?.tools ?? []
  const now = sets.find((set) => set.name === view.choices['/tools/name'])
  if (sets.length === 0) return null
  return (
    <p className="mb-2 text-[1.1rem]">
      {words('tools.with')}{' '}
      <ChoicePart
        label={words('place.tools')}
        value={now?.id ?? ''}
        face={view.choices['/tools/name'] ?? words('tools.usual-set')}
        groups={[
          {
            choices: [
              { value: '', label: words('tools.usual-set') },
              ...sets.map((set) => ({ value: set.id, label: set.name })),
            ],
          },
        ]}
        onChoose={(id) => {
          const set = sets.find((one) => one.id === id)
          book.set(set ? toolChanges(set) : USUAL_TOOLS)
        }}
      />
    </p>
  )
}
