import { Archive, Copy, EllipsisVertical, FolderInput, PencilLine, TriangleAlert } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { memo } from 'react'
import { Link } from 'react-router'
import type { ShelfCard } from '@/api/client'
import { Figure } from '@/ui/Figure'
import { words } from '@/words'
import { Thumbnail } from '@/ui/Thumbnail'

interface ShelfCardViewProps {
  card: ShelfCard
  onRename: (card: ShelfCard) => void
  onGroup: (card: ShelfCard) => void
  onCopy: (card: ShelfCard) => void
  onTakeOff: (card: ShelfCard) => void
}

/** One design on the shelf by its own drawing, and what can be done with it there. */
export const ShelfCardView = memo(function ShelfCardView({
  card,
  onRename,
  onGroup,
  onCopy,
  onTakeOff,
}: ShelfCardViewProps) {
  const acts = [
    { key: 'shelf.rename', icon: PencilLine, act: onRename },
    { key: 'shelf.group', icon: FolderInput, act: onGroup },
    { key: 'shelf.copy', icon: Copy, act: onCopy },
    { key: 'shelf.take-off', icon: Archive, act: onTakeOff },
  ]
  return (
    <li className="group relative flex flex-col rounded-xl border border-line bg-panel focus-within:border-live hover:border-live">
      <Link to={`/designs/${card.id}`} className="flex flex-1 flex-col rounded-xl">
        <span className="flex h-44 items-center justify-center rounded-t-xl bg-table/60 p-4">
          <Thumbnail drawing={card.drawing} />
        </span>
        <span className="block px-4 pt-3 pb-4 pr-12">
          <span className="block font-serif text-[1.12rem] leading-snug font-semibold">{card.name}</span>
          <span className="block text-soft">{words(`make.${card.summary.make}.noun`)}</span>
          <span className="block whitespace-nowrap text-soft">
            <Figure text={card.summary.holds.text.width} unit={false} /> ×{' '}
            <Figure text={card.summary.holds.text.height} />
          </span>
          {!card.summary.fits && (
            <span className="mt-1 flex items-center gap-1.5 text-[0.95rem] font-semibold text-warn">
              <TriangleAlert aria-hidden="true" className="size-4" />
              {words('shelf.does-not-fit')}
            </span>
          )}
        </span>
      </Link>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger
          className="quiet-button absolute! right-1 bottom-2 text-soft"
          aria-label={words('shelf.more', { name: card.name })}
        >
          <EllipsisVertical aria-hidden="true" className="size-5" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="menu" align="end" sideOffset={4} collisionPadding={12}>
            {acts.map(({ key, icon: Icon, act }) => (
              <DropdownMenu.Item key={key} className="menu-item justify-start! gap-3!" onSelect={() => act(card)}>
                <Icon aria-hidden="true" className="size-5 text-soft" />
                {words(key)}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </li>
  )
})
