import { unreachable } from '../unreachable'
import { trialOrderOf } from '../arrangement'
import { FITS_IN, nextSchoolDay, type Calendar } from '../clock'
import { isEachChild, LATER_PHASES, type LaterPhase, type LessonRecord, type Plan, type Retest } from '../lesson'
import { learnedWobble } from '../evidence'
import { outlookOf } from '../measuring'
import { currentReadings, isLate, underWay, type TestClock, type UnderWay } from '../record'
import { comesAgain, kindOf } from '../test'

/** What a teacher could do while the class tests and time runs short; nobody looks at who is ahead. */
export type NowChange =
  | { code: 'end-after-repeat'; repeat: number; trials: Retest[] }
  | { code: 'drop-last'; trials: Retest[] }
  | { code: 'others-take-over'; trials: Retest[]; given: Retest[] }
  | { code: 'from-later'; phase: LaterPhase; minutes: number }
  | { code: 'go-on-tomorrow'; date: string }

export interface NowWay {
  change: NowChange
  /** When all will be done then, seconds from now. */
  half: number
  nineInTen: number
  /** Share of what could happen in which that is in time. */
  inTime: number
  /** Chance that it comes out clear then, and as planned; undefined where nothing is expected. */
  clear: number | undefined
  clearAsPlanned: number | undefined
}

type Clock = TestClock & { until: number | undefined }

const MOST_SHOWN = 3
/** Less than that is luck of the draws. */
const WORTH_SAYING = 0.05
/** A phase gives no more than this share of itself where its teacher has not said how short it may be. */
const MAY_GIVE = 0.4

/**
 * Up to three things that could be done now, worked out blind: from the pace of the groups, the wobble within their places and the difference
 * that was expected, never from which condition is ahead. What is done in time with the least certainty lost comes first.
 * @returns empty while all will be done in time, where no bell is known, and where no pace can be told
 */
export function nowWays(plan: Plan, record: LessonRecord, clock: Clock, calendar: Calendar): NowWay[] {
  const now = underWay(plan, record, clock)
  if (!now || clock.until === undefined || !isLate(now)) return []
  const clearWith = clearFrom(plan, record)
  const asPlanned = clearWith(plan)
  const ways = changesNow(plan, record, now, calendar).map((change): NowWay => {
    const after = takeNow(plan, change)
    const later = change.code === 'from-later' ? change.minutes * 60_000 : 0
    const then = change.code === 'go-on-tomorrow' ? undefined : underWay(after, record, { ...clock, until: clock.until! + later })
    return {
      change,
      half: then?.half ?? now.half,
      nineInTen: then?.nineInTen ?? now.nineInTen,
      inTime: then?.inTime ?? 1,
      clear: clearWith(after),
      clearAsPlanned: asPlanned,
    }
  })
  const helps = ways.filter(({ inTime }) => inTime > now.inTime! + WORTH_SAYING)
  return helps
    .sort(
      (a, b) =>
        Number(b.inTime >= FITS_IN) - Number(a.inTime >= FITS_IN) ||
        Number(a.change.code === 'go-on-tomorrow') - Number(b.change.code === 'go-on-tomorrow') ||
        inPoints(lostBy(a)) - inPoints(lostBy(b)) ||
        b.inTime - a.inTime,
    )
    .slice(0, MOST_SHOWN)
}

/** The plan after one of them; the given plan is left as it is. */
export function takeNow(plan: Plan, change: NowChange): Plan {
  switch (change.code) {
    case 'end-after-repeat':
    case 'drop-last':
      return { ...plan, notDone: [...plan.notDone, ...change.trials] }
    case 'others-take-over':
      return { ...plan, notDone: [...plan.notDone, ...change.trials], retests: [...plan.retests, ...change.given] }
    case 'from-later': {
      const phases = { ...plan.clock.phases, [change.phase]: plan.clock.phases[change.phase] - change.minutes }
      return { ...plan, clock: { ...plan.clock, phases } }
    }
    case 'go-on-tomorrow':
      return { ...plan, date: change.date }
    default:
      return unreachable(change)
  }
}

const lostBy = ({ clear, clearAsPlanned }: NowWay) => Math.max(0, (clearAsPlanned ?? 0) - (clear ?? 0))
const inPoints = (lost: number) => Math.round(lost * 50)

function changesNow(plan: Plan, record: LessonRecord, now: UnderWay, calendar: Calendar): NowChange[] {
  const open = openTrials(plan, record)
  return [
    ...endAfterRepeat(plan, open),
    ...dropLast(plan, now, open),
    ...fromLater(plan, now),
    { code: 'go-on-tomorrow', date: nextSchoolDay(calendar, plan.date) },
  ]
}

/** Trials that nobody has a number of yet, by group, in its own order. */
function openTrials(plan: Plan, { readings }: LessonRecord): Map<string, Retest[]> {
  const done = new Set(
    currentReadings(readings).flatMap(({ practice, status, ...one }) =>
      practice || status === 'set-aside' ? [] : [`${one.group}/${one.condition}/${one.repeat}`],
    ),
  )
  return new Map(
    [...trialOrderOf(plan)].map(([group, trials]) => [
      group,
      trials
        .map(({ condition, repeat }) => ({ group, condition, repeat }))
        .filter((one) => !done.has(`${group}/${one.condition}/${one.repeat}`)),
    ]),
  )
}

