import { rmSync, writeFileSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { newRemark, type BoardState } from '../../core/lesson'
import { prediction, reading } from '../api/client'
import { startApplication, temporaryFolder } from '../application'
import { snapshotsOf } from '../faults/library'
import {
  cell,
  choose,
  client,
  enterNumber,
  expect,
  joinStation,
  openClass,
  lessonWith,
  openStop,
  saved,
  test,
  turnBoard,
  unfold,
} from './house'

test('wonder: what was said moves between the lists, and private notes stay private', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.wonder.noticed = [newRemark('one', 'it must be thirsty')]))
  await openStop(page, lesson, 'wonder')
  await page.getByRole('button', { name: 'More for: it must be thirsty' }).click()
  await page.getByRole('menuitem', { name: 'Move to Maybe' }).click()
  await expect(
    page.getByRole('region', { name: 'Maybe' }).getByRole('textbox', { name: 'Maybe: it must be thirsty' }),
  ).toBeVisible()
  await unfold(page, 'Notes for you alone')
  await page.getByRole('textbox', { name: 'Notes for you alone' }).fill('Elm quarrels about the ruler')
  await saved(page)
  const set = await openClass(page)
  await set.getByLabel('Children', { exact: true }).fill('25')
  await page.keyboard.press('Enter')
  await saved(page)
  const { plan } = (await client(baseURL).open(lesson.id)).lesson
  expect(plan.groups.map(({ seats }) => seats)).toEqual([4, 4, 4, 4, 3, 3, 3])
  for (const view of ['board', 'print']) {
    await page.goto(view === 'board' ? `/board/${lesson.id}` : `/print/${lesson.id}/report`)
    await expect(page.getByText('how high water climbs').first()).toBeVisible()
    expect(await page.content()).not.toContain('quarrels')
  }
})

test('plan: a number of groups that is out of range, a baseline, a condition left out and brought back', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  const set = await openClass(page)
  await page.getByRole('textbox', { name: 'Groups', exact: true }).fill('11')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('Between 1 and 10, please.')
  await expect(page.getByRole('textbox', { name: 'Groups', exact: true })).toHaveValue('11')
  await set.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('button', { name: 'More for condition D' }).focus()
  await page.keyboard.press('b')
  await expect(page.getByText('baseline', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'More for condition D' }).focus()
  await page.keyboard.press('x')
  await expect(page.getByText('left out', { exact: true })).toBeVisible()
  await expect(page.getByText('All 3 pairs are fair.')).toBeVisible()
  await page.getByRole('button', { name: 'More for condition D' }).focus()
  await page.keyboard.press('x')
  await expect(page.getByText('All 6 pairs are fair.')).toBeVisible()
})

test('plan: a bar of the chart sets the repeats, and a wobble that drowns the difference is said', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: /^5 repeats: clear/ }).click()
  await expect(page.getByRole('textbox', { name: 'Repeats of each condition' })).toHaveValue('5')
  await unfold(page, 'How we measure')
  await page.getByLabel('Trial-to-trial wobble').fill('20 cm')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Twelve repeats would not make it clear nine times in ten.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'The difference drowns in wobble' })).toBeVisible()
})

test('predict: a change of mind after the first reading is kept beside the prediction', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  await call('POST', `/api/lessons/${lesson.id}/predictions`, prediction(lesson.plan))
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })
  await openStop(page, lesson, 'predict')
  await page.getByRole('button', { name: 'Changed its mind: Alder' }).click()
  for (const name of ['card', 'tissue', 'kitchen roll', 'writing paper'])
    await page.getByRole('button', { name, exact: true }).click()
  await page.getByRole('button', { name: 'Take out tissue' }).click()
  await expect(page.getByRole('button', { name: 'Keep as a change of mind' })).toBeDisabled()
  await page.getByRole('button', { name: 'tissue', exact: true }).click()
  await page.getByRole('button', { name: 'Keep as a change of mind' }).click()
  const alder = page.getByRole('listitem').filter({ hasText: 'Alder' }).first()
  await expect(alder).toContainText('kitchen roll, tissue, writing paper, card')
  await expect(alder).toContainText('later:card, kitchen roll, writing paper, tissue')
  await expect(page.getByRole('row', { name: /kitchen roll/ })).toContainText('1')
})

