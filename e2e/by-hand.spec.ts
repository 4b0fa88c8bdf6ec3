import { expect, test, type Page } from './test'
import { openNew, told } from './gimbo'
import { showRequest } from './views'

test.use({ hasTouch: true })

interface Answer {
  design: {
    pieces: Array<{ sheet: { text: { width: string } } }>
  }
}

const design = async (page: Page) => {
  const id = new URL(page.url()).pathname.split('/')[2] ?? ''
  return { id, ...((await (await page.request.get(`/api/designs/${id}`)).json()) as Answer) }
}

const key = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Keys for this field' }).getByRole('button', { name, exact: true })

for (const [width, height] of [
  [390, 844],
  [820, 1180],
] as const) {
  test(`by hand at ${width} × ${height}: made, folded, followed to its last step, handed on`, async ({
    page,
    context,
  }) => {
    await page.setViewportSize({ width, height })
    // An empty shelf: it begins at once with what is in the hand.
    await page.route('**/api/designs', (route) =>
      route.request().method() === 'GET' ? route.fulfill({ json: { designs: [] } }) : route.continue(),
    )
    await page.goto('/')
    let taps = 0
    const tap = async (what: ReturnType<Page['locator']>) => {
      await what.tap()
      taps++
    }
    await tap(page.getByRole('button', { name: /^A flat card/ }))
    await expect(page.getByLabel('Width', { exact: true })).toBeFocused()
    // The machine’s own keys stay away.
    await expect(page.getByLabel('Width', { exact: true })).toHaveAttribute('inputmode', 'none')
    await tap(key(page, '4'))
    await tap(key(page, 'and a half'))
    await tap(page.getByLabel('Height', { exact: true }))
    await tap(key(page, '6'))
    await tap(page.getByRole('button', { name: /^envelope from a square/ }))
    const drawing = page.getByRole('img', { name: /a sheet of/ })
    await expect(drawing).toBeVisible()
    expect(taps).toBeLessThanOrEqual(8)
    const { id, design: made } = await design(page)
    const { steps } = await told(page, id)
    await expect(drawing).toHaveAccessibleName(new RegExp(made.pieces[0]?.sheet.text.width ?? 'nothing'))
    // The drawing has the larger part of what is above the thumb, and nothing of it is cut off.
    const box = await drawing.boundingBox()
    expect(box?.width ?? 0).toBeGreaterThan(width * 0.85)
    expect(box?.height ?? 0).toBeGreaterThan(height * 0.22)

    await page.getByRole('button', { name: 'Fold', exact: true }).tap()
    const fold = page.getByLabel('The fold in space')
    await expect(fold).toHaveAttribute('data-frames', /[1-9]/)
    const before = await fold.getAttribute('data-moment')
    const slider = page.getByRole('slider')
    const reach = await slider.boundingBox()
    expect(reach?.width ?? 0).toBeGreaterThan(120)
    await page.touchscreen.tap((reach?.x ?? 0) + (reach?.width ?? 0) * 0.9, (reach?.y ?? 0) + (reach?.height ?? 0) / 2)
    await expect(fold).not.toHaveAttribute('data-moment', before ?? '')

    await page.getByRole('link', { name: 'At the table, step by step' }).tap()
    for (let i = 1; i < steps.length; i++) {
      await expect(page.getByRole('status').first()).toHaveText(`${i} of ${steps.length}`)
      await page.getByRole('button', { name: 'Done, go on' }).tap()
    }
    await page.getByRole('button', { name: 'All done' }).tap()
    await expect(drawing.or(fold).first()).toBeVisible()
    const { ticks } = (await (await page.request.get(`/api/designs/${id}/ticks`)).json()) as {
      ticks: Array<{ step: string; done: boolean; figures: string }>
    }
    expect(new Set(ticks.filter(({ done }) => done).map(({ step }) => step))).toEqual(
      new Set(steps.map((step) => step.id)),
    )

    await page.getByRole('button', { name: 'More, and what can be handed on' }).tap()
    const coming = page.waitForEvent('download')
    await page.getByRole('menuitem', { name: 'Steps and handout as one file' }).tap()
    const file = test.info().outputPath('steps.html')
    await (await coming).saveAs(file)
    const alone = await context.newPage()
    const asked: string[] = []
    alone.on('request', (request) => asked.push(request.url()))
    await alone.goto(`file://${file}`)
    await expect(alone.locator('.step-picture svg')).toBeVisible()
    await alone.getByRole('button', { name: 'Done, go on' }).tap()
    await expect(alone.getByRole('status').first()).toHaveText(`2 of ${steps.length}`)
    await alone.reload()
    await expect(alone.getByRole('status').first()).toHaveText(`2 of ${steps.length}`)
    await expect(alone.getByRole('progressbar')).toHaveAttribute('aria-valuetext', /1 done/)
    await alone.getByRole('button', { name: 'The handout' }).tap()
    await expect(alone.frameLocator('iframe').getByRole('heading', { level: 1 })).toBeVisible()
    expect(asked.filter((url) => !/^(file|data|about):/.test(url))).toEqual([])
  })
}

