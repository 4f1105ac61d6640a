import { summarise, type Summary } from './averages'
import { fitCells, wobbleWithin, type Cell, type CellFit } from './cells'
import type { Friedman } from './friedman'
import type { FromNothing } from './fromNothing'
import type { AgainstKnown } from './known'
import { type Model, type Observation } from './model'
import type { MomentStep } from './moments'
import type { SetAside } from './setAside'
import type { Neighbours, Reach } from './neighbours'
import { pairsOf, type Pair } from './pairs'
import { slopesTest, type SlopesTest } from './slopes'
import { wholeOf, type Whole } from './whole'
import { rangeByLuck } from '../chance'
import type { AtItsEnd, MomentAverage } from '../record'
import type { NotFair } from './fairly'
import type { Sorted } from './sorting'

/**
 * How sure the class can be. `nothing-yet` stands for no readings to compare, `one-condition` for a class that looked at one thing only,
 * `not-fair` for conditions of which no two are a fair comparison.
 */
export type Grade = 'clear' | 'leaning' | 'cannot-tell' | 'same' | 'nothing-yet' | 'one-condition' | 'not-fair'

/** Why the grade is no better: all but the last keep it from being clear. */
export type Limit = 'one-reading-each' | 'uneven-readings' | 'same-thing' | 'unfinished' | 'no-freedom' | 'also-seen' | 'few-groups'

const CLEAR_BELOW = 0.05
const LEANING_BELOW = 0.2
const FEW_FREEDOM = 2

export interface EvidenceOptions {
  /** The instrument's mark, same unit as the values. */
  resolution: number
  /** All the wobble that is expected of one reading. */
  totalSd: number
  /** The smallest difference worth talking about; 0 leaves it to the mark. */
  differenceThatMatters: number
  /** The same thing comes again in every trial of a condition. */
  sameThing?: boolean
  /** However many read it, there is one real thing of each condition. */
  oneSpecimen?: boolean
  /** Places of the plan are still empty. */
  unfinished?: boolean
  /** What conditions stand for, where they are numbers. */
  numbers?: ReadonlyMap<string, number> | undefined
}

export interface ConditionSummary extends Summary {
  condition: string
  /** The average with the groups' levels evened out. */
  evened: number
}

export interface Gap {
  /** The condition with the larger average. */
  more: string
  less: string
  difference: number
  /** The difference counted in wobbles; undefined where no wobble is known. */
  wobbles: number | undefined
}

export interface GradedPair extends Pair {
  grade: Grade
}

export interface Evidence {
  /** Does the changed thing matter at all, over all conditions. */
  grade: Grade
  limits: Limit[]
  /** Everything that has results, compared or not. */
  summaries: ConditionSummary[]
  /** Conditions that are compared, the largest evened average first; with places, who came first. */
  order: string[]
  /** Conditions level with the first one, it among them; empty where it is first alone. */
  tied: string[]
  /** From the largest to the smallest average. */
  spread: Gap | undefined
  /** From the largest to the next one, and how sure that is; undefined where they are level. */
  lead: (Gap & { grade: Grade }) | undefined
  /** Standard deviation of readings round the mean of their cell. */
  wobble: number | undefined
  fit: CellFit | undefined
  model: Model | undefined
  /** What the grade goes by. */
  whole: Whole | undefined
  /** Instead of a model, where values only say an order. */
  friedman: Friedman | undefined
  /** Every pair that can be compared, and how sure that comparison is. */
  pairs: GradedPair[]
  /** Where values only say an order: each one and the next. */
  neighbours: Neighbours[]
  reach: Reach | undefined
  /** Instead of averages and an order, where words have none. */
  sorted: Sorted | undefined
  agreement: Agreement | undefined
  /** Changes against nothing at all, by condition. */
  fromNothing: FromNothing[]
  /** Against a value known from elsewhere; undefined where there is none. */
  known: AgainstKnown | undefined
  /** One of several questions that are asked at once, of measures or series; undefined where it is the only one. */
  family: { of: number; p: number } | undefined
  /** Readings that were set aside when results could be seen; undefined where there are none. */
  setAside: SetAside | undefined
  /** What was read at its end, and gives at least that. */
  atLeast: AtItsEnd[]
  /** From moment to moment, where moments have names. */
  steps: MomentStep[]
  /** Where one place is compared with another at one time: what was read at each. */
  atPlaces: MomentAverage[]
  /** What cannot be compared fairly, and what would mend it. */
  notFair: NotFair | undefined
}

export interface Agreement {
  /** Groups whose own averages put the class winner first, alone. */
  agreeing: string[]
  /** Groups in which something else came out level with it. */
  level: string[]
  /** Groups that have readings of the winner and of another condition. */
  asked: string[]
}

