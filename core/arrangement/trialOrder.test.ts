import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { type Plan } from '../lesson'
import { withKind } from '../test'
import { nextTrial, progressOf } from '../record'
import { orderLine, trialNumbers } from '../wording'
import { readingTimetable } from '../clock'
import { balancedOrder, orderKindOf, orderOfRepeat, runsInAll, runsOf, trialOrderOf, trialsByGroup, type OwnTrial } from '.'

const plan = soakUpPlan()
const letters = (trials: OwnTrial[]) =>
  trials.map(({ condition }) => 'ABCD'[plan.conditions.findIndex(({ id }) => id === condition)]).join('')
const ordered = (of: Plan, group: string) => letters(trialOrderOf(of).get(group)!)

describe('a balanced order', () => {
  it('follows Williams: every condition follows every other equally often over the groups', () => {
    expect(balancedOrder(4, 0)).toEqual([0, 1, 3, 2])
    expect(balancedOrder(5, 0)).toEqual([0, 1, 4, 2, 3])
    expect(orderOfRepeat(2, 0, 1)).toEqual([1, 0])
    const after = new Map<string, number>()
    for (let group = 0; group < 4; group += 1) {
      const order = balancedOrder(4, group)
      order.slice(1).forEach((one, place) => after.set(`${order[place]}${one}`, (after.get(`${order[place]}${one}`) ?? 0) + 1))
    }
    expect([...after.values()]).toEqual(Array.from({ length: 12 }, () => 1))
  })

  it('k goes with group and repeat, and every second repeat the other way round', () => {
    expect(orderOfRepeat(4, 1, 0)).toEqual(balancedOrder(4, 1))
    expect(orderOfRepeat(4, 1, 1)).toEqual(balancedOrder(4, 1).reverse())
    expect(orderOfRepeat(4, 1, 2)).toEqual(balancedOrder(4, 3))
  })
})

describe('the order of trials', () => {
  it('is each group’s own, has all its trials and the retests last', () => {
    expect([ordered(plan, 'g1'), ordered(plan, 'g2')]).toEqual(['ABDCCDBACDBA', 'BCADDACBDACB'])
    const again = { ...plan, retests: [{ group: 'g1', condition: 'tissue', repeat: 4 }] }
    expect(ordered(again, 'g1')).toBe('ABDCCDBACDBAB')
    for (const way of ['every-group', 'share-out', 'together'] as const) {
      const arranged = { ...plan, arrangement: { ...plan.arrangement, way } }
      for (const [group, trials] of trialsByGroup(arranged)) {
        const key = ({ condition, repeat }: OwnTrial) => `${condition}/${repeat}`
        expect(trialOrderOf(arranged).get(group)!.map(key).sort()).toEqual(trials.map(key).sort())
      }
    }
  })

  it('in blocks each group starts elsewhere; tries keep their order; watching has none', () => {
    const blocks = { ...plan, arrangement: { ...plan.arrangement, order: 'blocks' as const } }
    expect([ordered(blocks, 'g1'), ordered(blocks, 'g2')]).toEqual(['AAABBBDDDCCC', 'BBBCCCAAADDD'])
    expect(ordered(withKind(plan, 'improve'), 'g3')).toBe('AAABBBCCCDDD')
    expect(orderKindOf(withKind(plan, 'over-time'))).toBe('as-written')
    expect(orderKindOf(soakUpPlan({ arrangement: { ...plan.arrangement, way: 'circuit' } }))).toBe('blocks')
  })

  it('is the same on station, sheet, label and timetable', () => {
    expect(orderLine(plan, 'g2')).toBe('B C A D · D A C B · D A C B')
    const rows = [] as ReturnType<typeof reading>[]
    const asked: string[] = []
    for (let trial = 0; trial < 12; trial += 1) {
      const next = nextTrial(plan, progressOf(plan, [...rows])[1]!)!
      asked.push(`${next.condition}/${next.repeat}`)
      rows.push(reading({ group: 'g2', condition: next.condition, repeat: next.repeat }))
    }
    expect(asked).toEqual(
      trialOrderOf(plan)
        .get('g2')!
        .map(({ condition, repeat }) => `${condition}/${repeat}`),
    )
    const numbers = trialNumbers(plan, 'g2')
    expect(asked.map((key) => numbers.get(key))).toEqual(Array.from({ length: 12 }, (_, place) => place + 1))
  })

  it('all together a race is one turn of one group, and three races are three', () => {
    const race = withKind({ ...plan, arrangement: { ...plan.arrangement, way: 'together' } }, 'order')
    const trials = trialsByGroup(race)
    expect(trials.get('g1')!.map(({ repeat }) => repeat)).toEqual([1, 1, 1, 1])
    expect([...trials.values()].map((own) => runsOf(race, own))).toEqual([1, 1, 1, 0, 0, 0, 0])
    expect(runsOf(plan, trialsByGroup(plan).get('g1')!)).toBe(12)
    expect(runsInAll({ ...plan, practice: 1 }, 'g1')).toBe(16)
    expect(runsInAll({ ...race, practice: 1 }, 'g1')).toBe(2)
  })
})

it('no time of reading is rounded: quarters of a minute do not clash', () => {
  const { starts, readings } = readingTimetable({
    jars: 3,
    times: [0.25, 0.5, 1.25],
    minutesPerReading: 0.25,
    instruments: 1,
    grid: 0.5,
  })
  expect(readings.map(({ start, jar, time }) => start - starts[jar]! - [0.25, 0.5, 1.25][time]!)).toEqual(readings.map(() => 0))
  const spans = readings.map(({ start }) => start).sort((a, b) => a - b)
  expect(spans.every((start, place) => place === 0 || start >= spans[place - 1]! + 0.25 - 1e-9)).toBe(true)
})
