import { readConclusion } from '../../core/agree'
import { drawNormal, seededRandom } from '../../core/chance'
import { randomUUID } from 'node:crypto'
import { linearRegression } from 'simple-statistics'
import { needsOf, NO_SCHOOL, type School, type Thing } from '../../core/kit'
import { evidenceOf } from '../../core/evidence'
import { EMPTY_RECORD, newMaterial, withGroups, type LessonRecord, type Plan } from '../../core/lesson'
import { chancesByRepeats, outlookOf } from '../../core/measuring'
import { changesToTry, rehearse, tryingChanges } from '../../core/rehearsal'
import { secondLook } from '../../core/secondLook'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { planFrom } from '../../core/test'
import { milliseconds, timeOf, type Row, type Size } from './figures'

/** A plan of this size with a whole record, drawn from a seed. */
export function bigLesson({
  groups,
  conditions,
  repeats,
  factors = 5,
}: {
  groups: number
  conditions: number
  repeats: number
  factors?: number
}) {
  const random = seededRandom(1)
  const base = withGroups(planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 30, randomUUID), groups, randomUUID)
  const plan: Plan = {
    ...base,
    repeats,
    conditions: Array.from({ length: conditions }, (_, place) => ({
      id: `c${place}`,
      label: `paper ${place}`,
      baseline: false,
      leftOut: false,
    })),
    factors: Array.from(
      { length: factors },
      (_, place) =>
        base.factors[place] ?? { id: `f${place}`, name: `factor ${place}`, how: 'the same', exceptions: {}, comesWith: false },
    ),
    materials: base.materials.filter((material) => material.condition === null),
  }
  const readings = plan.groups.flatMap((group) =>
    plan.conditions.flatMap((condition, place) =>
      Array.from({ length: repeats }, (_, at) => {
        const value = Math.max(0, Math.round(20 + 7 * place + 5 * drawNormal(random)))
        const kept = { status: 'kept', reason: '', confirmed: false, supersedes: null, by: 'station' } as const
        return {
          ...kept,
          id: randomUUID(),
          group: group.id,
          condition: condition.id,
          repeat: at + 1,
          moment: '',
          practice: false,
          value,
          unit: 'mm' as const,
          entered: `${value}`,
          at: '2026-03-12T10:00:00.000Z',
        }
      }),
    ),
  )
  return { plan, record: { ...EMPTY_RECORD, readings } }
}

/** The same lesson as somebody else would send it: nothing that was worked out for it before is remembered. */
function fresh<Lesson extends { plan: Plan; record: LessonRecord }>({ plan, record }: Lesson) {
  return { plan: { ...plan }, record: { ...record, readings: record.readings.map((reading) => ({ ...reading })) } }
}

