import { median } from 'simple-statistics'
import { everyTable, foretell, trendOf, type Foretold } from '../evidence'
import {
  conditionName,
  conditionValue,
  type Condition,
  type LessonRecord,
  type Plan,
  type Prediction,
  type Reading,
} from '../lesson'
import { momentsOf, testOf } from '../test'
import { convert } from '../quantity'
import { currentReadings } from '../record'

/** What one group guessed of something new, and what it then saw. */
export interface ChallengeRow {
  group: string
  guess: number | undefined
  reason: string
  seen: number | undefined
  /** How far the guess was from that. */
  apart: number | undefined
}

/** Something new that the class predicts out of what it found, tested and laid beside. */
export interface Challenge {
  condition: string
  name: string
  /** What the class's own line says, where what was changed is a number. */
  foretold: Foretold | undefined
  rows: ChallengeRow[]
  /** Middle of what the groups saw. */
  seen: number | undefined
  /** Groups whose guess came nearest to what they saw themselves. */
  nearest: string[]
  /** Where it comes among the conditions of the class by what was seen, 1 for the most; undefined before it was seen. */
  place: { seen: number; of: number } | undefined
}

/** The condition of the last challenge. It is left out of the test itself, so that it changes nothing of what was found. */
export function challengeOf(plan: Plan): Condition | undefined {
  return plan.conditions.find(({ id }) => id === plan.challenge)
}

/**
 * The plan with something new to predict out of what was found: a number between or beyond those tested, or another kind.
 * @example challengeOf(withChallenge(plan, 'felt', newId))!.leftOut // => true
 */
export function withChallenge(plan: Plan, label: string, newId: () => string): Plan {
  const there = plan.conditions.find((one) => one.leftOut && one.label.trim().toLowerCase() === label.trim().toLowerCase())
  if (there) return { ...plan, challenge: there.id }
  const id = newId()
  return { ...plan, challenge: id, conditions: [...plan.conditions, { id, label, baseline: false, leftOut: true }] }
}

/** The plan without it; what was written about it stays with its condition. */
export function withoutChallenge(plan: Plan, used: Set<string>): Plan {
  const conditions = plan.conditions.filter(({ id }) => id !== plan.challenge || used.has(id))
  return { ...plan, challenge: null, conditions }
}

/** A group's guess that stands: its last one before it saw. */
export function guessOf(plan: Plan, predictions: Prediction[], group: string): Prediction | undefined {
  return predictions.findLast(
    (one) => one.group === group && one.as === 'challenge' && plan.challenge !== null && plan.challenge in one.values,
  )
}

/** What a group read of the new thing. */
export function seenBy(plan: Plan, readings: Reading[], group: string): Reading | undefined {
  return currentReadings(readings).findLast(
    (one) => one.group === group && one.condition === plan.challenge && one.status === 'kept' && !one.practice,
  )
}

/**
 * The last challenge with what the line says, what each group guessed and what it saw.
 * @returns undefined where there is none
 */
export function challengeTable(plan: Plan, record: LessonRecord): Challenge | undefined {
  const condition = challengeOf(plan)
  const { method, way } = testOf(plan)
  if (!condition || !method) return undefined
  const rows = plan.groups.map(({ id: group }): ChallengeRow => {
    const guess = guessOf(plan, record.predictions, group)
    const reading = seenBy(plan, record.readings, group)
    const guessed = guess?.values[condition.id]
    const own = reading && convert(reading.value, reading.unit, method.unit)
    const apart = guessed === undefined || own === undefined ? undefined : Math.abs(guessed - own)
    return { group, guess: guessed, reason: guess?.reason ?? '', seen: own, apart }
  })
  const x = conditionValue(plan, condition)
  const trend = x === undefined ? undefined : trendOf(plan, record)
  const own = rows.flatMap((row) => row.seen ?? [])
  const seen = own.length === 0 ? undefined : median(own)
  const off = ({ guess, seen: own }: ChallengeRow) => (guess === undefined || own === undefined ? Infinity : Math.abs(guess - own))
  const nearest = Math.min(...rows.map(off))
  const averages = everyTable(plan, record)[0]?.evidence.summaries.map(({ evened }) => evened) ?? []
  return {
    condition: condition.id,
    name: conditionName(plan, condition),
    foretold: trend && x !== undefined ? foretell(trend, x) : undefined,
    rows,
    seen,
    nearest: nearest === Infinity ? [] : rows.filter((row) => off(row) === nearest).map(({ group }) => group),
    place:
      seen === undefined || averages.length === 0 || way.isPlace
        ? undefined
        : { seen: 1 + averages.filter((average) => average > seen).length, of: averages.length + 1 },
  }
}

/** The moment at which the new thing is read: the last one of a trial. */
export function challengeMoment(plan: Plan): string {
  return momentsOf(plan).at(-1)!.id
}
