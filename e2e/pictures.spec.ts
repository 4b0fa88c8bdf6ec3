import { expect, test, type Page } from './test'
import { startCutter } from './cutter'

/**
 * The pictures in docs/screenshots, each compared with what the view looks like now, from a Gimbo that holds nothing but the
 * demo. After a change that is meant, `make screenshots` takes them anew; then look at each.
 */
test.use({ kind: 'pictures' })

interface Picture {
  name: string
  design?: RegExp
  path?: string
  width?: number
  height?: number
  theme?: 'light' | 'dark'
  fullPage?: boolean
  act?: (page: Page, cutterPort: number) => Promise<unknown>
}

const toFold = async (page: Page, share: string) => {
  await page.getByRole('button', { name: 'Fold', exact: true }).click()
  await page.getByRole('slider').fill(share)
  await expect(page.getByRole('img', { name: 'The fold in space' })).toHaveAttribute('data-frames', /[1-9]/)
}

const PICTURES: Picture[] = [
  // First: what is in a backup hangs on what the others leave behind.
  {
    name: 'backups',
    path: '/backups',
    act: async (page) => {
      await page.getByRole('button', { name: 'Back up now' }).click()
      await expect(page.getByRole('status')).toContainText('Backed up')
      await page.reload()
      await page.getByRole('button', { name: 'Look into it' }).first().click()
      await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible()
      // Of this very moment and machine.
      await page.evaluate(() => {
        for (const time of document.querySelectorAll('time')) time.textContent = '27 Nov 2026, 06:08'
        for (const folder of document.querySelectorAll('code')) folder.textContent = 'storage/gimbo-backups'
        document.querySelector('[role=dialog] h2')?.replaceChildren('Backup of 27 Nov 2026, 06:08')
      })
    },
  },
  { name: 'shelf' },
  {
    name: 'start',
    act: async (page) => {
      await page.getByRole('button', { name: 'New …' }).click()
      await page.getByRole('button', { name: /^A set of cards/ }).click()
      await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible()
    },
  },
  { name: 'table', design: /Spring-fair/ },
  { name: 'fold', design: /Spring-fair/, act: (page) => toFold(page, '0.8') },
  {
    name: 'tray',
    design: /Ten tern/,
    act: async (page) => {
      await page.getByRole('button', { name: 'All pieces' }).click()
      await page
        .getByRole('button', { name: /^Score/ })
        .first()
        .click()
      await expect(page.getByText('A step more')).toBeVisible()
    },
  },
  {
    name: 'with',
    design: /Tin of shell finds/,
    act: (page) => toFold(page, '1'),
  },
  {
    name: 'plan',
    act: async (page) => {
      const { plans } = (await (await page.request.get('/api/plans')).json()) as { plans: Array<{ id: string }> }
      await page.goto(`/plans/${plans[0]?.id}`)
      await page
        .getByRole('button', { name: /Sandbank/ })
        .last()
        .click()
      await page.getByRole('button', { name: 'Cut, go on' }).click()
    },
  },
  { name: 'does-not-fit', design: /Certificate/ },
  {
    name: 'bad-input',
    design: /Survey card/,
    width: 1024,
    height: 768,
    act: async (page) => {
      await page.getByLabel('Width of the card').fill('5 1/2 parsecs')
      await expect(page.getByRole('alert')).toBeVisible()
    },
  },
  {
    name: 'evening',
    design: /Kite of terns|Lighthouse/,
    theme: 'dark',
    act: async (page) => {
      await toFold(page, '0.7')
      await page.getByRole('tab', { name: 'Steps' }).click()
    },
  },
  {
    name: 'versions',
    design: /Wallet for six/,
    act: async (page) => {
      await page.getByRole('link', { name: 'Compare versions' }).click()
      const version = page.getByRole('region', { name: 'Version 2' })
      await version.getByLabel('Width of the gusset').fill('3/4')
      await expect(page.locator('[data-differs=true]').first()).toBeVisible()
      await version.getByLabel('Width of the gusset').blur()
    },
  },
  {
    name: 'work',
    design: /Boat ticket to/,
    act: async (page) => {
      await page.getByRole('link', { name: 'At the table, step by step' }).click()
      await expect(page.getByRole('status')).toContainText('1 of')
      for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
      await expect(page.getByRole('status')).toContainText('4 of')
    },
  },
  { name: 'papers', path: '/library/papers' },
  {
    name: 'tools',
    path: '/library/tools',
    act: async (page) => {
      await page.getByRole('button', { name: 'Change Club house table' }).click()
      await page.getByRole('button', { name: 'Find out the notch by a trial' }).click()
      await page.getByLabel('Face, one way').fill('3 5/8')
      await page.getByLabel('Face, the other way').fill('3 21/32')
      await expect(page.getByText('The notch is')).toBeVisible()
    },
  },
  {
    name: 'cutting',
    design: /Ten tern/,
    act: async (page, cutterPort) => {
      const jobs = `/api${new URL(page.url()).pathname}/cutting`
      const before = (await (await page.request.get('/api/cutting')).json()) as { jobs: Array<{ id: string }> }
      for (const { id } of before.jobs) await page.request.delete(`/api/cutting/${id}`)
      const cutter = await startCutter(cutterPort, 'ready')
      try {
        await page.request.post(jobs, { data: { pieces: ['tray'] } })
        await cutter.report()
      } finally {
        await cutter.stop()
      }
      await page.request.post(jobs, { data: { pieces: ['lid'] } })
      await page.goto('/cutting')
      await expect(page.locator('[data-state=failed]')).toBeVisible()
      await expect(page.locator('[data-state=done]')).toBeVisible()
    },
  },
  {
    name: 'phone',
    design: /Ten tern/,
    width: 390,
    height: 844,
  },
  {
    name: 'tablet',
    design: /Lighthouse/,
    width: 820,
    height: 1180,
  },
  {
    name: 'handout',
    design: /Ten tern/,
    fullPage: true,
    act: async (page) => {
      await page.goto(`${page.url().replace(/\?.*$/, '')}/print`)
      await expect(page.getByRole('img', { name: 'The finished thing' })).toBeVisible()
    },
  },
]

for (const {
  name,
  design,
  path = '/',
  width = 1280,
  height = 800,
  theme = 'light',
  fullPage = false,
  act,
} of PICTURES) {
  test(`the picture of ${name} is what the view looks like`, async ({ page, cutterPort }) => {
    await page.setViewportSize({ width, height })
    await page.addInitScript((value) => localStorage.setItem('gimbo.theme', value), theme)
    await page.goto(path)
    if (design) {
      await page.getByRole('link', { name: design }).first().click()
      await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
    }
    await act?.(page, cutterPort)
    await page.waitForTimeout(400)
    await page.mouse.move(2, 2)
    await expect(page).toHaveScreenshot(`${name}.png`, { fullPage, animations: 'disabled', caret: 'hide' })
  })
}
