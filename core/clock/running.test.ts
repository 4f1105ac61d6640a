import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { USUAL_BOARD } from '../lesson'
import { fitOf, pausesTurned, runningClock, testingIsOver, testStartOf, testTimesOf } from '.'

const plan = soakUpPlan({ date: '2026-03-12', clock: { ...soakUpPlan().clock, start: '10:30' } })
const fit = fitOf(plan)
const atMinute = (minute: number) => new Date(2026, 2, 12, 10, 30).getTime() + minute * 60_000
const byTimetable = (minute: number) => runningClock(plan, USUAL_BOARD, atMinute(minute))
const testMinutes = fit.phases.find(({ phase }) => phase === 'test')!.minutes

describe('the clock of a lesson', () => {
  it('goes through the phases of its own timetable, with the minutes to spare for testing, and ends with the bell', () => {
    const seen = new Map<string, number>()
    for (let minute = 0; minute < plan.clock.minutes; minute += 0.5) {
      const now = byTimetable(minute)
      expect(now.running).toBe(true)
      expect(now.share).toBeGreaterThan(0)
      expect(now.share).toBeLessThanOrEqual(1)
      expect(byTimetable(minute + now.secondsLeft / 60).phase).not.toBe(now.phase === 'agree' ? '' : now.phase)
      seen.set(now.phase, (seen.get(now.phase) ?? 0) + 0.5)
    }
    expect(byTimetable(plan.clock.minutes).running).toBe(false)
    const planned = fit.phases.filter(({ minutes }) => minutes > 0)
    expect([...seen.keys()]).toEqual(planned.map(({ phase }) => phase))
    for (const { phase, minutes } of planned) expect(seen.get(phase)).toBe(phase === 'test' ? minutes + fit.spare : minutes)
  })

  it('stands at the whole of the test before and after the lesson, and where nobody set a day or a start', () => {
    const still = {
      ...{ phase: 'test', running: false, share: 1, secondsLeft: testMinutes * 60, elapsed: undefined },
      ...{ began: undefined, paused: { seconds: 0, now: false }, until: undefined },
    }
    expect(byTimetable(-1)).toEqual(still)
    expect(byTimetable(24 * 60)).toEqual(still)
    expect(runningClock({ ...plan, date: '' }, USUAL_BOARD, atMinute(5))).toEqual(still)
    expect(runningClock({ ...plan, clock: { ...plan.clock, start: '' } }, USUAL_BOARD, atMinute(5))).toEqual(still)
  })

  it('counts the seconds of testing from the moment that testing begins, and none before', () => {
    const start = testStartOf(fit)
    expect(byTimetable(start + 2).elapsed).toBeCloseTo(120)
    expect(byTimetable(start - 1).elapsed).toBeUndefined()
    expect(byTimetable(start + testMinutes + fit.spare + 1).elapsed).toBeUndefined()
  })

  it('started by hand it runs for the minutes of the test, whatever the timetable says, and stops at nothing', () => {
    const started = { ...USUAL_BOARD, clockStarted: new Date(atMinute(300)).toISOString() }
    const after = (minutes: number) => runningClock(plan, started, atMinute(300 + minutes))
    expect(after(0)).toMatchObject({ phase: 'test', running: true, secondsLeft: testMinutes * 60, share: 1, elapsed: 0 })
    expect(after(testMinutes / 2)).toMatchObject({ secondsLeft: testMinutes * 30, share: 0.5 })
    expect(after(testMinutes + 5)).toMatchObject({ secondsLeft: 0, share: 0, elapsed: (testMinutes + 5) * 60 })
  })

  it('a test that takes no time at all has none left, and nothing is divided by it', () => {
    const empty = soakUpPlan({ conditions: [], date: '', clock: plan.clock })
    const now = runningClock(empty, { ...USUAL_BOARD, clockStarted: new Date(atMinute(0)).toISOString() }, atMinute(1))
    expect([now.secondsLeft, now.share]).toEqual([0, 0])
  })

  describe('paused', () => {
    const begins = testStartOf(fit)
    const iso = (minute: number) => new Date(atMinute(minute)).toISOString()
    const { until } = testTimesOf(plan)

    it('stands still, and goes on where it stood', () => {
      const open = { ...USUAL_BOARD, pauses: [{ from: iso(begins + 2), to: null }] }
      const [first, later] = [3, 5].map((minutes) => runningClock(plan, open, atMinute(begins + minutes)))
      expect(first!.elapsed).toBeCloseTo(120)
      expect(later!.elapsed).toBeCloseTo(120)
      expect(later!.paused).toEqual({ seconds: 180, now: true })
      const on = { ...USUAL_BOARD, pauses: pausesTurned(open.pauses, atMinute(begins + 5)) }
      const after = runningClock(plan, on, atMinute(begins + 6))
      expect(after.elapsed).toBeCloseTo(180)
      expect(after.paused).toEqual({ seconds: 180, now: false })
    })

    it('gives back no more than there is before testing has to end', () => {
      const long = [{ from: iso(begins + 1), to: iso(begins + 31) }]
      const soon = runningClock(plan, { ...USUAL_BOARD, pauses: long }, atMinute(until - 1))
      expect([soon.phase, soon.secondsLeft]).toEqual(['test', 60])
      expect(soon.until).toBe(atMinute(until))
      const next = runningClock(plan, { ...USUAL_BOARD, pauses: long }, atMinute(until + 1))
      expect(next.phase).toBe('clearAway')
      const byHand = { ...USUAL_BOARD, clockStarted: iso(begins), pauses: long }
      expect(runningClock(plan, byHand, atMinute(until - 1)).secondsLeft).toBe(60)
      expect(runningClock(plan, byHand, atMinute(begins + 32)).elapsed).toBeCloseTo(120)
    })

    it('a pause that nobody ended is over on the next day, and none counts before its clock began', () => {
      const yesterday = [{ from: iso(begins - 24 * 60), to: null }]
      expect(runningClock(plan, { ...USUAL_BOARD, pauses: yesterday }, atMinute(begins + 2)).elapsed).toBeCloseTo(120)
      const early = { ...USUAL_BOARD, clockStarted: iso(begins + 5), pauses: [{ from: iso(begins), to: iso(begins + 3) }] }
      expect(runningClock(plan, early, atMinute(begins + 7)).elapsed).toBeCloseTo(120)
      expect(pausesTurned(yesterday, atMinute(begins))).toEqual([{ from: iso(begins), to: null }])
    })
  })
})

describe('the time for testing', () => {
  it('is over when it has to be, whatever stands still; nobody knows where no day is set', () => {
    const { until } = testTimesOf(plan)
    const at = (minute: number, board = USUAL_BOARD) => testingIsOver(plan, board, atMinute(minute))
    expect([at(-60 * 24), at(until - 1), at(until)]).toEqual([false, false, true])
    expect(at(until, { ...USUAL_BOARD, pauses: [{ from: new Date(atMinute(until - 9)).toISOString(), to: null }] })).toBe(true)
    expect(testingIsOver({ ...plan, date: '' }, USUAL_BOARD, atMinute(0))).toBe(true)
    const evening = { ...USUAL_BOARD, clockStarted: new Date(atMinute(500)).toISOString() }
    expect([at(501, evening), at(500 + testMinutes, evening)]).toEqual([false, true])
  })
})
