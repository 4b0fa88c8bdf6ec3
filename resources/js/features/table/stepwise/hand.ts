import { kept } from '@/ui/kept'

const HAND = 'gimbo.hand'

export type Hand = 'right' | 'left'

/** On which side of the table the fence is wanted. */
export const handWanted = (): Hand => (kept.get(HAND) === 'left' ? 'left' : 'right')

export const rememberHand = (hand: Hand) => kept.set(HAND, hand)
