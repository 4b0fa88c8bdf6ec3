import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { LengthField } from './LengthField'

function show(props: Partial<Parameters<typeof LengthField>[0]> = {}) {
  const onType = vi.fn<(text: string, gesture: string) => void>()
  const onNudge = vi.fn<(steps: number, gesture: string) => void>()
  const onRestore = vi.fn<(text: string | null, gesture: string) => void>()
  render(
    <LengthField
      label="Width"
      value="5 1/2 in"
      onType={onType}
      onNudge={onNudge}
      onRestore={onRestore}
      onFocusChange={() => undefined}
      {...props}
    />,
  )
  return { field: screen.getByLabelText<HTMLInputElement>('Width'), onType, onNudge, onRestore }
}

describe('LengthField', () => {
  it('moves by steps with the arrow keys, by ten with Shift, in one gesture', async () => {
    const { field, onNudge } = show()
    await userEvent.click(field)
    await userEvent.keyboard('{ArrowUp}{ArrowDown}{Shift>}{ArrowUp}{/Shift}')
    expect(onNudge.mock.calls.map(([steps]) => steps)).toEqual([1, -1, 10])
    expect(new Set(onNudge.mock.calls.map(([, gesture]) => gesture)).size).toBe(1)
  })

  it('starts another gesture at each stay', async () => {
    const { field, onNudge } = show()
    for (let stay = 0; stay < 2; stay++) {
      await userEvent.click(field)
      await userEvent.keyboard('{ArrowUp}')
      field.blur()
    }
    expect(new Set(onNudge.mock.calls.map(([, gesture]) => gesture)).size).toBe(2)
  })

  it('hands on what is typed as it is typed and never changes it', async () => {
    const { field, onType } = show({ value: '5 in', draft: '' })
    await userEvent.click(field)
    await userEvent.keyboard('4')
    expect(onType).toHaveBeenLastCalledWith('4', expect.any(String))
  })

  it('brings back with Escape what stood there when it was entered', async () => {
    const { field, onRestore } = show({ draft: 'nonsense' })
    await userEvent.click(field)
    await userEvent.keyboard('{Escape}')
    expect(onRestore).toHaveBeenLastCalledWith('5 1/2 in', expect.any(String))
  })

  it('brings back the usual where that stood there', async () => {
    const { field, onRestore } = show({ isDefault: true, draft: '9' })
    await userEvent.click(field)
    await userEvent.keyboard('{Escape}')
    expect(onRestore).toHaveBeenLastCalledWith(null, expect.any(String))
  })

  it('does nothing at Escape where nothing was changed', async () => {
    const { field, onRestore } = show({ isDefault: true })
    await userEvent.click(field)
    await userEvent.keyboard('{Escape}')
    expect(onRestore).not.toHaveBeenCalled()
  })

  it('points at what is wrong and keeps what was typed', () => {
    const { field } = show({ draft: '4 parsecs', isWrong: true, saidBy: 'why' })
    expect(field.value).toBe('4 parsecs')
    expect(field.getAttribute('aria-invalid')).toBe('true')
    expect(field.getAttribute('aria-describedby')).toBe('why')
  })
})
