import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord, reading, recordOf, soakUpPlan } from '../../test/soakUp'
import { evidenceOf, fitGroupsAndConditions, weighEvidence, type Observation } from '.'

const options = { resolution: 1, totalSd: 1, differenceThatMatters: 0 }
const anyClass = fc
  .tuple(fc.integer({ min: 2, max: 4 }), fc.integer({ min: 2, max: 5 }), fc.integer({ min: 2, max: 3 }))
  .chain(([conditions, groups, repeats]) =>
    fc
      .array(fc.integer({ min: 0, max: 60 }), {
        minLength: conditions * groups * repeats,
        maxLength: conditions * groups * repeats,
      })
      .map((values) =>
        values.map((value, place): Observation => ({
          value,
          condition: `c${place % conditions}`,
          group: `g${Math.floor(place / conditions) % groups}`,
        })),
      ),
  )

describe('the model', () => {
  it('does not care about the order of rows, the names of groups or a constant added to all', () => {
    fc.assert(
      fc.property(anyClass, (observations) => {
        const model = fitGroupsAndConditions(observations, 1)!
        const changed = observations
          .map((one) => ({ ...one, group: `renamed ${one.group}`, value: one.value + 1000 }))
          .sort((a, b) => a.condition.localeCompare(b.condition))
        const again = fitGroupsAndConditions(changed, 1)!
        expect(again.df).toBe(model.df)
        expect(again.F).toBeCloseTo(model.F, 6)
        expect(again.p).toBeCloseTo(model.p, 6)
      }),
    )
  })

  it('takes a group’s own habit out: shifting one group leaves the comparison as it was', () => {
    fc.assert(
      fc.property(anyClass, fc.integer({ min: -200, max: 200 }), (observations, shift) => {
        const shifted = observations.map((one) => (one.group === 'g0' ? { ...one, value: one.value + shift } : one))
        const [before, after] = [fitGroupsAndConditions(observations, 1)!, fitGroupsAndConditions(shifted, 1)!]
        before.pairs.forEach((pair, place) => expect(after.pairs[place]!.difference).toBeCloseTo(pair.difference, 6))
        expect(after.residualVariance).toBeCloseTo(before.residualVariance, 5)
      }),
    )
  })

  it('knows p from 0 to 1, Holm’s never below it, and intervals round the difference', () => {
    fc.assert(
      fc.property(anyClass, (observations) => {
        for (const pair of fitGroupsAndConditions(observations, 1)!.pairs) {
          expect(pair.p).toBeGreaterThanOrEqual(0)
          expect(pair.pHolm).toBeLessThanOrEqual(1)
          expect(pair.pHolm).toBeGreaterThanOrEqual(pair.p)
          expect([pair.low, pair.low90, pair.difference, pair.high90, pair.high]).toEqual(
            [pair.low, pair.low90, pair.difference, pair.high90, pair.high].sort((a, b) => a - b),
          )
        }
      }),
    )
  })

  it('never calls wobble smaller than the mark can show', () => {
    const constant = ['x', 'y'].flatMap((condition) =>
      [1, 2, 3].map(() => ({ group: 'g', condition, value: condition === 'x' ? 7 : 9 })),
    )
    const model = fitGroupsAndConditions(constant, 1)!
    expect(model.residualVariance).toBeCloseTo(1 / 12, 12)
    expect(model.F).toBeCloseTo(72, 9)
    expect(fitGroupsAndConditions(constant.slice(0, 1), 1)).toBeUndefined()
  })
})

describe('evidenceOf', () => {
  const plan = soakUpPlan()

  it('counts what counts: no practice, nothing set aside, nothing superseded', () => {
    const { readings } = recordOf({ 'kitchen-roll': [60, 62], card: [14, 15] }, 2)
    const noise = [
      reading({ value: 500, practice: true }),
      reading({ value: 500, status: 'set-aside', reason: 'leaked' }),
      reading({ value: 61, supersedes: readings[0]!.id }),
    ]
    const evidence = evidenceOf(plan, { ...emptyRecord, readings: [...readings, ...noise] })!
    expect(evidence.summaries.map(({ condition, mean, count }) => [condition, mean, count])).toEqual([
      ['kitchen-roll', 61.5, 2],
      ['card', 14.5, 2],
    ])
    expect(evidence.order).toEqual(['kitchen-roll', 'card'])
  })

  it('turns another unit of the same kind into the plan’s own', () => {
    const record = recordOf({ 'kitchen-roll': [6], card: [14] }, 1)
    record.readings[0]!.unit = 'cm'
    expect(evidenceOf(plan, record)!.summaries[0]!.mean).toBe(60)
  })

  it('has nothing to say before two conditions have readings, and nothing at all before something is measured', () => {
    expect(evidenceOf(plan, recordOf({ card: [1, 2, 3] }, 3))!.grade).toBe('one-condition')
    expect(evidenceOf(plan, recordOf({}, 1))!.grade).toBe('nothing-yet')
    expect(evidenceOf(plan, recordOf({}, 1))!.summaries).toEqual([])
    expect(evidenceOf({ ...plan, measured: null }, recordOf({ card: [1] }, 1))).toBeUndefined()
  })

  it('grades the lead over the next one by itself', () => {
    const values = { x: [60, 61, 62, 60], y: [59, 62, 60, 61], z: [10, 11, 10, 12] }
    const observations = Object.entries(values).flatMap(([condition, own]) =>
      own.map((value, place) => ({ condition, value, group: `g${place}` })),
    )
    const evidence = weighEvidence(observations, options)
    expect(evidence.grade).toBe('clear')
    expect(evidence.lead!.grade).not.toBe('clear')
    expect(evidence.pairs.filter(({ grade }) => grade === 'clear')).toHaveLength(2)
  })
})
