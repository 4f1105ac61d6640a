import { changedFactor, conditionName, letterOf, measuredCard, type Method, type Phase, type Plan, type Stop } from '../lesson'
import type { BoardViewName } from '../secondLook'
import { decimalsOf, unitOf, withUnit, writeQuantity, writeShort, type UnitCode } from '../quantity'

export const STOP_NAMES: Record<Stop, string> = {
  wonder: 'Wonder',
  plan: 'Plan',
  kit: 'Kit',
  clock: 'Clock',
  predict: 'Predict',
  test: 'Test',
  results: 'Results',
  agree: 'Agree',
}

export const BOARD_WORDS: Record<BoardViewName, string> = {
  question: 'The question',
  predict: 'Predictions',
  test: 'Testing',
  results: 'Results',
  agree: 'Conclusion',
}

export const PHASE_NAMES: Record<Phase, string> = {
  gather: 'Gather',
  wonder: 'Wonder',
  plan: 'Plan',
  predict: 'Predict',
  fetch: 'Fetch the kit',
  test: 'Testing',
  clearAway: 'Clear away',
  results: 'Results',
  agree: 'Agree',
}

export const WONDER_LISTS = ['noticed', 'maybe', 'wondered'] as const
export type WonderList = (typeof WONDER_LISTS)[number]

export const WONDER_WORDS: Record<WonderList, { name: string; what: string; example: string }> = {
  noticed: { name: 'Noticed', what: 'seen, heard or felt', example: 'the water climbs by itself' },
  maybe: { name: 'Maybe', what: 'a guess at why', example: 'maybe there are tiny pipes in it' },
  wondered: { name: 'Wondered', what: 'a question', example: 'does every paper do it?' },
}

/** The question as its parts, so that a page can underline the cards. */
export function questionParts(plan: Plan): { change: string | undefined; measure: string | undefined } {
  const { name: change } = changedFactor(plan) ?? {}
  const { name: measure } = measuredCard(plan) ?? {}
  return { change: change && bound(change), measure: measure && bound(measure) }
}

/** Text in which a number and its unit never part at the end of a line. `bound('in 60 s') // 'in 60\u00a0s'` */
function bound(text: string): string {
  return text.replace(/(\d) (?=(?:[mck]?m|k?g|m?l|s|min|h|°[CF]|N|dB|in|ft)\b)/gi, '$1\u00a0')
}

/** The testable question, put together from the plan's cards. `question(plan) // 'How does the kind of paper change …?'` */
export function question(plan: Plan): string {
  const { change, measure } = questionParts(plan)
  return `How does ${change ?? 'something we change'} change ${measure ?? 'something we measure'}?`
}

/** "A kitchen roll" */
export function conditionWithLetter(plan: Plan, id: string): string {
  const condition = plan.conditions.find((one) => one.id === id)
  return condition ? `${letterOf(plan, id)} ${conditionName(plan, condition)}` : 'a condition no longer in the plan'
}

/** The bare name of a condition, or a word for one that is gone. */
export function nameOfCondition(plan: Plan, id: string): string {
  const condition = plan.conditions.find((one) => one.id === id)
  return condition ? conditionName(plan, condition) : 'a condition no longer in the plan'
}

export function nameOfGroup(plan: Plan, id: string): string {
  return plan.groups.find((group) => group.id === id)?.name ?? 'a group no longer in the plan'
}

/** A reading with the digits that the instrument can show, or more where it was written with more. */
export function writeReading(plan: Plan, value: number, unit: UnitCode): string {
  return writeQuantity(value, unit, Math.max(decimalsOf(resolutionOf(plan)), decimalsOf(value)))
}

/** An average: one digit more than the instrument shows. */
export function writeAverage(plan: Plan, value: number, unit: UnitCode): string {
  return writeQuantity(value, unit, decimalsOf(resolutionOf(plan)) + 1)
}

/** With what something is measured, and how finely. `methodWords(method) // 'ruler, to the nearest mm'` */
export function methodWords({ tool, unit, resolution }: Method): string {
  const symbol = unitOf(unit).symbol || 'one'
  const mark = resolution === 1 ? symbol : withUnit(writeShort(resolution), unit)
  return `${tool.trim() || 'with what?'}, to the nearest ${mark}`
}

/** Names in a row: `list(['A', 'B', 'C']) // 'A, B and C'` */
export function list(names: string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** `counted(1, 'group') // '1 group'`, `counted(3, 'group') // '3 groups'` */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`
}

/** A share in words that children hear: `chanceWords(0.87) // '87 in 100'` */
export function chanceWords(chance: number): string {
  return chance >= 0.995 ? 'nearly 100 in 100' : `${Math.round(chance * 100)} in 100`
}

function resolutionOf(plan: Plan): number {
  return measuredCard(plan)?.method.resolution ?? 1
}
