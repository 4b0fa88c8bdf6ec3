import { render } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { Figure } from './Figure'

describe('Figure', () => {
  it.each([
    ['3 1/2 in', '3', ['1', '2']],
    ['13/16 in', '', ['13', '16']],
    ['8 in', '8', null],
    ['-1 1/4 in', '−1', ['1', '4']],
    ['≈ 8.2 mm', '≈ 8.2', null],
  ])('sets %s with a real fraction and leaves the plain text for screen readers', (text, whole, fraction) => {
    const { container } = render(<Figure text={text} unit={false} />)
    expect(container.querySelector('.sr-only')?.textContent).toBe(text)
    const parts = [...container.querySelectorAll('.frac > span')].map((part) => part.textContent)
    expect(parts).toEqual(fraction ?? [])
    const seen = container.querySelector('[aria-hidden]')?.textContent ?? ''
    expect(seen).toBe(whole + (fraction?.join('') ?? ''))
  })

  it('shows what is no length as it is', () => {
    const { container } = render(<Figure text="twelve terns" />)
    expect(container.textContent).toBe('twelve terns')
  })

  it('writes the unit once', () => {
    const { container } = render(<Figure text="3 1/2 in" />)
    expect(container.querySelector('[aria-hidden]')?.textContent).toBe('312in')
  })
})
