import { useEffect, useState } from 'react'
import { api, problemsOf, type ShelfCard } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'
import { Thumbnail } from '@/ui/Thumbnail'

interface ArchivedProps {
  /** What went wrong on the shelf last. */
  trouble: string | null
  /** Puts a design back on the shelf and says whether it is there; the maker need not stay to see it. */
  onPutBack: (card: ShelfCard) => Promise<boolean>
  onDone: () => void
}

/** What was taken off the shelf: nothing is thrown away. */
export function Archived({ trouble, onPutBack, onDone }: ArchivedProps) {
  const [cards, setCards] = useState<ShelfCard[] | null>(null)
  const [unread, setUnread] = useState<string | null>(null)
  useEffect(() => {
    api.archive().then(
      ({ designs }) => setCards(designs),
      (error: unknown) => setUnread(problemsOf(error)[0]?.message ?? ''),
    )
  }, [])
  const putBack = async (card: ShelfCard) => {
    if (await onPutBack(card)) setCards((now) => now?.filter((one) => one.id !== card.id) ?? null)
  }
  return (
    <Sheet title={words('shelf.archive')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()}>
      {(unread ?? trouble) && <ErrorNote>{unread ?? trouble}</ErrorNote>}
      {cards?.length === 0 && <p className="text-soft">{words('shelf.archive-empty')}</p>}
      <ul className="divide-y divide-line">
        {cards?.map((card) => (
          <li key={card.id} className="flex flex-wrap items-center gap-x-4 py-2">
            <span className="h-14 w-18 shrink-0">
              <Thumbnail drawing={card.drawing} />
            </span>
            <span className="min-w-32 flex-1 truncate font-serif font-semibold">{card.name}</span>
            <button
              type="button"
              className="quiet-button font-semibold text-live"
              aria-label={words('shelf.put-back-named', { name: card.name })}
              onClick={() => void putBack(card)}
            >
              {words('shelf.put-back')}
            </button>
          </li>
        ))}
      </ul>
    </Sheet>
  )
}
