import { oncePer } from '../../chance'
import type { Plan } from '../../lesson'
import { countedPlace, testOf } from '../../test'
import { comparingIn } from './comparisonsIn'
import { misspelt } from './misspelt'
import { namesOf } from './names'
import { conditionOfNumber, figuresIn } from './numbersIn'
import { escaped, plainly } from './plainly'
import {
  type ConditionMention,
  type Mention,
  overlap,
  type PlaceMention,
  size,
  type Span,
  spanned,
  type Stretch,
  within,
} from './stretch'

const SENTENCES = /[^.!?;\n]+(?:\.(?=\d)[^.!?;\n]+)*[.!?;\n]*/g

const JOINTS = /,\s|:\s|\s(?:and|but|while|whereas|so|because|since)\s/g

/** The sentences of a text. `sentencesOf('It was 6.1 cm. We are sure.', plan).length // 2` */
export function sentencesOf(text: string, plan: Plan): Stretch[] {
  const plain = plainly(text)
  return [...plain.matchAll(SENTENCES)].map((match) => {
    const from = match.index
    const sentence = match[0]
    return { from, to: from + sentence.length, text: sentence, mentions: mentionsIn(sentence, from, plan) }
  })
}

/** The parts of a sentence between commas and joining words. */
export const clausesOf = oncePer((sentence: Stretch): Stretch[] => {
  // A comma of a name parts nothing: "outside, in the shade".
  const inName = (at: number) => sentence.mentions.some(({ from, to }) => from < sentence.from + at && sentence.from + at < to)
  const ends = [...sentence.text.matchAll(JOINTS)]
    .map(({ index }) => index)
    .filter(
      (at) =>
        !inName(at) &&
        !joinsNames(sentence, at) &&
        !saysTwice(sentence.text, at) &&
        !COMPARED_WITH.test(sentence.text.slice(0, at)),
    )
  return [...ends, sentence.text.length].map((end, place) => {
    const start = place === 0 ? 0 : ends[place - 1]!
    const span = { from: sentence.from + start, to: sentence.from + end }
    return { ...span, text: sentence.text.slice(start, end), mentions: sentence.mentions.filter((one) => within(one, span)) }
  })
})

/** "Compared with card, it rose further": against whom goes with what is said. */
const COMPARED_WITH = /^\W*(?:compared (?:with|to)|unlike|instead of) (?:the |with |in |from )*(?:[\p{L}\d]+ ?){1,3}$/u

/** "Fewer and fewer." */
function saysTwice(text: string, at: number): boolean {
  const next = /^ and (\p{L}+er|more|less)\b/u.exec(text.slice(at))?.[1]
  return next !== undefined && text.slice(0, at).endsWith(` ${next}`)
}

/** What stands between two names that belong together: "moss and gravel". */
const BETWEEN_NAMES = /^\s*(?:and|or)\s+(?:(?:in|on|with|at|for|from) )?(?:the )?$/

/** Does a joint part nothing but two conditions, or two places, one named right after the other. */
function joinsNames(sentence: Stretch, at: number): boolean {
  const named = sentence.mentions.filter(({ kind }) => kind === 'condition' || kind === 'place')
  const place = sentence.from + at
  const before = named.filter(({ to }) => to <= place).at(-1)
  const after = named.find(({ from }) => from > place)
  return before !== undefined && after !== undefined && areJoined(sentence, before, after)
}

/** A condition with those that stand right before it: "the rubber and the key". */
export function joinedBefore<One extends Mention>(sentence: Stretch, named: One[], last: One): One[] {
  const before = named[named.indexOf(last) - 1]
  return before && areJoined(sentence, before, last) ? [...joinedBefore(sentence, named, before), last] : [last]
}

