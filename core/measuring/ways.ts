import { unreachable } from '../unreachable'
import { fitOf } from '../clock'
import { activeConditions, conditionValue, MOST_GROUPS, sharesThings, withGroups, withSharedThings, type Plan } from '../lesson'
import { atLevel, comesAgain, firstSeries, readBy, seriesIn, testOf, withMethod, wayOf, type ResolvedMethod } from '../test'
import { convert, unitOf, withoutNoise, writeShort } from '../quantity'
import { INSTRUMENTS, steadierInstruments, withInstrument } from './instruments'
import { chanceNow, outlookOf, WANTED_CHANCE } from './planned'
import type { LearnedWobble } from './wobble'

/** A change of the plan after which the class's evidence comes out clear, nine times in ten. */
export type Way = { chance: number; /** Minutes that the lesson gets longer. */ minutes: number } & (
  | { code: 'more-repeats'; repeats: number }
  | { code: 'more-groups'; groups: number }
  | { code: 'fresh-things' }
  | { code: 'own-things' }
  | { code: 'more-at-once'; atOnce: number }
  | { code: 'steadier-instrument'; instrument: string }
  | { code: 'bigger-steps'; factor: number; labels: string[] }
  | { code: 'other-measure'; measure: string }
  | { code: 'order-instead' }
)

type Change = Way extends infer One ? (One extends Way ? Omit<One, 'chance' | 'minutes'> : never) : never

const AT_ONCE = [2, 5, 10, 20]
const FACTORS = [1.5, 2, 3, 4, 5]

/**
 * Ways that would let the class see the difference it expects, each worked out by changing the plan and asking again; those that
 * cost the least lesson time first. Bigger steps assume that results go on as steadily as the teacher expects.
 * @returns empty when the plan does already, or when nothing is known of the expected results
 */
export function waysToSee(plan: Plan, learned?: LearnedWobble): Way[] {
  const outlook = outlookOf(plan, learned)
  if (!outlook || outlook.clear >= WANTED_CHANCE) return []
  const before = fitOf(plan).needed
  const weigh = (change: Change): Way => {
    const after = applyWay(plan, change, weighedId)
    // What was learned of readings taken in another way says nothing of this one.
    const known = SAME_READING.includes(change.code) ? learned : undefined
    return { ...change, chance: chanceNow(after, known) ?? 0, minutes: withoutNoise(fitOf(after).needed - before) } as Way
  }
  const families = [
    groupChanges(plan),
    ownChange(plan),
    freshChange(plan),
    atOnceChanges(plan),
    instrumentChanges(plan),
    measureChanges(plan),
    orderChange(plan),
    stepChanges(plan),
  ]
  const sameRepeats = families.flatMap((changes) => changes.map(weigh).filter(works).slice(0, 1))
  const repeats = outlook.needed === undefined ? [] : [weigh({ code: 'more-repeats', repeats: outlook.needed })]
  return [...repeats, ...sameRepeats].sort((a, b) => a.minutes - b.minutes)
}

/**
 * The plan after one of the ways; the given plan is left as it is.
 * @param newId makes the ids of further groups
 */
export function applyWay(plan: Plan, way: Change, newId: () => string): Plan {
  switch (way.code) {
    case 'more-groups':
      return withGroups(plan, way.groups, newId)
    case 'fresh-things':
      return { ...plan, things: 'fresh' }
    case 'own-things':
      return withSharedThings(plan, 1)
    case 'more-repeats':
      return { ...plan, repeats: way.repeats }
    case 'more-at-once': {
      const longer = way.atOnce / (testOf(plan).method?.atOnce ?? 1)
      const trial = { ...plan.clock.trial, run: withoutNoise(plan.clock.trial.run * longer) }
      return withMethod({ ...plan, clock: { ...plan.clock, trial } }, (method) => ({ ...method, atOnce: way.atOnce }))
    }
    case 'steadier-instrument': {
      const instrument = INSTRUMENTS.find(({ code }) => code === way.instrument)
      return instrument ? withMethod(plan, (method) => withInstrument(method, instrument)) : plan
    }
    case 'bigger-steps': {
      const ids = activeConditions(firstSeries(plan)).map(({ id }) => atLevel(plan, id))
      const conditions = plan.conditions.map((condition) => ({
        ...condition,
        label: way.labels[ids.findIndex((level) => level.includes(condition.id))] ?? condition.label,
      }))
      return withMethod({ ...plan, conditions }, (method) => ({
        ...method,
        expected: Object.fromEntries(
          Object.entries(method.expected).map(([id, value]) => [
            id,
            withoutNoise((method.expectedLow ?? 0) + way.factor * (value - (method.expectedLow ?? 0))),
          ]),
        ),
        expectedHigh:
          method.expectedLow === null || method.expectedHigh === null
            ? null
            : withoutNoise(method.expectedLow + way.factor * (method.expectedHigh - method.expectedLow)),
      }))
    }
    case 'other-measure':
      return { ...plan, measured: way.measure }
    case 'order-instead':
      return withMethod({ ...plan, kind: 'order' }, (method) => ({
        ...readBy(method, 'race'),
        tool: '',
        trialWobble: method.trialWobble === null ? null : inSeconds(method, method.trialWobble),
        expected: Object.fromEntries(Object.entries(method.expected).map(([id, value]) => [id, inSeconds(method, value)])),
        expectedLow: method.expectedLow === null ? null : inSeconds(method, method.expectedLow),
        expectedHigh: method.expectedHigh === null ? null : inSeconds(method, method.expectedHigh),
      }))
    default:
      return unreachable(way)
  }
}

