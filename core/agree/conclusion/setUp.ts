import { changedFactor, keptFactors, mainWords, withoutEnding, type Factor, type Plan } from '../../lesson'
import { COMPARING, NUMBER_WORDS } from '../../quantity'
import { testOf } from '../../test'
import { JOINING } from './lexicon'
import { fitsResult, placesOf, type Judged } from './order'
import type { ComparingMention, Mention, Span, Stretch } from './stretch'
import { isAbout } from './plainly'

/** Of what was counted, another size is not another number. */
export const HOW_MANY = /^(?:the number of|how many)\b/i
export const SIZES = /^(?:bigger|larger|smaller|biggest|largest|smallest)$/

/** What a comparing word says of the set-up and not of what came out of it. */
export type OfSetUp =
  /** It would have to be another one than everybody used: "a stronger magnet", "wider strips". */
  | { factor: Factor | undefined; tested: false }
  /** "The window had more water": nothing is claimed of a result. */
  | { factor: Factor; tested: true }

export function notTested({ factor }: Extract<OfSetUp, { tested: false }>, word: ComparingMention, sentence: Stretch): Judged {
  const thing = /^ \p{L}+/u.exec(sentence.text.slice(word.to - sentence.from))?.[0] ?? ''
  return factor
    ? { code: 'not-tested', factor: factor.id, at: placesOf(word) }
    : { code: 'not-tested', factor: undefined, said: `${word.word}${thing}`, at: placesOf(word) }
}

/** Is a comparing word said of something that was kept the same; undefined where it is said of the result. */
export function ofSetUp(word: ComparingMention, sentence: Stretch, plan: Plan): OfSetUp | undefined {
  const after = /^\s+(the |our )?(\p{L}{3,})/u.exec(sentence.text.slice(word.to - sentence.from))
  const noun = after?.[2]
  // "The lowest one" is no other thing.
  if (!noun || noun === 'ones' || NUMBER_WORDS.includes(noun)) return undefined
  // "The longer the bag hangs" speaks of the result, "the closer the weight" of what was changed, "the heavier the bag" of neither.
  const changed = changedFactor(plan)?.name ?? ''
  if (after[1] !== undefined && (fitsResult(word, plan) || isAbout(changed, word.quality))) return undefined
  const thing = withoutEnding(noun)
  const spoken = mainWords([testOf(plan).measure?.name, changed].join(' '))
  const named = keptFactors(plan).filter(({ name }) => mainWords(name).includes(thing))
  // "A taller doll", where everybody had "one peg doll".
  const own =
    named.length > 0 || spoken.includes(thing) ? named : keptFactors(plan).filter(({ how }) => mainWords(how).includes(thing))
  const about =
    own.find(({ name }) => isAbout(name, word.quality)) ??
    (spoken.includes(thing) && after[1] === undefined ? ownSizeOf(word, plan) : undefined)
  if (about) return { factor: about, tested: false }
  const measured = mainWords(testOf(plan).measure?.name ?? '').includes(withoutEnding(noun))
  if (own.length === 0 && spoken.includes(thing) && isAnotherKind(word, sentence, plan)) return { factor: undefined, tested: false }
  const [factor] = own
  if (!factor || (measured && word.quality === 'size' && !SIZES.test(word.word))) return undefined
  return { factor, tested: !SIZES.test(word.word) && word.quality === 'size' }
}

/** "Thicker card lifts fewer clips", where layers of one card were counted: of what there was only one kind, or several that differ in more than that. */
function isAnotherKind(word: ComparingMention, { text, from, mentions }: Stretch, plan: Plan): boolean {
  if (word.superlative || word.quality === 'rank' || (word.quality === 'size' && !SIZES.test(word.word))) return false
  const changed = changedFactor(plan)?.name ?? ''
  const isChanged =
    !HOW_MANY.test(changed) && (isAbout(changed, word.quality) || (plan.conditionsAs === 'numbers' && SIZES.test(word.word)))
  const begins = /^\W*(?:and |so |that )*(?:an? )?$/.test(text.slice(0, word.from - from))
  return begins && !isChanged && mentions.some((one) => one.kind === 'comparing' && one.from > word.to)
}

