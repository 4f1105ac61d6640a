import { activeConditions, changedFactor, conditionValue, isWordOf, mainWords, withoutEnding, type Plan } from '../../lesson'
import { comparesMoments, countedPlace, resultUnit, testOf } from '../../test'
import {
  COMPARING,
  convert,
  unitNamed,
  unitOf,
  type ComparingWord,
  type Quality,
  type ResultUnit,
  type UnitCode,
  NUMBER_WORDS,
  numberOf,
} from '../../quantity'
import { PLACED } from './lexicon'
import { namesOf, ownWordsOf } from './names'
import { escaped, plainly } from './plainly'

/** A stretch of a text, from its first letter to behind its last. */
export interface Span {
  from: number
  to: number
}

export interface ConditionMention extends Span {
  kind: 'condition'
  id: string
}

/** One of two places that are compared: the ceiling and the floor of a room. */
export interface PlaceMention extends Span {
  kind: 'place'
  /** Counted from 0 in the plan's order. */
  place: number
}

export interface FigureMention extends Span {
  kind: 'figure'
  /** In `unit`, as it was said. */
  value: number
  decimals: number
  /** What was said beside the number, else that of the results. */
  unit: ResultUnit
  unitSaid: boolean
}

export interface ComparingMention extends Span, ComparingWord {
  kind: 'comparing'
  /** Of "more water" and "least noise" the thing, without its ending. */
  of?: string | undefined
}

export type Mention = ConditionMention | PlaceMention | FigureMention | ComparingMention

/** A sentence, or one part of it, with what it mentions, in the order of the text. Positions are those of the whole text. */
export interface Stretch extends Span {
  text: string
  mentions: Mention[]
}

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
export function clausesOf(sentence: Stretch): Stretch[] {
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
}

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

