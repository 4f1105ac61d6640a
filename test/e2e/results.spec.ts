import { readFileSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { Plan } from '../../core/lesson'
import { reading, type WholeLesson } from '../api/client'
import { cell, choose, client, enterNumber, expect, joinStation, lessonWith, openStop, saved, test, turnBoard } from './house'

/** Kitchen roll, tissue, writing paper, card; two repeats by every group, one reading far out. */
async function measured(baseURL: string | undefined, change: (plan: Plan) => void = () => {}): Promise<WholeLesson['lesson']> {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.repeats = 2
    plan.practice = 0
    change(plan)
  })
  const rows = lesson.plan.groups.flatMap(({ id: group }, shift) =>
    lesson.plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2].map((repeat) => {
        const odd = shift === 4 && place === 3 && repeat === 2
        return reading(lesson.plan, { group, condition, repeat, value: odd ? 60 : 60 - 15 * place + (shift % 3) + repeat })
      }),
    ),
  )
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  return lesson
}
const part = (page: Page, name: string | RegExp) => page.getByRole('tab', { name })

test('the right graph has its reason, another says what is lost, and both go out as pictures', async ({ page, baseURL }) => {
  const lesson = await measured(baseURL)
  await openStop(page, lesson, 'results')
  const graph = page.getByRole('region', { name: 'Graph' })
  await expect(graph).toContainText('comes in kinds with nothing between them')
  await expect(graph.getByRole('img')).toHaveAttribute('aria-label', /^Bars with dots\. Averages: A kitchen roll 62\./)
  await choose(graph.getByRole('combobox', { name: 'Graph' }), /^Points with a line/)
  await expect(graph).toContainText('What is lost: A line between two kinds says that there is something halfway.')
  await choose(graph.getByRole('combobox', { name: 'Graph' }), /^A panel for each group/)
  await expect(graph.locator('svg').getByText('Gorse')).toBeVisible()
  await graph.getByRole('button', { name: 'As a table' }).click()
  await expect(graph.getByRole('row', { name: /card/ })).toContainText('Elm: 60')

  const [svg] = await Promise.all([page.waitForEvent('download'), graph.getByRole('button', { name: 'Save as SVG' }).click()])
  const drawn = readFileSync((await svg.path())!, 'utf8')
  expect(drawn).toMatch(/^<svg [^>]*viewBox/)
  expect(drawn).toContain('Gorse')
  const [png] = await Promise.all([page.waitForEvent('download'), graph.getByRole('button', { name: 'Save as PNG' }).click()])
  const bytes = readFileSync((await png.path())!)
  expect([...bytes.subarray(1, 4)].map((byte) => String.fromCharCode(byte)).join('')).toBe('PNG')
  expect(bytes.length).toBeGreaterThan(10_000)

  await saved(page)
  await page.reload()
  await expect(graph.getByLabel('Graph')).toHaveValue('A panel for each group')
  await graph.getByRole('button', { name: 'Back to bars with dots' }).click()
  await expect(graph).toContainText('comes in kinds')
})

