import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import planning from '../../test/golden/planning.json'
import { withGroups, type Plan } from '../lesson'
import {
  bestStarts,
  dayOff,
  fitOf,
  jarsOf,
  readingDays,
  readingTimetable,
  timetableOf,
  trialStarts,
  USUAL_CALENDAR,
} from '../clock'
import {
  bestDraw,
  changeTogether,
  circuitOf,
  conditionsByGroup,
  fewestGoingRound,
  fewestRounds,
  jobRounds,
  jobsFor,
  seatsThere,
  secondsGoingRound,
  secondsOfTrials,
  shareOut,
  sharingRota,
  soonestFinish,
  trialsByGroup,
  turnsGoingRound,
  whenReady,
  type Visit,
} from '.'

const groups = fc.integer({ min: 1, max: 10 })
const stations = fc.array(fc.record({ seconds: fc.integer({ min: 60, max: 900 }), copies: fc.integer({ min: 1, max: 4 }) }), {
  minLength: 1,
  maxLength: 8,
})

/** No two of these overlap. */
function apart(spans: { start: number; end: number }[]): boolean {
  const sorted = [...spans].sort((a, b) => a.start - b.start)
  return sorted.every((span, place) => place === 0 || span.start >= sorted[place - 1]!.end - 1e-9)
}

/** Nobody in two places, no station copy with two groups, everyone everywhere once. */
function isRota(visits: Visit[], count: number, times: { copies: number }[]): void {
  for (let group = 0; group < count; group += 1) {
    const own = visits.filter((visit) => visit.group === group)
    expect(own.map(({ station }) => station).sort((a, b) => a - b)).toEqual([...times.keys()])
    expect(apart(own)).toBe(true)
  }
  for (const [station, { copies }] of times.entries()) {
    for (let copy = 0; copy < copies; copy += 1) {
      expect(apart(visits.filter((visit) => visit.station === station && visit.copy === copy))).toBe(true)
    }
    expect(visits.filter((visit) => visit.station === station).every(({ copy }) => copy < copies)).toBe(true)
  }
}

describe('a circuit that changes together', () => {
  it.each(planning.changeTogether)('needs as few rounds as can be: $name', ({ input, expected }) => {
    expect(fewestRounds(input.groups, input.copies)).toBe(expected.rounds)
    expect(changeTogether(input)).toHaveLength(expected.rounds)
  })

  it('sends everyone everywhere exactly once, in the fewest rounds', () => {
    fc.assert(
      fc.property(groups, fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 8 }), (count, copies) => {
        const rounds = changeTogether({ groups: count, copies })
        expect(rounds).toHaveLength(fewestRounds(count, copies))
        const visits = rounds.flatMap((row, round) =>
          row.flatMap((place, group) => (place ? [{ group, ...place, start: round, end: round + 1 }] : [])),
        )
        isRota(
          visits,
          count,
          copies.map((one) => ({ copies: one })),
        )
      }),
    )
  })
})

describe('a circuit that moves on when ready', () => {
  it('is a rota whatever is drawn, and never ends before the bound', () => {
    fc.assert(
      fc.property(groups, stations, fc.integer({ min: 0, max: 99 }), (count, times, draw) => {
        const rota = whenReady({ groups: count, stations: times, draw })
        isRota(rota.visits, count, times)
        expect(rota.finish).toBeGreaterThanOrEqual(soonestFinish(count, times))
      }),
      { numRuns: 60 },
    )
  })

  it('ends at the bound for as many stations as groups of one length', () => {
    const even = Array.from({ length: 6 }, () => ({ seconds: 300, copies: 1 }))
    expect(bestDraw({ groups: 6, stations: even }, 50).finish).toBe(1800)
  })
})

describe('circuitOf', () => {
  const plan = soakUpPlan({ arrangement: { ...soakUpPlan().arrangement, way: 'circuit' } })
  it('stays as long as practice and repeats take, and walks in between', () => {
    // 4 trials of 105 s and 30 s to walk; 7 groups and 4 single stations make 7 rounds.
    expect(circuitOf(plan)).toMatchObject({ rounds: { count: 7, seconds: 450 }, finish: 3150 })
    expect(fitOf(plan).phases.find(({ phase }) => phase === 'test')!.minutes).toBe(53)
  })
  it('needs fewer rounds with two of every station', () => {
    const copies = Object.fromEntries(plan.conditions.map(({ id }) => [id, 2]))
    expect(circuitOf({ ...plan, arrangement: { ...plan.arrangement, copies } }).rounds!.count).toBe(4)
  })
})

