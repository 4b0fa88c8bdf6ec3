import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { folder, Gimbo, root, seeded } from './gimbo.mjs'

const WORDS = [
  '',
  'x',
  '0',
  '-1',
  '1e300',
  '0.000003 mm',
  '9223372036854775807',
  '%00',
  '..',
  '../../etc/passwd',
  "'; DROP TABLE designs; --",
  '<script>',
  '=1+1',
  '燕鸥',
  '\u0000',
  'a'.repeat(3000),
  '5 1/2 in',
  '3 parsecs',
  '1/0',
  'NaN',
]
const odd = (random, depth = 0) => {
  switch (random.below(depth > 3 ? 5 : 8)) {
    case 0:
      return random.one(WORDS)
    case 1:
      return random.one([0, -1, 1, 1e300, -1e300, 2 ** 63, 2 ** 31, 0.000003, 1.5])
    case 2:
      return null
    case 3:
      return random.one([true, false])
    case 4:
      return random.one(['tray-and-lid', 'metric', 'imperial', 'envelope', '/holds/width', 'pause'])
    case 5:
      return Array.from({ length: random.below(4) }, () => odd(random, depth + 1))
    default:
      return Object.fromEntries(
        Array.from({ length: random.below(5) }, () => [
          random.one([
            'make',
            'holds',
            'spec',
            'name',
            'id',
            'changes',
            'revision',
            'to',
            'at',
            'width',
            'height',
            'options',
            'paper',
            'tools',
            'csv',
            'file',
            'stack',
            'sheets',
            'cutter',
            'pieces',
            'wish',
            'measure',
            'piece',
          ]),
          odd(random, depth + 1),
        ]),
      )
  }
}
const GOOD = {
  '/designs': {
    name: 'x',
    spec: { make: 'tray-and-lid', holds: { width: '5 in', height: '4 in', thickness: '6 mm' } },
  },
  '/size': { spec: { make: 'note-wallet', holds: { width: '5 in', height: '4 in', thickness: '6 mm' } } },
  '/starts': { holds: { width: '6', height: '4', thickness: '1/4' } },
  '/trials/notch': { side: '8', mark: '3', long: '5 1/2', short: '4' },
  '/trials/caliper': { stack: '3', sheets: 10 },
  '/designs/{design}/missed': { piece: 'envelope', measure: 2, at: '3 1/2 in' },
  '/designs/{design}/edits': {
    id: '0190b8a0-0000-7000-8000-000000000001',
    changes: [{ at: '/holds/width', to: '5 in' }],
  },
}

/** A good body with one thing in it made odd. */
function spoiled(random, body) {
  const copy = structuredClone(body)
  let at = copy
  for (;;) {
    const keys = Object.keys(at)
    if (keys.length === 0) return copy
    const key = random.one(keys)
    if (at[key] !== null && typeof at[key] === 'object' && random.below(3) > 0) at = at[key]
    else {
      at[key] = odd(random)
      return copy
    }
  }
}

