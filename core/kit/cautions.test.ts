import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type Plan } from '../lesson'
import { mindLines } from '../wording'
import { cautionsAtTrial, cautionsOf, cautionsSeen, doerOf } from '.'

const thing = newMaterial('thing', 'thing')

describe('cautionsOf', () => {
  const list = (plan: Plan) => cautionsOf(plan).map(({ caution, doer, acknowledged }) => [caution, doer, acknowledged])
  it('finds cautions in names and keeps those given by hand, with who does it', () => {
    const materials = [
      { ...thing, name: 'kettle of hot water' },
      { ...thing, id: 'b', name: 'rubber band', cautions: ['glass'] },
    ]
    expect(list(soakUpPlan({ materials, factors: [], cautionsAcknowledged: ['spill'] }))).toEqual([
      ['hot', 'adult-only', false],
      ['glass', 'adult-beside', false],
      ['latex', 'child', false],
      ['snapping', 'adult-beside', false],
      ['spill', 'child', true],
    ])
  })

  it('leaves guillotines and knives to adults, and scissors to children with one beside', () => {
    expect([doerOf('blade', 'Guillotine'), doerOf('blade', 'scissors'), doerOf('blade', 'scissors, bread knife')]).toEqual([
      'adult-only',
      'adult-beside',
      'adult-beside',
    ])
    const materials = [{ ...thing, name: 'guillotine' }]
    expect(list(soakUpPlan({ materials, factors: [] }))).toContainEqual(['blade', 'adult-only', false])
  })

  it.each<[string, Partial<Plan>, string[]]>([
    [
      'the conditions, as numbers',
      { conditionsAs: 'numbers', conditionUnit: 'degC', conditions: [{ id: 'h', label: '60', baseline: false, leftOut: false }] },
      ['conditions'],
    ],
    [
      'the conditions, as kinds',
      { conditions: [{ id: 'h', label: 'water at 60 °C', baseline: false, leftOut: false }] },
      ['conditions'],
    ],
    ['how it is done', { resetList: ['water back to 50 °C'] }, ['method']],
  ])('finds what is hotter than 45 °C in %s', (_, change, from) => {
    const plan = soakUpPlan({ materials: [], factors: [], ...change })
    expect(cautionsOf(plan).find(({ caution }) => caution === 'hot')).toMatchObject({ doer: 'adult-only', from })
  })
  it('40 °C is not hot', () => {
    expect(list(soakUpPlan({ materials: [], factors: [], resetList: ['at 40 °C'] }))).toEqual([['spill', 'child', false]])
  })

  it('never loses one: where it does not apply, the reason stands beside it', () => {
    const plan = soakUpPlan({ cautionsNotHere: { blade: 'cut at home' }, cautionsAcknowledged: ['spill'] })
    expect(cautionsOf(plan).find(({ caution }) => caution === 'blade')).toMatchObject({ notHere: 'cut at home' })
    expect(cautionsSeen(plan)).toBe(true)
    expect(cautionsSeen({ ...plan, ownCautions: [{ id: 'o', text: 'wet floor', doer: 'child', acknowledged: false }] })).toBe(false)
  })
})

describe('at a trial', () => {
  const kettle = { ...thing, id: 'kettle', name: 'kettle of hot water', condition: 'tissue' }
  it('a group is told what it meets there, and nobody is offered an adult’s step', () => {
    const plan = soakUpPlan({ materials: [kettle, { ...thing, name: 'guillotine' }, { ...thing, id: 'b', name: 'glass jar' }] })
    expect(cautionsAtTrial(plan, 'tissue')).toEqual(['hot', 'glass', 'spill'])
    expect(cautionsAtTrial(plan, 'card')).toEqual(['glass', 'spill'])
    expect(mindLines(plan, ['tissue'])[0]).toBe('Hot: an adult pours. Wait, and do not touch.')
  })
  it('what does not apply is not said, and an adult’s own caution neither', () => {
    const ownCautions = [
      { id: 'a', text: 'wet floor by the sink', doer: 'child' as const, acknowledged: true },
      { id: 'b', text: 'I pour the acid', doer: 'adult-only' as const, acknowledged: true },
    ]
    const plan = soakUpPlan({ cautionsNotHere: { spill: 'outside' }, ownCautions })
    expect(mindLines(plan, ['tissue'])).toEqual(['wet floor by the sink'])
  })
})
