import { expect, test, type Locator, type Page } from './test'
import { kept, openNew, own, told } from './gimbo'
import { showRequest } from './views'

interface Made {
  design: {
    pieces: Array<{ id: string; role: string; count: number; sheet: { width: number; height: number }; on?: string }>
    closed: { depth: number }
  }
  spec: { with?: Array<Record<string, unknown>> }
}

const made = async (page: Page, id: string) => (await kept(page, id)) as unknown as Made

/** Presses a panel of the sheet, clear of what is drawn along its edges. */
async function pressPanel(page: Page, face: string, hasTouch: boolean) {
  const panel = page.locator(`[data-panel="${face}"]`).first()
  const box = await panel.boundingBox()
  if (!box) throw new Error(`no panel ${face}`)
  const [x, y] = [box.x + box.width * 0.3, box.y + box.height * 0.3]
  if (hasTouch) await page.touchscreen.tap(x, y)
  else await page.mouse.click(x, y)
}

const CARD = {
  make: 'folded-card',
  system: 'metric',
  holds: { width: '148 mm', height: '105 mm' },
  paper: { caliper: '0.3 mm' },
}

for (const [name, width, height, hasTouch] of [
  ['by mouse', 1280, 800, false],
  ['by touch', 390, 844, true],
] as const) {
  test.describe(name, () => {
    test.use({ hasTouch, viewport: { width, height } })

    test(`${name}: a panel is pressed, what lies on it seen at once, changed, followed and handed on`, async ({
      page,
    }) => {
      const id = await openNew(page, CARD, own('Counting day'))
      await pressPanel(page, 'front', hasTouch)
      const menu = page.getByRole('menu')
      await menu.getByRole('menuitem', { name: 'A mat' }).click()
      await expect(page.locator('[data-laid]')).toHaveCount(1)
      await expect
        .poll(async () => (await made(page, id)).design.pieces.map(({ id: piece }) => piece))
        .toEqual(['card', 'mat-1'])
      // 3 mm showing, unless she says otherwise; by mouse the arrow keys change it where it stands.
      expect((await made(page, id)).design.pieces[1]?.sheet).toMatchObject({ width: 142, height: 99 })
      await showRequest(page)
      const border = page.locator('[data-with="mat-1"]').getByRole('textbox')
      if (!hasTouch) await expect(border).toBeFocused()
      await border.focus()
      await page.keyboard.press('ArrowUp')
      await page.keyboard.press('ArrowUp')
      await expect.poll(async () => (await made(page, id)).design.pieces[1]?.sheet.width).toBe(138)

      await pressPanel(page, 'front', hasTouch)
      await menu.getByRole('menuitem', { name: 'A second mat on its mat' }).click()
      await expect(page.locator('[data-laid]')).toHaveCount(2)
      await pressPanel(page, 'front', hasTouch)
      await menu.getByRole('menuitem', { name: 'A window' }).click()
      await expect(
        page
          .locator('[data-with="window-1"]')
          .or(page.getByRole('tab', { name: 'Request' }))
          .first(),
      ).toBeVisible()
      await showRequest(page)
      await page
        .locator('[data-with="window-1"]')
        .getByRole('button', { name: /What is behind it/ })
        .click()
      await page.getByRole('menuitemradio', { name: 'backed with' }).click()
      await expect.poll(async () => (await made(page, id)).design.pieces.at(-1)?.role).toBe('backing')

      const { steps } = await told(page, id)
      // Opened while flat, backed, then covered: and every piece is cut once.
      const order = steps.map((step) => step.id)
      const at = (step: string) => order.indexOf(step)
      expect(at('card/window/front')).toBeGreaterThan(-1)
      expect(at('card/window/front')).toBeLessThan(at('window-1-backing/glue'))
      expect(at('window-1-backing/glue')).toBeLessThan(at('mat-1/glue'))
      expect(at('mat-1/glue')).toBeLessThan(at('mat-2/glue'))
      await page.goto(`/designs/${id}/print`)
      for (const [piece, size] of [
        ['Mat on the front', '138 × 95 mm'],
        ['Second mat on the front', '132 × 89 mm'],
      ] as const)
        await expect(page.locator('tr, li', { hasText: piece }).filter({ hasText: size }).first()).toBeVisible()

      // One undo takes back one thing; taking the mat away leaves the rest standing, and says what now has no place.
      await page.goto(`/designs/${id}`)
      await page.getByRole('button', { name: 'Undo' }).click()
      await expect.poll(async () => (await made(page, id)).design.pieces.at(-1)?.role).toBe('mat')
    })
  })
}

