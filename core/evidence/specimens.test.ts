import { describe, expect, it } from 'vitest'
import { counter, reading, soakUpPlan } from '../../test/soakUp'
import { specimensOf } from '../arrangement'
import {
  EMPTY_RECORD,
  ownerOf,
  ownersIn,
  withEachChild,
  withShared,
  withSharedThings,
  type LessonRecord,
  type Plan,
} from '../lesson'
import { needsOf, NO_SCHOOL } from '../kit'
import { applyWay, outlookOf, waysToSee } from '../measuring'
import { withMethod } from '../test'
import { gradeSentence, surerSentence, thingsMeaning, wayWords } from '../wording'
import { changesFromNothing, evidenceOf, surerBy, weighEvidence } from '.'

/** Four papers far apart, three readings by each group. */
function recordOf(plan: Plan): LessonRecord {
  const readings = plan.groups.flatMap(({ id: group }, g) =>
    plan.conditions.flatMap(({ id: condition }, c) =>
      [1, 2, 3].map((repeat) =>
        reading({ id: `${group}-${condition}-${repeat}`, group, condition, repeat, value: 60 - 10 * c + ((g + repeat) % 3) }),
      ),
    ),
  )
  return { ...EMPTY_RECORD, readings }
}
const gradeOf = (plan: Plan) => evidenceOf(plan, recordOf(plan))!.grade

describe('how many real things there are', () => {
  const circuit = { ...soakUpPlan().arrangement, way: 'circuit' as const }

  it('is asked of every plan', () => {
    expect(specimensOf(soakUpPlan({ things: 'fresh' }))).toBe('a-trial')
    expect(specimensOf(soakUpPlan({ things: 'same' }))).toBe('a-group')
    expect(specimensOf(soakUpPlan({ things: 'same', arrangement: circuit }))).toBe('one')
    expect(specimensOf(soakUpPlan({ things: 'class' }))).toBe('one')
    expect(specimensOf(soakUpPlan({ kind: 'over-time', things: 'same' }))).toBe('a-group')
    expect(specimensOf(soakUpPlan({ kind: 'over-time', things: 'class' }))).toBe('one')
  })

  it('one thing that seven groups read is never clear, and the advice is more things', () => {
    expect(gradeOf(soakUpPlan({ things: 'same' }))).toBe('clear')
    for (const plan of [soakUpPlan({ things: 'class' }), soakUpPlan({ things: 'same', arrangement: circuit })]) {
      const evidence = evidenceOf(plan, recordOf(plan))!
      expect([evidence.grade, evidence.lead!.grade, ...evidence.pairs.map(({ grade }) => grade)]).not.toContain('clear')
      expect(gradeSentence(plan, evidence)).toContain('Whether others of their kind would')
      expect(surerBy(plan, evidence)[0]).toEqual({ code: 'fresh-things' })
      expect(outlookOf(plan)!.clear).toBe(0)
    }
  })

  it('the kit counts one of each for the class', () => {
    const [strips] = needsOf(soakUpPlan({ things: 'class' }), NO_SCHOOL)
    expect([strips!.times, strips!.perTray, strips!.forAll]).toEqual([1, undefined, true])
  })
})

