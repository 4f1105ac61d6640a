import { choose, client, expect, giveFile, joinStation, lessonWith, openStop, saved, test, turnBoard } from './house'

/** A small picture made by the page itself, as a file. */
const PICTURE = {
  name: 'jar on the sill.png',
  mimeType: 'image/png',
  buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==', 'base64'),
}

test('the hook has words, a picture and a sketch, and the board shows them', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'wonder')
  await giveFile(page.getByRole('button', { name: '+ picture' }), PICTURE)
  await expect(page.getByRole('img', { name: 'jar on the sill' })).toBeVisible()
  await page.getByRole('button', { name: '+ sketch' }).click()
  await expect(page.getByRole('button', { name: 'Keep the sketch' })).toBeDisabled()
  const sheet = (await page.getByLabel('Sketching sheet').boundingBox())!
  await page.mouse.move(sheet.x + 60, sheet.y + 60)
  await page.mouse.down()
  await page.mouse.move(sheet.x + 260, sheet.y + 200, { steps: 6 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'Keep the sketch' }).click()
  await expect(page.getByRole('img', { name: 'a sketch' })).toBeVisible()
  await saved(page)
  await page.goto(`/board/${lesson.id}`)
  await turnBoard(page, 'Noticed and wondered')
  for (const name of ['jar on the sill', 'a sketch']) {
    const shown = page.getByRole('img', { name })
    await expect(shown).toBeVisible()
    expect(await shown.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0)
  }
  // Taking a picture away is undone like everything else.
  await openStop(page, lesson, 'wonder')
  await page.getByRole('button', { name: 'Take the picture away: a sketch' }).click()
  await expect(page.getByRole('img', { name: 'a sketch' })).toBeHidden()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('img', { name: 'a sketch' })).toBeVisible()
})

test('what groups say at their stations joins the lists; one wondering is weighed, merged, chosen', async ({
  page,
  browser,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.changed = null))
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })
  const tablet = await context.newPage()
  await openStop(page, lesson, 'wonder')
  await joinStation(tablet, lesson.code, 'Birch')
  await tablet.getByRole('button', { name: 'Say what you noticed' }).click()
  const say = async (list: RegExp, text: string) => {
    await tablet.getByRole('radio', { name: list }).click()
    await tablet.getByRole('textbox').fill(text)
    await tablet.getByRole('button', { name: 'Say it' }).click()
  }
  await say(/^Noticed/, 'it climbs because it is thirsty')
  await say(/^Wondered/, 'why does it climb?')
  await say(/^Wondered/, 'does the width of the strip matter?')
  await expect(tablet.getByRole('list', { name: 'What you said' }).getByRole('listitem')).toHaveCount(3)

  const wondered = page.getByRole('region', { name: 'Wondered' })
  await expect(wondered.getByRole('listitem')).toHaveCount(2)
  await expect(wondered.getByText('Birch').first()).toBeAttached()
  await expect(page.getByRole('heading', { name: 'Noticed, or a guess?' })).toBeVisible()

  await page.getByRole('button', { name: /^Could we test it\? .*why does it climb/ }).click()
  const panel = page.getByRole('region', { name: 'Could we test it?' })
  await expect(panel).toContainText('A “why” cannot be tested as it stands.')
  await page.getByRole('button', { name: /^Could we test it\? .*width of the strip/ }).click()
  await expect(panel).toContainText('It is about the width of the strip.')
  await expect(panel).toContainText('How does the width of the strip change how high water climbs in 60 s?')
  await choose(panel.getByRole('combobox', { name: 'Your answer: Is it safe for children?' }), 'I say no')
  await expect(page.getByRole('button', { name: /^Could we test it\? not yet: does the width/ })).toBeVisible()
  await choose(panel.getByRole('combobox', { name: 'Your answer: Is it safe for children?' }), 'as it looks')
  await panel.getByRole('button', { name: 'Merge with …' }).click()
  await page.getByText('why does it climb?', { exact: true }).last().click()
  await expect(
    wondered.getByRole('textbox', { name: 'Wondered: does the width of the strip matter? / why does it climb?' }),
  ).toBeVisible()
  await panel.getByRole('button', { name: 'Choose it' }).click()
  await expect(wondered.getByText('our question')).toBeVisible()
  await saved(page)
  const { plan } = (await client(baseURL).open(lesson.id)).lesson
  expect([plan.changed, plan.measured]).toEqual(['width', 'height'])
  await context.close()
})

test('a wondering waits for next time, and becomes a group’s own question inside the lesson', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'wonder')
  const add = page.getByRole('textbox', { name: 'Add to Wondered' })
  for (const text of ['does the water matter?', 'does the time in the water matter?']) {
    await add.fill(text)
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: 'More for: does the water matter?' }).focus()
  await page.keyboard.press('l')
  await expect(page.getByText('next time', { exact: true })).toBeVisible()
  await page.getByText('Each group its own', { exact: true }).click()
  await choose(page.getByRole('combobox', { name: 'Wondering of Cedar' }), 'does the time in the water matter?')
  await page.getByRole('button', { name: 'Write the question of Cedar' }).click()
  const form = page.getByRole('dialog')
  // The cards of its wondering are tapped already.
  await expect(form.getByRole('radio', { name: 'the time in the water' })).toBeChecked()
  await form.getByRole('radio', { name: 'how high water climbs in 60 s' }).check()
  await form.getByLabel('Try 1').fill('30 s')
  await form.getByLabel('Try 2').fill('90 s')
  await form.getByRole('button', { name: 'This is its question' }).click()
  const row = page.getByRole('row', { name: /^Cedar/ })
  await expect(row).toContainText('0 of 6')
  await row.getByRole('link', { name: /How does the time in the water change/ }).click()
  await expect(page.getByText('an own question in')).toBeVisible()
  await expect(page.locator('[data-tray="change"]').getByRole('textbox', { name: 'Name: the time in the water' })).toBeVisible()
})
