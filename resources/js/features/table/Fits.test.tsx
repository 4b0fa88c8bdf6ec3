import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Change, Check, Piece } from '@/api/client'
import { Fits } from './Fits'

const check = (some: Partial<Check>): Check => ({
  id: 'card-fits-width',
  piece: null,
  need: 106,
  have: 108,
  slack: 2,
  ok: true,
  bare: 100,
  slip: 1,
  critical: false,
  most: null,
  state: null,
  text: {
    need: '106 mm',
    have: '108 mm',
    slack: '2 mm',
    bare: '100 mm',
    spare: '8 mm',
    slip: '1 mm',
    asked: '6 mm',
    afterSlip: '7 mm',
  },
  madeOf: [],
  remedies: [],
  ...some,
})

const TWO = [
  { id: 'tray', count: 1, name: 'Tray' },
  { id: 'lid', count: 1, name: 'Lid' },
] as Piece[]

function show(checks: Check[], isOneOfSeveral = false) {
  const onRemedy = vi.fn<(changes: Change[]) => void>()
  render(
    <Fits
      alternatives={null}
      onPoint={() => undefined}
      checks={checks}
      pieces={isOneOfSeveral ? TWO : TWO.slice(0, 1)}
      onRemedy={onRemedy}
    />,
  )
  return onRemedy
}

describe('Fits', () => {
  it('puts what fails first, then what a slip would lose, then the tightest', () => {
    show([
      check({ id: 'card-fits-width', slack: 9 }),
      check({ id: 'card-fits-height', slack: 1 }),
      check({ id: 'lid-goes-on', critical: true, slack: 3 }),
      check({ id: 'sheet-from-paper', ok: false, slack: -4 }),
    ])
    expect(screen.getAllByRole('listitem').map((item) => item.dataset.check)).toEqual([
      'sheet-from-paper',
      'lid-goes-on',
      'card-fits-height',
      'card-fits-width',
    ])
  })

  it('says in words what each gauge shows', () => {
    show([check({})])
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      '8 mm to spare, 6 mm asked for, 7 mm left after a slip',
    )
  })

  it('draws what there is, what a slip leaves of it, and what was asked for', () => {
    // 8 to spare of which a slip takes 1, 6 asked for: on a gauge of twice what was asked.
    show([check({})])
    const [, have, left, asked] = [...screen.getByRole('img').children].map((part) => (part as HTMLElement).style)
    expect([have?.width, left?.width, asked?.left]).toEqual(['66.7%', '58.3%', '50%'])
  })

  it('calls a play by its name, and says why too much of it fails', () => {
    const lid = { id: 'lid-goes-on', most: 1.4, bare: -0.2, need: -0.2 }
    const text = {
      have: '2 mm',
      need: '-0.2 mm',
      slack: '2.2 mm',
      bare: '-0.2 mm',
      spare: '2.2 mm',
      slip: '1 mm',
      asked: '0 mm',
      afterSlip: '1 mm',
    }
    show([check({ ...lid, have: 2, ok: false, state: 'falls-off', text })])
    const item = screen.getByRole('listitem')
    expect(item.textContent).toContain('falls off')
    expect(item.textContent).toContain('The lid falls off')
    expect(item.textContent).not.toContain('2.2')
  })

  it('says what is short and offers what mends it', async () => {
    const edits = [{ at: '/paper/sheet/width', to: '12 in' }]
    const onRemedy = show([
      check({
        id: 'sheet-from-paper',
        piece: 'lid',
        ok: false,
        text: {
          need: '9 in',
          have: '8 in',
          slack: '-1 in',
          bare: '9 in',
          spare: '-1 in',
          slip: '1 mm',
          asked: '0 in',
          afterSlip: '-1 in',
        },
        remedies: [{ id: 'larger-sheet', params: { sheet: '12x12' }, edits }],
      }),
    ])
    const item = screen.getByRole('listitem')
    expect(item.textContent).toContain('It needs 9 in')
    expect(item.textContent).toContain('1 in')
    await userEvent.click(within(item).getByRole('button', { name: 'Use 12 × 12 paper' }))
    expect(onRemedy).toHaveBeenCalledWith(edits)
  })

  it('names the piece only where there are several', () => {
    show([check({ id: 'sheet-from-paper', piece: 'lid' })], true)
    expect(screen.getByRole('listitem').textContent).toContain('(Lid)')
  })

  it('says so when nothing mends it, and when it is exact', () => {
    show([
      check({ id: 'sheet-from-paper', ok: false }),
      check({ id: 'closes-to-width', need: 100, have: 100, bare: 100, slack: 0 }),
    ])
    expect(screen.getByText('No single change mends this. Change the size or the paper.')).toBeTruthy()
    expect(screen.getByText('exact')).toBeTruthy()
  })
})
