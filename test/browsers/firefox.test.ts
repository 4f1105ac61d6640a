import { PDFDocument } from 'pdf-lib'
import type { Browser, ElementHandle, Page } from 'puppeteer-core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STOPS } from '../../core/lesson'
import { STOP_NAMES } from '../../core/wording'
import type { PrintoutName } from '../../app/composables/printouts'
import type { WholeLesson } from '../api/client'
import { ownLibrary } from '../api/ownLibrary'
import { FIREFOX_IS_HERE, startFirefox } from './firefox'

/** The station's whole way, a look at each stop of the desk, and paper, in the other family of browsers. */
describe.skipIf(!FIREFOX_IS_HERE)('in Firefox', () => {
  const { base, client: api, demoLesson } = ownLibrary({ demo: true })
  let firefox: { browser: Browser; stop(): Promise<void> }
  let page: Page
  let demo: WholeLesson
  const trouble: string[] = []

  beforeAll(async () => {
    demo = await demoLesson()
    firefox = await startFirefox()
    page = await firefox.browser.newPage()
    page.on('pageerror', (error) => trouble.push(String(error)))
  })
  afterAll(async () => {
    await firefox?.stop()
    expect(trouble).toEqual([])
  })

  const see = (selector: string) => page.waitForSelector(selector, { visible: true, timeout: 120_000 })
  const seeWords = (words: string, within: string) =>
    page.waitForFunction(
      (text, selector) => [...document.querySelectorAll(selector)].some((one) => one.textContent?.trim() === text),
      { timeout: 120_000 },
      words,
      within,
    )
  const press = async (name: string) => {
    const found = await page.waitForFunction(
      (text) =>
        [...document.querySelectorAll('button')].find(
          (one) => one.textContent?.trim() === text && one.checkVisibility() && !one.disabled,
        ),
      { timeout: 120_000 },
      name,
    )
    await (found.asElement() as ElementHandle<Element>).click()
  }

  it('paper has no blank page at its end', async () => {
    const wanted: [PrintoutName, number][] = [
      ['trays', 5],
      ['labels', 1],
      ['planning', 7],
      ['slips', 2],
      ['record', 7],
      ['report', 1],
      ['group-report', 7],
      ['poster-4a4', 4],
    ]
    const pages: typeof wanted = []
    for (const [name] of wanted) {
      await page.goto(`${base()}/print/${demo.lesson.id}/${name}`)
      await see('main.paper > :nth-child(2)')
      // Some ask for the journal as well.
      await page.waitForNetworkIdle({ idleTime: 400 })
      pages.push([name, (await PDFDocument.load(await page.pdf({ format: 'A4' }))).getPageCount()])
    }
    expect(pages).toEqual(wanted)
  })

  it('each stop of the desk opens, an odd number is put right, and a key goes on', async () => {
    for (const stop of STOPS) {
      await page.goto(`${base()}/lesson/${demo.lesson.id}/${stop}`)
      await seeWords(STOP_NAMES[stop], 'h2')
      await seeWords('Second look', 'h2')
    }
    await page.goto(`${base()}/lesson/${demo.lesson.id}/test`)
    await press('Make it 70\u202fmm')
    await page.waitForFunction(() =>
      [...document.querySelectorAll('input')].some(
        (one) => one.ariaLabel?.startsWith('Birch, A kitchen roll') && one.value === '70',
      ),
    )
    // The gap is keyed in; Escape twice leaves the grid, and a digit then goes to a stop.
    const gap = await see('input[aria-label="Fir, D card, repeat 3"]')
    await gap!.focus()
    await page.keyboard.type('15')
    await page.keyboard.press('Enter')
    await (await see('input[aria-label="Alder, A kitchen roll, repeat 1"]'))!.focus()
    await page.keyboard.press('Escape')
    await page.keyboard.press('Escape')
    await page.keyboard.press('7')
    await seeWords('Results', 'h2')
    const { readings } = (await api().open(demo.lesson.id)).record
    expect(readings.slice(-2).map(({ value }) => value)).toEqual([70, 15])
  })

  it('a group joins, predicts later, types a number by keyboard and by the pad, and has the focus where it goes on', async () => {
    const { lesson } = await api().newLesson()
    await page.goto(`${base()}/station`)
    await see('input')
    expect(await page.evaluate(() => document.activeElement?.tagName)).toBe('INPUT')
    await page.keyboard.type(lesson.code)
    await page.keyboard.press('Enter')
    await press('Gorse')
    await press('Later')
    await press('Start the trials that count')
    await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'The number')
    await page.keyboard.type('61')
    await page.keyboard.press('Enter')
    await page.waitForFunction(() => document.body.innerText.includes('1 of 12 done'))
    await press('5')
    await press('2')
    await press('Write it down')
    await page.waitForFunction(() => document.body.innerText.includes('2 of 12 done'))
    await page.waitForFunction(() =>
      [...document.querySelectorAll('[role=status]')].some((one) => one.textContent?.trim() === 'sent'),
    )
    const { readings } = (await api().open(lesson.id)).record
    expect(readings.map(({ value }) => value)).toEqual([61, 52])
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true)
  })

  it('the board shows its view and turns to another by key', async () => {
    await page.goto(`${base()}/board/${demo.lesson.id}`)
    await see('footer button')
    const before = await page.evaluate(() => document.querySelector('footer button')?.textContent)
    await page.click('main')
    await page.keyboard.press('ArrowLeft')
    await page.waitForFunction((text) => document.querySelector('footer button')?.textContent !== text, {}, before)
  })
})