export const NOTHING_WEIGHED: Evidence = {
  grade: 'nothing-yet',
  limits: [],
  summaries: [],
  order: [],
  tied: [],
  spread: undefined,
  lead: undefined,
  wobble: undefined,
  fit: undefined,
  model: undefined,
  whole: undefined,
  friedman: undefined,
  pairs: [],
  neighbours: [],
  reach: undefined,
  sorted: undefined,
  agreement: undefined,
  fromNothing: [],
  known: undefined,
  family: undefined,
  setAside: undefined,
  atLeast: [],
  steps: [],
  atPlaces: [],
  notFair: undefined,
}

/**
 * The class's evidence from numbers: evened averages, gap against wobble, grade. `clear` p <= 0.05, `leaning` p <= 0.20 (F test of condition
 * after group on the means of cells, `whole.ts`), otherwise `cannot-tell`; `same` when the 90 % interval of every pair (`pairs.ts`) lies within the larger of
 * one mark and the difference that matters. `same` goes first: a gap below one mark is nothing this instrument can show, however sure.
 * @param observations kept results in one unit
 * @param said         all of them, where what is weighed stands for several of them
 * @example weighEvidence([{ group: 'A', condition: 'x', value: 1 }], { resolution: 1, totalSd: 1, differenceThatMatters: 0 }).grade
 *   // 'one-condition'
 */
export function weighEvidence(observations: Observation[], options: EvidenceOptions, said = observations): Evidence {
  if (observations.length === 0) return NOTHING_WEIGHED
  const fit = fitCells(observations, options.resolution)
  const { evened, model } = fit
  const wobble = said === observations ? fit.wobble : wobbleWithin(said)
  const summaries = summariesOf(said, evened)
  const order = orderBy(mainPiece(fit), (id) => -evened.get(id)!)
  const own = pairsOf(fit, observations, options.resolution)
  const whole = wholeOf(fit, own, slopesOf(fit, options))
  const base = { ...NOTHING_WEIGHED, summaries, fit, model, whole, wobble, order }
  const limits = limitsOf(fit, options)
  if (summaries.length === 1) return { ...base, grade: 'one-condition', limits }
  const [first, second, last] = [order[0]!, order[1], order.at(-1)!]
  if (second === undefined) return { ...base, grade: 'nothing-yet', limits }
  const gapOf = (more: string, less: string): Gap => {
    const difference = evened.get(more)! - evened.get(less)!
    return { more, less, difference, wobbles: wobble ? difference / wobble : undefined }
  }
  const tied = order.filter((id) => isLevel(evened.get(id)!, evened.get(first)!))
  const spread = gapOf(first, last)
  // Where most were read once, nobody has seen how much they wobble.
  const mostOnce = limits.includes('uneven-readings') && readOnce(fit.cells).length > summaries.length / 2
  const judged = capped(limits, gradeOverall(whole, own, spread.difference, order.length, options))
  const grade = mostOnce && judged === 'leaning' ? 'cannot-tell' : judged
  const pairs = own.map((pair) => {
    const apart = within(pair, options) ? 'same' : gradeOfP(pair.pHolm)
    return { ...pair, grade: noSurerThan(grade, capped(limits, apart)) }
  })
  const ofLead = model
    ? gradeOfPair(pairs, first, second)
    : gradeWithoutFreedom(gapOf(first, second).difference, order.length, options)
  return {
    ...base,
    grade,
    limits,
    tied: tied.length > 1 ? tied : [],
    spread,
    lead: tied.length > 1 ? undefined : { ...gapOf(first, second), grade: noSurerThan(grade, ofLead) },
    pairs,
    agreement: agreementOn(first, observations),
  }
}

function slopesOf({ cells, onCells, perCell }: CellFit, { numbers, resolution }: EvidenceOptions): SlopesTest | undefined {
  if (!numbers || !onCells || !cells.every(({ condition }) => numbers.has(condition))) return undefined
  return slopesTest(
    cells.map(({ group, condition, value }) => ({ group, x: numbers.get(condition)!, y: value })),
    resolution ** 2 / (12 * perCell),
  )
}

/** Averages and ranges of what was read, condition by condition. */
export function summariesOf(observations: Observation[], evened: Map<string, number>): ConditionSummary[] {
  return [...valuesBy(observations, (one) => one.condition)].map(([condition, values]) => ({
    condition,
    evened: evened.get(condition)!,
    ...summarise(values)!,
  }))
}

/** Conditions that are compared with each other: the largest set that chains of groups connect. */
export function mainPiece({ pieces }: { pieces: string[][] }): string[] {
  return pieces.reduce((largest, piece) => (piece.length > largest.length ? piece : largest), pieces[0] ?? [])
}

export function orderBy(ids: string[], sizeOf: (id: string) => number): string[] {
  return [...ids].sort((a, b) => (isLevel(sizeOf(a), sizeOf(b)) ? 0 : sizeOf(a) - sizeOf(b)))
}

/** Sums of decimals differ behind the tenth digit where they are the same. */
export function isLevel(a: number, b: number): boolean {
  return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a), Math.abs(b))
}

/**
 * Groups whose own averages put the class's winner first, and those in which another is level with it.
 * @example agreementOn('x', [{ group: 'A', condition: 'x', value: 5 }, { group: 'A', condition: 'y', value: 5 }])
 *   // => { agreeing: [], level: ['A'], asked: ['A'] }
 */
