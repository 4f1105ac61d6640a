import { activeConditions, type Failure, type LessonRecord, type Plan } from '../lesson'
import { BROKE } from '../record'
import { conditionWithLetter, counted, list, nameOfCondition, nameOfGroup } from './names'

/** How a trial can end without a number, for a child to tap. */
export const ENDED_WITHOUT = [
  BROKE,
  'it burst',
  'it fell over',
  'it leaked or spilled',
  'it got stuck',
  'it did not start',
  'somebody bumped the table',
] as const

/** One of them. `'Alder, B tissue, repeat 2: it burst'` */
export function failureWords(plan: Plan, { group, condition, repeat, reason }: Failure): string {
  return `${nameOfGroup(plan, group)}, ${conditionWithLetter(plan, condition)}, repeat ${repeat}: ${reason}`
}

/**
 * A group cannot go on without another thing.
 * @example brokenWords(soakUpPlan(), { group: 'g1', condition: 'tissue', repeat: 2 }) // => 'Alder: something broke at B tissue, repeat 2.'
 */
export function brokenWords(plan: Plan, { group, condition, repeat }: Pick<Failure, 'group' | 'condition' | 'repeat'>): string {
  return `${nameOfGroup(plan, group)}: something broke at ${conditionWithLetter(plan, condition)}, repeat ${repeat}.`
}

/**
 * How many trials of each condition ended without a number, and why; empty where all had one.
 * @example failuresSentence(soakUpPlan(), EMPTY_RECORD) // => ''
 */
export function failuresSentence(plan: Plan, { failures }: Pick<LessonRecord, 'failures'>): string {
  const active = activeConditions(plan)
  const ended = failures.filter(({ condition }) => active.some(({ id }) => id === condition))
  const there = active.flatMap(({ id }) => {
    const own = ended.filter(({ condition }) => condition === id)
    return own.length === 0
      ? []
      : [`${own.length} of ${nameOfCondition(plan, id)} (${list([...new Set(own.map(({ reason }) => reason))])})`]
  })
  if (there.length === 0) return ''
  return `${counted(ended.length, 'trial')} ended without a number: ${list(there)}.`
}