/** "In thicker card", where card was one of the kinds; "the softer tissue" may tell what the tissue is like. */
export function anotherCondition(word: ComparingMention, { text, from, mentions }: Stretch, plan: Plan): OfSetUp | undefined {
  if (!isOfCondition(word, mentions) || word.superlative || word.quality === 'rank' || fitsResult(word, plan)) return undefined
  return /\b(?:the|our|this|that) $/u.test(text.slice(0, word.from - from)) ? undefined : { factor: undefined, tested: false }
}

/** Says what a condition is like: stands right before its name. */
export function isOfCondition({ to }: Span, mentions: Mention[]): boolean {
  return mentions.some((one) => one.kind === 'condition' && one.from === to + 1)
}

/** "Bigger bags", "a wider tub", where a card that says no more than "the size", "the width" was kept the same. */
function ownSizeOf({ quality, word, superlative }: ComparingMention, plan: Plan): Factor | undefined {
  if (superlative || (quality === 'size' && !SIZES.test(word))) return undefined
  return keptFactors(plan).find(({ name }) => {
    const [only, ...more] = mainWords(name)
    return only !== undefined && more.length === 0 && (isAbout(name, quality) || (quality === 'size' && only === 'size'))
  })
}

/**
 * "The water was warmer", where everybody had the same water.
 * @param ofResult the word may speak of what was measured, too
 */
export function keptBefore(word: ComparingMention, { text, from }: Stretch, plan: Plan, ofResult: boolean): Factor | undefined {
  const noun = /\b(?:the|our) (\p{L}{3,}) (?:was|were|is|are)(?: \p{L}+)? $/u.exec(text.slice(0, word.from - from))?.[1]
  // "The gap is much bigger than the wobble" speaks of averages.
  if (!noun || /^(?:gap|difference|result|number|average)$/.test(noun)) return undefined
  const measured = mainWords(testOf(plan).measure?.name ?? '').includes(withoutEnding(noun))
  return measured && ofResult ? undefined : keptFactors(plan).find(({ name }) => mainWords(name).at(-1) === withoutEnding(noun))
}

/** "Water with salt". */
const WITH_SOMETHING = /(?<=^\W*(?:an? |the )?)(\p{L}{3,}) (?:with|without) (?!the\b|our\b|it\b)\p{L}{3,}/u
const NO_PROPERTY = /^(?:sometimes|often|usually|because|when|where|now|such|most|\p{L}+ly)$/u

/** Something kept the same of which another kind is spoken of: "salty water", where everybody had the same water. */
export function otherKindOfKept(clause: Stretch, plan: Plan): { factor: Factor; at: Span } | undefined {
  const added = WITH_SOMETHING.exec(clause.text)
  const kept = added && keptFactors(plan).find(({ name }) => mainWords(name).at(-1) === withoutEnding(added[1]!))
  if (added && kept)
    return { factor: kept, at: { from: clause.from + added.index, to: clause.from + added.index + added[0].length } }
  const ofPlan = new Set(plan.factors.flatMap(({ name, how }) => mainWords(`${name} ${how}`)))
  for (const match of clause.text.matchAll(/(?<![\p{L}'])(\p{L}+) (?=(\p{L}{3,}))/gu)) {
    const [, property, thing] = match as unknown as [string, string, string]
    const said = `${property} ${thing}`
    if (
      COMPARING.has(property) ||
      JOINING.has(property) ||
      NO_PROPERTY.test(property) ||
      ofPlan.has(withoutEnding(property)) ||
      property.length < 3
    )
      continue
    const factor = keptFactors(plan).find(({ name }) => mainWords(name).at(-1) === withoutEnding(thing))
    if (factor) return { factor, at: { from: clause.from + match.index, to: clause.from + match.index + said.length } }
  }
  return undefined
}
