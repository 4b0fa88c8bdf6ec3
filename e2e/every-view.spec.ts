import AxeBuilder from '@axe-core/playwright'
import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { faultsOf } from './laid'
import { sayIn } from './say'
import { VIEWS } from './views'

const say = sayIn('en')

// A shelf with the demo alone.
test.use({ baseURL: 'http://127.0.0.1:8477' })

/** Phones, tablets both ways, a laptop, and a large screen; 320 px is what WCAG 2.1 (1.4.10) asks for. */
const SIZES = [
  [320, 568],
  [360, 740],
  [390, 844],
  [430, 932],
  [768, 1024],
  [820, 1180],
  [1024, 768],
  [1180, 820],
  [1280, 800],
  [1920, 1080],
  // 1280 × 720 at 200 %, and a phone laid across.
  [640, 360],
  [844, 390],
] as const
const AXE_AT = [360, 390, 820, 1280]
const FEW = [320, 390, 640, 820, 1280]

/** An open menu stands in no part of the page, and its lines are gone through by arrow keys, not by Tab. */
const OF_MENUS = /^(region|scrollable-region-focusable): .*(role="menu"|radix-popper)/

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

async function violations(page: Page, rules: string[] | null): Promise<string[]> {
  const found = await new AxeBuilder({ page })
    // Nothing here is in a frame; what is good need not be written up.
    .setLegacyMode(true)
    .options({
      resultTypes: ['violations'],
      runOnly: rules ? { type: 'rule', values: rules } : { type: 'tag', values: TAGS },
    })
    .analyze()
  return found.violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' ')}`)
}

test('every route has its view here', () => {
  const routes = [...readFileSync('resources/js/main.tsx', 'utf8').matchAll(/path="([^"]+)"/g)].map(([, path]) => path)
  const named = new Set(VIEWS.map(({ route }) => route))
  expect(routes.filter((path) => path !== '*' && !named.has(path ?? ''))).toEqual([])
})

for (const { name, open, isFleeting = false } of VIEWS) {
  test(`${name} has room on every screen`, async ({ page }) => {
    const found: string[] = []
    await open(page, say)
    for (const [width, height] of isFleeting ? SIZES.filter(([one]) => FEW.includes(one)) : SIZES) {
      await page.setViewportSize({ width, height })
      if (isFleeting) await open(page, say)
      await settled(page)
      for (const fault of await faultsOf(page)) found.push(`${width} × ${height}: ${fault}`)
    }
    expect(found).toEqual([])
  })

  test(`${name} is accessible on every screen`, async ({ page }) => {
    const found: string[] = []
    await open(page, say)
    for (const [width, height] of SIZES.filter(([one]) => AXE_AT.includes(one))) {
      await page.setViewportSize({ width, height })
      if (isFleeting) await open(page, say)
      await settled(page)
      for (const theme of ['light', 'dark']) {
        await page.evaluate((to) => (document.documentElement.dataset.theme = to), theme)
        // Only colours differ in the dark.
        for (const fault of await violations(page, theme === 'dark' ? ['color-contrast'] : null))
          if (!isFleeting || !OF_MENUS.test(fault)) found.push(`${width} × ${height}, ${theme}: ${fault}`)
      }
    }
    expect(found).toEqual([])
  })
}

/** Two frames after the size has changed everything stands where it will. */
const settled = (page: Page) =>
  page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 30)))),
  )
