import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Piece, Sized, Step } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { Steps } from './Steps'

const step = (some: Partial<Step>): Step => ({
  do: 'score',
  piece: 'tray',
  with: 'scoring-board',
  measures: [],
  quarterTurns: 0,
  faces: [],
  onto: null,
  advice: [],
  lying: { turn: 0, isWhole: true, line: null, done: [] },
  ...some,
})

const piece = (id: string) =>
  ({
    id,
    count: 1,
    sheet: { text: { width: '9 1/2 in', height: '8 1/4 in' } },
    measures: [{ kind: 'score', axis: 'width', from: 'left', text: '1 3/4 in' }],
  }) as unknown as Piece

const show = (steps: Step[], pieces = [piece('tray'), piece('lid')]) =>
  render(<Steps design={{ steps, pieces } as unknown as Sized} />)

describe('Steps', () => {
  it('writes each step with its figure, its turn and its advice', () => {
    show([
      step({ do: 'cut' }),
      step({ measures: [0], quarterTurns: 1, advice: ['before-the-last-score'] }),
      step({ do: 'fold', faces: ['left-wall', 'right-wall'] }),
    ])
    const [cut, score, fold] = screen.getAllByRole('listitem').map((item) => item.textContent ?? '')
    expect(cut).toContain('Cut the sheet to 9 1/2 in')
    expect(score).toContain('Turn a quarter clockwise. Score at 1 3/4 in')
    expect(score).toContain('from the left.')
    expect(score).toContain('is there room both ways?')
    expect(fold).toContain('Fold left wall and right wall in')
  })

  it('counts faces of one name', () => {
    show([step({ do: 'glue', faces: ['top-left-tab', 'top-right-tab', 'bottom-left-tab', 'bottom-right-tab'] })])
    expect(screen.getByRole('listitem').textContent).toContain('Glue the 4 tabs.')
  })

  it('says which piece it is about when that changes', () => {
    show([step({ do: 'cut' }), step({ do: 'fill' }), step({ do: 'cut', piece: 'lid' })])
    expect(screen.getAllByText(/^(Tray|Lid)\.$/).map((name) => name.textContent)).toEqual(['Tray.', 'Lid.'])
  })

  it('names no piece where there is only one', () => {
    show([step({ do: 'cut' })], [piece('tray')])
    expect(screen.queryByText('Tray.')).toBeNull()
  })
})

describe('pieceName', () => {
  it('numbers what is numbered and counts what is needed more than once', () => {
    expect(pieceName({ id: 'divider-3', count: 1 })).toBe('Divider 3')
    expect(pieceName({ id: 'strip', count: 2 })).toBe('Strip, 2 of them')
  })
})