describe('shareOut', () => {
  const meetings = (shares: number[][], a: number, b: number) => shares.filter((own) => own.includes(a) && own.includes(b)).length
  const pairsOf = (size: number) =>
    Array.from({ length: size }, (_, a) => Array.from({ length: a }, (_, b): [number, number] => [b, a])).flat()

  it.each([
    [6, 4, 2],
    [4, 4, 3],
    [7, 7, 3],
    [10, 6, 3],
    [10, 5, 3],
    [7, 4, 2],
  ])('%i groups, %i conditions, %i each: pairs meet as evenly as can be', (count, conditions, each) => {
    const shares = shareOut({ groups: count, conditions, each })
    const met = pairsOf(conditions).map(([a, b]) => meetings(shares, a, b))
    expect(Math.max(...met) - Math.min(...met)).toBeLessThanOrEqual(1)
  })

  it('does every condition about as often, and the baseline in every group', () => {
    fc.assert(
      fc.property(
        groups,
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 2, max: 9 }),
        fc.boolean(),
        (count, size, wanted, base) => {
          const each = Math.min(size, wanted)
          const shares = shareOut({ groups: count, conditions: size, each, ...(base ? { inEvery: 0 } : {}) })
          const often = Array.from({ length: size }, (_, place) => shares.filter((own) => own.includes(place)).length)
          for (const own of shares) expect(new Set(own).size).toBe(each)
          if (base) expect(often.shift()).toBe(count)
          expect(Math.max(...often) - Math.min(...often)).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('who does which trial', () => {
  const arranged = (way: Plan['arrangement']['way'], each = 2) =>
    soakUpPlan({ arrangement: { ...soakUpPlan().arrangement, way, each } })
  it('all together: each trial once in the class, in turns that differ by at most one', () => {
    const trials = [...trialsByGroup(arranged('together')).values()]
    const all = trials.flat().map(({ condition, repeat }) => `${condition} ${repeat}`)
    expect([all.length, new Set(all).size]).toEqual([12, 12])
    expect(trials.map((own) => own.length)).toEqual([2, 2, 2, 2, 2, 1, 1])
  })
  it('shared out: as many conditions as the plan says, never so few that one is done by a single group', () => {
    expect([...conditionsByGroup(arranged('share-out')).values()].map((own) => own.length)).toEqual(Array(7).fill(2))
    const three = withGroups(arranged('share-out'), 3, () => 'x')
    expect(
      [...conditionsByGroup({ ...three, groups: three.groups.map((one, at) => ({ ...one, id: `g${at}` })) }).values()][0],
    ).toHaveLength(3)
    expect(fitOf(arranged('share-out')).phases.find(({ phase }) => phase === 'test')!.minutes).toBe(14)
  })
})

describe('trials side by side', () => {
  it('shares the waiting and nothing else', () => {
    // Two set-ups 40 s; the first is ready at 80 s and takes 25 s, then the second: 130 s for two instead of 210 s.
    const plan = soakUpPlan()
    const two = { clock: { ...plan.clock, sideBySide: 2 } }
    expect(secondsOfTrials(two, 4)).toBe(260)
    expect(secondsOfTrials(two, 5)).toBe(365)
    expect(secondsOfTrials(plan, 5)).toBe(525)
  })
})

describe('things that go round', () => {
  it('are never in two hands, and a trial waits only when they are too few', () => {
    fc.assert(
      fc.property(groups, fc.integer({ min: 1, max: 10 }), fc.integer({ min: 5, max: 90 }), (count, instruments, hold) => {
        const ask = { groups: count, instruments, trials: 4, trial: 105, hold, after: 80 }
        const turns = turnsGoingRound(ask)
        for (let one = 0; one < instruments; one += 1)
          expect(apart(turns.filter(({ instrument }) => instrument === one))).toBe(true)
        for (let one = 0; one < count; one += 1) expect(apart(turns.filter(({ group }) => group === one))).toBe(true)
        if (instruments >= fewestGoingRound({ groups: count, trial: 105, hold })) {
          expect(secondsGoingRound(ask)).toBeLessThanOrEqual(4 * 105 + count * hold)
        }
      }),
    )
  })
  it('three scales do for ten groups where each is needed a third of the time', () => {
    expect(fewestGoingRound({ groups: 10, trial: 105, hold: 30 })).toBe(4)
    expect(secondsGoingRound({ groups: 7, instruments: 2, trials: 16, trial: 105, hold: 10 })).toBe(1710)
  })
})

describe('readingTimetable', () => {
  it.each(planning.intervalReadings)('ends as soon as can be: $name', ({ input, expected }) => {
    const found = readingTimetable({
      jars: input.pots,
      times: input.readingsAtMinutes,
      minutesPerReading: input.minutesPerReading,
      instruments: input.instruments,
      grid: input.gridMinutes,
    })
    expect(found.finish).toBe(expected.finishMinutes)
    expect(found.soonest).toBe(true)
  })

  it('never has an instrument in two hands, also with more jars than can be looked through', () => {
    const times = fc
      .uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 5 })
      .map((all) => all.sort((a, b) => a - b))
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), times, fc.integer({ min: 1, max: 3 }), (jars, at, instruments) => {
        const { readings, starts } = readingTimetable({ jars, times: at, minutesPerReading: 1, instruments, grid: 0.5 })
        expect(readings).toHaveLength(jars * at.length)
        for (let one = 0; one < instruments; one += 1) {
          const own = readings.filter(({ instrument }) => instrument === one)
          expect(apart(own.map(({ start }) => ({ start, end: start + 1 })))).toBe(true)
        }
        for (const { jar, time, start } of readings) expect(start).toBeCloseTo(starts[jar]! + at[time]!, 9)
      }),
      { numRuns: 40 },
    )
  })
})

