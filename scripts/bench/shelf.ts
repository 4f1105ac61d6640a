import type { ShelfPage } from '../../schemas/contract'
import { clientFor } from '../../test/api/client'
import { startApplication, temporaryFolder } from '../../test/application'
import { milliseconds, quantile, type Row, type Size } from './figures'
import { makeManyLessons } from './manyLessons'

const LESSONS = { full: 1000, small: 30 }
const ROUNDS = { full: 40, small: 3 }
const LONGEST_JUDGING = 600_000

/** What lists cost a school with many lessons, once what is in them was judged beside the server. */
export async function benchShelf(size: Size): Promise<Row[]> {
  const { folder, remove } = temporaryFolder()
  const count = LESSONS[size]
  await makeManyLessons(folder, count)
  const started = performance.now()
  const application = await startApplication({ data: folder })
  const opened = performance.now() - started
  try {
    const { call } = clientFor(application.base)
    const judged = await untilJudged(call)
    const median = async (path: string) => {
      const times: number[] = []
      for (let round = 0; round < ROUNDS[size]; round += 1) {
        const start = performance.now()
        const { status } = await call('GET', path)
        if (status !== 200) throw new Error(`${path}: ${status}`)
        times.push(performance.now() - start)
      }
      return quantile(times, 0.5)
    }
    const nothing = await median('/api/investigations')
    const row = async (what: string, path: string, wanted: number): Promise<Row> => {
      const time = await median(path)
      return {
        what,
        figure: milliseconds(time),
        wanted: `under ${wanted} ms`,
        reference: `${(time / nothing).toFixed(1)} x a route that asks no table (${milliseconds(nothing)})`,
        missed: time > wanted,
      }
    }
    return [
      await row(`first page of ${count} lessons with 84 readings each`, '/api/lessons?archived=false', 150),
      await row('its last page', `/api/lessons?archived=false&from=${Math.floor(count * 0.85)}`, 150),
      await row('what was put away', '/api/lessons?archived=true', 150),
      await row('found: a word in every sixth title', '/api/lessons?find=blotting', 150),
      await row('found: one lesson', `/api/lessons?find=no.%20${count - 1}`, 150),
      await row('found: nothing', '/api/lessons?find=volcano', 150),
      await row(`a term of ${count}`, '/api/term', 300),
      await row('the cupboard, booked by all of them', '/api/cupboard', 100),
      {
        what: 'all of them judged beside the server after its first start',
        figure: `${(judged / 1000).toFixed(0)} s`,
        wanted: '',
        reference: `${milliseconds(judged / count)} each, in rests; the start itself took ${(opened / 1000).toFixed(1)} s`,
      },
    ]
  } finally {
    await application.stop()
    remove()
  }
}

/** How long it takes until every lesson on the shelf says how ready it is. */
async function untilJudged(call: ReturnType<typeof clientFor>['call']): Promise<number> {
  const start = performance.now()
  for (;;) {
    const { body } = await call<ShelfPage>('GET', '/api/lessons?archived=false&most=1000')
    if (body.lessons.every(({ level }) => level > 0)) return performance.now() - start
    if (performance.now() - start > LONGEST_JUDGING) throw new Error('Some lessons were never judged.')
    await new Promise((next) => setTimeout(next, 1000))
  }
}
