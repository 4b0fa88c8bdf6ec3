import { describe, expect, it } from 'vitest'
import type { Piece } from '@/api/client'
import { measureRows, rowNote } from './measureRows'

const measure = (from: string, text: string) => ({ from, text, madeOf: [] })

describe('measureRows', () => {
  it('says one setting with every edge it is read from', () => {
    const piece = {
      measures: [measure('left', '200 mm'), measure('left', '40 mm'), measure('bottom', '40 mm')],
      rows: [
        { what: 'cut.width', measures: [0] },
        { what: 'score.edges', measures: [1, 2] },
      ],
    } as unknown as Piece
    const [cut, score] = measureRows(piece)
    expect(cut).toMatchObject({ key: 'measure.cut.width', text: '200 mm', from: ['left'] })
    expect(score).toMatchObject({ key: 'measure.score.edges', text: '40 mm', from: ['left', 'bottom'] })
    expect(score && rowNote(score)).toBe('from the left and the bottom')
    expect(cut && rowNote(cut)).toBeNull()
  })
})
