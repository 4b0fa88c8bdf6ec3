import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { readFileSync } from 'node:fs'
import { afterEach, expect, it, vi } from 'vitest'
import type { DesignView, Sized } from '@/api/client'
import type { DraftBook } from './draftBook'
import { FiguresAside } from './FiguresAside'
import { useLit } from './lit'

const drawn = vi.hoisted(() => ({ texts: [] as string[] }))
vi.mock('@/ui/Figure', () => ({
  Figure: ({ text }: { text: string }) => {
    drawn.texts.push(text)
    return <span>{text}</span>
  },
}))

afterEach(() => vi.unstubAllGlobals())

function show(name: string) {
  const design = JSON.parse(readFileSync(`core/tests/Golden/${name}/result.json`, 'utf8')) as Sized
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')))
  const state = { view: null, drafts: {}, pending: [], saving: 'unanswered', trouble: null }
  const set = vi.fn()
  const book = { use: (select: (of: typeof state) => unknown) => select(state), set } as unknown as DraftBook
  const view = { id: 'd', spec: {}, fields: {}, choices: {}, design } as unknown as DesignView
  render(
    <FiguresAside
      book={book}
      view={view}
      pieces={design.pieces}
      room="across"
      request={null}
      onChoose={() => undefined}
    />,
  )
  return { design, set }
}

it('sends what a remedy says to whoever keeps the design', async () => {
  const { design, set } = show('certificate-too-large-for-letter')
  const fit = design.checks.find((check) => !check.ok && check.remedies.length > 0)
  const row = screen.getAllByRole('listitem').find((item) => item.dataset.check === fit?.id)
  if (!fit || !row) throw new Error('nothing fails')
  await userEvent.click(within(row).getAllByRole('button')[0] as HTMLElement)
  expect(set).toHaveBeenCalledWith(fit.remedies[0]?.edits)
  expect(fit.remedies[0]?.edits.length).toBeGreaterThan(0)
})

it('redraws only the rows that light up or go out', async () => {
  const { design } = show('shaker-tray-doubled')
  const rows = screen
    .getAllByRole('button')
    .filter((row) => row.getAttribute('aria-expanded') !== null && !row.hasAttribute('aria-haspopup'))
  drawn.texts = []
  await userEvent.hover(rows[0] as HTMLElement)
  expect(useLit.getState().measures).not.toEqual([])
  expect(drawn.texts).toHaveLength(1)
  drawn.texts = []
  await userEvent.hover(rows[1] as HTMLElement)
  expect(drawn.texts.length).toBeLessThanOrEqual(3)
  expect(rows.length).toBeGreaterThan(design.pieces.length * 2)
})
