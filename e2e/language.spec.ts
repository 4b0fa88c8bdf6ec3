import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { faultsOf } from './laid'
import { madeUp } from './made-up'
import { begins, sayIn } from './say'
import { VIEWS } from './views'

/** Every view once more in a language that was made up: longer words, other letters, a decimal comma, four forms of number. */
const LANGUAGE = 'sl-x-tern'
test.use({ kind: 'language' })
const say = sayIn(LANGUAGE)

test.describe.configure({ mode: 'parallel' })

const SIZES = [
  [390, 844],
  [820, 1180],
  [1280, 800],
] as const

test('the made-up language is made of what English says now', () => {
  const english = JSON.parse(readFileSync('lang/en.json', 'utf8')) as Record<string, string>
  const file = `lang/${LANGUAGE}.json`
  if (process.env.GIMBO_WRITE_LANGUAGE) writeFileSync(file, madeUp(english))
  expect(readFileSync(file, 'utf8')).toBe(madeUp(english))
})

/** Words on the page that no sentence of the language has: those made up have other letters, or end otherwise. */
async function foreign(page: Page): Promise<string[]> {
  const asked = async (path: string) => JSON.stringify(await (await page.request.get(path)).json())
  const own =
    (await asked('/api/designs')) + (await asked('/api/library')) + (await asked('/api/plans')) + ' as wide as a tern'
  return page.evaluate((mine) => {
    const SAME =
      /^(Gimbo|SVG|PNG|PDF|DXF|FOLD|CSV|JSON|ZIP|HP|GL|UUID|Ctrl|Shift|Page|Home|End|Esc|Tab|Enter|Space|Up|Down|in|mm|cm|gsm|pt|ISO|ANSI|PWG|bin|cutter|storage|gimbo|backups|sqlite|json|jsonl|csv|html|jan|feb|mar|apr|maj|jun|jul|avg|sep|okt|nov|dec)$/
    const found = new Set<string>()
    const look = (text: string | null) => {
      for (const [word] of (text ?? '').matchAll(/[\p{L}]{3,}/gu))
        if (/^[A-Za-z]+$/.test(word) && /[aeiouy]/i.test(word) && !SAME.test(word)) found.add(word)
    }
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement
      // What the maker calls things, sources and addresses are as they are.
      if (!parent || parent.closest('[data-own], script, style, noscript, time, code')) continue
      look(node.textContent)
    }
    for (const element of document.querySelectorAll('[aria-label], [title], [placeholder]'))
      if (!element.closest('[data-own]'))
        for (const name of ['aria-label', 'title', 'placeholder']) look(element.getAttribute(name))
    return [...found].filter((word) => !new RegExp(`\\b${word}\\b`).test(mine))
  }, own)
}

for (const { name, open, isFleeting } of VIEWS.filter(({ name }) => name !== 'missing')) {
  test(`${name} speaks by its file of sentences, and has room for longer words`, async ({ page }) => {
    const found: string[] = []
    await open(page, say)
    found.push(...(await foreign(page)).map((word) => `“${word}” is no word of it`))
    for (const [width, height] of SIZES) {
      await page.setViewportSize({ width, height })
      if (isFleeting) await open(page, say)
      await page.waitForTimeout(100)
      for (const fault of await faultsOf(page)) found.push(`${width} × ${height}: ${fault}`)
    }
    expect(found).toEqual([])
  })
}

test('a design is made, folded, followed to its last step and handed on in it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/')
  await page.getByRole('button', { name: say('shelf.new-picker') }).click()
  await page.getByRole('button', { name: begins(say('held.thick-card')) }).click()
  await page.getByLabel(say('start.width'), { exact: true }).fill('110,5 mm')
  await page.getByRole('button', { name: begins(say('make.tray-and-lid.noun')) }).click()
  // A decimal comma, in figures that have one.
  await expect(page.getByRole('main')).toContainText('0,3')
  await page.getByRole('tab', { name: say('tab.measures') }).click()
  await page.getByRole('button', { name: say('view.fold') }).click()
  await expect(page.getByLabel(say('fold.label'))).toHaveAttribute('data-frames', /[1-9]/)
  await page.getByRole('link', { name: say('hand-on.work') }).click()
  const progress = page.getByRole('progressbar')
  const last = Number(await progress.getAttribute('aria-valuemax'))
  for (let i = 1; i < last; i++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(i))
    await page.keyboard.press('PageDown')
  }
  await page.getByRole('button', { name: say('work.done') }).click()
  await page.getByRole('button', { name: say('hand-on.more') }).click()
  const coming = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: say('hand-on.onefile') }).click()
  expect((await coming).suggestedFilename()).toMatch(/\.html$/)
})