describe('children who share a thing', () => {
  const alone = withEachChild(soakUpPlan({ children: 24, things: 'same' }), counter('c'), () => 0.5)
  const fours = withSharedThings(alone, 4)

  it('are one: six things of 24 children, whoever is chained to whom', () => {
    expect([ownersIn(alone).length, ownersIn(fours).length]).toEqual([24, 6])
    const [first, second, , , fifth] = fours.groups.map(({ id }) => id)
    const joined = withShared(fours, first!, fifth!)
    expect(ownersIn(joined)).toHaveLength(5)
    expect(ownerOf(joined, second!)).toBe(fifth)
    expect(ownersIn(withShared(joined, first!, null))).toHaveLength(6)
    const circle = {
      ...alone,
      groups: alone.groups.map((one, place) => ({ ...one, sharesWith: alone.groups[1 - place]?.id ?? null })),
    }
    expect(ownersIn(circle).length).toBeLessThanOrEqual(24)
    expect(specimensOf(withSharedThings(alone, 24))).toBe('one')
  })

  it('read one cell together, while each of them agrees for itself', () => {
    const [own, shared] = [alone, fours].map((plan) => evidenceOf(plan, recordOf(plan))!)
    expect([own!.fit!.groups, shared!.fit!.groups]).toEqual([24, 6])
    expect(shared!.agreement!.asked).toHaveLength(24)
    expect(shared!.summaries.map(({ count }) => count)).toEqual([72, 72, 72, 72])
  })

  it('need one thing in the kit, expect less of it, and are told what would help', () => {
    const of = (plan: Plan) => needsOf(plan, NO_SCHOOL)[0]!.times
    expect(of(fours)).toBe(of(alone) / 4)
    const dim = (plan: Plan) =>
      withMethod(plan, (method) => ({ ...method, expectedLow: 50, expectedHigh: 56, expected: {}, trialWobble: 5 }))
    expect(outlookOf(dim(fours))!.clear).toBeLessThan(outlookOf(dim(alone))!.clear)
    const way = waysToSee(dim(fours)).find(({ code }) => code === 'own-things')!
    expect(wayWords(way, fours)).toBe('One for each child, shared by nobody')
    expect(ownersIn(applyWay(fours, way, counter('n')))).toHaveLength(24)
    expect(thingsMeaning(fours)).toMatch(/^6 things for 24 children/)
  })
})

it('what one group reads of one condition counts once where all take turns at one apparatus', () => {
  const plan = soakUpPlan({
    repeats: 5,
    groups: soakUpPlan().groups.slice(0, 2),
    arrangement: { ...soakUpPlan().arrangement, way: 'together' },
  })
  const record = recordOf(plan)
  const evidence = evidenceOf(plan, record)!
  expect(evidence.fit!.readings).toBe(2 * 4)
  expect(evidence.summaries.map(({ count }) => count)).toEqual([6, 6, 6, 6])
  const alone = evidenceOf({ ...plan, groups: plan.groups.slice(0, 1) }, record)!
  expect(alone.fit!.readings).toBe(3 * 4)
})

describe('the weakest link', () => {
  const options = { resolution: 1, totalSd: 3, differenceThatMatters: 0 }
  const observed = (values: Record<string, number[]>) =>
    Object.entries(values).flatMap(([condition, all]) => all.map((value) => ({ group: 'A', condition, value })))

  it('three of four that were timed once are never said to lean, and the way out is counted', () => {
    const uneven = weighEvidence(observed({ a: [50, 51, 50], b: [40], c: [30], d: [20] }), options)
    expect([uneven.grade, uneven.limits]).toEqual(['cannot-tell', ['uneven-readings']])
    const plan = soakUpPlan()
    expect(gradeSentence(plan, uneven)).toBe('3 of the 4 were read only once: nobody has seen how much they wobble.')
    const [first] = surerBy(plan, uneven)
    expect(first).toMatchObject({ code: 'even-out', conditions: ['b', 'c', 'd'] })
    expect(surerSentence(first!)).toMatch(/^3 of them were read only once\. Read each of those twice more: about \d+ minutes\.$/)
    const one = weighEvidence(observed({ a: [50, 51, 50], b: [40, 41, 40], c: [30] }), options)
    expect(one.grade).toBe('leaning')
  })

  it('a change of two marks is the instrument’s own until something beside it has not changed', () => {
    const lost = (by: number) => [0, 1, 0, 1, 0].map((more, g) => ({ group: `g${g}`, condition: 'ice', value: by + more / 10 }))
    expect(changesFromNothing(lost(2), options, [])[0]).toMatchObject({ grade: 'leaning', needsControl: true })
    expect(changesFromNothing(lost(2), options, [], 'value')[0]).toMatchObject({ grade: 'clear', needsControl: false })
    expect(changesFromNothing(lost(5), options, [])[0]).toMatchObject({ grade: 'clear', needsControl: false })
  })
})
