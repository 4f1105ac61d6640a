import { By, Key, until, type WebDriver } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STOPS } from '../../core/lesson'
import { STOP_NAMES } from '../../core/wording'
import type { WholeLesson } from '../api/client'
import { ownLibrary } from '../api/ownLibrary'
import { startWebkit, WEBKIT_IS_HERE } from './webkit'

const PATIENCE = 30_000

/** The family of browsers that old tablets have: the station's way, each stop of the desk and the board. */
describe.skipIf(!WEBKIT_IS_HERE)('in WebKit', () => {
  const { base, client: api, demoLesson } = ownLibrary({ demo: true })
  let webkit: { browser: WebDriver; stop(): Promise<void> }
  let browser: WebDriver
  let demo: WholeLesson

  beforeAll(async () => {
    demo = await demoLesson()
    webkit = await startWebkit()
    browser = webkit.browser
  })
  afterAll(async () => {
    await webkit?.stop()
  })

  const open = (path: string) => browser.get(`${base()}${path}`)
  const see = (selector: string) => browser.wait(until.elementLocated(By.css(selector)), PATIENCE)
  const named = (tag: string, words: string) =>
    browser.wait(until.elementLocated(By.xpath(`//${tag}[normalize-space()='${words}']`)), PATIENCE)
  const press = async (words: string) => {
    const button = await named('button', words)
    await browser.wait(until.elementIsVisible(button), PATIENCE)
    await button.click()
  }
  const focused = (name: string) =>
    browser.wait(
      async () => (await browser.executeScript('return document.activeElement?.ariaLabel')) === name,
      PATIENCE,
      `the focus never came to “${name}”`,
    )
  const type = (...keys: string[]) =>
    browser
      .actions()
      .sendKeys(...keys)
      .perform()
  const fits = () => browser.executeScript<boolean>('return document.documentElement.scrollWidth <= innerWidth')

  it('each stop of the desk opens, a cell takes a number, and a key goes on', async () => {
    for (const stop of STOPS) {
      await open(`/lesson/${demo.lesson.id}/${stop}`)
      await named('h2', STOP_NAMES[stop])
      await named('h2', 'Second look')
      expect(await fits(), stop).toBe(true)
    }
    await open(`/lesson/${demo.lesson.id}/test`)
    await (await see('input[aria-label="Fir, D card, repeat 3"]')).sendKeys('15', Key.ENTER)
    await (await see('input[aria-label="Alder, A kitchen roll, repeat 1"]')).sendKeys(Key.ESCAPE, Key.ESCAPE)
    await type('7')
    await named('h2', STOP_NAMES.results)
    expect((await api().open(demo.lesson.id)).record.readings.at(-1)).toMatchObject({ value: 15, entered: '15' })
  })

  it('a group joins, predicts later, and types one number by keyboard and one by the pad', async () => {
    const { lesson } = await api().newLesson()
    await open('/station')
    await (await see('input')).sendKeys(lesson.code, Key.ENTER)
    await press('Gorse')
    await press('Later')
    await press('Start the trials that count')
    await focused('The number')
    await type('61', Key.ENTER)
    await see('body')
    await browser.wait(until.elementTextContains(await see('body'), '1 of 12 done'), PATIENCE)
    await press('5')
    await press('2')
    await press('Write it down')
    await browser.wait(until.elementTextContains(await see('body'), '2 of 12 done'), PATIENCE)
    await browser.wait(async () => (await api().open(lesson.id)).record.readings.length === 2, PATIENCE, 'it never arrived')
    expect((await api().open(lesson.id)).record.readings.map(({ value }) => value)).toEqual([61, 52])
    expect(await fits()).toBe(true)
  })

  it('the board shows its view and turns to another by key, and paper opens', async () => {
    await open(`/board/${demo.lesson.id}`)
    const view = await see('footer button')
    const before = await view.getText()
    await type(Key.ARROW_LEFT)
    await browser.wait(async () => (await (await see('footer button')).getText()) !== before, PATIENCE, 'the view stayed')
    await open(`/print/${demo.lesson.id}/labels`)
    await see('main.paper > :nth-child(2)')
  })
})