test('test: practice columns, two in one place, and a table from a file that is refused with its line or taken in', async ({
  page,
  baseURL,
}, info) => {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  await call('POST', `/api/lessons/${lesson.id}/readings`, {
    readings: [reading(lesson.plan), reading(lesson.plan, { value: 63 })],
  })
  await openStop(page, lesson, 'test')
  await expect(page.getByRole('heading', { name: '2 readings in one place' })).toBeVisible()
  await page.getByLabel('practice columns').check()
  await page.getByRole('textbox', { name: 'Birch, B tissue, practice', exact: true }).fill('48')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await open(lesson.id)).record.readings.filter(({ practice }) => practice).length).toBe(1)
  await expect(page.getByRole('row', { name: /^Birch/ })).toContainText('0 of 12')

  const takeIn = async (text: string) => {
    const file = info.outputPath(`${randomUUID()}.csv`)
    writeFileSync(file, text)
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: /^(Choose a|Another) table$/ }).click(),
    ])
    await chooser.setFiles(file)
  }
  await page.getByRole('button', { name: 'Print and files' }).click()
  await page.getByRole('menuitem', { name: 'Take readings in from a table' }).click()
  await takeIn('group,condition,repeat,value,unit\nCedar,A,1,60,mm\nCedar,A,2,sixty,mm\nYew,A,2,61,mm\n')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('status')).toHaveText('1 reading would be taken in, 2 passed over.')
  await expect(dialog.getByRole('row', { name: '3 “sixty” cannot be read as a result' })).toBeVisible()
  await expect(dialog.getByRole('row', { name: '4 no group is called “Yew”' })).toBeVisible()
  // What is wrong is put right before anything is written, each in the column that it is wrong in.
  await dialog.getByLabel('Line 3: put right').fill('61')
  await dialog.getByLabel('Line 3: put right').press('Enter')
  await dialog.getByLabel('Line 4: put right').fill('Birch')
  await dialog.getByLabel('Line 4: put right').press('Tab')
  await expect(dialog.getByRole('status')).toHaveText('3 readings would be taken in, 0 passed over.')
  await takeIn('Team;A1;tissue;odd one\nCedar;6,1 cm;50;12\n')
  await expect(dialog.getByRole('row', { name: '2 Cedar, A kitchen roll, repeat 1: 61' })).toBeVisible()
  await choose(page.getByRole('combobox', { name: 'Column odd one holds' }), 'result of D card')
  await expect(dialog.getByRole('status')).toHaveText('3 readings would be taken in, 0 passed over.')
  await choose(page.getByRole('combobox', { name: 'Column odd one holds' }), 'nothing for us')
  await page.getByRole('button', { name: 'Take 2 readings in' }).click()
  await expect(page.getByText('2 readings taken in.')).toBeVisible()
  await expect(page.getByRole('row', { name: /^Cedar/ })).toContainText('2 of 12')
  await expect(cell(page, 'Cedar', 'A kitchen roll', 1)).toHaveValue('61')
})

