import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { counter } from '../../test/ready'
import { seededRandom } from '../chance'
import { currentReadings } from '../record'
import { emptyPlan, withGroups, type Plan } from '../lesson'
import { expectedResultOf } from '../measuring'
import { planFrom, newMeasure, withSeries, type ResolvedMethod } from '../test'
import { changesToTry, drawClass, rehearse, trueOrder, tryingChanges, wellShare, withTried } from '.'

const ready = (id: string, change: Partial<Plan> = {}): Plan => ({
  ...planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g')),
  ...change,
})

/** A lesson from nothing: two conditions, a guess of what comes out, and nothing else. */
function guessed(low: number, high: number, trialWobble: number): Plan {
  const measure = newMeasure('far', 'how far it rolls')
  return {
    ...emptyPlan('Puffin', 26, counter('g')),
    factors: [{ id: 'floor', name: 'the floor', how: '', exceptions: {}, comesWith: false }],
    changed: 'floor',
    measures: [{ ...measure, method: { ...measure.method, expectedLow: low, expectedHigh: high, trialWobble } }],
    measured: 'far',
    conditions: ['lino', 'carpet'].map((id) => ({ id, label: id, baseline: false, leftOut: false })),
    things: 'fresh',
    clock: { ...emptyPlan('', 0, counter('x')).clock, minutes: 150, trial: { setUp: 20, run: 10, read: 10, reset: 10 } },
  }
}

describe('a rehearsal', () => {
  it('says how often a plan comes out clear, and with what goes wrong in it; the same classes come out every time', () => {
    const plan = ready('soak-up-strips')
    const found = rehearse(plan, 100)!
    expect(found).toEqual(rehearse(plan, 100))
    expect(found.grades.clear).toBeGreaterThan(0.98)
    expect(found.from).toBe('bench')
    expect(found.slips.made).toBeGreaterThan(found.slips.asked)
    expect(found.slips.asked).toBeGreaterThan(found.slips.left)
    expect(found.ends!.nineInTen).toBeGreaterThan(found.ends!.half)
    expect(found.runOut[0]!.material).toMatch(/-strips$/)
  })

  it('finds no winner where there is none, and says that the same is the honest answer', () => {
    const found = rehearse(ready('mitten-mystery'), 100)!
    expect(found.level).toBe(true)
    expect(found.grades.same).toBeGreaterThan(0.85)
    expect(found.wrong).toBeLessThan(0.03)
    expect(wellShare(found)).toBeCloseTo(found.grades.same! * (1 - found.short.share), 9)
  })

  it('goes by the teacher’s guess where there is no bench, and has nothing to say without one', () => {
    const hopeless = rehearse(guessed(40, 41, 12), 200)!
    expect(hopeless.from).toBe('guess')
    expect(hopeless.grades.clear ?? 0).toBeLessThan(0.15)
    expect(rehearse(guessed(40, 80, 4), 50)!.grades.clear).toBeGreaterThan(0.9)
    const nothing = emptyPlan('Puffin', 26, counter('g'))
    expect(rehearse(nothing, 10)).toBeUndefined()
  })

  it('expects the same at each level of two series where nobody said otherwise, and looks for the winner of the first', () => {
    const twice = withSeries(guessed(50, 80, 4), 'ball', ['tennis ball', 'rubber ball'], counter('s'))
    const truth = trueOrder(twice)!
    expect([truth.order, truth.winners, truth.level]).toEqual([['carpet', 'lino'], ['carpet'], false])
    const expected = twice.conditions.map(({ id }) => expectedResultOf(twice, id))
    expect(expected).toEqual([50, 80, 50, 80])
    expect(rehearse(twice, 30)!.wrong).toBeLessThan(0.1)
  })

  it('a class with too little time leaves its last trials out, each group in its own order', () => {
    const plan = ready('soak-up-strips', { repeats: 6 })
    const short = drawClass({ ...plan, clock: { ...plan.clock, minutes: 60 } }, seededRandom(1))!
    expect(short.leftOut).toBeGreaterThan(20)
    expect(short.plan.gapsStay).toBe(true)
    expect(currentReadings(short.record.readings)).toHaveLength(7 * 4 * 6 - short.leftOut)
  })

  it('a slip is asked about and put right by a row that takes its place', () => {
    const random = seededRandom(5)
    const classes = Array.from({ length: 30 }, () => drawClass(ready('soak-up-strips'), random)!)
    const mended = classes.flatMap(({ record }) => record.readings.filter(({ supersedes }) => supersedes !== null))
    expect(mended.length).toBeGreaterThan(10)
    for (const { record } of classes) expect(new Set(record.readings.map(({ id }) => id)).size).toBe(record.readings.length)
    const left = classes.reduce((sum, { slips }) => sum + slips.left, 0)
    expect(mended).toHaveLength(classes.reduce((sum, { slips }) => sum + slips.made, 0) - left)
  })

  it('looks for the winner that the class looks for, and takes the weight of an empty container off', () => {
    const withMethod = (change: Partial<ResolvedMethod>): Plan => {
      return measuredSo(guessed(40, 80, 4), change)
    }
    for (const best of ['most', 'least'] as const) {
      const plan = withMethod({ best })
      expect(trueOrder(plan)!.winners).toEqual([best === 'most' ? 'carpet' : 'lino'])
      expect(rehearse(plan, 60)!.wrong).toBe(0)
    }
    const weighed = withMethod({ unit: 'g', resolution: 1, weighsEmpty: true, empties: { lino: 300, carpet: 20 } })
    expect(rehearse(weighed, 40)!.grades).toEqual(
      rehearse({ ...weighed, measures: withMethod({ unit: 'g', resolution: 1 }).measures }, 40)!.grades,
    )
    expect([...trueOrder(weighed)!.results.values()]).toEqual([40, 80])
  })

  it('of a test over days says no end, and of one thing before and after goes by its own guess', () => {
    const sprouts = rehearse(ready('sprout-watch'), 5)!
    expect([sprouts.ends, sprouts.short.share]).toEqual([undefined, 0])
    const itself = { ...guessed(40, 80, 4), kind: 'before-after' as const }
    const alone = { ...itself, conditions: itself.conditions.slice(0, 1) }
    expect(trueOrder(alone)!.results).toEqual(
      new Map([
        ['before', 40],
        ['after', 80],
      ]),
    )
    expect(rehearse(alone, 30)!.grades.clear).toBeGreaterThan(0.9)
  })

  it('what is read by the class’s clock ends with it in every class', () => {
    const plan = ready('sugar-vanish')
    const ends = Array.from({ length: 8 }, (_, seed) =>
      drawClass({ ...plan, kind: 'over-time', watch: { ...plan.watch, unit: 'min', times: [2, 4, 6] } }, seededRandom(seed))!,
    )
    expect(ends.every(({ leftOut }) => leftOut === 0)).toBe(true)
  })

  it('every kind of test that ships can be rehearsed', () => {
    for (const id of Object.keys(INVESTIGATIONS)) expect(rehearse(ready(id), 3)?.classes, id).toBe(3)
  })
})

