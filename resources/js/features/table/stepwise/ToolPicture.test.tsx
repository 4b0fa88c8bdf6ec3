import { render, screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { Piece, Sized, Step } from '@/api/client'
import { onTool } from './lying'
import { ToolPicture } from './ToolPicture'

vi.mock('@/ui/useSize', () => ({ useSize: () => [{ current: null }, { width: 600, height: 500 }] }))

const measure = (of: object) => ({
  from: 'left',
  at: 50,
  text: '50 mm',
  scale: { step: 1, unit: 'mm' },
  standoff: 0,
  groove: null,
  corner: null,
  edges: [],
  ...of,
})
const piece = {
  id: 'card',
  sheet: { width: 100, height: 80, text: { width: '100 mm', height: '80 mm' } },
  measures: [
    measure({ text: '100 mm' }),
    measure({}),
    measure({ from: 'top-left', at: 40, text: '40 mm', standoff: 1, groove: { at: 71, text: '71 mm' } }),
    measure({ from: 'top-right', at: 12, text: '12 mm', corner: [100, 80] }),
  ],
  contents: null,
  fold: {
    vertices_coords: [],
    edges_vertices: [],
    edges_assignment: [],
    faces_vertices: [],
    'faces_gimbo:name': [],
  },
} as unknown as Piece

const step = (what: string, measures: number[], lying: object = {}) =>
  ({
    do: what,
    piece: 'card',
    measures,
    faces: [],
    lying: { turn: 0, isWhole: true, line: null, done: [], ...lying },
  }) as unknown as Step

const show = (one: Step, of: Piece = piece) =>
  render(<ToolPicture design={{ steps: [one], system: 'metric' } as unknown as Sized} piece={of} step={one} />)
    .container

describe('ToolPicture', () => {
  it('says which side of a sheet to cut is how long', () => {
    show(step('cut', [0]))
    expect(screen.getByText('100 mm')).toBeTruthy()
    expect(screen.getByText('80 mm')).toBeTruthy()
  })

  it('reads the board at its setting, with whole centimetres on the fence', () => {
    const drawn = show(step('score', [1]))
    expect(screen.getByText('50 mm')).toBeTruthy()
    expect([...drawn.querySelectorAll('text')].map((label) => label.textContent)).toContain('5')
  })

  it('draws the ruler the tool has, whatever the design is in', () => {
    const inches = { ...piece, measures: [measure({ text: '1 in', at: 25.4, scale: { step: 1.5875, unit: 'in' } })] }
    const drawn = show(step('score', [0]), inches as unknown as Piece)
    const labels = [...drawn.querySelectorAll('text')].map((label) => label.textContent)
    // The sheet is 100 mm wide: 3 in on a ruler in inches, 10 cm on one in centimetres.
    expect(labels).toContain('3')
    expect(labels).not.toContain('5')
  })

  it('shows the groove for the other corners where there is one', () => {
    const drawn = show(step('score', [2], { turn: -45 }))
    expect(screen.getByText('71 mm')).toBeTruthy()
    expect(drawn.querySelectorAll('line[stroke-dasharray="2 6"]')).toHaveLength(1)
  })

  it('lays a slanted cut along the rail, a point on it and the corner beside it', () => {
    const line = [
      [60, 80],
      [100, 60],
    ]
    const drawn = show(step('slant', [3], { turn: 116.565, line }))
    expect(screen.getByText('12 mm')).toBeTruthy()
    expect(drawn.querySelectorAll('circle')).toHaveLength(1)
  })

  it('marks both edges from either end', () => {
    expect(show(step('mark', [1])).querySelectorAll('line.stroke-live')).toHaveLength(2)
  })
})

describe('onTool', () => {
  it('turns the sheet clockwise, and keeps it in its room', () => {
    const lies = onTool(piece, 90, 0, { left: 10, top: 20, width: 400, height: 400 })
    // Its bottom left corner comes to the top left, and what was its width goes down.
    expect(lies.at([0, 0])).toEqual([10, 20].map((to) => expect.closeTo(to) as number))
    expect(lies.at([100, 0])).toEqual([10, 420].map((to) => expect.closeTo(to) as number))
    expect(lies.height).toBeCloseTo(400)
    expect(lies.width).toBeCloseTo(320)
  })
})
