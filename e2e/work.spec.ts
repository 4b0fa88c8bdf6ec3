import { readFileSync } from 'node:fs'
import { expect, test } from './test'
import { kept, openNew, told } from './gimbo'

interface Answer {
  design: {
    pieces: Array<{
      id: string
      sheet: { text: { width: string; height: string } }
      measures: Array<{ text: string }>
    }>
  }
}

test('a tray and its lid, step by step by keyboard: every figure on the way is the core’s', async ({ page }) => {
  const id = await openNew(page, {
    make: 'tray-and-lid',
    holds: { width: '5 3/4 in', height: '4 3/8 in', thickness: '4.5 mm', count: 8 },
    options: { lidWall: 'doubled' },
  })
  const { design } = (await (await page.request.get(`/api/designs/${id}`)).json()) as Answer
  const { steps } = await told(page, id)
  await page.getByRole('link', { name: 'At the table, step by step' }).click()
  const status = page.getByRole('status')
  const figure = page.locator('[data-figure]')
  for (const [i, step] of steps.entries()) {
    await expect(status).toHaveText(`${i + 1} of ${steps.length}`)
    const piece = design.pieces.find((one) => one.id === step.piece)
    if (!piece) throw new Error(`no piece ${step.piece}`)
    await expect(page.getByText(step.piece === 'tray' ? 'Tray' : 'Lid', { exact: true })).toBeVisible()
    if (step.do === 'cut') {
      await expect(figure).toContainText(piece.sheet.text.width)
      await expect(figure).toContainText(piece.sheet.text.height)
      await expect(page.getByText('Pencil on its back')).toBeVisible()
    } else if (step.do === 'score' || step.do === 'trim') {
      await expect(figure).toContainText(piece.measures[step.measures[0] ?? -1]?.text ?? 'no measure')
    }
    // Each step has a picture of its own.
    await expect(page.locator('.step-picture svg')).toBeVisible()
    if (i < steps.length - 1) await page.keyboard.press('PageDown')
  }
  await expect(page.getByRole('button', { name: 'All done' })).toBeVisible()
  const tried = steps.findIndex((step) => step.do === 'try' && step.piece === 'lid')
  const hems = steps.findIndex((step) => step.id === 'lid/glue/hems')
  expect(tried).toBeGreaterThan(0)
  expect(tried).toBeLessThan(hems)
  await page.keyboard.press('PageUp')
  await expect(status).toHaveText(`${steps.length - 1} of ${steps.length}`)
  await page.keyboard.press('Home')
  await expect(status).toHaveText(`1 of ${steps.length}`)
})

test('its place is kept over a reload, and begins again once the design is another', async ({ page }) => {
  const id = await openNew(page)
  await page.goto(`/designs/${id}/work`)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Done, go on' }).click()
  await expect(page.getByRole('status')).toContainText('4 of')
  await expect(page.getByText('Turn a quarter clockwise.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('status')).toContainText('4 of')
  await page.getByRole('link', { name: 'Back to the design table' }).click()
  await page.getByLabel('Width of the card').fill('6')
  await expect(page.getByRole('status')).toHaveText('Kept')
  await page.getByRole('link', { name: 'At the table, step by step' }).click()
  await expect(page.getByRole('status')).toContainText('1 of')
})

test('tool by tool, each setting is used once', async ({ page }) => {
  const id = await openNew(page, {
    make: 'tray-and-lid',
    holds: { width: '5 3/4 in', height: '4 3/8 in', thickness: '1 1/2 in' },
    options: { lidDepth: '1 1/2 in', depth: '1 1/2 in' },
  })
  const { steps, byTool } = await told(page, id)
  await page.goto(`/designs/${id}/work`)
  await page.getByRole('button', { name: 'tool by tool' }).click()
  const seen: string[] = []
  for (const i of byTool) {
    const step = steps[i]
    if (step?.do === 'score') seen.push((await page.locator('[data-figure] .sr-only').textContent()) ?? '')
    await page.keyboard.press('ArrowRight')
  }
  const changes = seen.filter((text, i) => text !== seen[i - 1]).length
  expect(changes).toBe(new Set(seen).size)
})

test('legible from a metre, and every target takes a finger', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 })
  const id = await openNew(page, { options: { method: 'score-board' } })
  await page.goto(`/designs/${id}/work`)
  const place = page.getByRole('progressbar')
  await expect(place).toHaveAttribute('aria-valuenow', '1')
  await page.keyboard.press('ArrowRight')
  await expect(place).toHaveAttribute('aria-valuenow', '2')
  const figure = await page.locator('[data-figure]').boundingBox()
  expect(figure?.height ?? 0).toBeGreaterThan(90)
  for (const target of await page.locator('button, a').all()) {
    const box = await target.boundingBox()
    if (box) expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44)
  }
})

