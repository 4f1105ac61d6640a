import { randomUUID } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { reading } from '../api/client'
import { cell, client, expect, openStop, saved, test } from './house'

test('cards move between the trays by drag, by tap and by key, and undo takes each back', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  const change = page.getByRole('region', { name: 'Change', exact: true })
  const keep = page.getByRole('region', { name: 'Keep the same' })
  const inChange = (name: string) => expect(change.getByRole('textbox', { name: `Name: ${name}` })).toBeVisible()

  const card = keep
    .locator('.card', { hasText: '' })
    .filter({ has: page.getByRole('textbox', { name: 'Name: the width of the strip' }) })
  const from = (await card.boundingBox())!
  const to = (await change.locator('[data-tray="change"]').boundingBox())!
  await page.mouse.move(from.x + 3, from.y + from.height - 4)
  await page.mouse.down()
  await page.mouse.move(from.x - 60, from.y + 40, { steps: 6 })
  await page.mouse.move(to.x + 60, to.y + 20, { steps: 12 })
  await page.mouse.up()
  await inChange('the width of the strip')
  await expect(keep.getByRole('textbox', { name: 'Name: the kind of paper' })).toBeVisible()

  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await inChange('the kind of paper')

  await page.getByRole('button', { name: 'More for the water' }).click()
  await page.getByRole('menuitem', { name: 'Change this c' }).click()
  await inChange('the water')
  await page.getByRole('button', { name: 'More for the depth in the water' }).focus()
  await page.keyboard.press('c')
  await inChange('the depth in the water')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await inChange('the kind of paper')
  await page.keyboard.press('Control+Shift+z')
  await inChange('the water')
  await saved(page)
  expect((await client(baseURL).open(lesson.id)).lesson.plan.changed).toBe('water')
})

test('the fair check names what differs, and one button makes it fair', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  await page.getByText('All 6 pairs are fair.').click()
  await page.getByRole('textbox', { name: 'the width of the strip for card' }).fill('3 cm')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Not fair yet: the width of the strip' })).toBeVisible()
  await expect(page.getByText('Fair: A and B; A and C; B and C.')).toBeVisible()
  await page.getByRole('button', { name: 'Make D the same' }).click()
  await expect(page.getByText('All 6 pairs are fair.')).toBeVisible()
})

test('the grid works like a spreadsheet: keys, a pasted block, a number that cannot be read, a correction', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'test')
  const at = (group: string, condition: string, repeat: number) => cell(page, group, condition, repeat)
  await at('Alder', 'A kitchen roll', 1).focus()
  await page.keyboard.type('61')
  await page.keyboard.press('Enter')
  await expect(at('Birch', 'A kitchen roll', 1)).toBeFocused()
  await page.keyboard.type('5,8 cm')
  await page.keyboard.press('Tab')
  await expect(at('Birch', 'A kitchen roll', 2)).toBeFocused()
  await expect(at('Birch', 'A kitchen roll', 1)).toHaveValue('58')
  await page.keyboard.press('ArrowUp')
  await expect(at('Alder', 'A kitchen roll', 2)).toBeFocused()

  await page.evaluate(() => {
    const data = new DataTransfer()
    data.setData('text', '62\t60\r\n59\t57\r\n')
    document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  })
  await expect(at('Birch', 'A kitchen roll', 3)).toHaveValue('57')
  await expect(page.getByRole('row', { name: /^Alder/ })).toContainText('3 of 12')

  await at('Cedar', 'B tissue', 1).fill('5o mm')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: '5o mm' })).toBeVisible()
  await expect(at('Cedar', 'B tissue', 1)).toHaveValue('5o mm')
  await at('Cedar', 'B tissue', 1).fill('50')
  await page.keyboard.press('Enter')
  await at('Cedar', 'B tissue', 1).fill('51')
  await page.keyboard.press('Enter')
  await at('Cedar', 'B tissue', 1).focus()
  await expect(page.getByText(/before: 50/)).toBeVisible()

  await page.getByRole('button', { name: 'Set aside …' }).click()
  await page.getByRole('button', { name: 'it leaked or spilled' }).click()
  await page.getByRole('button', { name: 'Set aside', exact: true }).click()
  await expect(page.getByText('set aside: it leaked or spilled')).toBeVisible()
  const { record } = await client(baseURL).open(lesson.id)
  const own = record.readings.filter(({ condition }) => condition === 'tissue')
  expect(own.map(({ value, status }) => [value, status])).toEqual([
    [50, 'kept'],
    [51, 'kept'],
    [51, 'set-aside'],
  ])
})

