// From a key press to the redrawn sheet with one piece, with two, and with twenty things laid on them, in one run; and the fold's frames.
import { launched, playedFrames, pressTimes, said } from './chromium.mjs'

const base = process.argv[2]
const browser = await launched()
const TRAY = {
  make: 'tray-and-lid',
  holds: { width: '5 1/2 in', height: '4 1/4 in', thickness: '1 in', count: 1 },
}
const panels = ['base', 'left-wall', 'right-wall', 'top-wall', 'bottom-wall'].flatMap((face) => [
  `lid/${face}`,
  `tray/${face}`,
])
const CASES = [
  ['one piece', { make: 'folded-card', holds: { width: '5 1/2 in', height: '4 1/4 in' } }],
  ['a tray and its lid', TRAY],
  [
    'with twenty pieces on them',
    {
      ...TRAY,
      with: panels
        .slice(0, 9)
        .flatMap((on, i) => [
          { id: `a${i}`, role: 'mat', on, border: '1/8 in' },
          { id: `b${i}`, role: 'mat', on: `a${i}`, border: '1/16 in' },
        ])
        .concat([{ id: 'w', role: 'window', on: 'lid/base', shape: { circle: '2 in' }, backing: {} }]),
    },
  ],
]

let first = 0
for (const [name, spec] of CASES) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const answer = await page.request.post(`${base}/api/designs`, { data: { name: 'Bench dressed', spec } })
  const { id, design } = await answer.json()
  await page.goto(`${base}/designs/${id}`)
  await page.waitForFunction(() => document.querySelector('svg[role=img] [data-edge]') !== null, null, { polling: 20 })
  await page.getByLabel('Width of the card').focus()
  const times = await pressTimes(page, 'svg[role=img]', { subtree: true, attributes: true, childList: true }, 130)
  const at95 = [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)]
  first ||= at95
  await page.goto(`${base}/designs/${id}?view=fold`)
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.frames) > 0)
  const fold = await playedFrames(page, 3)
  console.log(
    `${name.padEnd(28)} ${String(design.pieces.length).padStart(2)} pieces; ${said(times)}, ${(at95 / first).toFixed(2)} of one piece's; the fold ${fold.toFixed(1)} frames a second`,
  )
  await page.close()
}
await browser.close()
