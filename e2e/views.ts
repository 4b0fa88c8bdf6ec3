import { expect, type Page } from '@playwright/test'
import { own } from './gimbo'
import { begins, sayIn, type Say } from './say'

const english = sayIn('en')

export interface View {
  name: string
  /** The route it is of, as resources/js/main.tsx has it; a page of the server's own where there is none. */
  route: string
  open: (page: Page, say: Say) => Promise<void>
  /** What hangs on the place it was opened from: opened anew at every size. */
  isFleeting?: true
}

/** Two pieces, a fit that fails, the most that a table has to show. */
const BUSY = {
  make: 'tray-and-lid',
  holds: { width: '5 1/4 in', height: '4 in', thickness: '2 mm', count: 10 },
  paper: { caliper: '0.3 mm', sheet: { width: '6 in', height: '6 in' } },
}

/** Twenty pieces and one of everything that goes with a make. */
const DRESSED = {
  ...BUSY,
  papers: { print: { name: 'Low tide', colour: '#b9cfd6', caliper: '0.2 mm' } },
  with: [
    ...['lid/base', 'lid/left-wall', 'lid/top-wall', 'tray/left-wall', 'tray/top-wall', 'tray/bottom-wall'].flatMap(
      (on, i) => [
        {
          id: `mat-${i}`,
          role: 'mat',
          on,
          border: i ? '1/16 in' : { width: '1/8 in', height: '3/16 in' },
          paper: 'print',
        },
        { id: `second-${i}`, role: 'mat', on: `mat-${i}`, border: '1/16 in' },
      ],
    ),
    { id: 'strip-1', role: 'strip', on: 'lid/bottom-wall', width: '1/4 in' },
    {
      id: 'window-1',
      role: 'window',
      on: 'lid/base',
      shape: { oval: ['2 in', '1 1/2 in'] },
      backing: { paper: 'print' },
      frame: { width: '1/8 in' },
    },
    { id: 'band-1', role: 'band', paper: 'print' },
    { id: 'ribbon-1', role: 'ribbon' },
    { id: 'label-1', role: 'label', text: '7', count: 12 },
  ],
}

async function design(page: Page, spec: object = BUSY): Promise<string> {
  const answer = await page.request.post('/api/designs', { data: { name: own('Note cards of the spring fair'), spec } })
  const { id } = (await answer.json()) as { id: string }
  return `/designs/${id}`
}

async function table(page: Page, say: Say, search = '', spec: object = BUSY) {
  await page.goto((await design(page, spec)) + search)
  await expect(page.getByRole('button', { name: say('action.undo') })).toBeVisible()
}

/** Where there is little room, the request stands behind a tab of its own. */
export async function showRequest(page: Page, say: Say = english) {
  const tab = page.getByRole('tab', { name: say('tab.request') })
  if (await tab.isVisible()) await tab.click()
}

const ADDS: Record<string, string> = {
  '/library/sizes': 'sizes.add',
  '/library/tools': 'tools-page.add',
  '/library/papers': 'papers.add',
  '/cutting/machines': 'cutters.add',
}

/** Every view, in a state that is hard to lay out. */
/** A plan from a roll, in bought envelopes, with slants that save paper, a print that runs on, and something that is missing. */
async function everything(page: Page): Promise<string> {
  const ask = async <T>(method: 'get' | 'post' | 'put', path: string, data?: object) =>
    (await (await page.request[method](`/api${path}`, data && { data })).json()) as T
  const { papers, envelopes } = await ask<Record<string, Array<{ id: string; name: string }>>>('get', '/library')
  const roll =
    papers?.find(({ name }) => name === 'Eelgrass roll') ??
    (await ask<{ id: string }>('post', '/library/papers', {
      name: 'Eelgrass roll',
      stock: [{ width: '13 in', height: '4 yd', count: 1, roll: true, place: 'loft' }],
    }))
  const { designs } = await ask<{ designs: Array<{ id: string; name: string }> }>('get', '/designs')
  const of = (name: string) => designs.find((one) => one.name === name)?.id
  const asked = {
    items: [
      { design: of('Kite of terns'), count: 3, envelope: envelopes?.[0]?.id },
      { design: of('Invitation, half fold'), count: 60 },
    ],
    papers: { '': roll.id },
    kerf: '1 mm',
  }
  const plan = await ask<{ id: string; pieces: Array<{ id: string; named: string }>; nesting: Nest[] }>(
    'post',
    '/plans',
    {
      name: 'Kite of terns',
      asked,
    },
  )
  const pieces = plan.pieces.filter(({ named }) => named === '').map(({ id }) => id)
  await ask('put', `/plans/${plan.id}`, {
    asked: {
      ...asked,
      runs: [{ pieces: [pieces[0], pieces[0]] }],
      nested: plan.nesting
        .filter(({ kind }) => kind === 'nested')
        .slice(0, 1)
        .map(({ piece }) => piece),
    },
  })
  return plan.id
}

