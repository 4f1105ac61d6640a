import type { Browser, BrowserContext, Page } from '@playwright/test'
import { measuredSo } from '../measuredSo'
import { type Kind, type Way } from '../../core/lesson'
import { withKind } from '../../core/test'
import { clientFor, type WholeLesson } from '../api/client'
import { startApplication, temporaryFolder, type Application } from '../application'
import { choose, enterNumber, expect, giveFile, joinStation, openStop, test } from './house'

/** A whole class: tablets reach the server over plain http by a name of the network, which is no secure context. */
test.describe.configure({ mode: 'serial' })
const { folder, remove } = temporaryFolder()
const PASSPHRASE = 'seven ducks in a row'
let application: Application
let lesson: WholeLesson['lesson']
let desk: Page
let board: Page
let cookie: Record<string, string>
const tablets = new Map<string, { page: Page; context: BrowserContext }>()
const trouble: string[] = []
const network = () => application.base.replace('localhost', 'classroom.test')
const stored = () => clientFor(application.base).call<WholeLesson>('GET', `/api/lessons/${lesson.id}`, undefined, cookie)

async function open(browser: Browser, viewport: { width: number; height: number }, base = application.base) {
  const context = await browser.newContext({ viewport, baseURL: base, locale: 'en-GB' })
  const page = await context.newPage()
  page.on('pageerror', (error) => trouble.push(error.message))
  return { context, page }
}

test.beforeAll(async ({ browser }) => {
  application = await startApplication({ data: folder })
  const { newLesson, call, open: load } = clientFor(application.base)
  lesson = (await newLesson()).lesson
  const plan = structuredClone({ ...lesson.plan, practice: 0 })
  // What is expected of each paper, so that the first slip is known for one.
  plan.measures[0]!.method.expected = { 'kitchen-roll': 60, tissue: 52, 'writing-paper': 50, card: 45 }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  lesson = (await load(lesson.id)).lesson
  desk = (await open(browser, { width: 1280, height: 800 })).page
})
test.afterAll(async () => {
  await application.stop()
  remove()
})

test('the teacher turns class mode on, four groups join by code, the desk sees who is there', async ({ browser }) => {
  await openStop(desk, lesson, 'test')
  await desk.getByRole('button', { name: 'Let tablets join' }).click()
  await desk.getByLabel(/^Passphrase for the desk/).fill(PASSPHRASE)
  await desk.getByRole('button', { name: 'Turn class mode on' }).click()
  await expect(desk.getByText('The desk opens on other devices with the passphrase')).toBeVisible()
  await expect(desk.getByRole('img', { name: /^Opens http/ })).toBeVisible()
  await desk.keyboard.press('Escape')
  const [held] = await desk.context().cookies()
  cookie = { cookie: `${held!.name}=${held!.value}` }

  const sizes = [
    { width: 360, height: 640 },
    { width: 640, height: 360 },
    { width: 1024, height: 768 },
    { width: 390, height: 844 },
  ]
  for (const [place, name] of ['Alder', 'Birch', 'Cedar', 'Dogwood'].entries()) {
    const tablet = await open(browser, sizes[place]!, network())
    await joinStation(tablet.page, lesson.code, name)
    expect(await tablet.page.evaluate(() => window.isSecureContext)).toBe(false)
    await tablet.page.getByRole('button', { name: 'Later' }).click()
    tablets.set(name, tablet)
  }
  await expect(desk.getByRole('button', { name: '4 of 4 stations there' })).toBeVisible()

  // The board is on another computer: the passphrase opens it there.
  board = (await open(browser, { width: 1280, height: 800 }, network())).page
  await board.goto(`/board/${lesson.id}`)
  await board.getByLabel('Passphrase').fill(PASSPHRASE)
  await board.keyboard.press('Enter')
  await choose(desk.getByRole('combobox', { name: 'The board shows' }), 'Joining')
  await expect(board.getByText(`${new URL(network()).host}/station`).first()).toBeVisible()
  await expect(board.getByText(lesson.code).first()).toBeVisible()
})

