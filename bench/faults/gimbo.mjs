import { spawn, execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export const root = new URL('../..', import.meta.url).pathname

/** Numbers that look random and are the same each time. */
export function seeded(seed) {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  return { next, below: (n) => Math.floor(next() * n), one: (list) => list[Math.floor(next() * list.length)] }
}

export const sleep = (ms) => new Promise((done) => setTimeout(done, ms))

export const folder = () => mkdtempSync(join(tmpdir(), 'gimbo-faults-'))

/** The p-th part of some numbers, such as 0.95. */
export const share = (numbers, p) =>
  [...numbers].sort((a, b) => a - b)[Math.min(numbers.length - 1, Math.floor(numbers.length * p))] ?? 0

/** A Gimbo of its own, begun by bin/start and hurt from outside. */
export class Gimbo {
  constructor(port, database, env = {}) {
    Object.assign(this, { port, database, env, url: `http://127.0.0.1:${port}` })
  }

  async start() {
    this.said = ''
    this.process = spawn('bin/start', {
      cwd: root,
      detached: true,
      env: { ...process.env, ...this.env, GIMBO_PORT: String(this.port), GIMBO_DATABASE: this.database },
    })
    this.ended = new Promise((done) => this.process.on('exit', (code) => done(code)))
    for (const stream of [this.process.stdout, this.process.stderr]) stream.on('data', (text) => (this.said += text))
    let code = null
    void this.ended.then((it) => (code = it))
    for (let tries = 0; tries < 600; tries++) {
      if (code !== null) return code
      if (await this.isUp()) return null
      await sleep(50)
    }
    throw new Error(`it did not start: ${this.said}`)
  }

  isUp() {
    return fetch(`${this.url}/api/ping`, { signal: AbortSignal.timeout(1000) }).then(
      (answer) => answer.ok,
      () => false,
    )
  }

  /** The processes of its session, by what their command line has in it. */
  processes(what = /nginx|php|bash/) {
    const found = []
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
      try {
        const session = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ')[3]
        const line = readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
        if (Number(session) === this.process.pid && what.test(line)) found.push({ pid: Number(pid), line })
      } catch {
        // It ended meanwhile.
      }
    }
    return found
  }

  signal(pid, name = 'SIGKILL') {
    try {
      process.kill(pid, name)
    } catch {
      // It ended meanwhile.
    }
  }

  /** Everything at once, without a word. */
  killAll() {
    for (const { pid } of this.processes()) this.signal(pid)
  }

  async stop() {
    this.signal(this.process.pid, 'SIGTERM')
    await Promise.race([this.ended, sleep(15_000)])
  }

  /** Whether SQLite finds the database whole. */
  isWhole() {
    const script = 'echo (new SQLite3($argv[1]))->querySingle("PRAGMA integrity_check");'
    return execFileSync('php', ['-r', script, this.database], { encoding: 'utf8' }) === 'ok'
  }

  async post(path, body, headers = {}) {
    const begun = performance.now()
    const answer = await fetch(`${this.url}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...headers },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(30_000),
    })
    return { status: answer.status, body: await answer.json().catch(() => null), ms: performance.now() - begun }
  }

  async get(path) {
    const answer = await fetch(`${this.url}/api${path}`, { signal: AbortSignal.timeout(30_000) })
    return { status: answer.status, body: await answer.json().catch(() => null) }
  }

  async newDesign(spec = {}) {
    const { body } = await this.post('/designs', {
      name: 'Tern tag',
      spec: { make: 'diagonal-envelope', holds: { width: '100 mm', height: '80 mm' }, system: 'metric', ...spec },
    })
    return body.id
  }
}
