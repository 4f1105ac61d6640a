import { describe, expect, it } from 'vitest'
import { seededRandom } from '../chance'
import { trialOrderOf } from '../arrangement'
import { USUAL_CALENDAR } from '../clock'
import { EMPTY_RECORD, type LessonRecord, type Plan } from '../lesson'
import { progressOf, underWay } from '../record'
import { reading, soakUpPlan } from '../../test/soakUp'
import { nowWays, takeNow } from '.'

const plan = soakUpPlan({ date: '2026-03-12' })
const BEGUN = Date.parse('2026-03-12T10:00:00.000Z')
const at = (seconds: number) => new Date(BEGUN + seconds * 1000).toISOString()

/** A class of which each group has done so many trials, each in so many seconds. */
function classAt(done: number[], each: number[], of: Plan = plan): LessonRecord {
  const readings = of.groups.flatMap(({ id: group }, place) =>
    trialOrderOf(of)
      .get(group)!
      .slice(0, done[place])
      .map((trial, trialPlace) =>
        reading({ ...trial, group, id: `${group}-${trialPlace}`, value: 20 + trialPlace, at: at((trialPlace + 1) * each[place]!) }),
      ),
  )
  return { ...EMPTY_RECORD, readings }
}
const clock = (now: number, until: number) => ({ started: BEGUN, pauses: [], now: BEGUN + now * 1000, until: BEGUN + until * 1000 })
const all = <One>(one: One) => Array.from({ length: 7 }, () => one)
const slow = classAt(all(5), all(140))

describe('what could be done now', () => {
  it('is nothing while all will be done in time, and where no bell is known', () => {
    expect(nowWays(plan, slow, clock(710, 5000), USUAL_CALENDAR)).toEqual([])
    expect(nowWays(plan, slow, { ...clock(710, 1400), until: undefined }, USUAL_CALENDAR)).toEqual([])
  })

  it('is at most three things, each better than going on, the first in time where one is', () => {
    const when = clock(710, 1500)
    const before = underWay(plan, slow, when)!.inTime!
    const ways = nowWays(plan, slow, when, USUAL_CALENDAR)
    expect(ways.length).toBeGreaterThan(0)
    expect(ways.length).toBeLessThanOrEqual(3)
    for (const { inTime } of ways) expect(inTime).toBeGreaterThan(before)
    expect(ways[0]!.inTime).toBeGreaterThanOrEqual(Math.max(...ways.map(({ inTime }) => inTime)) >= 0.9 ? 0.9 : 0)
  })

  it('ending after a repeat leaves nobody a trial beyond it, and takes away nothing that was read', () => {
    const end = nowWays(plan, slow, clock(710, 1500), USUAL_CALENDAR).find(({ change }) => change.code === 'end-after-repeat')!
    expect(end.change).toMatchObject({ repeat: 2 })
    const after = takeNow(plan, end.change)
    for (const { cells } of progressOf(after, slow.readings)) expect(Math.max(...cells.map(({ repeat }) => repeat))).toBe(2)
    expect(progressOf(after, slow.readings).reduce((sum, { done }) => sum + done, 0)).toBe(35)
    expect(plan.notDone).toEqual([])
  })

  it('one slow group leaves its last trials to groups that will soon be done, where its things are fresh ones', () => {
    const behind = classAt([3, 10, 10, 10, 10, 10, 10], [340, 100, 100, 100, 100, 100, 100])
    const ways = nowWays({ ...plan, things: 'fresh' } as Plan, behind, clock(1030, 2000), USUAL_CALENDAR)
    const over = ways.find(({ change }) => change.code === 'others-take-over')?.change
    expect(over).toBeDefined()
    if (over?.code !== 'others-take-over') return
    expect(over.trials.every(({ group }) => group === 'g1')).toBe(true)
    expect(over.given.map(({ condition }) => condition).sort()).toEqual(over.trials.map(({ condition }) => condition).sort())
    expect(over.given.every(({ group, repeat }) => group !== 'g1' && repeat > plan.repeats)).toBe(true)
  })

  it('minutes come from a later phase, never below what its teacher set', () => {
    const kept = {
      ...plan,
      clock: { ...plan.clock, least: { clearAway: plan.clock.phases.clearAway, results: plan.clock.phases.results, agree: 1 } },
    }
    const ways = nowWays(kept, slow, clock(710, 1650), USUAL_CALENDAR)
    for (const { change } of ways) if (change.code === 'from-later') expect(change).toMatchObject({ phase: 'agree' })
    expect(takeNow(kept, { code: 'from-later', phase: 'agree', minutes: 2 }).clock.phases.agree).toBe(kept.clock.phases.agree - 2)
  })

  it('goes by nothing that was measured: other numbers, the same advice', () => {
    const random = seededRandom(5)
    const other = { ...slow, readings: slow.readings.map((one) => ({ ...one, value: one.value + (random() < 0.5 ? 0 : 0.0001) })) }
    const codes = (record: LessonRecord) => nowWays(plan, record, clock(710, 1500), USUAL_CALENDAR).map(({ change }) => change)
    expect(codes(other)).toEqual(codes(slow))
  })
})