test('numbers arrive, one group loses the network, one slips by a point; the desk answers with one key', async () => {
  await choose(desk.getByRole('combobox', { name: 'The board shows' }), 'Testing')
  const [alder, birch, cedar, dogwood] = [...tablets.values()]
  await enterNumber(alder!.page, '61')
  await expect(board.getByText('Last in: Alder, A kitchen roll')).toBeVisible()
  await expect(board.getByText('61', { exact: false }).filter({ hasText: 'mm' })).toHaveCount(0)
  await enterNumber(cedar!.page, '58')

  await birch!.context.setOffline(true)
  await enterNumber(birch!.page, '60')
  await enterNumber(birch!.page, '52')
  await expect(birch!.page.getByRole('status').filter({ hasText: '2 waiting' })).toBeVisible()

  // Asked at once, in children's words; kept all the same, and then the teacher sees it.
  await dogwood!.page.getByText('Do another one').click()
  await dogwood!.page.getByRole('button', { name: 'A 1', exact: true }).click()
  await enterNumber(dogwood!.page, '6.2')
  await expect(dogwood!.page.getByText('Was it read in cm? That would be 62')).toBeVisible()
  await dogwood!.page.getByRole('button', { name: 'Type it again' }).click()
  await dogwood!.page.getByLabel('The number').fill('59')
  await dogwood!.page.getByRole('button', { name: 'Write it down' }).click()
  await clientFor(application.base).call(
    'POST',
    `/api/lessons/${lesson.id}/readings`,
    {
      readings: [
        {
          ...(await stored()).body.record.readings[0],
          id: crypto.randomUUID(),
          group: lesson.plan.groups[4]!.id,
          value: 6.3,
          entered: '6,3',
          by: undefined,
          at: undefined,
        },
      ],
    },
    cookie,
  )
  const odd = desk.getByRole('region', { name: 'Odd numbers' })
  await expect(odd.getByText('Elm, A kitchen roll')).toBeVisible()
  await desk.locator('#work').focus()
  await desk.keyboard.press('o')
  await desk.keyboard.press('f')
  await expect(odd).toBeHidden()
  await expect(desk.getByRole('textbox', { name: 'Elm, A kitchen roll, repeat 1', exact: true })).toHaveValue('63')

  // The tablet is switched off and on again before the network is back.
  const page = await birch!.context.newPage()
  await birch!.page.close()
  await birch!.context.setOffline(false)
  await page.goto('/station')
  tablets.set('Birch', { page, context: birch!.context })
  await expect(page.getByRole('status').filter({ hasText: 'sent' })).toBeVisible()
  const ofBirch = async () =>
    (await stored()).body.record.readings.filter(({ group }) => group === lesson.plan.groups[1]!.id).map(({ value }) => value)
  await expect.poll(ofBirch).toEqual([60, 52])
  await desk.getByLabel('live numbers').check()
  await enterNumber(page, '50')
  await expect(board.getByText(/Last in: Birch, A kitchen roll\s+50\s*mm/)).toBeVisible()
})