function inSeconds({ unit, atOnce }: ResolvedMethod, value: number): number {
  return withoutNoise((convert(value, unit, 's') ?? value) / atOnce)
}

const SAME_READING: Change['code'][] = ['more-repeats', 'more-groups', 'fresh-things', 'own-things', 'bigger-steps']
const FEWEST_IN_A_GROUP = 2

/** Groups of a copy that is only weighed. */
const weighedId = () => 'weighed'

/** Smaller groups, as long as two children are in each. */
function groupChanges(plan: Plan): Change[] {
  if (plan.each === 'child') return []
  const most = Math.min(MOST_GROUPS, Math.floor(plan.children / FEWEST_IN_A_GROUP))
  return Array.from({ length: Math.max(0, most - plan.groups.length) }, (_, more) => ({
    code: 'more-groups',
    groups: plan.groups.length + more + 1,
  }))
}

/** A thing for each child, where some shared one. */
function ownChange(plan: Plan): Change[] {
  return sharesThings(plan) ? [{ code: 'own-things' }] : []
}

/** A new strip, cup or ball in each trial, where the same one came again. */
function freshChange(plan: Plan): Change[] {
  return plan.things === 'class' || comesAgain(plan) ? [{ code: 'fresh-things' }] : []
}

function works({ chance }: Way): boolean {
  return chance >= WANTED_CHANCE
}

/** Timing ten swings instead of one: the hand is late only twice, and the run is ten times as long. */
function atOnceChanges(plan: Plan): Change[] {
  const { method } = testOf(plan)
  if (!method || unitOf(method.unit).dimension !== 'time' || method.timingWobble === 0) return []
  return AT_ONCE.filter((atOnce) => atOnce > method.atOnce).map((atOnce) => ({ code: 'more-at-once', atOnce }))
}

function instrumentChanges(plan: Plan): Change[] {
  const { method } = testOf(plan)
  return method ? steadierInstruments(method).map(({ code }) => ({ code: 'steadier-instrument', instrument: code })) : []
}

/** Another card that was written for measuring, such as the distance instead of the time; the best one only. */
function measureChanges(plan: Plan): Change[] {
  const others = plan.measures.filter(({ id, method }) => id !== plan.measured && wayOf(method).isAmount)
  return others
    .map(({ id }) => ({ code: 'other-measure', measure: id }) as const)
    .sort((a, b) => (chanceNow(applyWay(plan, b, weighedId)) ?? 0) - (chanceNow(applyWay(plan, a, weighedId)) ?? 0))
}

/** Side by side from one signal: nobody has to time anything, one only sees who is first. */
function orderChange(plan: Plan): Change[] {
  const { amount, kind } = testOf(plan)
  const timed = amount !== undefined && unitOf(amount.unit).dimension === 'time'
  return timed && kind.changesOne && seriesIn(plan).length === 0 ? [{ code: 'order-instead' }] : []
}

/** The numbers spread wider from the lowest one on. */
function stepChanges(plan: Plan): Change[] {
  const values = activeConditions(firstSeries(plan)).map((condition) => conditionValue(plan, condition))
  if (values.length === 0 || values.some((value) => value === undefined)) return []
  const known = values as number[]
  const lowest = Math.min(...known)
  // Nobody takes half of a thing.
  const possible = FACTORS.filter(
    (factor) => plan.conditionUnit !== 'count' || known.every((value) => Number.isInteger(factor * (value - lowest))),
  )
  return possible.map((factor) => ({
    code: 'bigger-steps',
    factor,
    labels: known.map((value) =>
      writeShort(withoutNoise(lowest + factor * (value - lowest)))
        .replace(/\s/g, '')
        .replace('−', '-'),
    ),
  }))
}