/** The sums that run while somebody types, each run on a lesson that was never seen before. The reference is one straight line through the same 300 readings. */
export async function benchComputations(size: Size): Promise<Row[]> {
  const rounds = size === 'full' ? 60 : 2
  const lesson = bigLesson({ groups: 10, conditions: 6, repeats: 5 })
  const points = lesson.record.readings.map(({ value }, place) => [place, value])
  const reference = await timeOf(() => linearRegression(points), rounds)
  const against = (time: number) =>
    `${(time / reference).toFixed(1)} x simple-statistics linearRegression (${milliseconds(reference)})`
  const row = (what: string, time: number, wanted: string): Row => ({
    what,
    figure: milliseconds(time),
    wanted,
    reference: against(time),
  })
  /** Lessons are made beforehand, so that only the work is timed. */
  const timeOn = (
    of: { plan: Plan; record: LessonRecord },
    work: (of: { plan: Plan; record: LessonRecord }) => unknown,
    times = rounds,
  ) => {
    const lessons = Array.from({ length: 2 * times }, () => fresh(of))
    return timeOf(() => work(lessons.pop()!), times)
  }

  const evidence = await timeOn(lesson, ({ plan, record }) => evidenceOf(plan, record))
  const wide = bigLesson({ groups: 7, conditions: 12, repeats: 3, factors: 15 })
  const findings = await timeOn(wide, ({ plan, record }) => secondLook(plan, record))
  const unread = await timeOn({ plan: wide.plan, record: EMPTY_RECORD }, ({ plan, record }) => secondLook(plan, record))
  const outlook = outlookOf(lesson.plan)!
  // What was asked before is remembered; each run asks about another wobble.
  const another = (round: number) => ({ ...outlook, total: outlook.total + 0.001 * (round + 1) + Math.random() / 1e6 })
  const chances = await timeOf((round) => chancesByRepeats(another(round)), Math.min(20, rounds))
  const races = await timeOf((round) => chancesByRepeats({ ...another(round), byPlaces: true }), Math.min(20, rounds))
  const weighed = evidenceOf(wide.plan, wide.record)!
  const reading = await timeOn(wide, ({ plan }) => readConclusion(FOUR_HUNDRED_LETTERS, plan, weighed))
  const long = await timeOn(wide, ({ plan }) => readConclusion(FOUR_HUNDRED_LETTERS.repeat(10), plan, weighed))
  const kit = kitOfSixty()
  const needs = await timeOn({ plan: kit.plan, record: EMPTY_RECORD }, ({ plan }) => needsOf(plan, kit.school))
  const whole = await timeOn({ plan: kit.plan, record: EMPTY_RECORD }, ({ plan, record }) => secondLook(plan, record, kit.school))
  const classes = size === 'full' ? 1000 : 10
  const rehearsed = await timeOn(rehearsalLesson(), ({ plan }) => rehearseWhole(plan, classes), 1)
  return [
    row('kit, 60 materials x 10 groups', needs, 'under 5 ms'),
    row('Second look of the same with a cupboard', whole, 'under 16 ms'),
    row('evidence, 10 groups x 6 conditions x 5 repeats', evidence, 'under 5 ms'),
    row('Second look, 12 conditions x 15 factors', unread, 'under 16 ms'),
    row('the same with 252 readings', findings, 'under 16 ms'),
    row('a sentence of 400 letters against 12 conditions', reading, 'under 5 ms'),
    row('4,000 letters against them', long, 'under 50 ms'),
    row('chances for 12 repeats of 6 conditions', chances, 'under 50 ms'),
    row('the same for races', races, 'under 50 ms'),
    {
      ...row(`rehearsal of ${classes} classes over days, and what would help`, rehearsed, 'under 5 s for 1000'),
      missed: rehearsed > MOST_TO_REHEARSE,
    },
  ]
}

/** Milliseconds that a teacher waits for 1,000 made-up classes. */
const MOST_TO_REHEARSE = 5000

/** The investigation with the most readings of a class: a dish is read on five days. */
function rehearsalLesson(): { plan: Plan; record: LessonRecord } {
  return { plan: planFrom(INVESTIGATIONS['sprout-watch']!, 'Puffin', 26, randomUUID), record: EMPTY_RECORD }
}

function rehearseWhole(plan: Plan, classes: number): void {
  const found = rehearse(plan, classes)!
  const trying = tryingChanges(plan, changesToTry(plan), found)
  while (!trying.next().done);
}

const FOUR_HUNDRED_LETTERS =
  'Paper 11 was the highest with 97 mm on average and paper 0 the lowest with 20 mm, so the kind of paper makes a difference. '
    .repeat(4)
    .slice(0, 400)

/** Sixty materials of every sort for ten groups, all of them in a cupboard of which other lessons take. */
function kitOfSixty(): { plan: Plan; school: School } {
  const { plan } = bigLesson({ groups: 10, conditions: 6, repeats: 3 })
  const PER = ['class', 'group', 'child', 'condition', 'trial'] as const
  const things = Array.from({ length: 60 }, (_, place): Thing => ({
    ...{ id: randomUUID(), name: `thing ${place}`, unit: place % 3 === 0 ? 'mL' : 'pieces', stock: 5 + 40 * (place % 4) },
    ...{ place: `shelf ${place % 7}`, minimum: null, pack: 10, price: 2 },
  }))
  const materials = things.map((thing, place) => ({
    ...newMaterial(randomUUID(), thing.name),
    amount: place % 3 === 0 ? '1/2 cup' : '2',
    per: PER[place % PER.length]!,
    use: place % 2 === 0 ? ('up' as const) : ('again' as const),
    spare: 0.1,
    rinse: place % 4,
    thing: thing.id,
  }))
  const day = '2027-03-08'
  const bookings = things.map(({ id }, place) => ({
    ...{ thing: id, lesson: `other ${place % 5}`, title: 'Another lesson', date: '2027-03-06', start: '09:00', from: '2027-03-03' },
    ...{ until: day, amount: 3, use: 'again' as const },
  }))
  const school: School = { ...NO_SCHOOL, things, bookings, lesson: 'own' }
  return { plan: { ...plan, date: day, materials, clock: { ...plan.clock, start: '10:00' } }, school }
}
