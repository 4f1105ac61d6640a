import { gradeBetween, type Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { NEGATED } from './lexicon'
import { withoutNames } from './mentions'
import type { ConditionMention, Stretch } from './stretch'
import { bestSideOf, isApart, isTold, placesOf, type Judged } from './order'

const IN_ORDER =
  /\b(?:the |our )?order (?:is|was)\b|\bin (?:this|that) order\b|\bfrom (?:best|first|highest|most) to (?:worst|last|lowest|least)\b/

/** Does a sentence say that it lists all in their order. */
export function listsOrder({ text }: Stretch): boolean {
  return IN_ORDER.test(text)
}

/** Nothing stands before the first that is listed but how sure the class is: "We tested kitchen roll, then tissue" is no order. */
const BEGINS = /^\W*(?:we are sure\W+)?(?:the )?$/

/** Does a sentence do nothing but list: "We are sure: pleated, then rolled, then flat". */
export function isList({ text, from, mentions }: Stretch): boolean {
  const first = mentions.find(({ kind }) => kind === 'condition')
  return first !== undefined && THEN_THEN.test(text) && BEGINS.test(text.slice(0, first.from - from))
}

const THEN_THEN = /, (?:and )?then [^,]+,? (?:and )?then /

/** "The order is kitchen roll, tissue, card": the best first, each clearly before the next. */
export function readOrder(sentence: Stretch, plan: Plan, evidence: Evidence): Judged[] | undefined {
  const match = IN_ORDER.exec(sentence.text) ?? THEN_THEN.exec(sentence.text)
  const named = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  if (!match || named.length < 3 || NEGATED.test(withoutNames(sentence))) return undefined
  const best = bestSideOf(plan) === 'less' ? [...evidence.order].reverse() : evidence.order
  // "Card was lowest, then writing paper, then tissue" goes up.
  const up = THEN_THEN.test(sentence.text) && best.indexOf(named[0]!.id) > best.indexOf(named.at(-1)!.id)
  const order = up ? [...best].reverse() : best
  const places = named.map(({ id }) => order.indexOf(id))
  const at = placesOf({ from: sentence.from + match.index, to: sentence.from + match.index + match[0].length }, ...named)
  if (places.includes(-1) || named.some(({ id }) => isApart(id, evidence))) return []
  const wrong = named.findIndex((_, place) => place > 0 && places[place]! < places[place - 1]!)
  if (wrong > 0) {
    const [a, b] = [named[wrong - 1]!.id, named[wrong]!.id]
    return isTold(a, b, evidence) ? [{ code: 'wrong-direction', named: [a, b], at }] : []
  }
  const clear = named.every(({ id }, place) => place === 0 || gradeBetween(evidence, named[place - 1]!.id, id) === 'clear')
  return clear ? [{ code: 'right', at }] : []
}

const NTH = /\b(?:came|comes|was|is|finished) (?:the |our |in )?(second|third|fourth|runner-up)(?: best| place)?\b/
/** "Third was writing paper". */
const NTH_FIRST = /^\W*(?:and |our |the )*(second|third|fourth)(?: best)? (?:came|comes|was|is) (?:the )?/
/** "Newspaper second", with nothing else in it. */
const SECOND = /(?<=^\W*(?:and |the )*(?:\p{L}+ ){1,4})(second|third|fourth)(?=\W*$)/u
const PLACES = ['second', 'third', 'fourth']

/** The place that a clause gives away: "second try" may be a condition's name. */
export function nthOf(clause: Stretch, conditions: ConditionMention[]): RegExpExecArray | undefined {
  const match = NTH.exec(clause.text) ?? NTH_FIRST.exec(clause.text) ?? (conditions.length === 1 ? SECOND.exec(clause.text) : null)
  const [begin, end] = match ? [clause.from + match.index, clause.from + match.index + match[0].length] : [0, 0]
  return match && !conditions.some(({ from, to }) => from < end && to > begin) ? match : undefined
}

/** "Came third": right where its neighbours stand clearly before and behind it. */
export function judgeNth(
  subject: ConditionMention,
  match: RegExpExecArray,
  clause: Stretch,
  plan: Plan,
  evidence: Evidence,
): Judged[] {
  const side = bestSideOf(plan)
  if (side === undefined || isApart(subject.id, evidence)) return []
  const order = side === 'more' ? evidence.order : [...evidence.order].reverse()
  const place = (match[1] === 'runner-up' ? 0 : PLACES.indexOf(match[1]!)) + 1
  const from = clause.from + match.index
  const at = placesOf(subject, { from, to: from + match[0].length })
  const there = order[place]
  if (there !== undefined && there !== subject.id && isTold(subject.id, there, evidence))
    return [{ code: 'names-another-winner', named: subject.id, winner: there, at }]
  const neighbours = [order[place - 1], order[place + 1]].filter((id) => id !== undefined)
  return there === subject.id && neighbours.every((id) => gradeBetween(evidence, subject.id, id) === 'clear')
    ? [{ code: 'right', at }]
    : []
}

const THEN = /^\W*(?:and )?then /

/** Does a clause go on with the next one: "then tissue". */
export function isOneByOne({ text }: Stretch): boolean {
  return THEN.test(text)
}

/** "Kitchen roll first, then tissue": each stands clearly before the next. */
export function inOrder(earlier: ConditionMention, later: ConditionMention, evidence: Evidence): Judged[] {
  const place = (id: string) => evidence.order.indexOf(id)
  if (place(earlier.id) < 0 || place(later.id) < 0 || gradeBetween(evidence, earlier.id, later.id) !== 'clear') return []
  if (Math.abs(place(earlier.id) - place(later.id)) !== 1) return []
  return [{ code: 'right', at: placesOf(later) }]
}
