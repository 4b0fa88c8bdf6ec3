import { Plus } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { words } from '@/words'
import type { PartProps } from '../sentence/part'
import { additionsOf, begun, panelsOf } from './additions'
import { lookAt } from './focusNew'

/** What closes it, and what goes round it: on no panel. */
const LOOSE = ['band', 'ribbon', 'liner', 'closure', 'label'] as const

/** Adds something without pointing at the drawing. */
export function AddMenu({ book, view }: PartProps) {
  const first = panelsOf(view.design).find((panel) => !panel.isHidden)
  const has = (role: string) => additionsOf(view).some((addition) => addition.role === role)
  const faces = view.design.pieces.flatMap((piece) => piece.fold['faces_gimbo:name'])
  const isClosing = faces.includes('top-flap')
  const add = (role: string, on?: string) => {
    const addition = begun(view, role, on)
    book.set([{ at: '/with', to: [...additionsOf(view), addition] }])
    lookAt(addition.id)
  }
  const loose = LOOSE.filter((role) => (role !== 'liner' && role !== 'closure') || (isClosing && !has(role)))
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="quiet-button with-add font-semibold text-live">
        <Plus aria-hidden="true" className="inline size-4" /> {words('with.add')}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="start" sideOffset={6} collisionPadding={12}>
          {first && (
            <>
              <DropdownMenu.Label className="menu-label">{words('with.add.on-panel')}</DropdownMenu.Label>
              {(['mat', 'strip', 'window'] as const).map((role) => (
                <DropdownMenu.Item key={role} className="menu-item" onSelect={() => add(role, first.on)}>
                  {words(`with.role.${role}`)}
                </DropdownMenu.Item>
              ))}
              <DropdownMenu.Item className="menu-item" onSelect={() => add('mat', '*')}>
                {words('with.add.all-mats')}
              </DropdownMenu.Item>
            </>
          )}
          <DropdownMenu.Label className="menu-label">{words('with.add.loose')}</DropdownMenu.Label>
          {loose.map((role) => (
            <DropdownMenu.Item key={role} className="menu-item" onSelect={() => add(role)}>
              {words(`with.role.${role}`)}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
