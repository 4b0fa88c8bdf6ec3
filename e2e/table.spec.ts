import { readFileSync } from 'node:fs'
import { expect, test } from './test'
import { begin, figure, inInches, kept, mark, openNew, square } from './gimbo'

test.beforeEach(async ({ page }) => void (await inInches(page)))

test('a new design: change the card, and figures, drawing and shelf follow', async ({ page }) => {
  await begin(page, /^A flat card/, /^envelope from a square/)
  await expect(figure(page, square)).toHaveText('8 3/16 in')
  const before = await page.locator('[data-edge=V] line').first().getAttribute('x1')
  await page.getByLabel('Width of the card').fill('6 3/4')
  await expect(figure(page, square)).toHaveText('9 1/16 in')
  await expect(figure(page, mark)).toHaveText('3 5/8 in')
  expect(await page.locator('[data-edge=V] line').first().getAttribute('x1')).not.toBe(before)
  await expect(page.getByRole('img', { name: /a sheet of 9 1\/16 in by 9 1\/16 in/ })).toBeVisible()
  await page.getByLabel('Name of the design').fill('Ferry timetable')
  await expect(page.getByRole('status')).toHaveText('Kept')
  await page.getByRole('link', { name: 'To the shelf' }).click()
  await expect(page.getByRole('link', { name: /Ferry timetable/ })).toContainText('6 3/4 in')
})

test('any notation in either system, and each figure explained', async ({ page }) => {
  const id = await openNew(page)
  const width = page.getByLabel('Width of the card')
  for (const [typed, text] of [
    ['6', '6 in'],
    ['6.25', '6 1/4 in'],
    ['6¼', '6 1/4 in'],
    ['15 cm', '15 cm'],
    ['150mm', '150 mm'],
  ]) {
    await width.fill(typed ?? '')
    await width.blur()
    await expect(width).toHaveValue(text ?? '')
  }
  expect((await kept(page, id)).fields['/holds/width']?.text).toBe('150 mm')
  await page.getByRole('button', { name: mark }).click()
  const sum = page.getByRole('table', { name: 'What this figure is made of' })
  await expect(sum).toContainText('what it holds, its height')
  await expect(sum).toContainText('in from the edge')
  await expect(sum.getByRole('row').last()).toContainText('3 5/8 in')
})

test('both tools and both systems are one choice away', async ({ page }) => {
  await openNew(page)
  await page.getByRole('button', { name: /^Tool it is folded with/ }).click()
  await page.getByRole('menuitemradio', { name: 'scoring board' }).click()
  await expect(page.getByRole('button', { name: /^Score the (left flap|side flaps)/ })).toBeVisible()
  await expect(page.getByLabel('How far the corners lie inside the edge')).toHaveValue('0.44 in')
  await page.getByRole('button', { name: /^System of measures/ }).click()
  await page.getByRole('menuitemradio', { name: 'millimetres' }).click()
  await expect(figure(page, square)).toHaveText('207 mm')
  await expect(page.getByLabel('Width of the card')).toHaveValue('5 1/2 in')
})

test('a size by its name', async ({ page }) => {
  await openNew(page)
  await page.getByRole('button', { name: /^Choose a size by its name/ }).click()
  await page.getByRole('menuitemradio', { name: /^A6/ }).click()
  await expect(page.getByLabel('Width of the card')).toHaveValue('105 mm')
  await expect(page.getByLabel('Height of the card')).toHaveValue('148 mm')
})

test('pointing at a line lights its measure, and the other way round', async ({ page }) => {
  await openNew(page)
  const line = page.locator('[data-edge=V] line').first()
  const thin = Number(await line.getAttribute('stroke-width'))
  await page.getByRole('button', { name: mark }).hover()
  await expect(line).not.toHaveAttribute('stroke-width', String(thin))
  await page.mouse.move(5, 790)
  await expect(line).toHaveAttribute('stroke-width', String(thin))
  await page.locator('[data-edge=V] line[stroke=transparent]').first().hover()
  await expect(page.getByRole('button', { name: mark })).toHaveClass(/bg-live-wash(?!\S)/)
})

