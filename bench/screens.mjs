// Measures in the page, in one run: from a key press to the redrawn and to the refolded picture, frames of the fold against an
// empty scene, and a shelf of a thousand designs opened and searched.
import { launched, playedFrames, pressTimes, said } from './chromium.mjs'

const base = process.argv[2]
const browser = await launched()
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

/** From the key press to the frame after `watched` changed. */
async function keyPresses(id, isFold) {
  await page.goto(`${base}/designs/${id}${isFold ? '?view=fold' : ''}`)
  if (isFold) await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.frames) > 0)
  await page.getByLabel('Width of the card').click()
  return isFold
    ? pressTimes(page, 'canvas', { attributes: true, attributeFilter: ['data-frames'] }, 230)
    : pressTimes(page, 'aside', { subtree: true, characterData: true, childList: true }, 230)
}

console.log(`envelope, redrawn:            ${said(await keyPresses(envelope, false))}`)
console.log(`heaviest make, redrawn:       ${said(await keyPresses(heaviest, false))}`)
console.log(`heaviest make, refolded:      ${said(await keyPresses(heaviest, true))}`)

/** Frames a second while the heaviest make plays, and of an empty scene of the same size in the same page. */
const SECONDS = 4
await page.getByRole('button', { name: 'Flat', exact: true }).click()
const fold = await playedFrames(page, SECONDS)
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
