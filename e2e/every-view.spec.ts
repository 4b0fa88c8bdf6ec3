import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { faultsOf } from './laid'
import { sayIn } from './say'
import { VIEWS } from './views'

const say = sayIn('en')

// Each view is opened by itself: they go to whichever worker is free.
test.describe.configure({ mode: 'parallel' })

// A shelf with the demo alone.
test.use({ kind: 'views' })

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
const AXE_AT = [360, 390, 820, 1280] as readonly number[]
const FEW = [320, 390, 640, 820, 1280]

/** An open menu stands in no part of the page, and its lines are gone through by arrow keys, not by Tab. */
const OF_MENUS = /^(region|scrollable-region-focusable): .*(role="menu"|radix-popper)/

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8')

/** Read into the page once, not at every look at it: nothing here is in a frame. */
async function violations(page: Page, rules: string[] | null, isFirst: boolean): Promise<string[]> {
  if (await page.evaluate(() => !('axe' in window))) await page.evaluate(AXE)
  return page.evaluate(
    async ({ rules, tags, isFirst }) => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') }
      const { violations } = await axe.run(document, {
        // What is good need not be written up.
        resultTypes: ['violations'],
        // Style sheets are the same at every size.
        preload: isFirst,
        runOnly: rules ? { type: 'rule', values: rules } : { type: 'tag', values: tags },
      })
      return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' ')}`)
    },
    { rules, tags: TAGS, isFirst },
  )
}

test('every route has its view here', () => {
  const routes = [...readFileSync('resources/js/main.tsx', 'utf8').matchAll(/path="([^"]+)"/g)].map(([, path]) => path)
  const named = new Set(VIEWS.map(({ route }) => route))
  expect(routes.filter((path) => path !== '*' && !named.has(path ?? ''))).toEqual([])
})

for (const { name, open, isFleeting = false } of VIEWS) {
  test(`${name} has room and is accessible on every screen`, async ({ page }) => {
    const found: string[] = []
    await open(page, say)
    for (const [width, height] of SIZES) {
      const isMeasured = !isFleeting || FEW.includes(width)
      const isLookedThrough = AXE_AT.includes(width)
      if (!isMeasured && !isLookedThrough) continue
      await page.setViewportSize({ width, height })
      if (isFleeting) await open(page, say)
      await settled(page)
      for (const fault of isMeasured ? await faultsOf(page) : []) found.push(`${width} × ${height}: ${fault}`)
      for (const theme of isLookedThrough ? ['dark', 'light'] : []) {
        await page.evaluate((to) => (document.documentElement.dataset.theme = to), theme)
        // Only colours differ in the dark.
        for (const fault of await violations(page, theme === 'dark' ? ['color-contrast'] : null, width === AXE_AT[0]))
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

const LARGE = [
  'shelf',
  'start',
  'table',
  'table, fold',
  'table, wrong',
  'compare',
  'work',
  'library/tools, a new one',
  'backups',
]

for (const { name, open } of VIEWS.filter((view) => LARGE.includes(view.name))) {
  test(`${name} has room for type twice as large (WCAG 1.4.4)`, async ({ page }) => {
    const found: string[] = []
    const session = await page.context().newCDPSession(page)
    await session.send('Page.enable')
    await session.send('Page.setFontSizes', { fontSizes: { standard: 32, fixed: 26 } })
    await open(page, say)
    expect(await page.evaluate(() => getComputedStyle(document.body).fontSize)).toBe('32px')
    for (const [width, height] of [
      [1280, 800],
      [820, 1180],
    ] as const) {
      await page.setViewportSize({ width, height })
      await settled(page)
      for (const fault of await faultsOf(page)) found.push(`${width} × ${height}: ${fault}`)
    }
    expect(found).toEqual([])
  })
}

test('where the machine chooses the colours, gauges, choices and progress are still seen', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' })
  const table = VIEWS.find(({ name }) => name === 'table')
  await table?.open(page, say)
  const outline = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element) => {
        const { outlineStyle, outlineWidth, backgroundColor } = getComputedStyle(element)
        return { isOutlined: outlineStyle !== 'none' && parseFloat(outlineWidth) > 0, backgroundColor }
      })
  expect((await outline('[data-gauge]')).isOutlined).toBe(true)
  const [on, off] = [await outline('[aria-pressed=true]'), await outline('[aria-pressed=false]')]
  expect(on.backgroundColor).not.toBe(off.backgroundColor)
  await page.getByRole('link', { name: say('hand-on.work') }).click()
  expect((await outline('[role=progressbar]')).isOutlined).toBe(true)
})

test('nothing moves on a page once it is there', async ({ page }) => {
  await page.addInitScript(() => {
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as Array<PerformanceEntry & { value: number; hadRecentInput: boolean }>)
        if (!entry.hadRecentInput)
          Object.assign(window, { moved: Number(Reflect.get(window, 'moved') ?? 0) + entry.value })
    }).observe({ type: 'layout-shift', buffered: true })
  })
  for (const path of ['/', '/library/sizes']) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForTimeout(800)
    // “Good” by the Core Web Vitals is at most 0.1.
    expect(await page.evaluate(() => Number(Reflect.get(window, 'moved') ?? 0))).toBeLessThan(0.1)
  }
})
