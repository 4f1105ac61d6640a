import { type Evidence, gradeBetween } from '../../evidence'
import { changedFactor, isWordOf, mainWords, type Plan, withoutEnding } from '../../lesson'
import { NUMBER_WORDS, numberOf } from '../../quantity'
import { followsNames, isKnown, namesBoth, RATIO, type Reading, wordsOfPlan } from './knownWords'
import { AS_FAR_AS_SEEN, AVERAGE_NAMED, HEDGED, NARROWED, NO_DIFFERENCE } from './lexicon'
import { clausesOf, withoutNames } from './mentions'
import { isKnownOfPlan, isOfPlan } from './ofPlan'
import { fitsResult, isApart } from './order'
import { isOfCondition, SIZES } from './setUp'
import { type ComparingMention, type Mention, namedIn, overlap, type Span, type Stretch } from './stretch'

/** Nothing but how sure the class is: "and we are sure of it", "that is clear". */
const HOW_SURE_ONLY =
  /^\W*(?:and |so |but )?(?:so )?(?:we (?:are|feel|can be|were)(?: \w+)? (?:sure|certain)(?: (?:of|about) (?:it|that|this|these|them|(?:the|our) (?:order|results?|difference|conclusion))(?: \w+)?)?|(?:that|this|it|the difference|the result|the order)(?: is| was|'s)(?: \w+)? (?:clear|sure|certain)|(?:the|our) (?:numbers|results|readings|averages) are (?:\w+ )?clear|(?:quite|very) sure|for sure|definitely)\W*$/

/**
 * What of a text was not checked: parts in which nothing was found in the table, and words beside what was found that the reader does not know.
 * @param right  what was found in the table
 * @param doubts what is already asked about
 */
export function unreadIn(sentences: Stretch[], plan: Plan, evidence: Evidence, right: Span[], doubts: Span[]): Span[] {
  const known = wordsOfPlan(plan)
  return sentences.flatMap((sentence) =>
    clausesOf(sentence).flatMap((clause, place, clauses) => {
      const next = clauses[place + 1]
      // "Kitchen roll: 61 mm", "Kitchen roll, 61 mm".
      const figure = next?.mentions[0]
      const heads =
        next?.text.startsWith(':') || (figure?.kind === 'figure' && next?.text.startsWith(', ') && figure.from === next.from + 2)
      const named = next && heads && isOnlyNamed(clause, known) && right.some((one) => overlap(one, next))
      return named ? [] : unreadInClause(clause, sentence, plan, evidence, known, right, doubts)
    }),
  )
}

function unreadInClause(
  clause: Stretch,
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  known: Set<string>,
  right: Span[],
  doubts: Span[],
): Span[] {
  const named = AVERAGE_NAMED[plan.average]?.exec(sentence.text)
  const namesAverage = (place: number) =>
    named &&
    clause.from + place >= sentence.from + named.index &&
    clause.from + place < sentence.from + named.index + named[0].length
  const words = [...clause.text.matchAll(/[\p{L}']+|\d[\d.,]*|%/gu)].filter(({ index }) => !namesAverage(index))
  if (words.length === 0) return []
  const whole = { from: clause.from + words[0]!.index, to: clause.from + words.at(-1)!.index + words.at(-1)![0].length }
  const within = (spans: Span[]) => spans.filter(({ from, to }) => from >= clause.from && to <= clause.to)
  if (within(doubts).length > 0) return []
  // Less sure than the evidence is allowed.
  if (HOW_SURE_ONLY.test(clause.text)) return sureness(evidence) || UNSURE.test(clause.text) ? [] : [whole]
  if (ONLY_AS_FAR_AS_SEEN.test(clause.text) || /^\W*on average\W*$/.test(clause.text)) return []
  if (evidence.sorted && MOST_OFTEN.test(clause.text)) return []
  if (THEY_DIFFER.test(clause.text)) return allApart(sentence, evidence) ? [] : [whole]
  if (ALL_DIFFER.test(clause.text) && clause.mentions.length === 0) return allOfThemDiffer(clause, plan, evidence) ? [] : [whole]
  // What is to be done next says nothing of what came out.
  if (WHAT_NEXT.test(clause.text) && clause.mentions.length === 0) return []
  const found = within(right)
  const saysSame = clause.text.search(NO_DIFFERENCE) >= 0
  // "Between wool, cotton and bare": the names may stand in parts of their own; "but cotton did" says something else.
  const same = evidence.grade === 'same' && sentence.text.search(NO_DIFFERENCE) >= 0 && (saysSame || !OF_ITS_OWN.test(clause.text))
  const open = evidence.grade !== 'clear' && evidence.grade !== 'same' && HEDGED.test(clause.text)
  if (found.length === 0 && !same && !open) return [whole]
  // A reason of our own, that the table gives.
  const reasoned = /^\W*because /.test(clause.text) && found.length > 0
  const share = RATIO.exec(reasoned ? withoutNames(clause).replace('because', '       ') : withoutNames(clause))
  const said = share &&
    !(share[0] === 'all' && (same || followsNames(clause, share.index))) && {
      from: clause.from + share.index,
      to: clause.from + share.index + share[0].length,
    }
  if (share && said && !open && !found.some((one) => overlap(one, said))) return [whole]
  // A comparison that nobody judged is not understood, whatever stands beside it.
  const judged = [
    ...found,
    ...sentence.mentions.filter(
      (one) => one.kind === 'condition' || (one.kind === 'figure' && isOfPlan(one, sentence, plan) && isKnownOfPlan(one, plan)),
    ),
  ]
  const untested = otherOfChanged(clause, plan)
  if (untested) return [whole]
  const others = ofOtherKinds(clause, plan)
  if (others.length > 0) return others
  const asksForMore = (one: Mention) =>
    one.kind === 'comparing' || one.kind === 'figure' || (one.kind === 'place' && !namesBoth(clause))
  const compared = clause.mentions.filter((one) => asksForMore(one) && !judged.some((other) => overlap(one, other)))
  // Of what nobody can tell, the question may name a way; a guess has to be the right one.
  const asks = same || (open && /\b(?:whether|which|who|if)\b/.test(clause.text))
  const asked = asks ? compared.filter(({ kind }) => kind !== 'comparing') : compared
  if (asked.length > 0) return asked.map(({ from, to }) => ({ from, to }))
  // The best for something is not the best.
  const narrowed = !open && NARROWED.exec(clause.text)
  if (narrowed) return [{ from: clause.from + narrowed.index, to: whole.to }]
  const reading: Reading = { clause, plan, evidence, known, found, judged, open, same, reasoned }
  return words.flatMap((match) => {
    const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
    return isKnown(match[0], match.index, span, reading) ? [] : [span]
  })
}

const OF_ITS_OWN = /\b(?:but|did|does|do|is|was|were|are)\b/

/** Leads over to what was said of each. */
const MOST_OFTEN = /^\W*(?:we (?:saw|found|said)|it was)? ?most often(?: we (?:saw|found|said))?\W*$/

/** "We are sure they differ", said of those that were named. */
const THEY_DIFFER =
  /^\W*(?:and |so )*we (?:are|can be) (?:sure|certain) (?:that )?(?:they|these|the two) (?:really )?(?:differ|are different)\W*$/

/** "The four papers differ". */
const ALL_DIFFER =
  /^\W*(?:and |so )*(?:all )?(?:of )?(?:the |our )?(\p{L}+ )?(\p{L}+) (?:all )?(?:really )?(?:differ|differed|(?:are|were|came out) (?:all )?different)\W*$/u

const WHAT_NEXT =
  /^\W*(?:to be surer )?(?:next (?:time )?)?we (?:would|need to|should|want to|will) (?:take|measure|test|try|repeat|do|use|look|read|count)\b/

const UNSURE = /\b(?:not|never|hardly)\b|n't\b|\bunsure\b/

const ONLY_AS_FAR_AS_SEEN = new RegExp(`^\\W*(?:at least )?${AS_FAR_AS_SEEN.source}\\W*$`, 'u')

/** Is each of the conditions that a sentence names told apart from each other one, in a fair comparison. */
function allApart(sentence: Stretch, evidence: Evidence): boolean {
  const ids = [...namedIn(sentence)]
  return areApart(ids, evidence)
}

/** Is each told apart from each other one, and are there as many as were said: "the four papers" of what was changed. */
function allOfThemDiffer({ text }: Stretch, plan: Plan, evidence: Evidence): boolean {
  const [, many, thing] = ALL_DIFFER.exec(text)!
  const number = many === undefined ? undefined : numberOf(many.trim())
  const { order } = evidence
  if (!isWordOf(thing!, changedFactor(plan)?.name ?? '')) return false
  if (number !== undefined && !Number.isNaN(number) && number !== order.length) return false
  return areApart(order, evidence)
}

function areApart(ids: string[], evidence: Evidence): boolean {
  if (ids.length < 2 || ids.some((id) => isApart(id, evidence))) return false
  return ids.every((a, place) => ids.slice(place + 1).every((b) => gradeBetween(evidence, a, b) === 'clear'))
}

const BESIDE_A_NAME = new Set(['the', 'a', 'with', 'in', 'on', 'at', 'for', 'round', 'around', 'it'])

/** Nothing but the name of a condition, and what it is a number of: "one layer". */
function isOnlyNamed({ text, from, mentions }: Stretch, known: Set<string>): boolean {
  const [only, ...more] = mentions.filter(({ kind }) => kind === 'condition')
  if (only === undefined || more.length > 0) return false
  const said = text.slice(only.from - from, only.to - from)
  const rest = text.slice(0, only.from - from) + text.slice(only.to - from)
  const [noun, ...others] = (rest.match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !BESIDE_A_NAME.has(word))
  const isNumber = /^\d/.test(said) || NUMBER_WORDS.includes(said)
  return others.length === 0 && (noun === undefined || (isNumber && (known.has(noun) || known.has(withoutEnding(noun)))))
}

/** "Three layers", where nobody tested three. */
function otherOfChanged({ text, from, mentions }: Stretch, plan: Plan): boolean {
  if (plan.conditionsAs !== 'numbers') return false
  const thing = mainWords(changedFactor(plan)?.name ?? '').at(-1)
  if (thing === undefined || thing.length < 4) return false
  const counted = new RegExp(`\\b(?:no|\\d+|${NUMBER_WORDS.join('|')}) (?:\\p{L}+ )?${thing}\\p{L}*`, 'gu')
  return [...text.matchAll(counted)].some((match) => {
    const span = { from: from + match.index, to: from + match.index + match[0].length }
    return !mentions.some((one) => one.kind === 'condition' && overlap(one, span))
  })
}

/** "The bigger hall", "softest wool": what is said of a condition by a word that stands before its name, and is no result. */
function ofOtherKinds({ mentions }: Stretch, plan: Plan): Span[] {
  if (plan.conditionsAs === 'numbers') return []
  const isResult = (one: ComparingMention) => one.superlative && fitsResult(one, plan) && !SIZES.test(one.word)
  return mentions
    .filter((one): one is ComparingMention => one.kind === 'comparing' && isOfCondition(one, mentions))
    .filter((one) => one.quality !== 'rank' && !isResult(one))
    .map(({ from, to }) => ({ from, to }))
}

/** Are sure words as sure as the evidence is. */
function sureness({ grade }: Evidence): boolean {
  return grade === 'clear' || grade === 'same'
}
