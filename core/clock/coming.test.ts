import { nextTurn } from '../arrangement'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { type Plan } from '../lesson'
import { withKind } from '../test'
import { comingWords, soonWords } from '../wording'
import { comingUp, concerns, timetableOf } from '.'

describe('what comes up while the class tests', () => {
  const jars: Plan = {
    ...withKind(soakUpPlan(), 'over-time'),
    watch: { unit: 'min', times: [0, 2, 9], named: [], places: [], instruments: 1, among: 'group' },
    repeats: 1,
  }

  it('names the readings of the timetable with the seconds that are left, the soonest first', () => {
    const { readings } = timetableOf(jars)
    const elapsed = 90
    const due = readings.filter(({ start }) => start * 60 - elapsed > -20).sort((a, b) => a.start - b.start)
    const coming = comingUp(jars, elapsed)
    expect(coming.map(({ seconds }) => seconds)).toEqual(due.map(({ start }) => start * 60 - elapsed))
    expect(coming.every((one) => concerns(one, 'g3'))).toBe(true)
    expect(comingUp(jars, timetableOf(jars).finish * 60 + 60)).toEqual([])
    expect(comingWords(jars, coming[0]!, 'g1')).toMatch(/^Read [A-D] /)
    expect(comingWords(jars, coming[0]!)).toMatch(/^Everybody: read [A-D] /)
  })

  it('with the class’s instruments every jar is one group’s', () => {
    const shared = { ...jars, watch: { ...jars.watch, among: 'class' as const, instruments: 3 } }
    const [first] = comingUp(shared, 0)
    expect(comingWords(shared, first!)).toMatch(/^Alder reads A kitchen roll/)
    expect([concerns(first!, 'g1'), concerns(first!, 'g2')]).toEqual([true, false])
  })

  it('in a circuit every group is told where to go, extra stations by their name', () => {
    const circuit = soakUpPlan()
    circuit.arrangement = {
      ...circuit.arrangement,
      way: 'circuit',
      extra: [{ id: 'x', name: 'Write up', minutes: 4, copies: 3 }],
    }
    const moves = comingUp(circuit, 0)
    for (const { id } of circuit.groups) expect(moves.filter((one) => concerns(one, id))).toHaveLength(5)
    const words = moves.map((one) => comingWords(circuit, one, 'g1'))
    expect(words.some((one) => one.startsWith('Go to Write up, place'))).toBe(true)
    expect(words.some((one) => one === 'Go to B tissue')).toBe(true)
  })

  it('has nothing for a test without a timetable', () => expect(comingUp(soakUpPlan(), 30)).toEqual([]))

  it('counts down in words', () => expect([soonWords(40.2), soonWords(0), soonWords(-3)]).toEqual(['in 0:41', 'now', 'now']))
})

it('nextTurn gives the jobs of the next trial to those who are there', () => {
  const group = { jobs: ['starter', 'measurer'], seats: 4, away: [3] }
  expect(nextTurn(group, 1)).toEqual([
    { job: 'starter', seat: 2 },
    { job: 'measurer', seat: 4 },
  ])
  expect(nextTurn({ ...group, away: [1, 2, 3, 4] }, 0)).toEqual([])
})
