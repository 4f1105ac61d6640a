import { randomUUID } from 'node:crypto'
import { dayAfter } from '../../core/clock'
import { seededRandom } from '../../core/chance'
import { withThings } from '../../core/kit'
import { EMPTY_RECORD, type LessonRecord, type Plan } from '../../core/lesson'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { demoCalendar, demoCupboard } from '../../demo/school'
import { saveCalendar } from '../../server/database/calendars'
import { saveThing } from '../../server/database/cupboard'
import { openDatabase } from '../../server/database/open'
import { addLesson } from '../../server/record/wholeLesson'
import { planFrom } from '../../core/test'

const FIRST_DAY = '2026-01-05'
const CLASSES = ['Puffin', 'Wren', 'Heron', 'Otter', 'Hare']
const PAPERS = ['felt', 'sugar paper', 'napkin', 'blotting paper', 'cardboard', 'cotton']
const REPEATS = 3

/** A school's folder with so many lessons of 84 readings each, all with things from one cupboard. */
export async function makeManyLessons(folder: string, count: number, databaseUrl?: string): Promise<void> {
  const { database, close } = await openDatabase({
    folder,
    databaseUrl,
    migrations: 'server/database/migrations',
    onLost: () => undefined,
    onReopened: () => undefined,
  })
  const things = demoCupboard(randomUUID)
  for (const thing of things) await saveThing(database, thing)
  for (const name of CLASSES) await saveCalendar(database, name, demoCalendar(FIRST_DAY))
  const random = seededRandom(5)
  for (let place = 0; place < count; place += 1) {
    const className = CLASSES[place % CLASSES.length]!
    const made = planFrom(INVESTIGATIONS['soak-up-strips']!, className, 26, randomUUID)
    const title = `${PAPERS[place % PAPERS.length]} and its neighbours, no. ${place + 1}`
    const plan = { ...withThings(made, things), title, date: dayAfter(FIRST_DAY, Math.floor((place * 360) / count)) }
    await addLesson(database, plan, tested(plan, random), [], { archived: place % 10 === 9 })
  }
  await close()
}

function tested(plan: Plan, random: () => number): LessonRecord {
  const at = new Date(Date.parse(`${plan.date}T10:55:00Z`)).toISOString()
  const readings = plan.groups.flatMap(({ id: group }) =>
    plan.conditions.flatMap(({ id: condition }, kind) =>
      Array.from({ length: REPEATS }, (_, repeat) => {
        const value = Math.round(30 + 10 * kind + 6 * random())
        return {
          id: randomUUID(),
          group,
          condition,
          repeat: repeat + 1,
          moment: '',
          practice: false,
          value,
          unit: 'mm' as const,
          entered: String(value),
          status: 'kept' as const,
          reason: '',
          confirmed: false,
          supersedes: null,
          by: 'station' as const,
          at,
        }
      }),
    ),
  )
  return { ...EMPTY_RECORD, readings }
}
