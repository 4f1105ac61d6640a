import { randomUUID } from 'node:crypto'
import { withEachChild } from '../../core/lesson'
import { reading } from '../api/client'
import { choose, client, enterNumber, expect, expectAccessible, expectNothingSticksOut, openStop, saved, test } from './house'

test('three investigations run together: one code, a group’s own question, one clock, one kit, what each found, one sentence, and apart again', async ({
  page,
  baseURL,
  browser,
}) => {
  const { call, newLesson, open } = client(baseURL)
  const [soak, bounce] = [(await newLesson('soak-up-strips')).lesson, (await newLesson('bounce-back')).lesson]
  const name = `Wet and bouncy ${Date.now()}`
  const rename = async (id: string, title: string) => {
    const { lesson } = await open(id)
    await call('PUT', `/api/lessons/${id}/plan`, {
      plan: { ...lesson.plan, title, repeats: 2, practice: 0 },
      revision: lesson.revision,
    })
  }
  await rename(soak.id, `Strips ${name}`)
  await rename(bounce.id, `Balls ${name}`)

  await page.goto('/')
  await page.getByRole('button', { name: `More for Strips ${name}` }).click()
  await page.getByRole('menuitem', { name: 'Run together with …' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel(`Balls ${name}, class`).check()
  await dialog.getByRole('button', { name: 'Run together' }).click()
  await page.getByLabel('Name of it all').fill(name)
  await page.getByLabel('Name of it all').press('Enter')
  await expect(page.getByRole('heading', { name })).toBeVisible()
  await page.getByRole('checkbox', { name: `Birch does Balls ${name}` }).uncheck()
  await page.getByRole('checkbox', { name: `Alder does Strips ${name}` }).uncheck()
  await page.getByLabel('groups may ask their own question').check()
  const code = (await page.locator('.code').textContent())!.trim()

  const board = await page.context().newPage()
  await board.goto(`${page.url().split('?')[0]}/board`)
  await expect(board.getByText(code, { exact: false }).first()).toBeVisible()

  // One code for all: Alder has one thing to do, or a question of its own.
  const station = await (await browser.newContext()).newPage()
  await station.goto(`${baseURL}/station`)
  await station.getByLabel('Code from the board').fill(code)
  await station.getByRole('button', { name: 'Next' }).click()
  await station.getByRole('button', { name: 'Alder' }).click()
  await expect(station.getByRole('button', { name: new RegExp(`^Balls ${name}`) })).toBeVisible()
  await expect(station.getByRole('button', { name: new RegExp(`^Strips ${name}`) })).toBeHidden()
  await station.getByRole('button', { name: 'Ask our own question' }).click()
  await station.getByRole('radio', { name: 'the width of the strip' }).check()
  await station.getByRole('radio', { name: 'how high water climbs in 60 s' }).check()
  await station.getByLabel('Try 1').fill('1 cm')
  await expect(station.getByText('Name at least two things to try.')).toBeVisible()
  await station.getByLabel('Try 2').fill('4 cm')
  await expect(station.getByText('We change only the width of the strip: 1 cm and 4 cm.')).toBeVisible()
  await station.getByRole('button', { name: 'This is our question' }).click()
  await station.getByRole('button', { name: 'Later' }).click()
  await expect(station.getByText(/^0 of 4 done$/)).toBeVisible()
  await enterNumber(station, '44')
  await expect(board.getByText('1/4')).toBeVisible()
  await station.getByRole('button', { name: 'Another investigation' }).click()
  await station.getByRole('button', { name: new RegExp(`^Balls ${name}`) }).click()
  await expect(station.getByText(/of 10 done/)).toBeVisible()
  await station.context().close()

  // All others are quick with their strips.
  const { plan } = (await open(soak.id)).lesson
  const heights = [61, 48, 22, 15]
  const readings = plan.groups.flatMap(({ id: group }, at) =>
    plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2].map((repeat) => {
        const value = heights[place]! + ((at * 2 + repeat) % 4)
        return reading(plan, { group, condition, repeat, value, entered: String(value) })
      }),
    ),
  )
  expect((await call('POST', `/api/lessons/${soak.id}/readings`, { readings })).status).toBe(200)

  await page.getByRole('tab', { name: 'Clock' }).click()
  await expect(page.getByText(/\d+ trials are done (after|within)/)).toBeVisible()
  await expect(page.getByText(/^No timetable in half minutes can end before/)).toBeVisible()
  await choose(page.getByLabel(`Strips ${name}`), 'hands are free while it runs')
  await expect(page.getByText(/^No timetable in half minutes can end before/)).toBeVisible()
  await page.getByRole('tab', { name: 'Kit' }).click()
  await expect(page.getByRole('row', { name: /^30 cm ruler / })).toContainText(`Strips ${name}`)

  await page.getByRole('tab', { name: 'What each found' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: `Strips ${name}` })).toContainText('Clear')
  await expect(page.getByRole('listitem').filter({ hasText: `Balls ${name}` })).toContainText('Nothing measured yet.')

  await page.getByRole('tab', { name: 'Our sentence' }).click()
  const sentence = page.getByRole('textbox', { name: 'Our sentence across all' })
  await sentence.fill('We are sure: kitchen roll drank up to 95 mm on average.')
  await expect(page.getByText(/The table has .* for kitchen roll/)).toBeVisible()
  await sentence.fill('We are sure that card drank least; how the balls bounce we cannot tell yet: 15 mm was the lowest.')
  await expect(page.getByText(/The table has .* for kitchen roll/)).toHaveCount(0)
  await page.getByRole('button', { name: 'We agree on this' }).click()
  await expect(page.getByText('Agreed by the class.')).toBeVisible()
  await board.keyboard.press('ArrowRight')
  await board.keyboard.press('ArrowRight')
  await expect(board.getByText('We are sure that card drank least', { exact: false })).toBeVisible()

  // A circuit of different experiments, on screen and on paper.
  await page.getByRole('tab', { name: 'Who does what' }).click()
  await choose(page.getByLabel('Groups and investigations'), /^All go round/)
  await page.getByRole('button', { name: 'Put every group into each' }).click()
  await expect(page.getByRole('button', { name: 'Put every group into each' })).toBeHidden()
  await expect(page.getByRole('columnheader', { name: 'round 3' })).toBeVisible()
  const paper = await page.context().newPage()
  await paper.goto(`${page.url().split('?')[0]}/print`)
  await expect(paper.getByRole('heading', { name: 'What to fetch' })).toBeVisible()
  await expect(paper.getByRole('columnheader', { name: 'round 3' })).toBeVisible()

  // Two groups get a lesson of their own, and go back.
  await page.getByRole('button', { name: `More for Strips ${name}` }).click()
  await page.getByRole('menuitem', { name: 'Split off some groups …' }).click()
  await page.getByRole('dialog').getByLabel('Elm').check()
  await page.getByRole('button', { name: 'Split them off' }).click()
  await expect(page.getByRole('link', { name: `Strips ${name}` })).toHaveCount(2)
  await page
    .getByRole('button', { name: `More for Strips ${name}` })
    .last()
    .click()
  await page.getByRole('menuitem', { name: `Put its groups back into Strips ${name}` }).click()
  await expect(page.getByRole('link', { name: `Strips ${name}` })).toHaveCount(1)

  const before = (await open(soak.id)).record
  await page.getByRole('button', { name: 'More for all' }).click()
  await page.getByRole('menuitem', { name: 'Split: every lesson alone again' }).click()
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible()
  expect((await open(soak.id)).record).toEqual(before)
  expect((await open(soak.id)).lesson.together).toBeNull()
})

