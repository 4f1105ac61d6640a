import type { Granted } from '../granted'
import type { Plan } from '../lesson'
import type { TargetPlace } from '../secondLook'
import { eachMeasure, forMeasure, testOf } from '../test'
import { unitOf } from '../quantity'
import { bestChoices } from './best'
import { countedChoice } from './counts'
import { ASSUMED_SHARE } from '../measuring'
import { chanceWords, counted, list, nameOfCondition } from './names'
import { sentenceCase } from './sentenceCase'
import { thingsAnswered, thingsChoices } from './things'

/** What a lesson takes for granted, as a sentence that anybody can contradict; of several measures it says which. */
export function grantedWords(whole: Plan, granted: Granted): string {
  const plan = granted.measure === null ? whole : forMeasure(whole, granted.measure)
  const said = sentence(plan, granted)
  const several = granted.measure !== null && eachMeasure(whole).length > 1
  return several ? `${testOf(plan).measure?.name ?? ''}: ${said}` : said
}

function sentence(plan: Plan, granted: Granted): string {
  const best = (value: string) => bestChoices(plan).find((one) => one.value === value)?.title ?? ''
  switch (granted.code) {
    case 'best-open':
      return 'Nobody said what is best: so far conditions only differ.'
    case 'best-by-words':
      return `Best is ${best(granted.best)}: the words of the card say so.`
    case 'unit-open':
      return `It is read in ${unitOf(granted.unit).symbol || 'numbers'}: nobody said with what.`
    case 'counts':
      return `What counts is ${countedChoice(plan, granted.counts).title}.`
    case 'sign':
      return granted.bySize
        ? 'Of a difference its size counts, whichever way it goes.'
        : 'A difference counts with its sign: 3 less is less than 1 less.'
    case 'expected-order':
      return `${sentenceCase(nameOfCondition(plan, granted.most))} is taken to give most, since it stands last: made-up classes go by that.`
    case 'left-as-it-is':
      return 'What is left is read as it is; start less left would tell how much went.'
    case 'wobble':
      return `How much a trial wobbles is assumed: ${chanceWords(ASSUMED_SHARE)} of what is expected.`
    case 'things':
      return `Each trial takes ${thingsChoices(plan).find(({ value }) => value === thingsAnswered(plan))?.title ?? granted.things}.`
    case 'kept': {
      const names = granted.factors.map((id) => plan.factors.find((factor) => factor.id === id)?.name ?? '')
      return names.length <= 3
        ? `Nobody said how ${list(names)} ${names.length === 1 ? 'stays' : 'stay'} the same.`
        : `Nobody said how ${counted(names.length, 'thing')} stay the same.`
    }
    case 'written-by':
      return granted.each === 'child' ? 'Each child writes down its own.' : 'Each group writes down its own.'
  }
}

const CHANGED_AT: Record<Granted['code'], TargetPlace> = {
  'best-open': 'best',
  'best-by-words': 'best',
  'unit-open': 'method-tool',
  counts: 'counts',
  sign: 'by-size',
  'expected-order': 'expected',
  'left-as-it-is': 'each-is',
  wobble: 'expected',
  things: 'things',
  kept: 'fair-check',
  'written-by': 'class',
}

/** Where it is said otherwise. */
export function grantedPlace({ code }: Granted): TargetPlace {
  return CHANGED_AT[code]
}
