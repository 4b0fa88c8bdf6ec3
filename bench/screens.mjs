// Measures in the page, in one run: from a key press to the redrawn and to the refolded picture, frames of the fold against an
// empty scene, and a shelf of a thousand designs opened and searched.
import { chromium } from '@playwright/test'

const base = process.argv[2]
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })

const start = async (make, holds, options) => {
  const answer = await page.request.post(`${base}/api/designs`, {
    data: { name: `Bench ${make}`, spec: { make, holds, options } },
  })
  return (await answer.json()).id
}
const card = { width: '5 1/2 in', height: '4 1/4 in', thickness: '4 mm', count: 1 }
const heaviest = await start('tray-and-lid', card, { trayWall: 'doubled', lidWall: 'doubled' })
const envelope = await start('diagonal-envelope', card, {})

const said = (times) => {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))].toFixed(0)
  return `${sorted.length} key presses: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, longest ${at(1)} ms`
}

/** From the key press to the frame after `watched` changed. */
async function keyPresses(id, isFold) {
  await page.goto(`${base}/designs/${id}${isFold ? '?view=fold' : ''}`)
  if (isFold) await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.frames) > 0)
  await page.getByLabel('Width of the card').click()
  await page.evaluate((fold) => {
    window.times = []
    let pressed = 0
    document.addEventListener('keydown', () => (pressed = performance.now()), true)
    new MutationObserver(() => {
      if (pressed === 0) return
      const since = pressed
      pressed = 0
      requestAnimationFrame(() => setTimeout(() => window.times.push(performance.now() - since)))
    }).observe(document.querySelector(fold ? 'canvas' : 'aside'), {
      subtree: true,
      characterData: !fold,
      childList: !fold,
      ...(fold ? { attributes: true, attributeFilter: ['data-frames'] } : {}),
    })
  }, isFold)
  for (let i = 0; i < 230; i++) {
    const before = await page.evaluate(() => window.times.length)
    await page.keyboard.press(i % 24 < 12 ? 'ArrowUp' : 'ArrowDown')
    await page
      .waitForFunction((n) => window.times.length > n, before, { timeout: 2000, polling: 5 })
      .catch(() => undefined)
  }
  return (await page.evaluate(() => window.times)).slice(30)
}

console.log(`envelope, redrawn:            ${said(await keyPresses(envelope, false))}`)
console.log(`heaviest make, redrawn:       ${said(await keyPresses(heaviest, false))}`)
console.log(`heaviest make, refolded:      ${said(await keyPresses(heaviest, true))}`)

/** Frames a second while the heaviest make plays, and of an empty scene of the same size in the same page. */
const SECONDS = 4
await page.getByRole('button', { name: 'Flat', exact: true }).click()
await page.getByRole('button', { name: 'Play the fold' }).click()
const frames = () => page.evaluate(() => Number(document.querySelector('canvas').dataset.frames))
const [from, began] = [await frames(), Date.now()]
await page.waitForTimeout(SECONDS * 1000)
const fold = ((await frames()) - from) / ((Date.now() - began) / 1000)
await page.getByRole('button', { name: 'Hold the fold' }).click()
const empty = await page.evaluate(async (seconds) => {
  const shown = document.querySelector('canvas')
  const canvas = Object.assign(document.createElement('canvas'), { width: shown.width, height: shown.height })
  shown.parentElement.append(canvas)
  canvas.style.cssText = 'position:absolute;inset:0;width:100%;height:100%'
  const gl = canvas.getContext('webgl2', { antialias: true })
  let count = 0
  const until = performance.now() + seconds * 1000
  await new Promise((done) => {
    const step = () => {
      gl.clearColor(Math.random(), 0, 0, 1)
      gl.clear(gl.COLOR_BUFFER_BIT)
      count++
      if (performance.now() < until) requestAnimationFrame(step)
      else done()
    }
    requestAnimationFrame(step)
  })
  canvas.remove()
  return count / seconds
}, SECONDS)
console.log(
  `frames a second: fold ${fold.toFixed(1)}, empty scene ${empty.toFixed(1)}: ${(fold / empty).toFixed(2)} of it`,
)

const MANY = 1000
for (let i = 0; i < MANY; i++)
  await page.request.post(`${base}/api/designs/${i % 2 ? envelope : heaviest}/copy`, {
    data: { name: `Tern count ${String(i).padStart(4, '0')}` },
  })
const opened = []
for (let i = 0; i < 5; i++) {
  const since = Date.now()
  await page.goto(base)
  await page.getByRole('link', { name: 'Tern count 0999' }).waitFor()
  opened.push(Date.now() - since)
}
const searched = []
for (let i = 0; i < 10; i++) {
  await page.getByRole('searchbox').fill('')
  searched.push(
    await page.evaluate(
      async (asked) => {
        const field = document.querySelector('input[type=search]')
        const since = performance.now()
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, asked)
        field.dispatchEvent(new Event('input', { bubbles: true }))
        while (document.querySelectorAll('main li').length !== 1) await new Promise(requestAnimationFrame)
        return performance.now() - since
      },
      `0${100 + i * 37}`,
    ),
  )
}
const median = (some) => [...some].sort((a, b) => a - b)[Math.floor(some.length / 2)].toFixed(0)
console.log(
  `shelf with ${MANY + 2} designs: opened in ${median(opened)} ms (median of 5), searched in ${median(searched)} ms (median of 10)`,
)
await browser.close()
