import { seededRandom, type Random } from '../chance'
import { capped, gradeOfP, NOTHING_WEIGHED, summariesOf, type Evidence, type Limit } from './grade'
import type { Observation } from './model'

/** What words without an order say: which word each condition got, how often, and whether that differs by more than luck. */
export interface Sorted {
  /** By condition; words by their place in the plan's list, 1 for the first. */
  said: { condition: string; counts: Map<number, number>; most: number[]; of: number }[]
  /** Of all that groups did, how often a group's own word was the class's; undefined where there is one group. */
  agreeing: { cells: number; of: number } | undefined
  /** Undefined while there is nothing to tell apart. */
  test: { statistic: number; p: number } | undefined
}

const DRAWS = 10_000
const SEED = 1900
/** So many arrangements that reach it say well enough that luck does it often (Besag and Clifford, 1991). */
const OFTEN_ENOUGH = 1000
/** So few among the first ones say well enough that luck seldom does it: one in a hundred is four standard errors from one in twenty. */
const [FIRST_DRAWS, RARE_ENOUGH] = [500, 5]

/**
 * Do conditions get other words than each other, by more than luck? The statistic is that of a contingency table, the sum over conditions and words of
 * (count - expected)^2 / expected; its p is the share of up to 10,000 seeded arrangements of the words within each group that reach it (a permutation test, as in
 * Good, "Permutation, Parametric and Bootstrap Tests of Hypotheses", 6.4). Where the same thing comes again, its words go together.
 * @example wordsApart([{ group: 'A', condition: 'x', value: 1 }, { group: 'A', condition: 'y', value: 2 }])!.statistic // => 2
 * @returns undefined where there is one condition, or one word
 */
export function wordsApart(observations: Observation[], sameThing = false): { statistic: number; p: number } | undefined {
  const conditions = [...new Set(observations.map(({ condition }) => condition))]
  const words = [...new Set(observations.map(({ value }) => value))]
  if (conditions.length < 2 || words.length < 2) return undefined
  const table = tableOf(
    observations.map(({ value }) => words.indexOf(value)),
    observations.map(({ condition }) => conditions.indexOf(condition)),
  )
  const seen = statisticOf(table, table.conditionAt)
  const random = seededRandom(SEED)
  const units = unitsOf(observations, sameThing)
  const arranged = Int32Array.from(table.conditionAt)
  let reached = 1
  for (let draw = 1; draw <= DRAWS; draw += 1) {
    for (const own of units) arrange(own, arranged, random)
    if (statisticOf(table, arranged) >= seen - 1e-9) reached += 1
    const settled = reached > OFTEN_ENOUGH || (draw === FIRST_DRAWS && reached <= RARE_ENOUGH)
    if (settled) return { statistic: seen, p: reached / (draw + 1) }
  }
  return { statistic: seen, p: reached / (DRAWS + 1) }
}

/** What changes places within each group: single readings, or all readings of one thing. */
function unitsOf(observations: Observation[], together: boolean): number[][][] {
  const groups = new Map<string, Map<string, number[]>>()
  for (const [at, { group, condition }] of observations.entries()) {
    const own = groups.get(group) ?? new Map<string, number[]>()
    groups.set(group, own)
    const key = together ? condition : String(at)
    own.set(key, [...(own.get(key) ?? []), at])
  }
  return [...groups.values()].map((own) => [...own.values()])
}

/** The conditions of a group's units, dealt out anew: a shuffle of a shuffle is one, so it begins with how they lie. */
function arrange(units: number[][], arranged: Int32Array, random: Random): void {
  for (let place = units.length - 1; place > 0; place -= 1) {
    const unit = units[place]!
    const other = units[Math.floor(random() * (place + 1))]!
    const own = arranged[unit[0]!]!
    const its = arranged[other[0]!]!
    for (let at = 0; at < unit.length; at += 1) arranged[unit[at]!] = its
    for (let at = 0; at < other.length; at += 1) arranged[other[at]!] = own
  }
}

