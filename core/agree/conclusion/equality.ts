import { evenedOf, gradeBetween, type Evidence } from '../../evidence'
import { COMPARING } from '../../quantity'
import type { Plan } from '../../lesson'
import { resultMark } from '../../test'
import { AS_FAR_AS_SEEN } from './lexicon'
import type { ComparingMention, ConditionMention, Stretch } from './stretch'
import { fitsResult, judgeComparative, MUCH, placesOf, sideOf, type Judged } from './order'

/** How a thing is, and the word that compares it. */
const COMPARED = new Map(
  `high higher, tall taller, far further, long longer, much more, many more, loud louder, warm warmer, hot hotter, heavy heavier, big bigger,
  large larger, strong stronger, fast faster, quick quicker, good better, well better, bright brighter, low lower, short shorter, little less, few fewer,
  quiet quieter, cold colder, cool cooler, light lighter, small smaller, weak weaker, slow slower, bad worse, wide wider, deep deeper, wet wetter`
    .split(',')
    .map((pair) => pair.trim().split(' ') as [string, string]),
)

/** "As high as", but for "twice as high as", which is a figure, and "as far as our scale can show". */
const AS_MUCH = /(?<!\b(?:twice|half|times|third|quarter) )\b(?:as|so) (\p{L}+)(?: \p{L}+)? as\b/u
/** "Drinks about the same as card". */
const SAME_AS = /\b(?:exactly |just )?the same (?:\p{L}+ )?as\b/u
const DENIED = /(?:\b(?:not|never)|n't) (?:\p{L}+ ){0,3}(?:nearly |quite )?$/u

/**
 * "Tissue climbed as high as card", "tissue did not climb as high as kitchen roll".
 * @returns undefined where the clause says nothing of the kind
 */
export function readEquality(
  clause: Stretch,
  sentence: Stretch,
  conditions: ConditionMention[],
  before: ConditionMention | undefined,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] | undefined {
  const match = AS_MUCH.exec(clause.text) ?? SAME_AS.exec(clause.text)
  const comparing = match && COMPARING.get(match[1] === undefined ? 'more' : (COMPARED.get(match[1]) ?? ''))
  if (!match || !comparing) return undefined
  const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
  const word: ComparingMention = { ...comparing, ...span, kind: 'comparing', word: match[0] }
  const subject = conditions.findLast(({ to }) => to <= span.from) ?? before
  const object = conditions.find(({ from, id }) => from >= span.to && id !== subject?.id)
  if (!subject || !object || !fitsResult(word, plan)) return undefined
  const said = clause.text.slice(0, match.index)
  if (DENIED.test(said)) {
    const side = sideOf(word, clause.text, plan, evidence) === 'more' ? 'less' : 'more'
    return judgeComparative({ word, subject, side }, [object], plan, evidence, hedged)
  }
  const grade = gradeBetween(evidence, subject.id, object.id)
  const at = placesOf(subject, word, object)
  const [one, other] = [subject, object].map(({ id }) => evenedOf(evidence, id))
  const withinMark = one !== undefined && other !== undefined && Math.abs(one - other) <= resultMark(plan) + 1e-9
  // One mark apart is no more than the instrument can show.
  const asSeen = withinMark && grade !== 'clear' && AS_FAR_AS_SEEN.test(sentence.text)
  if (grade === 'same' || asSeen) return [{ code: 'right', at }]
  const differs = grade === 'clear' || grade === 'leaning'
  const far = one !== undefined && other !== undefined && Math.abs(one - other) > MUCH * Math.max(Math.abs(one), Math.abs(other))
  // A fifth and more is not "nearly".
  if (grade === 'clear' && far && !hedged) return [{ code: 'claims-no-difference', grade, words: [match[0]], at: placesOf(word) }]
  return differs && !/\b(?:nearly|almost|about|just) $/.test(said) && !hedged
    ? [{ code: 'claims-no-difference', grade, words: [match[0]], at: placesOf(word) }]
    : []
}
