import type { Evidence, Gap, Grade } from '../evidence'
import { activeConditions, changedFactor, measuredCard, type Plan } from '../lesson'
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
    return `${agreement.agreeing.length} of ${counted(agreement.asked.length, 'group')} had no less ${first} than ${other}.`
  }
  const tail = not.length > 0 && not.length < 4 ? `; ${list(not)} did not` : ''
  return `${agreement.agreeing.length} of ${counted(agreement.asked.length, 'group')} put ${nameOfCondition(plan, first)} first${tail}.`
}

/** Ways to begin the class's sentence that say no more than the evidence does. */
export function sentenceStarters(plan: Plan, evidence: Evidence): string[] {
  const { change, measure, most, least, mostValue, leastValue, groups } = starterWords(plan, evidence)
  if (evidence.grade === 'nothing-yet') return []
  if (isBeforeAndAfter(evidence)) return beforeAndAfterStarters(plan, evidence)
  const numbers = `${most} averaged ${mostValue} and ${least} ${leastValue}`
  switch (evidence.grade) {
    case 'clear':
      return evidence.lead?.grade === 'clear'
        ? [
            `We found that ${change} changes ${measure}. ${sentenceCase(most)} came first with an average of ${mostValue}, ${least} last with ${leastValue}. We are sure, because the gap is much bigger than the wobble and ${groups}.`,
            `Our averages say that ${change} matters: ${numbers}. That is clear, because …`,
          ]
        : [
            `We found that ${change} changes ${measure}: ${numbers}. We are sure of that gap, but we cannot tell yet which of the top two comes first.`,
            `It is clear that ${change} matters: ${numbers}. What we are not sure of is …`,
          ]
    case 'leaning':
      return [
        `It looks as if ${change} may change ${measure}: ${numbers}. We are not sure yet, because …`,
        `Our numbers lean towards ${most}, but wobble could still explain it. To be surer we would …`,
      ]
    case 'cannot-tell':
      return [
        `We cannot tell yet whether ${change} changes ${measure}: ${numbers}, and the readings wobble by more than that.`,
        `Our numbers are too close to say. Next time we would …`,
      ]
    case 'same':
      return [
        `As far as our instrument can show, ${change} makes no difference to ${measure}: ${numbers}.`,
        `We found no difference that we can show. We are sure of that because …`,
      ]
  }
}

/** One thing compared with itself. */
function isBeforeAndAfter({ order }: Evidence): boolean {
  return order.length === 2 && order.includes('before') && order.includes('after')
}

function beforeAndAfterStarters(plan: Plan, evidence: Evidence): string[] {
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  const at = (moment: string) => writeAverage(plan, evidence.summaries.find(({ condition }) => condition === moment)!.mean, unit)
  const change = changedFactor(plan)?.name ?? 'what happened'
  const measure = measuredCard(plan)?.name ?? 'what we measured'
  const numbers = `on average ${at('before')} before and ${at('after')} after`
  switch (evidence.grade) {
    case 'clear':
      return [
        `We found that ${change} changes ${measure}: ${numbers}. We are sure, because the gap is much bigger than the wobble and …`,
        `${sentenceCase(measure)} was ${numbers}. That is clear, because …`,
      ]
    case 'same':
      return [
        `As far as our instrument can show, ${change} does not change ${measure}: ${numbers}. We are sure of that because …`,
        `${sentenceCase(measure)} stayed the same, as far as we can show: ${numbers}.`,
      ]
    default:
      return [
        `We cannot tell yet whether ${change} changes ${measure}: ${numbers}, and the readings wobble.`,
        `It looks as if ${change} may change ${measure}: ${numbers}. To be surer we would …`,
      ]
  }
}

function starterWords(plan: Plan, evidence: Evidence) {
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  const [first, last] = [evidence.order[0] ?? '', evidence.order.at(-1) ?? '']
  const average = (id: string) => {
    const found = evidence.summaries.find((summary) => summary.condition === id)
    return found ? writeAverage(plan, found.mean, unit) : '…'
  }
  const agreement = evidence.agreement
  return {
    change: changedFactor(plan)?.name ?? 'what we changed',
    measure: measuredCard(plan)?.name ?? 'what we measured',
    most: nameOfCondition(plan, first),
    least: nameOfCondition(plan, last),
    mostValue: average(first),
    leastValue: average(last),
    groups: agreement ? `${agreement.agreeing.length} of ${counted(agreement.asked.length, 'group')} agree` : 'the groups agree',
  }
}

/** What could come next: the wonderings kept for next time, then what nobody has changed yet. */
export function nextQuestions(plan: Plan): string[] {
  const kept = plan.wonder.wondered.filter(({ later }) => later).map(({ text }) => text)
  const measure = measuredCard(plan)?.name
  if (!measure || activeConditions(plan).length === 0) return kept
  const cards = plan.factors
    .filter((factor) => factor.id !== plan.changed)
    .map((factor) => `How does ${factor.name} change ${measure}?`)
  return [...kept, ...cards]
}

export function sentenceCase(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
