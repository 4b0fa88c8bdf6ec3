import { spawn } from 'node:child_process'
import { createInterface } from 'node:readline'
import { join } from 'node:path'
import { folder, Gimbo, root, seeded, sleep } from './gimbo.mjs'

const MOST_TWICE_MM = 600

/** A machine that is at work on a job, and something that happens to it: the blade is up at the end, and nothing is cut twice by itself. */
export async function cutter({ faults, seed, port }) {
  const random = seeded(seed)
  const machine = port + 50
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'), { GIMBO_CUTTER_PORT: String(machine) })
  await gimbo.start()
  const design = await gimbo.newDesign({ make: 'folded-card' })
  const kinds = [
    'stop',
    'taken away',
    'paused',
    'sender killed',
    'gimbo killed',
    'gimbo ended',
    'pressed twice',
    'machine gone',
  ]
  const counts = {}
  const bad = []
  let [down, twice, resent] = [0, 0, 0]
  for (let n = 0; n < faults; n++) {
    const what = kinds[n % kinds.length]
    const stand = spawn('bin/cutter', [`--port=${machine}`, '--mode=slow', '--sheet=keep'], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    const reports = []
    const lines = createInterface({ input: stand.stdout })
    await new Promise((done) => lines.once('line', done))
    lines.on('line', (line) => reports.push(JSON.parse(line)))
    const order = () => gimbo.post(`/designs/${design}/cutting`, {}, { 'Idempotency-Key': crypto.randomUUID() })
    const job = (await order()).body.jobs[0].id
    const state = async () => (await gimbo.get('/cutting')).body.jobs.find(({ id }) => id === job)
    for (let tries = 0; tries < 100 && (await state())?.state === 'waiting'; tries++) await sleep(50)
    await sleep(random.below(1800))
    const wish = (one) => gimbo.post(`/cutting/${job}/wish`, { wish: one })
    const over = async () => {
      for (let tries = 0; tries < 300; tries++) {
        const now = await state()
        if (!now || ['done', 'stopped', 'failed'].includes(now.state)) return now
        await sleep(100)
      }
      bad.push(`${what}: it does not end`)
      return null
    }
    let goesOn = false
    if (what === 'stop') {
      await wish('stop')
      goesOn = (await over())?.canGoOn ?? false
    } else if (what === 'taken away') {
      await fetch(`${gimbo.url}/api/cutting/${job}`, { method: 'DELETE' })
    } else if (what === 'paused') {
      await wish('pause')
      await sleep(400 + random.below(800))
      await wish('go-on')
      await over()
    } else if (what === 'sender killed') {
      for (const { pid } of gimbo.processes(/gimbo:keep --send/)) gimbo.signal(pid)
    } else if (what === 'gimbo killed') {
      gimbo.killAll()
      await gimbo.ended
      await gimbo.start()
    } else if (what === 'gimbo ended') {
      await gimbo.stop()
      await gimbo.start()
    } else if (what === 'pressed twice') {
      const key = { 'Idempotency-Key': crypto.randomUUID() }
      await over()
      const both = await Promise.all([1, 2].map(() => gimbo.post(`/designs/${design}/cutting`, {}, key)))
      if (new Set(both.map(({ body }) => body.jobs[0].id)).size !== 1) bad.push('pressed twice: two jobs')
      await gimbo.post(`/cutting/${both[0].body.jobs[0].id}/wish`, { wish: 'stop' })
    } else {
      stand.kill('SIGKILL')
      const now = await over()
      if (now && now.state !== 'failed' && now.state !== 'done') bad.push(`machine gone: ${now.state}`)
    }
    // The machine works through what it has; nobody may send it more.
    await sleep(2500)
    const last = reports.at(-1)
    if (what !== 'machine gone') {
      counts[what] = (counts[what] ?? 0) + 1
      if (last?.down) (down++, bad.push(`${what}: the blade stayed down`))
      if (last && what !== 'pressed twice' && last.twice > 0.5)
        (twice++, bad.push(`${what}: ${last.twice} mm cut twice`))
      if (what !== 'pressed twice' && reports.length > 1 && what !== 'stop')
        (resent++, bad.push(`${what}: sent ${reports.length} times`))
    }
    if (goesOn) {
      await gimbo.post(`/cutting/${job}/go-on`, {})
      const end = await over()
      for (let tries = 0; tries < 40 && reports.length < 2; tries++) await sleep(100)
      if (end?.state !== 'done' || !reports.at(-1)?.finished) bad.push(`gone on with: ${end?.state}`)
      if ((reports.at(-1)?.twice ?? 0) > MOST_TWICE_MM) bad.push(`gone on with: ${reports.at(-1).twice} mm cut twice`)
    }
    stand.kill('SIGKILL')
    for (const { id } of (await gimbo.get('/cutting')).body.jobs)
      await fetch(`${gimbo.url}/api/cutting/${id}`, { method: 'DELETE' })
    await sleep(300)
  }
  await gimbo.stop()
  return {
    said: `${faults} faults (seed ${seed}): blade left down ${down}, cut twice by itself ${twice}, sent again by itself ${resent}${bad.length ? `\n    ${bad.join('\n    ')}` : ''}`,
    isGood: bad.length === 0,
  }
}
