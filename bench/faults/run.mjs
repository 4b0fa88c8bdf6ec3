// Does each fault to a running Gimbo from outside, and says what became of it: node run.mjs [--short] [PART…]. Exits 1 where
// something is not as promised. The long run is `make faults`; the short one is part of the tests.
import { cutter } from './cutter.mjs'
import { load, writers } from './crowd.mjs'
import { drawings, requests } from './hostile.mjs'
import { kills } from './kills.mjs'
import { store } from './store.mjs'
import { tabs } from './tabs.mjs'

const isShort = process.argv.includes('--short')
const only = process.argv.slice(2).filter((argument) => !argument.startsWith('--'))
const seed = Number(process.env.SEED ?? 20261127)
const parts = {
  kills: () =>
    kills(isShort ? { workers: 24, starts: 2, seed, port: 8481 } : { workers: 800, starts: 100, seed, port: 8481 }),
  tabs: () => tabs({ kills: isShort ? 2 : 20, seed, port: 8482 }),
  writers: () => writers({ writers: 20, edits: isShort ? 8 : 100, port: 8483 }),
  requests: () => requests({ count: isShort ? 600 : 20_000, seed, port: 8484 }),
  drawings: () => drawings({ count: isShort ? 25 : 200, seed, port: 8485 }),
  store: () => store({ port: 8486, torn: isShort ? 3 : 20 }),
  cutter: () => cutter({ faults: isShort ? 3 : 50, seed, port: 8488 }),
  load: () => load({ clients: 8, seconds: isShort ? 5 : 60, seed, port: 8489 }),
}
let failed = 0
// Waiting for what hurts is no reason to end.
setInterval(() => undefined, 1000)
for (const [name, part] of Object.entries(parts)) {
  if (only.length > 0 && !only.includes(name)) continue
  const begun = performance.now()
  const { said, isGood } = await part().catch((error) => ({ said: String(error.stack ?? error), isGood: false }))
  if (!isGood) failed++
  console.log(
    `${isGood ? 'ok      ' : 'NOT OK  '}${name} (${((performance.now() - begun) / 1000).toFixed(0)} s): ${said}`,
  )
}
console.log(`${Object.keys(parts).length - failed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