test('how sure in three depths, the table with its working, a scale that is checked', async ({ page, baseURL }) => {
  const lesson = await measured(baseURL)
  await openStop(page, lesson, 'results')
  await part(page, 'How sure').click()
  const sure = page.getByRole('region', { name: 'How sure, explained' })
  await sure.getByRole('radio', { name: 'For children' }).click()
  await expect(sure).toContainText('do not overlap at all')
  await sure.getByRole('radio', { name: 'For the teacher' }).click()
  await expect(sure).toContainText('F(3, 18) of condition')
  await expect(sure.getByRole('row', { name: /A kitchen roll above B tissue/ })).toContainText('below 0.001')
  await sure.getByRole('radio', { name: 'For the class' }).click()
  await expect(sure).toContainText('times the wobble')

  await part(page, 'Table').click()
  const table = page.getByRole('region', { name: 'Table' })
  await choose(table.getByRole('combobox', { name: 'Whose table' }), 'Alder')
  await table.getByLabel('show the working').check()
  await expect(table.getByRole('row', { name: /kitchen roll/ })).toContainText(/61 \+ 62 = 123.*123 ÷ 2 = 61\.5/)
  await choose(table.getByRole('combobox', { name: 'Average' }), /^Middle value/)
  await expect(table.getByRole('row', { name: /kitchen roll/ })).toContainText('Two stand in the middle')
  await expect(table.getByRole('row', { name: /kitchen roll/ })).toContainText('+45.0')

  await part(page, 'By hand').click()
  const byHand = page.getByRole('region', { name: 'By hand' })
  await expect(byHand).toContainText(/Count in 10s, two squares each, up to 70/)
  await byHand.getByLabel('Count in').fill('7')
  await page.keyboard.press('Tab')
  await expect(byHand).toContainText('Counting in 7s is hard to read in between. Try 5s.')
  await byHand.getByLabel('Count in').fill('5')
  await page.keyboard.press('Tab')
  await expect(byHand).toContainText('That works: all numbers fit and can be read.')
})

test('an odd result comes with questions, and one click plans a re-test of just it, which the station asks for', async ({
  page,
  context,
  baseURL,
}) => {
  const lesson = await measured(baseURL)
  await openStop(page, lesson, 'results')
  await part(page, /Odd ones \(1\)/).click()
  const odd = page.getByRole('region', { name: 'Odd results' })
  await expect(odd).toContainText('Elm, D card, repeat 2: 60')
  await expect(odd).toContainText('Was the width of the strip kept the same')
  await odd.getByRole('button', { name: 'Test it again' }).click()
  await expect(odd).toContainText('A further trial is planned')
  await saved(page)

  const station = await context.newPage()
  await joinStation(station, lesson.code, 'Elm')
  await expect(station.getByText('8 of 9 done')).toBeVisible()
  await enterNumber(station, '17')
  await expect(station.getByText('9 of 9 done')).toBeVisible()

  await page.keyboard.press('6')
  await expect(cell(page, 'Elm', 'D card', 3)).toHaveValue('17')
})

test('groups offer sentences, the class takes one up, the board shows it grow, and the next plan begins', async ({
  page,
  context,
  baseURL,
}) => {
  const lesson = await measured(baseURL)
  const station = await context.newPage()
  await joinStation(station, lesson.code, 'Cedar')
  await station.getByRole('button', { name: 'Say what you found out' }).click()
  await station.getByLabel('Our sentence').fill('Kitchen roll definitely wins due to magic.')
  await station.getByRole('button', { name: 'Offer it to the class' }).click()
  await expect(station.getByRole('button', { name: 'The class can see it' })).toBeDisabled()

  await openStop(page, lesson, 'agree')
  const offers = page.getByRole('region', { name: /What the groups say/ })
  await expect(offers.getByText('Kitchen roll definitely wins due to magic.')).toBeVisible()
  await offers.getByLabel('Hands for Cedar').fill('9')
  await page.keyboard.press('Tab')
  // Counting hands does not take the button away from under the fingers.
  await expect(offers.getByRole('button', { name: 'Take it up' })).toBeFocused()
  await saved(page)
  await page.keyboard.press('Enter')
  await expect(page.getByText('A cause, and no reason.')).toBeVisible()
  await expect(page.getByText('No numbers in it.')).toBeVisible()

  const board = await context.newPage()
  await board.goto(`/board/${lesson.id}`)
  await turnBoard(board, 'Conclusion')
  await expect(board.getByText('9 hands')).toBeVisible()
  const text = 'Kitchen roll came first with 62 mm, card last with 17 mm. We are sure, because all groups agree.'
  await page.getByRole('textbox', { name: 'Our conclusion' }).fill(text)
  await expect(board.getByText(text)).toBeVisible()
  await expect(page.getByText(/^We did not check: .*because all groups agree/)).toBeVisible()
  await page.getByLabel('Hands up for it').fill('24')
  await page.keyboard.press('Tab')
  await page.getByRole('button', { name: 'We agree on this' }).click()
  await expect(page.getByText(/Agreed on .* with 24 hands up, grown from what Cedar said/)).toBeVisible()
  await expect(board.getByText('Agreed, 24 hands up.')).toBeVisible()

  await page
    .getByRole('listitem')
    .filter({ hasText: 'How does the width of the strip change' })
    .getByRole('button', { name: 'Plan it' })
    .click()
  await expect(page.getByRole('heading', { name: 'Next: the width of the strip' })).toBeVisible()
})

