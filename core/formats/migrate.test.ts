import { expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { migratePlan } from '.'

/** A plan as version 1 stored it. */
function planOfVersion1(): unknown {
  const { words: _words, frame: _frame, ...plan } = structuredClone(soakUpPlan())
  const wonder = { ...plan.wonder, noticed: [{ id: 'a', text: 'the edge is wavy' }] }
  const measures = plan.measures.map(({ method: { atOnce: _atOnce, ...method }, ...measure }) => ({ ...measure, method }))
  return { ...plan, schemaVersion: 1, wonder, measures }
}

it('a plan of version 1 comes up to date with everything that was in it', () => {
  const plan = migratePlan(planOfVersion1(), 1)
  expect(planSchema.validate(plan).error).toBeUndefined()
  expect(plan).toEqual(
    soakUpPlan({ wonder: { ...soakUpPlan().wonder, noticed: [{ id: 'a', text: 'the edge is wavy', kept: false }] } }),
  )
})

it('what is not a plan comes back for the schema to refuse', () => {
  for (const nonsense of [
    null,
    7,
    'plan',
    [],
    { measures: 'none', wonder: 3 },
    { measures: [null, 5], wonder: { noticed: [null] } },
  ]) {
    expect(planSchema.validate(migratePlan(nonsense, 1)).error).toBeDefined()
  }
})
