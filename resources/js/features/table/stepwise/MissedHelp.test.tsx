import { fireEvent, render, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type Missed, type Piece } from '@/api/client'
import { MissedHelp } from './MissedHelp'

const measure = (kind: string, text: string) => ({ kind, axis: 'width', from: 'left', text, madeOf: [] })
const piece = {
  id: 'tray',
  count: 1,
  measures: [measure('cut', '9 in'), measure('cut', '8 in'), measure('score', '1 3/4 in')],
  rows: [
    { what: 'cut.width', measures: [0] },
    { what: 'cut.height', measures: [1] },
    { what: 'score.edges', measures: [2] },
  ],
} as unknown as Piece

const bad: Missed = {
  text: '7 in',
  isGood: false,
  redo: null,
  right: '8 in',
  fits: [
    { id: 'card-fits-height', piece: 'tray', ok: false, critical: true, spare: '-3/4 in' },
    { id: 'card-fits-width', piece: 'tray', ok: true, critical: false, spare: '1/4 in' },
  ],
  rescues: [{ measures: [2], text: '1 3/8 in' }],
  smaller: { width: '5 in', height: '3 1/2 in', thickness: '4.5 mm' },
}
const asked = vi.spyOn(api, 'missed')
const type = (text: string) =>
  fireEvent.change(screen.getByLabelText('What was it really set to?'), { target: { value: text } })

describe('MissedHelp', () => {
  beforeEach(() => {
    asked.mockReset().mockResolvedValue(bad)
    render(<MissedHelp designId="x" piece={piece} measures={[0, 1]} onDone={() => undefined} />)
  })

  it('asks about the figure that is chosen, and says what is gone and what would save it', async () => {
    fireEvent.change(screen.getByLabelText('Which figure?'), { target: { value: '1' } })
    type('7')
    expect((await screen.findByRole('status')).textContent).toContain('Room in height')
    expect(asked).toHaveBeenLastCalledWith('x', 'tray', 1, '7')
    const said = screen.getByRole('status').textContent ?? ''
    expect(said).not.toContain('Room in width')
    expect(said).toContain('short by 3/4 in')
    expect(said).toMatch(/Score: set it to 1 3\/8 in/)
    expect(said).toContain('3 1/2 in')
  })

  it('says what is good to be good, and that nothing saves what nothing saves', async () => {
    asked.mockResolvedValueOnce({ ...bad, rescues: [], smaller: null })
    type('7')
    expect(await screen.findByText(/take a new sheet/)).toBeTruthy()
    asked.mockResolvedValueOnce({ ...bad, isGood: true, fits: [] })
    type('9')
    expect(await screen.findByText(/Still good/)).toBeTruthy()
  })
})
