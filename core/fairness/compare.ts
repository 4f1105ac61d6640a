/** What one condition has for each factor, by factor id; null where nobody knows. */
export interface Setting {
  condition: string
  values: Record<string, string | null>
}

export interface Pair {
  a: string
  b: string
  /** `same` when the pair does not differ in the changed factor at all. */
  status: 'fair' | 'unfair' | 'unknown' | 'same'
  /** Factors other than the changed one that differ. */
  differing: string[]
}

export interface DifferingFactor {
  factor: string
  /** Conditions by value, the value that most of them share first. */
  shares: { value: string; conditions: string[] }[]
}

export interface FairComparison {
  factor: string
  conditions: string[]
}

export interface FairCheck {
  /** No pair differs in what it should not, as far as anybody said. */
  fair: boolean
  /** Things to keep the same of which nobody said how: fair only if they are. */
  unsaid: string[]
  /** What comes with the changed one: the pairs compare both together. */
  comesWith: string[]
  pairs: Pair[]
  differing: DifferingFactor[]
  unknown: { factor: string; conditions: string[] }[]
  /** Sets of conditions that are fair among themselves for the changed factor, the largest first. */
  fairAmong: string[][]
  /** What else this set-up could answer fairly, for the factors that are not the changed one. */
  otherQuestions: FairComparison[]
}

/**
 * Which comparisons of a set-up are fair. A pair is fair for a factor when it differs in that factor and in no other one;
 * the plan is fair when all its pairs are. An unknown value makes its pairs unknown, unless they are unfair already.
 * @param settings conditions x factors
 * @param factors  ids of all factors, the changed one among them
 * @param changed  id of the changed factor
 * @example checkFairness([{condition:'A',values:{paper:'card',width:'2'}},{condition:'B',values:{paper:'tissue',width:'3'}}],
 *   ['paper','width'], 'paper').pairs[0] // { a: 'A', b: 'B', status: 'unfair', differing: ['width'] }
 */
export function checkFairness(settings: Setting[], factors: string[], changed: string): FairCheck {
  const others = factors.filter((factor) => factor !== changed)
  const pairs = allPairs(settings).map(([a, b]) => comparePair(a, b, others, changed))
  return {
    fair: pairs.length > 0 && pairs.every((pair) => pair.status === 'fair'),
    unsaid: [],
    comesWith: [],
    pairs,
    differing: others.map((factor) => sharesOf(settings, factor)).filter((found) => found.shares.length > 1),
    unknown: others
      .map((factor) => ({ factor, conditions: namesOf(settings.filter((one) => valueOf(one, factor) === null)) }))
      .filter((found) => found.conditions.length > 0),
    fairAmong: fairComparisons(settings, factors, changed).sort((a, b) => b.length - a.length),
    otherQuestions: others.flatMap((factor) =>
      fairComparisons(settings, factors, factor).map((conditions) => ({ factor, conditions })),
    ),
  }
}

/**
 * The fair comparisons that a set-up hides, the largest first: of the changed factor where not everything is fair already, and of
 * every other one.
 */
export function hiddenComparisons({ fair, fairAmong, otherQuestions }: FairCheck, changed: string): FairComparison[] {
  const own = fair ? [] : fairAmong.map((conditions) => ({ factor: changed, conditions }))
  return [...own, ...otherQuestions].sort((a, b) => b.conditions.length - a.conditions.length)
}

/** Where the table differs from what most conditions have: factor and condition of each such cell. */
export function oddCells({ differing }: FairCheck): { factor: string; condition: string }[] {
  return differing.flatMap(({ factor, shares: [, ...rest] }) =>
    rest.flatMap(({ conditions }) => conditions.map((condition) => ({ factor, condition }))),
  )
}

/**
 * The sets of conditions that compare one factor fairly: grouped by the values of all other factors, each set with two or
 * more different values of this one.
 */
function fairComparisons(settings: Setting[], factors: string[], factor: string): string[][] {
  const others = factors.filter((other) => other !== factor)
  const known = settings.filter((one) => factors.every((each) => valueOf(one, each) !== null))
  const classes = groupBy(known, (one) => JSON.stringify(others.map((other) => valueOf(one, other))))
  return [...classes.values()].filter((members) => new Set(members.map((one) => valueOf(one, factor))).size > 1).map(namesOf)
}

function comparePair(a: Setting, b: Setting, others: string[], changed: string): Pair {
  const differing = others.filter((factor) => {
    const [left, right] = [valueOf(a, factor), valueOf(b, factor)]
    return left !== null && right !== null && left !== right
  })
  const unknown = [...others, changed].some((factor) => valueOf(a, factor) === null || valueOf(b, factor) === null)
  const pair = { a: a.condition, b: b.condition, differing }
  if (differing.length > 0) return { ...pair, status: 'unfair' }
  if (unknown) return { ...pair, status: 'unknown' }
  return { ...pair, status: valueOf(a, changed) === valueOf(b, changed) ? 'same' : 'fair' }
}

function sharesOf(settings: Setting[], factor: string): DifferingFactor {
  const known = settings.filter((one) => valueOf(one, factor) !== null)
  const shares = [...groupBy(known, (one) => valueOf(one, factor)!)].map(([value, members]) => ({
    value,
    conditions: namesOf(members),
  }))
  return { factor, shares: shares.sort((a, b) => b.conditions.length - a.conditions.length) }
}

function valueOf(setting: Setting, factor: string): string | null {
  return setting.values[factor] ?? null
}

function namesOf(settings: Setting[]): string[] {
  return settings.map((one) => one.condition)
}

function allPairs<T>(items: T[]): [T, T][] {
  return items.flatMap((first, place) => items.slice(place + 1).map((second): [T, T] => [first, second]))
}

function groupBy<T>(items: T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const key = keyOf(item)
    const members = groups.get(key)
    if (members) members.push(item)
    else groups.set(key, [item])
  }
  return groups
}
