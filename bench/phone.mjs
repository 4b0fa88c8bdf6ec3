// A phone's processor (Chromium's throttling to a quarter) at 390 × 844, against a quick one at 1280 × 800 in the same run: the
// first load, from a key press to the redrawn sheet, and the frames of the fold.
import { chromium } from '@playwright/test'

const base = process.argv[2]
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
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
  await page.evaluate(() => {
    window.times = []
    let pressed = 0
    document.addEventListener('keydown', () => (pressed = performance.now()), true)
    new MutationObserver(() => {
      if (pressed === 0) return
      const since = pressed
      pressed = 0
      requestAnimationFrame(() => setTimeout(() => window.times.push(performance.now() - since)))
    }).observe(document.querySelector('svg[role=img]'), { subtree: true, attributes: true, childList: true })
  })
  for (let i = 0; i < 120; i++) {
    const before = await page.evaluate(() => window.times.length)
    await page.keyboard.press(i % 24 < 12 ? 'ArrowUp' : 'ArrowDown')
    await page.waitForFunction((n) => window.times.length > n, before, { timeout: 3000, polling: 5 }).catch(() => undefined)
  }
  const times = (await page.evaluate(() => window.times)).slice(20).sort((a, b) => a - b)

  await page.goto(`${base}/designs/${id}?view=fold`)
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.frames) > 0)
  await page.getByRole('button', { name: 'Play the fold' }).click()
  const frames = () => page.evaluate(() => Number(document.querySelector('canvas').dataset.frames))
  const [from, at] = [await frames(), Date.now()]
  await page.waitForTimeout(SECONDS * 1000)
  const fold = ((await frames()) - from) / ((Date.now() - at) / 1000)

  const share = (of) => times[Math.min(times.length - 1, Math.floor(times.length * of))]?.toFixed(0)
  console.log(
    `${name.padEnd(24)} first load ${loaded} ms; ${times.length} key presses: median ${share(0.5)} ms, 95th percentile ${share(0.95)} ms; the fold ${fold.toFixed(1)} frames a second`,
  )
  await context.close()
}
await browser.close()
