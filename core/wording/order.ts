import { arrangementOf, orderKindOf, trialOrderOf, turnsTogether } from '../arrangement'
import { letterOf, type Plan, type TrialOrder } from '../lesson'
import { kindOf } from '../test'

export const ORDER_WORDS: Record<TrialOrder, { name: string; what: string }> = {
  mixed: {
    name: 'Mixed',
    what: 'Each group begins elsewhere, and the order turns from repeat to repeat: what warms, tires or wears falls on all alike.',
  },
  blocks: {
    name: 'Blocks',
    what: 'All repeats of one condition before the next, where changing over costs. Each group starts elsewhere.',
  },
}

/** A group's trials by their letters, repeat by repeat. `'A B D C · C D B A'`; empty where there is nothing to order. */
export function orderLine(plan: Plan, group: string): string {
  const kind = orderKindOf(plan)
  const trials = trialOrderOf(plan).get(group) ?? []
  if (kind === 'as-written' || trials.length === 0) return ''
  const letters = trials.map((trial, place) => {
    const before = trials[place - 1]
    const begins = before && (kind === 'blocks' ? before.condition !== trial.condition : before.repeat !== trial.repeat)
    return `${place === 0 ? '' : begins ? ' · ' : ' '}${letterOf(plan, trial.condition)}`
  })
  return letters.join('')
}

/**
 * Which of its trials a group does in one place of its sheet, 1 for the first, by condition and repeat; all together, which turn of the class. Empty where
 * there is nothing to order.
 * @example trialNumbers(plan, 'g2').get('card/1') // => 4
 */
export function trialNumbers(plan: Plan, group: string): Map<string, number> {
  const together = arrangementOf(plan) === 'together' && !kindOf(plan).allAtOnce
  if (!together && orderKindOf(plan) === 'as-written') return new Map()
  const own = trialOrderOf(plan).get(group) ?? []
  const all = together ? turnsTogether(plan) : own
  const places = new Map(all.map(({ condition, repeat }, place) => [`${condition}/${repeat}`, place + 1]))
  return new Map(
    own.map(({ condition, repeat }, place) => [`${condition}/${repeat}`, places.get(`${condition}/${repeat}`) ?? place + 1]),
  )
}

/** A trial's number in its group's own order, in words; empty where there is none. `'its trial 5'` */
export function trialNumberWords(
  plan: Plan,
  { group, condition, repeat }: { group: string; condition: string; repeat: number },
): string {
  const number = trialNumbers(plan, group).get(`${condition}/${repeat}`)
  if (number === undefined) return ''
  return arrangementOf(plan) === 'together' ? `turn ${number}` : `its trial ${number}`
}
