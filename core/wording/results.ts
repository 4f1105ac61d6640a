import type { Evidence, GradedPair } from '../evidence'
import { type LessonRecord, type Plan } from '../lesson'
import { resultUnit } from '../test'
import { handsOf, type CameOut, type Nearness } from '../predictions'
import { writeNumber, isAmount } from '../quantity'
import { cameWords, comesWords } from './best'
import { GRADE_NAMES } from './grades'
import { chanceWords, conditionWithLetter, counted, nameOfCondition, writeAverage } from './names'
import { countedOwners } from './owners'
import { sortedNearness } from './sorted'

/** What the grade rests on, with its figure. */
export function gradeFigure(evidence: Evidence): string {
  const share = (p: number) => (p < 0.005 ? 'fewer than 1 in 100 classes' : `${chanceWords(p)} classes`)
  if (evidence.friedman) {
    const { p, blocks } = evidence.friedman
    return `If nothing but luck were at work, ${blocks} orders that agree like these would come up in ${share(p)}.`
  }
  if (evidence.whole) return `If nothing but luck were at work, a gap like this would come up in ${share(evidence.whole.judged)}.`
  return evidence.limits.includes('one-reading-each') ? 'One reading of each says nothing about luck.' : ''
}

/** A p value for the teacher. `pWords(0.0312) // '0.031'` */
export function pWords(p: number): string {
  return p < 0.001 ? 'below 0.001' : writeNumber(p, 3)
}

/** One pair of the working behind the grade. `'A kitchen roll and B tissue: 9.9 mm apart, from 5.7 to 14.0, clear'` */
export function pairWords(
  plan: Plan,
  pair: GradedPair,
): { pair: string; apart: string; interval: string; p: string; against: string; grade: string } {
  const unit = resultUnit(plan)
  const [more, less] = pair.difference > 0 ? [pair.b, pair.a] : [pair.a, pair.b]
  const [low, high] = pair.difference > 0 ? [pair.low, pair.high] : [-pair.high, -pair.low]
  return {
    pair: `${conditionWithLetter(plan, more)} above ${conditionWithLetter(plan, less)}`,
    apart: writeAverage(plan, Math.abs(pair.difference), unit),
    interval: `${writeAverage(plan, low, unit)} to ${writeAverage(plan, high, unit)}`,
    p: pWords(pair.pHolm),
    against: AGAINST_WORDS[pair.how],
    grade: GRADE_NAMES[pair.grade],
  }
}

/** What a pair was told apart against. */
const AGAINST_WORDS: Record<GradedPair['how'], string> = {
  own: 'its own groups or readings',
  pooled: 'all together',
  larger: 'the wider of both',
}

/** How near a group's prediction was, kindly: a wrong one is where something was learned. `'5 of 6 pairs came out as they said.'` */
export function nearnessWords(plan: Plan, { right, all, of, away }: Nearness): string {
  if (of === 'words') return sortedNearness(right, all)
  const unit = resultUnit(plan)
  const by = away === undefined || !isAmount(unit) ? '' : ` On average ${writeAverage(plan, away, unit)} away.`
  if (all === 0) return by.trim()
  if (right === all)
    return `${all === 1 || of !== 'pairs' ? 'It came out as they said.' : `All ${all} pairs came out as they said.`}${by}`
  if (right === 0) {
    const surprise = of === 'pairs' ? 'It came out the other way round' : 'It came out differently'
    return `${surprise}: a surprise worth talking about.${by}`
  }
  const what = of === 'pairs' ? counted(all, 'pair') : of === 'ends' ? 'most and least' : counted(all, 'change')
  return `${right} of ${what} came out as they said.${by}`
}

/**
 * How a prediction came out, with one's own things first where they tell another story than the class's.
 * @example cameOutWords(plan, { own: undefined, class: undefined }) // => []
 */
export function cameOutWords(plan: Plan, { own, class: all }: CameOut): string[] {
  const [ours, theirs] = [own, all].map((one) => one && nearnessWords(plan, one))
  if (!ours || !theirs || ours === theirs) return [theirs ?? ours ?? ''].filter(Boolean)
  return [`With its own things: ${smallFirst(ours)}`, `With the class’s: ${smallFirst(theirs)}`]
}

const smallFirst = (sentence: string) => sentence.charAt(0).toLowerCase() + sentence.slice(1)

/** How many hands went up for what came first. `'14 of 26 hands were for kitchen roll, which came first.'` */
export function handsForesight(plan: Plan, evidence: Evidence, { predictions }: LessonRecord): string {
  const winner = evidence.order[0]
  const hands = handsOf(plan, predictions)
  if (!winner || !hands || evidence.tied.length > 1) return ''
  const all = Object.values(hands.values).reduce((sum, count) => sum + count, 0)
  if (all === 0) return ''
  return `${hands.values[winner] ?? 0} of ${counted(all, 'hand')} ${all === 1 ? 'was' : 'were'} for ${nameOfCondition(plan, winner)}, which ${cameWords(plan)}.`
}

/** Who foresaw it. `'3 of 7 groups predicted that kitchen roll comes first.'` */
export function foresight(plan: Plan, evidence: Evidence, orders: string[][]): string {
  const winner = evidence.order[0]
  // Who said more, less or the same said nothing of what comes first.
  const said = orders.filter((order) => order.length > 0)
  if (!winner || evidence.order.length < 2 || said.length === 0 || evidence.tied.length > 1) return ''
  const right = said.filter((order) => order[0] === winner).length
  return `${right} of ${countedOwners(plan, said.length)} predicted that ${nameOfCondition(plan, winner)} ${comesWords(plan)}.`
}
