import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Catalogue, ShelfCard, Thumbnail } from '@/api/client'
import { columnsIn } from './Sections'
import { Shelf } from './Shelf'

const drawing: Thumbnail = {
  width: 100,
  height: 60,
  lie: 'square',
  faces: [],
  cuts: [[0, 0, 100, 0]],
  mountains: [],
  valleys: [],
}
const picture = { width: 1, height: 1, faces: [] }
const catalogue: Catalogue = {
  makes: [{ id: 'folded-card', options: [], holds: ['card-to-make'] }],
  held: [
    {
      id: 'card-to-make',
      usual: {
        imperial: { width: '5 1/2 in', height: '4 1/4 in', thickness: '1 mm', count: 1 },
        metric: { width: '148 mm', height: '105 mm', thickness: '1 mm', count: 1 },
      },
      picture,
    },
  ],
  sizes: [],
}

const card = (id: string, name: string, fits = true): ShelfCard => ({
  id,
  name,
  group: '',
  savedAt: '2026-05-01T10:00:00Z',
  drawing,
  summary: {
    make: 'folded-card',
    system: 'metric',
    holds: { width: 105, height: 148, thickness: 1, count: 1, text: { width: '105 mm', height: '148 mm' } },
    fits,
  },
})

describe('Shelf', () => {
  const asked: string[] = []
  let answers: Record<string, unknown>
  let held: Record<string, Promise<void>>

  /** Keeps one question waiting until the returned function is called. */
  const hold = (question: string) => {
    let release = () => {}
    held[question] = new Promise((resolve) => (release = resolve))
    return () => release()
  }

  beforeEach(() => {
    asked.length = 0
    held = {}
    answers = { 'GET /api/designs': { designs: [card('a', 'Tern count'), card('b', 'Ferry pass', false)] } }
    vi.stubGlobal('fetch', async (path: string, { method, body }: { method: string; body?: string }) => {
      asked.push(`${method} ${path}${body ? ` ${body}` : ''}`)
      await held[`${method} ${path}`]
      const answer = answers[`${method} ${path}`]
      if (answer instanceof Error) throw answer
      return {
        ok: !(answer as { errors?: unknown })?.errors,
        status: (answer as { errors?: unknown })?.errors ? 422 : 200,
        json: () => Promise.resolve(answer ?? {}),
      }
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  const show = () =>
    render(
      <MemoryRouter>
        <Shelf catalogue={catalogue} />
      </MemoryRouter>,
    )

  it('shows each design by its drawing, and which do not fit yet', async () => {
    show()
    expect(await screen.findByRole('link', { name: /Tern count/ })).toBeTruthy()
    expect(screen.getAllByText('does not fit yet')).toHaveLength(1)
    expect(screen.getByRole('link', { name: /Ferry pass/ }).getAttribute('href')).toBe('/designs/b')
  })

  it('takes a design off and offers to put it back', async () => {
    show()
    await userEvent.click(await screen.findByRole('button', { name: 'More for Tern count' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Take it off the shelf' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Put it back' }))
    await waitFor(() => expect(asked).toContain('POST /api/designs/a/restore'))
  })

  it('shows what was put back even when the sheet was left before the answer came', async () => {
    answers['GET /api/designs/archive'] = { designs: [card('c', 'Ringing day')] }
    show()
    await userEvent.click(await screen.findByRole('button', { name: 'Put away' }))
    const isBack = hold('POST /api/designs/c/restore')
    await userEvent.click(await screen.findByRole('button', { name: 'Put Ringing day back' }))
    await userEvent.keyboard('{Escape}')
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    answers['GET /api/designs'] = { designs: [card('c', 'Ringing day')] }
    isBack()
    expect(await screen.findByRole('link', { name: /Ringing day/ })).toBeTruthy()
  })

  it('says on the shelf what could not be put back', async () => {
    answers['GET /api/designs/archive'] = { designs: [card('c', 'Ringing day')] }
    answers['POST /api/designs/c/restore'] = new TypeError('refused')
    show()
    await userEvent.click(await screen.findByRole('button', { name: 'Put away' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Put Ringing day back' }))
    expect((await screen.findByRole('alert')).textContent).toContain('did not answer')
    await userEvent.keyboard('{Escape}')
    expect(screen.getByRole('alert').textContent).toContain('did not answer')
  })

  it('copies a design under a name of its own', async () => {
    show()
    await userEvent.click(await screen.findByRole('button', { name: 'More for Tern count' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Copy it' }))
    await waitFor(() => expect(asked).toContain('POST /api/designs/a/copy {"name":"Tern count, copy"}'))
  })

  it('shows the way when there is nothing yet', async () => {
    answers['GET /api/designs'] = { designs: [] }
    show()
    expect(await screen.findByText(/^Nothing on the shelf yet/)).toBeTruthy()
    expect(screen.getByRole('button', { name: /the card itself is to be made/ })).toBeTruthy()
  })

  it('says what is wrong with a file and where', async () => {
    answers['POST /api/designs/import'] = { errors: [{ at: '/spec/holds/width', message: 'No unit.' }] }
    show()
    const file = Object.assign(new File(['{}'], 'x.json', { type: 'application/json' }), {
      text: () => Promise.resolve('{}'),
    })
    await userEvent.upload(await screen.findByLabelText('Take in a design', { selector: 'input' }), file)
    expect((await screen.findByRole('alert')).textContent).toBe('/spec/holds/width: No unit.')
  })

  it('says so when the server does not answer', async () => {
    answers['GET /api/designs'] = new TypeError('refused')
    show()
    expect((await screen.findByRole('alert')).textContent).toContain('did not answer')
  })
})

describe('columnsIn', () => {
  it('is as many cards as go beside each other with room between them, and never none', () => {
    expect([0, 248, 515, 516, 1232].map(columnsIn)).toEqual([1, 1, 1, 2, 4])
  })
})
