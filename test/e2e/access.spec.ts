import { BOARD_VIEWS, withGroups, type Plan } from '../../core/lesson'
import { BOARD_WORDS } from '../../core/wording'
import { randomUUID } from 'node:crypto'
import {
  choose,
  client,
  expect,
  expectAccessible,
  expectNothingSticksOut,
  joinStation,
  goToStop,
  openStop,
  test,
  turnBoard,
  unfold,
  unfoldAll,
} from './house'

const PRINTOUTS = [
  ...['trays', 'labels', 'picking', 'shopping', 'getting-ready', 'count-back', 'rota', 'jobs'],
  ...['planning', 'planning-blank', 'slips', 'words', 'record', 'home', 'report'],
  ...['squared', 'squared-blank', 'group-report', 'poster-a3', 'poster-4a4', 'teacher-notes', 'visit-slips'],
]
const STOPS = ['wonder', 'plan', 'kit', 'clock', 'predict', 'test', 'results', 'agree']

// Each of these takes long; two run side by side.
test.describe.configure({ mode: 'parallel' })

async function demoLesson(baseURL: string | undefined): Promise<{ id: string; code: string }> {
  const { call, open } = client(baseURL)
  const { body } = await call<{ lessons: { id: string; title: string }[] }>('GET', '/api/lessons')
  const { lesson } = await open(body.lessons.find(({ title }) => title === 'Soak-up strips')!.id)
  return lesson
}

test('axe finds nothing at the desk', async ({ page, baseURL }) => {
  const lesson = await demoLesson(baseURL)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Soak-up strips', exact: true }).first()).toBeVisible()
  await expectAccessible(page, 'shelf')
  await openStop(page, lesson.id, STOPS[0]!)
  for (const stop of STOPS) {
    await goToStop(page, stop)
    if (stop === 'results') await expect(page.locator('.results-chart svg')).toBeVisible()
    await expectAccessible(page, stop)
    await expectNothingSticksOut(page, stop)
  }
  for (const part of ['How sure', 'Table', 'Odd ones (2)', 'Predictions', 'By hand', 'Another class']) {
    await goToStop(page, 'results')
    await page.getByRole('tab', { name: part, exact: true }).click()
    await expect(page.getByRole('main').getByRole('region').nth(1)).toBeVisible()
    await expectAccessible(page, part)
    await expectNothingSticksOut(page, part)
  }
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
  await expectAccessible(page, 'keys')
  await page.goto('/term')
  await expect(page.getByRole('heading', { name: 'What we investigated' })).toBeVisible()
  await expectAccessible(page, 'term')
  await page.goto('/cupboard')
  await expect(page.getByRole('heading', { name: 'Runs low' })).toBeVisible()
  await expectAccessible(page, 'cupboard')
  await expectNothingSticksOut(page, 'cupboard')
  await page.goto('/')
  await page.getByRole('button', { name: 'More for the shelf' }).click()
  await page.getByRole('menuitem', { name: 'How it is' }).click()
  await expect(page.getByRole('row', { name: /^GET \/api\/lessons/ }).first()).toBeVisible()
  await expectAccessible(page, 'how it is')
})

test('an address that leads nowhere says so in our face, and leads on', async ({ browser, baseURL }) => {
  // It is said on the console, too: in a window that nobody listens to.
  const page = await browser.newPage({ viewport: { width: 320, height: 640 } })
  await page.goto(`${baseURL}/no/such/page`)
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await expectAccessible(page, 'no such page')
  await expectNothingSticksOut(page, 'no such page')
  await page.getByRole('button', { name: 'To the shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Jolly Beaker' })).toBeVisible()
  await page.close()
})

test('axe finds nothing on paper', async ({ page, baseURL }) => {
  const lesson = await demoLesson(baseURL)
  for (const printout of PRINTOUTS) {
    await page.goto(`/print/${lesson.id}/${printout}`)
    await expect(page.locator('.paper').getByRole('heading').first()).toBeVisible()
    await expectAccessible(page, printout)
  }
})

