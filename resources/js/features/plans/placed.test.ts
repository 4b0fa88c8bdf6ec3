import { describe, expect, it } from 'vitest'
import type { PlanPart } from '@/api/client'
import { placed } from './placed'

const leaf = (width: number, height: number, letter: string | null = null): PlanPart => ({ width, height, letter })

describe('where the parts of a sheet lie', () => {
  it('puts the first part to the left or below, the second behind the blade', () => {
    const tree: PlanPart = {
      width: 100,
      height: 60,
      n: 1,
      isUpright: true,
      at: 40,
      parts: [
        { width: 40, height: 60, n: 2, isUpright: false, at: 25, parts: [leaf(40, 25, 'A'), leaf(40, 32, 'B')] },
        leaf(57, 60, 'C'),
      ],
    }
    const { leaves, cuts } = placed(tree)
    expect(leaves.map(({ part, x, y }) => [part.letter, x, y])).toEqual([
      ['A', 0, 60],
      ['B', 0, 32],
      ['C', 43, 60],
    ])
    expect(cuts.map(({ part }) => part.n)).toEqual([1, 2])
  })

  it('leaves out what the blade took whole', () => {
    const tree: PlanPart = { width: 42, height: 9, n: 1, isUpright: true, at: 40, parts: [leaf(40, 9), leaf(0, 9)] }
    expect(placed(tree).leaves).toHaveLength(1)
  })
})
