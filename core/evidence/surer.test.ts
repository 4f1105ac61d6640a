import { secondsOfTrial } from '../arrangement'
import { describe, expect, it } from 'vitest'
import { conclusion, emptyRecord, recordOf, soakUpPlan } from '../../test/soakUp'
import { compareTests, evidenceOf, poolClasses, surerBy } from '.'

const plan = soakUpPlan()
const leaning = recordOf(
  {
    'kitchen-roll': [30, 27, 29, 26, 31, 33, 24, 28],
    tissue: [24, 28, 22, 27, 27, 23, 26, 29],
    card: [27, 24, 29, 26, 23, 28, 21, 27],
  },
  4,
)

describe('what would make it surer', () => {
  it('counts further repeats out, and asks for bigger steps', () => {
    const evidence = evidenceOf(plan, leaning)!
    expect(evidence.grade).toBe('leaning')
    const [first, ...rest] = surerBy(plan, evidence)
    expect(first).toMatchObject({ code: 'more-repeats' })
    const { extra, chance, minutes } = first as { extra: number; chance: number; minutes: number }
    expect(extra).toBeGreaterThan(0)
    expect(chance).toBeGreaterThanOrEqual(0.8)
    expect(minutes).toBe(Math.ceil((extra * 4 * secondsOfTrial(plan)) / 60))
    expect(rest.map(({ code }) => code)).toContain('bigger-steps')
  })

  it('has nothing to say where it is clear, and asks for a second reading where there is one each', () => {
    const clear = recordOf({ 'kitchen-roll': [60, 61, 62], card: [14, 15, 14] }, 1)
    expect(surerBy(plan, evidenceOf(plan, clear)!)).toEqual([])
    const one = recordOf({ 'kitchen-roll': [60], card: [14] }, 1)
    expect(surerBy(plan, evidenceOf(plan, one)!)).toEqual([{ code: 'second-reading' }])
  })

  it('does not promise that repeats help where the gap is no bigger than wobble makes it', () => {
    const nothing = recordOf({ 'kitchen-roll': [30, 20, 25, 27], tissue: [24, 29, 22, 26], card: [26, 23, 28, 25] }, 2)
    expect(surerBy(plan, evidenceOf(plan, nothing)!).map(({ code }) => code)).not.toContain('more-repeats')
  })
})

describe('two classes', () => {
  const theirs = soakUpPlan({ className: 'Wren' })
  const ours = recordOf({ 'kitchen-roll': [60, 62, 61, 59], card: [14, 15, 16, 14] }, 2)

  it('is the same test where all that was written down is the same', () => {
    expect(compareTests(plan, theirs)).toMatchObject({ differences: [], comparable: true })
    expect(compareTests(plan, theirs).shared).toHaveLength(4)
  })

  it('says where it is not, and what only makes the levels differ', () => {
    const other = compareTests(plan, { ...theirs, measured: null })
    expect(other.comparable).toBe(false)
    expect(other.differences).toContainEqual(expect.objectContaining({ code: 'measured', grave: true }))
    const wider = { ...theirs, factors: theirs.factors.map((one) => (one.id === 'width' ? { ...one, how: '4 cm' } : one)) }
    const near = compareTests(plan, wider)
    expect(near.comparable).toBe(true)
    expect(near.differences.map(({ code }) => code)).toEqual(['kept-otherwise'])
    const shorter = { ...theirs, conditions: theirs.conditions.filter(({ id }) => id !== 'tissue') }
    expect(compareTests(plan, shorter).differences).toEqual([{ code: 'only-ours', grave: false, names: ['tissue'] }])
  })

  it('takes a class’s own level out, converts its unit, and finds where it tells another story', () => {
    const inCentimetres = {
      ...theirs,
      measures: theirs.measures.map((one) => ({ ...one, method: { ...one.method, unit: 'cm' as const, resolution: 0.1 } })),
    }
    // The same gap, ten millimetres higher, in centimetres.
    const higher = recordOf({ 'kitchen-roll': [7, 7.2, 7.1, 6.9], card: [2.4, 2.5, 2.6, 2.4] }, 2)
    const readings = higher.readings.map((one) => ({ ...one, unit: 'cm' as const }))
    const record = { ...higher, readings, conclusions: [conclusion()] }
    const tests = compareTests(plan, inCentimetres)
    const pooled = poolClasses({ plan, record: ours }, { plan: inCentimetres, record }, tests)!
    expect(pooled.evidence.grade).toBe('clear')
    expect(pooled.evidence.spread!.difference).toBeCloseTo(45.75, 6)
    expect(pooled.interaction!.p).toBeGreaterThan(0.5)
    expect(pooled.evidence.agreement!.asked).toHaveLength(4)

    const otherWay = recordOf({ 'kitchen-roll': [14, 15, 16, 14], card: [60, 62, 61, 59] }, 2)
    const apart = poolClasses({ plan, record: ours }, { plan: theirs, record: otherWay }, compareTests(plan, theirs))!
    expect(apart.interaction!.p).toBeLessThan(0.001)
    expect(poolClasses({ plan, record: emptyRecord }, { plan: theirs, record: emptyRecord }, tests)!.evidence.grade).toBe(
      'nothing-yet',
    )
  })
})

it('a pair is never called surer than the whole', () => {
  for (let seed = 0; seed < 40; seed += 1) {
    const values = (by: number) => Array.from({ length: 6 }, (_, place) => 30 + ((place * 7 + seed * by) % 11))
    const evidence = evidenceOf(plan, recordOf({ 'kitchen-roll': values(3), tissue: values(5), card: values(8) }, 3))!
    if (evidence.grade === 'clear') continue
    expect(evidence.pairs.filter(({ grade }) => grade === 'clear')).toEqual([])
    expect(evidence.lead?.grade).not.toBe('clear')
  }
})