test('axe finds nothing on the board, light and dark', async ({ page, baseURL }) => {
  const lesson = await demoLesson(baseURL)
  await page.goto(`/board/${lesson.id}`)
  for (const name of BOARD_VIEWS) {
    await turnBoard(page, BOARD_WORDS[name])
    if (name === 'results') {
      await page.getByRole('button', { name: 'Show them now' }).click()
      await expect(page.locator('.results-chart svg')).toBeVisible()
    }
    for (const mode of ['light', 'dark']) {
      await expectAccessible(page, `board ${name} ${mode}`)
      await page.keyboard.press('d')
    }
  }
})

test('axe finds nothing where wonderings are weighed, kinds are chosen and lines are sketched', async ({ page, baseURL }) => {
  const { newLesson } = client(baseURL)
  const bounce = (await newLesson('bounce-back')).lesson
  await openStop(page, bounce, 'wonder')
  await page.getByRole('textbox', { name: 'Add to Wondered' }).fill('why does it bounce?')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /^Could we test it/ }).click()
  await page.getByText('Each group its own').click()
  await expectAccessible(page, 'weighing a wondering')
  await page.getByRole('button', { name: '+ sketch' }).click()
  await expect(page.getByLabel('Sketching sheet')).toBeVisible()
  await expectAccessible(page, 'sketching')
  await openStop(page, bounce, 'predict')
  await choose(page.getByRole('combobox', { name: 'They predict' }), 'a sketched line')
  await unfold(page, 'Hands up')
  await page.getByRole('button', { name: 'Take it down: Alder' }).click()
  await expectAccessible(page, 'a sketched line')
  await goToStop(page, 'kit')
  await page.getByRole('button', { name: 'All columns' }).click()
  await page
    .getByRole('button', { name: /^More about/ })
    .first()
    .click()
  await unfoldAll(page)
  await expectAccessible(page, 'the whole kit')
  await expectNothingSticksOut(page, 'the whole kit')
  await goToStop(page, 'clock')
  for (const way of ['Share out', 'Circuit']) {
    await page.getByRole('radio', { name: new RegExp(`^${way}`) }).check()
    await unfoldAll(page)
    await expectAccessible(page, way)
    await expectNothingSticksOut(page, way)
  }
  await goToStop(page, 'plan')
  await page.getByRole('button', { name: /^Kind of test/ }).click()
  // A menu floats at the end of the page, outside its parts.
  await expectAccessible(page, 'kinds of test', ['region'])
})

test('axe finds nothing in any kind of test', async ({ page, baseURL }) => {
  const { newLesson } = client(baseURL)
  const views = {
    'ice-in-a-bag': ['plan', 'test'],
    'sprout-watch': ['clock', 'predict'],
    'which-is-heaviest': ['predict', 'test'],
    'paper-bridge': ['plan', 'clock'],
  }
  for (const [id, stops] of Object.entries(views)) {
    const { lesson } = await newLesson(id)
    for (const stop of stops) {
      if (stop === stops[0]) await openStop(page, lesson, stop)
      else await goToStop(page, stop)
      await expectAccessible(page, `${id} ${stop}`)
      await expectNothingSticksOut(page, `${id} ${stop}`)
    }
  }
})