/** Requests of every kind to every address, most of them bad: an answer to each, soon, and nothing said of where Gimbo lies. */
export async function requests({ count, seed, port }) {
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'))
  await gimbo.start()
  const paths = JSON.parse(readFileSync(join(root, 'api/openapi.json'), 'utf8')).paths
  const files = [
    '/designs/{design}/design.json',
    '/designs/{design}/{piece}.svg',
    '/designs/{design}/{piece}.fold',
    '/designs/{design}/{piece}.dxf',
    '/designs/{design}/steps/{number}.svg',
    '/designs/{design}/recipe.txt',
    '/designs/{design}/steps.html',
    '/designs/{design}/ticks',
    '/usual',
    '/designs/{design}/cutting-list.csv',
    '/library/sizes.csv',
    '/everything.jsonl',
    '/designs/{design}/handout.pdf',
    '/designs/{design}/everything.zip',
  ]
  const all = [
    ...Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => [method.toUpperCase(), path]),
    ),
    ...files.map((path) => ['GET', path]),
  ]
  // Restoring would take away what the others ask for.
  const routes = all.filter(([, path]) => !path.includes('restore'))
  const random = seeded(seed)
  const designs = [await gimbo.newDesign(), await gimbo.newDesign({ make: 'tray-and-lid' })]
  const faults = []
  let [slow, leaked, done] = [0, 0, 0]
  const one = async () => {
    const [method, path] = random.one(routes)
    const address = path
      .replaceAll('{design}', () =>
        random.below(3) > 0
          ? random.one(designs)
          : encodeURIComponent(random.one(WORDS).slice(0, 2000)).replaceAll('%2500', '%00'),
      )
      .replaceAll('{kind}', () => random.one(['sizes', 'tools', 'papers', 'cutters', 'x']))
      .replaceAll(/\{\w+\}/g, () => encodeURIComponent(random.one(WORDS).slice(0, 200)))
    const asked =
      random.below(4) === 0
        ? `${address}?${new URLSearchParams({ paper: random.one(WORDS).slice(0, 99), order: 'x', hand: 'left', since: random.one(WORDS).slice(0, 99) })}`
        : address
    const bodies = [
      () => JSON.stringify(odd(random)),
      () => JSON.stringify(spoiled(random, GOOD[path] ?? GOOD['/designs'])),
      () => JSON.stringify(GOOD[path] ?? {}),
      () => '{"x":',
      () => '['.repeat(500),
      () => random.one(WORDS),
    ]
    const headers = { 'Content-Type': random.below(12) === 0 ? 'text/plain' : 'application/json' }
    if (random.below(8) === 0) headers['Idempotency-Key'] = random.one(['x', '0190b8a0-0000-7000-8000-000000000009'])
    if (random.below(40) === 0) headers.Origin = 'https://terns.example'
    const begun = performance.now()
    try {
      const answer = await fetch(`${gimbo.url}/api${asked}`, {
        method,
        headers,
        ...(method === 'GET' ? {} : { body: random.one(bodies)() }),
        signal: AbortSignal.timeout(20_000),
      })
      const text = await answer.text()
      const ms = performance.now() - begun
      if (answer.status >= 500) faults.push(`${answer.status} ${method} ${asked.slice(0, 120)}`)
      if (ms > 1000 && !/pdf|zip|jsonl/.test(answer.headers.get('Content-Type') ?? ''))
        (slow++, faults.push(`${ms.toFixed(0)} ms ${method} ${asked.slice(0, 120)}`))
      if (text.includes(root) || /vendor\/laravel|Stack trace/.test(text))
        (leaked++, faults.push(`leak ${method} ${asked.slice(0, 120)}`))
    } catch (error) {
      faults.push(`${error} ${method} ${asked.slice(0, 120)}`)
    }
    done++
  }
  await Promise.all(
    Array.from({ length: 4 }, async () => {
      while (done < count) await one()
    }),
  )
  await gimbo.stop()
  return {
    said: `${done} requests (seed ${seed}): ${faults.length - slow - leaked} failed, ${slow} over 1 s, ${leaked} leaks${faults.length ? `\n    ${[...new Set(faults)].slice(0, 12).join('\n    ')}` : ''}`,
    isGood: faults.length === 0,
  }
}