test('a figure set wrong: what no longer holds, what would save it, and nothing typed moves the steps', async ({
  page,
}) => {
  const id = await openNew(page, {
    make: 'tray-and-lid',
    system: 'metric',
    holds: { width: '105 mm', height: '148 mm', thickness: '20 mm' },
  })
  await page.goto(`/designs/${id}/work`)
  const place = page.getByRole('progressbar')
  await expect(place).toHaveAttribute('aria-valuenow', '1')
  await page.getByRole('button', { name: 'Cut or scored at another figure?' }).click()
  await page.getByLabel('Which figure?').selectOption('Cut to height')
  await page.getByLabel('What was it really set to?').fill('150 mm')
  await expect(page.getByRole('region', { name: 'Cut or scored at another figure?' })).toContainText('Room in height')
  await expect(page.getByRole('region', { name: 'Cut or scored at another figure?' })).not.toContainText(
    'Room in width',
  )
  await page.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('PageDown')
  await expect(place).toHaveAttribute('aria-valuenow', '2')
  await page.getByRole('button', { name: 'Cut or scored at another figure?' }).click()
  const field = page.getByLabel('What was it really set to?')
  const help = page.getByRole('region', { name: 'Cut or scored at another figure?' })
  await field.pressSequentially('2 8')
  await field.press('ArrowLeft')
  await expect(place).toHaveAttribute('aria-valuenow', '2')
  await field.fill('28 mm')
  await expect(help).toContainText('Room in width')
  await expect(help).toContainText('Score again at the right figure')
  await field.fill('twenty')
  await expect(help.getByRole('alert')).toBeVisible()
  await expect(help).not.toContainText('Room in width')
  const right = await page.request.get(`/api/designs/${id}`)
  const { design } = (await right.json()) as {
    design: { pieces: Array<{ measures: Array<{ kind: string; text: string }> }> }
  }
  await field.fill(design.pieces[0]?.measures.find((measure) => measure.kind === 'score')?.text ?? '')
  await expect(help).toContainText('Still good')
  await help.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('PageDown')
  await expect(place).toHaveAttribute('aria-valuenow', '3')
})

test('a slanted cut: what lies on the rail, and the corner as far off as the ruler says', async ({ page }) => {
  const id = await openNew(page, {
    make: 'slant-gate-card',
    holds: { width: '4 1/4 in', height: '5 1/2 in' },
    options: { flap: '3 3/8 in' },
  })
  await page.goto(`/designs/${id}/work`)
  await expect(page.getByRole('status')).toHaveText('1 of 8')
  const figure = page.locator('[data-figure] .sr-only')
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
  for (const [corner, reading, onRail] of [
    ['upper left', '1 1/2 in', 'the score’s upper end'],
    ['upper right', '1 1/2 in', 'the score’s upper end'],
    ['lower left', '1 in', 'the flap’s tip'],
    ['lower right', '1 in', 'the flap’s tip'],
  ]) {
    await expect(page.getByText(`${corner} corner`)).toBeVisible()
    await expect(figure).toHaveText(reading ?? '')
    await expect(page.getByText(`On the rail: ${onRail}`)).toBeVisible()
    await page.keyboard.press('PageDown')
  }
})

test('corner up: the groove the other corners lie on, and the card laid in before the last score', async ({ page }) => {
  const id = await openNew(page, { options: { method: 'score-board' }, system: 'metric' })
  await page.goto(`/designs/${id}/work`)
  await expect(page.getByRole('status')).toContainText('1 of')
  await page.keyboard.press('PageDown')
  const square = (await kept(page, id)) as unknown as { design: { pieces: Array<{ sheet: { width: number } }> } }
  const half = Math.ceil((square.design.pieces[0]?.sheet.width ?? 0) / Math.SQRT2)
  await expect(page.getByText(/Score the left flap at .* the other corners on the groove at/)).toContainText(
    `${half} mm`,
  )
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
  await expect(page.getByText('Lay it in and look.')).toBeVisible()
  await expect(page.getByText(/^Turn/)).toHaveCount(0)
  await expect(page.locator('.step-picture polygon.sp-lit')).toHaveCount(1)
})

test('a step’s picture: for the left hand with the fence on the right, kept as a file, close up where the cut is small', async ({
  page,
}) => {
  const id = await openNew(page, {
    make: 'tray-and-lid',
    holds: { width: '5 3/4 in', height: '4 3/8 in', thickness: '1/2 in' },
  })
  await page.goto(`/designs/${id}/work`)
  await expect(page.getByRole('status')).toContainText('1 of')
  await page.keyboard.press('PageDown')
  const picture = page.locator('.step-picture')
  const fence = picture.locator('rect.sp-fence').first()
  const sheet = picture.locator('path.sp-sheet').first()
  const isLeft = async () => ((await fence.boundingBox())?.x ?? 0) < ((await sheet.boundingBox())?.x ?? 0)
  await expect(fence).toBeVisible()
  expect(await isLeft()).toBe(true)
  await page.getByRole('button', { name: 'Right-handed' }).click()
  await expect.poll(isLeft).toBe(false)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Left-handed' })).toBeVisible()
  for (const [control, begins] of [
    [page.getByRole('link', { name: 'Picture (SVG)' }), '<svg'],
    [page.getByRole('button', { name: 'Picture (PNG)' }), '\x89PNG'],
  ] as const) {
    const [download] = await Promise.all([page.waitForEvent('download'), control.click()])
    expect(
      readFileSync(await download.path())
        .toString('latin1')
        .startsWith(begins),
    ).toBe(true)
  }
  // The first corner: what comes off is shaded while it is still there, and the whole sheet stands beside it.
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageDown')
  await expect(page.getByText(/Cut along the score at/)).toBeVisible()
  await expect(picture.locator('.sp-off')).toHaveCount(2)
  await expect(picture.locator('.sp-frame')).toHaveCount(1)
})
