import { expect, test, type Locator, type Page } from './test'
import { openNew, own } from './gimbo'

interface Row {
  width: string
  height: string
  count: number
  offcut: boolean
}

/** A paper of its own for one journey, with what there is of it. */
async function paper(page: Page, name: string, stock: object[]): Promise<string> {
  const answer = await page.request.post('/api/library/papers', { data: { name, stock } })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as { id: string }).id
}

async function stockOf(page: Page, id: string): Promise<Row[]> {
  const { papers } = (await (await page.request.get('/api/library')).json()) as {
    papers: Array<{ id: string; stock: Row[] }>
  }
  return papers.find((one) => one.id === id)?.stock ?? []
}

async function design(page: Page, name: string, spec: object): Promise<string> {
  const answer = await page.request.post('/api/designs', { data: { name, spec } })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as { id: string }).id
}

/** How a journey is walked: on which screen, and whether by touch. */
const HANDS = [
  ['by mouse', 1280, 800, false],
  ['by touch', 390, 844, true],
] as const

const HOLDS = { width: '5 1/2 in', height: '4 1/4 in', thickness: '1 mm' }

for (const [how, width, height, hasTouch] of HANDS) {
  test.describe(how, () => {
    test.use({ hasTouch, viewport: { width, height } })

    test(`${how}: thirty invitations with envelopes and mats out of a drawer of five papers`, async ({ page }) => {
      const press = (what: Locator) => (hasTouch ? what.tap() : what.click())
      const names = ['Gull', 'Sand', 'Tide', 'Dune', 'Wrack'].map((one) => own(one))
      const [white = '', sand = '', tide = ''] = names
      const letter = { width: '8 1/2 in', height: '11 in', count: 30 }
      const ids = [
        await paper(page, white, [
          letter,
          { width: '4 1/4 in', height: '11 in', count: 1, offcut: true, place: 'folder 2' },
        ]),
        await paper(page, sand, [{ width: '12 in', height: '12 in', count: 9 }]),
        await paper(page, tide, [{ width: '12 in', height: '12 in', count: 1 }]),
        await paper(page, names[3] ?? '', [letter]),
        await paper(page, names[4] ?? '', [letter]),
      ]
      const card = await design(page, own('Invitation'), {
        make: 'folded-card',
        holds: HOLDS,
        paper: { caliper: '0.27 mm', name: white },
        papers: { sand: { caliper: '0.16 mm', name: sand }, tide: { caliper: '0.3 mm', name: tide } },
        with: [
          { id: 'a', role: 'mat', on: 'card/front', border: '1/8 in', paper: 'sand' },
          { id: 'b', role: 'mat', on: 'a', border: '1/8 in', paper: 'tide' },
        ],
      })
      const envelope = own('Envelope')
      await design(page, envelope, {
        make: 'diagonal-envelope',
        holds: HOLDS,
        paper: { caliper: '0.12 mm', name: names[3] },
      })

      // From the design to its plan, thirty of it, and thirty envelopes.
      await page.goto(`/designs/${card}`)
      await press(page.getByRole('button', { name: /Hand on|More/ }).last())
      await press(page.getByRole('menuitem', { name: 'Plan the cutting' }))
      await expect(page).toHaveURL(/\/plans\//)
      const many = page.getByRole('textbox', { name: /^How many of Invitation/ })
      await many.fill('0')
      await many.press('Enter')
      await expect(page.getByText('Write a whole number from 1 to 1000.')).toBeVisible()
      await expect(many).toHaveValue('0')
      await many.fill('30')
      await many.press('Enter')
      await expect(page.locator('[data-piece="A"]')).toContainText('30 ×')
      await press(page.getByRole('button', { name: /and a design/ }))
      await press(page.getByRole('menuitemradio', { name: envelope }))
      await page.getByRole('textbox', { name: `How many of ${envelope}` }).fill('30')
      await page.getByRole('textbox', { name: `How many of ${envelope}` }).press('Enter')
      await expect(page.locator('[data-piece="D"]')).toContainText('30 ×')

      // The offcut comes first; it is cut, booked, and taken back: there is what there was.
      const before = await stockOf(page, ids[0] ?? '')
      await expect(page.locator('[data-sheet-number="1"]')).toContainText('folder 2')
      await press(page.getByRole('button', { name: /Cut: book the sheet|The whole sheet is cut/ }).first())
      const booked = page.locator('[data-booked]')
      await expect(booked).toHaveCount(1)
      expect((await stockOf(page, ids[0] ?? '')).filter(({ offcut }) => offcut)).toHaveLength(0)
      await press(booked.getByRole('button', { name: 'Take back' }))
      await expect(booked).toHaveCount(0)
      expect(await stockOf(page, ids[0] ?? '')).toEqual(before)

      // A sheet followed cut by cut: each in words and in the drawing, the last one books it.
      await press(page.getByRole('button', { name: new RegExp(`\\d\\. ${sand}`) }).first())
      const number = await page.locator('[data-cut]').count()
      for (let cut = 1; cut < number; cut++) {
        await expect(page.getByText(`Cut ${cut} of ${number}`)).toBeVisible()
        await press(page.getByRole('button', { name: 'Cut, go on' }))
      }
      await press(page.getByRole('button', { name: 'Cut: book the sheet' }))
      await expect(booked).toHaveCount(1)
      expect((await stockOf(page, ids[1] ?? ''))[0]?.count).toBe(8)

      // One set wrong: the rest is planned anew, with what was cut already.
      await press(page.getByRole('button', { name: new RegExp(`\\d\\. ${sand}`) }).first())
      await press(page.getByRole('button', { name: 'Set wrong?' }))
      await page.getByLabel(/was really made at/).fill('3 in')
      await press(page.getByRole('button', { name: 'Plan the rest anew' }))
      await expect(booked).toHaveCount(2)
      await expect(booked.first()).toContainText('A cut was set wrong.')
      expect(
        (await stockOf(page, ids[1] ?? '')).some((row) => row.offcut && [row.width, row.height].includes('3 in')),
      ).toBe(true)

      // What is missing is on the shopping list, in sheets of the size she names.
      const buy = page.locator(`[data-buy="${tide}"]`)
      await expect(buy).toContainText(/\d+ × /)
      const first = Number(/^(\d+)/.exec((await buy.textContent()) ?? '')?.[1])
      await press(buy.getByRole('button', { name: 'another size of sheet' }))
      await buy.getByRole('textbox').first().fill('5 in')
      await buy.getByRole('textbox').last().fill('4 in')
      await press(buy.getByRole('button', { name: 'Save' }))
      await expect(buy).toContainText('5 in × 4 in')
      expect(Number(/^(\d+)/.exec((await buy.textContent()) ?? '')?.[1])).toBeGreaterThan(first)
    })
  })
}

test('what was cut in another window is said before anything is booked', async ({ page, context }) => {
  const name = own('Gull')
  const id = await paper(page, name, [{ width: '8 1/2 in', height: '11 in', count: 5 }])
  const card = await design(page, own('Card'), {
    make: 'folded-card',
    holds: HOLDS,
    paper: { caliper: '0.3 mm', name },
  })
  const made = await page.request.post('/api/plans', {
    data: { name: own('Plan'), asked: { items: [{ design: card, count: 6 }] } },
  })
  const plan = (await made.json()) as { id: string }
  const other = await context.newPage()
  for (const one of [page, other]) await one.goto(`/plans/${plan.id}`)
  await expect(page.locator('[data-sheet]')).toBeVisible()
  await expect(other.locator('[data-sheet]')).toBeVisible()
  await other.getByRole('button', { name: /Cut: book the sheet/ }).click()
  await expect(other.locator('[data-booked]')).toHaveCount(1)
  await page.getByRole('button', { name: /Cut: book the sheet/ }).click()
  await expect(page.getByText('The drawer or the plan has changed since you looked.')).toBeVisible()
  await expect(page.locator('[data-booked]')).toHaveCount(1)
  expect((await stockOf(page, id))[0]?.count).toBe(4)
})

test('the drawer is counted, and what is wrong is said beside it', async ({ page }) => {
  const name = own('Gull')
  const id = await paper(page, name, [{ width: '12 in', height: '12 in', count: 3 }])
  await page.goto('/library/papers')
  await page.getByRole('button', { name: `Count ${name}` }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: 'One more' }).click()
  await sheet.getByRole('button', { name: 'An offcut' }).click()
  await sheet.getByLabel('Width of a sheet').last().fill('nothing')
  await sheet.getByLabel('Height of a sheet').last().fill('4 1/2')
  await sheet.getByLabel('Where it lies').last().fill('folder 3')
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet.getByRole('alert')).toContainText('“nothing” is not a length')
  await sheet.getByLabel('Width of a sheet').last().fill('3')
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet).toHaveCount(0)
  expect(await stockOf(page, id)).toMatchObject([
    { width: '12 in', count: 4, offcut: false },
    { width: '3 in', height: '4 1/2 in', count: 1, offcut: true, place: 'folder 3' },
  ])
})