test('a station has nothing for axe to find and fits 360 x 640', async ({ page, baseURL }) => {
  await page.setViewportSize({ width: 360, height: 640 })
  const { lesson } = await client(baseURL).newLesson()
  await page.goto('/station')
  await expectAccessible(page, 'joining')
  await joinStation(page, lesson.code, 'Fir')
  await expectAccessible(page, 'predicting')
  await expectNothingSticksOut(page, 'predicting')
  await page.getByRole('button', { name: 'Say what you noticed' }).click()
  await expectAccessible(page, 'saying')
  await expectNothingSticksOut(page, 'saying')
  await page.getByRole('button', { name: 'Back', exact: true }).click()
  await page.getByRole('button', { name: 'Later' }).click()
  await page.getByRole('button', { name: 'Write, sketch or photograph what you see' }).click()
  await expectAccessible(page, 'observing')
  await expectNothingSticksOut(page, 'observing')
  await page.getByRole('button', { name: 'Back', exact: true }).click()
  await expectAccessible(page, 'a trial')
  await expectNothingSticksOut(page, 'a trial')
  const small = await page
    .locator('.keys button, .entry .row button')
    .evaluateAll((buttons) => buttons.filter((button) => button.getBoundingClientRect().height < 56).length)
  expect(small).toBe(0)
  for (const [width, height] of [
    [360, 640],
    [360, 740],
    [640, 360],
    [667, 375],
    [844, 390],
  ] as const) {
    await page.setViewportSize({ width, height })
    const covered = await page.locator('.keys button').evaluateAll((keys) => {
      window.scrollTo(0, 0)
      const isHit = (key: Element) => {
        const { left, top, width, height } = key.getBoundingClientRect()
        return document.elementFromPoint(left + width / 2, top + height - 4)?.closest('button') === key
      }
      return keys.filter((key) => !isHit(key)).length
    })
    expect(covered, `keys that cannot be hit at ${width} x ${height}`).toBe(0)
    await expectNothingSticksOut(page, `a trial at ${width} x ${height}`)
    expect((await page.getByLabel('Measure with').boundingBox())!.width).toBeGreaterThanOrEqual(120)
  }
})

test('the board fits smaller walls and grows with larger ones', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await page.goto(`/board/${lesson.id}`)
  await turnBoard(page, BOARD_WORDS.test)
  for (const [width, height, least] of [
    [1024, 768, 22],
    [1280, 720, 28],
    [1920, 1080, 42],
  ] as const) {
    await page.setViewportSize({ width, height })
    const { past, smallest } = await page.evaluate(() => {
      const frame = document.querySelector('.board > main')!.getBoundingClientRect()
      const words = [...document.querySelectorAll('.board main *, .board footer *')].filter(
        (one) =>
          one.getBoundingClientRect().width > 1 &&
          [...one.childNodes].some((node) => node.nodeType === 3 && node.nodeValue!.trim()),
      )
      const isPast = (one: Element) => {
        const { right, bottom } = one.getBoundingClientRect()
        return right > frame.right + 1 || (one.closest('main') !== null && bottom > frame.bottom + 1)
      }
      return {
        past: words.filter(isPast).map((one) => one.textContent),
        smallest: Math.min(
          ...words.filter((one) => !one.closest('.dots')).map((one) => parseFloat(getComputedStyle(one).fontSize)),
        ),
      }
    })
    expect(past, `${width} x ${height}`).toEqual([])
    expect(smallest, `${width} x ${height}`).toBeGreaterThanOrEqual(least)
  }
})

test('axe finds nothing in the journal and where class mode and stations are looked after', async ({ page, baseURL }) => {
  const lesson = await demoLesson(baseURL)
  await page.goto(`/journal/${lesson.id}`)
  await expect(page.getByRole('row').nth(5)).toBeVisible()
  await expectAccessible(page, 'the journal')
  await openStop(page, lesson.id, 'test')
  await page.getByRole('button', { name: 'Let tablets join' }).click()
  await expect(page.getByLabel(/^Passphrase for the desk/)).toBeVisible()
  await expectAccessible(page, 'class mode')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Stations|stations? there$/ }).click()
  await expect(page.getByRole('dialog', { name: 'Stations' })).toBeVisible()
  await expectAccessible(page, 'stations')
})

