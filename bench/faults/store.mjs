import { execFileSync, spawn } from 'node:child_process'
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { join } from 'node:path'
import { folder, Gimbo, root, sleep } from './gimbo.mjs'

const sum = (file) => createHash('md5').update(readFileSync(file)).digest('hex')
const run = (command, ...args) => execFileSync(command, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })

/** Whether a file can be shut against everybody, the administrator too; it is then. */
function canBeShut(file) {
  try {
    run('chattr', '+i', file)
    return true
  } catch {
    return false
  }
}

/** What can happen to the file everything is kept in: each is said, nothing that was kept is lost, a damaged one is not written to. */
export async function store({ port, torn }) {
  const bad = []
  const good = []
  const check = (name, isGood, seen = '') => (isGood ? good : bad).push(isGood ? name : `${name}: ${seen}`)
  const design = {
    name: 'x',
    spec: { make: 'tray-and-lid', holds: { width: '5 in', height: '4 in', thickness: '6 mm' } },
  }

  // A disk that is full, and one that may only be read: a small one of memory, where one may be mounted.
  const disk = join(folder(), 'disk')
  mkdirSync(disk)
  let isMounted = false
  try {
    run('mount', '-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', disk)
    isMounted = true
  } catch {
    good.push('(no disk may be mounted here: full and read-only ones were left out)')
  }
  if (isMounted) {
    const gimbo = new Gimbo(port, join(disk, 'gimbo.sqlite'))
    try {
      await gimbo.start()
      const id = await gimbo.newDesign()
      rmSync(join(disk, 'gimbo-backups'), { recursive: true, force: true })
      try {
        writeFileSync(join(disk, 'ballast'), Buffer.alloc(4_000_000))
      } catch {
        // Full, as was wanted.
      }
      let full = { status: 201 }
      for (let n = 0; n < 60 && full.status === 201; n++) full = await gimbo.post('/designs', design)
      check(
        'a full disk',
        full.status === 507 && /disk is full/.test(full.body.errors[0].message),
        `${full.status} ${JSON.stringify(full.body).slice(0, 200)}`,
      )
      check('reading goes on', (await gimbo.get(`/designs/${id}`)).status === 200)
      rmSync(join(disk, 'ballast'))
      check('room again', (await gimbo.post('/designs', design)).status === 201)
      if (canBeShut(gimbo.database)) {
        const shut = await gimbo.post('/designs', design)
        check(
          'a file that may only be read',
          shut.status === 503 && /may not be written/.test(shut.body.errors[0].message),
          `${shut.status} ${JSON.stringify(shut.body).slice(0, 200)}`,
        )
        run('chattr', '-i', gimbo.database)
        check('written again', (await gimbo.post('/designs', design)).status === 201)
      }
      await gimbo.stop()
      run('mount', '-o', 'remount,ro', disk)
      const code = await gimbo.start()
      check('a disk that may only be read', code === 1 && /may not be written/.test(gimbo.said), gimbo.said.slice(-200))
      run('mount', '-o', 'remount,rw', disk)
      check('whole after all that', gimbo.isWhole())
    } finally {
      await gimbo.stop()
      run('umount', disk)
    }
  }

  const home = folder()
  const file = join(home, 'gimbo.sqlite')
  const gimbo = new Gimbo(port, file)
  const starts = async (name, wanted) => {
    const before = existsSync(file) ? sum(file) : null
    const code = await gimbo.start()
    check(name, code === 1 && wanted.test(gimbo.said), `${code} ${gimbo.said.slice(-200)}`)
    if (code === null) await gimbo.stop()
    check(`${name}: left as it is`, before === null || sum(file) === before)
  }
  await gimbo.start()
  const id = await gimbo.newDesign()
  check('a second one is told where the first is', await secondSays(gimbo))
  const backup = (await gimbo.post('/backups', {})).body.name
  await gimbo.stop()
  const sound = join(home, 'sound')
  copyFileSync(file, sound)

  truncateSync(file, 20_000)
  await starts('cut short', /damaged/)
  execFileSync('bin/keep', ['restore', backup], {
    cwd: root,
    env: { ...process.env, GIMBO_DATABASE: file },
    stdio: 'ignore',
  })
  copyFileSync(sound, file)
  const bytes = readFileSync(sound)
  bytes.fill(0x5a, 8192, 40_000)
  writeFileSync(file, bytes)
  await starts('damaged inside', /damaged/)
  writeFileSync(file, 'terns '.repeat(9000))
  await starts('something else', /damaged/)
  copyFileSync(sound, file)
  run(
    'php',
    '-r',
    '(new PDO("sqlite:$argv[1]"))->exec("INSERT INTO migrations (migration, batch) VALUES (\'2099_01_01_000001_sets\', 9)");',
    file,
  )
  await starts('a newer Gimbo’s', /newer Gimbo/)
  rmSync(file)

  // Cut off while it is set up, again and again, at another moment each time: it starts in the end.
  for (let n = 0; n < torn; n++) {
    const setUp = spawn('php', ['artisan', 'gimbo:open'], {
      cwd: root,
      env: { ...process.env, GIMBO_DATABASE: file },
      stdio: 'ignore',
    })
    const ended = new Promise((done) => setUp.on('exit', done))
    await sleep(60 + n * (500 / torn))
    setUp.kill('SIGKILL')
    await ended
  }
  const code = await gimbo.start()
  check(`${torn} set-ups cut off`, code === null && gimbo.isWhole(), gimbo.said)

  // Damaged while it runs.
  await gimbo.post('/designs', design)
  run('php', '-r', '$p = new PDO("sqlite:$argv[1]"); $p->exec("PRAGMA wal_checkpoint(TRUNCATE)");', file)
  const size = readFileSync(file).length
  truncateSync(file, size - 8192)
  const before = sum(file)
  const answer = await gimbo.post('/designs', design)
  check(
    'damaged while it runs',
    answer.status === 503 && /damaged/.test(answer.body.errors[0].message),
    JSON.stringify(answer.body).slice(0, 200),
  )
  check('damaged while it runs: not written to', sum(file) === before)
  await gimbo.stop()

  // Put back, and copied as it runs.
  copyFileSync(sound, file)
  await gimbo.start()
  for (let n = 0; n < 40; n++) await gimbo.post('/designs', design)
  copyFileSync(file, join(home, 'copied'))
  const copied = run(
    'php',
    '-r',
    'echo (new SQLite3($argv[1]))->querySingle("SELECT count(*) FROM designs WHERE name = \'x\'");',
    join(home, 'copied'),
  )
  check('a plain copy of the file has all that was kept', copied === '40', copied)
  const restored = await gimbo.post(`/backups/${backup}/restore`, {})
  check(
    'put back',
    restored.status === 200 && (await gimbo.get(`/designs/${id}`)).status === 200,
    JSON.stringify(restored.body).slice(0, 200),
  )
  await gimbo.stop()
  rmSync(home, { recursive: true, force: true })
  return {
    said: `${good.length} of ${good.length + bad.length} as promised${bad.length ? `\n    ${bad.join('\n    ')}` : ''}`,
    isGood: bad.length === 0,
  }

  async function secondSays(first) {
    const second = new Gimbo(port + 1, first.database)
    const code = await second.start()
    return code === 1 && second.said.includes(first.url)
  }
}
