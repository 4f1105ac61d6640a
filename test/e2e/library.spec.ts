import { readFileSync } from 'node:fs'
import { choose, client, expect, expectAccessible, expectNothingSticksOut, lessonWith, openStop, test } from './house'

test('the library is looked through and inside; a lesson is kept in it, goes out as a file and comes in again', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson } = client(baseURL)
  await page.goto('/new')
  await expect(page.getByRole('heading', { name: 'Quiet box' })).toBeVisible()
  await choose(page.getByLabel('Topic'), 'Light and sound')
  await choose(page.getByLabel('Age'), '9 to 11 years')
  await expect(page.getByRole('button', { name: /: take this one$/ })).toHaveCount(3)
  await page.getByLabel('We have it all').check()
  await expect(page.getByText('No lesson fits all of that.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()

  await choose(page.getByLabel('Practises'), 'Judging who comes first')
  await expect(page.getByRole('button', { name: /: take this one$/ })).toHaveText(['Take this one', 'Take this one'])
  await page.getByRole('button', { name: 'Look inside Twang order' }).click()
  await expect(page.getByRole('dialog')).toContainText('In this order: 5')
  await expect(page.getByRole('dialog')).toContainText(/Getting ready: About \d+ min/)
  await page.keyboard.press('Escape')
  await choose(page.getByLabel('Practises'), 'Any skill')

  await page.getByRole('button', { name: 'Look inside Froth tower' }).click()
  const inside = page.getByRole('dialog', { name: 'Froth tower' })
  await expect(inside.getByText('Yeast is a living thing, so small that a grain holds millions of them.')).toBeVisible()
  await expect(inside.getByText(/^The yeast: two level teaspoons for cold/)).toBeVisible()
  await expectAccessible(page, 'inside an investigation')
  await page.keyboard.press('Escape')

  const { lesson } = await newLesson('grip-and-slide')
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Print and files' }).click()
  await page.getByRole('menuitem', { name: 'About this investigation' }).click()
  await expect(page.getByText('The grip grows with the load: twice as heavy, twice the pull.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Print and files' }).click()
  await page.getByRole('menuitem', { name: 'Keep for others to begin from' }).click()
  await page.getByLabel('What happens in it, in a sentence or two').fill('Our own floor, our own box.')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('button', { name: 'Look', exact: true }).click()
  const card = page.getByRole('listitem').filter({ hasText: 'Our own floor, our own box.' })
  await expect(card).toContainText('Our own')
  const saved = page.waitForEvent('download')
  await card.getByRole('button', { name: 'More for Grip and slide' }).click()
  await page.getByRole('menuitem', { name: 'Save as a file for others' }).click()
  const file = await (await saved).path()
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({
    format: 'jolly-beaker-starting-point',
    summary: 'Our own floor, our own box.',
  })
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open a file' }).click()
  await (await chooser).setFiles(file)
  await expect(card).toHaveCount(2)
  await expectAccessible(page, 'library')
  await page.setViewportSize({ width: 390, height: 844 })
  await expectNothingSticksOut(page, 'library')
  for (const left of [1, 0]) {
    await card.first().getByRole('button', { name: 'More for Grip and slide' }).click()
    await page.getByRole('menuitem', { name: 'Take it out of the library' }).click()
    await expect(card).toHaveCount(left)
  }
  expect((await call('GET', `/api/lessons/${lesson.id}`)).status).toBe(200)
})

test('a lesson is rehearsed: how often it works, what would help, and one made-up class that is marked everywhere and stored nowhere', async ({
  page,
  baseURL,
}) => {
  const { open } = client(baseURL)
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      plan.repeats = 4
      plan.clock.start = '10:30'
    },
    'soak-up-strips',
  )
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Rehearse' }).click()
  const dialog = page.getByRole('dialog', { name: 'Rehearsal' })
  await expect(dialog.getByText(/classes like yours this comes out clear/)).toBeVisible()
  await expect(dialog.getByText(/^Testing ends at 11:\d\d in half of them/)).toBeVisible()
  await expect(dialog.getByText(/some group runs out of time/)).toBeVisible()
  const help = dialog.getByRole('button', { name: 'Run 2 side by side' })
  await expect(help).toBeVisible()
  await expectAccessible(page, 'rehearsal')
  await help.click()
  await expect(dialog.getByRole('button', { name: 'Stop' })).toBeVisible()
  await dialog.getByRole('button', { name: 'Stop' }).click()
  await expect(dialog.getByRole('status')).toBeHidden()
  await expect.poll(async () => (await open(lesson.id)).lesson.plan.clock.sideBySide).toBe(2)

  await dialog.getByRole('button', { name: 'Walk one made-up class through' }).click()
  const mark = page.getByText('Made up for a rehearsal: no child measured this.')
  await expect(page.getByRole('heading', { name: 'Test', exact: true })).toBeVisible()
  for (const stop of ['Test', 'Results', 'Agree']) {
    await page
      .getByRole('navigation')
      .getByRole('link', { name: new RegExp(`^${stop}`) })
      .click()
    await expect(mark).toBeVisible()
    await expectAccessible(page, `made up, ${stop}`)
  }
  // Another class each time: most come out clear, one that ran out of time only leans.
  await expect(page.getByText(/Kitchen roll came first with an average of|lean towards kitchen roll/).first()).toBeVisible()
  await page.getByRole('textbox', { name: 'Our conclusion' }).fill('We found it.')
  await expect(page.getByText('This class is made up: nothing is written down.', { exact: false })).toBeVisible()

  await page.getByRole('button', { name: 'Print and files' }).click()
  const report = await page.getByRole('menuitem', { name: 'Class report' }).getAttribute('href')
  await page.keyboard.press('Escape')
  const paper = await page.context().newPage()
  await paper.goto(report!)
  await expect(paper.getByText('Made up for a rehearsal: no child measured this.')).toBeVisible()
  await expect(paper.getByRole('row', { name: /kitchen roll/ }).first()).toContainText('mm')
  await paper.goto(`/board/${lesson.id}?${report!.split('?')[1]}`)
  await expect(paper.getByText('Made up for a rehearsal: no child measured this.')).toBeVisible()
  await paper.goto(`/print/${lesson.id}/report`)
  await expect(paper.getByRole('heading', { name: 'Soak-up strips' })).toBeVisible()
  await expect(paper.getByText('Made up for a rehearsal', { exact: false })).toBeHidden()

  await page.getByRole('button', { name: 'Put it away' }).first().click()
  await expect(mark).toBeHidden()
  const { record, lesson: after } = await open(lesson.id)
  // Not even word by word on the real board.
  expect(after.board.draft).toBe('')
  expect([record.readings, record.predictions, record.conclusions]).toEqual([[], [], []])
})

test('a lesson from nothing is rehearsed on the teacher’s guess, and says what is missing for it before', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, () => {}, null)
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Rehearse' }).click()
  await expect(page.getByText('There is nothing to rehearse yet.')).toBeVisible()
  await page.keyboard.press('Escape')
  const guessed = await lessonWith(
    baseURL,
    (plan) => {
      plan.investigation = null
      plan.measures[0]!.method.trialWobble = 25
    },
    'soak-up-strips',
  )
  await openStop(page, guessed, 'plan')
  await page.getByRole('button', { name: 'Rehearse' }).click()
  await expect(page.getByText(/if your guess is right, this comes out clear/)).toBeVisible()
})
