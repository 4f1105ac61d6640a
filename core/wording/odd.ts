import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import { type Plan } from '../lesson'
import { withUnit, writeShort } from '../quantity'
import type { Explanation, OddResult } from '../record'
import { testOf } from '../test'
import { conditionWithLetter, momentWords, nameOfGroup, writeReading } from './names'

export const ODD_STATE_WORDS: Record<OddResult['state'], string> = {
  open: 'not looked at yet',
  kept: 'kept',
  'set-aside': 'set aside',
}

/** Which result it is, and how far from its fellows. `'Elm, A kitchen roll, repeat 2: 85 mm; the others lie around 58 mm.'` */
export function oddWords(plan: Plan, { reading, doubt }: OddResult): string {
  const { group, condition, repeat, moment, value, unit } = reading
  const place = [nameOfGroup(plan, group), conditionWithLetter(plan, condition), `repeat ${repeat}`, momentWords(plan, moment)]
  const middle = doubt && 'middle' in doubt ? doubt.middle : null
  const { method } = testOf(plan)
  const others = middle === null || !method ? '' : `; the others lie around ${writeReading(plan, middle, method.unit)}`
  return `${place.filter(Boolean).join(', ')}: ${writeReading(plan, value, unit)}${others}.`
}

/** What may lie behind it, as a question or a fact. */
export function explanationWords(plan: Plan, explanation: Explanation, group: string): string {
  const unit = testOf(plan).unit
  switch (explanation.code) {
    case 'said':
      return `The group wrote: “${explanation.reason}”.`
    case 'slip':
      return `It would fit as ${withUnit(writeShort(explanation.suggested), unit)}: a slip of the pen?`
    case 'observed':
      return `Seen at the time: “${explanation.observation.text}”.`
    case 'factor-unknown':
      return `Nobody knows how ${explanation.factor} was for this condition.`
    case 'factor-differs':
      return `${sentenceCase(explanation.factor)} was different here: ${explanation.value}.`
    case 'station-moved':
      return `A station had just been moved to ${nameOfGroup(plan, group)}: was it that group’s number?`
    case 'paused':
      return 'The station was paused just before: did the water, the clock or the children wait too long?'
    case 'plan-changed':
      return 'The plan was changed just before: was this trial done the new way and the others the old?'
    case 'group-apart':
      return `${nameOfGroup(plan, group)} lies ${explanation.side} the others nearly everywhere: something at its table may differ.`
    case 'first-trial':
      return 'It was the group’s first trial: hands learn in the first one.'
    case 'rewritten':
      return `It was put right ${explanation.times === 1 ? 'once' : `${explanation.times} times`} already.`
    case 'factor':
      return explanation.how === ''
        ? `Was ${explanation.factor} the same as for the others?`
        : `Was ${explanation.factor} kept the same (${explanation.how})?`
    default:
      return unreachable(explanation)
  }
}
