import { useCallback, useEffect, useState } from 'react'
import { api, problemsOf, type ShelfCard } from '@/api/client'
import { ErrorNote } from '@/ui/ErrorNote'
import { Sheet } from '@/ui/Sheet'
import { words } from '@/words'
import { Thumbnail } from '@/ui/Thumbnail'

/** What was taken off the shelf: nothing is thrown away. */
export function Archived({ onDone }: { onDone: () => void }) {
  const [cards, setCards] = useState<ShelfCard[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const fail = useCallback((error: unknown) => setTrouble(problemsOf(error)[0]?.message ?? ''), [])
  useEffect(() => {
    api.archive().then(({ designs }) => setCards(designs), fail)
  }, [fail])
  const putBack = async (card: ShelfCard) => {
    try {
      await api.putBack(card.id)
      setCards((now) => now?.filter((one) => one.id !== card.id) ?? null)
    } catch (error) {
      fail(error)
    }
  }
  return (
    <Sheet title={words('shelf.archive')} isOpen onOpenChange={(isOpen) => !isOpen && onDone()}>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      {cards?.length === 0 && <p className="text-soft">{words('shelf.archive-empty')}</p>}
      <ul className="divide-y divide-line">
        {cards?.map((card) => (
          <li key={card.id} className="flex items-center gap-4 py-2">
            <span className="h-14 w-18 shrink-0">
              <Thumbnail drawing={card.drawing} />
            </span>
            <span className="min-w-0 flex-1 truncate font-serif font-semibold">{card.name}</span>
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