test('results and agree: a leaning result says so, and a sentence that claims more is flagged', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  const [a, b] = lesson.plan.conditions
  const rows = lesson.plan.groups.flatMap((group, place) => [
    reading(lesson.plan, { group: group.id, condition: a!.id, value: [40, 55, 62, 38, 51, 60, 44][place]! }),
    reading(lesson.plan, { group: group.id, condition: b!.id, value: [45, 47, 55, 44, 43, 52, 47][place]! }),
    reading(lesson.plan, { group: group.id, condition: b!.id, repeat: 2, value: 70, status: 'set-aside', reason: 'it leaked' }),
  ])
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  await openStop(page, lesson, 'results')
  await expect(page.getByRole('region', { name: 'How sure we can be' })).toContainText(/Leaning|Can't tell yet/)
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByText('(it leaked)')).toHaveCount(7)

  await page.keyboard.press('8')
  const conclusion = page.getByRole('textbox', { name: 'Our conclusion' })
  await conclusion.fill('Kitchen roll is definitely the best paper.')
  await expect(page.getByText('Claims more than the numbers.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep as a draft' }).click()
  await expect(page.getByRole('complementary').getByRole('heading', { name: 'Claims more than the numbers' })).toBeVisible()
  await conclusion.fill('It looks as if kitchen roll may drink more, 50 mm against 48 mm, but we are not sure yet.')
  await expect(page.getByText('Everything in it was checked against the table')).toBeVisible()
  await page.getByRole('button', { name: 'We agree on this' }).click()
  await page.getByText('Earlier wordings').click()
  await expect(page.getByText('Kitchen roll is definitely the best paper.')).toBeVisible()
})

