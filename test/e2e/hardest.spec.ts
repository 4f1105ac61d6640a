import type { Page } from '@playwright/test'
import { HARD_LESSONS, hardLesson, type HardLesson } from '../hard/lessons'
import type { Plan } from '../../core/lesson'
import { client, expect, joinStation, test, turnBoard } from './house'

/** A hard lesson on the server; before its test, or with all its readings. */
async function hard(baseURL: string | undefined, name: HardLesson, read: boolean) {
  const { call, newLesson, open } = client(baseURL)
  const { plan } = (await newLesson(HARD_LESSONS[name].from)).lesson
  const { body } = await call<{ id: string }>('POST', '/api/lessons/open', { text: hardLesson(name, plan, read) })
  return (await open(body.id)).lesson
}

/** Words that lie beyond the window or are cut off by what they stand in. */
const cutOff = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main *, footer *')]
      .filter((one) => one.childElementCount === 0 && one.textContent.trim() !== '' && !one.closest('.sr-only'))
      .filter((one) => {
        const { right, bottom, width } = one.getBoundingClientRect()
        return width > 0 && (right > innerWidth + 1 || bottom > innerHeight + 1 || one.scrollWidth > one.clientWidth + 1)
      })
      .filter((one) => getComputedStyle(one).overflow === 'hidden' || one.getBoundingClientRect().bottom > innerHeight + 1)
      .map((one) => one.textContent.trim().slice(0, 40)),
  )

test('on the board the picture keeps at least half of the height, with names whole, whatever the lesson', async ({
  page,
  baseURL,
}) => {
  for (const name of Object.keys(HARD_LESSONS) as HardLesson[]) {
    const lesson = await hard(baseURL, name, true)
    await page.goto(`/board/${lesson.id}`)
    for (const view of ['The question', 'Predictions', 'Testing']) {
      await turnBoard(page, view)
      expect(await cutOff(page), `${name}: ${view}`).toEqual([])
    }
    await turnBoard(page, 'Results')
    const numbers = page.getByRole('button', { name: 'Show them now' })
    const picture = page.locator('.results-chart svg')
    await expect(numbers.or(picture)).toBeVisible()
    if (await numbers.isVisible()) await numbers.click()
    await expect(picture).toBeVisible()
    const share = () => picture.evaluate((svg) => svg.getBoundingClientRect().height / document.querySelector('main')!.clientHeight)
    await expect.poll(share, `${name}: share of the picture`).toBeGreaterThan(0.5)
    expect(await cutOff(page), `${name}: Results`).toEqual([])
    // Two lines at most beside it; the rest comes for a press, and the picture comes back.
    expect(await page.locator('.results .line p').evaluate((line) => line.clientHeight)).toBeLessThan(90)
    await page.getByRole('button', { name: 'In words' }).click()
    await expect(picture).toBeHidden()
    await page.getByRole('button', { name: 'The picture' }).click()
    await expect(picture).toBeVisible()
  }
})

test('a value that is known from far off stands behind a gap in the axis, and each name stands at its bar', async ({
  page,
  baseURL,
}) => {
  const lesson = await hard(baseURL, 'tenPapers', true)
  await page.goto(`/board/${lesson.id}`)
  await turnBoard(page, 'Results')
  const numbers = page.getByRole('button', { name: 'Show them now' })
  await numbers.or(page.locator('.results-chart svg')).first().waitFor()
  if (await numbers.isVisible()) await numbers.click()
  const chart = page.locator('.results-chart svg')
  await expect(chart).toContainText(/birch tree in spring: 5400\smm, far above the rest/)
  for (const { label } of lesson.plan.conditions) await expect(chart).toContainText(label)
  const wide = (text: string) =>
    chart.evaluate((svg, wanted) => {
      const found = [...svg.querySelectorAll('text')].find((one) => one.textContent === wanted)!
      return found.getBoundingClientRect().left
    }, text)
  // What was measured fills the axis as it would without the tree.
  expect((await wide('70')) - (await wide('0'))).toBeGreaterThan(400)
})