test('a lesson that runs alone shows nothing of it', async ({ page, baseURL }) => {
  const { newLesson } = client(baseURL)
  const { lesson } = await newLesson('soak-up-strips')
  await page.goto(`/lesson/${lesson.id}/plan`)
  await saved(page)
  await expect(page.getByText('runs together')).toBeHidden()
})

test('axe finds nothing where lessons run together and where each child has its own, and neither sticks out of a station', async ({
  page,
  baseURL,
  browser,
}) => {
  const { call, newLesson, open } = client(baseURL)
  const lessons = [(await newLesson('soak-up-strips')).lesson.id, (await newLesson('bounce-back')).lesson.id]
  const { body: made } = await call<{ id: string }>('POST', '/api/together', { lessons })
  const { body: view } = await call<{ code: string }>('GET', `/api/together/${made.id}`)
  await call('PUT', `/api/together/${made.id}`, { ownQuestions: true, conclusion: 'Kitchen roll was best.' })
  for (const part of ['who', 'clock', 'kit', 'found', 'agree']) {
    await page.goto(`/together/${made.id}?part=${part}`)
    await expect(page.getByRole('tab', { selected: true })).toBeVisible()
    await page.waitForTimeout(600)
    await expectAccessible(page, `together ${part}`)
  }
  await call('PUT', `/api/together/${made.id}`, { way: 'circuit' })
  await page.goto(`/together/${made.id}`)
  await expect(page.getByRole('columnheader', { name: 'round 1' })).toBeVisible()
  await expectAccessible(page, 'together circuit')
  for (const shown of ['join', 'test', 'overview', 'agree']) {
    await call('PUT', `/api/together/${made.id}`, { view: shown })
    await page.goto(`/together/${made.id}/board`)
    await expect(page.getByRole('contentinfo')).toBeVisible()
    await expectAccessible(page, `board together ${shown}`)
  }
  await page.goto(`/together/${made.id}/print`)
  await expect(page.getByRole('heading', { name: 'What to fetch' })).toBeVisible()
  await expectAccessible(page, 'together on paper')

  const station = await (await browser.newContext({ viewport: { width: 360, height: 640 } })).newPage()
  await station.goto(`${baseURL}/station?code=${encodeURIComponent(view.code)}`)
  await station.getByRole('button', { name: 'Birch' }).click()
  await station.getByRole('button', { name: 'Ask our own question' }).click()
  await station.getByRole('radio', { name: 'the width of the strip' }).check()
  await expectAccessible(station, 'own question')
  await expectNothingSticksOut(station, 'own question')
  await call('DELETE', `/api/together/${made.id}`)

  const { lesson } = await open(lessons[0]!)
  let number = 0
  const plan = withEachChild({ ...lesson.plan, changed: null, conditions: lesson.plan.conditions.slice(0, 1) }, randomUUID, () => {
    number = (number + 0.37) % 1
    return number
  })
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
  await openStop(page, lesson.id, 'test')
  await expectAccessible(page, 'keyed by seat')
  await page.goto(`/print/${lesson.id}/codes`)
  await expect(page.getByText(plan.groups[0]!.name).first()).toBeVisible()
  await expectAccessible(page, 'codes')
  await station.goto(`${baseURL}/station?code=${encodeURIComponent(lesson.code)}`)
  await expect(station.getByLabel('Your own code')).toBeVisible()
  await expectAccessible(station, 'own code')
  await expectNothingSticksOut(station, 'own code')
  await station.context().close()
})