describe('jarsOf', () => {
  const watched = (change: Partial<Plan>, watch: Partial<Plan['watch']> = {}) =>
    soakUpPlan({ kind: 'over-time', repeats: 2, watch: { ...soakUpPlan().watch, times: [0, 5], unit: 'min', ...watch }, ...change })
  const arranged = (way: Plan['arrangement']['way']) => ({ arrangement: { ...soakUpPlan().arrangement, way, each: 2 } })
  it('are as many as the timetable has, whoever owns the instruments', () => {
    for (const way of ['every-group', 'share-out', 'together'] as const) {
      for (const among of ['group', 'class'] as const) {
        const plan = watched(arranged(way), { among })
        expect(timetableOf(plan).starts).toHaveLength(jarsOf(plan).length)
      }
    }
  })
  it('name their group only where all groups wait for the same instruments, and no condition where each group has others', () => {
    expect(jarsOf(watched({})).map(({ group }) => group)).toEqual(Array.from({ length: 8 }, () => undefined))
    expect(jarsOf(watched({}, { among: 'class' }))).toHaveLength(7 * 4 * 2)
    expect(jarsOf(watched(arranged('share-out'))).map(({ condition }) => condition)).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
    const shared = jarsOf(watched(arranged('share-out'), { among: 'class' }))
    expect(shared).toHaveLength(7 * 2 * 2)
    expect(shared.every(({ group, condition }) => group !== undefined && condition !== undefined)).toBe(true)
  })
})

describe('trialStarts', () => {
  it('follow the practice, one trial after the other, where nothing waits', () => {
    expect(trialStarts(soakUpPlan())!.slice(0, 4)).toEqual([420, 525, 630, 735])
    const beside = { clock: { ...soakUpPlan().clock, sideBySide: 4 }, practice: 0, repeats: 1 }
    expect(trialStarts(soakUpPlan(beside))).toEqual([0, 0, 0, 0])
    expect(trialStarts(soakUpPlan({ arrangement: { ...soakUpPlan().arrangement, way: 'together' } }))).toBeUndefined()
  })
})

describe('jobs', () => {
  it('come round to everybody about equally often, and never twice running', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 20 }),
        (seats, jobs, trials) => {
          const there = seatsThere({ seats: seats + 1, away: [2] })
          const turns = jobsFor(there, jobs, trials)
          for (let job = 0; job < jobs; job += 1) {
            const often = there.map((seat) => turns.filter((turn) => turn.seats[job] === seat).length)
            expect(Math.max(...often) - Math.min(...often)).toBeLessThanOrEqual(1)
            for (const [at, turn] of turns.entries()) if (at > 0) expect(turn.seats[job]).not.toBe(turns[at - 1]!.seats[job])
          }
          expect(turns.flatMap((turn) => turn.seats)).not.toContain(2)
        },
      ),
    )
  })
  it('come as one turn for all trials that are alike', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 20 }), (seats, trials) => {
        const there = seatsThere({ seats, away: [] })
        const written = jobRounds(there, 4, trials).flatMap((round) => round.trials.map((trial) => ({ trial, seats: round.seats })))
        expect(written.sort((a, b) => a.trial - b.trial)).toEqual(jobsFor(there, 4, trials))
      }),
    )
  })
  it('every group hears every other group once', () => {
    for (let count = 2; count <= 10; count += 1) {
      const pairs = sharingRota(count).flatMap((round) => round.pairs.map((pair) => [...pair].sort((a, b) => a - b).join()))
      expect([pairs.length, new Set(pairs).size]).toEqual([(count * (count - 1)) / 2, (count * (count - 1)) / 2])
      for (const round of sharingRota(count)) expect(new Set(round.pairs.flat()).size).toBe(count - (count % 2))
    }
  })
})

describe('the school calendar', () => {
  const calendar = {
    ...USUAL_CALENDAR,
    terms: [{ name: 'Spring', from: '2026-01-05', to: '2026-03-27' }],
    holidays: [{ name: 'Half term', from: '2026-02-16', to: '2026-02-20' }],
  }
  it('knows why there is no school', () => {
    expect(dayOff(calendar, '2026-03-12').why).toBeUndefined()
    expect(dayOff(calendar, '2026-03-14').why).toBe('weekend')
    expect(dayOff(calendar, '2026-02-18')).toEqual({ why: 'holiday', name: 'Half term' })
    expect(dayOff(calendar, '2026-04-01').why).toBe('out-of-term')
  })
  it('finds the start that loses the fewest readings', () => {
    const times = [0, 2, 4, 7, 9]
    // From a Thursday the readings of day 2 and 9 fall on Saturdays.
    expect(
      readingDays(calendar, '2026-03-12', times)
        .filter(({ off }) => off.why)
        .map(({ after }) => after),
    ).toEqual([2, 9])
    const [best, ...others] = bestStarts(calendar, '2026-03-05', 14, times)
    expect(best).toMatchObject({ start: '2026-03-09', lost: 0 })
    expect(others.at(-1)!.lost).toBeGreaterThan(0)
  })
})
