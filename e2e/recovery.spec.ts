import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './test'
import { figure, kept, openNew, square } from './gimbo'

test('bad input is said beside its field, the last good drawing stays, and nothing typed is lost', async ({ page }) => {
  const id = await openNew(page)
  const width = page.getByLabel('Width of the card')
  for (const [typed, said] of [
    ['', 'Write a length'],
    ['0', 'greater than zero'],
    ['-4', 'cannot be negative'],
    ['abc', 'is not a length'],
    ['4 parsecs', 'Use in, cm or mm'],
    ['99999', 'longer than 2 m'],
    ['7'.repeat(10_000), 'too long'],
  ]) {
    await width.fill(typed ?? '')
    await expect(page.getByRole('alert')).toContainText(said ?? '')
    await expect(width).toHaveAttribute('aria-invalid', 'true')
    await expect(figure(page, square)).toHaveText('8 3/16 in')
  }
  await width.fill('5 1/2 parsecs')
  await expect(page.getByRole('alert')).toContainText('Use in, cm or mm')
  await width.blur()
  await page.reload()
  await expect(width).toHaveValue('5 1/2 parsecs')
  await expect(page.getByRole('alert')).toContainText('Use in, cm or mm')
  expect((await kept(page, id)).fields['/holds/width']?.text).toBe('5 1/2 in')
  await width.fill('6')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(figure(page, square)).toHaveText('8 9/16 in')
})

test('a card larger than any paper still has its figures', async ({ page }) => {
  await openNew(page, { paper: { sheet: { width: '12 in', height: '12 in' } } })
  await page.getByLabel('Width of the card').fill('70')
  await expect(page.locator('[data-check=sheet-from-paper]')).toHaveAttribute('data-ok', 'false')
  await expect(page.locator('[data-check=sheet-from-paper]')).toContainText('No single change mends this')
})

test('a design that is not there leads back to the shelf', async ({ page }) => {
  await page.goto('/designs/00000000-0000-7000-8000-000000000000')
  await expect(page.getByRole('alert')).toContainText('There is no such design')
  await page.getByRole('link', { name: 'To the shelf' }).click()
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
})

test.describe('a server that stops', () => {
  const url = 'http://127.0.0.1:8472'
  const database = join(mkdtempSync(join(tmpdir(), 'gimbo-')), 'gimbo.sqlite')
  let server: ChildProcess

  const isUp = () =>
    fetch(`${url}/api/ping`).then(
      (answer) => answer.ok,
      () => false,
    )
  const start = async () => {
    // A process group of its own, as a terminal gives one: a signal to it is Ctrl-C.
    server = spawn('bin/start', {
      detached: true,
      stdio: 'ignore',
      env: { ...process.env, GIMBO_PORT: '8472', GIMBO_DATABASE: database },
    })
    await expect.poll(isUp, { timeout: 30_000 }).toBe(true)
  }
  const signal = async (name: NodeJS.Signals) => {
    process.kill(-(server.pid ?? 0), name)
    await expect.poll(isUp, { timeout: 10_000 }).toBe(false)
  }
  /** Every process that was begun by it, whatever has become of its parents: they are one session. */
  const processes = async () => {
    const list = spawn('pgrep', ['-s', String(server.pid), '-f', 'nginx|php|bash'])
    let text = ''
    for await (const chunk of list.stdout) text += String(chunk)
    return text.split('\n').filter(Boolean)
  }

  test.use({ baseURL: url })
  test.afterAll(async () => {
    if (await isUp()) process.kill(-(server.pid ?? 0), 'SIGINT')
  })

  test('edits wait, are said to wait, and arrive; Ctrl-C leaves no process; a kill loses nothing', async ({ page }) => {
    test.setTimeout(120_000)
    await start()
    const id = await openNew(page)
    await page.getByLabel('Width of the card').fill('6')
    await expect(figure(page, square)).toHaveText('8 9/16 in')

    await signal('SIGINT')
    await expect.poll(processes).toEqual([])
    await page.getByLabel('Height of the card').fill('5')
    await expect(page.getByRole('status')).toContainText('Your changes are kept here')
    await expect(figure(page, square)).toHaveText('8 9/16 in')

    await start()
    await expect(page.getByRole('status')).toHaveText('Kept', { timeout: 15_000 })
    await expect(figure(page, square)).toHaveText('9 1/16 in')
    expect((await kept(page, id)).fields['/holds/height']?.text).toBe('5 in')

    // Killed the moment the answer is there: what was answered is on the disk.
    await page.getByLabel('Width of the card').fill('7')
    await expect(figure(page, square)).not.toHaveText('9 1/16 in')
    for (const pid of await processes()) {
      try {
        process.kill(Number(pid), 'SIGKILL')
      } catch {
        // It went with its parent.
      }
    }
    await expect.poll(isUp, { timeout: 10_000 }).toBe(false)
    await start()
    await page.reload()
    await expect(page.getByLabel('Width of the card')).toHaveValue('7 in')
    await signal('SIGTERM')
    await expect.poll(processes).toEqual([])
  })
})