interface Nest {
  kind: string
  piece: string
}

export const VIEWS: View[] = [
  {
    name: 'shelf',
    route: '/',
    open: async (page) => {
      await page.goto('/')
      await expect(page.locator('main a[href^="/designs/"]').first()).toBeVisible()
    },
  },
  {
    name: 'shelf, empty',
    route: '/',
    open: async (page, say) => {
      await page.route('**/api/designs', (route) => route.fulfill({ json: { designs: [] } }))
      await page.goto('/')
      await expect(page.getByRole('heading', { name: say('start.what') })).toBeVisible()
      await page.unroute('**/api/designs')
    },
  },
  {
    name: 'shelf, menu of a design',
    isFleeting: true,
    route: '/',
    open: async (page, say) => {
      await page.goto('/')
      await page
        .getByRole('button', { name: begins(say('shelf.more', { name: '' }).trim()) })
        .first()
        .click()
      await expect(page.getByRole('menu')).toBeVisible()
    },
  },
  {
    name: 'start',
    route: '/',
    open: async (page, say) => {
      await page.goto('/')
      await page.getByRole('button', { name: say('shelf.new-picker') }).click()
      await page.getByRole('button', { name: begins(say('held.thick-card')) }).click()
      await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible()
    },
  },
  {
    name: 'keys',
    route: '/',
    open: async (page) => {
      await page.goto('/')
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await page.keyboard.press('?')
      await expect(page.getByRole('dialog')).toBeVisible()
    },
  },
  { name: 'table', route: '/designs/:id', open: (page, say) => table(page, say) },
  { name: 'table, all pieces', route: '/designs/:id', open: (page, say) => table(page, say, '?piece=all') },
  {
    name: 'table, fold',
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say, '?view=fold')
      await expect(page.getByLabel(say('fold.label'))).toBeVisible()
    },
  },
  {
    name: 'table, dressed',
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say, '?piece=lid', DRESSED)
      await showRequest(page, say)
      await expect(page.locator('[data-with]')).toHaveCount(DRESSED.with.length)
    },
  },
  {
    name: 'table, a panel pressed',
    isFleeting: true,
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say, '?piece=lid', DRESSED)
      const box = await page.locator('[data-panel=base]').boundingBox()
      await page.mouse.click((box?.x ?? 0) + (box?.width ?? 0) * 0.24, (box?.y ?? 0) + (box?.height ?? 0) * 0.5)
      await expect(page.getByRole('menu')).toBeVisible()
    },
  },
  {
    name: 'table, wrong',
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say)
      await showRequest(page, say)
      await page.getByLabel(say('field.holds.width')).fill('as wide as a tern')
      await expect(page.getByText(say('field.holds.width')).first()).toBeVisible()
      await page.getByLabel(say('field.holds.width')).blur()
    },
  },
  {
    name: 'table, tools',
    isFleeting: true,
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say)
      await showRequest(page, say)
      await page.getByRole('button', { name: say('tools.usual') }).click()
      await expect(page.getByLabel(say('field.tools.cut'))).toBeVisible()
    },
  },
  {
    name: 'table, makes',
    isFleeting: true,
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say)
      await showRequest(page, say)
      await page.getByRole('button', { name: begins(say('field.make')) }).click()
      await expect(page.getByRole('menu')).toBeVisible()
    },
  },
  {
    name: 'table, handing on',
    isFleeting: true,
    route: '/designs/:id',
    open: async (page, say) => {
      await table(page, say)
      await page.getByRole('button', { name: new RegExp(`^(${say('hand-on.title')}|${say('hand-on.more')})`) }).click()
      await expect(page.getByRole('menu')).toBeVisible()
    },
  },
  {
    name: 'compare',
    route: '/designs/:id/compare',
    open: async (page) => {
      await page.goto((await design(page)) + '/compare')
      await expect(page.getByRole('rowheader').first()).toBeVisible()
    },
  },
  {
    name: 'work',
    route: '/designs/:id/work',
    open: async (page) => {
      await page.goto((await design(page)) + '/work')
      await expect(page.getByRole('progressbar').first()).toBeVisible()
    },
  },
  {
    name: 'work, missed',
    route: '/designs/:id/work',
    open: async (page, say) => {
      await page.goto((await design(page)) + '/work')
      await page.getByRole('button', { name: say('missed.ask') }).click()
      await page.getByRole('textbox').fill('8 in')
      await expect(page.getByRole('status').first()).toBeVisible()
    },
  },
  ...['/library/sizes', '/library/tools', '/library/papers'].map((path) => ({
    name: path.slice(1),
    route: '/library/:kind',
    open: async (page: Page, say: Say) => {
      await page.goto(path)
      await expect(page.getByRole('button', { name: say(ADDS[path] ?? '') })).toBeVisible()
    },
  })),
  ...['/library/sizes', '/library/tools', '/library/papers', '/cutting/machines'].map((path) => ({
    name: `${path.slice(1)}, a new one`,
    route: path === '/cutting/machines' ? path : '/library/:kind',
    open: async (page: Page, say: Say) => {
      await page.goto(path)
      await page.getByRole('button', { name: say(ADDS[path] ?? '') }).click()
      await expect(page.getByLabel(say('entry.name'), { exact: true })).toBeVisible()
    },
  })),
  {
    name: 'plans',
    route: '/plans',
    open: async (page) => {
      await page.goto('/plans')
      await expect(page.locator('main a[href^="/plans/"]').first()).toBeVisible()
    },
  },
  {
    name: 'a plan',
    route: '/plans/:id',
    open: async (page, say) => {
      const { plans } = (await (await page.request.get('/api/plans')).json()) as { plans: Array<{ id: string }> }
      await page.goto(`/plans/${plans.at(-1)?.id}`)
      await expect(page.locator('[data-sheet]')).toBeVisible()
      await page.getByRole('button', { name: say('plan.set-wrong') }).click()
    },
  },
  {
    name: 'a plan with everything',
    route: '/plans/:id',
    open: async (page, say) => {
      await page.goto(`/plans/${await everything(page)}`)
      await expect(page.locator('[data-sheet]')).toBeVisible()
      await page.getByText(say('plan.all-cuts')).click()
      await expect(page.locator('[data-run], [data-nest], [data-envelopes]').first()).toBeVisible()
    },
  },
  {
    name: 'envelopes, new ones',
    route: '/library/:kind',
    open: async (page, say) => {
      await page.goto('/library/papers')
      await page.getByRole('button', { name: say('envelopes.add'), exact: true }).click()
      await page
        .getByRole('dialog')
        .getByRole('button', { name: say('form.keep') })
        .click()
      await expect(page.getByRole('alert').first()).toBeVisible()
    },
  },
  {
    name: 'a roll counted',
    route: '/library/:kind',
    open: async (page, say) => {
      await everything(page)
      await page.goto('/library/papers')
      await page
        .getByRole('button', { name: say('stock.count-named', { paper: 'Eelgrass roll' }) })
        .first()
        .click()
      await expect(page.getByRole('dialog')).toBeVisible()
    },
  },
  {
    name: 'a paper counted',
    route: '/library/:kind',
    open: async (page, say) => {
      await page.goto('/library/papers')
      await page.getByRole('button', { name: say('stock.count-named', { paper: 'Low tide' }) }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
    },
  },
  {
    name: 'cutting',
    route: '/cutting',
    open: async (page) => {
      await page.goto('/cutting')
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    },
  },
  {
    name: 'backups',
    route: '/backups',
    open: async (page, say) => {
      await page.goto('/backups')
      await page.getByRole('button', { name: say('backups.make') }).click()
      await expect(page.getByRole('status').first()).toBeVisible()
    },
  },
  {
    name: 'handout',
    route: '',
    open: async (page, say) => {
      await page.goto((await design(page)) + '/print')
      await expect(page.getByRole('img', { name: say('handout.picture') })).toBeVisible()
    },
  },
  { name: 'missing', route: '', open: async (page) => void (await page.goto('/nowhere/at/all')) },
]