const number = (random) => random.one(['0', '1', '-5', '1e300', '1e-300', '99999', '.5.5', 'NaN', '3', '17.25', '40'])
const svg = (inside, attributes = 'width="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`
const dxf = (entities) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`
const MOST = 1_400_000

/** A drawing made to be too much of something. */
function drawing(random) {
  const upTo = (text) => text.repeat(Math.max(1, Math.floor((random.next() * MOST) / text.length)))
  const points = (n, of) => Array.from({ length: n }, (_, i) => of(i)).join(' ')
  const many = 1000 + random.below(60_000)
  const kinds = [
    () => svg(`<rect ${points(random.below(60_000), (i) => `a${i}=""`)}/>`),
    () =>
      svg(`<polygon points="${points(many, () => `${random.below(9999)},${random.below(9999)}`)}"/>`.slice(0, MOST)),
    () => svg(`<polygon points="${points(many, (i) => `${i / 500},${i % 2}`)}"/>`),
    () =>
      svg(
        `<polyline points="${points(many, (i) => `${(50 + 40 * Math.cos(i / 300)).toFixed(3)},${(50 + 40 * Math.sin(i / 300)).toFixed(3)}`)}"/>`,
      ),
    () => svg(points(random.below(26_000), (i) => `<line x1="${i / 100}" y1="0" x2="${(i + 1) / 100}" y2="0"/>`)),
    () => svg(`<path d="M0 0${upTo(`C${number(random)} ${number(random)} 0 9999 5 5M1 1`)}"/>`),
    () => svg(`<path d="M0 0${upTo(`A${number(random)} ${number(random)} 0 1 1 50 ${number(random)}`)}"/>`),
    () =>
      svg(
        `<defs><g id="a"><rect width="9" height="9"/></g>${Array.from('bcdefghij', (c, i) => `<g id="${c}">${`<use href="#${'abcdefghij'[i]}"/>`.repeat(10)}</g>`).join('')}</defs><use href="#j"/>`,
      ),
    () => svg('<g id="a"><use href="#a"/></g>'),
    () => svg(upTo('<g>')),
    () =>
      svg(
        `<circle cx="${number(random)}" cy="${number(random)}" r="${number(random)}" transform="${upTo('rotate(7)')}"/>`,
      ),
    () =>
      svg(
        `<rect width="${number(random)}" height="${number(random)}" rx="${number(random)}" transform="matrix(${points(6, () => number(random))})"/>`,
      ),
    () => svg('<rect/>', `width="${number(random)}mm" viewBox="0 0 ${number(random)} ${number(random)}"`),
    () => `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "${'x'.repeat(999)}">]>${svg('&a;')}`,
    () => `<svg><!--${upTo('<')}`,
    () => svg(`<style>${upTo('a{b:c}')}</style><rect width="9" height="9"/>`),
    () => dxf(upTo(`0\nLINE\n10\n${random.below(99)}\n20\n0\n11\n${random.below(99)}\n21\n${random.below(99)}\n`)),
    () =>
      dxf(
        points(random.below(30_000), (i) => `0\nLINE\n10\n${i / 100}\n20\n0\n11\n${(i + 1) / 100}\n21\n0\n`).replaceAll(
          '\n ',
          '\n',
        ),
      ),
    () => dxf(`0\nLWPOLYLINE\n70\n1\n${upTo(`10\n${number(random)}\n20\n${number(random)}\n42\n${number(random)}\n`)}`),
    () => dxf(`0\nCIRCLE\n10\n0\n20\n0\n40\n${number(random)}\n`),
    () => dxf(`0\nINSERT\n2\nTERN\n70\n${number(random)}\n71\n1e9\n41\n${number(random)}\n`),
    () =>
      dxf(
        upTo(
          '0\nSPLINE\n70\n0\n71\n3\n40\n0\n40\n0\n40\n0\n40\n0\n40\n1\n40\n1\n40\n1\n40\n1\n10\n0\n20\n0\n10\n100\n20\n0\n10\n0\n20\n100\n10\n100\n20\n100\n',
        ),
      ),
    () =>
      JSON.stringify({
        vertices_coords: Array.from({ length: 20_000 }, (_, i) => [Math.cos(i) * 99, Math.sin(i) * 99]),
        edges_vertices: Array.from({ length: 20_000 }, (_, i) => [i, (i + 1) % 20_000]),
        edges_assignment: Array(20_000).fill('B'),
        frame_unit: 'mm',
      }),
    () => upTo('{"a":'),
    () => upTo('0\nSECTION\n'),
  ]
  return random.one(kinds)().slice(0, MOST)
}

/** Drawings that ask for too much: each is read, or refused in words, within two seconds. */
export async function drawings({ count, seed, port }) {
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'))
  await gimbo.start()
  const random = seeded(seed)
  const faults = []
  let [read, slowest] = [0, 0]
  for (let n = 0; n < count; n++) {
    const file = drawing(random)
    const answer = await gimbo
      .post('/outlines', { file, unit: 'mm' })
      .catch((error) => ({ status: String(error), ms: 0 }))
    slowest = Math.max(slowest, answer.ms)
    if (answer.status === 200) read++
    if (![200, 422, 413].includes(answer.status) || answer.ms > 2000)
      faults.push(`${answer.status} after ${answer.ms.toFixed(0)} ms: ${file.slice(0, 160).replaceAll('\n', ' ')}`)
  }
  await gimbo.stop()
  return {
    said: `${count} drawings (seed ${seed}): ${read} read, ${count - read - faults.length} refused, ${faults.length} bad; slowest ${slowest.toFixed(0)} ms${faults.length ? `\n    ${faults.slice(0, 8).join('\n    ')}` : ''}`,
    isGood: faults.length === 0,
  }
}
