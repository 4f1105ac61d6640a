import { evenedOf, gradeBetween, type Evidence } from '../../evidence'
import { unitOf, NUMBER_WORDS, numberOf } from '../../quantity'
import { resultUnit } from '../../test'
import type { Plan } from '../../lesson'
import type { WrongFigure } from './figures'
import { NEGATED, NOT_FOUND } from './lexicon'
import { clausesOf } from './mentions'
import type { ConditionMention, Span, Stretch } from './stretch'
import { isApart, saysCooling } from './order'

const SHARES: Record<string, number> = { twice: 2, double: 2, half: 0.5, 'a third': 1 / 3, 'a quarter': 0.25 }
const SAID = new RegExp(
  `\\b(twice|double|half|a third|a quarter|(?:${NUMBER_WORDS.join('|')}|\\d+(?:\\.\\d+)?) times) (?:as \\p{L}+(?: \\p{L}+)?(?: as)?|of what|what|the \\p{L}+ of|of|\\p{L}+er than)(?!\\p{L})`,
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
export function readRatios(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  sole?: ConditionMention,
): { wrong: WrongFigure[]; right: Span[]; unfair: (Span & { named: string })[] } {
  const unfair: (Span & { named: string })[] = []
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  if (unitOf(resultUnit(plan)).dimension === 'temperature' && !saysCooling(plan)) return { wrong, right, unfair }
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
      // "11 in from 20 in and three times as high from 60 in": the later one is spoken of.
      const turned =
        !asIn &&
        /^[\p{L}\d.]+(?: times)? as \p{L}+(?: (?:from|in|with|at|for|on))?$/u.test(match[0]) &&
        after[0] &&
        /^(?: (?:from|in|with|at|for|on))? (?:the )?$/.test(clause.text.slice(span.to - clause.from, after[0].from - clause.from))
      const [subject, object] = asIn
        ? after
        : turned
          ? [after[0], before.at(-1)]
          : [before.at(-1) ?? meant(sentence, sole), after[0]]
      const [above, below] = [subject, object].map((one) => one && evenedOf(evidence, one.id))
      if (!subject || !object || !above || !below || above < 0 || below < 0) continue
      // "Half of the clips", "half of wet".
      if (
        /\bof$/.test(match[0]) &&
        !/^ (?:the |that of )?$/.test(clause.text.slice(span.to - clause.from, object.from - clause.from))
      )
        continue
      const apart = [subject, object].find(({ id }) => isApart(id, evidence))
      const fits = isNear(above / below / multipleOf(match[1]!), clause.text.slice(0, match.index))
      if (!fits) wrong.push({ ...span, said: match[1]!, condition: undefined, table: undefined })
      else if (apart) unfair.push({ ...span, named: apart.id })
      else if (gradeBetween(evidence, subject.id, object.id) === 'clear')
        right.push(
          { ...span, from: span.from - roughnessBefore(clause.text.slice(0, match.index)) },
          { from: subject.from, to: subject.to },
          { from: object.from, to: object.to },
        )
    }
  }
  wrong.push(...multiplied(sentence, evidence))
  return { wrong, right, unfair }
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
      // "Doubling the drop from 20 in to 40 in doubled the bounce" is said of neither alone.
      const [subject, ...more] = clause.mentions.filter((one) => one.kind === 'condition' && one.to < span.from)
      if (more.length > 0) return []
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

/** "That is less than a quarter of kitchen roll": whom the sentence before speaks of. */
function meant(sentence: Stretch, sole: ConditionMention | undefined): ConditionMention | undefined {
  return /^\W*(?:that|this|it|which) (?:is|was) /.test(sentence.text) ? sole : undefined
}

/** How many letters right before a ratio say how near it is. */
function roughnessBefore(text: string): number {
  return /\b(?:more than|over|less than|under|exactly|about|around|nearly|almost|roughly) $/.exec(text)?.[0].length ?? 0
}

/** Is a ratio what was said of it, by the words right before it. */
function isNear(ratio: number, before: string): boolean {
  if (/\b(?:more than|over) $/.test(before)) return ratio > 1 && ratio < 2
  if (/\b(?:less than|under) $/.test(before)) return ratio < 1 && ratio > 0.5
  const leeway = /\bexactly $/.test(before) ? EXACT : /\b(?:about|around|nearly|almost|roughly) $/.test(before) ? ROUGH : NEAR
  return Math.abs(ratio - 1) <= leeway
}
