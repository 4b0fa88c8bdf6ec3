import { useCallback, useEffect, useRef, useState } from 'react'
import type { DesignView } from '@/api/client'
import { kept } from '@/ui/kept'

export type Order = 'by-piece' | 'by-tool'

interface Place {
  /** The design as it was: after a change the steps may be others. */
  revision: number
  order: Order
  place: number
}

type PlaceChange = Partial<Place> | ((now: Place) => Partial<Place>)

/**
 * Where the maker is in the steps, kept over a reload; at the first that is to be done once the design is another. The last
 * of what is returned says where she is by now: a second press may come before the first is drawn.
 */
export function usePlace(
  view: DesignView,
  firstToDo: () => number,
): [Place, (change: PlaceChange) => void, () => number] {
  const key = `gimbo.work.${view.id}`
  const [place, setPlace] = useState<Place>(() => {
    try {
      const before = JSON.parse(kept.get(key) ?? '') as Place
      if (before.revision === view.revision && Number.isInteger(before.place)) return before
    } catch {
      // Nothing kept, or nothing that can be read.
    }
    return { revision: view.revision, order: 'by-piece', place: firstToDo() }
  })
  useEffect(() => {
    kept.set(key, JSON.stringify(place))
  }, [key, place])
  const latest = useRef(place)
  const put = useCallback((change: PlaceChange) => {
    const now = latest.current
    latest.current = { ...now, ...(typeof change === 'function' ? change(now) : change) }
    setPlace(latest.current)
  }, [])
  return [place, put, useCallback(() => latest.current.place, [])]
}
