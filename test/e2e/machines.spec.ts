import { expect, test } from '@playwright/test'
import { clientFor, reading, type WholeLesson } from '../api/client'
import { startApplication } from '../application'
import { startPostgres } from '../postgres'
import { choose, turnBoard } from './house'

test('a number sent to one process appears on the board of the other, and a class’s own desk opens at both', async ({
  browser,
}) => {
  const server = await startPostgres()
  const environment = { DATABASE_URL: await server.database('school') }
  const [one, two] = await Promise.all(['one', 'two'].map((name) => startApplication({ data: `/nowhere/${name}`, environment })))
  const at = clientFor(one!.base)
  const opened = await at.call('PUT', '/api/class-mode', { passphrase: 'grey heron by the pond' })
  const desk = { cookie: opened.headers.getSetCookie()[0]!.split(';')[0]! }
  await at.call('POST', '/api/desks', { name: 'Wren', passphrase: 'a nest of twigs' }, desk)

  const page = await browser.newPage()
  await page.goto(two!.base)
  await choose(page.getByRole('combobox', { name: 'Whose desk' }), 'Wren')
  await page.getByLabel('Passphrase').fill('a nest of twigs')
  await page.getByRole('button', { name: 'Open the desk' }).click()
  await expect(page.getByRole('heading', { name: 'On the shelf of Wren' })).toBeVisible()
  await page.getByRole('link', { name: 'New lesson' }).click()
  await page.getByRole('button', { name: 'Soak-up strips: take this one' }).click()
  await expect(page.getByRole('heading', { name: 'Second look' })).toBeAttached()
  const id = /lesson\/([0-9a-f-]{36})/.exec(page.url())![1]!
  const { lesson } = (await at.call<WholeLesson>('GET', `/api/lessons/${id}`, undefined, desk)).body
  await page.goto(`${two!.base}/board/${id}`)
  await turnBoard(page, 'Testing')
  const token = await at.joinStation(lesson.code, lesson.plan.groups[0]!.id)
  await at.call('POST', '/api/station/readings', { readings: [reading(lesson.plan)] }, token)
  await expect(page.getByText(/Last in: Alder/)).toBeVisible()

  await page.goto(two!.base)
  await page.getByRole('button', { name: 'More for Soak-up strips' }).click()
  await page.getByRole('menuitem', { name: 'Hand over' }).click()
  await page.getByRole('button', { name: 'The head desk' }).click()
  await expect(page.getByText('Handed over to the head desk.')).toBeVisible()
  await expect(page.getByRole('heading', { name: '1 Look around' })).toBeVisible()
  await page.getByRole('button', { name: 'More for the shelf' }).click()
  await page.getByRole('menuitem', { name: 'Leave the desk on this device' }).click()
  await expect(page.getByRole('heading', { name: 'The desk is closed' })).toBeVisible()
  await page.close()
  await Promise.all([one!.stop(), two!.stop()])
  server.stop()
})
