import { describe, expect, it } from 'vitest'
import type { Measure, Piece } from '@/api/client'
import { hasWords } from '@/words'
import { measureRows } from './measureRows'

const measure = (kind: Measure['kind'], axis: Measure['axis'], from: string, text: string) =>
  ({ kind, axis, from, text, madeOf: [] }) as unknown as Measure

const piece = (width: number, height: number, measures: Measure[]) =>
  ({ sheet: { width, height }, measures }) as unknown as Piece

describe('measureRows', () => {
  it('shows one setting once, however often it is used', () => {
    const rows = measureRows(
      piece(200, 200, [
        measure('cut', 'width', 'left', '200 mm'),
        measure('cut', 'height', 'top', '200 mm'),
        ...['left', 'right', 'left', 'right'].map((from) => measure('punch', 'edge', from, '92 mm')),
      ]),
    )
    expect(rows.map((row) => [row.key, row.measures])).toEqual([
      ['measure.cut.square', [0, 1]],
      ['measure.punch.edge', [2, 3, 4, 5]],
    ])
    expect(rows[1]?.from).toEqual(['left', 'right', 'left', 'right'])
    expect(rows.every((row) => hasWords(row.key))).toBe(true)
  })

  it('keeps different settings apart', () => {
    const rows = measureRows(
      piece(200, 150, [
        measure('cut', 'width', 'left', '200 mm'),
        measure('cut', 'height', 'top', '150 mm'),
        measure('score', 'diagonal', 'top-left', '59 mm'),
        measure('score', 'cross-diagonal', 'top-right', '77 mm'),
      ]),
    )
    expect(rows).toHaveLength(4)
  })
})
