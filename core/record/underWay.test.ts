import { describe, expect, it } from 'vitest'
import { seededRandom, type Random } from '../chance'
import { testPaceOf } from '../clock'
import { EMPTY_RECORD, type LessonRecord, type Pause, type Plan, type Reading } from '../lesson'
import { trialOrderOf } from '../arrangement'
import { reading, soakUpPlan } from '../../test/soakUp'
import { isAtWork, underWay } from '.'
import { trialsUnderWay } from './trialTimes'

const plan = soakUpPlan()
const TRIAL = 105
const BEGUN = Date.parse('2026-03-12T10:00:00.000Z')
const at = (seconds: number) => new Date(BEGUN + seconds * 1000).toISOString()
const clock = (seconds: number, more: { pauses?: Pause[]; until?: number } = {}) => ({
  ...{ started: BEGUN, pauses: more.pauses ?? [], now: BEGUN + seconds * 1000 },
  until: more.until === undefined ? undefined : BEGUN + more.until * 1000,
})
const trials = (group: string, ends: number[]): Reading[] =>
  trialOrderOf(plan)
    .get(group)!
    .slice(0, ends.length)
    .map((trial, place) => reading({ ...trial, group, id: `${group}-${place}`, at: at(ends[place]!) }))
const record = (readings: Reading[]): LessonRecord => ({ ...EMPTY_RECORD, readings })
const ofGroup = (of: Plan, readings: LessonRecord, when: ReturnType<typeof clock>, group = 'g1') =>
  trialsUnderWay(of, readings, testPaceOf(of)!, when).find((one) => one.group === group)!

describe('what trials took', () => {
  it('is from the one before to its own first number, from the start on', () => {
    const own = ofGroup(plan, record(trials('g1', [100, 230, 320])), clock(350))
    expect(own).toMatchObject({ took: [100, 130, 90], left: 9, done: 3, elapsed: 30 })
  })

  it('leaves a pause out, in the trial that it fell into', () => {
    const pauses = [{ from: at(150), to: at(390) }]
    expect(ofGroup(plan, record(trials('g1', [100, 470])), clock(480, { pauses })).took).toEqual([100, 130])
  })

  it('shares out evenly what was typed at one go, as from paper', () => {
    expect(ofGroup(plan, record(trials('g1', [300, 305, 309])), clock(400)).took).toEqual([103, 103, 103])
  })

  it('has no beginning where nobody started the clock', () => {
    const readings = record(trials('g1', [100, 230]))
    expect(ofGroup(plan, readings, { ...clock(300), started: undefined } as never).took).toEqual([130])
  })

  it('ends with a failure too, which leaves the trial to be done', () => {
    const failed = { id: 'f', group: 'g1', condition: 'card', repeat: 1, reason: 'tore', at: at(190), by: 'station' } as never
    const own = ofGroup(plan, { ...record(trials('g1', [100, 290])), failures: [failed] }, clock(300))
    expect(own).toMatchObject({ took: [100, 90, 100], left: 10 })
  })

  it('a reading set aside is a trial to be done again, and a correction is no trial', () => {
    const [first, second] = trials('g1', [100, 200])
    const aside = { ...first!, id: 'aside', supersedes: first!.id, status: 'set-aside' as const, at: at(260) }
    expect(ofGroup(plan, record([first!, second!, aside]), clock(300))).toMatchObject({ took: [100, 100], left: 11, done: 1 })
  })

  it('practice counts until the group begins to count', () => {
    const practised = { ...plan, practice: 1 }
    expect(ofGroup(practised, record([]), clock(0)).left).toBe(16)
    expect(ofGroup(practised, record(trials('g1', [100])), clock(100)).left).toBe(11)
  })

  it('all together the class has one row of trials', () => {
    const together = { ...plan, arrangement: { ...plan.arrangement, way: 'together' as const } }
    const readings = record([...trials('g1', [100]), ...trials('g2', [220])])
    const rows = trialsUnderWay(together, readings, testPaceOf(together)!, clock(230))
    expect(rows).toMatchObject([{ group: undefined, took: [100, 120], done: 2, left: 10 }])
  })
})

describe('a class under way', () => {
  /** Another generator than the forecast's own: sums of uniform values. */
  const normal = (random: Random) => Array.from({ length: 12 }, random).reduce((sum, value) => sum + value, -6)

  it('is done when nine in ten of the forecasts say, a quarter of the way and half of it', () => {
    const random = seededRandom(2026)
    for (const share of [0.25, 0.5]) {
      let covered = 0
      const classes = 150
      for (let drawn = 0; drawn < classes; drawn += 1) {
        const all = 0.2 * normal(random)
        const ends = new Map(
          plan.groups.map(({ id }) => {
            const own = all + 0.15 * normal(random)
            let seconds = 0
            return [id, Array.from({ length: 12 }, () => (seconds += 60 + 45 * Math.exp(own + 0.3 * normal(random))))] as const
          }),
        )
        const now = share * Math.max(...[...ends.values()].map((own) => own.at(-1)!))
        const readings = plan.groups.flatMap(({ id }) =>
          trials(
            id,
            ends.get(id)!.filter((end) => end <= now),
          ),
        )
        const { nineInTen } = underWay(plan, record(readings), clock(now))!
        if (now + nineInTen >= Math.max(...[...ends.values()].map((own) => own.at(-1)!))) covered += 1
      }
      expect(covered / classes).toBeGreaterThan(0.84)
      expect(covered / classes).toBeLessThan(0.97)
    }
  })

  it('says in how many ways it is done before testing must end, and nothing of a bell that nobody knows', () => {
    const onTime = (until: number) => underWay(plan, record([]), clock(0, { until }))!.inTime
    expect(onTime(12 * TRIAL * 2.5)).toBe(1)
    expect(onTime(12 * TRIAL * 0.6)).toBe(0)
    expect(underWay(plan, record([]), clock(0))!.inTime).toBeUndefined()
  })

  it('jars that are read by the clock have no pace', () => {
    const watching: Plan = { ...plan, kind: 'over-time', watch: { ...plan.watch, unit: 'min', times: [0, 2, 4] } }
    expect(underWay(watching, record([]), clock(0))).toBeUndefined()
  })
})

describe('whether a class is at work', () => {
  const now = new Date(2026, 2, 12, 10, 30).getTime()
  const stands = { started: undefined, pauses: [], now }
  const just = record(trials('g1', [0]).map((one) => ({ ...one, at: new Date(now - 60_000).toISOString() })))
  const longAgo = record(just.readings.map((one) => ({ ...one, at: new Date(now - 3_600_000).toISOString() })))

  it('a clock says so, or numbers of the last minutes on its own day', () => {
    const today = { date: '2026-03-12' }
    expect(isAtWork(today, just, stands)).toBe(true)
    expect(isAtWork({ date: '' }, just, stands)).toBe(true)
    expect(isAtWork(today, longAgo, stands)).toBe(false)
    expect(isAtWork(today, longAgo, { ...stands, started: now - 1000 })).toBe(true)
    expect(isAtWork({ date: '2026-03-13' }, just, stands)).toBe(false)
  })

  it('what was done on the day before took no time of this one', () => {
    const rows = record(trials('g1', [100, 200]).map((one, place) => (place === 0 ? { ...one, at: at(100 - 86_400) } : one)))
    expect(ofGroup(plan, rows, clock(250)).took).toEqual([200])
    expect(ofGroup(plan, record(trials('g1', [100 - 86_400])), clock(50)).elapsed).toBe(50)
  })
})