test('a hair less room gives two out of a sheet where there was one, and is offered as it was tried', async ({
  page,
}) => {
  await openNew(
    page,
    {
      make: 'tray-and-lid',
      system: 'metric',
      holds: { width: '106 mm', height: '106 mm', thickness: '18 mm' },
      paper: { caliper: '0.3 mm', sheet: { width: '296 mm', height: '200 mm' } },
    },
    own('Yield'),
  )
  const tray = page.locator('[data-yield="tray"]')
  await expect(tray).toContainText('1 ×')
  await expect(tray).toContainText('2 would come out')
  await tray.getByRole('button').click()
  await expect(tray).toContainText('2 ×')
  await expect(page.locator('[data-check][data-ok=false]')).toHaveCount(0)
})

test('of a paper without a name is asked which it is; what is cut is said only when it is', async ({ page }) => {
  const name = own('Gull')
  await paper(page, name, [{ width: '8 1/2 in', height: '11 in', count: 5 }])
  const card = await design(page, own('Card'), { make: 'folded-card', holds: HOLDS, paper: { caliper: '0.3 mm' } })
  const made = await page.request.post('/api/plans', {
    data: { name: own('Plan'), asked: { items: [{ design: card, count: 1 }] } },
  })
  await page.goto(`/plans/${((await made.json()) as { id: string }).id}`)
  const says = page.getByRole('status').filter({ hasText: /paper|cut/ })
  await expect(says).toHaveText('Say first which paper it is cut from')
  await page.getByLabel('The paper of these designs has no name').selectOption({ label: name })
  await expect(says).toHaveText('One sheet to cut')
  await page
    .getByRole('button', { name: /Cut: book the sheet|The whole sheet is cut/ })
    .first()
    .click()
  await expect(says).toHaveText('Everything is cut')
})