export function agreementOn(winner: string, observations: Observation[]): Agreement {
  const agreement: Agreement = { agreeing: [], level: [], asked: [] }
  for (const [group, own] of groupObservations(observations)) {
    const averages = [...valuesBy(own, (one) => one.condition)].map(([condition, values]) => ({
      condition,
      mean: values.reduce((sum, value) => sum + value, 0) / values.length,
    }))
    const winners = averages.find((one) => one.condition === winner)
    if (!winners || averages.length < 2) continue
    const others = averages.filter((one) => one !== winners)
    agreement.asked.push(group)
    if (others.some(({ mean }) => mean > winners.mean && !isLevel(mean, winners.mean))) continue
    if (others.some(({ mean }) => isLevel(mean, winners.mean))) agreement.level.push(group)
    else agreement.agreeing.push(group)
  }
  return agreement
}

function limitsOf(
  { groups, readings, cells, df, onCells }: CellFit,
  { sameThing, oneSpecimen, unfinished }: EvidenceOptions,
): Limit[] {
  const one = new Set(cells.map(({ condition }) => condition)).size === 1
  const limits: [Limit, boolean | undefined][] = [
    ['one-reading-each', groups === 1 && readings === cells.length],
    ['uneven-readings', readings > cells.length && readOnce(cells).length > 0],
    ['same-thing', oneSpecimen ? groups > 1 || readings > cells.length : groups === 1 && sameThing && readings > cells.length],
    ['unfinished', unfinished],
    ['no-freedom', onCells && df < 1],
    ['few-groups', onCells && df >= 1 && df <= FEW_FREEDOM],
  ]
  return limits.flatMap(([limit, holds]) => (holds && (!one || limit === 'unfinished' || limit === 'same-thing') ? [limit] : []))
}

/**
 * Conditions that were read once in the whole class.
 * @example readOnce([{ group: 'A', condition: 'x', value: 1, count: 1 }, { group: 'A', condition: 'y', value: 2, count: 3 }]) // => ['x']
 */
export function readOnce(cells: Cell[]): string[] {
  const counts = new Map<string, number>()
  for (const { condition, count } of cells) counts.set(condition, (counts.get(condition) ?? 0) + count)
  return [...counts].flatMap(([condition, count]) => (count === 1 ? [condition] : []))
}

/**
 * The grade under these limits: leaning at most, but for few groups. That all is the same is as strong a claim as that something differs.
 */
export function capped(limits: Limit[], grade: Grade): Grade {
  if (limits.every((limit) => limit === 'few-groups')) return grade
  return grade === 'same' ? 'cannot-tell' : grade === 'clear' ? 'leaning' : grade
}

function gradeOverall(
  whole: Whole | undefined,
  pairs: Pair[],
  difference: number,
  conditions: number,
  options: EvidenceOptions,
): Grade {
  if (!whole) return gradeWithoutFreedom(difference, conditions, options)
  return pairs.every((pair) => within(pair, options)) ? 'same' : gradeOfP(whole.judged)
}

function gradeOfPair(pairs: GradedPair[], a: string, b: string): Grade {
  return pairs.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a))?.grade ?? 'cannot-tell'
}

const SURENESS: Grade[] = ['nothing-yet', 'cannot-tell', 'leaning', 'clear']

/** A pair is told apart only where the whole is: looked at beside each other, both tests would claim too often. */
export function noSurerThan(whole: Grade, pair: Grade): Grade {
  if (pair === 'same') return pair
  return SURENESS[Math.min(SURENESS.indexOf(whole), SURENESS.indexOf(pair))] ?? 'cannot-tell'
}

export function gradeOfP(p: number): Grade {
  if (p <= CLEAR_BELOW) return 'clear'
  return p <= LEANING_BELOW ? 'leaning' : 'cannot-tell'
}

/** Nothing to judge wobble by but what is expected of it. */
function gradeWithoutFreedom(difference: number, conditions: number, { totalSd }: EvidenceOptions): Grade {
  return Math.abs(difference) > rangeByLuck(conditions) * totalSd ? 'leaning' : 'cannot-tell'
}

function within(pair: Pair, { resolution, differenceThatMatters }: EvidenceOptions): boolean {
  const most = Math.max(resolution, differenceThatMatters)
  return pair.low90 > -most && pair.high90 < most
}

function groupObservations(observations: Observation[]): Map<string, Observation[]> {
  const groups = new Map<string, Observation[]>()
  for (const one of observations) {
    const own = groups.get(one.group)
    if (own) own.push(one)
    else groups.set(one.group, [one])
  }
  return groups
}

function valuesBy(observations: Observation[], keyOf: (one: Observation) => string): Map<string, number[]> {
  const values = new Map<string, number[]>()
  for (const one of observations) {
    const own = values.get(keyOf(one))
    if (own) own.push(one.value)
    else values.set(keyOf(one), [one.value])
  }
  return values
}
