import { mean } from 'simple-statistics'
import { summarise, type Summary } from './averages'
import { friedman, type Friedman } from './friedman'
import { fitGroupsAndConditions, type Model, type Observation, type PairContrast } from './model'

/** How sure the class can be. `nothing-yet` stands for fewer than two conditions with readings. */
export type Grade = 'clear' | 'leaning' | 'cannot-tell' | 'same' | 'nothing-yet'

const CLEAR_BELOW = 0.05
const LEANING_BELOW = 0.2

export interface EvidenceOptions {
  /** The instrument's mark, same unit as the values. */
  resolution: number
  /** Measuring wobble of one reading. */
  measuringSd: number
  /** The smallest difference worth talking about; 0 leaves it to the mark. */
  differenceThatMatters: number
}

/** Values that only say an order: places (1 comes first) or ordered words (1 is the least). */
export type Ordinal = 'places' | 'words'

export interface ConditionSummary extends Summary {
  condition: string
}

export interface Gap {
  /** The condition with the larger average. */
  more: string
  less: string
  difference: number
  /** The difference counted in wobbles; undefined where no wobble is known. */
  wobbles: number | undefined
}

export interface GradedPair extends PairContrast {
  grade: Grade
}

export interface Evidence {
  /** Does the changed thing matter at all, over all conditions. */
  grade: Grade
  /** Why the grade is no better than leaning: one reading each. */
  oneReadingEach: boolean
  summaries: ConditionSummary[]
  /** Conditions with readings, the largest average first; with places, who came first. */
  order: string[]
  /** From the largest to the smallest average. */
  spread: Gap | undefined
  /** From the largest to the next one, and how sure that is. */
  lead: (Gap & { grade: Grade }) | undefined
  /** Standard deviation of one reading round its condition, groups evened out. */
  wobble: number | undefined
  model: Model | undefined
  /** Instead of a model, where values only say an order. */
  friedman: Friedman | undefined
  /** Every pair that can be compared, and how sure that comparison is. */
  pairs: GradedPair[]
  agreement: Agreement | undefined
}

export interface Agreement {
  /** Groups whose own averages put the class winner first. */
  agreeing: string[]
  /** Groups that have readings of the winner and of another condition. */
  asked: string[]
}

/**
 * The class's evidence: averages, gap against wobble, grade. `clear` p <= 0.05, `leaning` p <= 0.20 (F test of condition
 * after group), otherwise `cannot-tell`; `same` when the 90 % interval of every pair lies within the larger of one mark and the
 * difference that matters. `same` goes first: a gap below one mark is nothing this instrument can show, however sure. Without
 * degrees of freedom it is never clear: leaning at most, when the gap is over three measuring wobbles of a difference.
 * @param observations kept readings in one unit
 */
export function weighEvidence(observations: Observation[], options: EvidenceOptions): Evidence {
  const byCondition = valuesBy(observations, (one) => one.condition)
  const summaries = [...byCondition].map(([condition, values]) => ({ condition, ...summarise(values)! }))
  const ranked = [...summaries].sort((a, b) => b.mean - a.mean)
  const model = ranked.length > 1 ? fitGroupsAndConditions(observations, options.resolution) : undefined
  const wobble = model ? Math.sqrt(model.residualVariance) : undefined
  const first = ranked[0]
  const pairs = (model?.pairs ?? []).map(
    (pair) => ({ ...pair, grade: within(pair, options) ? 'same' : gradeOfP(pair.pHolm) }) as const,
  )
  const evidence = {
    oneReadingEach: ranked.length > 1 && model === undefined,
    friedman: undefined,
    summaries,
    order: ranked.map((one) => one.condition),
    wobble,
    model,
    pairs,
    agreement: first ? agreementOn(first.condition, observations) : undefined,
  }
  const [second, last] = [ranked[1], ranked.at(-1)]
  if (!first || !second || !last) return { ...evidence, grade: 'nothing-yet', spread: undefined, lead: undefined }
  const grade = gradeOverall(model, first.mean - last.mean, options)
  const ofLead = model
    ? gradeOfPair(pairs, first.condition, second.condition)
    : gradeWithoutRepeats(first.mean - second.mean, options)
  return {
    ...evidence,
    pairs: pairs.map((pair) => ({ ...pair, grade: noSurerThan(grade, pair.grade) })),
    grade,
    spread: gap(first, last, wobble),
    lead: { ...gap(first, second, wobble), grade: noSurerThan(grade, ofLead) },
  }
}