test('all are paused, one is moved, one is sent away and loses nothing', async () => {
  const [alder, , cedar] = [...tablets.values()].map(({ page }) => page)
  await desk.getByRole('button', { name: '4 of 4 stations there' }).click()
  const dialog = desk.getByRole('dialog', { name: 'Stations' })
  await alder!.getByLabel('The number').fill('4')
  await dialog.getByRole('button', { name: 'Pause all' }).click()
  for (const { page } of tablets.values()) await expect(page.getByText('Your teacher has paused the stations')).toBeVisible()
  await dialog.getByRole('button', { name: 'Let all go on' }).click()
  await expect(alder!.getByRole('heading', { name: 'tissue' })).toBeVisible()
  await expect(alder!.getByLabel('The number')).toHaveValue('4')
  await alder!.getByLabel('The number').fill('')

  await choose(dialog.getByRole('combobox', { name: 'Move Cedar to' }), 'Elm')
  await expect(cedar!.locator('header')).toContainText('Elm')
  await tablets.get('Alder')!.context.setOffline(true)
  await enterNumber(alder!, '51')
  await dialog.getByRole('button', { name: 'Send away Alder' }).click()
  await expect(dialog.getByRole('row', { name: /Alder/ })).toHaveCount(0)
  await tablets.get('Alder')!.context.setOffline(false)
  await expect(alder!.getByRole('heading', { name: 'Type the code from the board' })).toBeVisible()
  await joinStation(alder!, lesson.code, 'Alder')
  const ofAlder = async () =>
    (await stored()).body.record.readings.filter(({ group }) => group === lesson.plan.groups[0]!.id).map(({ value }) => value)
  await expect.poll(ofAlder).toEqual([61, 51])
  await desk.keyboard.press('Escape')
})

test('what is seen is kept in words and pictures, and the journal tells it all', async () => {
  const dogwood = tablets.get('Dogwood')!.page
  await dogwood.getByRole('button', { name: 'Write, sketch or photograph what you see' }).click()
  await dogwood.getByLabel('In words').fill('the <b>tissue</b> fell apart')
  const picture = await dogwood.screenshot()
  await giveFile(dogwood.getByRole('button', { name: 'Photo of the apparatus' }), {
    name: 'tray.png',
    mimeType: 'image/png',
    buffer: picture,
  })
  await expect(dogwood.getByRole('img', { name: 'Your photo' })).toBeVisible()
  await dogwood.getByRole('button', { name: 'Keep it' }).click()
  await expect(dogwood.getByRole('list', { name: 'What you have seen' })).toContainText('the <b>tissue</b> fell apart')
  await expect(desk.getByText('the <b>tissue</b> fell apart')).toBeVisible()
  await expect(desk.getByRole('img', { name: 'the <b>tissue</b> fell apart' })).toHaveJSProperty('complete', true)

  const journal = await desk.context().newPage()
  await journal.goto(`/journal/${lesson.id}`)
  const rows = journal.getByRole('row')
  await expect(rows.filter({ hasText: 'a station moved to Elm' })).toHaveCount(1)
  await expect(rows.filter({ hasText: 'put right: was written as 6,3' })).toHaveCount(1)
  await choose(journal.getByRole('combobox', { name: 'What' }), 'Observations')
  await expect(rows).toHaveCount(2)
  await choose(journal.getByRole('combobox', { name: 'Group' }), 'Alder')
  await expect(journal.getByText('Nothing here yet')).toBeVisible()
  const download = journal.waitForEvent('download')
  await journal.getByRole('link', { name: 'Save as a table' }).click()
  expect((await download).suggestedFilename()).toMatch(/journal\.csv$/)
  await journal.close()
})

const KINDS: {
  kind: Kind
  investigation: string
  way?: Way
  enter(page: Page): Promise<void>
  stored: unknown
}[] = [
  {
    kind: 'before-after',
    investigation: 'ice-in-a-bag',
    enter: (page) => enterNumber(page, '52'),
    stored: { moment: 'before', value: 52 },
  },
  {
    kind: 'over-time',
    investigation: 'soak-up-strips',
    enter: async (page) => {
      await page.getByLabel('top').fill('7')
      await page.getByLabel('bottom').fill('9')
      await page.getByRole('button', { name: 'Write them down' }).click()
    },
    stored: { moment: 't1p2', value: 9 },
  },
  {
    kind: 'order',
    investigation: 'soak-up-strips',
    way: 'race',
    enter: async (page) => {
      await page.getByRole('button', { name: 'Start the lap timer' }).click()
      for (const name of ['card', 'tissue', 'kitchen roll', 'writing paper'])
        await page.getByRole('button', { name, exact: false }).last().click()
      await page.getByRole('button', { name: 'Write it down' }).click()
    },
    stored: { unit: 'place', value: 4, entered: expect.stringMatching(/^4th, \d+\.\d s$/) },
  },
  {
    kind: 'describe',
    investigation: 'soak-up-strips',
    way: 'words',
    enter: async (page) => {
      await page.getByRole('radio').last().click()
      await page.getByRole('button', { name: 'Write it down' }).click()
    },
    stored: { unit: 'words' },
  },
  {
    kind: 'improve',
    investigation: 'paper-bridge',
    enter: (page) => enterNumber(page, '40'),
    stored: { repeat: 1, value: 40 },
  },
]

