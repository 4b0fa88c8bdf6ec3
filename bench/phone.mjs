// A phone's processor (Chromium's throttling to a quarter) at 390 × 844, against a quick one at 1280 × 800 in the same run: the
// first load, from a key press to the redrawn sheet, and the frames of the fold.
import { launched, playedFrames, pressTimes, said } from './chromium.mjs'

const base = process.argv[2]
const browser = await launched()
const SCREENS = [
  { name: '390, a quarter as fast', viewport: { width: 390, height: 844 }, slower: 4, hasTouch: true },
  { name: '1280, full speed', viewport: { width: 1280, height: 800 }, slower: 1, hasTouch: false },
]
const SECONDS = 4

for (const { name, viewport, slower, hasTouch } of SCREENS) {
  const context = await browser.newContext({ viewport, hasTouch })
  const page = await context.newPage()
  const answer = await page.request.post(`${base}/api/designs`, {
    data: {
      name: 'Bench phone',
      spec: {
        make: 'tray-and-lid',
        holds: { width: '5 1/2 in', height: '4 1/4 in', thickness: '4 mm', count: 1 },
        options: { trayWall: 'doubled', lidWall: 'doubled' },
      },
    },
  })
  const { id } = await answer.json()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower })

  const began = Date.now()
  await page.goto(`${base}/designs/${id}`)
  await page.waitForFunction(() => document.querySelector('svg[role=img] [data-edge]') !== null, null, { polling: 20 })
  const loaded = Date.now() - began

  await page.getByLabel('Width of the card').focus()
  const times = await pressTimes(page, 'svg[role=img]', { subtree: true, attributes: true, childList: true }, 130)

  await page.goto(`${base}/designs/${id}?view=fold`)
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.frames) > 0)
  const fold = await playedFrames(page, SECONDS)
  console.log(`${name.padEnd(24)} first load ${loaded} ms; ${said(times)}; the fold ${fold.toFixed(1)} frames a second`)
  await context.close()
}
await browser.close()