test('a fit that fails says what to change and changes it', async ({ page }) => {
  await openNew(page, { paper: { caliper: '0.12 mm', sheet: { width: '8 in', height: '10 in' } } })
  const fit = page.locator('[data-check=sheet-from-paper]')
  await expect(fit).toHaveAttribute('data-ok', 'false')
  await expect(fit).toContainText('this paper gives 8 in')
  await fit.getByRole('button').first().click()
  await expect(fit).toHaveAttribute('data-ok', 'true')
  await expect(page.getByRole('button', { name: /^Tool it is folded with/ })).toHaveText('scoring board')
  await page.keyboard.press('Control+z')
  await expect(fit).toHaveAttribute('data-ok', 'false')
})

test('by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  const press = async (key: string, times = 1) => {
    for (let i = 0; i < times; i++) await page.keyboard.press(key)
  }
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 40; i++) {
      await press('Tab')
      const label = await page.evaluate(() => {
        const at = document.activeElement
        return at?.getAttribute('aria-label') ?? at?.textContent ?? ''
      })
      if (name.test(label)) return
    }
    throw new Error(`no way by Tab to ${name}`)
  }
  await tabTo(/^New …/)
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'What have you got in your hand?' })).toBeVisible()
  await tabTo(/^A flat card/)
  await press('Enter')
  await expect(page.getByLabel('Width', { exact: true })).toBeFocused()
  await tabTo(/^envelope from a square/)
  await press('Enter')
  await expect(page.getByRole('tab', { name: 'Measures' })).toBeVisible()
  await tabTo(/^Width of the card/)
  await press('ArrowUp', 2)
  await expect(page.getByLabel('Width of the card')).toHaveValue('5 5/8 in')
  await press('Shift+ArrowDown')
  await expect(page.getByLabel('Width of the card')).toHaveValue('5 in')
  await page.keyboard.type('6 1/2')
  await expect(page.getByLabel('Width of the card')).toHaveValue('6 1/2')
  await press('Escape')
  await expect(page.getByLabel('Width of the card')).toHaveValue('5 1/2 in')
  await tabTo(/^Tool it is folded with/)
  await press('Enter')
  await expect(page.getByRole('menuitemradio', { name: 'punch board' })).toBeFocused()
  await press('ArrowDown')
  await expect(page.getByRole('menuitemradio', { name: 'scoring board' })).toBeFocused()
  await press('Enter')
  await expect(page.getByRole('button', { name: /^Score the (left flap|side flaps)/ })).toBeVisible()
  await tabTo(/^Score the (left flap|side flaps)/)
  await press('Enter')
  await expect(page.getByRole('table', { name: 'What this figure is made of' })).toBeVisible()
})

test('undo and redo, by key and by button, over a reload', async ({ page }) => {
  await openNew(page)
  const width = page.getByLabel('Width of the card')
  await width.fill('6')
  await expect(figure(page, square)).toHaveText('8 9/16 in')
  await width.blur()
  await page.getByLabel('Height of the card').fill('5')
  await page.getByLabel('Height of the card').blur()
  await expect(page.getByRole('status')).toHaveText('Kept')
  await page.reload()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Height of the card')).toHaveValue('4 1/4 in')
  await expect(width).toHaveValue('6 in')
  await page.keyboard.press('Control+z')
  await expect(width).toHaveValue('5 1/2 in')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  await page.keyboard.press('Control+Shift+z')
  await expect(width).toHaveValue('6 in')
})

