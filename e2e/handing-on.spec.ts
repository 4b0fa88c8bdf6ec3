import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { figure, openNew, square } from './gimbo'

async function handOn(page: Page, item: RegExp): Promise<string> {
  await page.getByRole('button', { name: 'Hand on' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: item }).click(),
  ])
  return download.path()
}

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
  writeFileSync(broken, ' '.repeat(300 * 1024))
  await page.getByLabel('Take in a design').setInputFiles(broken)
  await expect(page.getByRole('alert')).toContainText('too large')
})

test('a true-size template and a fold pattern', async ({ page }) => {
  await openNew(page)
  const svg = readFileSync(await handOn(page, /SVG/), 'utf8')
  expect(svg).toContain('width="211.9625mm"')
  expect(svg).toContain('id="score-valley"')
  const fold = JSON.parse(readFileSync(await handOn(page, /FOLD/), 'utf8')) as {
    file_spec: number
    faces_vertices: unknown[]
  }
  expect(fold.file_spec).toBe(1.2)
  expect(fold.faces_vertices).toHaveLength(5)
})

test('the measures in both systems on a page to print', async ({ page }) => {
  await openNew(page, {}, 'On paper')
  await page.getByRole('button', { name: 'Hand on' }).click()
  await page.getByRole('menuitem', { name: /print/ }).click()
  await expect(page.getByRole('heading', { name: 'On paper' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'In inches' }).locator('..')).toContainText('8 3/16 in')
  await expect(page.getByRole('heading', { name: 'In millimetres' }).locator('..')).toContainText('207 mm')
  const pdf = await page.pdf({ format: 'A4', printBackground: true })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length).toBeLessThanOrEqual(2)
})
