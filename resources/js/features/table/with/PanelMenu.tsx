import { DropdownMenu } from 'radix-ui'
import { words } from '@/words'
import type { PartProps } from '../sentence/part'
import { additionsOf, begun, freeId, panelsOf, type Addition } from './additions'
import { lookAt } from './focusNew'

export interface PointedAt {
  /** A panel as the request names it. */
  on: string
  x: number
  y: number
}

/** What can lie on the panel that was pointed at, and what does. */
export function PanelMenu({ book, view, at, onClose }: PartProps & { at: PointedAt; onClose: () => void }) {
  const panel = panelsOf(view.design).find((one) => one.on === at.on)
  if (!panel) return null
  const all = additionsOf(view)
  const mine = all.map((addition, i) => ({ addition, i })).filter(({ addition }) => addition.on === at.on)
  const mat = mine.find(({ addition }) => addition.role === 'mat')?.addition
  const second = mat && all.some(({ role, on }) => role === 'mat' && on === mat.id)
  const add = (...additions: Addition[]) => {
    book.set([{ at: '/with', to: [...all, ...additions] }])
    if (additions[0]) lookAt(additions[0].id)
  }
  const pair = (): Addition[] => {
    const one = begun(view, 'mat', at.on)
    const number = Number(/\d+$/.exec(one.id)?.[0] ?? 1)
    let id = `mat-${number + 1}`
    if (all.some((other) => other.id === id)) id = `${freeId(view, 'mat')}b`
    return [one, { ...one, id, on: panel.twin ?? at.on }]
  }
  return (
    <DropdownMenu.Root modal={false} open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <DropdownMenu.Trigger
        aria-hidden="true"
        tabIndex={-1}
        className="pointer-events-none fixed size-px opacity-0"
        style={{ left: at.x, top: at.y }}
      />
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="menu"
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label={panel.name}
        >
          <DropdownMenu.Label className="menu-label">{panel.name}</DropdownMenu.Label>
          {panel.isHidden ? (
            <p className="max-w-64 px-3 py-2 text-soft">{words('with.hidden')}</p>
          ) : (
            <>
              <DropdownMenu.Item className="menu-item" onSelect={() => add(begun(view, 'mat', at.on))}>
                {words('with.role.mat')}
              </DropdownMenu.Item>
              {panel.twin !== null && (
                <DropdownMenu.Item className="menu-item" onSelect={() => add(...pair())}>
                  {words('with.add.pair')}
                </DropdownMenu.Item>
              )}
              {mat && !second && (
                <DropdownMenu.Item className="menu-item" onSelect={() => add(begun(view, 'mat', mat.id))}>
                  {words('with.add.second')}
                </DropdownMenu.Item>
              )}
              {(['strip', 'window', 'label', 'emboss'] as const).map((role) => (
                <DropdownMenu.Item key={role} className="menu-item" onSelect={() => add(begun(view, role, at.on))}>
                  {words(`with.role.${role}`)}
                </DropdownMenu.Item>
              ))}
            </>
          )}
          {mine.map(({ addition, i }) => (
            <DropdownMenu.Item
              key={addition.id}
              className="menu-item"
              onSelect={() => book.set([{ at: `/with/${i}`, to: null }])}
            >
              {words('with.out', { what: words(`with.role.${addition.role}`) })}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
