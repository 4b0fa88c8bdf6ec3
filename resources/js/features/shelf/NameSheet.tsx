import { useState } from 'react'
import { api, problemsOf, type ShelfCard } from '@/api/client'
import { FormButtons } from '@/ui/FormButtons'
import { Sheet } from '@/ui/Sheet'
import { TextField } from '@/ui/TextField'
import { words } from '@/words'

interface NameSheetProps {
  card: ShelfCard
  what: 'name' | 'group'
  /** Groups there are already. */
  groups: string[]
  onDone: (hasChanged: boolean) => void
}

/** Another name for a design, or the group it stands with. */
export function NameSheet({ card, what, groups, onDone }: NameSheetProps) {
  const [typed, setTyped] = useState(card[what])
  const [problem, setProblem] = useState<string | undefined>()
  const keep = async () => {
    try {
      await api.put(card.id, { [what]: what === 'group' ? typed.trim() : typed })
      onDone(true)
    } catch (error) {
      setProblem(problemsOf(error)[0]?.message)
    }
  }
  return (
    <Sheet
      title={words(`shelf.${what}-of`, { name: card.name })}
      isOpen
      onOpenChange={(isOpen) => !isOpen && onDone(false)}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void keep()
        }}
      >
        <TextField
          label={words(`shelf.${what}-label`)}
          value={typed}
          problem={problem}
          list={what === 'group' ? 'groups' : undefined}
          autoFocus
          onFocus={(event) => event.target.select()}
          onChange={setTyped}
        />
        <datalist id="groups">
          {groups.map((group) => (
            <option key={group} value={group} />
          ))}
        </datalist>
        <FormButtons onLeave={() => onDone(false)} />
      </form>
    </Sheet>
  )
}
