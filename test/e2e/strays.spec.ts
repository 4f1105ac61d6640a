import type { LessonFile } from '../../core/formats'
import { reading } from '../api/client'
import { cell, choose, client, expect, expectAccessible, giveFile, lessonWith, openStop, test } from './house'

test('readings of a group that is gone are kept, shown, given to somebody, put aside, and asked about again', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, () => {})
  const { call, open } = client(baseURL)
  const [gone, first] = [lesson.plan.groups.at(-1)!.id, lesson.plan.groups[0]!.id]
  const tissue = lesson.plan.conditions[1]!.id
  const of = (group: string, value: number) => reading(lesson.plan, { group, condition: tissue, value, entered: String(value) })
  const readings = [of(gone, 52), of(gone, 48), of(first, 50)]
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  const { body: file } = await call<LessonFile>('GET', `/api/lessons/${lesson.id}/file`)
  const text = JSON.stringify({ ...file, plan: { ...file.plan, groups: file.plan.groups.slice(0, -1) } })
  const opened = await call<{ id: string }>('POST', '/api/lessons/open', { text })
  const { id } = opened.body

  await openStop(page, id, 'test')
  const list = page.getByRole('region', { name: 'Without a place' })
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await expectAccessible(page, 'what has no place')
  await expect(page.getByText('2 readings of a group that is no longer here.', { exact: false })).toBeVisible()
  await expect(page.getByText('1 of 72', { exact: false }).first()).toBeVisible()

  // By keyboard alone: whom it goes to, and that it goes.
  const lost = list.getByRole('listitem').filter({ hasText: '52' })
  await choose(lost.getByLabel('Give it to'), 'Birch')
  await lost.getByRole('button', { name: 'Give it' }).press('Enter')
  await expect(page.getByText('Given to Birch.')).toBeVisible()
  await expect(cell(page, 'Birch', 'B tissue', 1)).toHaveValue('52')

  await list.getByRole('button', { name: 'Put it aside' }).click()
  await expect(list).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(list.getByRole('listitem')).toHaveCount(1)
  // Nothing of it was rewritten: each answer is a row of its own.
  const { record } = await open(id)
  expect(record.readings.map(({ value }) => value)).toEqual([52, 48, 50])
  expect(record.placings.map(({ to, aside }) => [to === null ? '' : 'given', aside])).toEqual([
    ['given', false],
    ['', true],
    ['', false],
  ])
})

test('a backup that says otherwise of the school leaves ours, until somebody takes its', async ({ page, baseURL }) => {
  const { call } = client(baseURL)
  const lesson = await lessonWith(baseURL, () => {})
  const english = async () =>
    (await call<{ school: { customs: { english: string } } }>('GET', `/api/lessons/${lesson.id}/school`)).body.school.customs
      .english
  const before = await english()
  const other = before === 'british' ? 'american' : 'british'
  const library = { format: 'jolly-beaker-library', version: 1, savedAt: '2026-03-12T12:00:00.000Z', lessons: [] }
  const { zipSync, strToU8 } = await import('fflate')
  const held = (await call<{ school: { held: object } }>('GET', `/api/lessons/${lesson.id}/school`)).body.school.held
  const contents = {
    ...library,
    cupboard: { things: [], moves: [] },
    calendars: [],
    held,
    customs: { english: other, currency: 'none' },
  }
  const buffer = Buffer.from(zipSync({ 'library.json': strToU8(JSON.stringify(contents)) }))
  await page.goto('/')
  const bring = () =>
    giveFile(page.getByRole('button', { name: 'Open a file' }), { name: 'all.beaker.zip', mimeType: 'application/zip', buffer })
  await bring()
  const dialog = page.getByRole('dialog', { name: 'The school’s own settings' })
  await expect(dialog).toContainText('Nothing of that was taken')
  await dialog.getByRole('button', { name: 'Keep ours' }).click()
  expect(await english()).toBe(before)
  // That it is then taken is tried in putBack.test.ts: here other tests share the school.
  const taken = page.waitForRequest((request) => request.url().endsWith('/api/library?takeSchool=true'))
  await page.route('**/api/library?takeSchool=true', (route) =>
    route.fulfill({ json: { added: 0, alreadyThere: 0, beside: 0, things: 0, damaged: [], differs: null } }),
  )
  await bring()
  await dialog.getByRole('button', { name: 'Take the backup’s' }).click()
  await taken
  await expect(dialog).toBeHidden()
})