test('what is typed while the server is away is kept and saved when it is back', async ({ page, baseURL, context }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'wonder')
  await expect(page.getByLabel('Name of the lesson')).toBeVisible()
  await context.setOffline(true)
  await page.getByLabel('Name of the lesson').fill('Written in the dark')
  await expect(page.getByText('not saved: trying again')).toBeVisible()
  await context.setOffline(false)
  await saved(page)
  expect((await client(baseURL).open(lesson.id)).lesson.plan.title).toBe('Written in the dark')
})

test('a plan changed in another window is not overwritten', async ({ page, baseURL }) => {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  await openStop(page, lesson, 'wonder')
  await page.route('**/events*', (route) => route.abort())
  await page.reload()
  await expect(page.getByLabel('Name of the lesson')).toHaveValue('Soak-up strips')
  await call('PUT', `/api/lessons/${lesson.id}/plan`, {
    plan: { ...lesson.plan, title: 'From elsewhere' },
    revision: lesson.revision,
  })
  await page.getByLabel('Name of the lesson').fill('From here')
  const ask = page.getByRole('dialog', { name: 'Another desk changed the same place' })
  await ask.getByLabel('the other desk’s: From elsewhere').check()
  await ask.getByRole('button', { name: 'Go on with these' }).click()
  await expect(page.getByLabel('Name of the lesson')).toHaveValue('From elsewhere')
  expect((await open(lesson.id)).lesson.plan.title).toBe('From elsewhere')
})

test('the shelf: duplicate, put away, undo; a lesson file travels; a foreign file changes nothing', async ({
  page,
  baseURL,
}, info) => {
  const { newLesson, call } = client(baseURL)
  const { lesson } = await newLesson()
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan: { ...lesson.plan, title: 'Traveller' }, revision: lesson.revision })
  await page.goto('/')
  await page.getByLabel('Find a lesson').fill('traveller')
  const titled = (name: string) => page.getByRole('listitem').filter({ has: page.getByRole('heading', { name, exact: true }) })
  const choose = async (item: string) => {
    await titled('Traveller').getByRole('button', { name: 'More for Traveller' }).click()
    await page.getByRole('menuitem', { name: item }).click()
  }
  await choose('Duplicate')
  await expect(titled('Traveller (copy)')).toBeVisible()
  await page.locator('.v-snackbar').getByRole('button', { name: 'Undo' }).click()
  // What is looked for is found where it was put away, too, and says so.
  const away = page.locator('section.part').filter({ has: page.getByRole('heading', { name: 'Put away' }) })
  await expect(away.getByRole('heading', { name: 'Traveller (copy)' })).toBeVisible()
  await choose('Put away')
  await expect(away.getByRole('heading', { name: 'Traveller', exact: true })).toBeVisible()
  await page.locator('.v-snackbar').getByRole('button', { name: 'Undo' }).last().click()
  await expect(away.getByRole('heading', { name: 'Traveller', exact: true })).toHaveCount(0)
  await expect(titled('Traveller')).toBeVisible()
  await page.getByLabel('Find a lesson').fill('')
  await expect(titled('Traveller (copy)')).toHaveCount(0)
  await page.getByLabel('Find a lesson').fill('traveller')

  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Print and files' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Save the lesson as a file' }).click(),
  ])
  const path = info.outputPath('traveller.beaker.json')
  await download.saveAs(path)
  await page.goto('/')
  const openFile = async (file: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open a file' }).click(),
    ])
    await chooser.setFiles(file)
  }
  const broken = info.outputPath('broken.json')
  writeFileSync(broken, readFileSync(path, 'utf8').replace('"repeats": 3', '"repeats": "three"'))
  await openFile(broken)
  await expect(page.locator('.v-snackbar.trouble')).toContainText('damaged at “plan.repeats”')
  await openFile(path)
  await expect(page).toHaveURL(/\/lesson\/.*\/plan$/)
  await page.goto('/')
  await page.getByLabel('Find a lesson').fill('traveller')
  await expect(titled('Traveller')).toHaveCount(2)
})

test('the Second look leads to the odd number and mends it', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  const rows = [60, 62, 61, 63].map((value, place) => reading(lesson.plan, { value, group: lesson.plan.groups[place]!.id }))
  const slip = reading(lesson.plan, { value: 5.9, entered: '5.9', group: lesson.plan.groups[4]!.id })
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [...rows, slip] })
  await openStop(page, lesson, 'plan')
  await page.keyboard.press('6')
  await expect(page.getByRole('heading', { name: 'Test', exact: true })).toBeVisible()
  await page.getByRole('complementary').getByRole('button', { name: 'Make it 59' }).click()
  await expect(cell(page, 'Elm', 'A kitchen roll', 1)).toHaveValue('59')
  await expect(page.getByText('was written as 5.9')).toBeHidden()
})

