import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { words } from '@/words'

export interface Choice {
  value: string
  label: string
  /** What stands on the right of it, such as its size. */
  aside?: ReactNode
}

interface ChoicePartProps {
  label: string
  value: string
  face: ReactNode
  groups: Array<{ label?: string; choices: Choice[] }>
  onChoose: (value: string) => void
  className?: string
}

const labelOf = (groups: ChoicePartProps['groups'], value: string) =>
  groups.flatMap(({ choices }) => choices).find((choice) => choice.value === value)?.label

const named = (label: string, value: string | undefined) =>
  value === undefined ? label : words('choice.named', { label, value })

/** A part of a sentence that is one of several; its name is what is seen of it. */
export function ChoicePart({ label, value, face, groups, onChoose, className = 'part' }: ChoicePartProps) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className={className} aria-label={named(label, labelOf(groups, value))}>
        <span className="part-face">{face}</span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="start" sideOffset={6} collisionPadding={12}>
          <DropdownMenu.RadioGroup value={value} onValueChange={onChoose}>
            {groups.map((group, i) => (
              <div key={group.label ?? i}>
                {group.label && <DropdownMenu.Label className="menu-label">{group.label}</DropdownMenu.Label>}
                {group.choices.map((choice) => (
                  <DropdownMenu.RadioItem key={choice.value} value={choice.value} className="menu-item">
                    <span className={choice.value === value ? 'font-semibold' : ''}>{choice.label}</span>
                    {choice.aside && <span className="text-soft">{choice.aside}</span>}
                  </DropdownMenu.RadioItem>
                ))}
              </div>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
