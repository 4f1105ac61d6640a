export const PLAN_VERSION = 3

type Loose = Record<string, unknown>

/** One step per version: `steps[1]` turns a plan of version 1 into one of version 2. */
const steps: Record<number, (plan: Loose) => Loose> = {
  // The class's words, the frame of a prediction, remarks that somebody kept where they were, several events timed at once.
  1: (plan) => ({
    ...plan,
    schemaVersion: 2,
    words: 'change-measure',
    frame: 'i-think',
    wonder: each(plan.wonder, (list) => listInto(list, { kept: false })),
    measures: Array.isArray(plan.measures)
      ? plan.measures.map((measure) => into(measure, { method: into(isLoose(measure) ? measure.method : {}, { atOnce: 1 }) }))
      : plan.measures,
  }),
  // Further kinds of test and predictions, pictures, remarks from stations, wonderings that are weighed and chosen.
  2: (plan) => ({
    ...plan,
    schemaVersion: 3,
    predictAs: 'order',
    asked: { whose: 'teacher', chosen: null },
    wonder: into(
      each(plan.wonder, (list) => listInto(list, { by: null, later: false, answers: {} })),
      { pictures: [], takenAway: [] },
    ),
    watch: { unit: 'min', times: [], places: [] },
    measures: Array.isArray(plan.measures)
      ? plan.measures.map((measure) =>
          into(measure, {
            method: into(isLoose(measure) ? measure.method : {}, { words: [], expected: {}, expectedFrom: 'guess', warmUp: [] }),
          }),
        )
      : plan.measures,
    groups: listInto(plan.groups, { wondering: null }),
  }),
}

/** What rows of an older file lack. */
export function migrateRows(content: Loose, from: number): Loose {
  if (from >= 3) return content
  return {
    ...content,
    readings: listInto(content.readings, { moment: '' }),
    predictions: listInto(content.predictions, { as: 'order', values: {} }),
    remarks: [],
    pictures: [],
  }
}

/**
 * Brings a stored plan up to date, step by step. What is not a plan comes back as it was: the answer still has to be checked
 * against schemas/plan.ts.
 * @example migratePlan({ schemaVersion: 1, wonder: {}, measures: [] }, 1) // { schemaVersion: 2, words: 'change-measure', … }
 */
export function migratePlan(plan: unknown, from: number): unknown {
  let current = plan
  for (let version = from; version < PLAN_VERSION && isLoose(current); version += 1) current = steps[version]?.(current) ?? current
  return current
}

function isLoose(value: unknown): value is Loose {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function into(value: unknown, more: Loose): unknown {
  return isLoose(value) ? { ...value, ...more } : value
}

function listInto(value: unknown, more: Loose): unknown {
  return Array.isArray(value) ? value.map((one) => into(one, more)) : value
}

function each(value: unknown, change: (inner: unknown) => unknown): unknown {
  return isLoose(value) ? Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, change(inner)])) : value
}
