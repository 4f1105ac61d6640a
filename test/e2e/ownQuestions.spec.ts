import { reading } from '../api/client'
import { client, enterNumber, expect, expectAccessible, expectNothingSticksOut, openStop, test } from './house'

test('each group its own question inside one lesson: asked at stations with its code, a row a group on desk and board, one sentence', async ({
  page,
  baseURL,
  browser,
}) => {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson('soak-up-strips')
  const title = `Own ${Date.now()}`
  const plan = { ...lesson.plan, title, repeats: 2, practice: 0, asked: { whose: 'groups' as const, chosen: null } }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })
  const rowOf = (name: string) =>
    page.getByRole('group', { name: 'Each group its own question' }).getByRole('row', { name: new RegExp(`^${name}`) })
  await openStop(page, lesson, 'test')
  await expect(rowOf('Alder')).toContainText('none yet')
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}`)

  // Alder asks at its station, and is at once in its own question; the board turns to the one of all.
  const station = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await station.goto(`${baseURL}/station?code=${encodeURIComponent(lesson.code)}`)
  await station.getByRole('button', { name: 'Alder' }).click()
  await expect(station.getByRole('button', { name: 'The question of the class' })).toBeVisible()
  await expectNothingSticksOut(station, 'own or the class’s question')
  await station.getByRole('button', { name: 'Ask our own question' }).click()
  await station.getByRole('radio', { name: 'the width of the strip' }).check()
  await station.getByRole('radio', { name: 'how high water climbs in 60 s' }).check()
  await station.getByLabel('Try 1').fill('1 cm')
  await station.getByLabel('Try 2').fill('4 cm')
  await station.getByRole('button', { name: 'This is our question' }).click()
  await station.getByRole('button', { name: 'Later' }).click()
  await enterNumber(station, '44')
  const row = rowOf('Alder')
  await expect(row).toContainText('How does the width of the strip change')
  await expect(row).toContainText('1 of 4')
  await expect(board).toHaveURL(/\/together\/.*\/board/)
  await expect(board.getByText('1 of 4')).toBeVisible()
  // Whoever types the code again comes straight back.
  await station.evaluate(() => localStorage.clear())
  await station.goto(`${baseURL}/station?code=${encodeURIComponent(lesson.code)}`)
  await station.getByRole('button', { name: 'Alder' }).click()
  await expect(station.getByText(/of 4 done/)).toBeVisible()
  await station.context().close()

  // The others' are written at the desk; then nobody is left in the question of the class.
  const names = plan.groups.map(({ name }) => name)
  const asked = { change: 'the time in the water', measure: 'how high water climbs in 60 s', conditions: ['30 s', '90 s'] }
  for (const name of names.slice(1)) await call('POST', `/api/lessons/${lesson.id}/own-question`, { name, ...asked })
  await expect(rowOf('Birch')).toContainText('0 of 4')
  await expect(page.getByText('Type a number, Enter goes down')).toBeHidden()
  await expect(page.getByText(/children, each group its own question/)).toBeVisible()
  await expectAccessible(page, 'own questions')
  await expectNothingSticksOut(page, 'own questions')

  const own = (await call<{ id: string }>('POST', `/api/lessons/${lesson.id}/own-question`, { name: 'Birch', ...asked })).body.id
  const part = (await open(own)).lesson.plan
  const readings = part.groups.flatMap(({ id: group }) =>
    part.conditions.flatMap(({ id: condition }, place) =>
      [1, 2].map((repeat) => {
        const value = 30 + 25 * place + repeat
        return reading(part, { group, condition, repeat, value, entered: String(value) })
      }),
    ),
  )
  expect((await call('POST', `/api/lessons/${own}/readings`, { readings })).status).toBe(200)
  // How many groups there are stays while some are in their own questions.
  await page.getByRole('button', { name: /children, each group its own question/ }).click()
  const ofClass = page.getByRole('dialog', { name: 'The class' })
  await expect(ofClass.getByText('Groups ask their own questions')).toBeVisible()
  await expect(ofClass.getByLabel('Children')).toBeDisabled()
  await expect(ofClass.getByLabel('Groups', { exact: true })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await openStop(page, lesson, 'agree')
  await expect(rowOf('Birch')).toContainText('Clear')
  const sentence = page.getByRole('textbox', { name: 'Our sentence across all' })
  await sentence.fill('With 90 s the water climbed 25 mm higher than with 30 s. We are sure.')
  await expect(page.getByText('Everything in it was checked against the tables.')).toBeVisible()
  const kept = page.waitForResponse((one) => one.request().method() === 'PUT' && /\/api\/together\//.test(one.url()))
  await page.getByRole('button', { name: 'We agree on this' }).click()
  expect((await kept).status()).toBe(200)
  // The class report has a row a group, and the sentence of all of them.
  await page.goto(`/print/${lesson.id}/report`)
  const reported = page.getByRole('table', { name: 'Each group’s own question' })
  await expect(reported.getByRole('row', { name: /^Alder How does the width of the strip .* 1 of 4/ })).toBeVisible()
  await expect(reported.getByRole('row', { name: /^Birch .* 4 of 4 .*Clear/ })).toBeVisible()
  await expect(page.getByText('With 90 s the water climbed 25 mm higher than with 30 s.')).toBeVisible()
  await expect(page.getByText('Agreed by the class.')).toBeVisible()
  await openStop(page, lesson, 'kit')
  await expect(page.getByRole('region', { name: 'Kit of all lessons' }).getByRole('table')).toBeVisible()

  await page.goto('/')
  await page.getByLabel('Find a lesson').fill(title)
  await expect(page.getByRole('link', { name: title })).toHaveCount(1)
  await expect(page.getByRole('link', { name: /^Birch: / })).toHaveCount(0)
})
