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
  const wordAt = observations.map(({ value }) => words.indexOf(value))
  const of = (at: number[]) => statisticOf(at, wordAt, conditions.length, words.length)
  const conditionAt = observations.map(({ condition }) => conditions.indexOf(condition))
  const seen = of(conditionAt)
  const random = seededRandom(SEED)
  const units = unitsOf(observations, sameThing)
  const arranged = [...conditionAt]
  let reached = 1
  for (let draw = 1; draw <= DRAWS; draw += 1) {
    for (const own of units) arrange(own, conditionAt, arranged, random)
    if (of(arranged) >= seen - 1e-9) reached += 1
    if (reached > OFTEN_ENOUGH) return { statistic: seen, p: reached / (draw + 1) }
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

/** The conditions of a group's units, dealt out anew. */
function arrange(units: number[][], conditionAt: number[], arranged: number[], random: Random): void {
  const dealt = units.map((unit) => conditionAt[unit[0]!]!)
  for (let place = dealt.length - 1; place > 0; place -= 1) {
    const other = Math.floor(random() * (place + 1))
    ;[dealt[place], dealt[other]] = [dealt[other]!, dealt[place]!]
  }
  for (const [place, unit] of units.entries()) for (const at of unit) arranged[at] = dealt[place]!
}

function statisticOf(conditionAt: number[], wordAt: number[], conditions: number, words: number): number {
  const counts = new Array<number>(conditions * words).fill(0)
  const [rows, columns] = [new Array<number>(conditions).fill(0), new Array<number>(words).fill(0)]
  for (const [at, condition] of conditionAt.entries()) {
    counts[condition * words + wordAt[at]!]! += 1
    rows[condition]! += 1
    columns[wordAt[at]!]! += 1
  }
  let sum = 0
  for (let row = 0; row < conditions; row += 1)
    for (let column = 0; column < words; column += 1) {
      const expected = (rows[row]! * columns[column]!) / conditionAt.length
      if (expected > 0) sum += (counts[row * words + column]! - expected) ** 2 / expected
    }
  return sum
}

/**
 * The evidence of words without an order: nothing is ranked and nothing averaged; what stands for a condition is what most said.
 * @example weighSorts([{ group: 'A', condition: 'x', value: 2 }]).sorted!.said[0]!.most // => [2]
 */
export function weighSorts(
  observations: Observation[],
  { sameThing = false, unfinished = false }: { sameThing?: boolean; unfinished?: boolean } = {},
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
    ...(oneGroup && sameThing ? (['same-thing'] as const) : []),
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
