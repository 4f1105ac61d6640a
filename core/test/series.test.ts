import { describe, expect, it } from 'vitest'
import { counter, reading, soakUpPlan, twoSeries } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { checkPlan, pasteTable } from '../fairness'
import { cautionsAtTrial, needsOf } from '../kit'
import { doubtfulReadings, gridRows } from '../record'
import { secondLook } from '../secondLook'
import { question } from '../wording'
import { activeConditions, conditionName, EMPTY_RECORD, keptFactors, letterOf } from '../lesson'
import {
  eachSeries,
  levelsAcross,
  seriesIn,
  withConditionInEach,
  withLevel,
  withLevelLabel,
  withoutLevel,
  withoutSeries,
  withOneSeriesMore,
  withSeries,
  withSeriesName,
} from '.'

const plan = twoSeries()
const [narrow, wide] = seriesIn(plan)

describe('a lesson with two series', () => {
  it('has every condition in each, with letters that stay', () => {
    expect(planSchema.validate(plan).error).toBeUndefined()
    expect(activeConditions(plan)).toHaveLength(8)
    expect(conditionName(plan, plan.conditions[4]!)).toBe('kitchen roll, 4 cm wide')
    const [, second] = eachSeries(plan)
    expect(activeConditions(second!.plan).map(({ id }) => letterOf(second!.plan, id))).toEqual(['E', 'F', 'G', 'H'])
    expect(conditionName(second!.plan, activeConditions(second!.plan)[0]!)).toBe('kitchen roll')
    expect(gridRows(plan, [], false)[0]).toHaveLength(24)
    expect(levelsAcross(plan)).toHaveLength(4)
    expect(question(plan)).toMatch(/ in 60\u00a0s, and does the width of the strip matter\?$/)
  })

  it('is fair in both directions, and says where it is not', () => {
    const check = checkPlan(plan)!
    expect(check).toMatchObject({ fair: true, differing: [], unknown: [] })
    // Six pairs of papers in each width, and each paper in both widths.
    expect(check.pairs).toHaveLength(16)
    expect(keptFactors(plan).map(({ id }) => id)).not.toContain('width')
    const card = wide!.conditions.at(-1)!
    const factors = plan.factors.map((one) => (one.id === 'depth' ? { ...one, exceptions: { [card]: '5 cm' } } : one))
    const unfair = checkPlan({ ...plan, factors })!
    expect(unfair.pairs.filter(({ status }) => status === 'unfair')).toHaveLength(4)
    expect(secondLook({ ...plan, factors }, EMPTY_RECORD).map(({ code }) => code)).toContain('factor-differs')
    expect(secondLook(plan, EMPTY_RECORD).map(({ code }) => code)).not.toContain('same-label')
  })

  it('judges a slip among the fellows of its own series', () => {
    const readings = ['g1', 'g2', 'g3', 'g4', 'g5'].flatMap((group, at) =>
      [narrow, wide].flatMap((series, place) =>
        [1, 2, 3].map((repeat) =>
          reading({ group, repeat, condition: series!.conditions[0]!, value: (place === 0 ? 30 : 300) + ((at + repeat) % 3) }),
        ),
      ),
    )
    expect(doubtfulReadings(plan, readings)).toEqual([])
    const slip = reading({ group: 'g6', condition: narrow!.conditions[0]!, value: 310 })
    expect(doubtfulReadings(plan, [...readings, slip]).map((one) => one.reading.id)).toEqual([slip.id])
  })

  it('takes twice the kit, and meets the cautions of a thing in every series', () => {
    const ofCard = soakUpPlan().materials.find(({ condition }) => condition === 'card')!.id
    const amount = (of: typeof plan) => needsOf(of).find(({ material }) => material === ofCard)!.forClass
    expect(amount(plan)).toBe(2 * amount(soakUpPlan()))
    expect(cautionsAtTrial(plan, wide!.conditions[3]!)).toEqual(cautionsAtTrial(plan, 'card'))
  })

  it('changes a level in every series at once', () => {
    const renamed = withLevelLabel(plan, 'card', 'thick card')
    expect(renamed.conditions.filter(({ label }) => label === 'thick card')).toHaveLength(2)
    expect(activeConditions(withLevel(plan, 'card', (one) => ({ ...one, leftOut: true })))).toHaveLength(6)
    const less = withoutLevel(plan, 'card')
    expect(seriesIn(less).map(({ conditions }) => conditions.length)).toEqual([3, 3])
    const more = withConditionInEach(plan, 'felt', counter('f'))
    expect(levelsAcross(more)).toHaveLength(5)
    expect(checkPlan(more)!.fair).toBe(true)
  })

  it('takes a pasted row and another name in every series, and keeps the kit of a level whose series goes', () => {
    const pasted = pasteTable(plan, [['felt']], { row: 8, column: -1 }, counter('p'))
    expect(pasted.conditions.filter(({ label }) => label === 'felt')).toHaveLength(2)
    expect(checkPlan(pasteTable(plan, [['towel']], { row: 0, column: -1 }, counter('p')))!.pairs).toHaveLength(16)
    const amount = (of: typeof plan) => needsOf(of).reduce((sum, { forClass }) => sum + forClass, 0)
    expect(amount(withoutSeries(plan, narrow!.id, new Set()))).toBe(amount(soakUpPlan()))
    expect(seriesIn({ ...plan, kind: 'order' })).toEqual([])
  })

  it('takes a third series, another name, and comes back to one without losing what was read', () => {
    const three = withOneSeriesMore(withSeriesName(plan, wide!.id, 'wide'), '6 cm wide', counter('t'))
    expect(checkPlan(three)!.fair).toBe(true)
    expect(seriesIn(three).map(({ name }) => name)).toEqual(['2 cm wide', 'wide', '6 cm wide'])
    const used = new Set([wide!.conditions[0]!])
    const one = withoutSeries(plan, wide!.id, used)
    expect(one).toMatchObject({ series: [], seriesFactor: null })
    expect(one.conditions).toHaveLength(5)
    expect(activeConditions(one).map(({ id }) => id)).toEqual(activeConditions(soakUpPlan()).map(({ id }) => id))
    expect(one.factors.find(({ id }) => id === 'width')).toMatchObject({ how: '2 cm wide', exceptions: {} })
    expect(withSeries(plan, 'depth', ['a', 'b'], counter('x'))).toBe(plan)
  })
})
