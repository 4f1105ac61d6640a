import type { Locator, Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { reading } from '../api/client'
import { client, expect, expectAccessible, expectNothingSticksOut, lessonWith, openStop, test } from './house'

const LINES = JSON.parse(readFileSync('test/golden/oneLine.json', 'utf8')) as { text: string }[]
const FINISHED = [0, 6, 14]

/** What a teacher has in mind, typed on Which lesson? */
async function type(page: Page, line: string): Promise<void> {
  await page.goto('/new')
  await page.getByLabel('What do you have in mind?').fill(line)
  await expect(page.getByRole('heading', { name: 'What I took from it' })).toBeVisible()
}

const questionOf = (page: Page) => page.getByLabel('From one line to a draft').locator('.question')

test('from one line to its poster: the least wins, in few presses', async ({ page, baseURL }) => {
  await type(page, 'How much sugar is left in the cup after a minute: cold, warm or hand-warm water?')
  await expect(questionOf(page)).toHaveText('How does the kind of water change how much sugar is left?')
  let presses = 0
  const press = async (name: string) => {
    presses += 1
    await page.getByRole('button', { name, exact: true }).click()
  }
  await press('digital kitchen scale (g)')
  await press('Begin with this draft')
  await expect(page).toHaveURL(/\/plan$/)
  await expect(page.getByText('How does the kind of water change how much sugar is left?').first()).toBeVisible()
  for (const [letter, name] of Object.entries({ A: 'cold', B: 'warm', C: 'hand-warm' }))
    await expect(page.getByLabel(`Name of condition ${letter}`)).toHaveValue(name)
  await expect(page.getByText('the lightest is best').first()).toBeVisible()
  expect(presses).toBeLessThan(25)

  const id = /lesson\/([^/]+)\//.exec(page.url())![1]!
  const { call, open } = client(baseURL)
  const { plan } = (await open(id)).lesson
  const readings = plan.groups.flatMap(({ id: group }, shift) =>
    plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2, 3].map((repeat) =>
        reading(plan, { group, condition, repeat, unit: 'g', value: 25 * (place + 1) + ((shift + repeat) % 3) }),
      ),
    ),
  )
  await call('POST', `/api/lessons/${id}/readings`, { readings })
  await page.goto(`/print/${id}/poster-a3`)
  await expect(page.getByRole('listitem').filter({ hasText: '1st cold' })).toBeVisible()
})

test('what the line leaves open is asked with buttons, and an answer is taken over what was read', async ({ page }) => {
  await type(page, 'Which glue holds longer, stick, paste or tape? We hang a bag on it')
  await expectAccessible(page, 'draft')
  await expectNothingSticksOut(page, 'draft')
  await page.getByRole('button', { name: 'how much the glue holds: digital kitchen scale (g)' }).click()
  await expect(questionOf(page)).toHaveText('How does the kind of glue change how much the glue holds?')
  const differ = page.getByRole('button', { name: 'none: they only differ' })
  await differ.click()
  await expect(differ).toBeHidden()
  await expect(page.getByRole('combobox', { name: 'Best is' })).toBeFocused()
  const conditions = page.getByLabel('From one line to a draft').getByLabel('Conditions')
  await conditions.fill('stick, paste, tape and dough')
  await conditions.press('Enter')
  await expect(conditions).toHaveValue('stick, paste, tape, dough')
  await page.getByRole('button', { name: 'Begin with this draft' }).click()
  await expect(page).toHaveURL(/\/plan$/)
  await expect(page.getByLabel('Name of condition D')).toHaveValue('dough')
})

test('from a line to a plan in which nothing is open takes few presses', async ({ page }) => {
  test.slow()
  for (const place of FINISHED) {
    const { text } = LINES[place]!
    await type(page, text)
    let presses = 0
    const press = async (button: Locator) => {
      presses += 1
      await button.click()
    }
    const open = page.getByRole('list', { name: 'Not said yet' }).getByRole('listitem')
    for (let left = await open.count(); left > 0; left -= 1) {
      await press(open.first().getByRole('button').first())
      await expect(open).toHaveCount(left - 1)
    }
    await press(page.getByRole('button', { name: 'Begin with this draft' }))
    await expect(page).toHaveURL(/\/plan$/)
    const plan = page.getByRole('navigation', { name: 'The stops of this lesson' }).getByRole('link', { name: /^Plan/ })
    const first = page.locator('.finding').filter({ hasNotText: '·' }).first()
    await expect(first.or(page.getByText('Nothing found.'))).toBeVisible()
    while ((await plan.locator('.count').count()) > 0 && presses < 25) {
      const title = (await first.getByRole('heading').innerText()).trim()
      await press(first.getByRole('button').first())
      await expect(page.locator('.finding').filter({ hasText: title })).toHaveCount(0)
    }
    expect(presses, text).toBeLessThan(25)
    await expect(plan.locator('.count')).toHaveCount(0)
  }
})

test('a clause makes a question that reads well, and a line that says nothing makes none', async ({ page }) => {
  await page.goto('/new')
  await page.getByLabel('What do you have in mind?').fill('Bubbles')
  await expect(page.getByText('From this alone no test can be made.')).toBeVisible()
  await page.getByLabel('What do you have in mind?').fill('Does thinned syrup let a bead sink faster?')
  await expect(questionOf(page)).toHaveText('Does how thin the syrup is change how long it takes the bead to sink?')
  await page.getByRole('button', { name: 'thin, medium and thick' }).click()
  await page.getByRole('button', { name: 'Begin with this draft' }).click()
  await expect(page.getByText('Does how thin the syrup is change').first()).toBeVisible()
})

test('a wondering of the class becomes a draft in its own lesson', async ({ page }) => {
  await page.goto('/new')
  await page.getByRole('button', { name: 'From nothing: begin' }).click()
  await expect(page).toHaveURL(/\/wonder$/)
  const add = page.getByRole('textbox', { name: 'Add to Wondered' })
  await add.fill('Which soap makes the longest lasting bubbles?')
  await add.press('Enter')
  await page.getByRole('button', { name: /^Could we test it\?/ }).click()
  await page.getByRole('button', { name: 'Make a draft of it' }).click()
  await expect(page.getByRole('dialog').getByText('What I took from it')).toBeVisible()
  await expectAccessible(page, 'draft of a wondering')
  await page.getByRole('button', { name: 'Put it into this lesson' }).click()
  await expect(page).toHaveURL(/\/plan$/)
  await expect(page.getByText('How does the kind of soap change').first()).toBeVisible()
})

test('a lesson in quarter inches shows quarters, in its table and on its poster', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    const card = plan.measures.find(({ id }) => id === plan.measured)!
    Object.assign(card.method, { unit: 'in', resolution: 0.25, expected: {}, expectedLow: null, expectedHigh: null })
    plan.averageTo = 'mark'
    plan.repeats = 2
  })
  const readings = lesson.plan.groups.flatMap(({ id: group }, shift) =>
    lesson.plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2].map((repeat) =>
        reading(lesson.plan, { group, condition, repeat, unit: 'in', value: 17.5 - 4 * place + 0.25 * ((shift + repeat) % 3) }),
      ),
    ),
  )
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  await openStop(page, lesson.id, 'results')
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByRole('row', { name: /kitchen roll/ }).first()).toContainText('17 3/4')
  await expect(page.getByRole('main')).not.toContainText(/17\.\d{3}/)
})
