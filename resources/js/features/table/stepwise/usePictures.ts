import { useEffect, useState } from 'react'
import { api } from '@/api/client'
import { handWanted, rememberHand, type Hand } from './hand'
import type { Order } from './usePlace'

export type WorkOrder = Order

/** On which side of the table the fence is wanted; remembered. */
export function useHand(): [Hand, (hand: Hand) => void] {
  const [hand, setHand] = useState<Hand>(handWanted)
  return [
    hand,
    (to) => {
      rememberHand(to)
      setHand(to)
    },
  ]
}

/** The steps' pictures by their number and how each is said aloud; none until they have come. Asked for anew while they do not come. */
export function usePictures(designId: string, mark: string | null, hand: Hand) {
  const [order, setOrder] = useState<Order>('by-piece')
  const [found, setFound] = useState<{ pictures: string[]; spoken: string[] }>({ pictures: [], spoken: [] })
  useEffect(() => {
    if (mark === null) return
    let isOver = false
    let timer: ReturnType<typeof setTimeout> | undefined
    const ask = () =>
      api.pictures(designId, order, hand).then(
        (answer) => !isOver && setFound(answer),
        // Words and figures stand without them.
        () => {
          timer = isOver ? undefined : setTimeout(() => void ask(), AGAIN_MS)
        },
      )
    void ask()
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [designId, mark, order, hand])
  return [found, setOrder] as const
}

const AGAIN_MS = 3000
