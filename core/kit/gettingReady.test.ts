import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Material, type Plan } from '../lesson'
import { gettingReady } from '.'

const thing = newMaterial('thing', 'thing')
const planOf = (change: Partial<Material>, more: Partial<Plan> = {}) =>
  soakUpPlan({ materials: [{ ...thing, ...change }], ...more })

describe('gettingReady', () => {
  const ready = (change: Partial<NonNullable<Material['preparation']>>, day: Partial<Plan> = {}) => {
    const preparation = { kind: 'cut' as const, words: '', minutes: 0, secondsEach: 0, hours: 0, ...change }
    const start = { ...soakUpPlan().clock, start: '10:30' }
    return gettingReady(
      planOf({ per: 'trial', condition: 'card', spare: 0.1, preparation }, { date: '2026-03-12', clock: start, ...day }),
    )
  }
  it('works backwards from the lesson, one thing after the other', () => {
    // 31 strips at 30 s are 16 minutes; packing seven trays takes 14 minutes more.
    expect(ready({ secondsEach: 30 }).map(({ kind, minutes, planned }) => [kind, minutes, planned])).toEqual([
      ['cut', 16, { day: '2026-03-12', time: '10:00' }],
      ['pack', 14, { day: '2026-03-12', time: '10:16' }],
    ])
  })
  it('keeps out of the night and off days without school', () => {
    const [frozen] = ready({ kind: 'freeze', minutes: 10, hours: 12 })
    expect(frozen).toMatchObject({ wanted: { day: '2026-03-11', time: '22:20' }, planned: { day: '2026-03-11', time: '20:50' } })
    const [monday] = ready({ kind: 'soak', minutes: 10, hours: 24 }, { date: '2026-03-09' })
    expect(monday).toMatchObject({
      wanted: { day: '2026-03-08' },
      planned: { day: '2026-03-06', time: '20:50' },
      moved: ['day-off'],
    })
  })
  it('has no times while the lesson has no day', () => {
    expect(ready({}, { date: '' }).every(({ planned }) => planned === undefined)).toBe(true)
  })
})
