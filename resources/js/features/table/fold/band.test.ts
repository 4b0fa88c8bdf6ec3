import { describe, expect, it } from 'vitest'
import { bandRound } from './band'
import type { XYZ } from './folded'

const block: XYZ[] = [
  [0, 0, 0],
  [100, 0, 0],
  [100, 150, 0],
  [0, 150, 12],
]
const spread = (rings: XYZ[][], axis: 0 | 1 | 2) => {
  const at = rings.flat().map((point) => point[axis])
  return Math.max(...at) - Math.min(...at)
}

describe('a band round the finished thing', () => {
  it('goes the shorter way, its width along the longer one, in the middle', () => {
    const band = bandRound(block, 0, 38)
    expect(band).toHaveLength(4)
    expect(spread(band, 0)).toBeCloseTo(101.6)
    expect(spread(band, 1)).toBeCloseTo(38)
    expect(spread(band, 2)).toBeCloseTo(13.6)
    const ys = band.flat().map(([, y]) => y)
    expect((Math.max(...ys) + Math.min(...ys)) / 2).toBeCloseTo(75)
  })

  it('is closed: each side goes on where the one before it ends', () => {
    const band = bandRound(block, 0, 38)
    band.forEach((side, i) => expect(side[1]).toEqual(band[(i + 1) % 4]?.[0]))
  })

  it('lies along a thing that lies slanted', () => {
    const quarter = Math.PI / 4
    const slanted = block.map(([x, y, z]): XYZ => [(x - y) * Math.cos(quarter), (x + y) * Math.sin(quarter), z])
    const straight = bandRound(block, 0, 38).flat()
    bandRound(slanted, quarter, 38)
      .flat()
      .forEach(([x, y], i) => {
        const [sx, sy] = straight[i] ?? [0, 0]
        expect(x).toBeCloseTo((sx - sy) * Math.cos(quarter))
        expect(y).toBeCloseTo((sx + sy) * Math.sin(quarter))
      })
  })

  it('is never wider than the thing is long, and none round nothing', () => {
    expect(spread(bandRound(block, 0, 900), 1)).toBeCloseTo(150)
    expect(bandRound([], 0, 38)).toEqual([])
  })
})
