import { useEffect, useRef, useState } from 'react'
import { words } from '@/words'
import { type grouped } from './found'
import { ShelfCardView } from './ShelfCardView'

/** A card is at least so wide, and so far from the next, in pixels. */
const CARD = 248
const APART = 20

/** How many cards go beside each other in so many pixels. */
export const columnsIn = (width: number) => Math.max(1, Math.floor((width + APART) / (CARD + APART)))

/** So many at first, and as many more whenever the end comes into sight. */
const AT_ONCE = 48

type Acts = Omit<Parameters<typeof ShelfCardView>[0], 'card'>

interface SectionsProps extends Acts {
  sections: ReturnType<typeof grouped>
  columns: number
}

/** Group after group, small ones beside each other; more as the maker comes to the end of what is shown. */
export function Sections({ sections, columns, ...acts }: SectionsProps) {
  const [shown, setShown] = useState(AT_ONCE)
  const end = useRef<HTMLDivElement>(null)
  const total = sections.reduce((sum, { cards }) => sum + cards.length, 0)
  useEffect(() => {
    const element = end.current
    if (!element || shown >= total || typeof IntersectionObserver === 'undefined') return
    const watcher = new IntersectionObserver(
      (entries) => entries.some((entry) => entry.isIntersecting) && setShown((now) => now + AT_ONCE),
      { rootMargin: '600px' },
    )
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [shown, total])
  return (
    <>
      <div className="grid gap-x-5 gap-y-7 pb-7" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
        {firstOf(sections, shown).map(({ group, cards, all }) => {
          if (cards.length === 0) return null
          const span = Math.min(all, columns)
          return (
            <section key={group} style={{ gridColumn: `span ${span}` }} aria-label={group || words('shelf.no-group')}>
              {(group !== '' || sections.length > 1) && (
                <h2 className="mb-2 truncate text-lg">
                  {group || words('shelf.no-group')}{' '}
                  <span className="font-sans text-base font-normal text-soft">{all}</span>
                </h2>
              )}
              <ul className="grid gap-5" style={{ gridTemplateColumns: `repeat(${span}, minmax(0, 1fr))` }}>
                {cards.map((card) => (
                  <ShelfCardView key={card.id} card={card} {...acts} />
                ))}
              </ul>
            </section>
          )
        })}
      </div>
      <div ref={end} />
    </>
  )
}

/** The first so many of all groups together. */
function firstOf(sections: ReturnType<typeof grouped>, most: number) {
  const before = sections.map((_, i) => sections.slice(0, i).reduce((sum, { cards }) => sum + cards.length, 0))
  return sections.map(({ group, cards }, i) => ({
    group,
    all: cards.length,
    cards: cards.slice(0, Math.max(0, most - (before[i] ?? 0))),
  }))
}
