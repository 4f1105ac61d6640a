import { unreachable } from '../unreachable'
import type { RunningClock } from '../clock'
import type { Plan } from '../lesson'
import type { UnderWay } from '../record'
import type { NowWay } from '../waysOut'
import { minuteWords } from './clock'
import { dayWords, timeOfDay } from './days'
import { counted, nameOfGroup, ofHundred, PHASE_NAMES } from './names'

/**
 * When half of the groups and all will be done, for the desk.
 * `'Half of the groups will be done by 11:19, all by 11:27 (nine in ten: 11:33); testing must end at 11:25.'`
 */
export function underWayWords(
  { halfOfGroups, half, nineInTen, groups, done, all }: UnderWay,
  now: number,
  until: number | undefined,
): string {
  if (done >= all) return 'All trials are done.'
  const at = (seconds: number) => timeOfDay(now + seconds * 1000)
  const halves =
    groups.length < 2
      ? ''
      : halfOfGroups === 0
        ? 'Half of the groups are done, '
        : `Half of the groups will be done by ${at(halfOfGroups)}, `
  const allDone = `all ${halves === '' || halfOfGroups === 0 ? 'will be done ' : ''}by ${at(half)} (nine in ten: ${at(nineInTen)})`
  const end = until === undefined ? '' : `; testing must end at ${timeOfDay(until)}`
  const whole = `${halves}${allDone}${end}.`
  return `${whole.charAt(0).toUpperCase()}${whole.slice(1)}`
}

/** The same as one short line for the board. `'All done at about 11:27; testing ends at 11:25.'` */
export function underWayShort({ half, done, all }: UnderWay, now: number, until: number | undefined): string {
  if (done >= all) return 'All trials are done.'
  const end = until === undefined ? '' : `; testing ends at ${timeOfDay(until)}`
  return `All done at about ${timeOfDay(now + half * 1000)}${end}.`
}

/** For a group at its station. `'4 more, about 7 minutes.'` */
export function ownLeftWords({ left, half }: { left: number; half: number }): string {
  const minutes = Math.max(1, Math.round(half / 60))
  return left === 0 ? '' : `${left} more, about ${minuteWords(minutes)}.`
}

/** That the clock stands still, or did. `'Paused 4 min; testing must end at 11:01.'` */
export function pausedWords({ paused, until }: Pick<RunningClock, 'paused' | 'until'>): string {
  const minutes = Math.round(paused.seconds / 60)
  if (!paused.now && minutes === 0) return ''
  const long = minutes === 0 ? '' : ` ${minutes} min`
  const end = until === undefined ? '' : `; testing must end at ${timeOfDay(until)}`
  return `${paused.now ? `Paused${long}` : `Was paused for${long}`}${end}.`
}

/** What the button of a running clock does next. */
export function clockTurnWords({ running, paused }: Pick<RunningClock, 'running' | 'paused'>): string {
  return !running ? 'Start the clock' : paused.now ? 'Go on' : 'Pause'
}

/** What takes back a clock that was started by hand. */
export function clockResetWords({ date, clock }: Pick<Plan, 'date' | 'clock'>): string {
  return date !== '' && clock.start !== '' ? 'Back to the timetable' : 'Set the clock back'
}

/** What a button does that saves time now, and what comes of it. */
export function nowWayWords(
  plan: Plan,
  { change, half, nineInTen, inTime, clear, clearAsPlanned }: NowWay,
  now: number,
): { label: string; effect: string } {
  const at = (seconds: number) => timeOfDay(now + seconds * 1000)
  const ends = `all done by ${at(half)}, nine in ten by ${at(nineInTen)}; in time in ${ofHundred(inTime)}`
  const lost = clear !== undefined && clearAsPlanned !== undefined && clearAsPlanned - clear >= 0.02
  const sure =
    clear === undefined
      ? ''
      : lost
        ? `; clear in ${ofHundred(clear)} instead of ${ofHundred(clearAsPlanned)}`
        : `; as clear as planned (${ofHundred(clear)})`
  switch (change.code) {
    case 'end-after-repeat':
      return { label: `End after repeat ${change.repeat}`, effect: `${ends}${sure}` }
    case 'drop-last':
      return {
        label: `Leave out the last ${counted(change.trials.length, 'trial')} of ${groupsOf(plan, change.trials)}`,
        effect: `${ends}${sure}`,
      }
    case 'others-take-over':
      return {
        label: `${groupsOf(plan, change.given)} do the last ${counted(change.trials.length, 'trial')} of ${groupsOf(plan, change.trials)}`,
        effect: `${ends}${sure}`,
      }
    case 'from-later':
      return {
        label: `Take ${minuteWords(change.minutes)} from ${PHASE_NAMES[change.phase].toLowerCase()}`,
        effect: `${ends}${sure}`,
      }
    case 'go-on-tomorrow':
      return { label: `Go on ${dayWords(change.date)}`, effect: `the record stays open; nothing is lost${sure}` }
    default:
      return unreachable(change)
  }
}

function groupsOf(plan: Plan, trials: { group: string }[]): string {
  const names = [...new Set(trials.map(({ group }) => nameOfGroup(plan, group)))]
  return names.length > 2 ? `${names.length} groups` : names.join(' and ')
}
