import { useEffect, useState } from 'react'
import { api } from '@/api/client'
import { handWanted, rememberHand, type Hand } from './hand'
import type { Order } from './usePlace'

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

/** The steps' pictures by their number; none until they have come. */
export function usePictures(designId: string, mark: string, order: Order, hand: Hand): string[] {
  const [pictures, setPictures] = useState<string[]>([])
  useEffect(() => {
    let isOver = false
    api.pictures(designId, order, hand).then(
      (found) => !isOver && setPictures(found.pictures),
      // Words and figures stand without them.
      () => undefined,
    )
    return () => {
      isOver = true
    }
  }, [designId, mark, order, hand])
  return pictures
}
