import { join } from 'node:path'
import { launched } from '../chromium.mjs'
import { folder, Gimbo, seeded, sleep } from './gimbo.mjs'

/** Two tabs on one design in a real browser, both typing, while Gimbo is killed under them: what each typed is there in the end. */
export async function tabs({ kills, seed, port }) {
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'))
  await gimbo.start()
  const browser = await launched()
  const random = seeded(seed)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const design = await gimbo.newDesign()
  const open = async () => {
    const page = await context.newPage()
    await page.goto(`${gimbo.url}/designs/${design}`)
    await page.getByRole('tab', { name: 'Measures' }).waitFor()
    return page
  }
  let pages = [await open(), await open()]
  const labels = ['Width of the card', 'Height of the card']
  let [lost, stale] = [0, 0]
  for (let n = 0; n < kills; n++) {
    const typed = [`${100 + random.below(60)}`, `${80 + random.below(60)}`]
    await Promise.all([
      pages[0].getByLabel(labels[0]).fill(typed[0]),
      pages[1].getByLabel(labels[1]).fill(typed[1]),
      sleep(random.below(120)).then(() => gimbo.killAll()),
    ])
    await gimbo.ended
    if (n % 4 === 3) {
      // Both closed before anything was answered, and opened again.
      await Promise.all(pages.map((page) => page.close()))
      await gimbo.start()
      pages = [await open(), await open()]
    } else await gimbo.start()
    const kept = async () => {
      const { fields } = (await gimbo.get(`/designs/${design}`)).body
      return [fields['/holds/width'].text, fields['/holds/height'].text]
    }
    const wanted = typed.map((text) => `${text} mm`).join()
    let found = ''
    for (let tries = 0; tries < 120 && (found = (await kept()).join()) !== wanted; tries++) await sleep(100)
    if (found !== wanted) lost++
    for (const page of pages) {
      const shows = () => Promise.all(labels.map((label) => page.getByLabel(label).inputValue()))
      let shown = ''
      for (
        let tries = 0;
        tries < 80 && !(shown = (await shows()).join()).replaceAll(' mm', '').startsWith(typed.join());
        tries++
      )
        await sleep(100)
      if (shown.replaceAll(' mm', '') !== typed.join()) stale++
    }
  }
  await browser.close()
  await gimbo.stop()
  return {
    said: `${kills} kills under two tabs: ${lost} times something typed was lost, ${stale} times a tab stayed stale`,
    isGood: lost === 0 && stale === 0,
  }
}