const DECORATED = [
  'Tin of shell finds',
  'Wallet of six, dressed',
  'Lantern for the tern night',
  'Twelve months of sightings',
  'Order of the counting day',
]

for (const [how, width, height, hasTouch] of [
  ['by mouse', 1280, 800, false],
  ['by touch', 390, 844, true],
] as const) {
  test.describe(`decorated, ${how}`, () => {
    test.use({ hasTouch, viewport: { width, height } })
    for (const name of DECORATED) {
      test(`${name}, ${how}: seen on the sheet and in the fold, followed to its last step, handed on`, async ({
        page,
      }) => {
        const press = (what: Locator) => (hasTouch ? what.tap() : what.click())
        const { designs } = (await (await page.request.get('/api/designs')).json()) as {
          designs: Array<{ id: string; name: string }>
        }
        const demo = await made(page, designs.find((one) => one.name === name)?.id ?? '')
        const id = await openNew(page, demo.spec, own(name))
        const { design, spec } = await made(page, id)
        await page.goto(`/designs/${id}?piece=all`)
        await showRequest(page)
        await expect(page.locator('[data-with]')).toHaveCount(spec.with?.length ?? 0)
        const onPanels = design.pieces.filter(({ on }) => typeof on === 'string')
        await expect(page.locator('[data-laid]')).toHaveCount(onPanels.length > 0 ? await laidOf(page, id) : 0)
        await press(page.getByRole('button', { name: 'Fold', exact: true }))
        await expect(page.getByLabel('The fold in space')).toHaveAttribute('data-frames', /[1-9]/)
        await page.goto(`/designs/${id}/work`)
        // What is done to several copies is ticked copy by copy.
        const done = page.getByRole('button', { name: /^(Done|All done)/ })
        const { steps } = await told(page, id)
        const last = `${steps.length} of ${steps.length}`
        for (let ticks = 0; ticks < 400 && (await page.getByRole('status').first().textContent()) !== last; ticks++)
          await press(done)
        await expect(page.getByRole('status').first()).toHaveText(last)
        await page.goto(`/designs/${id}/print`)
        for (const piece of design.pieces)
          await expect(page.getByText((piece as unknown as { name: string }).name).first()).toBeVisible()
      })
    }
  })
}

/** How often something lies on one of the make's own pieces as each is drawn once, copies of those alike drawn on one another. */
async function laidOf(page: Page, id: string): Promise<number> {
  const { design } = (await kept(page, id)) as unknown as { design: { pieces: Array<{ places?: unknown[] }> } }
  return design.pieces.reduce((sum, { places = [] }) => sum + places.length, 0)
}

test('a paper of the drawer is chosen for one piece, and its colour is seen', async ({ page }) => {
  const id = await openNew(page, { ...CARD, with: [{ id: 'm', role: 'mat', on: 'card/front' }] }, own('Paper'))
  await page
    .locator('[data-with="m"]')
    .getByRole('button', { name: /Its paper/ })
    .click()
  await page.getByRole('menuitemradio', { name: /Low tide/ }).click()
  await expect.poll(async () => (await made(page, id)).spec.with?.[0]?.paper).toBe('low-tide')
  await expect(page.locator('[data-laid="m"] path')).toHaveCSS('fill', 'rgb(185, 207, 214)')
})

test('a border larger than the panel is said beside the fits, and can be left out', async ({ page }) => {
  const id = await openNew(page, { ...CARD, with: [{ id: 'm', role: 'mat', on: 'card/front', border: '80 mm' }] })
  const fit = page.locator('[data-check="mat-has-room"]')
  await expect(fit).toHaveAttribute('data-ok', 'false')
  await fit.getByRole('button', { name: 'Leave it out' }).click()
  await expect.poll(async () => (await made(page, id)).spec.with ?? []).toEqual([])
})

