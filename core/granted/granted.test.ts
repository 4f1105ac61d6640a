import { describe, expect, it } from 'vitest'
import { soakUpPlan, twoMeasures } from '../../test/soakUp'
import { withMethod } from '../test'
import { grantedWords } from '../wording'
import { classReport } from '../wording/reports'
import { emptyRecord } from '../../test/soakUp'
import { grantedOf } from '.'

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

  it('of several measures it says which; and the class report has all of it', () => {
    const plan = twoMeasures()
    const words = grantedOf(plan).map((one) => grantedWords(plan, one))
    expect(words).toContain('how long the strip drips: Nobody said what is best: so far conditions only differ.')
    const { blocks } = classReport(plan, emptyRecord)
    expect(JSON.stringify(blocks)).toContain(JSON.stringify(words.join(' ')).slice(1, -1))
  })
})
