import { evenedOf, gradeBetween, type Evidence } from '../../evidence'
import { unitOf, NUMBER_WORDS, numberOf } from '../../quantity'
import { resultUnit } from '../../test'
import type { Plan } from '../../lesson'
import type { WrongFigure } from './figures'
import { NEGATED, NOT_FOUND } from './lexicon'
import { clausesOf, type ConditionMention, type Span, type Stretch } from './mentions'
import { isApart, saysCooling } from './order'

const SHARES: Record<string, number> = { twice: 2, double: 2, half: 0.5, 'a third': 1 / 3, 'a quarter': 0.25 }
const SAID = new RegExp(
  `\\b(twice|double|half|a third|a quarter|(?:${NUMBER_WORDS.join('|')}|\\d+(?:\\.\\d+)?) times) (?:as \\p{L}+(?: \\p{L}+)?(?: as)?|of what|what|\\p{L}+er than)(?!\\p{L})`,
  'gu',
)

/** `multipleOf('six times') // 6` */
function multipleOf(said: string): number {
  return SHARES[said] ?? numberOf(said.split(' ')[0]!)
}

/** "Twice as high" is said of anything from 1.8 to 2.2 times, "exactly twice" of less, "nearly twice" of more. */
const NEAR = 0.1
const EXACT = 0.03
const ROUGH = 0.15

/** "Three times as high as tissue": one average against the other. Degrees have no nothing to count times from. */
export function readRatios(sentence: Stretch, plan: Plan, evidence: Evidence): { wrong: WrongFigure[]; right: Span[] } {
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  if (unitOf(resultUnit(plan)).dimension === 'temperature' && !saysCooling(plan)) return { wrong, right }
  for (const clause of clausesOf(sentence)) {
    const named = clause.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
    for (const match of clause.text.matchAll(SAID)) {
      const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
      // "Wet it weighed 86 g, seven times as much as dry again".
      const before = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition' && one.to <= span.from)
      const after = named.filter(({ from }) => from >= span.to)
      // "It got five times as high in kitchen roll as in card".
      const asIn =
        after.length === 2 &&
        /^ (?:as|than) (?:\p{L}+ ){0,2}$/u.test(clause.text.slice(after[0]!.to - clause.from, after[1]!.from - clause.from))
      const [subject, object] = asIn ? after : [before.at(-1), after[0]]
      const [above, below] = [subject, object].map((one) => one && evenedOf(evidence, one.id))
      if (!subject || !object || !above || !below || above < 0 || below < 0) continue
      const fits = isNear(above / below / multipleOf(match[1]!), clause.text.slice(0, match.index))
      if (!fits) wrong.push({ ...span, said: match[1]!, condition: undefined, table: undefined })
      else if (
        gradeBetween(evidence, subject.id, object.id) === 'clear' &&
        ![subject, object].some(({ id }) => isApart(id, evidence))
      )
        right.push(span, { from: subject.from, to: subject.to }, { from: object.from, to: object.to })
    }
  }
  wrong.push(...multiplied(sentence, evidence))
  return { wrong, right }
}

const MULTIPLIES = /\b(doubles?|doubled|halves|halved|triples?|tripled)\b/g
const TIMES: [RegExp, number][] = [
  [/^doubl/, 2],
  [/^hal/, 0.5],
  [/^trip/, 3],
]

/** "Walking doubles the heartbeat", where it is twice that of no other; of which one it is said stays open else. */
function multiplied(sentence: Stretch, evidence: Evidence): WrongFigure[] {
  if (NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return []
  return clausesOf(sentence).flatMap((clause) =>
    [...clause.text.matchAll(MULTIPLIES)].flatMap((match): WrongFigure[] => {
      const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
      const subject = clause.mentions.find((one) => one.kind === 'condition' && one.to < span.from)
      const own = subject?.kind === 'condition' ? evenedOf(evidence, subject.id) : undefined
      const times = TIMES.find(([pattern]) => pattern.test(match[0]))![1]
      if (subject?.kind !== 'condition' || own === undefined || own <= 0) return []
      const fits = evidence.summaries.some(
        ({ condition, evened }) => condition !== subject.id && evened > 0 && isNear(own / evened / times, ''),
      )
      return fits ? [] : [{ ...span, said: match[0], condition: undefined, table: undefined }]
    }),
  )
}

/** Is a ratio what was said of it, by the words right before it. */
function isNear(ratio: number, before: string): boolean {
  if (/\b(?:more than|over) $/.test(before)) return ratio > 1 && ratio < 2
  if (/\b(?:less than|under) $/.test(before)) return ratio < 1 && ratio > 0.5
  const leeway = /\bexactly $/.test(before) ? EXACT : /\b(?:about|around|nearly|almost|roughly) $/.test(before) ? ROUGH : NEAR
  return Math.abs(ratio - 1) <= leeway
}
