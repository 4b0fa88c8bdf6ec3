import { describe, expect, it } from 'vitest'
import type { Measure, Piece } from '@/api/client'
import { centroid, isInside, marksOf, ticksOf, viewOf } from './geometry'

const measure = (some: Partial<Measure>): Measure => ({
  kind: 'punch',
  tool: 'punch-board',
  axis: 'edge',
  from: 'left',
  at: 92,
  text: '92 mm',
  setting: 'first-mark',
  scale: { step: 1, unit: 'mm' },
  standoff: 0,
  groove: null,
  corner: null,
  side: 1,
  edges: [],
  madeOf: [],
  ...some,
})

const piece = (lie: Piece['lie'], measures: Measure[] = []) =>
  ({ lie, measures, sheet: { width: 200, height: 200, text: { width: '', height: '' } } }) as unknown as Piece

describe('viewOf', () => {
  const room = { left: 50, top: 40, width: 400, height: 400 }

  it('draws a square sheet to scale with y turned', () => {
    const view = viewOf(piece('square'), room)
    expect(view.scale).toBeCloseTo(2)
    expect(view.at([0, 200])).toEqual([50, 40])
    expect(view.at([200, 0])).toEqual([450, 440])
    expect(view.zero).toEqual([50, 40])
  })

  it('puts a sheet corner up with its top left corner on the left, off the fence by the standoff', () => {
    const view = viewOf(piece('corner-up', [measure({ standoff: 3 })]), room)
    const diagonal = 200 * Math.SQRT2
    expect(view.reach[0]).toBeCloseTo(diagonal + 3)
    const [x, y] = view.at([0, 200])
    expect(x).toBeCloseTo(view.zero[0] + 3 * view.scale)
    expect(y).toBeCloseTo(view.zero[1] + (3 + diagonal / 2) * view.scale)
    expect(view.at([200, 200])[1]).toBeCloseTo(view.zero[1] + 3 * view.scale)
  })
})

describe('ticksOf', () => {
  it('graduates inches into eighths where there is room, the inch longest and labelled', () => {
    const ticks = ticksOf(2 * 25.4, 'imperial', 4)
    expect(ticks).toHaveLength(17)
    expect(ticks.filter((tick) => tick.label).map((tick) => tick.label)).toEqual(['0', '1', '2'])
    expect(ticks.slice(0, 5).map((tick) => tick.size)).toEqual([3, 0, 1, 0, 2])
    expect(ticks[3]?.at).toBeCloseTo((3 / 8) * 25.4)
  })

  it('leaves out what would run together', () => {
    expect(ticksOf(100, 'metric', 5)).toHaveLength(101)
    expect(ticksOf(100, 'metric', 1)).toHaveLength(21)
    expect(
      ticksOf(100, 'metric', 1)
        .filter((tick) => tick.label)
        .map((tick) => tick.label),
    ).toEqual(['0', '3', '6', '9'])
  })
})

describe('marksOf', () => {
  it('shows the first two sides of a punched sheet where they are read', () => {
    const sides = [1, 2, 3, 4].map((side) => measure({ side, from: side % 2 ? 'left' : 'right' }))
    expect(marksOf(piece('square', sides))).toEqual([
      { measure: 0, ruler: 'top', at: 92 },
      { measure: 1, ruler: 'left', at: 92 },
    ])
  })

  it('shows punch marks read from the far end where they lie', () => {
    const sides = [1, 2].map((side) => measure({ side, from: side % 2 ? 'right' : 'left', at: 60 }))
    expect(marksOf(piece('square', sides))).toEqual([
      { measure: 0, ruler: 'top', at: 140, from: 'right' },
      { measure: 1, ruler: 'left', at: 140, from: 'bottom' },
    ])
  })

  it('shows diagonal scores from the left and the upper corner', () => {
    const scores = ['top-left', 'bottom-right', 'top-right', 'bottom-left'].map((from) =>
      measure({ kind: 'score', from }),
    )
    expect(marksOf(piece('corner-up', scores)).map((mark) => [mark.measure, mark.ruler])).toEqual([
      [0, 'top'],
      [2, 'left'],
    ])
  })

  it('shows straight scores from every edge, and says which are read from the far one', () => {
    const scores = ['left', 'bottom', 'right', 'top'].map((from) => measure({ kind: 'score', from, at: 20 }))
    expect(marksOf(piece('square', scores))).toEqual([
      { measure: 0, ruler: 'top', at: 20 },
      { measure: 1, ruler: 'left', at: 180, from: 'bottom' },
      { measure: 2, ruler: 'top', at: 180, from: 'right' },
      { measure: 3, ruler: 'left', at: 20 },
    ])
  })
})

describe('isInside', () => {
  const triangle = [
    [0, 0],
    [10, 0],
    [0, 10],
  ] as const

  it('knows a point of a face from one beside it', () => {
    expect(isInside([2, 2], triangle)).toBe(true)
    expect(isInside([6, 6], triangle)).toBe(false)
    expect(isInside([-1, 2], triangle)).toBe(false)
  })
})

describe('centroid', () => {
  it('is the middle by area, in either winding', () => {
    const triangle = [
      [0, 0],
      [9, 0],
      [0, 6],
    ] as const
    expect(centroid(triangle)).toEqual([3, 2])
    expect(centroid([...triangle].reverse())).toEqual([3, 2])
  })
})
