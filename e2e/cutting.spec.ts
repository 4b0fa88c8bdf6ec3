import { expect, test } from './test'
import { startCutter } from './cutter'
import { openNew } from './gimbo'

test('a job is kept when the cutter is not there, and sent again when it is; the bar shows how far it is', async ({
  page,
  cutterPort,
}) => {
  await openNew(page, { make: 'tray-and-lid' })
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: 'Cut on a machine' }).click()
  await page.getByRole('checkbox', { name: 'Lid' }).uncheck()
  await expect(page.getByLabel('On which machine')).toHaveValue('stand-in')
  await page.getByRole('button', { name: 'Send' }).click()

  const job = page.getByRole('listitem', { name: 'Journey, Tray' })
  await expect(job).toHaveAttribute('data-state', 'failed')
  await expect(job).toContainText(`nothing answers at 127.0.0.1:${cutterPort}`)
  await page.reload()
  await expect(job).toHaveAttribute('data-state', 'failed')

  const cutter = await startCutter(cutterPort, 'slow')
  try {
    await job.getByRole('button', { name: 'Send again' }).click()
    const bar = job.getByRole('progressbar')
    await expect(bar).toHaveAttribute('aria-valuenow', /^[1-9]\d?$/)
    await expect(job).toHaveAttribute('data-state', 'done')
    await expect(bar).toHaveAttribute('aria-valuenow', '100')
    const report = await cutter.report()
    expect(report).toMatchObject({ finished: true, outside: [] })
    expect(report.cut).toBeGreaterThan(500)
  } finally {
    await cutter.stop()
  }
  await job.getByRole('button', { name: 'Remove' }).click()
  await expect(job).toHaveCount(0)
})

for (const [mode, said] of [
  ['busy', 'at work on something else'],
  ['no-paper', 'no sheet on its bed'],
  ['silent', 'does not answer'],
  ['gone', 'went away in the middle'],
] as const) {
  test(`a cutter that is ${mode} is said to be, and the job kept`, async ({ page, cutterPort }) => {
    const cutter = await startCutter(cutterPort, mode)
    try {
      const id = await openNew(page)
      await page.request.post(`/api/designs/${id}/cutting`, { data: {} })
      const sent = Date.now()
      await page.goto('/cutting')
      const job = page
        .getByRole('listitem')
        .filter({ has: page.getByRole('progressbar') })
        .first()
      await expect(job).toHaveAttribute('data-state', 'failed')
      await expect(job).toContainText(said)
      test.info().annotations.push({ type: 'said after', description: `${Date.now() - sent} ms` })
      await job.getByRole('button', { name: 'Remove' }).click()
    } finally {
      await cutter.stop()
    }
  })
}

test('a cut rests, goes on, is stopped with the blade up, and goes on from there', async ({ page, cutterPort }) => {
  const cutter = await startCutter(cutterPort, 'slow', ['--sheet=keep'])
  try {
    const id = await openNew(page, { make: 'tray-and-lid' })
    await page.request.post(`/api/designs/${id}/cutting`, { data: { pieces: ['tray'] } })
    await page.goto('/cutting')
    const job = page.getByRole('listitem', { name: 'Journey, Tray' }).first()
    await expect(job.getByRole('progressbar')).toHaveAttribute('aria-valuenow', /^[1-9]\d?$/)
    await job.getByRole('button', { name: 'Pause' }).click()
    await expect(job).toContainText('Rests with the blade up')
    await job.getByRole('button', { name: 'Go on' }).click()
    await expect(job).toContainText('Being cut')
    await job.getByRole('button', { name: 'Stop' }).click()
    await expect(job).toHaveAttribute('data-state', 'stopped')
    await expect(job).toContainText('The blade is up')
    expect(await cutter.report()).toMatchObject({ down: false, finished: true })
    await job.getByRole('button', { name: 'Cut on from here' }).click()
    await expect(job).toHaveAttribute('data-state', 'done', { timeout: 60_000 })
    expect(await cutter.report()).toMatchObject({ down: false, finished: true, outside: [] })
    await job.getByRole('button', { name: 'Remove' }).click()
  } finally {
    await cutter.stop()
  }
})

test('a machine of one’s own has an address and a bed, and a wrong one is said at its field', async ({ page }) => {
  await page.goto('/cutting/machines')
  await page.getByRole('button', { name: 'Add a machine' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Boat-house cutter')
  await page.getByLabel('Name or number in the network').fill('boat house')
  await page.getByLabel('Bed, width').fill('300')
  await page.getByLabel('Bed, length').fill('1200')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('no address of a machine')
  await page.getByLabel('Name or number in the network').fill('192.0.2.7')
  await page.getByRole('button', { name: 'Save' }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'Boat-house cutter' })
  await expect(row).toContainText('192.0.2.7:9100')
  await row.getByRole('button', { name: 'Remove Boat-house cutter' }).click()
  await expect(row).toHaveCount(0)
})
