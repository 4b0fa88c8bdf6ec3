import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { folder, Gimbo, seeded, share, sleep } from './gimbo.mjs'

/** Many writers on one design at once: each edit is answered, kept, and one revision of its own. */
export async function writers({ writers, edits, port }) {
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'))
  await gimbo.start()
  const design = await gimbo.newDesign()
  const times = []
  let failures = 0
  await Promise.all(
    Array.from({ length: writers }, async () => {
      for (let n = 0; n < edits; n++) {
        const answer = await gimbo.post(`/designs/${design}/edits`, {
          id: randomUUID(),
          changes: [{ at: '/holds/width', nudge: n % 2 ? -1 : 1 }],
        })
        times.push(answer.ms)
        if (answer.status !== 200) failures++
      }
    }),
  )
  // Kept states, renames and versions meanwhile: none reverts an edit, and the limit holds.
  const before = (await gimbo.get(`/designs/${design}`)).body
  const parallel = await Promise.all([
    ...Array.from({ length: 10 }, () => gimbo.post(`/designs/${design}/variants`, {})),
    ...Array.from({ length: 10 }, (_, n) =>
      gimbo.post(`/designs/${design}/edits`, { id: randomUUID(), changes: [{ at: '/notes', to: `note ${n}` }] }),
    ),
  ])
  const variants = (await gimbo.get(`/designs/${design}/variants`)).body.variants.length
  const after = (await gimbo.get(`/designs/${design}`)).body
  const odd = parallel.filter(({ status }) => ![200, 201, 422].includes(status)).length
  const missing = writers * edits + 1 - before.revision + (before.revision + 10 - after.revision)
  await gimbo.stop()
  return {
    said: `${writers} writers × ${edits} edits: ${failures + odd} failures, ${missing} revisions missing, 95th percentile ${share(times, 0.95).toFixed(0)} ms; ${variants} versions of 2`,
    isGood: failures + odd === 0 && missing === 0 && variants === 2,
  }
}

/** A few makers at their work for a while: look, edit, undo, start, copy, hand on. */
export async function load({ clients, seconds, seed, port }) {
  const gimbo = new Gimbo(port, join(folder(), 'gimbo.sqlite'))
  await gimbo.start()
  const end = Date.now() + seconds * 1000
  const times = []
  let failures = 0
  await Promise.all(
    Array.from({ length: clients }, async (_, who) => {
      const random = seeded(seed + who)
      const design = await gimbo.newDesign()
      while (Date.now() < end) {
        const begun = performance.now()
        const what = random.below(10)
        const answer =
          what < 5
            ? await gimbo.post(`/designs/${design}/edits`, {
                id: randomUUID(),
                changes: [{ at: '/holds/width', to: `${90 + random.below(60)} mm` }],
              })
            : what < 7
              ? await gimbo.get(`/designs/${design}`)
              : what < 8
                ? await gimbo.get('/designs')
                : what < 9
                  ? await gimbo.get(`/designs/${design}/picture`)
                  : await gimbo.post('/size', {
                      spec: { make: 'tray-and-lid', holds: { width: '5 in', height: '4 in' } },
                    })
        times.push(performance.now() - begun)
        if (answer.status >= 400) failures++
        await sleep(random.below(60))
      }
    }),
  )
  await gimbo.stop()
  return {
    said: `${clients} clients for ${seconds} s: ${times.length} requests, ${failures} failures, 95th percentile ${share(times, 0.95).toFixed(0)} ms`,
    isGood: failures === 0,
  }
}
