import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { predictionOf, testOf } from '../test'
import { groupAverages, hasBegun } from '../record'
import { predictionsByGroup } from './tally'

/** One guess beside what the same child, or group, found. */
export interface OwnGuess {
  group: string
  condition: string
  guessed: number
  seen: number
  /** How many results `seen` is the average of. */
  count: number
}

/**
 * Numbers that were predicted beside one's own results, in the order of the class.
 * @example ownGuesses(soakUpPlan(), EMPTY_RECORD) // => []
 */
export function ownGuesses(plan: Plan, record: LessonRecord): OwnGuess[] {
  const conditions = activeConditions(plan).map(({ id }) => id)
  const seen = new Map(
    conditions.flatMap((condition) =>
      groupAverages(plan, record.readings, condition).map((one) => [`${one.group}/${condition}`, one] as const),
    ),
  )
  return predictionsByGroup(plan, record.predictions).flatMap(({ group, stamped }) =>
    stamped?.as !== 'number'
      ? []
      : conditions.flatMap((condition): OwnGuess[] => {
          const [guessed, own] = [stamped.values[condition], seen.get(`${group}/${condition}`)]
          return guessed === undefined || own === undefined
            ? []
            : [{ group, condition, guessed, seen: own.average, count: own.count }]
        }),
  )
}

/**
 * Is a single number asked for before a child's, or group's, first one: of one thing alone, and where nothing is predicted yet.
 * @example asksOneGuess(soakUpPlan(), EMPTY_RECORD, 'g1') // => false
 */
export function asksOneGuess(plan: Plan, { readings, predictions }: LessonRecord, group: string): boolean {
  const one = predictionOf(plan) === 'number' && activeConditions(plan).length === 1
  return one && !hasBegun(readings, group) && !predictions.some((prediction) => prediction.group === group)
}

export interface GuessesInSum {
  all: number
  /** Guesses below and above what came, by more than the instrument's mark. */
  tooLittle: number
  tooMuch: number
  /** Half of the guesses were nearer than this. */
  middleAway: number
}

/**
 * What the class's guesses were like; undefined without any.
 * @example guessesInSum(soakUpPlan(), [{ group: 'g1', condition: 'tissue', guessed: 40, seen: 48, count: 1 }]) // => { all: 1, tooLittle: 1, tooMuch: 0, middleAway: 8 }
 */
export function guessesInSum(plan: Plan, guesses: OwnGuess[]): GuessesInSum | undefined {
  if (guesses.length === 0) return undefined
  const mark = testOf(plan).method?.resolution ?? 0
  const away = guesses.map(({ guessed, seen }) => Math.abs(guessed - seen)).sort((a, b) => a - b)
  const half = away.length / 2
  return {
    all: guesses.length,
    tooLittle: guesses.filter(({ guessed, seen }) => seen - guessed > mark).length,
    tooMuch: guesses.filter(({ guessed, seen }) => guessed - seen > mark).length,
    middleAway: (away[Math.ceil(half) - 1]! + away[Math.floor(half)]!) / 2,
  }
}
