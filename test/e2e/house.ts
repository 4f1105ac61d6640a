import AxeBuilder from '@axe-core/playwright'
import { randomUUID } from 'node:crypto'
import { expect, test as base, type Locator, type Page } from '@playwright/test'
import type { Plan } from '../../core/lesson'
import { clientFor, type WholeLesson } from '../api/client'

export { expect }

/** Every page of every test: no errors in its console, and no request to anywhere but our own server. */
export const test = base.extend({
  context: async ({ context, baseURL }, use) => {
    const trouble: string[] = []
    context.on('page', (page) => {
      page.on('pageerror', (error) => trouble.push(error.message))
      page.on('console', (message) => {
        if (message.type() === 'error' && !/Failed to load resource|ERR_INTERNET_DISCONNECTED/.test(message.text()))
          trouble.push(message.text())
      })
    })
    context.on('request', (request) => {
      if (!request.url().startsWith(baseURL!) && !/^(data|blob):/.test(request.url())) trouble.push(`asked ${request.url()}`)
    })
    await use(context)
    expect(trouble).toEqual([])
  },
})

/** The browser tests share a server: the class of the last lesson, and the pace of a class, would be any other test's. */
export const client = (baseURL: string | undefined) =>
  clientFor(baseURL!, { className: `Class ${randomUUID().slice(0, 8)}`, children: 28 })

/** A lesson whose plan was changed before anybody opens it. */
export async function lessonWith(baseURL: string | undefined, change: (plan: Plan) => void, investigation?: string | null) {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson(investigation)
  const plan = structuredClone(lesson.plan)
  change(plan)
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })).status).toBe(200)
  return (await open(lesson.id)).lesson
}

/** Opens a stop of a lesson at the desk. */
export async function openStop(page: Page, lesson: WholeLesson['lesson'] | string, stop: string): Promise<void> {
  await page.goto(`/lesson/${typeof lesson === 'string' ? lesson : lesson.id}/${stop}`)
  await expect(page.getByRole('heading', { name: 'Second look' })).toBeAttached()
}

/** Goes on to another stop of the lesson that is open, as a teacher does: by the path. */
export async function goToStop(page: Page, stop: string): Promise<void> {
  const path = page.getByRole('navigation', { name: 'The stops of this lesson' })
  await path.getByRole('link', { name: new RegExp(`^${stop}\\b`, 'i') }).click()
  await expect(page.getByRole('heading', { level: 2, name: new RegExp(`^${stop}`, 'i') }).first()).toBeVisible()
}

/** Joins a station with the code and waits for its first question. */
export async function joinStation(page: Page, code: string, group: string): Promise<void> {
  await page.goto('/station')
  await page.getByLabel('Code from the board').fill(code)
  await page.getByRole('button', { name: 'Next' }).click()
  await page.getByRole('button', { name: group }).click()
  await expect(page.getByText(/of \d+ done/)).toBeVisible()
}

/** Opens the set-up of the class. */
export async function openClass(page: Page): Promise<Locator> {
  await page.getByRole('button', { name: /^Class .* in \d+ groups?$/ }).click()
  const dialog = page.getByRole('dialog', { name: 'The class' })
  await expect(dialog).toBeVisible()
  return dialog
}

/** Chooses from a list that opens. */
export async function choose(field: Locator, option: string | RegExp): Promise<void> {
  const options = field.page().getByRole('listbox').getByRole('option')
  const found = field
    .page()
    .getByRole('listbox')
    .getByRole('option', { name: option, exact: typeof option === 'string' })
  await expect(async () => {
    if ((await options.count()) === 0) await field.press('Enter')
    await expect(options.first()).toBeVisible({ timeout: 2000 })
  }).toPass({ intervals: [50], timeout: 30_000 })
  // Only what is near is drawn of a list, and a list that scrolls is not still enough for the mouse of a test. It shuts when one is chosen.
  await expect(async () => {
    if ((await options.count()) === 0) return
    if ((await found.count()) === 0) await field.page().keyboard.press('ArrowDown')
    await found.first().dispatchEvent('click', undefined, { timeout: 1000 })
    await expect(options).toHaveCount(0, { timeout: 3000 })
  }).toPass({ intervals: [50], timeout: 30_000 })
}

/** Opens what is folded away under this title. */
export async function unfold(page: Page, title: string): Promise<void> {
  const head = page.getByRole('button', { name: new RegExp(`^${title}`) }).and(page.locator('[aria-expanded]'))
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.click()
}

/** Opens all that is folded away. */
export async function unfoldAll(page: Page): Promise<void> {
  const folded = page.locator('.v-expansion-panel-title[aria-expanded="false"]')
  while ((await folded.count()) > 0) await folded.first().click()
}

/** Gives a file to whatever asks for one when this is pressed. */
export async function giveFile(button: Locator, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
  const [chooser] = await Promise.all([button.page().waitForEvent('filechooser'), button.click()])
  await chooser.setFiles(file)
}

/** Turns the board to another view, or turns one of its switches. */
export async function turnBoard(board: Page, to: string): Promise<void> {
  await board.locator('footer').getByRole('button').click()
  await board.getByRole('menuitemradio', { name: to }).click()
}

/** Types a number on the pad and writes it down. */
export async function enterNumber(page: Page, keys: string): Promise<void> {
  const names: Record<string, string> = { '.': 'point', '½': 'and a half' }
  for (const key of keys) await page.getByRole('button', { name: names[key] ?? key, exact: true }).click()
  await page.getByRole('button', { name: 'Write it down' }).click()
}

export const cell = (page: Page, group: string, condition: string, repeat: number) =>
  page.getByRole('textbox', { name: `${group}, ${condition}, repeat ${repeat}`, exact: true })

/** Pastes text into a field the way a spreadsheet hands it over. */
export async function paste(field: Locator, text: string): Promise<void> {
  await field.evaluate((element, block) => {
    ;(element as HTMLElement).focus()
    const clipboardData = new DataTransfer()
    clipboardData.setData('text', block)
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  }, text)
}

/** Everything on the plan is on the server. */
export const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^\s*saved\s*$/ })).toBeVisible()

/** @param without rules that do not hold here */
export async function expectAccessible(page: Page, name: string, without: string[] = []): Promise<void> {
  // A page that has not begun has nothing in it.
  await expect(page.locator('#__nuxt-loader')).toHaveCount(0)
  // No page has frames, and nobody reads what passed: both take axe most of its time.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .disableRules(without)
  const { violations } = await axe.analyze()
  expect(violations.map(({ id, nodes }) => `${name}: ${id} ${nodes[0]?.target.join(' ')} ${nodes[0]?.failureSummary}`)).toEqual([])
}

/** Nothing sticks out to the right, and no button or field is cut off. */
export async function expectNothingSticksOut(page: Page, name: string): Promise<void> {
  const [content, window] = await page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.clientWidth])
  expect(content, name).toBeLessThanOrEqual(window!)
}