function within(inner: Span, outer: Span): boolean {
  return inner.from >= outer.from && inner.to <= outer.to
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

/** "Kichen roll": a name with one letter wrong, too many or missing; its first one is right. */
function misspelt(sentence: string, offset: number, plan: Plan, named: ConditionMention[]): ConditionMention[] {
  if (comparesMoments(plan)) return []
  return [...sentence.matchAll(/\p{L}{4,}/gu)].flatMap((match): ConditionMention[] => {
    const own = ownWordsOf(plan).filter(({ word }) => isOneLetterOff(match[0], word))
    const span = spanned(match, offset, { kind: 'condition' as const, id: own[0]?.id ?? '' })
    return own.length === 1 && !named.some((one) => overlap(one, span)) ? [span] : []
  })
}

function isOneLetterOff(said: string, meant: string): boolean {
  if (said[0] !== meant[0] || said === meant || Math.abs(said.length - meant.length) > 1) return false
  // Plurals and other forms are no mistakes.
  if (said.startsWith(meant) || meant.startsWith(said)) return false
  let same = 0
  while (said[same] === meant[same]) same += 1
  const [a, b] = [said.slice(same), meant.slice(same)]
  return (
    a.slice(1) === b.slice(1) ||
    a.slice(1) === b ||
    a === b.slice(1) ||
    (a[0] === b[1] && a[1] === b[0] && a.slice(2) === b.slice(2))
  )
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

const overlap = (a: Span, b: Span) => a.from < b.to && b.from < a.to
const size = ({ from, to }: Span) => to - from

function spanned<Rest extends object>(match: RegExpExecArray, offset: number, rest: Rest): Rest & Span {
  return { ...rest, from: offset + match.index, to: offset + match.index + match[0].length }
}

const NUMBER = /(?<![\p{L}\p{N}.,/])[-−]?(?:\d{1,3}(?:\s\d{3})+|\d+)(?:[.,]\d+|\s\d\/\d{1,2})?(?![\d]|[.,]\d|\/)/gu
/** Behind a number that says how many there were, and not how much was measured. */
const COUNTED_THINGS =
  /^\s*(?:of\b|out of\b|\/|st\b|nd\b|rd\b|th\b|groups?\b|readings?\b|repeats?\b|trials?\b|tries\b|times\b|children\b|people\b|of us\b|%|per cent\b|percent\b)/

/** "6 of 7"; "an average of 7" is a figure. */
const OUT_OF = /(?:\d|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|out|all|most|some|many|none|half)) of $/

/** "Twelve more than card". */
const NUMBER_WORD_COMPARED = new RegExp(
  `\\b(?:${NUMBER_WORDS.join('|')})(?= (?:more|fewer|less|higher|lower|longer|shorter|further) than\\b)`,
  'gu',
)

function figuresIn(sentence: string, offset: number, plan: Plan): FigureMention[] {
  const own = resultUnit(plan)
  const inWords = [...sentence.matchAll(NUMBER_WORD_COMPARED)].map((match): FigureMention =>
    spanned(match, offset, { kind: 'figure' as const, value: numberOf(match[0]), decimals: 0, unit: own, unitSaid: false }),
  )
  const inDigits = [...sentence.matchAll(NUMBER)].flatMap((match): FigureMention[] => {
    const after = sentence.slice(match.index + match[0].length)
    const isOften = /^\s*times\b(?! as\b)/.test(after) && /^how often\b/i.test(testOf(plan).measure?.name ?? '')
    const written = unitAfter(after, own, plan.conditionUnit)
    // "The attic one of 6.4 degrees" counts nothing.
    if ((COUNTED_THINGS.test(after) && !isOften) || (!written && OUT_OF.test(sentence.slice(0, match.index)))) return []
    const figure = spanned(match, offset, {
      kind: 'figure' as const,
      ...valueOf(match[0]),
      unit: written?.unit ?? own,
      unitSaid: written !== undefined,
    })
    // "3 jars" is no figure of the table, "12 clips" is where clips are counted.
    const noun = /^\s+(\p{L}{3,})/u.exec(after)?.[1]
    const counts = mainWords(testOf(plan).measure?.name ?? '')
    if (!written && noun && !isOften && !SMALL_AFTER.test(noun) && !counts.includes(withoutEnding(noun))) return []
    return [{ ...figure, to: figure.to + (written?.length ?? 0) }]
  })
  return [
    ...inDigits,
    ...inWords,
    ...unitsInWords(sentence, offset, plan),
    ...countedIn(sentence, offset, plan),
    ...nonesIn(sentence, offset, plan),
  ].sort((a, b) => a.from - b.from)
}

/** "Over six degrees warmer", where kinds were tested and no numbers. */
function unitsInWords(sentence: string, offset: number, plan: Plan): FigureMention[] {
  if (plan.conditionsAs === 'numbers') return []
  return [...sentence.matchAll(new RegExp(`(?<!\\p{L})(?:${NUMBER_WORDS.join('|')})(?= \\p{L})`, 'gu'))].flatMap(
    (match): FigureMention[] => {
      const written = unitAfter(sentence.slice(match.index + match[0].length), resultUnit(plan), plan.conditionUnit)
      // "In ten seconds" says when, where heights were read.
      if (!written || unitOf(written.unit).dimension !== unitOf(resultUnit(plan)).dimension) return []
      const figure = spanned(match, offset, {
        kind: 'figure' as const,
        value: numberOf(match[0]),
        decimals: 0,
        unit: written.unit,
        unitSaid: true,
      })
      return [{ ...figure, to: figure.to + written.length }]
    },
  )
}

/** "It lifted thirteen clips", "eighteen clips with one layer", where clips were counted. */
const COUNTED_IN_WORDS = new RegExp(
  `(?:(?<=\\b(?:lifts?|lifted|holds?|held|up|carry|carries|carried|caught|got|gave|with|only|about|just) )(${NUMBER_WORDS.join('|')}) (\\p{L}{3,})|(?<=^\\W*|[,:] )(${NUMBER_WORDS.join('|')}) (\\p{L}{3,})(?= (?:with|through|at|for|from|in)\\b))`,
  'gu',
)

function countedIn(sentence: string, offset: number, plan: Plan): FigureMention[] {
  const unit = resultUnit(plan)
  if (unitOf(unit).dimension !== 'number') return []
  return [...sentence.matchAll(COUNTED_IN_WORDS)].flatMap((match): FigureMention[] => {
    const [number, thing] = [match[1] ?? match[3], match[2] ?? match[4]]
    const taken = isWordOf(thing!, changedFactor(plan)?.name ?? '')
    if (taken || !isWordOf(thing!, testOf(plan).measure?.name ?? '')) return []
    const from = offset + match.index + match[0].indexOf(number!)
    return [{ kind: 'figure', value: numberOf(number!), decimals: 0, unit, unitSaid: false, from, to: from + number!.length }]
  })
}

/** "Six layers lifted no clips", where clips were counted: none of them. */
function nonesIn(sentence: string, offset: number, plan: Plan): FigureMention[] {
  const unit = resultUnit(plan)
  if (unitOf(unit).dimension !== 'number') return []
  return [
    ...sentence.matchAll(/(?<=\b(?:lifts?|lifted|holds?|held|up|carry|carries|carried|caught|had|got|gave) )no (?=(\p{L}{3,}))/gu),
  ].flatMap((match) =>
    isWordOf(match[1]!, testOf(plan).measure?.name ?? '')
      ? [spanned(match, offset, { kind: 'figure' as const, value: 0, decimals: 0, unit, unitSaid: false })]
      : [],
  )
}

/** `valueOf('21 1/2') // { value: 21.5, decimals: 0.30 }`: as fine as its parts are. */
function valueOf(written: string): { value: number; decimals: number } {
  const [whole, fraction] = written
    .replace('−', '-')
    .replace(',', '.')
    .replace(/\s(?=\d{3})/g, '')
    .split(/\s/) as [string, string | undefined]
  if (fraction === undefined) return { value: Number(whole), decimals: whole.split('.')[1]?.length ?? 0 }
  const [parts, of] = fraction.split('/').map(Number) as [number, number]
  return { value: Number(whole) + (whole.startsWith('-') ? -1 : 1) * (parts / of), decimals: Math.log10(of) }
}

const SMALL_AFTER =
  /^(more|fewer|less|higher|lower|further|longer|shorter|and|but|for|with|while|whereas|against|compared|than|average|averaged|long|high|tall|far|wide|deep|were|was|then|before|after|through|when|from|or|straight|right|immediately)$/

/** The unit that is written behind a number, and how many letters it takes. */
function unitAfter(after: string, own: ResultUnit, ofConditions: UnitCode): { unit: UnitCode; length: number } | undefined {
  const match = /^\s?(\p{L}+|°\s?[cf]|["'])(?![\p{L}])/u.exec(after)
  // Which degrees, the instrument says.
  if (match && /^(?:degrees?|°)$/.test(match[1]!) && unitOf(own).dimension === 'temperature')
    return { unit: own as UnitCode, length: match[0].length }
  const unit = match && unitNamed(match[1]!.replace(/\s/g, ''))
  if (!unit) return undefined
  // "61 in the jar" is no inch, unless inches are about.
  if (unit === 'in' && match[1] === 'in' && own !== 'in' && ofConditions !== 'in') return undefined
  return { unit, length: match[0].length }
}

/** A number that stands for a condition: "0.4 m" for 40 cm, and "at 40" where nothing else is 40. */
function conditionOfNumber(figure: FigureMention, sentence: string, offset: number, plan: Plan): string | undefined {
  if (plan.conditionsAs !== 'numbers') return undefined
  const before = sentence.slice(0, figure.from - offset)
  const placed = /\b(?:at|from|for|with|of|the|between|to)\s*(?:[\d.]+\s?(?:,|and|or)\s*)*$/.test(before)
  const same = unitOf(plan.conditionUnit).dimension === unitOf(resultUnit(plan)).dimension
  if (figure.unitSaid ? same && !placed : !placed) return undefined
  const value = figure.unitSaid ? convert(figure.value, figure.unit, plan.conditionUnit) : figure.value
  return activeConditions(plan).find((condition) => value !== undefined && conditionValue(plan, condition) === value)?.id
}

const AMOUNT = /^(?:more|most|less|least|fewer|fewest)$/

/** "More slowly", "most quickly", "less loudly". */
const HOW_QUICKLY = /^ (?:(quickly|rapidly|loudly)|(slowly))\b/

/** What ended first had least of what was read "until" or "before" that. */
const ENDED =
  /\b(?:slid|slides?|slipped|slips?|broke|breaks?|fell|falls?|snapped|snaps?|tore|tears?|stopped|stops?|gave way|gives way|melted|melts?|ran out|emptied|dried|sank|sinks?|popped|burst|went out|let go|came off|dropped|gave up) (?=(?:first|last)\b)/
const UNTIL = /\b(?:carry|carries|holds?|bears?|supports?|before|until|till|at which|when|that breaks|load|how long|time)\b/

function comparingIn(sentence: string, offset: number, plan: Plan): ComparingMention[] {
  const words = [...sentence.matchAll(/\p{L}+/gu)].flatMap((match): ComparingMention[] => {
    const adverb = AMOUNT.test(match[0]) ? HOW_QUICKLY.exec(sentence.slice(match.index + match[0].length)) : null
    if (adverb) {
      const [said, fast, slow] = adverb
      const more = (slow === undefined) === /^m/.test(match[0])
      const quality: Quality = (fast ?? slow)!.startsWith('l') ? 'loudness' : 'speed'
      const to = match.index + match[0].length + said.length
      return [
        {
          ...{ kind: 'comparing', word: match[0] + said, side: more ? 'more' : 'less', superlative: /st$/.test(match[0]), quality },
          ...{ from: offset + match.index, to: offset + to },
        },
      ]
    }
    const word = COMPARING.get(match[0])
    if (!word || isIdle(match[0], sentence.slice(0, match.index), sentence.slice(match.index + match[0].length))) return []
    const of = AMOUNT.test(match[0]) ? /^ (\p{L}{3,})/u.exec(sentence.slice(match.index + match[0].length))?.[1] : undefined
    return [spanned(match, offset, { ...word, kind: 'comparing' as const, of: of && withoutEnding(of) })]
  })
  const ranked = PLACED.flatMap(({ words: pattern, side, superlative, quality = 'rank' }) =>
    [...sentence.matchAll(pattern)].map((match) =>
      spanned(match, offset, { kind: 'comparing' as const, word: match[0], side, superlative, quality }),
    ),
  )
  // "The heart beats 38 times" is no race.
  const beats = mainWords(testOf(plan).measure?.name ?? '').includes('beat')
  const placed = beats ? ranked.filter(({ word }) => !word.startsWith('beat')) : ranked
  const ended = ENDED.exec(sentence)
  if (!ended) return [...words, ...placed]
  const untilThen = UNTIL.test(plainly(testOf(plan).measure?.name ?? ''))
  const ofTheEnd = [...sentence.matchAll(/\b(?:first|last)\b/g)].map((match) =>
    spanned(match, offset, {
      ...{ kind: 'comparing' as const, word: match[0], superlative: true, quality: 'size' as const },
      side: match[0] === 'first' ? ('less' as const) : ('more' as const),
    }),
  )
  return [...words, ...(untilThen ? ofTheEnd : [])]
}

/** "At least", "no longer", "most groups", "more and more": nothing is compared. */
function isIdle(word: string, before: string, after: string): boolean {
  // "Fewer and fewer" is said once.
  if (after.startsWith(` and ${word}`)) return true
  if (/\b(?:at|no|any|once|so far) $/.test(before) && /^(least|most|longer|more|best|last)$/.test(word)) return true
  return word === 'most' && /^\s+(?:of\b|groups?\b|children\b|people\b|readings?\b)/.test(after)
}
