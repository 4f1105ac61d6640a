import { PLAN_VERSION, usualUse } from '../lesson'

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
  // The kit as people write it, cautions told apart, arrangements, instruments that take turns, jobs, children who are away.
  3: (plan) => ({
    ...plan,
    schemaVersion: 4,
    watch: into(plan.watch, { instruments: 1, among: 'group' }),
    groups: listInto(plan.groups, { away: [] }),
    materials: Array.isArray(plan.materials) ? plan.materials.map(materialOfThree) : plan.materials,
    ownCautions: [],
    cautionsAcknowledged: toldApart(plan.cautionsAcknowledged),
    cautionsNotHere: {},
    clock: into(plan.clock, { sideBySide: 1, fetchWhilePredicting: false }),
    arrangement: {
      way: 'every-group',
      each: 2,
      baselineInEvery: false,
      change: 'at-bell',
      walk: 30,
      copies: {},
      extra: [],
      draw: 0,
    },
    jobs: ['starter', 'measurer', 'recorder', 'checker'],
  }),
  // A second reader, pictures beside ordered words.
  4: (plan) => ({
    ...plan,
    schemaVersion: 5,
    secondReader: false,
    measures: Array.isArray(plan.measures)
      ? plan.measures.map((measure) =>
          into(measure, { method: into(isLoose(measure) ? measure.method : {}, { wordPictures: {} }) }),
        )
      : plan.measures,
  }),
  // Trials done once more, the class's own average and graph, its age, and notes on groups.
  5: (plan) => ({
    ...plan,
    schemaVersion: 6,
    retests: [],
    average: 'mean',
    averageTo: 'one-more',
    graph: null,
    age: '7-9',
    groupNotes: {},
  }),
  // Fresh things or the same, the order of trials, wobbles that nobody said, places that stay empty.
  6: (plan) => ({
    ...plan,
    schemaVersion: 7,
    begunIn: 6,
    things: takesFresh(plan.materials) ? 'fresh' : 'same',
    gapsStay: false,
    arrangement: into(plan.arrangement, { order: 'mixed', orderReason: '' }),
    measures: Array.isArray(plan.measures)
      ? plan.measures.map((measure) => into(measure, { method: wobblesOfSix(isLoose(measure) ? measure.method : {}) }))
      : plan.measures,
  }),
  // What is best.
  7: (plan) => ({ ...plan, schemaVersion: 8, measures: methodsInto(plan.measures, { best: null, bestNumber: null }) }),
  // What counts, and a known value.
  8: (plan) => ({
    ...plan,
    schemaVersion: 9,
    measures: methodsInto(plan.measures, {
      eachIs: 'shown',
      weighsEmpty: false,
      empties: {},
      counts: null,
      countsPlace: null,
      countsUntil: null,
      known: null,
      knownName: '',
      knownWeekly: null,
    }),
  }),
  // More than one thing at a time: measures, a second factor, moments with names.
  9: (plan) => ({
    ...plan,
    schemaVersion: 10,
    alsoMeasured: [],
    unmarked: null,
    seriesFactor: null,
    series: [],
    challenge: null,
    criteria: [],
    watch: into(plan.watch, { named: [] }),
  }),
  // Whose a record is.
  10: (plan) => ({ ...plan, schemaVersion: 11, each: 'group' }),
  // A child's code has a key beside it.
  11: (plan) => ({ ...plan, schemaVersion: 12, groups: listInto(plan.groups, { key: '' }) }),
  // A method has only what its way of reading knows; what was said of another way stands beside it.
  12: (plan) => ({
    ...plan,
    schemaVersion: 13,
    measures: Array.isArray(plan.measures) ? plan.measures.map(waysApart) : plan.measures,
  }),
  // One thing that the whole class looks at.
  13: (plan) => ({ ...plan, schemaVersion: 14 }),
  // Children who share a thing, a main question, what only counts by its size, what ends where the string does.
  14: (plan) => ({
    ...plan,
    schemaVersion: 15,
    mainQuestion: null,
    measures: Array.isArray(plan.measures) ? plan.measures.map(endsOfFourteen) : plan.measures,
    groups: listInto(plan.groups, { sharesWith: null }),
  }),
  // How long a trial holds what goes round, phases that testing may shorten, a class's own pace, trials that time was too short for.
  15: (plan) => ({
    ...plan,
    schemaVersion: 16,
    materials: Array.isArray(plan.materials)
      ? plan.materials.map((material) =>
          into(material, { inUse: usualUse(isLoose(material) && typeof material.name === 'string' ? material.name : '') }),
        )
      : plan.materials,
    clock: into(plan.clock, { least: {}, pace: null }),
    notDone: [],
  }),
  // What comes with what is changed; for whom an amount is, which nobody is asked again.
  16: (plan) => ({
    ...plan,
    schemaVersion: 17,
    factors: listInto(plan.factors, { comesWith: false }),
    materials: listInto(plan.materials, { perSaid: true }),
  }),
}

