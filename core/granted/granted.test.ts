import { describe, expect, it } from 'vitest'
import { soakUpPlan, twoMeasures } from '../../test/soakUp'
import { mend, type Fix, type PlanFix } from '../secondLook'
import { bestOf, forMeasure, readEntry, withMethod } from '../test'
import { grantedWords } from '../wording'
import { classReport } from '../wording/reports'
import { emptyRecord } from '../../test/soakUp'
import { grantedFix, grantedOf } from '.'

const codes = (plan: ReturnType<typeof soakUpPlan>) => grantedOf(plan).map(({ code }) => code)

describe('what is taken for granted', () => {
  it('is what nobody said: what is best, with what it is read, which figure counts, what gives most, how the rest is kept the same', () => {
    const plan = soakUpPlan()
    expect(codes(plan)).toEqual(['things', 'written-by'])
    const ownPlan = { ...plan, investigation: null }
    const unsaid = withMethod(ownPlan, (method) => ({
      ...method,
      best: null,
      tool: '',
      trialWobble: null,
      expected: {},
      expectedFrom: 'guess',
    }))
    const factors = unsaid.factors.map((factor) => ({ ...factor, how: '' }))
    expect(codes({ ...unsaid, factors })).toEqual([
      'unit-open',
      'best-open',
      'expected-order',
      'wobble',
      'things',
      'kept',
      'written-by',
    ])
    expect(grantedOf(unsaid).map((one) => grantedWords(unsaid, one))).toContain(
      'Card is taken to give most, since it stands last: made-up classes go by that.',
    )
  })

  it('what is left becomes start less left with one press, and then the most is best', () => {
    const plan = soakUpPlan({ investigation: null })
    const measures = plan.measures.map((one) => ({ ...one, name: 'how much sugar is left', method: { ...one.method, best: null } }))
    const left = { ...plan, measures }
    expect(bestOf(left)).toBe('least')
    const [granted] = grantedOf(left).filter(({ code }) => code === 'left-as-it-is')
    const fix = grantedFix(granted!, false) as Extract<Fix, { code: 'on-measure' }>
    const used = mend(forMeasure(left, fix.measure), fix.fix as PlanFix, String)
    expect([bestOf(used), codes(used).includes('left-as-it-is'), readEntry(used, '50 to 30')]).toEqual([
      'most',
      false,
      { ok: true, value: 20, unit: 'mm' },
    ])
    expect(grantedFix(granted!, true)).toBeUndefined()
  })

  it('of several measures it says which; and the class report has all of it', () => {
    const plan = twoMeasures()
    const words = grantedOf(plan).map((one) => grantedWords(plan, one))
    expect(words).toContain('how long the strip drips: Nobody said what is best: so far conditions only differ.')
    const { blocks } = classReport(plan, emptyRecord)
    expect(JSON.stringify(blocks)).toContain(JSON.stringify(words.join(' ')).slice(1, -1))
  })
})