test('the board holds ten groups, eight conditions with long names and five repeats', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  const conditions = Array.from({ length: 8 }, (_, place) => ({
    id: `c${place}`,
    label: `a rather long name for paper number ${place}`,
    baseline: false,
    leftOut: false,
  }))
  const plan: Plan = { ...withGroups(lesson.plan, 10, randomUUID), conditions, repeats: 5, materials: [] }
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
  await page.goto(`/board/${lesson.id}`)
  for (const name of BOARD_VIEWS) {
    await turnBoard(page, BOARD_WORDS[name])
    const cut = await page.evaluate(() => {
      const frame = document.querySelector('.board > main')!.getBoundingClientRect()
      return [...document.querySelectorAll('.board > main *')]
        .map((one) => ({
          text: one.textContent?.trim().slice(0, 30),
          box: one.getBoundingClientRect(),
          inside: one.closest('.results-chart, .sr-only'),
        }))
        .filter(({ box, inside }) => !inside && box.width > 0 && (box.right > frame.right + 1 || box.bottom > frame.bottom + 1))
        .map(({ text }) => text)
    })
    expect(cut, `view ${name}`).toEqual([])
  }
  await openStop(page, lesson, 'test')
  await expectNothingSticksOut(page, 'a wide grid')
  await openStop(page, lesson, 'plan')
  await expectNothingSticksOut(page, 'a wide plan')
})

test('the whole plan can be worked from the keyboard', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'wonder')
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/\/plan$/)
  await expect(page.getByRole('textbox', { name: 'Add a thing to keep the same' })).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.type('the time of day')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Name: the time of day' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: /^Plan/ }).focus()
  await page.keyboard.press('/')
  const find = page.getByRole('combobox', { name: /^Find a stop/ })
  await find.fill('go to')
  await expect(page.getByRole('option')).toHaveCount(8)
  // The list takes arrows a moment after it is there.
  await expect(async () => {
    await page.keyboard.press('ArrowDown')
    await expect(page.locator('[role=option]:focus')).toHaveCount(1, { timeout: 1000 })
  }).toPass()
  await find.fill('one for all')
  await expect(page.getByRole('option')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('How the time of day is kept the same')).toHaveValue('one for the whole class')
  await expect(page.getByRole('link', { name: /^Plan/ })).toBeFocused()
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
  // A dialog hears the key a moment after it is there.
  await expect(async () => {
    await page.keyboard.press('Escape')
    await expect(page.getByRole('heading', { name: 'Keys' })).toBeHidden({ timeout: 1000 })
  }).toPass()
})

test('no page is wider than a window of 320, and no letter at the desk is smaller than 14 px', async ({ page, baseURL }) => {
  const { id } = await demoLesson(baseURL)
  const parts = ['sure', 'table', 'odd', 'predictions', 'by-hand'].map((part) => `results?part=${part}`)
  const desk = [...STOPS, ...parts].map((stop) => `/lesson/${id}/${stop}`)
  const pages = [
    '/',
    '/new',
    '/cupboard',
    '/term',
    '/term/plan',
    '/how-it-is',
    `/journal/${id}`,
    ...desk,
    `/board/${id}`,
    '/station',
  ]
  const found: string[] = []
  for (const path of pages) {
    await page.setViewportSize({ width: 320, height: 640 })
    const stop = /^\/lesson\/[^/]+\/(\w+)$/.exec(path)?.[1]
    if (stop && page.url().includes('/lesson/')) await goToStop(page, stop)
    else await page.goto(path)
    await expect(page.locator('h1, h2').first()).toBeAttached()
    await expect(page.getByText('Opening')).toBeHidden()
    await page.waitForTimeout(300)
    const wide = () => page.evaluate(() => document.documentElement.scrollWidth)
    // On a slow machine what is shown first may still be on its way to its place.
    await expect
      .poll(wide, { timeout: 10_000 })
      .toBeLessThanOrEqual(320)
      .catch(() => undefined)
    if ((await wide()) > 320) found.push(`${path} is ${await wide()} wide`)
    if (!path.startsWith('/lesson')) continue
    const small = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('body *:not(svg *)')].flatMap((one) => {
        const writes = [...one.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent!.trim() !== '')
        return writes && one.checkVisibility() && parseFloat(getComputedStyle(one).fontSize) < 14
          ? [one.className || one.tagName]
          : []
      }),
    )
    if (small.length > 0) found.push(`${path} has small letters in ${small.join(', ')}`)
  }
  expect(found).toEqual([])
})
