import { sentenceCase } from './sentenceCase'
import { changedWithAll } from './fairness'
import { onAverageWords, saidAverages, type SaidAverages } from './averages'
import { endsAreTold, type Evidence } from '../evidence'
import { isEachChild, type Plan } from '../lesson'
import { bestOf, comparesMoments, countsOf, resultUnit, testOf } from '../test'
import { writeNumber } from '../quantity'
import { cameWords, comesWords, endsOf, hasEnds } from './best'
import { twoFigures } from './counts'
import { momentStarters } from './moments'
import { counted, nameOfCondition } from './names'
import { writeFigure } from './tables'
import { countedOwners } from './owners'
import { sortedStarters } from './sorted'

/**
 * Ways to begin the class's sentence that say no more than the evidence does, fitted to the children's age: short ones for the youngest, and for the oldest
 * one more that weighs the gap against the wobble.
 */
export function sentenceStarters(plan: Plan, evidence: Evidence): string[] {
  if (evidence.grade === 'nothing-yet') return []
  if (evidence.sorted && evidence.grade !== 'not-fair') return sortedStarters(plan, evidence)
  if (evidence.grade === 'one-condition') return oneConditionStarters(plan, evidence)
  if (evidence.grade === 'not-fair') return notFairStarters(plan)
  if (plan.age === '5-7') return startersOfYoungest(plan, evidence)
  if (isBeforeAndAfter(evidence)) return beforeAndAfterStarters(plan, evidence)
  if (comparesMoments(plan)) return momentStarters(plan, evidence)
  const usual = usualStarters(plan, evidence)
  return plan.age === '9-11' ? [...usual, ...weighingStarter(plan, evidence)] : usual
}

/** How a sentence can begin before the class's numbers are seen. */
export const FIRST_WORDS_OF_SENTENCE = ['We found that …', 'Our numbers show …', 'It looks as if … because …']

/** Nothing to compare with: what was found, and how much it varied. */
function oneConditionStarters(plan: Plan, evidence: Evidence): string[] {
  const [only] = evidence.summaries
  if (!only) return []
  const unit = resultUnit(plan)
  const name = nameOfCondition(plan, only.condition)
  const averages = saidAverages(plan, evidence)
  const figure = writeFigure(plan, averages.of(only.condition)!, unit)
  const onAverage = onAverageWords(averages.way)
  if (plan.age === '5-7') return [`We measured ${name}: ${figure}. Next we would …`]
  if (isEachChild(plan))
    return [
      `Each of us measured for ourselves: ${figure} ${onAverage}. Most of us came to between … and …. We are … sure, because …`,
      `We are not all alike: our numbers went from ${writeFigure(plan, only.lowest, unit)} to ${writeFigure(plan, only.highest, unit)}, perhaps because …`,
    ]
  return [
    `We measured ${name}: ${figure} ${onAverage}, in ${counted(only.count, 'reading')}. Our readings went from … to …, because …`,
    `${sentenceCase(name)} came to ${figure} ${onAverage}. To know what makes it more or less we would compare it with …`,
  ]
}

function notFairStarters(plan: Plan): string[] {
  const change = changedWithAll(plan) ?? 'what we changed'
  return [
    `Our test cannot tell what ${change} does, because … was different, too.`,
    `To make it fair, next time we would keep … the same.`,
  ]
}

function startersOfYoungest(plan: Plan, evidence: Evidence): string[] {
  const { change, most, least, mostValue, leastValue, level } = starterWords(plan, evidence)
  const numbers = `${sentenceCase(most)}: ${mostValue}. ${sentenceCase(least)}: ${leastValue}.`
  switch (evidence.grade) {
    case 'clear':
      return evidence.lead?.grade === 'clear'
        ? [`${sentenceCase(most)} ${cameWords(plan)}. ${numbers} We are sure.`, `${numbers} It is clear, because …`]
        : [`${sentenceCase(change)} makes a difference. ${numbers} We are sure, because …`]
    case 'leaning':
      return level
        ? [`We are not sure yet. ${numbers} Next we would …`]
        : [`We think it may be ${most}. ${numbers} We are not sure yet.`, `Perhaps it is ${most}, because …`]
    case 'cannot-tell':
      return [`We cannot tell yet. ${numbers}`, `The numbers are mixed up. Next we would …`]
    default:
      return [`It came out the same. ${numbers} That is clear.`, `It made no difference that we can see, because …`]
  }
}

