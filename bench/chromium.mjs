// The browser that benches and fault runs drive, and how long it takes from a key press to what is drawn.
import { chromium } from '@playwright/test'

export const launched = () =>
  chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  })

const AT_FIRST = 30

/** Milliseconds from each press of an arrow key to the frame after `selector` changed, but for the first thirty. */
export async function pressTimes(page, selector, observed, presses) {
  await page.evaluate(
    ([what, options]) => {
      window.times = []
      let pressed = 0
      document.addEventListener('keydown', () => (pressed = performance.now()), true)
      new MutationObserver(() => {
        if (pressed === 0) return
        const since = pressed
        pressed = 0
        requestAnimationFrame(() => setTimeout(() => window.times.push(performance.now() - since)))
      }).observe(document.querySelector(what), options)
    },
    [selector, observed],
  )
  for (let i = 0; i < presses; i++) {
    const before = await page.evaluate(() => window.times.length)
    await page.keyboard.press(i % 24 < 12 ? 'ArrowUp' : 'ArrowDown')
    await page
      .waitForFunction((n) => window.times.length > n, before, { timeout: 3000, polling: 5 })
      .catch(() => undefined)
  }
  return (await page.evaluate(() => window.times)).slice(AT_FIRST)
}

export function said(times) {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]?.toFixed(0)
  return `${sorted.length} key presses: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, longest ${at(1)} ms`
}

/** Frames a second that the fold draws while it plays. */
export async function playedFrames(page, seconds) {
  const frames = () => page.evaluate(() => Number(document.querySelector('canvas').dataset.frames))
  await page.getByRole('button', { name: 'Play the fold' }).click()
  const [from, began] = [await frames(), Date.now()]
  await page.waitForTimeout(seconds * 1000)
  return ((await frames()) - from) / ((Date.now() - began) / 1000)
}