test('seven groups, four papers and three repeats are keyed in by keyboard alone, odd numbers answered with single keys', async ({
  page,
  baseURL,
}) => {
  const { newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  await openStop(page, lesson, 'test')
  const usual = [61, 52, 23, 14]
  const sheets = lesson.plan.groups.map((_, group) =>
    usual.flatMap((value, condition) => [0, 1, 2].map((repeat) => value + ((group + condition + repeat) % 4))),
  )
  sheets[2]![4] = 5.4
  sheets[5]![0] = 20
  const began = Date.now()
  for (
    let presses = 0;
    presses < 200 && !(await cell(page, 'Alder', 'A kitchen roll', 1).evaluate((one) => one === document.activeElement));
    presses += 1
  )
    await page.keyboard.press('Tab')
  for (const [row, values] of sheets.entries()) {
    for (const value of values) {
      await page.keyboard.type(String(value))
      await page.keyboard.press('Tab')
    }
    if (row < sheets.length - 1) await expect(cell(page, lesson.plan.groups[row + 1]!.name, 'A kitchen roll', 1)).toBeFocused()
  }
  await expect(page.getByText('12 of 12')).toHaveCount(7)
  expect(Date.now() - began).toBeLessThan(300_000)
  await expect.poll(async () => (await open(lesson.id)).record.readings.length).toBe(84)

  const odd = page.getByRole('region', { name: 'Odd numbers' })
  await expect(odd.getByRole('listitem')).toHaveCount(2)
  await page.keyboard.press('Escape')
  await page.locator('#work').focus()
  await page.keyboard.press('o')
  await expect(odd.getByRole('listitem').first()).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowUp')
  const first = await odd.getByRole('listitem').first().innerText()
  await page.keyboard.press(first.startsWith('Cedar') ? 'f' : 'a')
  if (!first.startsWith('Cedar')) await page.keyboard.press('1')
  await expect(odd.getByRole('listitem')).toHaveCount(1)
  await expect(odd.getByRole('listitem')).toBeFocused()
  await page.keyboard.press(first.startsWith('Cedar') ? 'a' : 'f')
  if (first.startsWith('Cedar')) await page.keyboard.press('1')
  await expect(odd).toBeHidden()
  const { readings } = (await open(lesson.id)).record
  expect(readings.at(-1)).toMatchObject(
    first.startsWith('Cedar')
      ? { status: 'set-aside', reason: 'we let go too late', value: 20 }
      : { status: 'kept', value: 54, confirmed: true },
  )
  expect(readings.filter(({ supersedes }) => supersedes !== null)).toHaveLength(2)
})

test('a shelf with many lessons comes a page at a time, is found through, and says what is not looked through yet', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson } = client(baseURL)
  const name = `Crowd ${randomUUID().slice(0, 8)}`
  for (let place = 0; place < 63; place += 1) {
    const { lesson } = await newLesson(null)
    const plan = { ...lesson.plan, title: `${name} n${place}`, date: place === 5 ? '2096-03-12' : '' }
    expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
  }
  await page.goto('/')
  const lessons = page.getByRole('listitem').filter({ hasText: name })
  await expect(lessons.first()).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type(name.toUpperCase())
  await expect(lessons).toHaveCount(60)
  // What is to come, then those without a day with the newest first.
  await expect(lessons.nth(0)).toContainText(`${name} n5`)
  await expect(lessons.nth(1)).toContainText(`${name} n62`)
  // While they are looked through beside the server, none is said to be done.
  await expect(lessons.filter({ hasText: 'being looked through' })).toHaveCount(0)
  await expect(lessons.filter({ hasText: 'all done' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Show more: 3 further lessons' }).click()
  await expect(lessons).toHaveCount(63)
  await expect(page.getByRole('button', { name: /Show more/ })).toBeHidden()
  await expect(lessons.nth(62)).toContainText(`${name} n0`)

  // What is typed next is asked anew; what nobody has is said.
  await page.getByLabel('Find a lesson').fill(`${name} n17`)
  await expect(lessons).toHaveCount(1)
  await lessons.getByRole('button', { name: 'More for' }).click()
  await page.getByRole('menuitem', { name: 'Put away' }).click()
  await expect(page.getByRole('heading', { name: 'Put away', level: 3 })).toBeVisible()
  await lessons.getByRole('button', { name: 'More for' }).click()
  await page.getByRole('menuitem', { name: 'Take back' }).click()
  await expect(page.getByRole('heading', { name: 'Put away', level: 3 })).toHaveCount(0)
  await expect(lessons).toHaveCount(1)
  await page.getByLabel('Find a lesson').fill(`${name} n99`)
  await expect(page.getByText(`No lesson has “${name} n99”`)).toBeVisible()
})
