import type { Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { testOf } from '../../test'
import { NEGATED } from './lexicon'
import { clausesOf, plainly, withoutNames, type ConditionMention, type Span, type Stretch } from './mentions'

/** A word, or a place in an order, that is not what the table has. */
export interface WrongWord extends Span {
  said: string
  condition: string
  table: number | undefined
}

interface Said extends Span {
  condition: string
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
  for (const { condition, place, text, from, to } of all) {
    if (isDenied(sentence, from)) continue
    const span = { from, to }
    const sorted = evidence.sorted?.said.find((one) => one.condition === condition)
    const summary = evidence.summaries.find((one) => one.condition === condition)
    if (evidence.sorted) {
      if (!sorted) continue
      const count = COUNT_BEHIND.exec(sentence.text.slice(to - sentence.from))
      const times = sorted.counts.get(place) ?? 0
      const counted = !count || (Number(count[1]) === times && Number(count[2]) === sorted.of)
      // Where two words came equally often, one of them alone does not speak for it.
      const whole = sorted.most.every((most) => all.some((one) => one.condition === condition && one.place === most))
      if (sorted.most.includes(place) && whole && counted) right.push({ from, to: to + (count?.[0].length ?? 0) })
      else if (times === 0) wrong.push({ ...span, said: text, condition, table: undefined })
    } else if (summary) {
      if (Math.round(summary.evened) === place || Math.round(summary.mean) === place) right.push(span)
      else if (place < summary.lowest || place > summary.highest)
        wrong.push({ ...span, said: text, condition, table: summary.evened })
    }
  }
  return { right, wrong }
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

/** Each of the plan's words, where it is not the name of what was looked at ("how clear it is"), with the thing that was named last before it, or else comes next. */
function wordsIn(sentence: Stretch, words: string[], name: string): Said[] {
  const named = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  const text = name === '' ? sentence.text : sentence.text.replaceAll(name, ' '.repeat(name.length))
  const found = words
    .flatMap((word, index) => {
      const plain = plainly(word).trim()
      if (plain === '') return []
      const pattern = new RegExp(`["“”']?(?<!\\p{L})${plain.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')}(?!\\p{L})["“”']?`, 'gu')
      return [...text.matchAll(pattern)].map((match) => ({
        ...{ place: index + 1, text: match[0].replace(/["“”']/g, '') },
        ...{ from: sentence.from + match.index, to: sentence.from + match.index + match[0].length },
      }))
    })
    .filter((one) => !named.some((other) => one.from < other.to && other.from < one.to))
    .filter((one) => !SAYS_HOW_SURE.test(sentence.text.slice(0, one.to - sentence.from)))
  return found
    .filter(
      (one) =>
        !found.some(
          (other) => other !== one && other.from <= one.from && other.to >= one.to && other.to - other.from > one.to - one.from,
        ),
    )
    .flatMap((one) => {
      const owner = named.findLast(({ to }) => to <= one.from) ?? named.find(({ from }) => from >= one.to)
      return owner ? [{ ...one, condition: owner.id }] : []
    })
}

const PLACE = /\bplace (\d+(?:[.,]\d+)?)\b/g

/** Average places of an order beside the things that had them: "pebble averaged place 1.2". */
export function readPlaces(sentence: Stretch, plan: Plan, evidence: Evidence): { right: Span[]; wrong: WrongWord[] } {
  const right: Span[] = []
  const wrong: WrongWord[] = []
  if (!testOf(plan).way.isPlace) return { right, wrong }
  const named = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  for (const match of sentence.text.matchAll(PLACE)) {
    const span = { from: sentence.from + match.index, to: sentence.from + match.index + match[0].length }
    const owner = named.findLast(({ to }) => to <= span.from)
    const summary = owner && evidence.summaries.find(({ condition }) => condition === owner.id)
    if (!summary || isDenied(sentence, span.from)) continue
    const digits = match[1]!.split(/[.,]/)[1]?.length ?? 0
    const near = (value: number) => Math.abs(value - Number(match[1]!.replace(',', '.'))) <= 0.5 * 10 ** -digits + 1e-9
    if (near(summary.evened) || near(summary.mean)) right.push(span)
    else wrong.push({ ...span, said: match[0], condition: summary.condition, table: summary.evened })
  }
  return { right, wrong }
}
