import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { figure, kept, mark, openNew, own, square } from './gimbo'

test('the first minute: from the start page to right figures for her own card', async ({ page }) => {
  const began = Date.now()
  await page.goto('/')
  await page.getByRole('button', { name: 'New …' }).click()
  await page.getByRole('button', { name: /^A flat card/ }).click()
  await page.getByLabel('Width', { exact: true }).fill('6 3/4')
  await page.getByLabel('Height', { exact: true }).fill('4 1/4')
  const envelope = page.getByRole('dialog').getByRole('button', { name: /^envelope from a square/ })
  await expect(envelope).toContainText('9 1/16 in')
  await envelope.click()
  await expect(figure(page, square)).toHaveText('9 1/16 in')
  await expect(figure(page, mark)).toHaveText('3 5/8 in')
  expect(Date.now() - began).toBeLessThan(60_000)
})

test('what is typed wrong at the start is said at its field', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New …' }).click()
  await page.getByRole('button', { name: /^A set of cards/ }).click()
  await page.getByLabel('Thickness of one').fill('thin')
  await expect(page.getByRole('alert')).toContainText('is not a length')
  await page.getByLabel('Thickness of one').fill('4 mm')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.getByLabel('Or by its name').selectOption('C6')
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('114 mm')
})

test('versions side by side: what differs stands out, one is kept, and that can be undone', async ({ page }) => {
  await openNew(page, {
    make: 'tray-and-lid',
    holds: { width: '5 3/4 in', height: '4 3/8 in', thickness: '4.5 mm', count: 8 },
  })
  await page.getByRole('link', { name: 'Compare versions' }).click()
  const version = page.getByRole('region', { name: 'Version 2' })
  await version.getByLabel('Depth', { exact: true }).fill('3')
  const differs = page.locator('[data-differs=true]')
  await expect(differs.filter({ hasText: 'So many stand in it' })).toContainText('14')
  await expect(page.locator('[data-differs=false]').filter({ hasText: 'Room in width' })).toHaveCount(1)
  await page.getByRole('button', { name: 'One more version' }).click()
  await page
    .getByRole('region', { name: 'Version 3' })
    .getByRole('button', { name: /^Walls of the lid/ })
    .click()
  await page.getByRole('menuitemradio', { name: 'doubled' }).click()
  // The hem's score, which the others have none of.
  await expect(differs.filter({ hasText: /^Score.*–.*–/ })).toHaveCount(1)
  await expect(differs.filter({ hasText: 'Hem lies flat' })).toHaveCount(1)
  await page.reload()
  await expect(page.getByRole('region', { name: 'Version 3' })).toContainText('doubled')
  await page.getByRole('button', { name: 'Put Version 3 away' }).click()
  await expect(page.getByRole('region', { name: 'Version 3' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Keep Version 2' }).click()
  await expect(page).toHaveURL(/\/designs\/[^/]+$/)
  await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('3 in')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Depth', { exact: true })).not.toHaveValue('3 in')
})

test('history: any change to go back to, states with a name, over a reload', async ({ page }) => {
  await openNew(page)
  const width = page.getByLabel('Width of the card')
  for (const value of ['6', '7', '8']) {
    await width.fill(value)
    await width.blur()
    await expect(page.getByRole('status')).toHaveText('Kept')
  }
  await page.getByRole('button', { name: 'What was done' }).click()
  await page.getByLabel(/^Give this state a name/).fill('As large as it gets')
  await page.getByRole('button', { name: 'Name it' }).click()
  await expect(page.getByText('As large as it gets')).toBeVisible()
  await page.getByRole('button', { name: /Width of the card: 6 in/ }).click()
  await page.keyboard.press('Escape')
  await expect(width).toHaveValue('6 in')
  await page.reload()
  await width.fill('3')
  await width.blur()
  await expect(page.getByRole('button', { name: 'Redo' })).toBeDisabled()
  await page.getByRole('button', { name: 'What was done' }).click()
  await page.getByRole('button', { name: 'Back to As large as it gets' }).click()
  await page.keyboard.press('Escape')
  await expect(width).toHaveValue('8 in')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(width).toHaveValue('3 in')
})

test('sizes: a file with broken lines is looked at, the good ones kept, handed on and taken back', async ({ page }) => {
  await page.goto('/library/sizes')
  const csv =
    'name,kind,width,height\r\n"Ferry pass, day",card,3 3/8 in,2 1/8 in\r\nNo unit,card,4,6 in\r\nTide board,sheet,40 cm,30 cm\r\nToo,many,parts,in,this\r\n'
  const file = (text: string) => ({ name: 'sizes.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByLabel('Take in a file').setInputFiles(file(csv))
  await expect(page.getByText('2 sizes can be kept, 2 lines cannot.')).toBeVisible()
  await expect(page.locator('[data-line="3"]')).toContainText('has no unit')
  await expect(page.locator('[data-line="5"]')).toContainText('5 parts')
  await page.getByRole('button', { name: 'Keep these 2' }).click()
  await expect(page.getByRole('rowheader', { name: 'Ferry pass, day' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Hand on yours' }).click(),
  ])
  const out = readFileSync(await download.path(), 'utf8')
  expect(out).toContain('"Ferry pass, day",card,"3 3/8 in","2 1/8 in"')
  await page.getByLabel('Take in a file').setInputFiles(file(out))
  await expect(page.locator('[data-line="2"]')).toContainText('is there already')
  await page.keyboard.press('Escape')
  await page.getByLabel('Take in a file').setInputFiles(file('just some text'))
  await expect(page.getByRole('alert')).toContainText('must name the columns')
  await page.keyboard.press('Escape')
  await page.getByLabel('Take in a file').setInputFiles(file(' '.repeat(1025 * 1024)))
  await expect(page.getByRole('alert')).toContainText('too large')

  await openNew(page)
  await page.getByRole('button', { name: /^Choose a size by its name/ }).click()
  await page.getByRole('menuitemradio', { name: /^Ferry pass, day/ }).click()
  await expect(page.getByLabel('Width of the card')).toHaveValue('3 3/8 in')
  await page.goto('/library/sizes')
  for (const name of ['Ferry pass, day', 'Tide board'])
    await page.getByRole('button', { name: `Remove ${name}` }).click()
  await expect(page.getByRole('rowheader', { name: 'Ferry pass, day' })).toHaveCount(0)
})

test('tools: a trial finds the notch, and the marks move by as much as the geometry says', async ({ page }) => {
  const name = own('Old board')
  await page.goto('/library/tools')
  await page.getByRole('button', { name: 'Add a set of tools' }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByRole('button', { name: 'Find out the notch by a trial' }).click()
  // A square of 6 in punched in the middle: the face is √2 · (3 − d) both ways.
  const face = (Math.SQRT2 * (3 - 0.54)).toFixed(4)
  await page.getByLabel('Face, one way').fill(face)
  await page.getByLabel('Face, the other way').fill('2')
  await expect(page.getByText('do not go together')).toBeVisible()
  await page.getByLabel('Face, the other way').fill(face)
  await expect(page.getByText('The notch is')).toContainText('0.54 in')
  await page.getByRole('button', { name: 'Use it' }).click()
  await expect(page.getByLabel('Punch’s notch, how far it goes in')).toHaveValue('0.54 in')
  await page.getByLabel('Scoring board, smallest step').fill('x')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert')).toContainText('is not a length')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name)
  await page.getByLabel('Scoring board, smallest step').fill('1/8')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()

  const id = await openNew(page)
  const inches = async (of: RegExp) => {
    const [, whole = '0', top = '0', bottom = '1'] =
      /^(\d+)?(?: ?(\d+)\/(\d+))?/.exec((await figure(page, of).textContent()) ?? '') ?? []
    return Number(whole) + Number(top) / Number(bottom)
  }
  const [side, at] = [await inches(square), await inches(mark)]
  await page.getByRole('button', { name: 'the usual details' }).click()
  await page.getByRole('button', { name: /^Tools/ }).click()
  await page.getByRole('menuitemradio', { name }).click()
  await expect.poll(async () => (await kept(page, id)).fields['/tools/notch']?.text).toBe('0.54 in')
  await page.keyboard.press('Escape')
  // S = (W + H)/√2 + 2d grows by 0.2 in and p = H/√2 + d by 0.1 in, each then rounded up to its step.
  await expect.poll(() => inches(square)).toBeGreaterThan(side)
  expect((await inches(square)) - side).toBeLessThanOrEqual(0.2 + 1 / 16)
  expect((await inches(mark)) - at).toBeGreaterThanOrEqual(0)
  expect((await inches(mark)) - at).toBeLessThanOrEqual(0.1 + 1 / 8)
  const answer = (await (await page.request.get(`/api/designs/${id}`)).json()) as {
    design: { checks: Array<{ ok: boolean }> }
  }
  expect(answer.design.checks.every((check) => check.ok)).toBe(true)
})

test('papers: a stack says the caliper, and a design takes caliper, sheet and colour', async ({ page }) => {
  const name = own('Driftwood')
  await page.goto('/library/papers')
  await page.getByRole('button', { name: 'Add a paper' }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Weight', { exact: true }).fill('65')
  await page.getByLabel('Weighed in').selectOption('cover-lb')
  await page.getByRole('button', { name: 'Measure a stack' }).click()
  await page.getByLabel('Height of the stack, in mm').fill('5')
  await expect(page.getByText('One sheet is')).toContainText('0.25 mm')
  await page.getByRole('button', { name: 'Use it' }).click()
  await page.getByLabel('Width of a sheet').fill('12')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Height of a sheet').fill('12')
  await page.getByLabel('Colour').fill('#c8a06a')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('65 lb cover')

  await openNew(page, { paper: {} })
  await page.getByRole('button', { name: /^Sheet it must come out of/ }).click()
  await page.getByRole('menuitemradio', { name: new RegExp(`^${name}`) }).click()
  await expect(page.getByLabel('Thickness of the paper')).toHaveValue('0.25 mm')
  await expect(page.locator('[data-piece] polygon').first()).toHaveCSS('fill', 'rgb(200, 160, 106)')
  await expect(page.locator('[data-check=sheet-from-paper]')).toHaveCount(1)
})

test('the shelf: found, sorted, renamed, grouped, put away and back', async ({ page }) => {
  const [first, name, group] = [own('Zostera survey'), own('Eelgrass survey'), own('Counting days')]
  await openNew(page, {}, first)
  await page.goto('/')
  await expect(page.getByRole('link', { name: new RegExp(first) })).toBeVisible()
  await page.locator('body').press('/')
  await page.keyboard.type(first.toLowerCase())
  await expect(page.locator('main a[href^="/designs/"]')).toHaveCount(1)
  await page.getByRole('button', { name: `More for ${first}` }).click()
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill(name)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('searchbox').fill(name)
  await page.getByRole('button', { name: `More for ${name}` }).click()
  await page.getByRole('menuitem', { name: 'Put it with others' }).click()
  await page
    .getByRole('dialog')
    .getByLabel(/^Group/)
    .fill(group)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: new RegExp(`^${group}`) })).toBeVisible()
  await page.getByRole('button', { name: `More for ${name}` }).click()
  await page.getByRole('menuitem', { name: 'Take it off the shelf' }).click()
  await expect(page.getByText(`Nothing on the shelf has “${name}”`)).toBeVisible()
  await page.getByRole('button', { name: 'Put away', exact: true }).click()
  await page.getByRole('button', { name: `Put ${name} back` }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('link', { name: new RegExp(name) })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Show all' })).toHaveCount(0)
  await page.getByRole('searchbox').fill('')
  await page.getByLabel('Order').selectOption('name')
  const others = page.getByRole('region', { name: 'In no group' }).locator('.font-serif')
  const inOrder = (names: string[]) => names.every((one, i) => i === 0 || (names[i - 1] ?? '').localeCompare(one) <= 0)
  await expect.poll(async () => inOrder(await others.allTextContents()) && (await others.count()) > 10).toBe(true)
})

test('the keyboard map opens with the question mark, and not while typing', async ({ page }) => {
  await openNew(page)
  await page.locator('body').press('?')
  await expect(page.getByRole('heading', { name: 'Which key does what' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByLabel('Name of the design').focus()
  await page.keyboard.type('Why?')
  await expect(page.getByRole('heading', { name: 'Which key does what' })).toHaveCount(0)
})
