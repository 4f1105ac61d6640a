import { randomUUID } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import type { Locator, Page } from '@playwright/test'
import type { Thing } from '../../core/kit'
import { newMaterial, withGroups, type Plan } from '../../core/lesson'
import { client, expect, expectAccessible, lessonWith, openStop, paste, saved, test } from './house'

const row = (page: Page, name: RegExp) => page.getByRole('row').filter({ has: page.getByRole('textbox', { name }) })
const explained = (field: Locator) => expect(field).toHaveAttribute('aria-invalid', 'true')

/** Strips of card run short by five; nothing else is counted. */
function shortOfCard(plan: Plan): void {
  plan.materials = plan.materials.map((one) => ({ ...one, thing: null }))
  plan.materials[3] = { ...plan.materials[3]!, stock: '26', pack: '10', price: '2.50' }
}

test('the materials list takes amounts as people write them, and keeps and explains what cannot be one', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, shortOfCard)
  await openStop(page, lesson, 'kit')
  const amount = page.getByLabel('Amount of tap water')
  for (const [written, why] of [
    ['some', /number/],
    ['2..5 g', /./],
    ['-3', /./],
    ['1e9', /./],
  ] as const) {
    await amount.fill(written)
    await explained(amount)
    await expect(page.getByRole('alert').filter({ hasText: 'Amount:' })).toHaveText(why)
    await saved(page)
    await page.reload()
    await expect(amount).toHaveValue(written)
  }
  await amount.fill('1/4 L')
  await expect(amount).not.toHaveAttribute('aria-invalid', 'true')
  await expect(row(page, /^Name: tap water/)).toContainText('1.75')

  // Enter goes down, and a block from a spreadsheet fills rows that are not there yet.
  await amount.press('Enter')
  await expect(page.getByLabel('Amount of floor cloth')).toBeFocused()
  await page.getByLabel('Add a thing to the kit').fill('jug')
  await page.keyboard.press('Enter')
  await paste(
    page.getByRole('textbox', { name: 'Name: jug' }),
    'paper cup\t2\teach group\nsugar\t3 tbsp\teach group\nspoon\t1\teach planet',
  )
  await expect(page.getByText(/“each planet” in row 13 is not one of the choices/)).toBeVisible()
  await expect(row(page, /^Name: sugar/)).toContainText('21')
  await expect(page.getByLabel('Amount of spoon')).toHaveValue('1')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('textbox', { name: 'Name: jug' })).toBeVisible()
})

test('a shortage has ways out, each done with one click and undone with one', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, shortOfCard)
  await openStop(page, lesson, 'kit')
  const card = row(page, /^Name: strips of card/)
  await expect(card).toContainText('5 short')
  const ways = page.getByRole('list', { name: 'Ways out for strips of card, 2 x 12 cm' })
  await expect(ways.getByRole('listitem')).toHaveText([
    /^Buy 1 pack ?costs 2\.50, 5 left over/,
    /^Share out: 2 each ?each group does 2 conditions; 14 minutes shorter/,
    /^Make 5 groups ?up to 6 children in a group; no more time/,
  ])
  for (const way of ['Share out: 2 each', 'Make 5 groups']) {
    await ways.getByRole('button', { name: way }).click()
    await expect(card).not.toContainText('short')
    await page.keyboard.press('Control+z')
    await expect(card).toContainText('5 short')
  }
  await ways.getByRole('button', { name: 'Buy 1 pack' }).click()
  await expect(card).toContainText('5 short, to buy')
  await expect(page.getByRole('heading', { name: '5 short: strips of card, 2 x 12 cm' })).toBeHidden()
  await saved(page)
  await page.goto(`/print/${lesson.id}/shopping`)
  await expect(page.getByRole('row', { name: /strips of card/ })).toContainText('1 pack of 10')
  await expect(page.getByRole('row', { name: /In all/ })).toContainText('2.50')
})

test('the kit is not ready before every caution is noted or answered, and one of its own stays', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    shortOfCard(plan)
    plan.materials[3]!.stock = ''
  })
  await openStop(page, lesson, 'kit')
  const ready = page.getByRole('link', { name: /^Kit ?, ready/ })
  await page.getByRole('checkbox', { name: /^Slips/ }).check()
  await expect(ready).toBeHidden()
  await page.getByRole('button', { name: 'Cutting: does not apply' }).click()
  await page.getByLabel('Why Cutting does not apply here').fill('the strips come cut')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Not here: the strips come cut')).toBeVisible()
  await expect(ready).toBeVisible()
  await page.getByLabel('Add a caution of your own').fill('the tap by the door runs hot')
  await page.keyboard.press('Enter')
  await expect(ready).toBeHidden()
  await page.getByRole('checkbox', { name: /the tap by the door runs hot/ }).check()
  await expect(ready).toBeVisible()
  await saved(page)
  for (const printout of ['labels', 'planning', 'trays']) {
    await page.goto(`/print/${lesson.id}/${printout}`)
    await expect(page.getByText(/the tap by the door runs hot/).first()).toBeVisible()
  }
})

