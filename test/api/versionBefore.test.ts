import { execFileSync } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
import { brotliDecompressSync } from 'node:zlib'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { ShelfPage, WholeLesson } from '../../schemas/contract'
import { startApplication, temporaryFolder, type Application } from '../application'
import { clientFor } from './client'

// Made by the version before, whose plans were of version 7 too, and which kept no summaries: its data folder, with the demo class
// and a little more written into it, and the file that it saved of the first lesson.
const FOLDER = 'test/before/version-7.folder.tar.br'
const FILE = 'test/before/version-7.beaker.json'

const { folder, remove } = temporaryFolder()
let application: Application
let client: ReturnType<typeof clientFor>
beforeAll(async () => {
  mkdirSync(folder, { recursive: true })
  execFileSync('tar', ['-xf', '-', '-C', folder], { input: brotliDecompressSync(readFileSync(FOLDER)) })
  application = await startApplication({ data: folder })
  client = clientFor(application.base)
})
afterAll(async () => {
  await application.stop()
  remove()
})

/** The shelf once every lesson was looked through: a slow machine answers before that, and says so. */
async function shelf(): Promise<ShelfPage> {
  const { body } = await client.call<ShelfPage>('GET', '/api/lessons')
  return body.renewing === 0 ? body : shelf()
}

it('a folder of the version before opens with the shelf as it was', async () => {
  const { lessons, all, putAway } = await shelf()
  expect([all, putAway]).toEqual([3, 0])
  const said = lessons.map(({ date, title, level, matters }) => [date, title, level, matters.first?.text, matters.more])
  expect(said.sort()).toEqual([
    ['2026-11-19', 'Sprout watch', 0.6875, 'Look at the cautions', 1],
    ['2026-11-26', 'Soak-up strips', 0.8125, 'Answer for Birch’s 7\u202fmm', 3],
    // Since then the Clock says that it may take too long, and nobody was asked what is best.
    ['2026-12-03', 'Soak-up strips, a second look', 0.3125, 'Not fair yet: the width of the strip', 7],
  ])
})

it('everything that was recorded is there, and its file opens beside it', async () => {
  const first = (await shelf()).lessons.find(({ title }) => title === 'Soak-up strips')!
  const { lesson, record } = await client.open(first.id)
  expect(lesson.board.view).toBe('results')
  expect(record.readings.length).toBeGreaterThan(60)
  expect(record.remarks.map(({ text }) => text)).toContain('The tissue drinks fast.')
  expect(record.observations.map(({ text }) => text)).toContain('The top edge dries again.')
  expect(record.predictions.at(-1)).toMatchObject({ reason: 'thin paper drinks more', late: true })
  expect(record.conclusions.at(-1)).toMatchObject({ text: 'Tissue lifted the water highest.', hands: 21, agreed: true })

  const opened = await client.call<{ id: string }>('POST', '/api/lessons/open', { text: readFileSync(FILE, 'utf8') })
  const beside = await client.open(opened.body.id)
  expect(beside.lesson.plan).toEqual(lesson.plan)
  const bare = ({ record: whole }: Pick<WholeLesson, 'record'>) =>
    Object.values(whole).map((rows) => rows.map((row) => ({ ...row, id: '', supersedes: '', from: '' })))
  expect(bare(beside)).toEqual(bare({ record }))
})
