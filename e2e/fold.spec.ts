import { expect, test, type Page } from './test'
import { openNew } from './gimbo'

const scene = (page: Page) => page.getByRole('img', { name: 'The fold in space' })
const toFold = async (page: Page) => {
  await page.getByRole('button', { name: 'Fold', exact: true }).click()
  await expect(scene(page)).toHaveAttribute('data-frames', /[1-9]/)
}
/** What is drawn, as a picture to compare: it changed if what is seen did. */
const seen = async (page: Page) => {
  await page.waitForTimeout(150)
  return (await scene(page).screenshot()).toString('base64')
}

test('scrubbed, played, turned by mouse and by keys', async ({ page }) => {
  await openNew(page)
  await toFold(page)
  const slider = page.getByRole('slider', { name: 'How far it is folded' })
  await slider.fill('0')
  const flat = await seen(page)
  await slider.focus()
  for (let i = 0; i < 30; i++) await slider.press('ArrowRight')
  await expect(slider).toHaveAttribute('aria-valuetext', 'Step 11: Folding: left flap and right flap')
  expect(await seen(page)).not.toBe(flat)
  await page.getByRole('button', { name: 'Play the fold' }).click()
  await expect(page.getByText('Folded and closed')).toBeVisible({ timeout: 20_000 })
  await expect(page.getByRole('button', { name: 'Play the fold' })).toBeVisible()

  const closed = await seen(page)
  await scene(page).focus()
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowUp')
  const turned = await seen(page)
  expect(turned).not.toBe(closed)
  await page.keyboard.press('Home')
  const box = await scene(page).boundingBox()
  if (!box) throw new Error('no scene')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 120, box.y + box.height / 2 + 20, { steps: 4 })
  await page.mouse.up()
  expect(await seen(page)).not.toBe(closed)
  await page.getByRole('checkbox', { name: 'what it holds' }).uncheck()
})

test('it follows every change, and the address keeps the view', async ({ page }) => {
  await openNew(page)
  await toFold(page)
  await page.getByRole('button', { name: 'Half', exact: true }).click()
  const before = await seen(page)
  await page.getByLabel('Width of the card').fill('9')
  await expect(page.getByRole('status')).toHaveText('Kept')
  expect(await seen(page)).not.toBe(before)
  await page.reload()
  await expect(scene(page)).toHaveAttribute('data-frames', /[1-9]/)
  await page.locator('body').press('s')
  await expect(page.getByRole('img', { name: /a sheet of/ })).toBeVisible()
  await page.locator('body').press('f')
  await expect(scene(page)).toBeVisible()
})

test('a tray and its lid are put together last', async ({ page }) => {
  await openNew(page, { make: 'tray-and-lid' })
  await toFold(page)
  const slider = page.getByRole('slider', { name: 'How far it is folded' })
  await slider.fill('0.95')
  await expect(slider).toHaveAttribute('aria-valuetext', 'Put them together')
  await page.getByRole('button', { name: 'Lid', exact: true }).click()
  await slider.fill('0.95')
  await expect(slider).toHaveAttribute('aria-valuetext', /Lid: folding/)
})

test('where there is no WebGL a still picture is shown', async ({ page }) => {
  await page.addInitScript(() => {
    const get = HTMLCanvasElement.prototype.getContext.bind(HTMLCanvasElement.prototype)
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string) {
      return kind.startsWith('webgl') ? null : get.call(this, kind as '2d')
    } as typeof HTMLCanvasElement.prototype.getContext
  })
  await openNew(page)
  await page.getByRole('button', { name: 'Fold', exact: true }).click()
  await expect(page.getByRole('img', { name: 'The finished thing' })).toBeVisible()
  await expect(page.getByText('draws nothing in space')).toBeVisible()
})

test('where less motion is asked for, it goes stage by stage', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await openNew(page)
  await toFold(page)
  await page.getByRole('button', { name: 'Flat', exact: true }).click()
  await page.getByRole('button', { name: 'Play the fold' }).click()
  const moments = new Set<string>()
  for (let i = 0; i < 60 && !(await page.getByText('Folded and closed').isVisible()); i++) {
    moments.add((await scene(page).getAttribute('data-moment')) ?? '')
    await page.waitForTimeout(100)
  }
  await expect(page.getByText('Folded and closed')).toBeVisible()
  for (const moment of moments) expect(Number(moment) % 1).toBe(0)
})

test('the scene is fetched only when it is wanted', async ({ page }) => {
  const fetched: string[] = []
  page.on('request', (request) => fetched.push(request.url()))
  await openNew(page)
  await page.waitForTimeout(300)
  expect(fetched.filter((url) => url.includes('FoldView'))).toEqual([])
  await toFold(page)
  expect(fetched.filter((url) => url.includes('FoldView'))).toHaveLength(1)
})
