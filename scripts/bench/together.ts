import { seededRandom } from '../../core/chance'
import { interleave, NEW_TOGETHER, timedTrials, type Member, type Together, type Waiting } from '../../core/together'
import { randomUUID } from 'node:crypto'
import { type Plan } from '../../core/lesson'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { planFrom, newMeasure } from '../../core/test'
import { milliseconds, quantile, withPercent, type Row, type Size } from './figures'

/** As long as the page's worker looks. */
const AS_LONG_AS = 450
const INVESTIGATIONS_AT_ONCE = 6
const CONDITIONS = 8

/** How near the one clock comes to what is possible, where the waiting of one investigation is used for the trials of another. */
export async function benchTogether(size: Size): Promise<Row[]> {
  const cases = size === 'full' ? 60 : 2
  const rows: Row[] = []
  for (const { name, groups, watched, sets } of [
    { name: 'one group, all six', groups: 1, watched: 0, sets: 8 },
    { name: 'one group, one set of each', groups: 1, watched: 0, sets: 1 },
    { name: 'one group, two of them read over time', groups: 1, watched: 2, sets: 8 },
    { name: 'six groups, a set of each in the room', groups: 6, watched: 0, sets: 1 },
  ]) {
    const gaps: number[] = []
    const times: number[] = []
    for (let seed = 1; seed <= cases; seed += 1) {
      const { members, together } = classOf(seededRandom(seed), groups, watched, sets)
      const { ask } = timedTrials(members, together)
      const start = performance.now()
      const { finish, bound } = interleave(ask, (tried) => tried % 8 !== 0 || performance.now() - start < AS_LONG_AS)
      times.push(performance.now() - start)
      gaps.push(finish / bound - 1)
    }
    const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length
    rows.push({
      what: `${INVESTIGATIONS_AT_ONCE} investigations x ${CONDITIONS} conditions: ${name}`,
      figure: `mean ${withPercent(mean)}, 19 in 20 within ${withPercent(quantile(gaps, 0.95))}, worst ${withPercent(Math.max(...gaps))} over the bound; ${milliseconds(Math.max(...times))}`,
      wanted: 'within 10 %, under 500 ms',
      reference: `soonestEnd of the same ${cases} random classes`,
      missed: Math.max(...gaps) > 0.1,
    })
  }
  return Promise.resolve(rows)
}

function classOf(random: () => number, groups: number, watched: number, sets: number): { members: Member[]; together: Together } {
  const between = (low: number, high: number) => low + Math.round(random() * (high - low))
  const base = planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 24, randomUUID)
  const members = Array.from({ length: INVESTIGATIONS_AT_ONCE }, (_, at): Member => {
    const overTime = at < watched
    const plan: Plan = {
      ...base,
      kind: overTime ? 'over-time' : 'fair-test',
      watch: { ...base.watch, unit: 'min', times: overTime ? [0, between(2, 4), between(6, 9)] : [] },
      measures: [newMeasure('measure', 'how far')],
      measured: 'measure',
      conditions: Array.from({ length: CONDITIONS }, (_one, place) => ({
        ...{ id: `c${place}`, label: `kind ${place}`, baseline: false, leftOut: false },
      })),
      groups: base.groups.slice(0, groups),
      repeats: 1,
      practice: 0,
      clock: {
        ...base.clock,
        sideBySide: sets,
        trial: { setUp: between(10, 60), run: between(60, 420), read: between(5, 25), reset: between(0, 40) },
      },
    }
    return { lesson: `l${at}`, plan }
  })
  const waiting = Object.fromEntries(members.map(({ lesson }): [string, Waiting] => [lesson, 'free']))
  const inTheRoom = Object.fromEntries(members.map(({ lesson }) => [lesson, 1]))
  const way = groups > 1 ? 'circuit' : 'given'
  return { members, together: { ...NEW_TOGETHER, way, waiting, sets: inTheRoom } }
}
