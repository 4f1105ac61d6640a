import { activeConditions, changedFactor, conditionValue, isWordOf, mainWords, type Plan, withoutEnding } from '../../lesson'
import { convert, NUMBER_WORDS, numberOf, type ResultUnit, type UnitCode, unitNamed, unitOf } from '../../quantity'
import { resultUnit, testOf } from '../../test'
import { type FigureMention, spanned } from './stretch'

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

export function figuresIn(sentence: string, offset: number, plan: Plan): FigureMention[] {
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

const NUMBER_WORD = new RegExp(`(?<!\\p{L})(?:${NUMBER_WORDS.join('|')})(?= \\p{L})`, 'gu')

/** "Over six degrees warmer", where kinds were tested and no numbers. */
function unitsInWords(sentence: string, offset: number, plan: Plan): FigureMention[] {
  if (plan.conditionsAs === 'numbers') return []
  return [...sentence.matchAll(NUMBER_WORD)].flatMap((match): FigureMention[] => {
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
  })
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
export function conditionOfNumber(figure: FigureMention, sentence: string, offset: number, plan: Plan): string | undefined {
  if (plan.conditionsAs !== 'numbers') return undefined
  const before = sentence.slice(Math.max(0, figure.from - offset - 60), figure.from - offset)
  const placed = /\b(?:at|from|for|with|of|the|between|to)\s*(?:[\d.]+\s?(?:,|and|or)\s*)*$/.test(before)
  const same = unitOf(plan.conditionUnit).dimension === unitOf(resultUnit(plan)).dimension
  if (figure.unitSaid ? same && !placed : !placed) return undefined
  const value = figure.unitSaid ? convert(figure.value, figure.unit, plan.conditionUnit) : figure.value
  return activeConditions(plan).find((condition) => value !== undefined && conditionValue(plan, condition) === value)?.id
}
