import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { evidenceOf } from '../evidence'
import { EMPTY_RECORD, type Plan, type Reading } from '../lesson'
import { doubtWords, sureSentences } from '../wording'
import { classReport, groupReport } from '../wording/reports'
import { withMethod } from '../test'
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
  type Surroundings,
} from '.'

const near = (middle: number) => ({ near: { low: middle, high: middle }, middle })
const ruler: Surroundings = {
  ...{ unit: 'mm', resolution: 1, ...near(52), sd: 3, doubt: 1, canBeOdd: true, units: ['cm', 'm'] },
  ...{ converted: false, other: undefined, empty: undefined, most: undefined },
}

describe('checkEntry', () => {
  it('offers the unit slip first, then the point, the digits, the other place and the empty container', () => {
    expect(checkEntry(5.3, ruler)).toEqual([
      { code: 'slip-unit', suggested: 53, unit: 'cm', middle: 52 },
      { code: 'too-fine', resolution: 1 },
    ])
    expect(checkEntry(0.5, { ...ruler, unit: 'min', ...near(30), sd: 1, units: ['h', 's'] })[0]).toMatchObject({
      code: 'slip-unit',
      unit: 'h',
      suggested: 30,
    })
    const seconds: Surroundings = { ...ruler, unit: 's', ...near(21), sd: 1, units: ['min'] }
    expect(checkEntry(205, seconds)[0]).toMatchObject({ code: 'slip-point', suggested: 20.5, factor: 0.1 })
    expect(checkEntry(25, ruler)[0]).toEqual({ code: 'slip-digits', suggested: 52, middle: 52 })
    const warm: Surroundings = { ...ruler, unit: 'degC', ...near(20), sd: 1, units: ['degF'] }
    expect(checkEntry(68, warm)[0]).toEqual({ code: 'slip-unit', suggested: 20, unit: 'degF', middle: 20 })
    expect(checkEntry(80, { ...ruler, other: { place: 'bottom', value: 51, near: near(81).near } })[0]).toMatchObject({
      code: 'slip-swapped',
      place: 'bottom',
    })
    expect(checkEntry(140, { ...ruler, empty: 87 })[0]).toMatchObject({ code: 'slip-empty', suggested: 53 })
  })

  it('has no factor without a story: seconds are not read in inches', () => {
    expect(checkEntry(20.5, { ...ruler, unit: 's', units: ['min', 'h'] }).map(({ code }) => code)).not.toContain('slip-unit')
  })

  it('calls odd what is far off and no slip, and nothing before the wobble is known', () => {
    expect(checkEntry(70, ruler)[0]).toMatchObject({ code: 'odd', side: 'above', middle: 52 })
    expect(checkEntry(70, { ...ruler, canBeOdd: false })).toEqual([])
    expect(checkEntry(61, ruler)).toEqual([])
  })

  it('asks about a sign and about digits that the instrument does not have, never of a converted unit', () => {
    expect(checkEntry(-4, { ...ruler, near: undefined })).toEqual([{ code: 'impossible' }])
    expect(checkEntry(-4, { ...ruler, unit: 'degC', near: undefined })).toEqual([])
    expect(checkEntry(51.5, ruler)).toEqual([{ code: 'too-fine', resolution: 1 }])
    expect(checkEntry(51.5, { ...ruler, converted: true })).toEqual([])
  })
})

describe('a reading among its fellows', () => {
  const plan = soakUpPlan()
  const papers = ['kitchen-roll', 'tissue', 'writing-paper', 'card']
  /** Each group at its own level, each paper at its own height. */
  const clean = plan.groups.flatMap(({ id: group }, level) =>
    papers.flatMap((condition, place) =>
      [1, 2, 3].map((repeat) => {
        const value = 60 - 12 * place + 6 * level + ((repeat * 7 + place + level) % 5)
        return reading({ group, condition, repeat, value, entered: String(value) })
      }),
    ),
  )

  it('is looked at with its group’s own level taken out', () => {
    expect(doubtfulReadings(plan, clean)).toEqual([])
    // The last group lies 36 mm above the first: what fits there is odd here.
    const first = clean.find(({ group, condition }) => group === 'g1' && condition === 'card')!
    const strange = { ...first, value: first.value + 36 }
    expect(
      doubtfulReadings(
        plan,
        clean.map((one) => (one === first ? strange : one)),
      ).map(({ reading: { id } }) => id),
    ).toEqual([first.id])
  })

  it('is asked about from the first on against what is expected, and not against another’s slip', () => {
    const known = withMethod(plan, (method) => ({ ...method, expected: { 'kitchen-roll': 61, card: 14 } }))
    const slip = reading({ group: 'g2', value: 6.1, entered: '6.1' })
    expect(checkReading(known, [], slip)[0]).toMatchObject({ code: 'slip-unit', unit: 'cm', suggested: 61 })
    expect(checkReading(known, [slip], reading({ value: 60, entered: '60' }))).toEqual([])
    // With a lowest and a highest only, what lies between them is not asked about.
    expect(checkReading(plan, [], reading({ value: 610, entered: '610' }))[0]).toMatchObject({ code: 'slip-point', suggested: 61 })
    expect(checkReading(plan, [slip], reading({ value: 60, entered: '60' }))).toEqual([])
  })
})

