import { describe, expect, it } from 'vitest'
import { heightOf, placeLabels, widthOf, type Label } from './labels'

const label = (id: string, at: [number, number], some: Partial<Label> = {}): Label => ({
  id,
  text: '3 1/2 in',
  kind: 'mark',
  px: 16,
  places: [at],
  rank: 1,
  ...some,
})

describe('placeLabels', () => {
  it('writes nothing over anything else and nothing past the edge', () => {
    const many = Array.from({ length: 60 }, (_, i) => label(`l${i}`, [(i * 37) % 300, (i * 53) % 200], { rank: i }))
    const placed = placeLabels(many, 300, 200)
    expect(placed.length).toBeGreaterThan(5)
    placed.forEach((one, i) => {
      const [w, h] = [widthOf(one), heightOf(one)]
      expect(one.at[0] - w / 2).toBeGreaterThanOrEqual(0)
      expect(one.at[1] + h / 2).toBeLessThanOrEqual(200)
      for (const other of placed.slice(i + 1)) {
        const isClear = Math.abs(one.at[0] - other.at[0]) >= w || Math.abs(one.at[1] - other.at[1]) >= h
        expect(isClear).toBe(true)
      }
    })
  })

  it('gives way to what weighs more, and tries another place first', () => {
    const placed = placeLabels(
      [
        label('light', [100, 100], { rank: 5 }),
        label('heavy', [100, 100]),
        label('moves', [100, 100], {
          rank: 3,
          places: [
            [100, 100],
            [100, 160],
          ],
        }),
      ],
      300,
      200,
    )
    expect(placed.map(({ id, at }) => [id, at])).toEqual([
      ['heavy', [100, 100]],
      ['moves', [100, 160]],
    ])
  })

  it('counts a turned label by the room it takes', () => {
    const across = label('across', [150, 100], { turn: 90, text: 'a long flap’s name' })
    expect(placeLabels([across, label('beside', [150, 60], { rank: 2 })], 300, 200).map(({ id }) => id)).toEqual([
      'across',
    ])
  })
})
