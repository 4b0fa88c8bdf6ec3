// Presses keys in a length field and measures, in the page, from the key press to the frame that shows the new figures.
import { chromium } from '@playwright/test'

const base = process.argv[2]
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(base)
await page.getByRole('button', { name: 'New …' }).click()
await page.getByRole('button', { name: process.argv[3] ?? 'envelope from a square' }).click()
const width = page.getByLabel('Width of the card')
await width.click()

await page.evaluate(() => {
  const times = []
  window.times = times
  let pressed = 0
  document.addEventListener('keydown', () => (pressed = performance.now()), true)
  new MutationObserver(() => {
    if (pressed === 0) return
    const since = pressed
    pressed = 0
    requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - since)))
  }).observe(document.querySelector('aside'), { subtree: true, characterData: true, childList: true })
})
for (let i = 0; i < 230; i++) {
  const before = await page.evaluate(() => window.times.length)
  await page.keyboard.press(i % 24 < 12 ? 'ArrowUp' : 'ArrowDown')
  await page.waitForFunction((n) => window.times.length > n, before, { timeout: 2000, polling: 5 }).catch(() => undefined)
}
const times = (await page.evaluate(() => window.times)).slice(30).sort((a, b) => a - b)
const at = (share) => times[Math.min(times.length - 1, Math.floor(times.length * share))].toFixed(0)
console.log(`${times.length} key presses: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, longest ${at(1)} ms`)
await browser.close()
