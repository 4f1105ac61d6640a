import {
  activeConditions,
  changedFactor,
  conditionName,
  conditionValue,
  keptFactors,
  type LessonRecord,
  type Plan,
} from '../lesson'
import { specimensOf } from '../arrangement'
import { canBeNothing, comesAgain, countsOf, resultMark, resultUnit, testOf } from '../test'
import { methodTotalSd } from '../measuring'
import { convert, unitOf, withoutNoise, type ResultUnit } from '../quantity'
import { resultsAs } from '../record'
import { fAbove } from '../chance'
import { weighEvidence, type Evidence } from './grade'
import { evidenceOf } from './ofLesson'
import { fitCells } from './cells'
import type { Observation } from './model'

export interface OtherClass {
  plan: Plan
  record: LessonRecord
}

/** Where two lessons are not the same test. What is `grave` makes their numbers no answer to one question. */
export type TestDifference =
  | { code: 'kind'; grave: true }
  | { code: 'changed'; grave: true; ours: string; theirs: string }
  | { code: 'measured'; grave: true; ours: string; theirs: string }
  | { code: 'unit-of-another-kind'; grave: true; ours: string; theirs: string }
  | { code: 'few-shared'; grave: true; shared: number }
  | { code: 'only-ours'; grave: false; names: string[] }
  | { code: 'only-theirs'; grave: false; names: string[] }
  | { code: 'kept-otherwise'; grave: false; factor: string; ours: string; theirs: string }
  | { code: 'not-kept-by-them'; grave: false; factor: string }
  | { code: 'not-kept-by-us'; grave: false; factor: string }
  | { code: 'instrument'; grave: false; ours: string; theirs: string }

export interface TwoTests {
  differences: TestDifference[]
  /** May be compared: nothing grave. */
  comparable: boolean
  /** Conditions of the same name or number, by both ids. */
  shared: { ours: string; theirs: string }[]
}

/**
 * Is it the same test? Cards and conditions are compared by what they say, since each class made its own.
 * @example compareTests(soakUpPlan(), soakUpPlan()).differences // => []
 */
export function compareTests(ours: Plan, theirs: Plan): TwoTests {
  const differences: TestDifference[] = []
  const names = (plan: Plan) => ({
    changed: changedFactor(plan)?.name ?? '',
    measured: testOf(plan).measure?.name ?? '',
    method: testOf(plan).method,
  })
  const [us, them] = [names(ours), names(theirs)]
  const shared = sharedConditions(ours, theirs)
  if (ours.kind !== theirs.kind) differences.push({ code: 'kind', grave: true })
  if (!sameWords(us.changed, them.changed))
    differences.push({ code: 'changed', grave: true, ours: us.changed, theirs: them.changed })
  if (!sameWords(us.measured, them.measured))
    differences.push({ code: 'measured', grave: true, ours: us.measured, theirs: them.measured })
  if (us.method && them.method && unitOf(us.method.unit).dimension !== unitOf(them.method.unit).dimension) {
    const symbols = { ours: unitOf(us.method.unit).symbol, theirs: unitOf(them.method.unit).symbol }
    differences.push({ code: 'unit-of-another-kind', grave: true, ...symbols })
  }
  if (shared.length < 2) differences.push({ code: 'few-shared', grave: true, shared: shared.length })
  const left = (plan: Plan, side: 'ours' | 'theirs') =>
    activeConditions(plan).flatMap((one) => (shared.some((pair) => pair[side] === one.id) ? [] : [conditionName(plan, one)]))
  const [onlyOurs, onlyTheirs] = [left(ours, 'ours'), left(theirs, 'theirs')]
  if (onlyOurs.length > 0) differences.push({ code: 'only-ours', grave: false, names: onlyOurs })
  if (onlyTheirs.length > 0) differences.push({ code: 'only-theirs', grave: false, names: onlyTheirs })
  if (us.method && them.method && !sameWords(us.method.tool, them.method.tool))
    differences.push({ code: 'instrument', grave: false, ours: us.method.tool, theirs: them.method.tool })
  differences.push(...keptOtherwise(ours, theirs))
  return { differences, comparable: differences.every(({ grave }) => !grave), shared }
}

export interface Pooled {
  /** Both classes together, each group of each class a block of its own. */
  evidence: Evidence
  ours: Evidence
  theirs: Evidence
  /** Do the classes differ in what the conditions do? p of class by condition; undefined where it cannot be tested. */
  interaction: { F: number; p: number } | undefined
}

/**
 * Two classes as one: their kept readings of the shared conditions, in our unit. A class's own level (their water was warmer) goes out with its groups. Whether the
 * conditions did something else in the other class is an F test of the two models apart against the one together.
 */