function endsOfFourteen(measure: unknown): unknown {
  if (!isLoose(measure)) return measure
  const more = (method: unknown) =>
    into(method, { bySize: false, ...(isLoose(method) && method.way === 'number' ? { mostPossible: {} } : {}) })
  const others = measure.otherWays
  return { ...measure, method: more(measure.method), otherWays: Array.isArray(others) ? others.map(more) : others }
}

function methodsInto(measures: unknown, more: Loose): unknown {
  if (!Array.isArray(measures)) return measures
  return measures.map((measure) => into(measure, { method: into(isLoose(measure) ? measure.method : {}, more) }))
}

const OF_EVERY_WAY = [
  ...['tool', 'trialWobble', 'expectedLow', 'expectedHigh', 'expected', 'expectedFrom'],
  ...['counts', 'countsPlace', 'countsUntil', 'best'],
]
const OF_A_WAY: Record<string, string[]> = {
  number: [
    ...['unit', 'resolution', 'readingWobble', 'timingWobble', 'atOnce', 'warmUp', 'differenceThatMatters'],
    ...['eachIs', 'weighsEmpty', 'empties', 'known', 'knownName', 'knownWeekly', 'bestNumber'],
  ],
  words: ['words', 'wordPictures'],
}

/** A measure of version 12, in which one list of fields served every way of reading. */
function waysApart(measure: unknown): unknown {
  if (!isLoose(measure) || !isLoose(measure.method)) return measure
  const { instrument = 'number', ...said } = measure.method
  const methodIn = (way: string): Loose => ({ way, ...some(said, [...OF_EVERY_WAY, ...(OF_A_WAY[way] ?? [])]) })
  const hadWords = instrument !== 'words' && Array.isArray(said.words) && said.words.length > 0
  return { ...measure, method: methodIn(String(instrument)), otherWays: hadWords ? [methodIn('words')] : [] }
}

function some(value: Loose, keys: string[]): Loose {
  return Object.fromEntries(keys.filter((key) => key in value).map((key) => [key, value[key]]))
}

/** Something that is used up in every trial was a fresh one each time. */
function takesFresh(materials: unknown): boolean {
  return Array.isArray(materials) && materials.some((one) => isLoose(one) && one.per === 'trial' && one.use === 'up')
}

/** Half a mark was what an instrument brought along, and nothing what nobody had said. */
function wobblesOfSix(method: unknown): unknown {
  if (!isLoose(method)) return method
  const { readingWobble, trialWobble, resolution } = method
  return {
    ...method,
    readingWobble: readingWobble === Number(resolution) / 2 ? null : readingWobble,
    trialWobble: trialWobble === 0 ? null : trialWobble,
  }
}

function materialOfThree(material: unknown): unknown {
  if (!isLoose(material)) return material
  const { stock, packSize, cautions, ...rest } = material
  const written = (figure: unknown) => (typeof figure === 'number' ? String(figure) : '')
  return {
    ...rest,
    rinse: 0,
    goesRound: null,
    thing: null,
    stock: written(stock),
    place: '',
    pack: written(packSize),
    price: '',
    density: null,
    substitutes: [],
    preparation: null,
    cautions: toldApart(cautions),
  }
}

/** Cautions of version 3 that became several. */
const TOLD_APART: Record<string, string[]> = {
  'hot-water': ['hot'],
  allergy: ['latex', 'food-allergy'],
  swallowing: ['small-parts'],
}

function toldApart(cautions: unknown): unknown {
  if (!Array.isArray(cautions)) return cautions
  return cautions.flatMap((caution) => (typeof caution === 'string' ? (TOLD_APART[caution] ?? [caution]) : [caution]))
}

/** What rows of an older file lack, from the oldest on. */
export function migrateRows(content: Loose, from: number): Loose {
  let rows = content
  if (from < 3) {
    rows = {
      ...rows,
      readings: listInto(rows.readings, { moment: '' }),
      predictions: listInto(rows.predictions, { as: 'order', values: {} }),
      remarks: [],
      pictures: [],
    }
  }
  if (from < 5) rows = { ...rows, observations: [] }
  if (from < 6) rows = { ...rows, conclusions: listInto(rows.conclusions, { group: null, from: null, by: 'desk' }) }
  if (from < 10) rows = { ...rows, feedbacks: [], improvements: [] }
  if (from < 12) rows = { ...rows, placings: [] }
  if (from < 15) rows = { ...rows, failures: [] }
  if (from < 17) rows = { ...rows, predictions: listInto(rows.predictions, { measure: null }) }
  return rows
}

/**
 * Brings a stored plan up to date, step by step. What is not a plan comes back as it was: the answer still has to be checked
 * against schemas/plan.ts.
 * @example migratePlan({ schemaVersion: 1, wonder: {}, measures: [] }, 1) // => { schemaVersion: PLAN_VERSION, words: 'change-measure', … }
 */
export function migratePlan(plan: unknown, from: number): unknown {
  let current = plan
  for (let version = Math.max(1, Math.trunc(from)); version < PLAN_VERSION && isLoose(current); version += 1)
    current = steps[version]!(current)
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