test('the Second look folds to a count, leads to the place, and empty says so', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.factors[3]!.how = ''
    plan.date = '2026-12-03'
  })
  await openStop(page, lesson, 'clock')
  await page.getByRole('button', { name: 'Write how' }).click()
  await expect(page.getByLabel('How the water is kept the same')).toBeFocused()
  await page.getByLabel('How the water is kept the same').fill('tap water from one jug')
  await expect(page.getByRole('heading', { name: 'The water can drift' })).toBeHidden()
  const shown = await page.getByRole('complementary').locator('.finding').count()
  expect(shown).toBeGreaterThan(2)
  await page.getByRole('button', { name: 'Fold the Second look away' }).click()
  await expect(page.getByRole('heading', { name: 'Slips: children can' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Open the Second look' })).toContainText(String(shown))
})

test('desk, board and station find each other again after the server was started anew', async ({ browser }) => {
  const { folder, remove } = temporaryFolder()
  const first = await startApplication({ data: folder })
  const port = Number(new URL(first.base).port)
  const { lesson } = await client(first.base).newLesson()
  const [board, tablet] = await Promise.all([browser.newPage(), browser.newPage({ viewport: { width: 390, height: 844 } })])
  await board.goto(`${first.base}/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  await tablet.goto(`${first.base}/station?code=${encodeURIComponent(lesson.code)}`)
  await tablet.getByRole('button', { name: 'Gorse' }).click()
  await tablet.getByRole('button', { name: 'Later' }).click()
  await tablet.getByRole('button', { name: 'Start the trials that count' }).click()
  await first.stop()
  await expect(board.getByText('the line is down')).toBeVisible()
  await enterNumber(tablet, '57')
  await expect(tablet.getByRole('status')).toContainText('1 waiting')

  const second = await startApplication({ data: folder, port })
  await expect(board.getByText('Last in: Gorse, C writing paper')).toBeVisible()
  await expect(tablet.getByRole('status')).toHaveText('sent')
  await expect(board.getByText('join at')).toBeVisible()
  await Promise.all([board.close(), tablet.close()])
  await second.stop()
  remove()
})

test('a station offers again what it sent when the server comes back with the data of before', async ({ browser }) => {
  const { folder, remove } = temporaryFolder()
  const first = await startApplication({ data: folder })
  const port = Number(new URL(first.base).port)
  const { lesson } = await client(first.base).newLesson()
  const board = await browser.newPage()
  const tablet = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await board.goto(`${first.base}/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  await tablet.goto(`${first.base}/station?code=${encodeURIComponent(lesson.code)}`)
  await tablet.getByRole('button', { name: 'Gorse' }).click()
  await tablet.getByRole('button', { name: 'Later' }).click()
  await tablet.getByRole('button', { name: 'Start the trials that count' }).click()
  // A snapshot from before this station joined would not know it: the one that counts is taken now.
  await first.stop()
  rmSync(join(folder, 'snapshots'), { recursive: true, force: true })
  const again = await startApplication({ data: folder, port })
  await expect.poll(() => snapshotsOf(folder).length, { timeout: 180_000 }).toBeGreaterThan(0)
  for (const value of ['57', '49']) await enterNumber(tablet, value)
  await expect(tablet.getByText('2 of 12 done')).toBeVisible()
  await expect(tablet.getByRole('status')).toHaveText('sent')
  await again.stop()
  rmSync(join(folder, 'database', 'global', 'pg_control'))

  const second = await startApplication({ data: folder, port })
  const stored = async () => (await client(second.base).open(lesson.id)).record.readings.map(({ value }) => value)
  await expect.poll(stored, { timeout: 120_000 }).toEqual([57, 49])
  await enterNumber(tablet, '23')
  await expect.poll(stored).toEqual([57, 49, 23])
  await expect(tablet.getByText('3 of 12 done')).toBeVisible()
  await expect(board.getByText('Last in: Gorse')).toBeVisible()
  const shelf = await browser.newPage()
  await shelf.goto(second.base)
  await expect(shelf.getByText(/The data were damaged\. What you see is from/)).toBeVisible()
  await shelf.getByRole('button', { name: 'I have read this' }).click()
  await expect(shelf.getByText(/The data were damaged/)).toBeHidden()
  await shelf.reload()
  await expect(shelf.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  await expect(shelf.getByText(/The data were damaged/)).toBeHidden()
  await Promise.all([board.close(), tablet.close(), shelf.close()])
  await second.stop()
  remove()
})

test('two stations of one class write side by side', async ({ browser, baseURL }) => {
  const { newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  const pages = await Promise.all(
    ['Alder', 'Birch'].map(async (group) => {
      const context = await browser.newContext({ baseURL, viewport: { width: 1024, height: 768 } })
      const page = await context.newPage()
      await joinStation(page, lesson.code, group)
      await page.getByRole('button', { name: 'Later' }).click()
      await page.getByRole('button', { name: 'Start the trials that count' }).click()
      return page
    }),
  )
  await Promise.all(
    pages.map(async (page, place) => {
      for (const value of [61, 50, 23, 14]) await enterNumber(page, String(value + place))
      await expect(page.getByText('4 of 12 done')).toBeVisible()
    }),
  )
  await expect.poll(async () => (await open(lesson.id)).record.readings.length).toBe(8)
  for (const page of pages) await page.context().close()
})

test('desk and board steer one board by their keys: view, clock, numbers, sound; a circuit says where to go', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.arrangement = { ...plan.arrangement, way: 'circuit', change: 'at-bell' }
    plan.practice = 0
  })
  const state = async () => (await client(baseURL).call<{ board: BoardState }>('GET', `/api/lessons/${lesson.id}/board`)).body.board
  await openStop(page, lesson, 'test')
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}`)
  await expect(board.getByRole('heading', { level: 1 })).toBeVisible()
  await page.bringToFront()
  await choose(page.getByRole('combobox', { name: 'The board shows' }), 'Testing')
  await page.locator('#work').focus()
  await page.keyboard.press('t')
  await expect.poll(async () => (await state()).clockStarted).not.toBeNull()
  await board.bringToFront()
  await expect(board.getByText('All change')).toBeVisible()
  await expect(board.getByRole('row', { name: /^Alder.*next [A-D]/ })).toBeVisible()
  await expect(board.getByRole('button', { name: 'Pause' })).toBeVisible()
  for (const key of ['q', 'm', 's']) await board.keyboard.press(key)
  await expect.poll(async () => (await state()).pauses).toMatchObject([{ to: null }])
  await expect(board.getByRole('button', { name: 'Go on' })).toBeVisible()
  expect(await state()).toMatchObject({ view: 'test', results: 'live', sound: false, draft: '', draftNumber: 0 })
  await board.keyboard.press('ArrowRight')
  await expect.poll(async () => (await state()).view).toBe('results')
  await page.bringToFront()
  await expect(page.getByLabel('The board shows')).toHaveValue('Results')
  await expect(page.getByLabel('live numbers')).toBeChecked()
  await board.bringToFront()
  await board.keyboard.press('Escape')
  await expect.poll(async () => (await state()).view).toBeNull()
})