test('the cupboard: a table with wrong columns is refused by name, numbers take a comma, and breakages come off', async ({
  page,
  baseURL,
}, info) => {
  const name = `Thermometer ${randomUUID().slice(0, 8)}`
  await page.goto('/cupboard')
  await page.getByLabel('Put a thing into the cupboard').fill(name)
  await page.keyboard.press('Enter')
  const stock = page.getByLabel(`${name}: There`)
  // Three cells one right after the other, while the first is still on its way.
  await page.getByLabel(`${name}: unit`).selectOption('kg')
  await page.getByLabel(`${name}: Place`).fill('drawer 2')
  await page.getByLabel(`${name}: Place`).press('Tab')
  await page.getByLabel(`${name}: unit`).selectOption('pieces')
  await page.getByLabel(`${name}: At least`).fill('2')
  await page.getByLabel(`${name}: At least`).press('Tab')
  await stock.fill('nine')
  await stock.press('Tab')
  await expect(page.getByText('“nine” is not a number that fits here.')).toBeVisible()
  await stock.fill('9')
  await stock.press('Tab')
  await page.getByLabel(`${name}: Price`).fill('2,5')
  await page.getByLabel(`${name}: Price`).press('Tab')
  await expect(page.getByLabel(`${name}: Price`)).toHaveValue('2.50')
  const stored = async () =>
    (await client(baseURL).call<{ things: Thing[] }>('GET', '/api/cupboard')).body.things.find((thing) => thing.name === name)
  await expect.poll(stored).toMatchObject({ unit: 'pieces', place: 'drawer 2', minimum: 2, stock: 9, price: 2.5 })

  const wrong = info.outputPath('wrong.csv')
  writeFileSync(wrong, 'item;how many\nruler;3\n')
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Take in a table (CSV)' }).click()
  await (await chooser).setFiles(wrong)
  await expect(page.getByText(/thing, stock/)).toBeVisible()

  const { id } = (await stored())!
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.date = '2027-05-03'
    plan.materials = [{ ...newMaterial(randomUUID(), name), amount: '1', per: 'group', use: 'again', thing: id }]
  })
  await page.reload()
  const shelf = page.getByRole('row').filter({ has: stock })
  await expect(shelf).toContainText('7 on Mon 3 May')
  await openStop(page, lesson, 'kit')
  await page.getByText('After the lesson: count back').click()
  await page.getByLabel(`${name} came back`).fill('6')
  await page.getByLabel(`${name} broken or lost`).fill('1')
  await page.getByRole('button', { name: 'Put it back into the cupboard' }).click()
  await expect(row(page, new RegExp(`^Name: ${name}`))).toContainText('8in the cupboard')
  await page.goto('/cupboard')
  await expect(stock).toHaveValue('8')
  await expect(shelf).not.toContainText('3 May')
})

test('what comes into the cupboard is counted for the lesson that names it, and Undo takes that back', async ({
  page,
  baseURL,
}) => {
  const name = `tuning fork ${randomUUID().slice(0, 8)}`
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.title = `Lesson with a ${name}`
    plan.materials = [{ ...newMaterial('fork', `${name}s`), use: 'again' }]
  })
  const thing = async () => (await client(baseURL).open(lesson.id)).lesson.plan.materials[0]!.thing
  await page.goto('/cupboard')
  await page.getByLabel('Put a thing into the cupboard').fill(name)
  await page.keyboard.press('Enter')
  const stock = page.getByLabel(`${name}: There`)
  await stock.fill('4')
  await stock.press('Tab')
  await expect(page.getByText(`Counted for Lesson with a ${name} from now on.`)).toBeVisible()
  expect(await thing()).not.toBeNull()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(thing).toBeNull()
})

