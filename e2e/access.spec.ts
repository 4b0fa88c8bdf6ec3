import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './test'
import { openNew } from './gimbo'

async function expectAccessible(page: Page) {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    .analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' ')}`)).toEqual([])
}

test('an empty shelf shows the way', async ({ page }) => {
  await page.route('**/api/designs', (route) => route.fulfill({ json: { designs: [] } }))
  await page.goto('/')
  await expect(page.getByText(/^Nothing on the shelf yet/)).toBeVisible()
  await expectAccessible(page)
})

for (const [width, height] of [
  [1024, 768],
  [1280, 800],
  [2560, 1440],
] as const) {
  test(`everything has room at ${width} × ${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    await openNew(page, {
      system: 'metric',
      options: { method: 'score-board' },
      paper: { sheet: { width: '210 mm', height: '297 mm' } },
    })
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect(overflow).toBe(0)
    const drawing = await page.getByRole('img', { name: /a sheet of/ }).boundingBox()
    const figures = await page.getByLabel('Measures and steps').first().boundingBox()
    expect((drawing?.width ?? 0) * (drawing?.height ?? 0)).toBeGreaterThan(
      (figures?.width ?? 0) * (figures?.height ?? 0),
    )
    for (const part of await page.locator('.part, header button, aside button').all()) {
      const box = await part.boundingBox()
      if (!box) continue
      expect(box.x).toBeGreaterThanOrEqual(0)
      expect(box.x + box.width).toBeLessThanOrEqual(width)
      expect(box.height + 8).toBeGreaterThanOrEqual(44)
    }
  })
}

test('no page asks anything of another machine', async ({ page, baseURL }) => {
  const hosts = new Set<string>()
  page.on('request', (request) => hosts.add(new URL(request.url()).host))
  await openNew(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  expect([...hosts].filter((host) => host !== '' && host !== new URL(baseURL ?? '').host)).toEqual([])
})
