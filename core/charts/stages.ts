import { activeConditions, type LessonRecord, type Plan, type Reading } from '../lesson'
import { hasNamedMoments, momentsOf, testOf, withMethod, isWatched } from '../test'
import { middleValue, readingsByTrial, resultsAs, seriesOf } from '../record'

/** One stretch of time in which the trials of a condition were one word, by the middle one of them. */
interface Stage {
  /** Place of the word in its list, 0 for the first. */
  word: number
  from: number
  to: number
}

export interface StageBand {
  condition: string
  stages: Stage[]
}

/**
 * Ordered words over times, as a band for each condition: which word the middle trial had from one time to the next. The last time has no stretch behind it;
 * its word shows in the table beside.
 * @example stagesOf(soakUpPlan(), EMPTY_RECORD) // => []
 */
export function stagesOf(plan: Plan, record: LessonRecord): StageBand[] {
  const times = [...new Set(momentsOf(plan).flatMap(({ time }) => (time === undefined ? [] : [time])))]
  if (!testOf(plan).way.fromWords || times.length < 2) return []
  const trials = readingsByTrial(plan, record.readings)
  return activeConditions(plan).map(({ id: condition }) => {
    const all = trials.filter(([first]) => first!.condition === condition).flatMap((own) => seriesOf(plan, own))
    const stages = times.slice(0, -1).flatMap((from, place): Stage[] => {
      const words = all
        .filter(({ time }) => time === from)
        .map(({ value }) => value)
        .sort((a, b) => a - b)
      if (words.length === 0) return []
      return [{ word: Math.round(words[Math.floor((words.length - 1) / 2)]!) - 1, from, to: times[place + 1]! }]
    })
    return { condition, stages: joined(stages) }
  })
}

/**
 * When each condition first was each word, in the middle of its trials: the first word has no time of its own.
 * @example timesToWords(soakUpPlan(), []) // => []
 */
export function timesToWords(plan: Plan, readings: Reading[]): { condition: string; times: (number | undefined)[] }[] {
  const words = testOf(plan).words
  if (!isWatched(plan) || hasNamedMoments(plan)) return []
  const byWord = words.slice(1).map((_, place) => {
    const asUntil = withMethod(plan, (method) => ({ ...method, counts: 'until', countsUntil: place + 2 }))
    return resultsAs(asUntil, readings, 'until')
  })
  return activeConditions(plan).map(({ id: condition }) => ({
    condition,
    times: byWord.map((results) => {
      const own = results.filter((one) => one.condition === condition).map(({ value }) => value)
      return own.length === 0 ? undefined : middleValue(own)
    }),
  }))
}

/** Neighbouring stretches of one word are one. */
function joined(stages: Stage[]): Stage[] {
  return stages.reduce<Stage[]>((all, stage) => {
    const last = all.at(-1)
    return last?.word === stage.word && last.to === stage.from ? [...all.slice(0, -1), { ...last, to: stage.to }] : [...all, stage]
  }, [])
}
