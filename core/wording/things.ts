import { arrangementOf, specimensOf } from '../arrangement'
import { ownersIn, sharesThings, THINGS, type Plan, type Things } from '../lesson'
import { comesAgain, kindOf, testOf } from '../test'
import type { Outlook } from '../measuring'
import { withUnit, writeShort, type ResultUnit } from '../quantity'
import { chanceWords, counted } from './names'

const THINGS_WORDS: Record<Things, { name: string; example: string }> = {
  fresh: { name: 'a fresh one each time', example: 'new strip' },
  same: { name: 'the same one again', example: 'one ball' },
  class: { name: 'one for the class', example: 'everybody looks at it' },
}

/** What may be answered; where a class watches over time, a group has one of its own or all look at the same one. */
export function thingsChoices({ kind }: Pick<Plan, 'kind'>): { value: Things; title: string; example: string }[] {
  if (kindOf({ kind }).watches)
    return [
      { value: 'same', title: 'one of its own for each group', example: 'a jar each' },
      { value: 'class', title: THINGS_WORDS.class.name, example: THINGS_WORDS.class.example },
    ]
  return THINGS.map((value) => ({ value, title: THINGS_WORDS[value].name, example: THINGS_WORDS[value].example }))
}

/** Which of them is answered: a jar of its own is fresh and the same at once. */
export function thingsAnswered({ kind, things }: Pick<Plan, 'kind' | 'things'>): Things {
  return kindOf({ kind }).watches && things === 'fresh' ? 'same' : things
}

/** What the answer means for kit, evidence and words, in one line. */
export function thingsMeaning(plan: Plan): string {
  if (sharesThings(plan)) return sharedWords(plan)
  if (plan.things === 'class')
    return 'The kit counts one of each for the class. However many look at it, the result is about this one, and leaning at most: for its kind take more of them.'
  if (kindOf(plan).watches) return 'Each group has one of its own: groups say how far such things differ.'
  if (!comesAgain(plan)) return 'The kit counts one for each trial, and repeats say how far such things differ.'
  if (arrangementOf(plan) === 'circuit')
    return 'Every group comes to what stands at the stations: the result is about these things, and leaning at most.'
  return specimensOf(plan) === 'one'
    ? 'The kit counts one of each, and repeats say how well that one is measured: the result is about this one, and leaning at most.'
    : 'The kit counts one of each for a group, and repeats say how well that one is measured: groups make the result surer, repeats little.'
}

/**
 * How many real things the children have among them.
 * @example sharedWords(soakUpPlan()) // => '7 things for 7 children: what several read of one thing counts once, and the kit counts one for them.'
 */
export function sharedWords(plan: Plan): string {
  const things = counted(ownersIn(plan).length, 'thing')
  return `${things} for ${plan.groups.length} children: what several read of one thing counts once, and the kit counts one for them.`
}

/** For how many children one thing is, as they sit; the first stands for the seats as they are. */
export const SHARED_BY = [
  { value: 0, title: 'as the seats say' },
  { value: 1, title: 'each child' },
  { value: 2, title: 'two who sit together' },
  { value: 3, title: 'three who sit together' },
  { value: 4, title: 'four who sit together' },
  { value: 6, title: 'six who sit together' },
]

/** How often it comes out clear: the figure that goes first. `'As planned it comes out clear in 83 in 100 classes like yours.'` */
export function clearWords({ clear }: Pick<Outlook, 'clear'>): string {
  return `As planned it comes out clear in ${chanceWords(clear)} classes like yours.`
}

/**
 * How often a class can say that nothing differs, where the teacher expects just that.
 * @example sameWords(undefined) // => 'You expect no difference. Say on the card from which difference on it would matter, and see how surely the class can say “the same”.'
 */
export function sameWords(chance: number | undefined): string {
  if (chance === undefined)
    return 'You expect no difference. Say on the card from which difference on it would matter, and see how surely the class can say “the same”.'
  return `You expect no difference. If there is none, ${chanceWords(chance)} classes like yours can say “the same”.`
}

/** The two other chances, told apart. `'The best one is best in 97 in 100 classes, and in 71 in 100 single groups.'` */
export function bestWords({ bestInClass, bestInGroup, byPlaces, shares }: Outlook): string {
  const best = byPlaces ? 'The first one comes first' : 'The best one comes out best'
  if (shares.length < 2) return `${best} in ${chanceWords(bestInGroup)}.`
  return `${best} over the whole class in ${chanceWords(bestInClass)}, and in one group alone in ${chanceWords(bestInGroup)}.`
}

/**
 * That two groups can hardly tell anything apart; empty where there are more, or where one block goes by its readings.
 * @example fewGroupsWords({ shares: [[0, 1], [0, 1]] }) // => 'With two groups nothing but a huge gap comes out clear: smaller groups make more of them.'
 */
export function fewGroupsWords({ shares }: Pick<Outlook, 'shares'>): string {
  return shares.length === 2 ? 'With two groups nothing but a huge gap comes out clear: smaller groups make more of them.' : ''
}

/**
 * How many repeats would do, where that is another number than the plan's.
 * @example neededWords({ needed: 2 }, 3) // => '2 repeats would already make it clear nine times in ten.'
 */
export function neededWords({ needed }: Pick<Outlook, 'needed'>, repeats: number): string {
  if (needed === undefined) return 'Twelve repeats would not make it clear nine times in ten.'
  if (needed === repeats) return ''
  return `${counted(needed, 'repeat')} would ${needed < repeats ? 'already ' : ''}make it clear nine times in ten.`
}

/** Where the trial-to-trial wobble comes from. */
export function wobbleSourceWords(plan: Plan, { wobbleFrom }: Pick<Outlook, 'wobbleFrom'>): string {
  if (wobbleFrom === 'record') return 'from your own readings'
  if (wobbleFrom === 'assumed') return 'assumed: 8 % of the middle; two practice readings would tell'
  const from = testOf(plan).method?.expectedFrom
  return from === 'practice' ? 'from practice readings' : from === 'bench' ? 'from the simulator' : 'as you said'
}

/** A figure of the adviser, to three digits. */
export function adviserFigure(value: number, unit: ResultUnit): string {
  return withUnit(writeShort(Number(value.toPrecision(3))), unit)
}