test('reports go out as HTML and Markdown, a data package comes back as a lesson, a backup brings nothing twice', async ({
  page,
  baseURL,
}, info) => {
  const lesson = await measured(baseURL, (plan) => (plan.title = `Packed ${randomUUID()}`))
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.locator('.paper-chart svg')).toBeVisible()
  const [html] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as HTML' }).click()])
  const written = readFileSync((await html.path())!, 'utf8')
  expect(written).toContain('<svg ')
  expect(written).toContain('How does the kind of paper change')
  const [markdown] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as Markdown' }).click(),
  ])
  expect(readFileSync((await markdown.path())!, 'utf8')).toContain('| A kitchen roll |')

  await openStop(page, lesson, 'results')
  await page.getByRole('button', { name: 'Print and files' }).click()
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Data package (zip)' }).click(),
  ])
  const file = info.outputPath('lesson.data.zip')
  await zip.saveAs(file)
  await page.goto('/')
  await page.getByLabel('Find a lesson').fill(lesson.plan.title)
  await expect(page.getByRole('heading', { name: lesson.plan.title })).toHaveCount(1)
  const open = async (path: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open a file' }).click(),
    ])
    await chooser.setFiles(path)
  }
  await open(file)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.keyboard.press('7')
  await expect(page.getByRole('region', { name: 'How sure we can be' })).toContainText('Clear')

  await page.goto('/')
  await page.getByLabel('Find a lesson').fill(lesson.plan.title)
  await expect(page.getByRole('heading', { name: lesson.plan.title })).toHaveCount(2)
  await page.getByRole('button', { name: 'More for the shelf' }).click()
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Save everything as one file' }).click(),
  ])
  const all = info.outputPath('all.beaker.zip')
  await backup.saveAs(all)
  await open(all)
  await expect(page.getByText(/lessons were here already/)).toBeVisible()
  await expect(page.getByRole('heading', { name: lesson.plan.title })).toHaveCount(2)
})

test('another class with the same test is compared and put together; another test is not', async ({ page, baseURL }) => {
  const title = `Wren’s strips ${randomUUID()}`
  await measured(baseURL, (plan) => Object.assign(plan, { title, className: 'Wren' }))
  const elsewhere = `Bounces ${randomUUID()}`
  await lessonWith(baseURL, (plan) => Object.assign(plan, { title: elsewhere }), 'bounce-back')
  const lesson = await measured(baseURL)
  await openStop(page, lesson, 'results')
  await part(page, 'Another class').click()
  const other = page.getByRole('region', { name: 'Another class' })
  const another = other.getByRole('combobox', { name: 'The same investigation in' })
  await choose(another, new RegExp(title))
  await expect(other).toContainText('It is the same test in all that was written down.')
  await expect(other.getByRole('row', { name: /kitchen roll/ })).toContainText(/of 14.*of 14.*of 28/)
  await expect(other).toContainText('so they may be put together')
  await choose(another, new RegExp(elsewhere))
  await expect(other).toContainText('This is not the same test.')
  await expect(other.getByRole('table')).toHaveCount(0)
})

