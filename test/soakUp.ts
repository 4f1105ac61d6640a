import { EMPTY_RECORD, type Conclusion, type LessonRecord, type Plan, type Reading } from '../core/lesson'
import { withMeasuredToo, withSeries, planFrom, newMeasure } from '../core/test'
import { INVESTIGATIONS } from '../schemas/investigations'

/** Ids that count up: `counter('g')() // 'g1'` */
export function counter(prefix: string): () => string {
  let last = 0
  return () => `${prefix}${(last += 1)}`
}

/** Soak-up strips for class Puffin: four papers, three repeats, seven groups with the ids g1 to g7. Places that are empty stay so. */
export function soakUpPlan(change: Partial<Plan> = {}): Plan {
  return { ...planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 26, counter('g')), gapsStay: true, ...change }
}

/** The same strips, with the seconds that each drips behind it as a second measure. */
export function twoMeasures(change: Partial<Plan> = {}): Plan {
  const plan = soakUpPlan()
  const drips = newMeasure('seconds', 'how long the strip drips')
  const method = { ...drips.method, tool: 'stopwatch', unit: 's' as const, resolution: 0.1, timingWobble: 0.15 }
  return withMeasuredToo({ ...plan, measures: [...plan.measures, { ...drips, method }], ...change }, 'seconds')
}

/** Strips of two widths: every paper in each. */
export function twoSeries(change: Partial<Plan> = {}): Plan {
  return withSeries(soakUpPlan(change), 'width', ['2 cm wide', '4 cm wide'], counter('s'))
}

const nextReading = counter('r')

export function reading(change: Partial<Reading> = {}): Reading {
  return {
    id: nextReading(),
    group: 'g1',
    condition: 'kitchen-roll',
    repeat: 1,
    moment: '',
    practice: false,
    value: 61,
    unit: 'mm',
    entered: '61',
    status: 'kept',
    reason: '',
    confirmed: false,
    supersedes: null,
    by: 'desk',
    at: '2026-03-12T10:55:00.000Z',
    ...change,
  }
}

const nextConclusion = counter('s')

/** A wording of the class's sentence, or of a group's. */
export function conclusion(change: Partial<Conclusion> = {}): Conclusion {
  return {
    id: nextConclusion(),
    group: null,
    from: null,
    text: 'Kitchen roll came first with 61 mm.',
    hands: null,
    agreed: true,
    by: 'desk',
    at: '2026-03-12T11:20:00.000Z',
    ...change,
  }
}

export { EMPTY_RECORD as emptyRecord } from '../core/lesson'

/** A record with these results, by condition, one value per group and repeat in turn: groups first. */
export function recordOf(results: Record<string, number[]>, groups: number): LessonRecord {
  const readings = Object.entries(results).flatMap(([condition, values]) =>
    values.map((value, place) =>
      reading({
        condition,
        value,
        entered: String(value),
        group: `g${(place % groups) + 1}`,
        repeat: Math.floor(place / groups) + 1,
      }),
    ),
  )
  return { ...EMPTY_RECORD, readings }
}
