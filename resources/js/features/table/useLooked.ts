import { useEffect, useState } from 'react'
import { api, type DesignView, type FoldedPiece, type Told } from '@/api/client'

/** So long nothing is asked for after a change: another may follow. */
const SETTLED_MS = 60
const AGAIN_MS = 3000

/**
 * What of a design is worked out only where it is looked at. After a change what there was before stands until the new
 * comes; while it does not come it is asked for again.
 */
function useLooked<T>(view: Pick<DesignView, 'id' | 'mark'> | null, ask: (id: string) => Promise<T>): T | null {
  const [found, setFound] = useState<{ id: string; answer: T } | null>(null)
  const [id, mark] = [view?.id ?? null, view?.mark ?? null]
  const isFirst = found?.id !== id
  useEffect(() => {
    if (id === null || mark === null) return
    let isOver = false
    const look = () =>
      ask(id).then(
        (answer) => !isOver && setFound({ id, answer }),
        () => {
          if (!isOver) timer = setTimeout(() => void look(), AGAIN_MS)
        },
      )
    let timer = setTimeout(() => void look(), isFirst ? 0 : SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [id, mark, ask, isFirst])
  return found?.id === id ? found.answer : null
}

export const useTold = (view: DesignView | null): Told | null => useLooked(view, api.told)

/** The pieces with their folds; null until those have come. */
export function useFolded(view: DesignView): FoldedPiece[] | null {
  const folding = useLooked(view, api.folding)?.folding
  const { pieces } = view.design
  // While pieces come or go, what there was has no fold for them.
  if (!folding || folding.length !== pieces.length) return null
  const folded = pieces.flatMap((piece, i) => {
    const its = folding[i]
    return its ? [{ ...piece, folding: its }] : []
  })
  return folded
}
