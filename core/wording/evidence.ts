import type { NextTest } from '../agree'
import type { Evidence, Gap, Grade } from '../evidence'
import { changedFactor, measuredCard, type Plan } from '../lesson'
import { writeNumber } from '../quantity'
import { counted, nameOfCondition, nameOfGroup, list, writeAverage } from './names'

export const GRADE_NAMES: Record<Grade, string> = {
  clear: 'Clear',
  leaning: 'Leaning',
  'cannot-tell': "Can't tell yet",
  same: 'The same, as far as we can show',
  'nothing-yet': 'Nothing to compare yet',
}

/** What the grade means for this class's numbers, in one sentence. */
export function gradeSentence(plan: Plan, evidence: Evidence): string {
  const what = whatMadeIt(plan)
  switch (evidence.grade) {
    case 'clear':
      return plan.kind === 'order'
        ? 'The order stands out: luck alone would hardly make one like it.'
        : `${what} made a difference that stands out from the wobble.`
    case 'leaning':
      return evidence.oneReadingEach
        ? 'There is a gap, but with one reading each nobody can say how much of it is wobble.'
        : 'There is a gap, but wobble alone could still make one like it.'
    case 'cannot-tell':
      return 'The gap is no bigger than wobble alone would make.'
    case 'same':
      return `${what} made no difference that our instrument can show.`
    case 'nothing-yet':
      return plan.kind === 'before-after'
        ? 'Readings before and after are needed before they can be compared.'
        : 'Readings of two conditions are needed before they can be compared.'
  }
}

/** What may have made a difference, as the subject of a sentence. `'Changing the kind of paper'`, `'Melting'` */
function whatMadeIt(plan: Plan): string {
  const change = changedFactor(plan)?.name
  switch (plan.kind) {
    case 'before-after':
      return sentenceCase(change ?? 'what happened')
    case 'improve':
      return 'What was changed from try to try'
    case 'describe':
      return sentenceCase(change ?? 'what we compared')
    default:
      return `Changing ${change ?? 'what we change'}`
  }
}

/** "Kitchen roll is 13.2 mm above tissue: 2.5 times the wobble." */
export function gapSentence(plan: Plan, gap: Gap): string {
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  const wobbles = gap.wobbles === undefined ? '' : `: ${writeNumber(gap.wobbles, 1)} times the wobble`
  const more = sentenceCase(nameOfCondition(plan, gap.more))
  if (gap.more === 'before' || gap.more === 'after') {
    const times = gap.wobbles === undefined ? '' : `: ${writeNumber(gap.wobbles, 1)} times the wobble`
    return `${more} was ${writeAverage(plan, gap.difference, unit)} more than ${gap.less}${times}.`
  }
  if (unit === 'place')
    return `${more} came in ${writeNumber(Math.abs(gap.difference), 1)} places before ${nameOfCondition(plan, gap.less)}, on average.`
  if (unit === 'words')
    return `${more} is ${writeNumber(gap.difference, 1)} words further along than ${nameOfCondition(plan, gap.less)}, on average.`
  const difference = writeAverage(plan, gap.difference, unit)
  return `${more} is ${difference} above ${nameOfCondition(plan, gap.less)}${wobbles}.`
}

/** "6 of 7 groups found kitchen roll highest; Elm did not." */
export function agreementSentence(plan: Plan, evidence: Evidence): string {
  const first = evidence.order[0]
  const agreement = evidence.agreement
  if (!first || !agreement || agreement.asked.length === 0) return 'No group has readings to compare yet.'
  const not = agreement.asked.filter((group) => !agreement.agreeing.includes(group)).map((group) => nameOfGroup(plan, group))
  if (first === 'before' || first === 'after') {
    const other = first === 'before' ? 'after' : 'before'
    return `${agreement.agreeing.length} of ${counted(agreement.asked.length, 'group')} had at least as much ${first} as ${other}.`
  }
  const tail = not.length > 0 && not.length < 4 ? `; ${list(not)} did not` : ''
  return `${agreement.agreeing.length} of ${counted(agreement.asked.length, 'group')} put ${nameOfCondition(plan, first)} first${tail}.`
}

/** What could be tested next, as a question. `'How does the width of the strip change how high water climbs?'` */
export function nextQuestion(next: NextTest): string {
  return next.from === 'wondering' ? next.text : `How does ${next.factor} change ${next.measure}?`
}

export function sentenceCase(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