export function poolClasses(us: OtherClass, them: OtherClass, { shared }: TwoTests): Pooled | undefined {
  const { amount: method } = testOf(us.plan)
  if (!method || countsOf(us.plan) === 'until') return undefined
  const options = {
    resolution: Math.max(resultMark(us.plan), theirMark(them.plan, us.plan)),
    totalSd: methodTotalSd(us.plan, method),
    differenceThatMatters: method.differenceThatMatters,
    sameThing: comesAgain(us.plan) || comesAgain(them.plan),
    oneSpecimen: [us.plan, them.plan].some((plan) => specimensOf(plan) === 'one'),
    unfinished: [us, them].some(({ plan, record }) => evidenceOf(plan, record)?.limits.includes('unfinished')),
  }
  const named = new Map(shared.map(({ ours, theirs }) => [theirs, ours]))
  const fairly = [us, them].map(({ plan, record }) => evidenceOf(plan, record)?.notFair?.compared)
  const isFair = (pair: { ours: string; theirs: string }) =>
    (fairly[0]?.includes(pair.ours) ?? true) && (fairly[1]?.includes(pair.theirs) ?? true)
  const compared = new Set(shared.filter(isFair).map(({ ours }) => ours))
  const own = observationsOf(us, 'ours', (id) => (compared.has(id) ? id : undefined), us.plan)
  const other = observationsOf(them, 'theirs', (id) => (compared.has(named.get(id) ?? '') ? named.get(id) : undefined), us.plan)
  return {
    evidence: weighEvidence([...own, ...other], options),
    ours: weighEvidence(own, options),
    theirs: weighEvidence(other, options),
    interaction: interactionOf(own, other, options.resolution),
  }
}

/** On the means of cells, one a group and condition; where a class is one group there is no group to tell luck by. */
function interactionOf(own: Observation[], other: Observation[], resolution: number): Pooled['interaction'] {
  const parts = [[...own, ...other], own, other]
  if (parts.some((some) => some.length === 0)) return undefined
  const [together, ours, theirs] = parts.map((some) => fitCells(some, resolution))
  if (!together!.onCells || !ours!.onCells || !theirs!.onCells || !together!.model || !ours!.model || !theirs!.model)
    return undefined
  const [df1, df2] = [together!.df - ours!.df - theirs!.df, ours!.df + theirs!.df]
  if (df1 < 1 || df2 < 1) return undefined
  const apart = ours!.model.residualSum + theirs!.model.residualSum
  const variance = Math.max(apart / df2, resolution ** 2 / (12 * together!.perCell))
  const F = Math.max(0, together!.model.residualSum - apart) / df1 / variance
  return { F, p: fAbove(F, df1, df2) }
}

function observationsOf(
  { plan, record }: OtherClass,
  side: string,
  idOf: (id: string) => string | undefined,
  ours: Plan,
): Observation[] {
  const counted = countsOf(ours)
  const [from, to] = [resultUnit(plan, counted), resultUnit(ours)]
  const turned = (value: number) => (canBeNothing(ours) ? stepIn(value, from, to) : convert(value, from, to))
  return resultsAs(plan, record.readings, counted).flatMap(({ group, condition, value }) => {
    const [id, converted] = [idOf(condition), turned(value)]
    return id === undefined || converted === undefined ? [] : [{ group: `${side}/${group}`, condition: id, value: converted }]
  })
}

function theirMark(theirs: Plan, ours: Plan): number {
  const counted = countsOf(ours)
  return Math.abs(stepIn(resultMark(theirs, counted), resultUnit(theirs, counted), resultUnit(ours)) ?? 0)
}

/** A step and not a point on the scale: degrees differ by a zero that drops out. */
function stepIn(step: number, from: ResultUnit, to: ResultUnit): number | undefined {
  const [one, none] = [convert(step, from, to), convert(0, from, to)]
  return one === undefined || none === undefined ? undefined : withoutNoise(one - none)
}

function sharedConditions(ours: Plan, theirs: Plan): TwoTests['shared'] {
  return activeConditions(ours).flatMap((one) => {
    const number = conditionValue(ours, one)
    const twin = activeConditions(theirs).find((other) => {
      const value = conditionValue(theirs, other)
      if (number === undefined || value === undefined) return sameWords(conditionName(ours, one), conditionName(theirs, other))
      const converted = convert(value, theirs.conditionUnit, ours.conditionUnit)
      return converted !== undefined && Math.abs(converted - number) <= 1e-6 * Math.max(1, Math.abs(number))
    })
    return twin ? [{ ours: one.id, theirs: twin.id }] : []
  })
}

function keptOtherwise(ours: Plan, theirs: Plan): TestDifference[] {
  const [kept, other] = [keptFactors(ours), keptFactors(theirs)]
  const twinIn = (factors: typeof kept, name: string) => factors.find((one) => sameWords(one.name, name))
  return [
    ...kept.flatMap((factor): TestDifference[] => {
      const twin = twinIn(other, factor.name)
      if (!twin) return [{ code: 'not-kept-by-them', grave: false, factor: factor.name }]
      if (factor.how === '' || twin.how === '' || sameWords(factor.how, twin.how)) return []
      return [{ code: 'kept-otherwise', grave: false, factor: factor.name, ours: factor.how, theirs: twin.how }]
    }),
    ...other.flatMap((factor): TestDifference[] =>
      twinIn(kept, factor.name) ? [] : [{ code: 'not-kept-by-us', grave: false, factor: factor.name }],
    ),
  ]
}

function sameWords(a: string, b: string): boolean {
  const plain = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ')
  return plain(a) === plain(b)
}