/** Do two conditions stand together, with nothing between them but a joining word, or a comma where a joining word follows: "wool, cotton and bare". */
export function areJoined(stretch: Stretch, one: Span, next: Span): boolean {
  const { text, from, mentions } = stretch
  const between = text.slice(one.to - from, next.from - from)
  if (BETWEEN_NAMES.test(between)) return true
  const following = /^,\s*(?:the |in |on |with )?$/.test(between) && mentions.find((other) => other.from >= next.to)
  if (!following || (following.kind !== 'condition' && following.kind !== 'place')) return false
  return (
    BETWEEN_NAMES.test(text.slice(next.to - from, following.from - from).replace(/^,/, '')) || areJoined(stretch, next, following)
  )
}

/** The text of a stretch with blanks for its conditions: "no wrapping" denies nothing, "third try" is no share. */
export function withoutNames({ text, from, mentions }: Stretch): string {
  return mentions
    .filter(({ kind }) => kind === 'condition')
    .reduce((kept, one) => kept.slice(0, one.from - from) + ' '.repeat(one.to - one.from) + kept.slice(one.to - from), text)
}

function mentionsIn(sentence: string, offset: number, plan: Plan): Mention[] {
  const conditions = namesOf(plan).flatMap(({ id, pattern }) =>
    [...sentence.matchAll(pattern)]
      // "We heard nothing": no condition, though one is called so.
      .filter((match) => !/^(?:nothing|none)$/.test(match[0]) || !SENSED.test(sentence.slice(0, match.index)))
      // "From 60 in it bounced 60 in": what was read, and not from where.
      .filter((match) => !/^\d/.test(match[0]) || !READ_SO.test(sentence.slice(0, match.index)))
      .map((match): ConditionMention => spanned(match, offset, { kind: 'condition', id })),
  )
  conditions.push(...misspelt(sentence, offset, plan, conditions))
  const numbers = figuresIn(sentence, offset, plan).filter((figure) => !conditions.some((one) => overlap(one, figure)))
  const named = numbers.flatMap((figure): ConditionMention[] => {
    const id = conditionOfNumber(figure, sentence, offset, plan)
    return id === undefined ? [] : [{ kind: 'condition', id, from: figure.from, to: figure.to }]
  })
  const figures = numbers.filter((figure) => !named.some((one) => one.from === figure.from))
  // "The height of the tallest three" is the name of what was measured.
  const measured = nameOfMeasureIn(sentence, offset, plan)
  const comparing = comparingIn(sentence, offset, plan).filter(
    (word) => !conditions.some((one) => overlap(one, word)) && !measured.some((one) => within(word, one)),
  )
  const longest = conditions.filter(
    (one, place) =>
      !conditions.some((other) => other !== one && within(one, other) && size(other) > size(one)) &&
      !conditions.slice(0, place).some(({ id, from, to }) => id === one.id && from === one.from && to === one.to),
  )
  const places = placesIn(sentence, offset, plan).filter((one) => !longest.some((other) => overlap(one, other)))
  return [...longest, ...named, ...places, ...figures, ...comparing].sort((a, b) => a.from - b.from)
}

function nameOfMeasureIn(sentence: string, offset: number, plan: Plan): Span[] {
  const name = plainly(testOf(plan).measure?.name ?? '').trim()
  if (!name.includes(' ')) return []
  return [...sentence.matchAll(new RegExp(escaped(name), 'gu'))].map((match) => spanned(match, offset, {}))
}

const READ_SO = /\b(?:gives?|gave|bounced|reached|climbed|rose|measured|averaged|jumped|came up|got up)(?: to| about| only)? $/

const SENSED = /\b(?:hear|heard|see|saw|feel|felt|find|found|did|does|lost|gained|changes?|changed|shows?|showed) $/

function placesIn(sentence: string, offset: number, plan: Plan): PlaceMention[] {
  if (countedPlace(plan) !== 'apart') return []
  return plan.watch.places.flatMap((name, place) => {
    const words = plainly(name).trim()
    if (words === '') return []
    return [...sentence.matchAll(new RegExp(`(?<!\\p{L})${escaped(words)}s?(?!\\p{L})`, 'gu'))].map((match) =>
      spanned(match, offset, { kind: 'place' as const, place }),
    )
  })
}
