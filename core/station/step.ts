import { type LessonRecord, type NewReading, type Plan } from '../lesson'
import { atMoment, eachMeasure, isAboutMeasured, predictionsFor, testOf } from '../test'
import { challengeOf, guessOf, seenBy } from '../predictions'
import {
  dayOfWatching,
  hasBegun,
  missedReadings,
  nextPractice,
  nextTrial,
  progressOf,
  readTogether,
  tryToExplain,
  type Cell,
  type Progress,
} from '../record'

/** What the group at a station wants, besides going on. */
export interface StationWish {
  doing: 'testing' | 'saying' | 'observing' | 'proposing' | 'telling'
  skipped: { prediction: boolean; practice: boolean }
  /** A trial that it chose itself. */
  wanted?: Cell | undefined
  /** A reading that it puts right. */
  fixing?: NewReading | undefined
}

/** What a station shows next. */
export type StationStep =
  | { show: 'say' }
  | { show: 'propose' }
  /** The first card that the group has not predicted. */
  | { show: 'predict'; measure: string }
  | { show: 'tell' }
  | { show: 'done' }
  | { show: 'observe'; condition: string | null }
  /** What is changed for the next try, and why. */
  | { show: 'improve'; condition: string }
  /** Something new: guessed first, then tested once. */
  | { show: 'challenge'; guess: number | undefined }
  | { show: 'balance'; trial: Cell }
  | { show: 'order'; trial: Cell }
  | { show: 'trial'; trial: Cell }
  /** Places that are read at one go. */
  | { show: 'places'; cells: Cell[] }

export interface StationState {
  step: StationStep
  progress: Progress
  /** There is something to measure; until then a station is for saying what was seen. */
  testing: boolean
  /** The group has a reading that counts. */
  begun: boolean
  /** Readings of earlier days that nobody took. */
  missed: Cell[]
}

/**
 * What a group's station does next: say, predict, practise, then one trial after the other in the group's own order.
 * @param today day by the station's own calendar, `YYYY-MM-DD`; without a day in the plan everything may be read
 * @returns undefined where the group is not in the plan any more
 * @example stationState(soakUpPlan(), EMPTY_RECORD, 'g1', '2026-03-12', { doing: 'testing', skipped: { prediction: false, practice: false } })!.step.show // => 'predict'
 */
export function stationState(
  plan: Plan,
  record: LessonRecord,
  group: string,
  today: string,
  wish: StationWish,
): StationState | undefined {
  const progress = progressOf(plan, record.readings).find((one) => one.group === group)
  if (!progress) return undefined
  const day = dayOfWatching(plan, today)
  const begun = hasBegun(record.readings, group)
  const testing = testOf(plan).measure !== undefined && progress.all > 0
  const state = { progress, testing, begun, missed: missedReadings(plan, progress, day) }
  const practising = !begun && !wish.skipped.practice
  const chosen = wish.fixing ? { ...wish.fixing, kept: [], setAside: [] } : wish.wanted
  const practice = practising ? nextPractice(plan, record.readings, group) : undefined
  const trial = chosen ?? practice ?? nextTrial(plan, progress, day)

  if (wish.doing === 'saying' || !testing) return { ...state, step: { show: 'say' } }
  if (wish.doing === 'observing') return { ...state, step: { show: 'observe', condition: trial?.condition ?? null } }
  if (wish.doing === 'proposing') return { ...state, step: { show: 'propose' } }
  if (wish.doing === 'telling') return { ...state, step: { show: 'tell' } }
  const unpredicted = begun || wish.skipped.prediction ? undefined : firstUnpredicted(plan, record, group)
  if (unpredicted !== undefined) return { ...state, step: { show: 'predict', measure: unpredicted } }
  if (trial && !wish.fixing && tryToExplain(plan, record, group, trial.condition))
    return { ...state, step: { show: 'improve', condition: trial.condition } }
  const challenge = trial ? undefined : challengeStep(plan, record, group)
  return { ...state, step: challenge ?? trialStep(plan, progress, trial, wish) }
}

/** The first of the things that are measured of which the group has said nothing yet; undefined where nothing is left to predict. */
function firstUnpredicted(plan: Plan, { predictions }: LessonRecord, group: string): string | undefined {
  const own = predictions.filter((one) => one.group === group && one.as !== 'challenge')
  const view = eachMeasure(plan).find((one) => predictionsFor(one).length > 0 && !own.some((said) => isAboutMeasured(one, said)))
  return view?.measured ?? undefined
}

/** The last challenge, once all else is written down and until the group has seen what it gives. */
function challengeStep(plan: Plan, record: LessonRecord, group: string): StationStep | undefined {
  const condition = challengeOf(plan)
  if (!condition || seenBy(plan, record.readings, group)) return undefined
  return { show: 'challenge', guess: guessOf(plan, record.predictions, group)?.values[condition.id] }
}

function trialStep(plan: Plan, progress: Progress, trial: Cell | undefined, { wanted, fixing }: StationWish): StationStep {
  if (!trial) return { show: 'done' }
  const { way } = testOf(atMoment(plan, trial.moment))
  if (fixing || way.screen !== 'trial') return { show: fixing ? 'trial' : way.screen, trial }
  const cells = wanted || !way.isAmount ? [] : readTogether(plan, progress, trial)
  return cells.length > 1 ? { show: 'places', cells } : { show: 'trial', trial }
}
