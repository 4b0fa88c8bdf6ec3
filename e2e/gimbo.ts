import { randomInt } from 'node:crypto'
import { expect, type Page } from '@playwright/test'

/** A name nothing else has, so that a journey that is walked again does not meet what it left the first time. */
export const own = (name: string) => `${name} ${String(randomInt(1_000_000)).padStart(6, '0')}`

/** A fresh design of its own for one journey, opened on the table. */
export async function openNew(page: Page, spec: Record<string, unknown> = {}, name = 'Journey'): Promise<string> {
  const answer = await page.request.post('/api/designs', {
    data: {
      name,
      spec: {
        make: 'diagonal-envelope',
        holds: { width: '5 1/2 in', height: '4 1/4 in', thickness: '1 mm', count: 1 },
        paper: { caliper: '0.12 mm' },
        ...spec,
      },
    },
  })
  expect(answer.status()).toBe(201)
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/designs/${id}`)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  return id
}

/** As a maker begins who has said that she works in inches, whatever other journeys have said. */
export const inInches = (page: Page) =>
  page.request.put('/api/usual', { data: { changes: [{ at: '/system', to: 'imperial' }] } })

/** Begins a design from the shelf, by what is in the hand and a picture of what is made for it. */
export async function begin(page: Page, held: RegExp, make: RegExp) {
  await inInches(page)
  await page.goto('/')
  await page.getByRole('button', { name: 'New …' }).click()
  await page.getByRole('dialog').getByRole('button', { name: held }).click()
  await page.getByRole('dialog').getByRole('button', { name: make }).click()
  await expect(page.getByRole('tab', { name: 'Measures' })).toBeVisible()
}

/** The figure of a measure as a maker reads it, such as "3 5/8 in". */
export function figure(page: Page, measure: RegExp) {
  return page.getByRole('button', { name: measure }).locator('.sr-only').first()
}

export const square = /^Cut a square/
export const mark = /^Punch and score all four sides/

/** What the core says of the design now, asked past the screen. */
export async function kept(page: Page, id: string) {
  const answer = await page.request.get(`/api/designs/${id}`)
  return (await answer.json()) as {
    name: string
    revision: number
    fields: Record<string, { text: string }>
    choices: Record<string, string>
  }
}

/** The steps of a design, asked past the screen. */
export async function told(page: Page, id: string) {
  const answer = await page.request.get(`/api/designs/${id}/told`)
  return (await answer.json()) as {
    steps: Array<{ id: string; do: string; piece: string; measures: number[] }>
    byTool: number[]
  }
}
