import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import {
  checkEntry,
  checkReading,
  countedReadings,
  currentReadings,
  doubtfulReadings,
  historyOf,
  nextPractice,
  nextTrial,
  progressOf,
} from '.'

const ruler = { unit: 'mm', resolution: 1, expectedSd: 3 } as const

describe('checkEntry', () => {
  it('offers the unit slip first, the point slip second', () => {
    expect(checkEntry(5.3, [52, 55, 51], ruler)).toEqual([{ code: 'slip-unit', suggested: 53, unit: 'cm', middle: 52 }])
    expect(checkEntry(0.5, [31, 30, 29], { unit: 'min', resolution: 1, expectedSd: 1 })[0]).toMatchObject({
      code: 'slip-unit',
      unit: 'h',
      suggested: 30,
    })
    expect(checkEntry(205, [20, 21, 22], { unit: 's', resolution: 0.1, expectedSd: 1 })[0]).toMatchObject({
      code: 'slip-point',
      suggested: 20.5,
      factor: 0.1,
    })
  })

  it('calls odd what is far from at least three fellows and no slip', () => {
    expect(checkEntry(70, [50, 52, 51], ruler)[0]).toMatchObject({ code: 'odd', side: 'above', middle: 51 })
    expect(checkEntry(70, [50, 52], ruler)).toEqual([])
    expect(checkEntry(54, [50, 52, 51], ruler)).toEqual([])
  })

  it('asks about a sign and about digits that the instrument does not have', () => {
    expect(checkEntry(-4, [], ruler)).toEqual([{ code: 'impossible' }])
    expect(checkEntry(-4, [], { ...ruler, unit: 'degC' })).toEqual([])
    expect(checkEntry(51.5, [50, 52, 51], ruler)).toEqual([{ code: 'too-fine', resolution: 1 }])
  })

  it('never asks about a number that lies among its fellows', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 40, max: 60 }), { minLength: 3, maxLength: 20 }), (values) => {
        const middle = [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
        expect(checkEntry(middle, values, ruler)).toEqual([])
      }),
    )
  })
})

describe('readings', () => {
  const plan = soakUpPlan()
  const slip = reading({ value: 5.2 })
  const mended = reading({ value: 52, supersedes: slip.id, confirmed: true })

  it('are current until superseded, and know how they came to be', () => {
    expect(currentReadings([slip, mended])).toEqual([mended])
    expect(historyOf(mended, [slip, mended])).toEqual([slip])
  })

  it('count when they are kept, no practice, in the plan and of a unit that can be turned into its own', () => {
    const rows = [
      mended,
      reading({ practice: true }),
      reading({ status: 'set-aside', reason: 'leaked' }),
      reading({ group: 'gone' }),
      reading({ condition: 'gone' }),
      reading({ unit: 'g' }),
      reading({ value: 6, unit: 'cm' }),
    ]
    expect(countedReadings(plan, [slip, ...rows]).map(({ value, unit }) => [value, unit])).toEqual([
      [52, 'mm'],
      [60, 'mm'],
    ])
  })

  it('are doubtful among their fellows until somebody confirms them', () => {
    const fellows = [60, 62, 61, 64].map((value, place) => reading({ value, group: `g${place + 2}` }))
    expect(doubtfulReadings(plan, [...fellows, slip]).map((found) => found.reading.id)).toEqual([slip.id])
    expect(doubtfulReadings(plan, [...fellows, { ...slip, confirmed: true }])).toEqual([])
    expect(checkReading(plan, fellows, { condition: 'kitchen-roll', moment: '', value: 6.2, unit: 'cm' })).toEqual([])
  })
})

describe('the grid', () => {
  const plan = soakUpPlan()

  it('knows what each group has done, and puts every condition once before any twice', () => {
    const rows = [reading(), reading({ condition: 'tissue', status: 'set-aside', reason: 'leaked' }), reading({ group: 'g2' })]
    const [alder] = progressOf(plan, rows)
    expect([alder!.done, alder!.all]).toEqual([1, 12])
    // A place whose only reading was set aside is empty again.
    expect(nextTrial(plan, alder!)).toMatchObject({ condition: 'tissue', repeat: 1, setAside: [{ reason: 'leaked' }] })
  })

  it('asks for practice until the plan has enough of it', () => {
    expect(nextPractice(plan, [], 'g1')).toMatchObject({ condition: 'kitchen-roll', practice: true })
    expect(nextPractice(plan, [reading({ practice: true })], 'g1')).toMatchObject({ condition: 'tissue' })
    const once = plan.conditions.map(({ id }) => reading({ condition: id, practice: true }))
    expect(nextPractice(plan, once, 'g1')).toBeUndefined()
    expect(nextPractice({ ...plan, practice: 2 }, once, 'g1')).toMatchObject({ condition: 'kitchen-roll' })
    expect(nextPractice({ ...plan, practice: 0 }, [], 'g1')).toBeUndefined()
  })
})