test('every printout of kit and clock stays on its paper with ten groups, eight long conditions and a circuit', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    Object.assign(plan, withGroups({ ...plan, children: 33 }, 10, randomUUID), { date: '2027-05-03' })
    plan.groups[2]!.name = 'Dandelions and Buttercups'
    plan.conditions = Array.from({ length: 8 }, (_, place) => ({
      ...plan.conditions[0]!,
      id: `c${place}`,
      label: `kitchen roll with a pattern of little leaves, no. ${place + 1}`,
    }))
    plan.materials.push(
      ...Array.from({ length: 16 }, (_, place) => ({
        ...newMaterial(randomUUID(), `candle, glass jar, magnet and rubber glove ${place}`),
        amount: '2',
        stock: '1',
        pack: '5',
        place: `shelf ${place % 3}`,
      })),
    )
    plan.arrangement.way = 'circuit'
    plan.arrangement.extra = [{ id: 'x', name: 'draw the set-up with labels', minutes: 5, copies: 1 }]
  })
  const papers = { A4: { width: 210, height: 297 }, Letter: { width: 216, height: 279 } }
  const pages: Record<string, number[]> = {}
  for (const printout of ['trays', 'labels', 'picking', 'shopping', 'getting-ready', 'count-back', 'rota', 'jobs']) {
    for (const [format, { width }] of Object.entries(papers)) {
      // The printed area as wide as the paper has it, 14 mm of margin on each side.
      await page.setViewportSize({ width: Math.floor(((width - 28) / 25.4) * 96), height: 1000 })
      await page.emulateMedia({ media: 'print' })
      await page.goto(`/print/${lesson.id}/${printout}`)
      await expect(page.locator('.paper h1, .paper h2').first()).toBeVisible()
      await page.evaluate(() => document.fonts.ready)
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll('.paper, .paper *:not(.sr-only)')]
          .filter((one) => one.scrollWidth > one.clientWidth + 1 && getComputedStyle(one).display !== 'inline')
          .map((one) => `${one.tagName}.${one.className} ${one.textContent!.trim().slice(0, 60)}`),
      )
      expect(cut, `${printout} on ${format}`).toEqual([])
      if (printout === 'labels') {
        const labels = page.locator('.label')
        // Ten groups, eight conditions and the station that draws.
        await expect(labels).toHaveCount(19)
        const clipped = await labels.evaluateAll((all) => all.filter((one) => one.scrollHeight > one.clientHeight + 1).length)
        expect(clipped).toBe(0)
      }
      const pdf = await page.pdf({ format })
      ;(pages[printout] ??= []).push(pdf.toString('latin1').match(/\/Type \/Page\b/g)!.length)
    }
  }
  // Of the class and of every group a page; labels with so much on them six to a page.
  expect(pages).toMatchObject({ labels: [4, 4], shopping: [1, 1], 'getting-ready': [1, 1], rota: [2, 2] })
  expect(pages.trays![0]).toBeLessThanOrEqual(12)
})

test('what a lesson needs tonight is one pile: chosen by how children write down, ticked off and on, and remembered for the class', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'kit')
  await page.getByRole('button', { name: 'Print and files' }).click()
  const [job] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('menuitem', { name: 'What this lesson needs tonight' }).click(),
  ])
  await expect(job.getByRole('heading', { name: 'What this lesson needs tonight' })).toBeVisible()
  const tick = (name: string) => job.getByRole('checkbox', { name })
  await expect(tick('Tray labels, eight to a page')).toBeChecked()
  await expect(tick('Jobs and sharing')).not.toBeChecked()
  await expect(job.getByText(/: getting ready.*tray lists.*tray labels/)).toBeVisible()
  await expect(job.getByRole('heading', { name: 'Tray labels' })).toBeAttached()
  await expect(job.getByText(/^About \d+ pages\.$/)).toBeVisible()
  await expectAccessible(job, 'what a lesson needs tonight')
  const pagesNow = async () => Number(/\d+/.exec((await job.getByText(/^About/).textContent())!)![0])
  const before = await pagesNow()
  await tick('Tray labels, eight to a page').uncheck()
  await expect(job.getByRole('heading', { name: 'Tray labels' })).toHaveCount(0)
  await expect.poll(pagesNow).toBe(before - 1)
  await tick('Record sheets for the groups').setChecked(true)
  await expect(job.getByRole('heading', { name: /what we measure/ })).toHaveCount(lesson.plan.groups.length)
  await job.reload()
  await expect(tick('Tray labels, eight to a page')).not.toBeChecked()
  await expect(tick('Record sheets for the groups')).toBeChecked()
  await job.emulateMedia({ media: 'print' })
  await expect(job.getByRole('heading', { name: 'What this lesson needs tonight' })).toBeHidden()
  // As many pages as it said, or hardly another.
  const printed = async () => (await job.pdf({ format: 'A4' })).toString('latin1').match(/\/Type \/Page\b/g)!.length
  await expect.poll(async () => Math.abs((await printed()) - (await pagesNow()))).toBeLessThanOrEqual(2)
})