/**
 * The evidence of values that only say an order: Friedman's test over the groups, or over the repeats of one group. Averages are
 * averages of places or of words' numbers, for telling who is ahead and for nothing else.
 */
export function weighOrder(observations: (Observation & { repeat: number })[], ordinal: Ordinal): Evidence {
  const sign = ordinal === 'places' ? 1 : -1
  const summaries = [...valuesBy(observations, (one) => one.condition)].map(([condition, values]) => ({
    condition,
    ...summarise(values)!,
  }))
  const sorted = [...summaries].sort((a, b) => sign * (a.mean - b.mean))
  const [first, second, last] = [sorted[0], sorted[1], sorted.at(-1)]
  const oneGroup = new Set(observations.map(({ group }) => group)).size === 1
  const test = friedman(oneGroup ? observations.map((one) => ({ ...one, group: String(one.repeat) })) : observations)
  const grade = test ? gradeOfP(test.p) : 'cannot-tell'
  const evidence = {
    oneReadingEach: false,
    friedman: test,
    summaries,
    order: sorted.map((one) => one.condition),
    wobble: undefined,
    model: undefined,
    pairs: [],
    agreement: first
      ? agreementOn(
          first.condition,
          observations.map((one) => ({ ...one, value: -sign * one.value })),
        )
      : undefined,
  }
  if (!first || !second || !last) return { ...evidence, grade: 'nothing-yet', spread: undefined, lead: undefined }
  // The test says that an order is there; that the first two are told apart it does not say.
  const ahead = { ...gap(first, second, undefined), grade: grade === 'clear' ? ('leaning' as const) : grade }
  return { ...evidence, grade, spread: gap(first, last, undefined), lead: ahead }
}

/** Share of groups whose own averages put the class's winner first, ties counted as agreeing. */
export function agreementOn(winner: string, observations: Observation[]): Agreement {
  const agreeing: string[] = []
  const asked: string[] = []
  for (const [group, own] of groupObservations(observations)) {
    const averages = [...valuesBy(own, (one) => one.condition)].map(([condition, values]) => ({ condition, mean: mean(values) }))
    const winners = averages.find((one) => one.condition === winner)
    if (!winners || averages.length < 2) continue
    asked.push(group)
    if (averages.every((one) => one.mean <= winners.mean)) agreeing.push(group)
  }
  return { agreeing, asked }
}

function gradeOverall(model: Model | undefined, difference: number, options: EvidenceOptions): Grade {
  if (!model) return gradeWithoutRepeats(difference, options)
  if (model.pairs.every((pair) => within(pair, options))) return 'same'
  return gradeOfP(model.p)
}

function gradeOfPair(pairs: GradedPair[], a: string, b: string): Grade {
  return pairs.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a))?.grade ?? 'cannot-tell'
}

const SURENESS: Grade[] = ['nothing-yet', 'cannot-tell', 'leaning', 'clear']

/** A pair is told apart only where the whole is: looked at beside each other, both tests would claim too often. */
function noSurerThan(whole: Grade, pair: Grade): Grade {
  if (pair === 'same') return pair
  return SURENESS[Math.min(SURENESS.indexOf(whole), SURENESS.indexOf(pair))]!
}

function gradeOfP(p: number): Grade {
  if (p <= CLEAR_BELOW) return 'clear'
  return p <= LEANING_BELOW ? 'leaning' : 'cannot-tell'
}

function gradeWithoutRepeats(difference: number, { measuringSd }: EvidenceOptions): Grade {
  return Math.abs(difference) > 3 * Math.SQRT2 * measuringSd ? 'leaning' : 'cannot-tell'
}

function within(pair: PairContrast, { resolution, differenceThatMatters }: EvidenceOptions): boolean {
  const most = Math.max(resolution, differenceThatMatters)
  return pair.low90 > -most && pair.high90 < most
}

function gap(more: ConditionSummary, less: ConditionSummary, wobble: number | undefined): Gap {
  const difference = more.mean - less.mean
  return { more: more.condition, less: less.condition, difference, wobbles: wobble ? difference / wobble : undefined }
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
