import { useEffect, useState } from 'react'
import { api, type DesignView, type FoldedPiece, type Sized, type Told } from '@/api/client'

/** So long nothing is asked for after a change: another may follow. */
const SETTLED_MS = 60
const AGAIN_MS = 3000

/**
 * What of a design is worked out only where it is looked at. After a change what there was before stands until the new
 * comes; while it does not come it is asked for again.
 */
function useLooked<T>(view: DesignView | null, ask: (view: DesignView) => Promise<T>): T | null {
  const [found, setFound] = useState<{ id: string; answer: T } | null>(null)
  useEffect(() => {
    if (view === null) return
    let isOver = false
    const look = () =>
      ask(view).then(
        (answer) => !isOver && setFound({ id: view.id, answer }),
        () => {
          if (!isOver) timer = setTimeout(() => void look(), AGAIN_MS)
        },
      )
    let timer = setTimeout(() => void look(), SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [view, ask])
  return found !== null && found.id === view?.id ? found.answer : null
}

const told = (view: DesignView) => api.told(view.id)

export const useTold = (view: DesignView | null): Told | null => useLooked(view, told)

/** A design, its pieces with their folds. */
export interface Folded {
  design: Sized
  pieces: FoldedPiece[]
}

/** Folds are of the very pieces they are put to: those of another state of the design are asked for again. */
async function folded(view: DesignView): Promise<Folded> {
  const { mark, folding } = await api.folding(view.id)
  if (mark !== view.mark) throw new Error('It has changed since.')
  const { design } = view
  return {
    design,
    pieces: design.pieces.flatMap((piece, i) => {
      const its = folding[i]
      return its ? [{ ...piece, folding: its }] : []
    }),
  }
}

export const useFolded = (view: DesignView): Folded | null => useLooked(view, folded)
