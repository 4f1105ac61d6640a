import { expect, it } from 'vitest'
import { counter, emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { type Plan, type Placing } from '../lesson'
import { everyMomentOf, planFrom } from '../test'
import { lostWith } from './homes'
import { countedReadings, homed } from '.'

const plan = soakUpPlan()
const without = (id: string): Plan => ({ ...plan, groups: plan.groups.filter((group) => group.id !== id) })
const newId = counter('p')
const placing = (row: string, change: Partial<Placing>): Placing => ({
  ...{ id: newId(), group: null, of: 'reading', row, to: null, condition: null, aside: false, by: 'desk' },
  at: '2026-03-12T11:00:00.000Z',
  ...change,
})

it('a record whose rows all have a home is left as it is', () => {
  const record = { ...emptyRecord, readings: [reading()] }
  expect(homed(plan, record).record).toBe(record)
})

it('rows without a home count nowhere and wait for the teacher, who gives them away with their earlier forms or puts them aside', () => {
  const [slip, lost, other] = [reading({ group: 'g2', value: 6 }), reading({ group: 'g2', condition: 'gone' }), reading()]
  const mended = reading({ group: 'g2', supersedes: slip.id })
  const record = { ...emptyRecord, readings: [slip, mended, lost, other] }
  const before = homed(without('g2'), record)
  expect(before.strays.map(({ row, lacks }) => [row.id, lacks])).toEqual([
    [mended.id, 'group'],
    [lost.id, 'group'],
  ])
  expect(before.record.readings).toEqual([other])
  const half = { ...record, placings: [placing(mended.id, { to: 'g3' }), placing(lost.id, { to: 'g3' })] }
  const after = homed(without('g2'), half)
  // Its condition is gone, too: another group alone is no home for it.
  expect(after.strays.map(({ row }) => row.id)).toEqual([lost.id])
  expect(countedReadings(without('g2'), after.record.readings).map(({ id, group }) => [id, group])).toEqual([
    [mended.id, 'g3'],
    [other.id, 'g1'],
  ])
  expect(after.record.readings.map(({ id }) => id)).toEqual([slip.id, mended.id, other.id])
  const all = homed(without('g2'), { ...half, placings: [...half.placings, placing(lost.id, { aside: true })] })
  expect([all.strays, all.aside.map(({ row }) => row.id)]).toEqual([[], [lost.id]])
  // What was said is taken back by saying nothing of a place.
  const back = homed(without('g2'), { ...half, placings: [placing(lost.id, { aside: true }), placing(lost.id, {})] })
  expect(back.strays.map(({ row }) => row.id)).toContain(lost.id)
  // With its group back it is at home again, whatever was said meanwhile.
  expect(homed(plan, { ...half, placings: [placing(mended.id, { aside: true })] }).record.readings).toContain(mended)
})

it('a plan loses what is used, was there and is gone, and nothing that was missing before', () => {
  const used = { groups: new Set(['g2', 'never']), conditions: new Set(['tissue']), moments: new Set(['']) }
  expect(lostWith(plan, without('g2'), used)).toBe('group')
  expect(lostWith(without('g2'), without('g2'), used)).toBeUndefined()
  expect(lostWith(plan, { ...plan, conditions: plan.conditions.filter(({ id }) => id !== 'tissue') }, used)).toBe('condition')
  // Another kind of test is another matter: its readings wait, and come back with the kind.
  expect(lostWith(plan, { ...plan, kind: 'before-after' }, used)).toBeUndefined()
  const sprouts = planFrom(INVESTIGATIONS['sprout-watch']!, 'Puffin', 26, counter('s'))
  const fewer = { ...sprouts, watch: { ...sprouts.watch, times: sprouts.watch.times.slice(0, -1) } }
  const read = {
    groups: new Set<string>(),
    conditions: new Set<string>(),
    moments: new Set(everyMomentOf(sprouts).map(({ id }) => id)),
  }
  expect(lostWith(sprouts, fewer, read)).toBe('moment')
})
