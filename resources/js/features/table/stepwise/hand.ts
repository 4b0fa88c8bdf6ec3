const HAND = 'gimbo.hand'

export type Hand = 'right' | 'left'

/** On which side of the table the fence is wanted. */
export const handWanted = (): Hand => (localStorage.getItem(HAND) === 'left' ? 'left' : 'right')

export const rememberHand = (hand: Hand) => localStorage.setItem(HAND, hand)