/** All groups stop after the repeat that the slowest of them is at; what others have beyond it stays. */
function endAfterRepeat(plan: Plan, open: Map<string, Retest[]>): NowChange[] {
  // One reading each says nothing of a wobble, however far apart the results lie.
  const least = kindOf(plan).needsRepeats ? 2 : 1
  const begun = [...open.values()].flatMap((own) => (own.length === 0 ? [] : [Math.min(...own.map(({ repeat }) => repeat))]))
  const at = Math.max(least, ...begun.map((repeat) => repeat))
  const slowest = Math.max(least, Math.min(plan.repeats, ...begun))
  return [...new Set([slowest, at])].flatMap((repeat): NowChange[] => {
    const trials = [...open.values()].flat().filter((one) => one.repeat > repeat)
    return trials.length === 0 || repeat >= plan.repeats ? [] : [{ code: 'end-after-repeat', repeat, trials }]
  })
}

/** The groups that will not be done leave their last trials; where that does as well, groups that will be done soon take them over. */
function dropLast(plan: Plan, now: UnderWay, open: Map<string, Retest[]>): NowChange[] {
  const seconds = now.toEnd!
  if (isEachChild(plan) || kindOf(plan).allAtOnce) return []
  const trials: Retest[] = []
  const free: { group: string; room: number }[] = []
  for (const { group, left, nineInTen, half } of now.groups) {
    if (group === undefined) return []
    const each = left === 0 ? 0 : nineInTen / left
    const own = open.get(group) ?? []
    if (nineInTen > seconds) trials.push(...own.slice(own.length - Math.min(own.length, Math.ceil((nineInTen - seconds) / each))))
    else free.push({ group, room: Math.floor((seconds - nineInTen) / Math.max(each, half / Math.max(1, left), secondsOf(plan))) })
  }
  if (trials.length === 0) return []
  const given = comesAgain(plan) ? [] : takenOver(plan, trials, free)
  const both: NowChange[] = [{ code: 'drop-last', trials }]
  return given.length === trials.length ? [{ code: 'others-take-over', trials, given }, ...both] : both
}

const secondsOf = ({ clock: { trial } }: Plan) => trial.setUp + trial.run + trial.read + trial.reset

/** Each trial that is left goes to the group with the most room, as one more of its own repeats of that condition. */
function takenOver(plan: Plan, trials: Retest[], free: { group: string; room: number }[]): Retest[] {
  const given: Retest[] = []
  for (const { condition } of trials) {
    const next = free.sort((a, b) => b.room - a.room)[0]
    if (!next || next.room < 1) return []
    const more = [...plan.retests, ...given].filter((one) => one.group === next.group && one.condition === condition)
    given.push({ group: next.group, condition, repeat: plan.repeats + 1 + more.length })
    next.room -= 1
  }
  return given
}

/** Minutes from a phase after testing, down to what its teacher set as least. */
function fromLater(plan: Plan, now: UnderWay): NowChange[] {
  const wanted = Math.ceil((now.nineInTen - now.toEnd!) / 60)
  return LATER_PHASES.flatMap((phase): NowChange[] => {
    const minutes = plan.clock.phases[phase]
    const least = plan.clock.least[phase] ?? Math.ceil(minutes * (1 - MAY_GIVE))
    const given = Math.min(wanted, Math.floor(minutes - least))
    return given < 1 ? [] : [{ code: 'from-later', phase, minutes: given }]
  })
    .sort((a, b) => ('minutes' in b ? b.minutes : 0) - ('minutes' in a ? a.minutes : 0))
    .slice(0, 1)
}

/**
 * Chance of coming out clear with the trials that a plan has left, from what was expected and how readings wobble within one place. Only how many
 * trials are left tells the plans apart, so that few chances have to be worked out.
 */
function clearFrom(plan: Plan, record: LessonRecord): (after: Plan) => number | undefined {
  const whole: Plan = { ...plan, notDone: [], retests: [] }
  const learned = learnedWobble(plan, record.readings)
  const chances = new Map<number, number | undefined>()
  const chanceOf = (repeats: number) => {
    if (!chances.has(repeats)) chances.set(repeats, outlookOf({ ...whole, repeats }, learned)?.clear)
    return chances.get(repeats)
  }
  const all = countTrials(whole)
  return (after) => {
    if (all === 0) return undefined
    const repeats = Math.max(1, (plan.repeats * countTrials(after)) / all)
    const [fewer, more] = [chanceOf(Math.floor(repeats)), chanceOf(Math.ceil(repeats))]
    return fewer === undefined || more === undefined ? undefined : fewer + (more - fewer) * (repeats - Math.floor(repeats))
  }
}

const countTrials = (plan: Plan) => [...trialOrderOf(plan).values()].reduce((sum, own) => sum + own.length, 0)
