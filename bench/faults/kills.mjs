import { mkdirSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { build } from 'vite'
import { folder, Gimbo, root, seeded, sleep } from './gimbo.mjs'

const CLIENTS = 4
const STEP_MM = 1

async function bundled() {
  const out = mkdtempSync(join(tmpdir(), 'gimbo-tab-'))
  await build({
    root,
    configFile: false,
    logLevel: 'error',
    resolve: { alias: { '@': join(root, 'resources/js') } },
    build: { outDir: out, emptyOutDir: false, minify: false, ssr: join(root, 'bench/faults/tab.js') },
    ssr: { noExternal: true },
  })
  return join(out, 'tab.js')
}

/** Workers and whole Gimbos killed while tabs nudge their designs: what each made must be there, once. */
export async function kills({ workers, starts, seed, port }) {
  const random = seeded(seed)
  const home = folder()
  const gimbo = new Gimbo(port, join(home, 'gimbo.sqlite'))
  const file = await bundled()
  await gimbo.start()
  const clients = []
  for (let i = 0; i < CLIENTS; i++) {
    const own = join(home, `tab-${i}`)
    mkdirSync(own)
    clients.push({ own, design: await gimbo.newDesign(), tab: null })
  }
  const openTab = (client, drains = false) =>
    new Worker(file, { workerData: { url: gimbo.url, design: client.design, folder: client.own, drains, pace: 60 } })
  for (const client of clients) client.tab = openTab(client)
  let torn = 0
  let tabs = 0
  const whole = []
  const every = Math.max(1, Math.floor(workers / Math.max(1, starts)))
  for (let n = 1; n <= workers; n++) {
    await sleep(30 + random.below(300))
    const victims = gimbo.processes(/php-fpm: pool/)
    if (victims.length > 0) gimbo.signal(random.one(victims).pid)
    if (n % 25 === 0) {
      // A tab, too, may be closed at any moment and opened again.
      const client = random.one(clients)
      await client.tab.terminate()
      client.tab = openTab(client)
      tabs++
    }
    if (n % every === 0 && whole.length < starts) {
      await sleep(random.below(400))
      gimbo.killAll()
      await gimbo.ended
      if (!gimbo.isWhole()) torn++
      const begun = performance.now()
      const code = await gimbo.start()
      if (code !== null) throw new Error(`it did not start again: ${gimbo.said}`)
      whole.push(performance.now() - begun)
    }
  }
  let [made, lost, doubled, setAside] = [0, 0, 0, 0]
  for (const client of clients) {
    await client.tab.terminate()
    const drained = await new Promise((done, fail) => {
      const tab = openTab(client, true)
      tab.on('message', done)
      tab.on('error', fail)
      setTimeout(() => fail(new Error('it does not get through')), 120_000)
    })
    setAside += drained.setAside
    const count = readFileSync(join(client.own, 'made'), 'utf8').length
    const { body } = await gimbo.get(`/designs/${client.design}`)
    const steps = (parseFloat(body.fields['/holds/width'].text) - 100) / STEP_MM
    made += count
    // A tab that was killed between keeping an edit and noting it has one that was not noted: that is no doubled one.
    lost += Math.max(0, count - steps)
    doubled += Math.max(0, steps - count - tabs)
  }
  if (!gimbo.isWhole()) torn++
  await gimbo.stop()
  const left = gimbo.processes(/nginx|php/).length
  return {
    said: `${workers} workers killed, ${whole.length} whole Gimbos, ${tabs} tabs; ${made} edits made: ${lost} lost, ${doubled} doubled, ${setAside} set aside; ${torn} databases torn; ${left} processes left`,
    isGood: lost === 0 && doubled === 0 && torn === 0 && left === 0 && made > 0 && setAside === 0,
  }
}
