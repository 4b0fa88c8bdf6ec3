import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { openNew } from './gimbo'

async function expectAccessible(page: Page) {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    .analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' ')}`)).toEqual([])
}

for (const theme of ['light', 'dark']) {
  test(`every view is accessible, ${theme}`, async ({ page }) => {
    await page.addInitScript((value) => localStorage.setItem('gimbo.theme', value), theme)
    await page.goto('/')
    await expect(page.locator('main a[href^="/designs/"]').first()).toBeVisible()
    await expectAccessible(page)

    await openNew(page, { paper: { sheet: { width: '6 in', height: '6 in' } } })
    await expect(page.locator('[data-ok=false]')).not.toHaveCount(0)
    await page.getByRole('button', { name: /^Punch and score/ }).click()
    await expectAccessible(page)
    await page.getByLabel('Width of the card').fill('wide')
    await expect(page.getByRole('alert')).toBeVisible()
    await expectAccessible(page)
    await page.getByLabel('Width of the card').press('Escape')
    await page.getByRole('tab', { name: 'Steps' }).click()
    await expectAccessible(page)
    await page.getByRole('button', { name: 'the usual details' }).click()
    await expect(page.getByLabel('Trimmer, smallest step')).toBeVisible()
    await expectAccessible(page)
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'What was done' }).click()
    await expect(page.getByRole('heading', { name: 'What was done' })).toBeVisible()
    await expectAccessible(page)
    await page.keyboard.press('Escape')
    const design = page.url().replace(/\?.*$/, '')
    await page.getByRole('button', { name: 'Fold', exact: true }).click()
    await expect(page.getByRole('img', { name: 'The fold in space' })).toHaveAttribute('data-frames', /[1-9]/)
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Which key does what' }).click()
    await expect(page.getByRole('heading', { name: 'At the design table' })).toBeVisible()
    await expectAccessible(page)
    await page.goto(design + '/compare')
    await expect(page.getByRole('heading', { name: 'Version 2' })).toBeVisible()
    await expect(page.getByRole('rowheader').first()).toBeVisible()
    await expectAccessible(page)
    await page.goto(design + '/work')
    await expect(page.getByRole('progressbar')).toBeVisible()
    await page.keyboard.press('PageDown')
    await expectAccessible(page)
    for (const place of ['/library/sizes', '/library/tools', '/library/papers', '/cutting/machines']) {
      await page.goto(place)
      await page.getByRole('button', { name: /^Add/ }).click()
      await expect(page.getByLabel('Name', { exact: true })).toBeVisible()
      await expectAccessible(page)
    }
    await page.goto('/')
    await page.getByRole('button', { name: 'New …' }).click()
    await page.getByRole('button', { name: /^A thick card/ }).click()
    await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible()
    await expectAccessible(page)
    await page.goto(design + '/print')
    await expect(page.getByRole('img', { name: 'The finished thing' })).toBeVisible()
    await expectAccessible(page)
  })
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

test('no page asks anything of another machine', async ({ page }) => {
  const hosts = new Set<string>()
  page.on('request', (request) => hosts.add(new URL(request.url()).host))
  await openNew(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  expect([...hosts].filter((host) => host !== '' && host !== '127.0.0.1:8471')).toEqual([])
})