test('the keys for a length hide nothing, and write what a maker writes', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openNew(page)
  await showRequest(page)
  const field = page.getByLabel('Width of the card')
  await field.tap()
  const keys = page.getByRole('group', { name: 'Keys for this field' })
  await expect(keys).toBeVisible()
  await expect(field).toBeInViewport({ ratio: 1 })
  const top = (await keys.boundingBox())?.y ?? 0
  for (const what of [page.getByRole('img', { name: /a sheet of/ }), field]) {
    const box = await what.boundingBox()
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(top + 1)
  }
  for (const name of ['4', 'and a half', 'and an eighth', 'in']) await key(page, name).tap()
  await expect(field).toHaveValue('4 5/8 in')
  await key(page, 'Take back').tap()
  await key(page, 'Take back').tap()
  await expect(field).toHaveValue('4')
  await key(page, 'A step more').tap()
  await expect(field).toHaveValue(/^4 1\/\d+ in$/)
  await key(page, 'Keys with letters').tap()
  await expect(keys).toHaveCount(0)
  await expect(field).toBeFocused()
  await expect(field).toHaveAttribute('inputmode', 'text')
  await page.getByLabel('Height of the card').tap()
  await expect(keys).toBeVisible()
  await key(page, 'Done').tap()
  await expect(keys).toHaveCount(0)
  await page.getByLabel('How many').tap()
  await expect(key(page, 'and a half')).toHaveCount(0)
})

test('step by step without the server: ticks are kept and told it later', async ({ page }) => {
  const id = await openNew(page, {
    make: 'note-wallet',
    holds: { width: '4 in', height: '5 1/2 in', thickness: '3 mm', count: 6 },
  })
  await page.goto(`/designs/${id}/work`)
  const status = page.getByRole('status').first()
  await expect(status).toContainText('1 of')
  await expect(page.locator('.step-picture svg')).toBeVisible()
  await page.route('**/api/**', (route) => route.abort())
  await page.getByRole('button', { name: /^Done/ }).first().tap()
  await expect(page.getByText('Gimbo does not answer. Go on')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await page.unroute('**/api/**')
  await expect(page.getByText('Gimbo does not answer. Go on')).toHaveCount(0)
  await expect
    .poll(async () => {
      const answer = (await (await page.request.get(`/api/designs/${id}/ticks`)).json()) as { ticks: unknown[] }
      return answer.ticks.length
    })
    .toBe(1)
})

test('a step done at another figure says so, and a finger drawn across goes on', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const id = await openNew(page)
  await page.goto(`/designs/${id}/work`)
  await page.getByRole('button', { name: 'Done, go on' }).tap()
  const status = page.getByRole('status').first()
  await expect(status).toContainText('2 of')
  await page.request.post(`/api/designs/${id}/edits`, {
    data: { id: crypto.randomUUID(), changes: [{ at: '/holds/width', to: '6 in' }] },
  })
  await expect(page.getByText('This figure has changed').or(page.getByText(/changed/).first())).toBeVisible()
  await page
    .locator('main')
    .dispatchEvent('pointerdown', { pointerType: 'touch', pointerId: 7, clientX: 100, clientY: 300 })
  await page
    .locator('main')
    .dispatchEvent('pointerup', { pointerType: 'touch', pointerId: 7, clientX: 300, clientY: 310 })
  await expect(status).toContainText('1 of')
  await expect(page.getByText(/^This was done at/)).toBeVisible()
})

test('in a text that is written, Ctrl+Z takes back what was written', async ({ page }) => {
  const id = await openNew(page)
  await page.getByLabel('Width of the card').fill('6')
  await page.getByLabel('Width of the card').blur()
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('Kept')
  const { revision } = (await (await page.request.get(`/api/designs/${id}`)).json()) as { revision: number }
  await page.getByLabel('Name of the design').click()
  await page.keyboard.type('x')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('Kept')
  const after = (await (await page.request.get(`/api/designs/${id}`)).json()) as {
    revision: number
    fields: Record<string, { text: string }>
  }
  expect(after.revision).toBeGreaterThanOrEqual(revision)
  expect(after.fields['/holds/width']?.text).toBe('6 in')
})

