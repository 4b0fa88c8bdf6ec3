import { readFileSync } from 'node:fs'
import { expect, test } from './test'
import { figure, kept, openNew, own, square } from './gimbo'

test('two windows on one design: what is typed in one shows in the other, and neither loses anything', async ({
  page,
  context,
}) => {
  const id = await openNew(page)
  const other = await context.newPage()
  await other.goto(`/designs/${id}`)
  await expect(figure(other, square)).toHaveText('8 3/16 in')
  await page.getByLabel('Width of the card').fill('6')
  await expect(figure(page, square)).toHaveText('8 9/16 in')
  await expect(figure(other, square)).toHaveText('8 9/16 in')
  await expect(other.getByRole('banner').getByRole('status')).toHaveText('Changed in another window')
  await other.getByLabel('Height of the card').fill('5')
  await expect(figure(page, square)).toHaveText('9 1/16 in')
  expect((await kept(page, id)).revision).toBe(3)

  // Nobody is asked anything: an undo here is seen there before anything is changed on top of it.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(other, square)).toHaveText('8 9/16 in')
  await expect(other.getByRole('button', { name: 'Redo' })).toBeEnabled()
})

test('what two closed windows could not send is sent by the next, once', async ({ page, context }) => {
  const id = await openNew(page)
  const other = await context.newPage()
  await other.goto(`/designs/${id}`)
  await expect(other.getByRole('tab', { name: 'Measures' })).toBeVisible()
  await context.route('**/api/designs/*/edits', (route) => route.abort())
  await page.getByLabel('Width of the card').fill('6')
  await other.getByLabel('Height of the card').fill('5')
  for (const one of [page, other])
    await expect(one.getByRole('banner').getByRole('status')).toContainText('Your changes are kept here')
  const next = await context.newPage()
  await Promise.all([page.close(), other.close()])
  await context.unroute('**/api/designs/*/edits')
  await next.goto(`/designs/${id}`)
  await expect(figure(next, square)).toHaveText('9 1/16 in')
  expect((await kept(next, id)).revision).toBe(3)
})

test('the step view says which figure has changed before the next cut', async ({ page, context }) => {
  const id = await openNew(page, {
    make: 'folded-card',
    system: 'metric',
    holds: { width: '151 mm', height: '100 mm' },
  })
  const table = await context.newPage()
  await table.goto(`/designs/${id}/work`)
  await expect(table.getByRole('progressbar')).toBeVisible()
  await page.getByLabel('Height of the card').fill('120')
  await expect(table.getByRole('alert')).toContainText('This design was changed while you work by it')
  await expect(table.getByRole('alert')).toContainText('→')
  await table.getByRole('button', { name: 'Go on with these figures' }).click()
  await expect(table.getByRole('alert')).toHaveCount(0)
})

test('taken off the shelf in another window: what is typed stays, and goes on once it is back', async ({ page }) => {
  const id = await openNew(page)
  await page.request.delete(`/api/designs/${id}`, { data: {} })
  await page.getByLabel('Width of the card').fill('6')
  await expect(page.getByRole('alert')).toContainText('taken off the shelf in another window')
  await page.getByRole('button', { name: 'Put it back on the shelf' }).click()
  await expect(figure(page, square)).toHaveText('8 9/16 in')
})

test('a frozen server is said, the figures look as if they wait, and impatient presses make one design', async ({
  page,
}) => {
  const id = await openNew(page, {}, own('Frozen'))
  await page.route('**/api/designs/*/edits', async (route) => {
    await new Promise((done) => setTimeout(done, 4000))
    await route.continue()
  })
  await page.getByLabel('Width of the card').fill('6')
  const status = page.getByRole('banner').getByRole('status')
  await expect(status).toHaveText('Keeping …')
  await expect(page.locator('[data-waits]')).toHaveCount(1)
  await expect(status).toContainText('takes long to answer')
  await expect(status).toHaveText('Kept')
  await page.unroute('**/api/designs/*/edits')

  const { name } = await kept(page, id)
  await page.route('**/api/designs/*/copy', async (route) => {
    await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  await page.goto('/')
  await page.getByLabel('Find').fill(name)
  const more = page.getByRole('button', { name: `More for ${name}` })
  for (let n = 0; n < 3; n++) {
    await more.click()
    await page.getByRole('menuitem', { name: 'Copy it' }).click()
  }
  await expect(page.getByRole('link', { name: new RegExp(name) })).toHaveCount(2)
})

test('a backup is looked into, one design is put back from it, then all; and everything goes out and in as one file', async ({
  page,
}) => {
  const name = own('Before')
  const id = await openNew(page, {}, name)
  await page.goto('/backups')
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByRole('status')).toContainText('Backed up')
  await page.request.delete(`/api/designs/${id}`, { data: {} })
  const later = own('Later')
  await openNew(page, {}, later)

  await page.goto('/backups')
  await page.getByRole('button', { name: 'Look into it' }).first().click()
  const sheet = page.getByRole('dialog')
  await expect(sheet).toContainText(name)
  await sheet.getByRole('listitem').filter({ hasText: name }).getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(page.getByLabel('Name of the design')).toHaveValue(name)

  await page.goto('/backups')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Everything as one file' }).click(),
  ])
  const lines = readFileSync(await file.path(), 'utf8')
    .trim()
    .split('\n')
  expect(JSON.parse(lines[0] ?? '')).toMatchObject({ format: 'gimbo-everything', version: 1 })
  expect(JSON.parse(lines.at(-1) ?? '')).toEqual({ end: lines.length - 2 })

  await page.locator('input[type=file]').setInputFiles(await file.path())
  await expect(sheet).toContainText(later)
  await sheet.getByRole('button', { name: 'Put all of this back' }).click()
  await expect(page.getByRole('status')).toContainText('What there was before is kept')
  await page.goto('/')
  await page.getByLabel('Find').fill(later)
  await expect(page.getByRole('link', { name: new RegExp(later) })).toHaveCount(1)

  await page.goto('/backups')
  await page.locator('input[type=file]').setInputFiles({
    name: 'torn.jsonl',
    mimeType: 'application/jsonl',
    buffer: Buffer.from(lines.slice(0, 3).join('\n')),
  })
  await expect(page.getByRole('alert')).toContainText('not whole')
})

test('a file that cannot be had says so, and the handout of a missing design is a page', async ({ page }) => {
  const id = await openNew(page)
  await page.request.delete(`/api/designs/${id}`, { data: {} })
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: 'Cutting list' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be had' })).toBeVisible()
  await page.goto(`/designs/${id}/print`)
  await expect(page.getByRole('heading')).toContainText('There is no such design')
  await page.getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
})
