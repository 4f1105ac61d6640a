import { randomUUID } from 'node:crypto'
import { WALK } from '../../core/wording'
import type { ShelfPage } from '../../schemas/contract'
import { clientFor } from '../api/client'
import { startApplication, temporaryFolder, type Application } from '../application'
import { choose, expect, test as house } from './house'

/** A library of its own, with nothing in it. */
const test = house.extend<object, { own: Application }>({
  own: [
    // eslint-disable-next-line no-empty-pattern -- a fixture has to take its fixtures apart, even none
    async ({}, use) => {
      const { folder, remove } = temporaryFolder()
      const application = await startApplication({ data: folder })
      await use(application)
      await application.stop()
      remove()
    },
    { scope: 'worker' },
  ],
  baseURL: ({ own }, use) => use(own.base),
})

test('an empty shelf shows the way: the demo class, a walk that is shown once, a first lesson for the own class', async ({
  page,
  own,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Put the demo class on the shelf' }).click()
  const walk = page.getByRole('dialog', { name: WALK[0]!.title })
  await expect(walk).toBeVisible()
  for (const [place, step] of WALK.entries()) {
    await expect(page.getByRole('heading', { name: step.title })).toBeFocused()
    await expect(page.locator(`.walked[data-target="${step.target}"], .walked [data-target="${step.target}"]`)).toBeVisible()
    await expect(page).toHaveURL(new RegExp(`/${step.stop}(\\?|$)`))
    await page.getByRole('button', { name: place + 1 < WALK.length ? 'Go on' : 'Done' }).click()
  }
  await expect(page.locator('.walked')).toHaveCount(0)

  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible()
  await expect(page.getByText('New here?')).toBeHidden()
  await expect(page.getByRole('img', { name: 'Averages, the highest first: A, B, C, D' })).toBeVisible()

  await page.keyboard.press('n')
  await expect(page.getByRole('heading', { name: 'Which lesson?' })).toBeVisible()
  // The class of the last lesson comes into the field a moment later.
  await expect(page.getByLabel('For class')).not.toHaveValue('')
  await page.getByLabel('For class').fill('4 Wren')
  await page.getByLabel('Children').fill('22')
  const cards = page.getByRole('list', { name: 'Lessons to begin from' }).getByRole('heading')
  await choose(page.getByRole('combobox', { name: 'Topic' }), 'Living things')
  await expect(cards).toHaveText(['Sprout watch', 'Clover hoops', 'Froth tower', 'From nothing'])
  await choose(page.getByRole('combobox', { name: 'Kind of test' }), 'Put in order')
  await page.getByRole('button', { name: 'Show all' }).click()
  await choose(page.getByRole('combobox', { name: 'Length' }), 'Up to 60 min')
  await expect(cards.filter({ hasText: 'Soak-up strips' })).toHaveCount(0)
  await choose(page.getByRole('combobox', { name: 'Length' }), 'Any length')
  await expect(page.getByRole('listitem').filter({ hasText: 'Soak-up strips' })).toContainText('Not in the cupboard')
  await page.getByRole('button', { name: 'Soak-up strips: take this one' }).click()
  await expect(page.getByText('Class 4 Wren')).toBeVisible()

  await page.goto('/')
  await choose(page.getByRole('combobox', { name: 'Lessons of' }), 'Class 4 Wren')
  await expect(page.getByRole('heading', { level: 4 })).toHaveText(['Soak-up strips'])
  const { lessons } = (await clientFor(own.base).call<ShelfPage>('GET', '/api/lessons?className=4%20Wren')).body
  expect(lessons.map(({ className }) => className)).toEqual(['4 Wren'])
  // What matters leads to its place.
  await choose(page.getByRole('combobox', { name: 'Lessons of' }), 'All classes')
  await page.getByRole('link', { name: 'Answer for Birch’s' }).click()
  await expect(page.getByRole('textbox', { name: /^Birch, A kitchen roll/ }).and(page.locator(':focus'))).toBeVisible()
})

test('a walk can be left at any time and is not offered again; whoever does not want it says so once', async ({ page, own }) => {
  const { call } = clientFor(own.base)
  const { id } = (await call<{ id: string }>('POST', '/api/demo')).body
  await page.goto(`/lesson/${id}/wonder?walk`)
  await page.getByRole('button', { name: 'Go on' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Leave the walk' })).toBeHidden()
  expect((await call<{ lesson: string | null }>('GET', '/api/demo/walk')).body.lesson).toBeNull()

  await call('POST', '/api/demo')
  await page.goto('/')
  await page.getByRole('button', { name: 'No, thank you' }).click()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible()
  await expect(page.getByText('New here?')).toBeHidden()
})

test('an empty lesson begins with its first steps, each leading to its place, and every empty stop has one way on', async ({
  page,
  own,
}) => {
  const { newLesson } = clientFor(own.base)
  const { lesson } = await newLesson(null)
  await page.goto(`/lesson/${lesson.id}/results`)
  const look = page.getByRole('complementary')
  await expect(look.getByText('first steps')).toBeVisible()
  await look.getByRole('button', { name: 'Begin here' }).click()
  await expect(page.getByRole('textbox', { name: 'Add to Noticed' })).toBeFocused()
  await page.keyboard.type('the water climbs')
  await page.keyboard.press('Enter')
  await expect(look.getByRole('heading', { name: 'Look at something together' })).toContainText('done')
  await look.getByRole('button', { name: 'Begin here' }).click()
  await expect(page.getByRole('textbox', { name: 'Add a thing we could change' })).toBeFocused()
  await page.keyboard.type('the kind of paper')
  await page.keyboard.press('Escape')
  for (const [stop, way] of [
    ['kit', 'List the first thing'],
    ['predict', 'Name what you compare'],
    ['test', 'Say what is changed and measured'],
    ['results', 'Key readings in'],
    ['agree', 'Take readings first'],
  ] as const) {
    await page.goto(`/lesson/${lesson.id}/${stop}`)
    await expect(
      page
        .locator('main')
        .getByRole('button', { name: way })
        .or(page.getByRole('link', { name: way })),
    ).toBeVisible()
  }
  await expect(page.getByRole('link', { name: /^Agree/ })).toContainText('no sentence yet')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('On the board')
})

test('a school in the United States chooses once: words, cups and prices follow, also those of what it takes from the library', async ({
  page,
  own,
}) => {
  const { call, newLesson } = clientFor(own.base)
  const thing = { id: randomUUID(), name: 'droppers', unit: 'pieces', stock: 1, place: '', minimum: 9, pack: 4, price: 2.5 }
  await call('PUT', '/api/cupboard', thing)
  await page.goto('/cupboard')
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB')
  await choose(page.getByLabel('Words, spoons and cups'), /American/)
  await choose(page.getByLabel('Prices are in'), 'USD')
  await expect(page.getByText(/^\s*· \$\d+\.\d\d in all/)).toBeVisible()
  // Prices are keyed in as bare numbers, whatever the money.
  const price = page.getByRole('textbox', { name: 'droppers: Price' })
  await expect(price).toHaveValue('2.50')
  await price.fill('1250')
  await price.press('Tab')
  await expect(price).toHaveValue('1250.00')
  await expect(page.getByText(/\$2,5\d\d\.\d\d in all/)).toBeVisible()
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US')
  await expect(page.getByText(/\$2,5\d\d\.\d\d in all/)).toBeVisible()

  const { lesson } = await newLesson('soak-up-strips')
  const materials = lesson.plan.materials.map((one, place) => (place === 0 ? { ...one, amount: '1/2 cup', per: 'class' } : one))
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan: { ...lesson.plan, materials }, revision: lesson.revision })
  await page.goto(`/lesson/${lesson.id}/kit`)
  await expect(page.getByText('1 cup is 237\u202fmL')).toBeVisible()
  await expect(page.getByText(/paper towel/).first()).toBeVisible()
  await expect(page.getByText(/kitchen roll/)).toHaveCount(0)
})