test('the keyboard comes back to where it was, and single keys can be put off', async ({ page }) => {
  await openNew(page)
  for (const name of ['What was done', 'Which key does what']) {
    await page.getByRole('button', { name }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('button', { name })).toBeFocused()
  }
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: /^Notes/ }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Hand on' })).toBeFocused()
  await page.keyboard.press('f')
  await expect(page).toHaveURL(/view=fold/)
  await page.keyboard.press('?')
  await page.getByRole('checkbox', { name: /^Single letters/ }).uncheck()
  await page.keyboard.press('Escape')
  await page.keyboard.press('s')
  await expect(page).toHaveURL(/view=fold/)
  await page.goto('/')
  await page.getByRole('link', { name: 'Papers' }).click()
  await expect(page.locator('main')).toBeFocused()
  await expect(page).toHaveTitle('Papers · Gimbo')
})

test('Escape in a usual length changes nothing, and nothing typed means the usual', async ({ page }) => {
  const id = await openNew(page)
  const room = page.getByLabel('Room to spare in width')
  const usual = await room.inputValue()
  await room.click()
  await page.keyboard.press('Escape')
  const answer = async () =>
    (await (await page.request.get(`/api/designs/${id}`)).json()) as {
      revision: number
      fields: Record<string, { text: string; given: boolean }>
    }
  expect((await answer()).revision).toBe(1)
  await room.fill('1/2')
  await expect.poll(async () => (await answer()).fields['/clearance/width']?.given).toBe(true)
  await room.fill('')
  await expect.poll(async () => (await answer()).fields['/clearance/width']?.given).toBe(false)
  await room.blur()
  await expect(room).toHaveValue(usual)
})

test('what is removed can be put back, and what was half filled in is there again', async ({ page }) => {
  await page.goto('/library/sizes')
  await page.getByRole('button', { name: /^Add/ }).click()
  await page.getByLabel('Name', { exact: true }).fill('Ferry pass')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Add/ }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Ferry pass')
  await page.getByLabel('Width', { exact: true }).fill('90 mm')
  await page.getByLabel('Height', { exact: true }).fill('55 mm')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('button', { name: 'Remove Ferry pass' }).click()
  await expect(page.getByRole('rowheader', { name: 'Ferry pass' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('rowheader', { name: 'Ferry pass' })).toBeVisible()
  await page.getByRole('button', { name: 'Remove Ferry pass' }).click()
})

test('what takes long says so, and can be stopped', async ({ page }) => {
  await page.route('**/api/backups/take-in', () => undefined)
  await page.goto('/backups')
  const file = { name: 'everything.jsonl', mimeType: 'application/jsonl', buffer: Buffer.from('{}\n') }
  await page.getByLabel('Take in a file …').setInputFiles(file)
  await expect(page.getByRole('progressbar')).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).tap()
  await expect(page.getByText('Stopped. Nothing of it')).toBeVisible()
  await expect(page.getByRole('progressbar')).toHaveCount(0)
  await expect(page).toHaveTitle('Backups · Gimbo')
})

test('two fingers bring the drawing closer and move it; one leaves it to the page', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openNew(page)
  const drawing = page.getByRole('img', { name: /a sheet of/ })
  const box = await drawing.boundingBox()
  const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2]
  const session = await page.context().newCDPSession(page)
  const touch = (
    type: 'touchStart' | 'touchMove' | 'touchEnd',
    ...touchPoints: Array<{ x: number; y: number; id: number }>
  ) => session.send('Input.dispatchTouchEvent', { type, touchPoints })
  await touch('touchStart', { x, y, id: 1 })
  await touch('touchMove', { x, y: y - 60, id: 1 })
  await touch('touchEnd')
  await expect(drawing).toHaveAttribute('data-closer', '1')
  await touch('touchStart', { x: x - 20, y, id: 1 }, { x: x + 20, y, id: 2 })
  for (const apart of [40, 60, 80]) await touch('touchMove', { x: x - apart, y, id: 1 }, { x: x + apart, y, id: 2 })
  await touch('touchEnd')
  await expect.poll(async () => Number(await drawing.getAttribute('data-closer'))).toBeGreaterThan(2)
})