for (const { kind, investigation, way, enter, stored: row } of KINDS) {
  test(`${kind} is written down over plain http`, async ({ browser }) => {
    const { call } = clientFor(application.base)
    const ask = <T>(verb: string, path: string, body?: unknown) => call<T>(verb, path, body, cookie).then((answer) => answer.body)
    const { id } = await ask<{ id: string }>('POST', '/api/lessons', { investigation })
    const whole = await ask<WholeLesson>('GET', `/api/lessons/${id}`)
    const plan = { ...withKind(whole.lesson.plan, kind), practice: 0 }
    if (kind === 'over-time')
      plan.watch = { unit: 'min', times: [1, 3], named: [], places: ['top', 'bottom'], instruments: 1, among: 'group' }
    if (way) plan.measures = measuredSo(plan, { way }).measures
    await ask('PUT', `/api/lessons/${id}/plan`, { plan, revision: whole.lesson.revision })
    const { page, context } = await open(browser, { width: 390, height: 844 }, network())
    await joinStation(page, whole.lesson.code, plan.groups[0]!.name)
    await page.getByRole('button', { name: 'Later' }).click()
    await enter(page)
    const last = async () => (await ask<WholeLesson>('GET', `/api/lessons/${id}`)).record.readings.at(-1)
    await expect.poll(last).toMatchObject(row as Record<string, unknown>)
    await context.close()
  })
}

test('two desks change one plan: both changes stay, and where they clash one of them asks', async ({ browser }) => {
  const second = (await open(browser, { width: 1280, height: 800 }, network())).page
  await second.goto(`/lesson/${lesson.id}/plan`)
  await second.getByLabel('Passphrase').fill(PASSPHRASE)
  await second.keyboard.press('Enter')
  await expect(second.getByRole('heading', { name: 'Second look' })).toBeVisible()
  await openStop(desk, lesson, 'plan')

  // The second desk works on while its line is down.
  await second.context().setOffline(true)
  await second.getByText('How we measure').click()
  await second.getByLabel('Measured with').fill('long ruler')
  await second.keyboard.press('2')
  await desk.getByText('How we measure').click()
  await desk.getByLabel('Add to the list before every trial').fill('strip hangs straight')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('status').filter({ hasText: /^\s*saved\s*$/ })).toBeVisible()
  await second.context().setOffline(false)
  await expect(second.getByText('Both changes are in it')).toBeVisible()
  await expect(second.getByRole('textbox', { name: 'Before every trial: strip hangs straight' })).toBeVisible()
  await expect(desk.getByLabel('Measured with')).toHaveValue(/^long ruler/)

  await second.context().setOffline(true)
  await second.getByLabel('Measured with').fill('tape')
  await desk.getByLabel('Measured with').fill('folding rule')
  await expect(desk.getByRole('status').filter({ hasText: /^\s*saved\s*$/ })).toBeVisible()
  await second.context().setOffline(false)
  const ask = second.getByRole('dialog', { name: 'Another desk changed the same place' })
  await expect(ask).toContainText('folding rule')
  await ask.getByLabel('the other desk’s: folding rule').check()
  await ask.getByRole('button', { name: 'Go on with these' }).click()
  await expect(second.getByLabel('Measured with')).toHaveValue('folding rule')
  await expect.poll(async () => JSON.stringify((await stored()).body.lesson.plan)).toContain('folding rule')
  expect(trouble).toEqual([])
})
