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

const lid = {
  id: 'lid',
  count: 1,
  measures: [measure('cut', '7 5/8 in'), measure('cut', '6 3/8 in')],
  rows: [
    { what: 'cut.width', measures: [0] },
    { what: 'cut.height', measures: [1] },
  ],
} as unknown as Piece
const fit = { piece: 'tray', ok: true, isGone: false, stillGoes: true, spare: '1/4 in', short: '-1/4 in', state: null }

const bad: Missed = {
  text: '7 in',
  verdict: 'bad',
  fromOtherEdge: false,
  redo: null,
  right: '8 in',
  fits: [
    { ...fit, id: 'card-fits-height', ok: false, isGone: true, stillGoes: false, spare: '-3/4 in', short: '3/4 in' },
    { ...fit, id: 'card-fits-width' },
  ],
  rescues: [{ measures: [2], text: '1 3/8 in' }],
  smaller: { width: '5 in', height: '3 1/2 in', thickness: '4.5 mm' },
  follow: [],
  takes: null,
}
const asked = vi.spyOn(api, 'missed')
const type = (text: string) =>
  fireEvent.change(screen.getByLabelText('What was it really set to?'), { target: { value: text } })

describe('MissedHelp', () => {
  beforeEach(() => {
    asked.mockReset().mockResolvedValue(bad)
    render(<MissedHelp designId="x" piece={piece} pieces={[piece, lid]} measures={[0, 1]} onDone={() => undefined} />)
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
    asked.mockResolvedValueOnce({ ...bad, verdict: 'good', fits: [] })
    type('9')
    expect(await screen.findByText(/Still good/)).toBeTruthy()
  })

  it('says which piece follows with which new figures', async () => {
    asked.mockResolvedValueOnce({
      ...bad,
      verdict: 'good',
      fits: [],
      rescues: [],
      smaller: null,
      follow: [{ piece: 'lid', figures: [{ measure: 0, text: '7 11/16 in' }] }],
    })
    type('9 1/16')
    expect(await screen.findByText(/if what comes after follows/)).toBeTruthy()
    const said = screen.getByRole('status').textContent ?? ''
    expect(said).toContain('Follows, with new figures: Lid')
    expect(said).toMatch(/Cut to width: 7 11\/16 in.* instead of 7 5\/8 in/)
    expect(said).not.toContain('Cut to height')
  })

  it('says that it still goes in, with how much to spare, and how many it takes', async () => {
    asked.mockResolvedValueOnce({
      ...bad,
      verdict: 'tighter',
      fits: [{ ...fit, id: 'card-fits-depth', ok: false, isGone: true, spare: '7/32 in' }],
      takes: 7,
    })
    type('1 5/8')
    await screen.findByText(/Tighter than you asked, but it still goes in/)
    const said = screen.getByRole('status').textContent ?? ''
    expect(said).toMatch(/7\/32 in.* to spare/)
    expect(said).toContain('It still takes 7.')
    expect(said).not.toContain('short by')
  })

  it('understands a reading from the other edge, and that a stray score can be crossed out', async () => {
    asked.mockResolvedValueOnce({ ...bad, verdict: 'good', fits: [], fromOtherEdge: true, text: '1 3/4 in' })
    type('7 1/4')
    expect(await screen.findByText(/Read from the other edge/)).toBeTruthy()
    asked.mockResolvedValueOnce({
      ...bad,
      verdict: 'nothing-left',
      fits: [],
      rescues: [],
      redo: 'score-again',
      smaller: null,
    })
    type('5')
    expect(await screen.findByText(/nothing would be left/)).toBeTruthy()
    expect(screen.getByRole('status').textContent).toContain('Score again at the right figure')
  })
})
