import type { Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { testOf } from '../../test'
import { NEGATED } from './lexicon'
import { clausesOf, joinedBefore, withoutNames } from './mentions'
import type { ConditionMention, Span, Stretch } from './stretch'
import { escaped, plainly } from './plainly'

/** A word, or a place in an order, that is not what the table has. */
export interface WrongWord extends Span {
  said: string
  condition: string
  table: number | undefined
}

interface Said extends Span {
  /** Of one, or of several that are named together. */
  conditions: string[]
  /** In the plan’s list, 1 for the first. */
  place: number
  text: string
}

/**
 * Words of the plan's list beside the things that they are said of: "steel spoon: lights up (9 of 10)", "the third try averaged about hazy". The class's word is right; one
 * that nobody said of it is wrong, and one that some said is left unread: whether it speaks for the class is not for a reader to decide.
 */
export function readWords(sentence: Stretch, plan: Plan, evidence: Evidence): { right: Span[]; wrong: WrongWord[] } {
  const { way, words, measure } = testOf(plan)
  const right: Span[] = []
  const wrong: WrongWord[] = []
  if (!way.fromWords) return { right, wrong }
  const all = wordsIn(sentence, words, plainly(measure?.name ?? ''))
  for (const { conditions, place, text, from, to } of all) {
    if (isDenied(sentence, from)) continue
    const count = COUNT_BEHIND.exec(sentence.text.slice(to - sentence.from))
    const alone = all.filter((one) => one.conditions.join() === conditions.join()).map((one) => one.place)
    const judged = conditions.map((condition) => judge(condition, place, alone, count, evidence))
    const against = judged.findIndex((one) => one === 'wrong')
    if (against >= 0)
      wrong.push({ from, to, said: text, condition: conditions[against]!, table: averageOf(conditions[against]!, evidence) })
    else if (judged.every((one) => one === 'right')) right.push({ from, to: to + (count?.[0].length ?? 0) })
  }
  return { right, wrong }
}

const summaryOf = (id: string, { summaries }: Evidence) => summaries.find(({ condition }) => condition === id)
const averageOf = (id: string, evidence: Evidence) => (evidence.sorted ? undefined : summaryOf(id, evidence)?.evened)

/**
 * A word against what was said of one condition.
 * @param said all words that the sentence says of it
 */
function judge(
  condition: string,
  place: number,
  said: number[],
  count: RegExpExecArray | null,
  evidence: Evidence,
): 'right' | 'wrong' | undefined {
  const summary = summaryOf(condition, evidence)
  if (!evidence.sorted) {
    if (!summary) return undefined
    if (Math.round(summary.evened) === place || Math.round(summary.mean) === place) return 'right'
    return place < summary.lowest || place > summary.highest ? 'wrong' : undefined
  }
  const sorted = evidence.sorted.said.find((one) => one.condition === condition)
  if (!sorted) return undefined
  const times = sorted.counts.get(place) ?? 0
  const counted = !count || (Number(count[1]) === times && Number(count[2]) === sorted.of)
  // Where two words came equally often, one of them alone does not speak for it.
  if (counted && sorted.most.includes(place) && sorted.most.every((most) => said.includes(most))) return 'right'
  return times === 0 ? 'wrong' : undefined
}

/** "(9 of 10)", "(9 of 10 each)". */
const COUNT_BEHIND = /^["”']?,? ?\(?(\d+) (?:out )?of (\d+)(?: each)?\)?/

/** "It is clear that it matters" says how sure the class is, and not what water looks like. */
const SAYS_HOW_SURE = /\b(?:it|that|this) (?:is|was) (?:\p{L}+ )?(?:clear|certain|sure)$/u

/** Does the part of the sentence in which it stands say that it is not so. */
function isDenied(sentence: Stretch, at: number): boolean {
  const clause = clausesOf(sentence).find(({ from, to }) => from <= at && at < to)
  return clause !== undefined && NEGATED.test(withoutNames(clause))
}

/** "With the others it stays dark": somebody else is meant than who was named before. */
const OTHERS = /\b(?:others?|rest|everything else|all else|the remaining)\b/

/** Of whom something is said at a place: who was named last before it in its clause, with those joined to it; else the one right before the clause, or the one behind. */
function ownersAt(sentence: Stretch, at: Span): string[] {
  const named = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  const clause = clausesOf(sentence).find(({ from, to }) => from <= at.from && at.from < to)
  if (clause && OTHERS.test(clause.text)) return []
  const owner = named.findLast(({ to }) => to <= at.from) ?? named.find(({ from }) => from >= at.to)
  return owner ? [...new Set(joinedBefore(sentence, named, owner).map(({ id }) => id))] : []
}

/** Each of the plan's words with the things that it is said of, where it is not the name of what was looked at ("how clear it is"). */
function wordsIn(sentence: Stretch, words: string[], name: string): Said[] {
  const text = name === '' ? sentence.text : sentence.text.replaceAll(name, ' '.repeat(name.length))
  const found = words
    .flatMap((word, index) => {
      const plain = plainly(word).trim()
      if (plain === '') return []
      const pattern = new RegExp(`["“”']?(?<!\\p{L})${inPlural(plain)}(?!\\p{L})["“”']?`, 'gu')
      return [...text.matchAll(pattern)].map((match) => ({
        ...{ place: index + 1, text: match[0].replace(/["“”']/g, '') },
        ...{ from: sentence.from + match.index, to: sentence.from + match.index + match[0].length },
      }))
    })
    .filter((one) => !sentence.mentions.some((other) => other.kind === 'condition' && one.from < other.to && other.from < one.to))
    .filter((one) => !SAYS_HOW_SURE.test(sentence.text.slice(0, one.to - sentence.from)))
  const isInLonger = (one: Span) =>
    found.some((other) => other.from <= one.from && other.to >= one.to && other.to - other.from > one.to - one.from)
  return found
    .filter((one) => !isInLonger(one))
    .flatMap((one) => {
      const conditions = ownersAt(sentence, one)
      return conditions.length > 0 ? [{ ...one, conditions }] : []
    })
}

/** "Lights up" of one is "light up" of two. */
function inPlural(word: string): string {
  const [first = '', ...rest] = word.split(' ')
  const verb = rest.length > 0 && /[^s]s$/.test(first) ? `${escaped(first.slice(0, -1))}s?` : escaped(first)
  return [verb, ...rest.map(escaped)].join(' ')
}

const PLACE = /\bplace (\d+(?:[.,]\d+)?)\b/g

/** Average places of an order beside the things that had them: "pebble averaged place 1.2". */
export function readRanks(sentence: Stretch, plan: Plan, evidence: Evidence): { right: Span[]; wrong: WrongWord[] } {
  const right: Span[] = []
  const wrong: WrongWord[] = []
  if (!testOf(plan).way.isPlace) return { right, wrong }
  for (const match of sentence.text.matchAll(PLACE)) {
    const span = { from: sentence.from + match.index, to: sentence.from + match.index + match[0].length }
    const digits = match[1]!.split(/[.,]/)[1]?.length ?? 0
    const isSaid = (value: number) => Math.abs(value - Number(match[1]!.replace(',', '.'))) <= 0.5 * 10 ** -digits + 1e-9
    const owners = ownersAt(sentence, span).flatMap((id) => summaryOf(id, evidence) ?? [])
    if (owners.length === 0 || isDenied(sentence, span.from)) continue
    const against = owners.find(({ evened, mean }) => !isSaid(evened) && !isSaid(mean))
    if (!against) right.push(span)
    else wrong.push({ ...span, said: match[0], condition: against.condition, table: against.evened })
  }
  return { right, wrong }
}
