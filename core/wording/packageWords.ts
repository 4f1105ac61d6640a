import type { RowKindName, RowOf } from '../lesson'

type OtherKind = Exclude<RowKindName, 'reading'>
/** A column of any kind of row but readings, which have a table that also comes in again. */
export type RowColumn = { [Name in OtherKind]: keyof RowOf<Name> & string }[OtherKind]

/** What a data package says of its tables and of every column in them. */
export const PACKAGE_WORDS = {
  titles: {
    lesson: 'The whole lesson, as Jolly Beaker opens it',
    readings: 'Every reading, also those set aside or put right later',
    results: 'What every trial came to, as the class lets it count',
    conditions: 'What the factor was changed to',
    groups: 'The groups; children are never named',
  },
  readings: {
    group: 'Name of the group',
    condition: 'What the factor was changed to',
    repeat: 'Trial of this group and condition, 1 is the first',
    moment: 'When and where in the trial, empty where it is read once',
    measure: 'What was measured',
    value: 'The reading, in the unit beside it; the plan measures in',
    unit: 'Unit of the value',
    status: 'kept or set-aside; superseded where a later row takes its place',
    reason: 'Why it was set aside or put right',
    practice: 'yes for a practice trial, which never counts',
    confirmed: 'yes where somebody was asked about it and kept it',
    entered: 'The words as they were entered',
    by: 'desk, station or import',
    at: 'When it was entered',
    id: 'Identifier of the row',
    supersedes: 'Identifier of the row whose place it takes',
  },
  results: {
    group: 'Name of the group',
    condition: 'What the factor was changed to',
    repeat: 'Trial of this group and condition, 1 is the first',
    measure: 'What was measured',
    value: 'What counts',
    unit: 'Unit of the value',
    counts: 'Which figure of the trial it is: reading, last, change, loss, of-100, rate, total, average, highest or until',
  },
  conditions: {
    letter: 'Letter on board, tray and graph',
    name: 'Name of the condition',
    baseline: 'yes for the baseline',
    tested: 'no where it was left out',
  },
  groups: { group: 'Name of the group', shape: 'Its badge', seats: 'Children in it' },
} as const

/** `valueWords('mm') // 'The reading, in the unit beside it; the plan measures in mm'` */
export function valueWords(symbol: string): string {
  return `${PACKAGE_WORDS.readings.value} ${symbol || 'counts'}`
}

/** `resultValueWords(['mm', 'counts']) // 'What counts, in mm or counts; empty where it was not reached'` */
export function resultValueWords(units: string[]): string {
  return `${PACKAGE_WORDS.results.value}, in ${units.join(' or ')}; empty where it was not reached`
}

export const ROW_TITLES: Record<OtherKind, string> = {
  prediction: 'What groups and the class expected',
  conclusion: 'Sentences of the groups and of the class',
  remark: 'What groups noticed, guessed and wondered',
  observation: 'What groups saw while they tested',
  improvement: 'What groups changed for each try, and why',
  feedback: 'What groups told each other after a visit: one thing well, one to work on',
  failure: 'Trials that ended without a number, and why',
  placing: 'Rows that the plan had no place for any more, and where the teacher put each',
}

/** What the columns of rows hold, whichever kind they are of. */
export const COLUMN_WORDS: Record<RowColumn, string> = {
  id: 'Identifier of the row',
  of: 'Which kind of row was given a place',
  row: 'Identifier of the row that was given a place',
  to: 'Group that it was given to; empty where its group stands',
  aside: 'Whether it was put aside',
  group: 'Name of the group; empty for the class',
  condition: 'What the factor was changed to; empty where it belongs to none',
  repeat: 'Trial of this group and condition, 1 is the first',
  as: 'What was predicted: an order, numbers, a line, a change, or hands up',
  order: 'Conditions, the most first, as a list in JSON',
  values: 'Numbers by condition or moment, in JSON',
  reason: 'Why',
  measure: 'Mark of the card that it is about; empty for the one without a mark',
  late: 'yes where it was made after the first reading that counts',
  from: 'Identifier of the row that it grew from',
  text: 'The words',
  hands: 'Hands up for it',
  agreed: 'yes where the class agreed on it',
  list: 'noticed, maybe or wondered',
  kind: 'words, sketch or photo',
  what: 'What was changed',
  why: 'Why it was thought to help',
  about: 'Name of the group that it is about',
  well: 'One thing done well',
  next: 'One thing to work on',
  picture: 'Identifier of the picture in the lesson file',
  by: 'desk, station or import',
  at: 'When it was written',
}