test('condition, trial and every key are in sight on small screens, and so is what a prediction is made of', async ({
  page,
  baseURL,
}) => {
  const lesson = await hard(baseURL, 'twoBalls', false)
  for (const size of [
    [640, 360],
    [667, 375],
    [844, 390],
    [360, 640],
    [390, 844],
    [768, 1024],
  ] as const) {
    await page.setViewportSize({ width: size[0], height: size[1] })
    await page.evaluate(() => localStorage.clear()).catch(() => undefined)
    await joinStation(page, lesson.code, lesson.plan.groups[0]!.name)
    const chip = page.getByRole('button', { name: '80 cm' })
    const later = page.getByRole('button', { name: 'Later' })
    await later.or(page.getByLabel('The number')).first().waitFor()
    if (await later.isVisible()) {
      await expect(chip, size.join('x')).toBeInViewport({ ratio: 1 })
      await later.click()
    }
    await expect(page.getByLabel('The number')).toBeVisible()
    const sights = [page.getByRole('heading', { level: 1 }), page.getByText(/Practice: it does not count|^trial \d/).first()]
    const keys = ['1', '5', '9', '0', 'Write it down'].map((key) => page.getByRole('button', { name: key, exact: true }))
    for (const one of [...sights, ...keys]) await expect(one, size.join('x')).toBeInViewport({ ratio: 0.98 })
    const small = await page
      .locator('form button')
      .evaluateAll((all) =>
        all.flatMap((one) =>
          one.clientHeight < 36 && one.textContent.trim() !== 'Start the trials that count' ? [one.textContent] : [],
        ),
      )
    expect(small, `keys of ${size.join('x')}`).toEqual([])
  }
})

test('what is promised on one page is one page of A4 and of Letter, and nothing is smaller than nine points', async ({
  page,
  baseURL,
}) => {
  const promised: [name: HardLesson, what: string, pages: (plan: Plan) => number][] = [
    ['tenPapers', 'record', ({ groups }) => groups.length],
    ['tenPapers', 'planning', ({ groups }) => groups.length],
    ['tenPapers', 'slips', ({ groups }) => Math.ceil(groups.length / 4)],
    ['tenPapers', 'labels', ({ groups }) => Math.ceil(groups.length / 6)],
    ['tenPapers', 'poster-a3', () => 1],
    ['twoBalls', 'record', ({ groups }) => groups.length],
    ['tenDays', 'report', () => 1],
    ['muddle', 'group-report', ({ groups }) => groups.length],
    ['everyChild', 'report', () => 1],
    // A class's home sheets: two to a page, and one where many days or things stand on it.
    ['everyChild', 'home', ({ children }) => Math.ceil(children / 2)],
    ['tenDays', 'home', ({ children }) => children],
  ]
  for (const [name, what, pages] of promised) {
    const lesson = await hard(baseURL, name, true)
    await page.emulateMedia({ media: null })
    await page.setViewportSize({ width: 800, height: 1100 })
    await page.goto(`/print/${lesson.id}/${what}`)
    await expect(page.locator('main.paper h1').first()).toBeAttached()
    if (what.includes('report')) await expect(page.locator('.paper-chart svg').last()).toBeVisible()
    await page.waitForTimeout(400)
    await page.emulateMedia({ media: 'print' })
    for (const format of ['A4', 'Letter'] as const) {
      const paper = await page.pdf(what === 'poster-a3' ? { preferCSSPageSize: true } : { format })
      const counted = paper.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length
      expect(counted, `${what} of ${name} on ${format}`).toBe(pages(lesson.plan))
    }
    const smallest = await page.evaluate(() => {
      const walker = document.createTreeWalker(document.querySelector('main.paper')!, NodeFilter.SHOW_TEXT)
      const sizes: number[] = []
      while (walker.nextNode()) {
        const at = walker.currentNode.parentElement!
        if (walker.currentNode.textContent!.trim() === '' || at.getClientRects().length === 0 || at.closest('.sr-only')) continue
        const svg = at.closest('svg')
        const drawn = svg && svg.viewBox.baseVal.width > 0 ? svg.getBoundingClientRect().width / svg.viewBox.baseVal.width : 1
        sizes.push(Number.parseFloat(getComputedStyle(at).fontSize) * drawn * 0.75)
      }
      return Math.min(...sizes)
    })
    expect(smallest, `points on ${what} of ${name}`).toBeGreaterThan(8.95)
  }
})
