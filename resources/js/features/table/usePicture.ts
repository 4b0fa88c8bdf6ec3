import { useEffect, useState } from 'react'
import { api, type Still } from '@/api/client'

const SETTLED_MS = 200

/** The core's picture of the finished thing, fetched once the maker has stopped changing things; till then the one from before. */
export function usePicture(id: string, revision: unknown, isSaved: boolean): Still | null {
  const [picture, setPicture] = useState<{ id: string; still: Still } | null>(null)
  useEffect(() => {
    if (!isSaved) return
    let isOver = false
    const timer = setTimeout(() => {
      api.picture(id).then(
        (still) => !isOver && setPicture({ id, still }),
        // It is only a look at it: the next change asks again.
        () => undefined,
      )
    }, SETTLED_MS)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [id, revision, isSaved])
  return picture?.id === id ? picture.still : null
}