/** The gap in wobbles, for those who can weigh it. */
function weighingStarter(plan: Plan, { grade, spread, agreement, tied }: Evidence): string[] {
  if (!spread?.wobbles || tied.length > 1 || (grade !== 'clear' && grade !== 'leaning')) return []
  const gap = `The gap between ${nameOfCondition(plan, spread.more)} and ${nameOfCondition(plan, spread.less)} is ${writeNumber(spread.wobbles, 1)} times the wobble`
  const groups = agreement ? `, and ${agreement.agreeing.length} of ${countedOwners(plan, agreement.asked.length)} agree` : ''
  return grade === 'clear'
    ? [`${gap}${groups}. That is clear, and we think it happens because …`]
    : [`${gap}${groups}. So it may be so, and we are not sure yet: …`]
}

function usualStarters(plan: Plan, evidence: Evidence): string[] {
  const { change, measure, most, numbers, because, level } = starterWords(plan, evidence)
  switch (evidence.grade) {
    case 'clear':
      return clearStarters(plan, evidence)
    case 'leaning':
      if (evidence.limits.includes('same-thing'))
        return [
          `For the ones that we tested, ${numbers}. Whether others of their kind would do the same we cannot tell yet, because …`,
          `To be surer we would take a fresh one each time.`,
        ]
      return [
        `It looks as if ${change} may change ${measure}: ${numbers}. We are not sure yet, because …`,
        level
          ? `Our numbers may show a difference, but ${because} could still explain it. To be surer we would …`
          : `Our numbers lean towards ${most}, but ${because} could still explain it. To be surer we would …`,
      ]
    case 'cannot-tell':
      return [
        evidence.limits.includes('one-reading-each')
          ? `We cannot tell yet whether ${change} changes ${measure}: ${numbers}, and we measured each only once.`
          : `We cannot tell yet whether ${change} changes ${measure}: ${numbers}, and ${because} could make such a gap.`,
        `Our numbers are too close to say. Next time we would …`,
      ]
    case 'same':
      return [
        `As far as our instrument can show, ${change} makes no difference to ${measure}: ${numbers}.`,
        `We found no difference that we can show. We are sure of that because …`,
      ]
    default:
      return []
  }
}

function clearStarters(plan: Plan, evidence: Evidence): string[] {
  const { change, measure, numbers, groups, yardstick } = starterWords(plan, evidence)
  if (endsAreTold(evidence))
    return [
      `We found that ${change} changes ${measure}. ${endsSaid(plan, evidence)}. We are sure, because the gap is much bigger than ${yardstick}${groups}.`,
      `Our averages say that ${change} matters: ${numbers}. That is clear, because …`,
    ]
  return [
    evidence.order.length > 2
      ? `We found that ${change} changes ${measure}: ${numbers}. We are sure of that gap, but we cannot tell yet ${untold(plan, evidence)}.`
      : `We found that ${change} changes ${measure}: ${numbers}. We are sure of that, because …`,
    `It is clear that ${change} matters: ${numbers}. What we are not sure of is …`,
  ]
}

/** One thing compared with itself. */
function isBeforeAndAfter({ order }: Evidence): boolean {
  return order.length === 2 && order.includes('before') && order.includes('after')
}