describe('what would help', () => {
  function triedOn(plan: Plan) {
    const work = tryingChanges(plan, changesToTry(plan), rehearse(plan, 200)!)
    let step = work.next()
    while (!step.done) step = work.next()
    return step.value
  }

  it('is tried on the plan and priced: more repeats where the wobble is large, and the minutes that they take', () => {
    const plan = guessed(40, 50, 8)
    const few = { ...withGroups(plan, 4, counter('g')), repeats: 2 }
    const [best] = triedOn(few)
    expect(best!.after).toBeGreaterThan(best!.before + 0.2)
    expect(best!.minutes).toBeGreaterThan(0)
    const mended = withTried(few, best!.change, counter('n'))
    expect(wellShare(rehearse(mended, 120)!)).toBeCloseTo(best!.after, 9)
  })

  it('is a shorter test where the time runs out, and nothing where all is well', () => {
    const plan = ready('soak-up-strips', { repeats: 5 })
    const tried = triedOn(plan)
    expect(tried.length).toBeGreaterThan(0)
    expect(tried.length).toBeLessThan(4)
    expect(tried.every(({ change }) => change.from === 'clock')).toBe(true)
    const easy = ready('which-is-heaviest', { clock: { ...ready('which-is-heaviest').clock, minutes: 120 } })
    expect(triedOn(easy)).toEqual([])
  })
})

it('what a model says without wobble is in the evidence’s own order, before and after as well', () => {
  expect(trueOrder(ready('swing-time'))!.order[0]).toBe('n55')
  expect([...trueOrder(ready('ice-in-a-bag'))!.results.keys()]).toEqual(['before', 'after'])
})
