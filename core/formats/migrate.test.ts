import { existsSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { lessonFileSchema } from '../../schemas/record'
import { EVERY_KIND, newRemark, PLAN_VERSION } from '../lesson'
import { resolved } from '../test'
import { migratePlan, openLessonFile } from '.'

/** A plan as version 2 stored it: one kind of test, no pictures, remarks without an author. */
function planOfVersion2(): Record<string, unknown> {
  const { predictAs: _predictAs, asked: _asked, watch: _watch, ...plan } = structuredClone(soakUpPlan())
  const wonder = { hook: plan.wonder.hook, noticed: [{ id: 'a', text: 'the edge is wavy', kept: false }], maybe: [], wondered: [] }
  const measures = plan.measures.map(({ id, name, method }) => {
    // One list of fields served every way of reading.
    const { way: instrument, words: _w, expected: _e, expectedFrom: _f, warmUp: _u, ...said } = resolved(method)
    return { id, name, method: { instrument, ...said } }
  })
  const groups = plan.groups.map(({ wondering: _wondering, ...group }) => group)
  return { ...plan, schemaVersion: 2, wonder, measures, groups }
}

/** A plan as version 1 stored it: no words, no frame, remarks that nobody had kept yet, one event timed at once. */
function planOfVersion1(): unknown {
  const { words: _words, frame: _frame, ...plan } = planOfVersion2() as ReturnType<typeof soakUpPlan> & Record<string, unknown>
  const wonder = { ...plan.wonder, noticed: [{ id: 'a', text: 'the edge is wavy' }] }
  const measures = plan.measures.map(({ id, name, method }) => {
    const { atOnce: _atOnce, ...said } = method as { atOnce?: number }
    return { id, name, method: said }
  })
  return { ...plan, schemaVersion: 1, wonder, measures }
}

it.each([
  [1, planOfVersion1()],
  [2, planOfVersion2()],
])('a plan of version %i comes up to date with everything that was in it', (version, old) => {
  const plan = migratePlan(old, version)
  expect(planSchema.validate(plan).error).toBeUndefined()
  const now = soakUpPlan()
  const materials = now.materials.map((material) => ({ ...material, preparation: null, substitutes: [] }))
  // Nobody was asked what is best, and it is not assumed.
  const measures = now.measures.map((card) => ({ ...card, method: { ...card.method, best: null } }))
  // Judged anew since version 7: what was begun before says so, and its empty places are still open.
  expect(plan).toEqual({
    ...now,
    begunIn: 6,
    gapsStay: false,
    materials,
    measures,
    wonder: { ...now.wonder, noticed: [newRemark('a', 'the edge is wavy')] },
  })
})

it('an older lesson file keeps its readings and predictions', () => {
  const id = '0b7ee1a8-3f3d-4f55-9d5a-6b1f6f1f2a10'
  const at = '2026-03-12T10:55:00.000Z'
  const row = { id, group: 'g1', by: 'desk', at }
  const file = {
    format: 'jolly-beaker-lesson',
    schemaVersion: 2,
    savedAt: at,
    plan: planOfVersion2(),
    readings: [
      {
        ...row,
        condition: 'card',
        repeat: 1,
        practice: false,
        value: 14,
        unit: 'mm',
        entered: '14',
        status: 'kept',
        reason: '',
        confirmed: false,
        supersedes: null,
      },
    ],
    predictions: [{ ...row, order: ['card', 'tissue'], reason: 'it is thick', late: false }],
    conclusions: [{ id: row.id, text: 'Card is last.', hands: 20, agreed: true, at: row.at }],
  }
  const opened = openLessonFile(JSON.stringify(file))
  expect(opened.ok && lessonFileSchema.validate(opened.content).error).toBeUndefined()
  expect(opened).toMatchObject({
    content: {
      readings: [{ moment: '', value: 14 }],
      predictions: [{ as: 'order', values: {} }],
      remarks: [],
      pictures: [],
      conclusions: [{ group: null, from: null, by: 'desk' }],
    },
  })
})

it('what is not a plan comes back for the schema to refuse', () => {
  for (const nonsense of [
    null,
    7,
    'plan',
    [],
    { measures: 'none', wonder: 3, groups: 'all' },
    { measures: [null, 5], wonder: { noticed: [null] } },
  ]) {
    expect(planSchema.validate(migratePlan(nonsense, 1)).error).toBeDefined()
  }
})

it('a file that says a version before the first is taken for the first, at once', () => {
  expect(migratePlan(planOfVersion1(), -1e15)).toEqual(migratePlan(planOfVersion1(), 1))
})

describe('a file of today', () => {
  const SAVED = `test/before/version-${PLAN_VERSION}.beaker.json`

  it('is in the test data, with a row of every kind', () => {
    expect(existsSync(SAVED) ? '' : `${SAVED} is missing: save a lesson with a row of every kind under the new PLAN_VERSION`).toBe(
      '',
    )
    const saved = JSON.parse(readFileSync(SAVED, 'utf8')) as Record<string, unknown[] | undefined>
    const missing = EVERY_KIND.filter(({ list }) => !saved[list]?.length).map(
      ({ list }) => `the file of version ${PLAN_VERSION} has no ${list}: a further list is a further PLAN_VERSION`,
    )
    expect(missing).toEqual([])
  })

  it('comes back whole: no step of an older version takes anything from it', () => {
    const text = readFileSync(SAVED, 'utf8')
    const opened = openLessonFile(text)
    const { error, value } = lessonFileSchema.validate(opened.ok ? opened.content : {})
    expect(error?.message ?? '').toBe('')
    expect(value).toEqual(JSON.parse(text))
  })
})