function beforeAndAfterStarters(plan: Plan, evidence: Evidence): string[] {
  const unit = resultUnit(plan)
  const averages = saidAverages(plan, evidence)
  const at = (moment: string) => writeFigure(plan, averages.of(moment)!, unit)
  const change = changedWithAll(plan) ?? 'what happened'
  const measure = testOf(plan).measure?.name ?? 'what we measured'
  const numbers = `${onAverageWords(averages.way)} ${at('before')} before and ${at('after')} after`
  const { because, yardstick } = starterWords(plan, evidence)
  const level = at('before') === at('after')
  switch (evidence.grade) {
    case 'clear':
      return [
        `We found that ${change} changes ${measure}: ${numbers}. We are sure, because the gap is much bigger than ${yardstick} and …`,
        `${sentenceCase(measure)} was ${numbers}. That is clear, because …`,
      ]
    case 'same':
      return [
        `As far as our instrument can show, ${change} does not change ${measure}: ${numbers}. We are sure of that because …`,
        `${sentenceCase(measure)} stayed the same, as far as we can show: ${numbers}.`,
      ]
    default:
      return [
        `We cannot tell yet whether ${change} changes ${measure}: ${numbers}, and ${because} could hide or make a gap.`,
        level
          ? `${sentenceCase(measure)} came to ${numbers}. To be surer we would …`
          : `It looks as if ${change} may change ${measure}: ${numbers}. To be surer we would …`,
      ]
  }
}

/** Where the order is not told apart: at its upper end, else at its lower one. */
function untold(plan: Plan, { lead }: Evidence): string {
  if (lead?.grade !== 'clear') return `which of the top two ${comesWords(plan)}`
  return `which of the last two is the ${endsOf(plan).least}`
}

/** Both ends with their averages, the best one first where something is best. */
function endsSaid(plan: Plan, evidence: Evidence): string {
  const { most, least, mostValue, leastValue, way } = starterWords(plan, evidence)
  const of = (value: string) => figureOf(plan, value, way)
  const best = bestOf(plan)
  if (best === 'least') return `${sentenceCase(least)} came first with ${of(leastValue)}, ${most} last with ${of(mostValue)}`
  if (best === 'most') return `${sentenceCase(most)} came first with ${of(mostValue)}, ${least} last with ${of(leastValue)}`
  const ends = endsOf(plan)
  const verb = hasEnds(plan) ? 'had' : 'was'
  return `${sentenceCase(most)} ${verb} the ${ends.most}${hasEnds(plan) ? ':' : ' with'} ${of(mostValue)}, ${least} the ${ends.least}${hasEnds(plan) ? ':' : ' with'} ${of(leastValue)}`
}

/** A figure behind a winner: of times the middle one, of everything else an average. */
function figureOf(plan: Plan, value: string, way: SaidAverages['way']): string {
  if (countsOf(plan) === 'until') return value
  return hasEnds(plan) || way !== 'mean' ? `${value} ${onAverageWords(way)}` : `an average of ${value}`
}

function starterWords(plan: Plan, evidence: Evidence) {
  const unit = resultUnit(plan)
  const [first, last] = [evidence.order[0] ?? '', evidence.order.at(-1) ?? '']
  const averages = saidAverages(plan, evidence)
  const average = (id: string) => {
    const value = averages.of(id)
    return value === undefined ? '…' : writeFigure(plan, value, unit)
  }
  const [most, least] = [nameOfCondition(plan, first), nameOfCondition(plan, last)]
  const [mostValue, leastValue] = [average(first), average(last)]
  const { agreement, wobble, tied } = evidence
  const measured = wobble !== undefined
  return {
    change: changedWithAll(plan) ?? 'what we changed',
    measure: testOf(plan).measure?.name ?? 'what we measured',
    most,
    least,
    mostValue,
    leastValue,
    numbers: twoFigures(plan, [most, mostValue], [least, leastValue], averages.way),
    way: averages.way,
    /** What the gap is held against, and what could make one by itself: nobody speaks of a wobble that was not measured. */
    yardstick: measured ? 'the wobble' : isEachChild(plan) ? 'what the children differ by' : 'what the groups differ by',
    because: measured ? 'wobble' : 'luck',
    groups: agreement ? ` and ${agreement.agreeing.length} of ${countedOwners(plan, agreement.asked.length)} agree` : '',
    level: tied.length > 1,
  }
}