test('numbers show a pattern and what to test next, with a warning outside', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.conditionsAs = 'numbers'
    plan.conditionUnit = 'cm'
    plan.repeats = 1
    plan.conditions = [10, 20, 40, 60].map((value) => ({ id: `n${value}`, label: String(value), baseline: false, leftOut: false }))
    plan.materials = plan.materials.filter(({ condition }) => condition === null)
  })
  const rows = lesson.plan.groups.flatMap(({ id: group }, shift) =>
    [10, 20, 40, 60].map((value) => reading(lesson.plan, { group, condition: `n${value}`, value: value + 5 + (shift % 3) })),
  )
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  await openStop(page, lesson, 'results')
  await part(page, 'Pattern').click()
  const pattern = page.getByRole('region', { name: 'Pattern' })
  await expect(pattern).toContainText('Steadily more')
  await expect(pattern).toContainText(/At 30.cm a group should come to about 35/)
  await pattern.getByLabel('At').fill('90')
  await page.keyboard.press('Tab')
  await expect(pattern).toContainText('Nobody tested that far out')
  await pattern.getByLabel('Wanted result').fill('30')
  await page.keyboard.press('Tab')
  await expect(pattern).toContainText(
    /For these groups about 24.cm gives 30\.0.mm\. It lies between 2\d(?:\.\d+)?.cm and 2\d(?:\.\d+)?.cm/,
  )
  await pattern.getByLabel('At').fill('30')
  await page.keyboard.press('Tab')
  await pattern.getByRole('button', { name: /^Add 30.cm to the plan/ }).click()
  await expect(pattern.getByRole('button', { name: /30.cm is in the plan/ })).toBeDisabled()
})

test('two desks write one sentence; notes on the groups reach nobody else; a term tells what was investigated', async ({
  page,
  context,
  baseURL,
}) => {
  const day = '2031-05-06'
  const lesson = await measured(baseURL, (plan) => (plan.date = day))
  await openStop(page, lesson, 'agree')
  const second = await context.newPage()
  await openStop(second, lesson, 'agree')
  const [here, there] = [page, second].map((desk) => desk.getByRole('textbox', { name: 'Our conclusion' }))
  await here!.fill('Kitchen roll came first')
  await expect(there!).toHaveValue('Kitchen roll came first')
  // Both write at once: one at the beginning, one at the end.
  await there!.press('End')
  await here!.press('Home')
  await Promise.all([
    here!.pressSequentially('We found that ', { delay: 60 }),
    there!.pressSequentially(', card last', { delay: 90 }),
  ])
  for (const sentence of [here!, there!]) await expect(sentence).toHaveValue('We found that Kitchen roll came first, card last')

  // The server cannot be reached: the words stay, also on the way to another stop, and go out when it is back.
  await page.route(/\/board$/, (route) => route.abort())
  await here!.fill('We found that kitchen roll came first by far')
  await expect(page.getByText('not on the board yet')).toBeVisible()
  await page.getByRole('link', { name: /^Results/ }).click()
  await page.getByRole('link', { name: /^Agree/ }).click()
  await expect(here!).toHaveValue('We found that kitchen roll came first by far')
  await page.unroute(/\/board$/)
  await expect(there!).toHaveValue('We found that kitchen roll came first by far')
  await second.close()

  await page.getByText('My notes on the groups').click()
  await page.getByRole('textbox', { name: 'Alder: done well' }).fill('read the ruler at eye level')
  await saved(page)
  await page.goto(`/print/${lesson.id}/teacher-notes`)
  await expect(page.getByRole('row', { name: /^Alder/ })).toContainText('read the ruler at eye level')
  for (const path of [`/print/${lesson.id}/report`, `/print/${lesson.id}/group-report`, `/board/${lesson.id}`]) {
    await page.goto(path)
    await expect(page.getByText(/kind of paper/).first()).toBeVisible()
    await expect(page.getByText('eye level')).toHaveCount(0)
  }
  const view = await client(baseURL).call('GET', `/api/lessons/${lesson.id}/board`)
  expect(JSON.stringify(view.body)).not.toContain('eye level')

  await page.goto('/term')
  await page.getByLabel('From').fill(day)
  await page.getByLabel('to', { exact: true }).fill(day)
  await expect(page.getByText('1 investigation', { exact: true })).toBeVisible()
  await expect(page.getByRole('row', { name: /no conclusion yet Clear$/ })).toHaveCount(1)
})
