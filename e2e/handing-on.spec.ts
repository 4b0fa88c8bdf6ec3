import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { figure, inInches, openNew, own, square } from './gimbo'

async function handOn(page: Page, item: RegExp): Promise<string> {
  await page.getByRole('button', { name: 'Hand on' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: item }).click(),
  ])
  return download.path()
}

const opened = (program: string, ...args: string[]) => execFileSync(program, args, { encoding: 'utf8' })

test.beforeEach(async ({ page }) => void (await inInches(page)))

test('the design goes out and comes back in', async ({ page }, info) => {
  await openNew(page, { options: { method: 'score-board' }, system: 'metric' }, 'Handed on')
  const before = await figure(page, square).textContent()
  const file = await handOn(page, /JSON/)
  await page.getByRole('link', { name: 'To the shelf' }).click()
  await page
    .getByLabel('Take in a design')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: readFileSync(file) })
  await expect(page).toHaveURL(/\/designs\//)
  await expect(figure(page, square)).toHaveText(before ?? '')
  await expect(page.getByLabel('Name of the design')).toHaveValue('Handed on')

  await page.goto('/')
  const broken = info.outputPath('broken.json')
  writeFileSync(broken, readFileSync(file, 'utf8').replace('"5 1/2 in"', '"5 1/2"'))
  await page.getByLabel('Take in a design').setInputFiles(broken)
  await expect(page.getByRole('alert')).toContainText('/spec/holds/width')
  writeFileSync(broken, '{\n"format": "gimbo-design",\n oops }')
  await page.getByLabel('Take in a design').setInputFiles(broken)
  await expect(page.getByRole('alert')).toContainText('line 3')
  writeFileSync(broken, ' '.repeat(1100 * 1024))
  await page.getByLabel('Take in a design').setInputFiles(broken)
  await expect(page.getByRole('alert')).toContainText('too large')
})

test('a true-size template and a fold pattern', async ({ page }) => {
  await openNew(page)
  const svg = readFileSync(await handOn(page, /template \(SVG\)/), 'utf8')
  expect(svg).toContain('width="211.9625mm"')
  expect(svg).toContain('id="score-valley"')
  const fold = JSON.parse(readFileSync(await handOn(page, /FOLD/), 'utf8')) as {
    file_spec: number
    faces_vertices: unknown[]
  }
  expect(fold.file_spec).toBe(1.2)
  expect(fold.faces_vertices).toHaveLength(5)
})

test('every download opens in a program that is not ours', async ({ page }) => {
  await openNew(page, { make: 'tray-and-lid', system: 'metric' }, 'Opened')
  for (const item of [/template on A4/, /template on letter/]) {
    const info = opened('pdfinfo', await handOn(page, item))
    expect(info).toMatch(item.source.includes('A4') ? /595\.\d+ x 841\.\d+/ : /612 x 792/)
    expect(info).toMatch(/Title: +Opened/)
  }
  const dxf = JSON.parse(
    execFileSync('/usr/bin/python3', ['core/tests/Reference/dxf_lines.py'], {
      input: readFileSync(await handOn(page, /DXF/)),
      encoding: 'utf8',
    }),
  ) as { version: string; errors: string[]; lines: unknown[] }
  expect(dxf).toMatchObject({ version: 'R12', errors: [] })
  expect(dxf.lines.length).toBeGreaterThan(4)
  expect(opened('/usr/bin/python3', '-m', 'zipfile', '-l', await handOn(page, /ZIP/))).toMatch(/opened\/lid\.dxf/)
  expect(readFileSync(await handOn(page, /CSV/), 'utf8')).toMatch(/^design,piece,count,.*\r\nOpened,tray,1,/)
  expect(readFileSync(await handOn(page, /HP-GL/), 'utf8')).toMatch(/^IN;\nSP1;\nPU\d+,\d+;PD/)
})

test('several designs at once: those that are found, each in a folder of its own', async ({ page }) => {
  const bird = own('Oystercatcher')
  await openNew(page, {}, `${bird} one`)
  await openNew(page, { make: 'tray-and-lid' }, `${bird} two`)
  await page.goto('/')
  await page.getByLabel('Find a design').fill(bird)
  await expect(page.getByRole('link', { name: new RegExp(bird) })).toHaveCount(2)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Hand on these' }).click(),
  ])
  const list = opened('/usr/bin/python3', '-m', 'zipfile', '-l', await download.path())
  const folder = bird.toLowerCase().replace(' ', '-')
  expect(list).toContain(`${folder}-one/template.pdf`)
  expect(list).toContain(`${folder}-two/lid.hpgl`)
  expect(list.match(/design\.gimbo\.json/g)).toHaveLength(2)
})

