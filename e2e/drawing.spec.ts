import { expect, test, type Page } from './test'
import { figure, mark, openNew, square } from './gimbo'

interface Box {
  id: string
  left: number
  top: number
  right: number
  bottom: number
}

/** The boxes of everything written on the drawing, and of the drawing itself, as the page lays them out. */
const boxes = (page: Page) =>
  page.evaluate(() => {
    const of = (element: Element): Box => {
      const { left, top, right, bottom } = element.getBoundingClientRect()
      return { id: element.getAttribute('data-label') ?? '', left, top, right, bottom }
    }
    const board = document.querySelector('[data-closer]')
    return { board: board && of(board), labels: [...document.querySelectorAll('[data-label]')].map(of) }
  })

const HAIR = 0.5

async function expectLegible(page: Page, what: string, least = 4) {
  const { board, labels } = await boxes(page)
  if (!board) throw new Error(`${what}: no drawing`)
  expect(labels.length, what).toBeGreaterThanOrEqual(least)
  const leaving = labels.filter(
    (label) =>
      label.left < board.left - HAIR ||
      label.top < board.top - HAIR ||
      label.right > board.right + HAIR ||
      label.bottom > board.bottom + HAIR,
  )
  const meeting = labels.flatMap((label, i) =>
    labels
      .slice(i + 1)
      .filter(
        (other) =>
          label.left < other.right - HAIR &&
          other.left < label.right - HAIR &&
          label.top < other.bottom - HAIR &&
          other.top < label.bottom - HAIR,
      )
      .map((other) => `${label.id} and ${other.id}`),
  )
  expect({ leaving: leaving.map(({ id }) => id), meeting }, what).toEqual({ leaving: [], meeting: [] })
}

for (const [width, height] of [
  [1024, 768],
  [1280, 800],
  [2560, 1440],
] as const) {
  test(`no label lies over another in any demo design, ${width} × ${height}`, async ({ page }) => {
    test.setTimeout(240_000)
    await page.setViewportSize({ width, height })
    await page.goto('/')
    const shelf = (await (await page.request.get('/api/designs')).json()) as {
      designs: Array<{ id: string; name: string; group: string }>
    }
    const demo = shelf.designs.filter(({ name }) =>
      /tern|ticket|fair|tide|sachet|shaker|survey|wallet|invitation|egg|lighthouse|certificate|seed/i.test(name),
    )
    expect(demo.length).toBeGreaterThanOrEqual(17)
    for (const { id, name } of demo) {
      await page.goto(`/designs/${id}`)
      await expect(page.getByRole('img', { name: /a sheet of/ })).toBeVisible()
      await expectLegible(page, name)
      const all = page.getByRole('button', { name: 'All pieces' })
      if (await all.isVisible()) {
        await all.click()
        await expectLegible(page, `${name}, all pieces`)
        await page.getByRole('button', { name: 'to one scale' }).click()
        await expectLegible(page, `${name}, each fitted`)
      }
    }
  })
}

test('closer and farther, dragged, and back to all of it', async ({ page }) => {
  await openNew(page)
  const board = page.locator('[data-closer]')
  const end = async () => Number(await page.locator('[data-edge=V] line').first().getAttribute('x1'))
  const before = await end()
  await page.getByRole('button', { name: 'Closer' }).click()
  await expect(board).not.toHaveAttribute('data-closer', '1')
  await expectLegible(page, 'closer')
  const box = await board.boundingBox()
  if (!box) throw new Error('no drawing')
  const near = await end()
  await page.mouse.move(box.x + 300, box.y + 200)
  await page.mouse.down()
  await page.mouse.move(box.x + 240, box.y + 190, { steps: 3 })
  await page.mouse.up()
  expect(await end()).toBeLessThan(near)
  await page.mouse.wheel(0, -300)
  await expectLegible(page, 'closer still', 1)
  await page.locator('body').press('0')
  await expect(board).toHaveAttribute('data-closer', '1')
  expect(await end()).toBeCloseTo(before, 1)
})

test('all pieces lie to one scale, or each as large as can be', async ({ page }) => {
  await openNew(page, {
    make: 'tray-and-lid',
    holds: { width: '5 1/2 in', height: '4 1/4 in', thickness: '2 in' },
  })
  await page.getByRole('button', { name: 'All pieces' }).click()
  await expect(page.locator('[data-piece]')).toHaveCount(2)
  const wide = async (piece: string) =>
    (await page.locator(`[data-piece=${piece}] > g`).first().boundingBox())?.width ?? 0
  const share = async () => (await wide('lid')) / (await wide('tray'))
  const answer = (await (
    await page.request.get(page.url().replace(/\?.*$/, '').replace('/designs/', '/api/designs/'))
  ).json()) as {
    design: { pieces: Array<{ sheet: { width: number } }> }
  }
  const [tray, lid] = answer.design.pieces.map((piece) => piece.sheet.width)
  expect(await share()).toBeCloseTo((lid ?? 0) / (tray ?? 1), 1)
  await page.getByRole('button', { name: 'to one scale' }).click()
  expect(await share()).toBeGreaterThan((lid ?? 0) / (tray ?? 1))
})

test('pointing at a figure lights its line, its fits and its step; pointing at a fit lights its figures', async ({
  page,
}) => {
  await openNew(page)
  const row = page.getByRole('button', { name: mark })
  const fit = page.locator('[data-check=card-fits-height]')
  await expect(async () => {
    await page.mouse.move(5, 790)
    await row.hover()
    await expect(fit).toHaveAttribute('data-lit', 'true', { timeout: 500 })
  }).toPass()
  await expect(page.locator('[data-check=seam-takes-glue]')).toHaveAttribute('data-lit', 'false')
  await fit.hover()
  await expect(row).toHaveClass(/bg-live-wash(?!\S)/)
  await page.getByRole('tab', { name: 'Steps' }).click()
  await page.locator('[data-edge=V] line[stroke=transparent]').first().hover()
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: /punch at/ })
      .first(),
  ).toHaveClass(/bg-live-wash(?!\S)/)
})

test('a figure opens into what it is made of and what a step more or less would do', async ({ page }) => {
  await openNew(page)
  await page.getByRole('button', { name: mark }).click()
  const more = page.locator('[data-steps="1"]')
  await expect(more).toContainText('3 3/4 in')
  await expect(more).toContainText('Room in width')
  await expect(more.locator('.text-warn').first()).toContainText('fails by')
  // Set on the board instead of thought about: the notch moved by as much has the same mark one step on.
  await expect(figure(page, square)).toHaveText('8 3/16 in')
})
