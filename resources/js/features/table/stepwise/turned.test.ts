import { describe, expect, it } from 'vitest'
import { turnedSince } from './turned'

const step = (what: 'cut' | 'score', turn: number, piece = 'card') => ({ do: what, piece, turn, fence: 'left' })

describe('turnedSince', () => {
  const steps = [step('cut', 0), step('score', 0), step('score', 90), step('score', -90), step('score', 62.8)]
  const order = steps.map((_, i) => i)

  it('is how far the sheet in the picture was turned, and nothing for a sheet that was only now cut', () => {
    expect(order.map((place) => turnedSince(steps, order, place))).toEqual([null, null, 1, 2, 0])
  })

  it('goes by the order one works in, and says nothing of another piece', () => {
    expect(turnedSince(steps, [3, 1], 1)).toBe(1)
    expect(turnedSince([...steps, step('score', 0, 'lid')], [3, 5], 1)).toBeNull()
  })
})