test('a handout in both systems, with notes: a page to print, and PDF', async ({ page }) => {
  await openNew(page, {}, 'On paper')
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: 'Notes for the handout' }).click()
  await page.getByLabel('Notes', { exact: true }).fill('Stamp the tern first.\nThen score.')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('status')).toContainText('Kept')
  await page.reload()
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: /print/ }).click()
  await expect(page.getByRole('heading', { name: 'On paper' })).toBeVisible()
  await expect(page.getByText('Stamp the tern first.')).toBeVisible()
  await expect(page.getByRole('row', { name: /Cut a square/ })).toContainText(/8\s3⁄16 in\s*207 mm/)
  expect(await page.getByRole('img', { name: 'The finished thing' }).evaluate((it) => it.clientHeight)).toBeGreaterThan(
    100,
  )
  const pdf = await page.pdf({ format: 'A4', printBackground: true })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length).toBeLessThanOrEqual(5)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'PDF, letter' }).click(),
  ])
  const info = opened('pdfinfo', await download.path())
  expect(info).toMatch(/612 x 792/)
  await page.getByRole('link', { name: 'Back to the table' }).click()
  await expect(page.getByRole('tab', { name: 'Measures' })).toBeVisible()
})

test('for those who publish: the recipe on the clipboard, and from whom it comes on the handout', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openNew(page, {}, 'To paste')
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: 'Notes for the handout' }).click()
  await page.getByLabel('From whom it comes').fill('Ada of the tern watch')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('status')).toContainText('Kept')
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: 'Copy the measures as text' }).click()
  await expect(page.getByRole('alert')).toContainText('Copied')
  const text = await page.evaluate(() => navigator.clipboard.readText())
  expect(text).toContain('To paste\nFrom Ada of the tern watch\nEdition 2')
  expect(text).toContain('1. Cut the sheet to 8 3/16 in × 8 3/16 in.')
  expect(text).toContain('1. Cut the sheet to 207 mm × 207 mm.')
  const picture = readFileSync(await handOn(page, /All measures in one picture/), 'utf8')
  expect(picture).toContain('>8 3/16 in<')
  await page.goto(page.url() + '/print')
  await expect(page.getByText('Edition 2 · From Ada of the tern watch')).toBeVisible()
  await page.getByLabel('What is new since edition').fill('1')
  await page.getByRole('button', { name: 'Show' }).click()
  await expect(page.getByText('No measure is another.')).toBeVisible()
})

test('an odd-shaped tag out of a drawing: its unit asked for, its outline drawn where it lies', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New …' }).click()
  await page.getByRole('button', { name: /^A flat card/ }).click()
  const take = (buffer: Buffer, name = 'tag.svg') =>
    page.getByLabel('Its outline from a drawing').setInputFiles({ name, mimeType: 'image/svg+xml', buffer })
  const svg = (inside: string) =>
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 70">${inside}</svg>`)

  await take(svg('<script>alert(1)</script><rect width="9" height="9"/>'))
  await expect(page.getByRole('alert')).toContainText('carries a script')
  await take(Buffer.alloc(2 * 1024 * 1024, 32))
  await expect(page.getByRole('alert')).toContainText('too large')
  await take(Buffer.from('PK\u0003\u0004 no drawing'), 'bundle.zip')
  await expect(page.getByRole('alert')).toContainText('no drawing that can be read')

  await take(svg('<path d="M0 20 20 0H120V70H20L0 50Z"/><circle cx="14" cy="35" r="4"/>'))
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.getByLabel('one is').selectOption('mm')
  await expect(page.getByRole('img', { name: 'The outline of what is held' })).toBeVisible()
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('120 mm')
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('70 mm')
  await page.getByLabel('one is').selectOption('pt')
  await expect(page.getByLabel('Width', { exact: true })).not.toHaveValue('120 mm')
  await page.getByLabel('one is').selectOption('mm')
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('120 mm')
  await page.getByRole('dialog').getByRole('listitem').getByRole('button').first().click()
  await expect(page.locator('[data-layer=outline]').first()).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'its outline' })).toBeVisible()
  await page.reload()
  await expect(page.locator('[data-layer=outline]').first()).toBeVisible()
})