/** A plan of its own, opened. */
async function openPlan(page: Page, asked: object): Promise<string> {
  const made = await page.request.post('/api/plans', { data: { name: own('Plan'), asked } })
  expect(made.status()).toBe(201)
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/plans/${id}`)
  return id
}

test('a sheet in hand is where it was left after a reload, and seen in another window', async ({ page, context }) => {
  const name = own('Gull')
  await paper(page, name, [{ width: '12 in', height: '12 in', count: 5 }])
  const card = await design(page, own('Card'), {
    make: 'folded-card',
    holds: HOLDS,
    paper: { caliper: '0.3 mm', name },
  })
  await openPlan(page, { items: [{ design: card, count: 4 }] })
  await page.getByRole('button', { name: 'Cut, go on' }).click()
  await expect(page.getByText(/^Cut 2 of/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^Cut 2 of/)).toBeVisible()
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByText(/^Cut 2 of/)).toBeVisible()
  // Laid back in the other window: this one is told before it goes on, and then is where the other is.
  await other.getByRole('button', { name: 'One cut back' }).click()
  await expect(other.getByText(/^Cut 1 of/)).toBeVisible()
  await page
    .getByRole('button', { name: /The whole sheet is cut|Cut: book/ })
    .first()
    .click()
  await expect(page.getByText('The drawer or the plan has changed since you looked.')).toBeVisible()
  await expect(page.getByText(/^Cut 1 of/)).toBeVisible()
  await expect(page.locator('[data-booked]')).toHaveCount(0)
})

test('a longer search shows the best so far, how far it is, and is stopped', async ({ page }) => {
  const name = own('Gull')
  await paper(page, name, [{ width: '12 in', height: '12 in', count: 90 }])
  const items = []
  for (const [width, height, count] of [
    ['5 1/2 in', '4 1/4 in', 11],
    ['6 3/8 in', '3 1/2 in', 13],
    ['4 1/8 in', '3 in', 17],
    ['5 in', '5 in', 9],
  ] as const) {
    const card = { make: 'diagonal-envelope', holds: { width, height, thickness: '1/16 in' } }
    items.push({
      design: await design(page, own('Envelope'), { ...card, paper: { caliper: '0.12 mm', name } }),
      count,
    })
  }
  await openPlan(page, { items })
  const says = page.getByRole('status').filter({ hasText: 'sheets to cut' })
  const number = async () => Number(/^(\d+)/.exec((await says.textContent()) ?? '')?.[1])
  const before = await number()
  expect(before).toBeGreaterThan(5)
  await page.getByRole('button', { name: 'Look longer for fewer' }).click()
  const bar = page.getByRole('progressbar', { name: /fewer sheets/ })
  await expect(bar).toBeVisible()
  await expect(says).toBeVisible()
  await expect(async () => expect(Number(await bar.getAttribute('aria-valuenow'))).toBeGreaterThan(0)).toPass()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(bar).toHaveCount(0)
  await expect(page.getByText(/fewer (sheets )?was found/)).toBeVisible()
  expect(await number()).toBeLessThanOrEqual(before)
})

for (const [how, width, height, hasTouch] of HANDS) {
  test.describe(how, () => {
    test.use({ hasTouch, viewport: { width, height } })

    test(`${how}: from a roll, in bought envelopes, a print that runs on, slants that save paper, one size`, async ({
      page,
    }) => {
      const press = (what: Locator) => (hasTouch ? what.tap() : what.click())
      const [kraft, print] = [own('Kraft'), own('Print')]
      await page.goto('/library/papers')
      const envelopes = own('Tern grey')
      await press(page.getByRole('button', { name: 'Envelopes', exact: true }))
      const form = page.getByRole('dialog')
      await form.getByLabel('Name').fill(envelopes)
      await form.getByLabel('Width').fill('5 3/4')
      await press(form.getByRole('button', { name: 'Save' }))
      await expect(form.getByRole('alert').first()).toBeVisible()
      await form.getByLabel('Height').fill('4 3/8')
      await form.getByLabel('How many', { exact: true }).fill('4')
      await form.getByLabel('How many a pack holds').fill('10')
      await press(form.getByRole('button', { name: 'Save' }))
      await expect(page.getByRole('heading', { name: envelopes })).toBeVisible()

      const roll = await paper(page, kraft, [{ width: '12 in', height: '5 yd', count: 1, roll: true }])
      await paper(page, print, [{ width: '12 in', height: '12 in', count: 9 }])
      const card = (holds: object) => ({ make: 'folded-card', holds, paper: { caliper: '0.3 mm', name: kraft } })
      const invitation = await design(page, own('Invitation'), card(HOLDS))
      const kite = await design(page, own('Kite'), {
        make: 'diamond-card',
        holds: { width: '6 in', height: '6 in' },
        border: '1/8 in',
        paper: { caliper: '0.3 mm', name: print },
      })
      await openPlan(page, {
        items: [
          { design: invitation, count: 6 },
          { design: kite, count: 2 },
        ],
      })

      // Six invitations in envelopes, of which four are there: taken out, a pack to buy, taken back.
      await press(page.getByRole('button', { name: /^The envelope Invitation/ }))
      await press(page.getByRole('menuitemradio', { name: new RegExp(`^${envelopes}`) }))
      const bought = page.locator(`[data-envelopes="${envelopes}"]`)
      await expect(bought).toContainText(/room for 1\/4 in more along its longer side, 1\/8 in/)
      await expect(bought).toContainText('6 still to be taken, 4 there. One pack of 10 to buy.')
      await press(bought.getByRole('button', { name: 'Take 4 out of the drawer' }))
      await expect(bought).toContainText('2 still to be taken, 0 there.')
      await press(page.locator('[data-booked]').getByRole('button', { name: 'Take back' }))
      await expect(bought).toContainText('6 still to be taken, 4 there.')

      // The roll becomes shorter by what is cut off it.
      await press(page.getByRole('button', { name: new RegExp(`1\\. ${kraft}`) }))
      await expect(page.getByText(/25 1\/2 in of the roll is used; 154 1\/2 in stays on it/).first()).toBeVisible()
      await press(page.getByRole('button', { name: 'The whole sheet is cut' }))
      await expect(page.locator('[data-booked]')).toHaveCount(1)
      expect(await stockOf(page, roll)).toMatchObject([
        { height: '154 1/2 in', count: 1, roll: true },
        { offcut: true },
      ])

      // Two head to tail, and what comes out of corners.
      const pieces = page.locator('[data-piece]')
      const before = await pieces.count()
      await press(page.getByText('Slants that save paper'))
      await press(page.getByRole('button', { name: 'Lay them so' }).first())
      await expect(page.getByText(/^Two of .*, head to tail/)).toBeVisible()
      await expect(page.getByText(/^Part them by a cut from .* to /)).toBeVisible()
      await press(page.getByRole('button', { name: 'Make them of the corners' }).first())
      await expect(pieces).toHaveCount(before - 1)

      // A print that runs on over two of them, and again not.
      await press(page.getByRole('button', { name: 'A print runs on from piece to piece …' }))
      await press(page.getByRole('menuitemradio').last())
      await press(page.getByRole('button', { name: /^The print of . runs on into/ }))
      await press(page.getByRole('menuitemradio').last())
      const run = page.locator('[data-run]')
      await expect(run).toContainText(/Laid as one, \d+ ×/)
      await press(run.getByRole('button', { name: 'It need not run on' }))
      await expect(run).toHaveCount(0)

      await press(page.getByRole('button', { name: 'Could pieces be cut at one size?' }))
      await expect(page.getByText('No pieces of these designs come to one size')).toBeVisible()
    })
  })
}

test('envelopes a hair apart are brought to one size, and both designs are changed', async ({ page }) => {
  const name = own('Gull')
  await paper(page, name, [{ width: '12 in', height: '12 in', count: 9 }])
  const of = (width: string) =>
    design(page, own('Envelope'), {
      make: 'diagonal-envelope',
      holds: { width, height: '4 1/4 in', thickness: '1/16 in' },
      paper: { caliper: '0.2 mm', name },
    })
  await openPlan(page, {
    items: [
      { design: await of('5 1/2 in'), count: 2 },
      { design: await of('5 5/8 in'), count: 2 },
    ],
  })
  const sizes = () => page.locator('[data-piece] .text-soft').allTextContents()
  await expect(page.locator('[data-piece]')).toHaveCount(2)
  expect(new Set(await sizes()).size).toBe(2)
  await page.getByRole('button', { name: 'Could pieces be cut at one size?' }).click()
  await expect(page.locator('[data-meeting]')).toContainText(/room in its (width|height|depth)/)
  await page.getByRole('button', { name: 'Size them so' }).click()
  await expect(async () => expect(new Set(await sizes()).size).toBe(1)).toPass()
})
