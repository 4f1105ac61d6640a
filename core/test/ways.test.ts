import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { soakUpPlan, twoMeasures, twoSeries } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { KINDS, WAYS, type Way } from '../lesson'
import { INSTRUMENTS, withInstrument } from '../measuring'
import { KINDS_OF_TEST, readBy, resolved, testOf, WAYS_OF_READING, withMethod } from '.'

const in_ = (way: Way, plan = soakUpPlan()) => withMethod(plan, (method) => readBy(method, way))

describe('a card read in one way after another', () => {
  it('stores what its way knows and no more, whatever the way before', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...WAYS), { minLength: 1, maxLength: 6 }), (ways) => {
        const plan = ways.reduce((before, way) => in_(way, before), soakUpPlan())
        expect(planSchema.validate(plan).error?.message ?? '').toBe('')
        const [card] = plan.measures
        expect([card!.method, ...card!.otherWays].map(({ way }) => way)).toEqual([
          ...new Set([card!.method.way, ...card!.otherWays.map(({ way }) => way)]),
        ])
      }),
    )
  })

  it('has again what was said of a way, unit and expectation too, when it comes back', () => {
    const there = in_('words', measuredSo(soakUpPlan(), { known: 40, knownName: 'last year’s paper' }))
    expect(testOf(there).words).toEqual(['dry', 'damp', 'wet'])
    expect(testOf(in_('number', there)).method).toEqual(
      testOf(measuredSo(soakUpPlan(), { known: 40, knownName: 'last year’s paper' })).method,
    )
    const named = measuredSo(there, { words: ['no', 'yes'] })
    expect(testOf(in_('words', in_('number', named))).words).toEqual(['no', 'yes'])
  })

  it('expects no number among words, and no word among numbers', () => {
    const words = in_('sorts', measuredSo(soakUpPlan(), { expected: { tissue: 52 } }))
    expect(testOf(words).method).toMatchObject({ expected: {}, expectedLow: null, expectedHigh: null })
    // Between a clock and a race what is expected goes along.
    expect(testOf(in_('race')).method!.expectedHigh).toBe(62)
  })

  it('with another instrument has that one’s unit, and what else was said of numbers', () => {
    const scale = INSTRUMENTS.find(({ code }) => code === 'scale')!
    const weighed = withMethod(in_('words', measuredSo(soakUpPlan(), { atOnce: 5 })), (method) => withInstrument(method, scale))
    expect(testOf(weighed).method).toMatchObject({ way: 'number', unit: 'g', atOnce: 5 })
  })
})

describe('a test, resolved', () => {
  it('is the same one as long as the plan is, and that of the measure and series that are meant', () => {
    const plan = twoMeasures()
    expect(testOf(plan)).toBe(testOf(plan))
    expect([testOf(plan).unit, testOf(plan, 'seconds').unit]).toEqual(['mm', 's'])
    const lines = twoSeries()
    const [, wide] = lines.series
    expect(
      testOf(lines, null, wide!.id)
        .plan.conditions.filter(({ leftOut }) => !leftOut)
        .map(({ id }) => id),
    ).toEqual(wide!.conditions)
  })

  it('says of nothing measured neither amount nor word nor place', () => {
    const { way, amount, method, unit } = testOf(soakUpPlan({ measured: null }))
    expect([way.isAmount, way.fromWords, way.isPlace, amount, method, unit]).toEqual([
      false,
      false,
      false,
      undefined,
      undefined,
      'count',
    ])
  })

  it.each(KINDS)('every way of “%s” can be read, and offers a device', (kind) => {
    for (const way of KINDS_OF_TEST[kind].ways) {
      const { read, devices, code } = WAYS_OF_READING[way]
      const method = resolved(in_(way).measures[0]!.method)
      expect(code).toBe(way)
      expect(devices(method).length).toBeGreaterThan(0)
      expect(read(method, '1', {}, soakUpPlan())).toMatchObject({ ok: true, value: 1, unit: method.unit })
      expect(read(method, 'xyz', {}, soakUpPlan()).ok).toBe(false)
    }
  })
})