test('a round window comes in the sizes of the circle punches there are, and says with what it is cut', async ({
  page,
}) => {
  const punches = { circles: ['30 mm', '45 mm'], circleReach: '80 mm' }
  const window = { id: 'w', role: 'window', on: 'card/front', shape: { circle: '40 mm' } }
  const id = await openNew(page, { ...CARD, tools: { punches }, with: [window] }, own('Punched'))
  const phrase = page.locator('[data-with="w"]')
  await page.getByRole('tab', { name: 'Steps' }).click()
  const steps = page.getByRole('tabpanel', { name: 'Steps' })
  await expect(steps).toContainText(/Your circle punch nearest to it gives 45\D.*: cut this one by hand/)
  await page.getByRole('tab', { name: 'Measures' }).click()
  await expect(page.locator('[data-hint="by-hand"]')).toContainText('the nearest gives 45 mm')
  await page.getByRole('tab', { name: 'Steps' }).click()
  await phrase.getByRole('button', { name: /A punch you have/ }).click()
  await page.getByRole('menuitemradio', { name: '45 mm' }).click()
  await expect(steps).toContainText(/A round opening, 45\D.* across/)
  await expect(steps).not.toContainText('cut this one by hand')

  // Off the middle: to the left and lower, as far as was typed.
  await phrase.getByRole('button', { name: /Where on the panel/ }).click()
  await page.getByRole('menuitemradio', { name: 'with its middle this far' }).click()
  const left = phrase.getByRole('textbox', { name: /middle, from the left/i })
  await left.fill('40 mm')
  await left.press('Enter')
  await expect(steps).toContainText(/its middle 40\D.*from the left/)
  expect((await made(page, id)).spec.with?.[0]).toMatchObject({ at: { left: '40 mm' } })
})

test('punches, dies and tape are kept with a set of tools, and what is wrong is said beside its field', async ({
  page,
}) => {
  await page.goto('/library/tools')
  await page.getByRole('button', { name: 'Add a set of tools' }).click()
  const name = own('Punches')
  await page.getByLabel('Name').fill(name)
  await page.getByText('Punches, dies and tape').click()
  await page.getByLabel('Circle punches, across').fill('1, 1 1/2, 2 in')
  await page.getByLabel('Window dies').fill('oval 2 x 3, 3 x wide')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('“wide” is not a length')).toBeVisible()
  await page.getByLabel('Window dies').fill('oval 2 x 3, 3 x 2')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const { tools } = (await (await page.request.get('/api/library')).json()) as { tools: Array<Record<string, string>> }
  expect(tools.find((set) => set.name === name)).toMatchObject({
    circles: '1 in, 1 1/2 in, 2 in',
    dies: 'oval 2 in × 3 in, 3 in × 2 in',
  })
})

test('a pattern is pressed into a panel, seen there, and a plate too small asks for a strip over its seam', async ({
  page,
}) => {
  const punches = { plate: ['90 mm', '120 mm'] }
  const id = await openNew(page, { ...CARD, tools: { punches } }, own('Pressed'))
  await pressPanel(page, 'front', false)
  await page.getByRole('menuitem', { name: 'An embossed pattern' }).click()
  await expect(page.locator('[data-layer="embossed"]')).toBeVisible()
  await expect(page.locator('[data-check="seam-is-hidden"]')).toHaveAttribute('data-ok', 'false')
  await pressPanel(page, 'front', false)
  await page.getByRole('menuitem', { name: 'A strip', exact: true }).click()
  const strip = page.locator('[data-with]').filter({ hasText: 'strip' })
  await strip.getByRole('button', { name: /Which way/ }).click()
  await page.getByRole('menuitemradio', { name: 'upright' }).click()
  await expect(page.locator('[data-check="seam-is-hidden"]')).toHaveCount(0)
  await page.getByRole('tab', { name: 'Steps' }).click()
  await expect(page.getByRole('tabpanel', { name: 'Steps' })).toContainText('in two passes')
  expect((await made(page, id)).spec.with).toHaveLength(2)
})
