// npm run screenshots: one current picture of each main view, made from the demo class, into docs/screenshots/.
import { mkdirSync } from 'node:fs'
import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../playwright.config'
import { clientFor } from '../test/api/client'
import { startApplication, temporaryFolder } from '../test/application'
import { HARD_LESSONS, hardLesson } from '../test/hard/lessons'

const OUT = 'docs/screenshots'
const DESK = { width: 1280, height: 800 }
const { folder, remove } = temporaryFolder()
mkdirSync(OUT, { recursive: true })
const application = await startApplication({ data: folder, demo: true })
const browser = await chromium.launch(CHROMIUM)
try {
  await takeAll()
} finally {
  await browser.close()
  await application.stop()
  remove()
}

async function takeAll(): Promise<void> {
  const { call, newLesson, open } = clientFor(application.base)
  const { body } = await call<{ lessons: { id: string; title: string }[] }>('GET', '/api/lessons')
  const called = (name: string) => open(body.lessons.find(({ title }) => title === name)!.id)
  const [finished, halfPlanned, sprouting] = await Promise.all(
    ['Soak-up strips', 'Soak-up strips, a second look', 'Sprout watch'].map(called),
  )
  const begin = async (investigation: string) => (await call<{ id: string }>('POST', '/api/lessons', { investigation })).body
  const desk = await newPage(DESK)
  const take = async (page: Page, name: string, path: string, ready: string) => {
    await page.goto(application.base + path)
    await page.locator(ready).first().waitFor()
    await page.waitForTimeout(400)
    await page.screenshot({ path: `${OUT}/${name}.png` })
  }
  const at = (whole: typeof finished, stop: string) => `/lesson/${whole!.lesson.id}/${stop}`

  await take(desk, 'shelf', '/', '.lesson')
  await desk.setViewportSize({ width: 1280, height: 1330 })
  await desk.goto(`${application.base}/new`)
  await desk.getByLabel('What do you have in mind?').fill('Which glue holds longer, stick, paste or tape? We hang a bag on it')
  await desk.locator('[data-asked]').first().waitFor()
  await desk.waitForTimeout(400)
  await desk.screenshot({ path: `${OUT}/library.png` })
  await desk.setViewportSize(DESK)
  await take(desk, 'term', '/term/plan', '.weeks li')
  await desk.setViewportSize({ width: 1280, height: 1190 })
  await desk.goto(application.base + at(sprouting, 'wonder'))
  await desk.getByRole('button', { name: /^Could we test it\? .*why is it yellow/ }).click()
  await desk.mouse.move(0, 0)
  await desk.waitForTimeout(400)
  await desk.screenshot({ path: `${OUT}/wonder.png` })
  await desk.setViewportSize(DESK)
  await take(desk, 'plan', at(halfPlanned, 'plan'), '.trays')
  await desk.setViewportSize({ width: 1280, height: 1250 })
  await take(desk, 'plan-whole', at(finished, 'plan'), '.bars button')
  await desk.setViewportSize(DESK)
  await desk.setViewportSize({ width: 1280, height: 1180 })
  await take(desk, 'kit', at(finished, 'kit'), '.kit')
  await take(desk, 'clock', at(finished, 'clock'), '.verdict')
  await desk.setViewportSize(DESK)
  await take(desk, 'cupboard', '/cupboard', '.low')
  const lessons = [finished!.lesson.id, (await begin('bounce-back')).id, (await begin('ice-in-a-bag')).id]
  const { body: together } = await call<{ id: string }>('POST', '/api/together', { lessons })
  await take(desk, 'together', `/together/${together.id}?part=clock`, 'svg rect')
  await call('DELETE', `/api/together/${together.id}`)
  await take(desk, 'test', at(finished, 'test'), '.cells')
  await take(desk, 'results', at(finished, 'results'), '.results-chart svg')
  await take(desk, 'agree', at(finished, 'agree'), '.starters')
  await take(desk, 'board', `/board/${finished!.lesson.id}`, '.groups')
  // One of the hardest lessons, on a dark board.
  const { plan } = (await newLesson(HARD_LESSONS.tenPapers.from)).lesson
  const { body: hard } = await call<{ id: string }>('POST', '/api/lessons/open', { text: hardLesson('tenPapers', plan) })
  await call('PUT', `/api/lessons/${hard.id}/board`, { view: 'results', results: 'live' })
  await desk.keyboard.press('d')
  await take(desk, 'board-results-dark', `/board/${hard.id}`, '.results-chart svg')
  await desk.keyboard.press('d')
  await take(desk, 'journal', `/journal/${finished!.lesson.id}`, 'tbody tr')

  const paper = await newPage({ width: 794, height: 1123 })
  await paper.emulateMedia({ media: 'print' })
  await take(paper, 'report', `/print/${finished!.lesson.id}/report`, '.paper-chart svg')
  await take(paper, 'tray-labels', `/print/${finished!.lesson.id}/labels`, '.label')

  const station = await newPage({ width: 390, height: 844 })
  await station.goto(`${application.base}/station?code=${encodeURIComponent(finished!.lesson.code)}`)
  await station.getByRole('button', { name: 'Fir' }).click()
  await station.getByLabel('The number').fill('14')
  await station.screenshot({ path: `${OUT}/station.png` })
}

function newPage(viewport: { width: number; height: number }): Promise<Page> {
  return browser.newPage({ viewport, locale: 'en-GB' })
}