/** Which word and which condition each reading has, by number, and how often a word is expected of a condition: that stays while words are dealt out. */
interface Table {
  wordAt: Int32Array
  conditionAt: Int32Array
  words: number
  expected: Float64Array
}

function tableOf(wordAt: number[], conditionAt: number[]): Table {
  const [rows, columns] = [countsOf(conditionAt), countsOf(wordAt)]
  const expected = rows.flatMap((row) => columns.map((column) => (row * column) / wordAt.length))
  return {
    wordAt: Int32Array.from(wordAt),
    conditionAt: Int32Array.from(conditionAt),
    words: columns.length,
    expected: Float64Array.from(expected),
  }
}

function countsOf(numbers: number[]): number[] {
  const counts = new Array<number>(Math.max(...numbers) + 1).fill(0)
  for (const number of numbers) counts[number]! += 1
  return counts
}

function statisticOf({ wordAt, words, expected }: Table, conditionAt: Int32Array): number {
  const counts = new Float64Array(expected.length)
  for (let at = 0; at < conditionAt.length; at += 1) counts[conditionAt[at]! * words + wordAt[at]!]! += 1
  let sum = 0
  for (let cell = 0; cell < expected.length; cell += 1) sum += (counts[cell]! - expected[cell]!) ** 2 / expected[cell]!
  return sum
}

/**
 * The evidence of words without an order: nothing is ranked and nothing averaged; what stands for a condition is what most said.
 * @example weighSorts([{ group: 'A', condition: 'x', value: 2 }]).sorted!.said[0]!.most // => [2]
 */
export function weighSorts(
  observations: Observation[],
  {
    sameThing = false,
    oneSpecimen = false,
    unfinished = false,
  }: { sameThing?: boolean; oneSpecimen?: boolean; unfinished?: boolean } = {},
): Evidence {
  if (observations.length === 0) return NOTHING_WEIGHED
  const said = saidOf(observations)
  const summaries = summariesOf(observations, new Map(said.map(({ condition, most }) => [condition, most[0]!])))
  const test = wordsApart(observations, sameThing)
  const oneGroup = new Set(observations.map(({ group }) => group)).size === 1
  const agreeing = oneGroup ? undefined : agreementIn(said, observations)
  const base = { ...NOTHING_WEIGHED, summaries, sorted: { said, agreeing, test } }
  if (said.length === 1) return { ...base, grade: 'one-condition' }
  const limits: Limit[] = [
    ...(oneGroup && said.every(({ of }) => of === 1) ? (['one-reading-each'] as const) : []),
    ...(oneSpecimen || (oneGroup && sameThing) ? (['same-thing'] as const) : []),
    ...(unfinished ? (['unfinished'] as const) : []),
  ]
  return { ...base, limits, grade: test ? capped(limits, gradeOfP(test.p)) : 'cannot-tell' }
}

function saidOf(observations: Observation[]): Sorted['said'] {
  return [...new Set(observations.map(({ condition }) => condition))].map((condition) => {
    const counts = new Map<number, number>()
    for (const one of observations) if (one.condition === condition) counts.set(one.value, (counts.get(one.value) ?? 0) + 1)
    const highest = Math.max(...counts.values())
    const most = [...counts].filter(([, count]) => count === highest).map(([word]) => word)
    return { condition, counts, most: most.sort((a, b) => a - b), of: [...counts.values()].reduce((sum, count) => sum + count, 0) }
  })
}

/** How often what a group found more than anything else of a condition is what most of the class found. */
function agreementIn(said: Sorted['said'], observations: Observation[]): { cells: number; of: number } {
  const ofClass = new Map(said.map(({ condition, most }) => [condition, most]))
  const groups = [...new Set(observations.map(({ group }) => group))]
  const own = groups.flatMap((asked) => saidOf(observations.filter(({ group }) => group === asked)))
  const agrees = ({ condition, most }: Sorted['said'][number]) => most.every((word) => ofClass.get(condition)!.includes(word))
  return { cells: own.filter(agrees).length, of: own.length }
}