describe('the first reading', () => {
  const codes = (plan: Plan, before: Reading[], entry: Partial<Reading>) =>
    checkReading(plan, before, reading({ entered: String(entry.value), ...entry })).map(({ code }) => code)

  it('is laid beside the other place of the same jar, the time before, and the group’s own last try', () => {
    const warm = withMethod(
      soakUpPlan({ kind: 'over-time', watch: { ...soakUpPlan().watch, times: [0, 5], places: ['top', 'bottom'] } }),
      (method) => ({ ...method, unit: 'degC', resolution: 0.5, expected: {}, expectedLow: null, expectedHigh: null }),
    )
    const top = reading({ moment: 't0p1', unit: 'degC', value: 20.5 })
    expect(codes(warm, [top], { moment: 't0p2', unit: 'degC', value: 69 })).toContain('slip-unit')
    expect(codes(warm, [top], { moment: 't0p2', unit: 'degC', value: 24 })).toEqual([])
    expect(codes(warm, [top], { moment: 't5p1', unit: 'degC', value: 69 })).toContain('slip-unit')
    expect(codes(warm, [top], { moment: 't5p1', unit: 'degC', value: 45 })).toEqual([])
    const bridge = withMethod(soakUpPlan({ kind: 'improve' }), (method) => ({ ...method, unit: 'count', resolution: 1 }))
    const [first, second] = bridge.conditions.map(({ id }) => id)
    const once = reading({ condition: first!, unit: 'count', value: 6 })
    expect(codes(bridge, [once], { condition: second!, unit: 'count', value: 90 })).toContain('slip-point')
    expect(codes(bridge, [once], { condition: second!, unit: 'count', value: 17 })).toEqual([])
  })

  it('is laid beside what is expected in its container', () => {
    const weighed = withMethod(soakUpPlan(), (method) => ({
      ...method,
      unit: 'g',
      weighsEmpty: true,
      empties: { 'g1/kitchen-roll': 87 },
      expected: { 'kitchen-roll': 53 },
    }))
    expect(codes(weighed, [], { unit: 'g', value: 140 })).toEqual([])
    expect(codes(weighed, [], { unit: 'g', value: 1400 })).toContain('slip-point')
    // Nobody has said yet what this container weighs.
    expect(codes(weighed, [], { group: 'g2', unit: 'g', value: 140 })).toEqual([])
  })

  it('of a group is not made odd by what its later tries bring', () => {
    const bridge = withMethod(soakUpPlan({ kind: 'improve' }), (method) => ({ ...method, unit: 'count', resolution: 1 }))
    const tries = bridge.groups.flatMap(({ id: group }, g) =>
      bridge.conditions.map(({ id: condition }, c) =>
        reading({ group, condition, unit: 'count', value: 5 + (g % 2) + (g === 0 ? 8 * c : c), entered: '5' }),
      ),
    )
    expect(doubtfulReadings(bridge, tries).map(({ reading: { condition } }) => condition)).not.toContain(bridge.conditions[0]!.id)
  })
})

describe('the most that can be read', () => {
  const plan = withMethod(soakUpPlan(), (method) => ({ ...method, mostPossible: { 'kitchen-roll': 90 } }))
  const high = plan.groups.map(({ id: group }, g) => reading({ group, value: g === 0 ? 90 : 84 + (g % 4), entered: '90' }))
  const card = plan.groups.map(({ id: group }, g) => reading({ group, condition: 'card', value: 14 + (g % 3), entered: '14' }))
  const record = { ...EMPTY_RECORD, readings: [...high, ...card] }

  it('is asked about beyond it, and never at it', () => {
    const codes = (value: number) =>
      checkReading(plan, record.readings, reading({ value, entered: String(value) })).map(({ code }) => code)
    expect([codes(90), codes(91)]).toEqual([[], ['beyond']])
    expect(doubtWords(plan, 91, 'mm', { code: 'beyond', most: 90 })).toBe(
      '91\u202fmm is more than there can be: it ends at 90\u202fmm. Is it right?',
    )
  })

  it('is asked about in the middle of many that are beyond it, too', () => {
    const all = plan.groups.flatMap(({ id: group }) =>
      [1, 2, 3].map((repeat) => reading({ group, repeat, value: 95, entered: '95' })),
    )
    expect(doubtfulReadings(plan, all)).toHaveLength(all.length)
  })

  it('says nothing of the table of a group that was never there', () => {
    const of = (group: string) => JSON.stringify(groupReport(plan, record, group))
    expect([of('g1').includes('at least 90'), of('g2').includes('at least 85')]).toEqual([true, false])
  })

  it('makes an average at least that, in table, words and report', () => {
    const evidence = evidenceOf(plan, record)!
    expect(evidence.atLeast).toEqual([{ condition: 'kitchen-roll', most: 90, readings: 1 }])
    expect(sureSentences(plan, evidence).join(' ')).toContain(
      'Kitchen roll: 1 reading was at the end, 90\u202fmm, so its average is “at least”.',
    )
    expect(JSON.stringify(classReport(plan, record))).toMatch(/at least 86/)
    expect(evidenceOf(soakUpPlan(), record)!.atLeast).toEqual([])
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
    const fellows = [60, 62, 61, 64, 63, 60].map((value, place) => reading({ value, group: `g${place + 2}` }))
    expect(doubtfulReadings(plan, [...fellows, slip]).map((found) => found.reading.id)).toEqual([slip.id])
    expect(doubtfulReadings(plan, [...fellows, { ...slip, confirmed: true }])).toEqual([])
    expect(checkReading(plan, fellows, reading({ id: 'new', value: 62.4, unit: 'mm', entered: '6.24 cm' }))).toEqual([])
  })
})

describe('the grid', () => {
  const plan = soakUpPlan()

  it('knows what each group has done, and puts every condition once before any twice', () => {
    const rows = [reading(), reading({ condition: 'tissue', status: 'set-aside', reason: 'leaked' }), reading({ group: 'g2' })]
    const [alder] = progressOf(plan, rows)
    expect([alder!.done, alder!.all]).toEqual([1, 12])
    expect(nextTrial(plan, progressOf(plan, [])[1]!)).toMatchObject({ condition: 'tissue', repeat: 1 })
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