test('every make is offered for what it holds, opens with figures, folds and closes', async ({ page }) => {
  test.setTimeout(300_000)
  const errors: string[] = []
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()))
  page.on('pageerror', (error) => errors.push(error.message))
  const offered: Array<[string, string]> = []
  await page.goto('/')
  await page.getByRole('button', { name: 'New …' }).click()
  const dialog = page.getByRole('dialog')
  for (const held of ['A flat card', 'A thick card', 'A set of cards', 'A little packet', 'Nothing yet']) {
    await dialog.getByRole('button', { name: held }).click()
    await expect(dialog.getByRole('listitem').first()).toBeVisible()
    for (const name of await dialog.getByRole('listitem').locator('.font-serif').allTextContents()) {
      if (!offered.some(([, known]) => known === name)) offered.push([held, name])
    }
    await dialog.getByRole('button', { name: 'Something else in my hand' }).click()
  }
  expect(offered).toHaveLength(11)
  for (const [held, make] of offered) {
    await begin(page, new RegExp(`^${held}`), new RegExp(`^${make}`))
    await expect(page.getByRole('button', { name: /^Cut/ }).first()).toBeVisible()
    expect(await page.locator('[data-check]').count()).toBeGreaterThan(0)
    for (const piece of await page.getByRole('group', { name: 'Pieces' }).getByRole('button').all()) {
      await piece.click()
      await expect(page.getByRole('img', { name: /a sheet of/ })).toBeVisible()
    }
    await page.getByLabel('Width of the card').fill('5')
    await expect(page.getByRole('status')).toHaveText('Kept')
    await page.getByRole('tab', { name: 'Steps' }).click()
    // A key that has no words would show itself: two words joined by a dot.
    expect(await page.locator('main').innerText()).not.toMatch(/\b[a-z-]+\.[a-z-]+\.?[a-z-]*\b/)
    await page.getByRole('button', { name: 'Fold', exact: true }).click()
    const scene = page.getByRole('img', { name: 'The fold in space' })
    await expect(scene).toHaveAttribute('data-frames', /[1-9]/)
    const flat = page.getByRole('button', { name: 'Flat', exact: true })
    if (await flat.isVisible()) {
      await page.getByRole('button', { name: 'Closed', exact: true }).click()
      await expect(page.getByText('Folded and closed')).toBeVisible()
      await flat.click()
      await expect(scene).toHaveAttribute('data-moment', '0.000')
    }
  }
  expect(errors).toEqual([])
})

test('a tray and its lid: a deeper tray asks for another lid, a lid too deep is mended', async ({ page }) => {
  await openNew(page, {
    make: 'tray-and-lid',
    system: 'metric',
    holds: { width: '105 mm', height: '148 mm', thickness: '12 mm' },
    options: { depth: '2 cm' },
  })
  await expect(figure(page, /^Score/)).toHaveText('20 mm')
  // A bare number is in the unit that stands there: centimetres.
  await page.getByLabel('Depth', { exact: true }).fill('3')
  await expect(figure(page, /^Score/)).toHaveText('30 mm')
  await page.getByRole('button', { name: 'Lid', exact: true }).click()
  await expect(figure(page, /^Score/)).toHaveText('15 mm')
  await page.getByRole('button', { name: 'the usual tools' }).click()
  await page.getByLabel('Depth of the lid').fill('40')
  const fit = page.locator('[data-check=lid-not-taller-than-tray]')
  await expect(fit).toHaveAttribute('data-ok', 'false')
  // In the field Escape would bring back what stood there.
  await page.keyboard.press('Tab')
  await page.keyboard.press('Escape')
  await fit.getByRole('button', { name: 'Make the lid half as deep as the tray' }).click()
  await expect(fit).toHaveAttribute('data-ok', 'true')
})

test('another thing made for the same card', async ({ page }) => {
  const id = await openNew(page, { options: { method: 'score-board' } })
  await page.getByRole('button', { name: /^What is made/ }).click()
  await page.getByRole('menuitemradio', { name: 'A deep envelope' }).click()
  await expect(page.getByLabel('Depth', { exact: true })).toBeVisible()
  await expect(page.getByLabel('Width of the card')).toHaveValue('5 1/2 in')
  expect((await kept(page, id)).choices['/options/method']).toBe('punch-board')
})

test('mats lie on their panels, change all together, and go again', async ({ page }) => {
  await openNew(page, { make: 'diamond-card', holds: { width: '6 in', height: '6 in' } })
  await page.getByRole('button', { name: 'Add something' }).click()
  await page.getByRole('menuitem', { name: 'Mats on all panels' }).click()
  await expect(page.locator('[data-layer=mat]')).toHaveCount(13)
  await page.getByLabel('Border that shows').fill('1/4')
  await expect(page.locator('[data-added]', { hasText: 'Mat on the middle' }).locator('dd')).toContainText('2 1/2 in')
  await page.getByRole('button', { name: 'Take away: A mat' }).click()
  await expect(page.locator('[data-layer=mat]')).toHaveCount(0)
})

