// One tab of a browser without its window: the draft book as it ships, with a storage that outlives it. It nudges a design
// again and again, notes each nudge it made, and says when all of them were answered.
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync, appendFileSync } from 'node:fs'
import { join } from 'node:path'
import { parentPort, workerData } from 'node:worker_threads'

const { url, design, folder, drains, pace } = workerData
const kept = join(folder, 'storage')
mkdirSync(kept, { recursive: true })
const fileOf = (key) => join(kept, encodeURIComponent(key))
const keys = () => readdirSync(kept).map(decodeURIComponent)
globalThis.localStorage = {
  getItem(key) {
    try {
      return readFileSync(fileOf(key), 'utf8')
    } catch {
      return null
    }
  },
  setItem: (key, value) => writeFileSync(fileOf(key), value),
  removeItem: (key) => rmSync(fileOf(key), { force: true }),
  key: (i) => keys()[i] ?? null,
  get length() {
    return keys().length
  },
}
globalThis.document = { visibilityState: 'visible', addEventListener() {}, removeEventListener() {} }
globalThis.window = globalThis
const fetchIt = globalThis.fetch
globalThis.fetch = (path, init) => fetchIt(`${url}${path}`, init)

globalThis.navigator ??= {}
// Once all of that is there: it looks around as it begins.
const { openDraftBook } = await import('@/features/table/draftBook')
const book = openDraftBook(design)
await book.load()
if (drains) {
  while (book.use.getState().pending.length > 0) await new Promise((done) => setTimeout(done, 20))
  parentPort.postMessage({ isDrained: true, setAside: book.use.getState().setAside.length })
} else {
  for (let n = 0; ; n++) {
    await new Promise((done) => setTimeout(done, pace))
    if (book.use.getState().pending.length > 20) continue
    book.nudge('/holds/width', 1, `${Date.now()} ${n}`)
    // In one turn with what the book keeps of it: a tab that is killed has both or neither but for the last.
    appendFileSync(join(folder, 'made'), '.')
  }
}
