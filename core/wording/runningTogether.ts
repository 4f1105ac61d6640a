import type {
  CircuitTogether,
  FitTogether,
  Found,
  Interleaving,
  Member,
  NeedTogether,
  OwnCheck,
  OwnProblem,
  TimedStep,
  TogetherView,
  TogetherWay,
  Waiting,
} from '../together'
import type { Plan } from '../lesson'
import { kindOf } from '../test'
import { gradesInOne } from './severalTables'
import { counted, list, nameOfCondition, lessonName } from './names'
import { gapSentence, gradeName, gradeSentence } from './evidence'
import { stopwatchWords } from './clock'
import { amountWords } from './kit'

export const HANDING_OUT_WORDS: Record<TogetherWay, { name: string; what: string }> = {
  given: { name: 'Each group has its own', what: 'You say which group does what.' },
  choose: { name: 'Groups choose', what: 'A group takes what it likes at its station, one after the other.' },
  circuit: { name: 'All go round', what: 'Each investigation stays at its place, and every group comes to each once.' },
}

export const TOGETHER_VIEW_WORDS: Record<TogetherView, string> = {
  join: 'How to join',
  test: 'Testing',
  overview: 'What each found',
  agree: 'Our sentence',
}

export const WAITING_WORDS: Record<Waiting, string> = {
  free: 'hands are free while it runs',
  watched: 'somebody watches all the time',
}

/** What one of the lessons is called; `titleOfMember([], 'a') // 'Lesson without a name'` */
export function titleOfMember(members: Member[], lesson: string): string {
  return lessonName(members.find((one) => one.lesson === lesson)?.plan.title)
}

/** Where a group is in a round; who has nothing to do writes up. `placeWords([], undefined) // 'writes up'` */
export function placeWords(members: Member[], lesson: string | undefined): string {
  return lesson === undefined ? 'writes up' : titleOfMember(members, lesson)
}

/** The kits of all lessons in a line. `kitTogetherWords([]) // '0 things for all lessons, enough of each as far as it is counted.'` */
export function kitTogetherWords(rows: NeedTogether[]): string {
  const short = rows.filter((row) => row.short > 0).length
  const said = short > 0 ? `${short} of them short` : 'enough of each as far as it is counted'
  return `${counted(rows.length, 'thing')} for all lessons, ${said}.`
}

/** What of a sum is for which lesson. `'Soak-up strips 31, Bounce back 7'` */
export function partsWords(members: Member[], { parts, unit }: Pick<NeedTogether, 'parts' | 'unit'>): string {
  return parts.map(({ lesson, amount }) => `${titleOfMember(members, lesson)} ${amountWords(amount, unit)}`).join(', ')
}

/** Trials that do not end in time, lesson by lesson; empty where all do. `lateWords([], { late: {} }) // ''` */
export function lateWords(members: Member[], { late }: Pick<FitTogether, 'late'>): string {
  const each = Object.entries(late).map(([lesson, count]) => `${titleOfMember(members, lesson)} ${count}`)
  return each.length === 0 ? '' : `Not in time: ${each.join(', ')}.`
}

const PROBLEM_WORDS: Record<OwnProblem, string> = {
  'no-change': 'Tap one card: what do you change?',
  'no-measure': 'Tap one card: what do you measure?',
  'same-card': 'You cannot change what you measure. Take another card.',
  'few-conditions': 'Name at least two things to try.',
  twice: 'One of them stands there twice.',
}

/** What is still missing from a group's own question. */
export function ownProblemWords(problem: OwnProblem): string {
  return PROBLEM_WORDS[problem]
}

/** A fair test in children's words, line by line. `['We change only the width: 1 cm, 2 cm.', …]` */
export function ownCheckLines({ change, conditions, measure, tool, repeats, kept }: OwnCheck): string[] {
  const how = kept.flatMap((one) => (one.how.trim() === '' ? [] : `${one.name} (${one.how})`))
  return [
    `We change only ${change}: ${list(conditions)}.`,
    ...(how.length > 0 ? [`We keep the same: ${list(how)}.`] : []),
    `We measure ${measure}${tool === '' ? '' : ` with a ${tool.replace(/^(?:a|an|the)\s+/i, '')}`}, ${counted(repeats, 'time')} each.`,
  ]
}

/** What nobody has said yet how to keep the same; empty where all was said. `'Still to say: how you keep the drop height the same.'` */
export function ownUnsaidLine({ kept }: Pick<OwnCheck, 'kept'>): string {
  const unsaid = kept.flatMap(({ name, how }) => (how.trim() === '' ? [name] : []))
  return unsaid.length === 0 ? '' : `Still to say: how you keep ${list(unsaid)} the same.`
}

/** Does what all groups do fit into the time. `'All 42 trials are done after 31:30, of 40 minutes.'` */
export function fitTogetherWords({ seconds, there, fits, within, all }: FitTogether): string {
  if (all === 0) return 'No trials yet: name what each investigation compares.'
  const minutes = counted(there / 60, 'minute')
  return fits
    ? `All ${counted(all, 'trial')} are done after ${stopwatchWords(seconds)}, of ${minutes}.`
    : `${within} of ${counted(all, 'trial')} are done within ${minutes}; all of them take ${stopwatchWords(seconds)}.`
}

/** How near the timetable is to the best that can be. `'No timetable in half minutes can end before 30:00; this one ends 5 in 100 later.'` */
export function boundWords({ finish, bound }: Interleaving): string {
  if (finish <= bound)
    return `No timetable in half minutes can end before ${stopwatchWords(bound)}, and this one does not end later.`
  return `No timetable in half minutes can end before ${stopwatchWords(bound)}; this one ends ${Math.ceil((finish / bound - 1) * 100)} in 100 later.`
}

/** A circuit in one line. `'7 rounds of 6:30: 45:30, of 40 minutes.'` */
export function circuitTogetherWords({ rounds, round, seconds, fits }: CircuitTogether, minutes: number): string {
  const all = `${counted(rounds.length, 'round')} of ${stopwatchWords(round)}: ${stopwatchWords(seconds)}`
  return `${all}, of ${counted(minutes, 'minute')}${fits ? '' : '. That does not fit: fewer repeats, or more sets of an investigation, make it shorter'}.`
}

/** `'tissue, trial 2'` */
export function stepTogetherWords(plan: Plan, { condition, repeat }: Pick<TimedStep, 'condition' | 'repeat'>): string {
  return kindOf(plan).allAtOnce ? `trial ${repeat}` : `${nameOfCondition(plan, condition)}, trial ${repeat}`
}

/** Whose lesson it is, where its groups ask their own questions. `'Class Puffin, 26 children, each group its own question'` */
export function askingClassWords({ className, children }: Pick<Plan, 'className' | 'children'>): string {
  return `${className === '' ? 'No class yet' : `Class ${className}`}, ${counted(children, 'child', 'children')}, each group its own question`
}

/** What one lesson found, in one line. `'Clear. Kitchen roll came first with 61 mm.'` */
export function foundWords({ tables, done }: Pick<Found, 'tables' | 'done'>): string {
  if (done === 0) return 'Nothing measured yet.'
  if (tables.length > 1) return `${gradesInOne(tables)}.`
  const [only] = tables
  if (!only) return 'Nothing to compare yet.'
  const { evidence } = only
  return `${gradeName(evidence)}. ${evidence.spread ? gapSentence(only.plan, evidence.spread) : gradeSentence(only.plan, evidence)}`
}
