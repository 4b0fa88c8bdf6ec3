import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Piece, Sized, Step } from '@/api/client'
import { pieceName } from '@/ui/pieceName'
import { StepList } from './Steps'

const step = (some: Partial<Step>): Step => ({
  id: `tray/${Math.random()}`,
  do: 'score',
  piece: 'tray',
  copies: 1,
  with: 'scoring-board',
  turn: 0,
  fence: 'left',
  measures: [],
  quarterTurns: 0,
  faces: [],
  says: [['Fill it.']],
  or: null,
  advice: [],
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
  render(<StepList design={{ pieces } as unknown as Sized} steps={steps} />)

describe('Steps', () => {
  it('writes each step with its figures, its turn, its other reading and its advice', () => {
    show([
      step({
        quarterTurns: 1,
        says: [['Score at ', { figure: '1 3/4 in' }, ' from the left.']],
        or: ['Or from the right, ', { figure: '7 in' }, '.'],
        advice: [['Is there room both ways?']],
      }),
      step({ says: [['Cut along it.'], ['A wedge comes off.']] }),
    ])
    const [score, slit] = screen.getAllByRole('listitem').map((item) => item.textContent ?? '')
    expect(score).toContain('Turn a quarter clockwise. Score at 1 3/4 in')
    expect(score).toContain('from the left.')
    expect(score).toContain('Or from the right, 7 in')
    expect(score).toContain('Is there room both ways?')
    expect(slit).toContain('Cut along it. A wedge comes off.')
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