test('a setting beyond the tools’ reach is said before paper is cut', async ({ page }) => {
  await openNew(page, { make: 'straight-envelope' })
  await page.getByRole('button', { name: 'the usual tools' }).click()
  await page.getByRole('button', { name: 'Say how far the tools reach' }).click()
  await page.getByLabel('How far the tools reach').fill('2')
  const fit = page.locator('[data-check=within-reach]')
  await expect(fit).toHaveAttribute('data-ok', 'false')
  await expect(fit).toContainText('the tools reach 2 in')
})

test('what holds the flap is drawn where it goes', async ({ page }) => {
  await openNew(page)
  await page.getByRole('button', { name: 'Add something' }).click()
  await page.getByRole('menuitem', { name: 'Something to hold it shut' }).click()
  await expect(page.locator('[data-layer=closure]')).toHaveCount(2)
  await expect(page.locator('[data-supply=dot]')).toBeVisible()
})

/** A request for each remedy the core can offer, found among random ones. */
const REMEDIES = JSON.parse(readFileSync('e2e/remedies.json', 'utf8')) as Record<
  string,
  { fit: string; spec: Record<string, unknown> }
>

test('each remedy is one click, and the fit then holds', async ({ page }) => {
  test.setTimeout(180_000)
  for (const [remedy, { fit, spec }] of Object.entries(REMEDIES)) {
    await openNew(page, spec, `Mended by ${remedy}`)
    const failing = page.locator(`[data-check=${fit}][data-ok=false]`)
    const before = await failing.count()
    expect(before, remedy).toBeGreaterThan(0)
    await failing.locator(`[data-remedy=${remedy}]`).first().click()
    await expect(failing, remedy).toHaveCount(before - 1)
    await page.keyboard.press('Control+z')
    await expect(failing, remedy).toHaveCount(before)
  }
})

test('a thickness from the layers it is made of', async ({ page }) => {
  await openNew(page, { holds: { width: '5 1/2 in', height: '4 1/4 in', count: 1 } })
  await page.getByRole('button', { name: 'Thickness from its layers' }).click()
  await page.getByRole('button', { name: 'Work it out from its layers' }).click()
  await page.getByLabel('Mats on it').fill('2')
  await page.getByLabel('What is raised stands off').fill('3')
  // Folded card 2 × 0.3, two mats of 0.3, 3 mm raised.
  await expect(page.getByLabel('Thickness of one card')).toHaveValue('4.2 mm')
  await page.getByLabel('Mats on it').fill('many')
  await expect(page.getByRole('alert')).toContainText('whole number')
  await page.getByLabel('Mats on it').fill('2')
  await page.getByRole('button', { name: 'Write its thickness instead' }).click()
  await expect(page.getByLabel('Mats on it')).toHaveCount(0)
  await expect(page.getByLabel('Thickness of one card')).toHaveValue('4.2 mm')
})

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } })
  test('a tap shows what pointing shows, and every target takes a finger', async ({ page }) => {
    await openNew(page)
    await page.locator('[data-edge=V] line[stroke=transparent]').first().tap()
    await expect(page.getByRole('button', { name: mark })).toHaveClass(/bg-live-wash(?!\S)/)
    await page.getByRole('button', { name: 'Fold', exact: true }).tap()
    const scene = page.getByRole('img', { name: 'The fold in space' })
    await expect(scene).toHaveAttribute('data-frames', /[1-9]/)
    const box = await scene.boundingBox()
    if (!box) throw new Error('no scene')
    const before = await scene.getAttribute('data-frames')
    const session = await page.context().newCDPSession(page)
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: type === 'touchEnd' ? [] : [{ x: box.x + x, y: box.y + box.height / 2 }],
      })
    await touch('touchStart', 200)
    for (let x = 210; x <= 320; x += 22) await touch('touchMove', x)
    await touch('touchEnd', 320)
    await expect(scene).not.toHaveAttribute('data-frames', before ?? '')
  })
})
