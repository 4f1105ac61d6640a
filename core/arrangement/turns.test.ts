import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import type { Plan } from '../lesson'
import { trialsByGroup } from '.'

function turnsOf(conditions: number, repeats: number, groups: number, change: Partial<Plan> = {}): string[][] {
  const base = soakUpPlan()
  const plan = soakUpPlan({
    repeats,
    conditions: Array.from({ length: conditions }, (_, c) => ({ id: `c${c}`, label: `k${c}`, baseline: false, leftOut: false })),
    groups: Array.from({ length: groups }, (_, g) => ({ ...base.groups[0]!, id: `g${g}` })),
    arrangement: { ...base.arrangement, way: 'together' },
    ...change,
  })
  return [...trialsByGroup(plan).values()].map((own) => own.map(({ condition }) => condition))
}

describe('turns at one apparatus', () => {
  it('fall on the groups evenly, and no group has a condition oftener than it must', () => {
    for (let conditions = 2; conditions <= 6; conditions += 1)
      for (let repeats = 1; repeats <= 8; repeats += 1)
        for (let groups = 1; groups <= 10; groups += 1) {
          const turns = turnsOf(conditions, repeats, groups)
          const counts = turns.map((own) => own.length)
          const said = `${conditions} conditions, ${repeats} repeats, ${groups} groups`
          expect(Math.max(...counts) - Math.min(...counts), said).toBeLessThanOrEqual(1)
          expect(turns.flat().length, said).toBe(conditions * repeats)
          const oftenest = turns.flatMap((own) => own.map((one) => own.filter((other) => other === one).length))
          expect(Math.max(...oftenest), said).toBe(Math.ceil(repeats / groups))
        }
  })

  it('stay as they were in a lesson that was begun before', () => {
    expect(turnsOf(2, 5, 5, { begunIn: 14 })).toEqual([
      ['c0', 'c0'],
      ['c1', 'c0'],
      ['c1', 'c1'],
      ['c0', 'c0'],
      ['c1', 'c1'],
    ])
  })
})
