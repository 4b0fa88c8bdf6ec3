import { render } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Piece, Sized, Step } from '@/api/client'
import { LyingSheet } from './LyingSheet'
import { onTool, turnedSince } from './lying'

// A sheet of 40 × 20 scored in the middle, with a notch taken out of its right half.
const piece = {
  id: 'card',
  sheet: { width: 40, height: 20 },
  measures: [{ edges: [] }, { edges: [6] }],
  contents: [
    [2, 2],
    [18, 2],
    [18, 18],
    [2, 18],
  ],
  fold: {
    vertices_coords: [
      [0, 0],
      [20, 0],
      [40, 5],
      [40, 20],
      [20, 20],
      [0, 20],
    ],
    edges_vertices: [
      [0, 1],
      [1, 2],
      [2, 3],
      [3, 4],
      [4, 5],
      [5, 0],
      [1, 4],
    ],
    edges_assignment: ['B', 'B', 'B', 'B', 'B', 'B', 'V'],
    faces_vertices: [
      [0, 1, 4, 5],
      [1, 2, 3, 4],
    ],
    'faces_gimbo:name': ['back', 'front'],
  },
} as unknown as Piece

const step = (what: string, isWhole: boolean, measures: number[], done: number[], faces: string[] = [], turn = 0) =>
  ({ do: what, piece: 'card', measures, faces, lying: { turn, isWhole, line: null, done } }) as unknown as Step

const steps = [
  step('cut', true, [0], []),
  step('score', true, [1], [0], [], 90),
  step('try-fit', true, [], [0, 1], [], 90),
  step('cut-out', false, [], [0, 1], ['front']),
  step('try-fit', false, [], [0, 1]),
]

function drawn(at: number) {
  const lies = onTool(piece, 0, 0, { left: 0, top: 0, width: 40, height: 20 })
  const { container } = render(
    <svg>
      <LyingSheet design={{ steps } as unknown as Sized} piece={piece} step={steps[at]!} lies={lies} />
    </svg>,
  )
  const all = (selector: string) => container.querySelectorAll(selector).length
  return {
    faces: all('polygon.fill-paper, polygon.fill-live-wash'),
    lit: all('.fill-live-wash'),
    edges: all('line.stroke-ink'),
    creases: all('.stroke-valley'),
    now: all('line.stroke-live'),
    held: all('polygon.stroke-live'),
  }
}

describe('LyingSheet', () => {
  it('is the whole rectangle, with what is scored now in full', () => {
    expect(drawn(1)).toEqual({ faces: 1, lit: 0, edges: 0, creases: 0, now: 1, held: 0 })
  })

  it('shows what is laid in to look where it lies, on what is scored by then', () => {
    expect(drawn(2)).toEqual({ faces: 1, lit: 0, edges: 0, creases: 1, now: 0, held: 1 })
  })

  it('has its own edge once something is cut out of it', () => {
    expect(drawn(3)).toEqual({ faces: 2, lit: 1, edges: 6, creases: 1, now: 0, held: 0 })
    expect(drawn(4)).toEqual({ faces: 2, lit: 0, edges: 6, creases: 1, now: 0, held: 1 })
  })
})

describe('turnedSince', () => {
  it('is how far the sheet in the picture was turned, and nothing for a sheet that was only now cut', () => {
    const order = steps.map((_, i) => i)
    expect(order.map((place) => turnedSince(steps, order, place))).toEqual([null, null, 0, 3, 0])
    const slant = step('slant', true, [1], [], [], 62.8)
    expect(turnedSince([steps[1]!, slant], [0, 1], 1)).toBe(0)
  })
})
