import { gradeBetween, type Evidence, type Grade } from '../../evidence'
import {
  activeConditions,
  changedFactor,
  comingFactors,
  conditionValue,
  isNamed,
  keptFactors,
  mainWords,
  type Plan,
} from '../../lesson'
import { resultUnit, testOf } from '../../test'
import { convert, numberOf, unitOf, NUMBER_WORDS } from '../../quantity'
import type { ClaimDoubt } from '../claims'
import { CERTAIN, EFFECT, HEDGED, MAKES, NEGATED, NO_DIFFERENCE, NOT_FOUND, OF_THE_METHOD, PROOF } from './lexicon'
import { clausesOf } from './mentions'
import { namedIn, type Span, type Stretch } from './stretch'
import { isAbout, plainly } from './plainly'

/** A number of the thing that was changed, beyond all that were tested. */
export function outsideTested(sentence: Stretch, plan: Plan, evidence: Evidence, sure: boolean): ClaimDoubt | undefined {
  const foretold = sure && WOULD.test(sentence.text) && !WISHED.test(sentence.text)
  const figure = sentence.mentions.find(({ kind }) => kind === 'figure')
  if (foretold && figure) {
    const { from, to } = figure
    return {
      code: 'outside-tested',
      said: sentence.text.slice(from - sentence.from, to - sentence.from).trim(),
      at: [{ from, to }],
    }
  }
  const named = sentence.mentions.some(({ kind }) => kind === 'condition')
  // "A thicker scarf would be better still".
  const another = foretold && ANOTHER.exec(sentence.text)
  if (another)
    return {
      code: 'outside-tested',
      said: another[1]!.trim(),
      at: [{ from: sentence.from + another.index, to: sentence.from + another.index + another[0].length }],
    }
  const will = sure && !named && /\bit will\b/.test(sentence.text) && !WISHED.test(sentence.text)
  const other = foretold || will ? FORETOLD.exec(sentence.text) : undefined
  if (
    other &&
    !(named && /\bagain\b/.test(sentence.text)) &&
    !/\b(?:next|we|you|they|i)\b/.test(sentence.text.replace(/\bwe are (?:\p{L}+ )?(?:sure|certain)/u, ''))
  )
    return {
      code: 'outside-tested',
      said: other[1]!.trim(),
      at: [{ from: sentence.from + other.index, to: sentence.from + other.index + other[0].length }],
    }
  if (plan.conditionsAs !== 'numbers' || NOT_FOUND.test(sentence.text)) return undefined
  const tested = activeConditions(plan).flatMap((condition) => conditionValue(plan, condition) ?? [])
  const alike = unitOf(plan.conditionUnit).dimension === unitOf(resultUnit(plan)).dimension
  const averages = evidence.summaries.flatMap(({ mean, evened }) => [mean, evened])
  const found = sentence.mentions.find((figure) => {
    // Of lengths, too, what was read is no place where it was tried.
    if (
      figure.kind === 'figure' &&
      alike &&
      averages.some((one) => Math.abs(one - figure.value) <= 0.5 * 10 ** -figure.decimals + 1e-9)
    )
      return false
    if (figure.kind !== 'figure' || !figure.unitSaid || (alike && figure.unit !== plan.conditionUnit)) return false
    const value = convert(figure.value, figure.unit, plan.conditionUnit)
    const before = sentence.text.slice(0, figure.from - sentence.from)
    const placed =
      /\b(?:at|from|beyond|past)\s*$/.test(before) || (!alike && /\b(?:after|with|of|over|above|below|under)\s*$/.test(before))
    return placed && value !== undefined && (value > Math.max(...tested) || value < Math.min(...tested))
  })
  if (!found || tested.length === 0) return undefined
  const { from, to } = found
  return { code: 'outside-tested', said: sentence.text.slice(from - sentence.from, to - sentence.from).trim(), at: [{ from, to }] }
}

/** A figure that nobody read: of something that was not there, or of another number. */
const WOULD = /\bwould\b/i
/** Another one than was there. */
const ANOTHER = /(?<=^\W*)((?:an? )?(?!other\b|further\b|better\b)\p{L}{3,}er (?!than\b)\p{L}{3,}) would\b/u
/** "Wood glue would hold a minute": something does what nobody saw it do. */
const FORETOLD =
  /\b((?:\p{L}+ ){1,4})(?:would|will) (?!like\b|love\b|have\b|need to\b|want\b|help\b|be (?:\p{L}+ )?(?:good|nice|fun|interesting|fair|fairer|better|useful|great|hard|easy|easier|harder)\b)\p{L}+/u
const WISHED =
  /\b(?:if we|we would(?! (?:\p{L}+ ){1,4}\d)|would like|thought|predict\w*|guess\w*|expect\w*|wonder\w*|perhaps|maybe|might|about|probably|forecast\w*|should)\b/iu

/** What is said to change the result: the thing that was changed, as far as the grade goes; anything else was not tested. */
export function effects(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  return clausesOf(sentence).flatMap((clause): ClaimDoubt[] => {
    if (NEGATED.test(clause.text) || NOT_FOUND.test(clause.text) || / no |\bchange[sd]? (?:nothing|little)\b/.test(clause.text))
      return []
    const kept = OF_THE_METHOD.test(clause.text)
      ? undefined
      : [...keptFactors(plan), ...comingFactors(plan)].find((factor) =>
          isNamed(factor.name, beforeVerb(withoutRound(clause.text), MAKES)),
        )
    if (kept && !isChangedNamed(plan, clause.text))
      return [{ code: 'not-tested', factor: kept.id, at: placesOf([MAKES.exec(clause.text)!], clause.from) }]
    const word = EFFECT.exec(clause.text)
    if (!word || !isChangedNamed(plan, clause.text)) return []
    const at = placesOf([word], clause.from)
    if (evidence.grade === 'not-fair') return [{ code: 'not-fair', named: undefined, at }]
    const carried = evidence.grade === 'clear' || evidence.grade === 'one-condition' || hedged
    return carried ? [] : [{ code: 'claims-too-much', grade: evidence.grade, words: [word[0]], at }]
  })
}

/** Is what was changed spoken of: by all its words, or by the thing in it, "layers" of "the number of card layers". */
function isChangedNamed(plan: Plan, text: string): boolean {
  const name = changedFactor(plan)?.name ?? ''
  const thing = mainWords(name).at(-1)
  // "The brand" of "the brand of pencil".
  const head = /^the (\p{L}{4,})/u.exec(name.toLowerCase())?.[1]
  return (
    isNamed(name, text) ||
    (head !== undefined &&
      !/^(?:kind|type|sort|number|amount|side|part)$/.test(head) &&
      new RegExp(`\\bthe ${head}\\b`).test(text)) ||
    (thing !== undefined && thing.length > 3 && !/^(?:how|where|when|which)\b/i.test(name) && mainWords(text).includes(thing))
  )
}

/** What everybody had the same of, said of conditions in which it was so. */
export function keptRight(sentence: Stretch, plan: Plan): Span[] {
  const match = /\bthe same (\p{L}{3,})/u.exec(sentence.text)
  const factor = match && keptFactors(plan).find(({ name }) => mainWords(name).includes(mainWords(match[1]!)[0] ?? ''))
  if (!match || !factor || NEGATED.test(sentence.text) || !/\b(?:had|got|used|with)\b/.test(sentence.text.slice(0, match.index)))
    return []
  const clause = clausesOf(sentence).find(({ from, to }) => from <= sentence.from + match.index && sentence.from + match.index < to)
  const named = clause ? [...namedIn(clause)] : []
  const meant = named.length > 0 ? named : activeConditions(plan).map(({ id }) => id)
  return meant.every((id) => factor.exceptions[id] === undefined) ? placesOf([match], sentence.from) : []
}

/** What no instrument of a class shows, whatever it read. */
const OTHER_PROPERTY =
  /\b(?:cheap|pretti|nic|saf|healthi|clean|dear|easi|tasti|tough|smart|ugli|soft|hard|smooth|rough|stiff|fresh|sticki|slimi|shini|green|yellow|brown|sweet|sour|bitter|salti)(?:er|est)\b/u

/** "Is the cheapest", "is safer": said of a condition, and measured by nobody. */
const PRAISED =
  /\b(?:more|most|less|least) (?:expensive|comfortable|beautiful|useful|colou?rful|difficult|dangerous|popular|delicious|interesting|easily|valuable|flexible|durable|modern)\b/u

export function notMeasured(sentence: Stretch, plan: Plan): ClaimDoubt[] {
  const known = [...plan.factors, ...plan.measures].map(({ name }) => name).join(' ')
  return clausesOf(sentence).flatMap((clause): ClaimDoubt[] => {
    const match = OTHER_PROPERTY.exec(clause.text) ?? PRAISED.exec(clause.text)
    // How something looks to somebody is no property of it.
    if (match && /\b(?:looks?|looked|feels?|felt) (?:\p{L}+ )?$/u.test(clause.text.slice(0, match.index))) return []
    // "We had to pull harder" is what a force meter shows.
    if (match?.[0].startsWith('hard') && isAbout(testOf(plan).measure?.name ?? '', 'strength')) return []
    if (!match || known.includes(match[0].slice(0, 4)) || NOT_FOUND.test(clause.text) || HEDGED.test(clause.text)) return []
    // "So it is the cheapest" is said of whoever was named before.
    const begin = /^\W*(?:and |so |but )*(?:it|they|that one) (?:is|are|was|were) (?:the )?$/.test(
      clause.text.slice(0, match.index),
    )
    const named = begin ? sentence.mentions : clause.mentions
    if (!named.some(({ kind, to }) => kind === 'condition' && to <= clause.from + match.index)) return []
    return [{ code: 'not-measured', word: match[0], at: placesOf([match], clause.from) }]
  })
}

const COUNTED = new RegExp(`\\b(\\d+|${NUMBER_WORDS.join('|')}) (\\p{L}{3,})`, 'gu')

/** "With five washers it swings slower", where everybody had three: another amount of something that was kept the same. */
export function otherAmountOfKept(sentence: Stretch, plan: Plan): ClaimDoubt[] {
  if (NOT_FOUND.test(sentence.text) || OF_THE_METHOD.test(sentence.text) || NEGATED.test(sentence.text)) return []
  if (!sentence.mentions.some(({ kind }) => kind === 'comparing') && !/\b(?:twice|double|half)\b/.test(sentence.text)) return []
  const spoken = mainWords([testOf(plan).measure?.name, changedFactor(plan)?.name].join(' '))
  return [...sentence.text.matchAll(COUNTED)].flatMap((match): ClaimDoubt[] => {
    const [thing] = mainWords(match[2]!)
    if (thing === undefined || spoken.includes(thing)) return []
    const kept = keptFactors(plan).find(({ how, exceptions }) =>
      [how, ...Object.values(exceptions)].some((one) => countedIn(one).some((counted) => counted.thing === thing)),
    )
    const had = kept && [kept.how, ...Object.values(kept.exceptions)].flatMap(countedIn).filter((one) => one.thing === thing)
    if (!kept || had!.some(({ number }) => number === numberOf(match[1]!))) return []
    return [{ code: 'not-tested', factor: kept.id, at: placesOf([match], sentence.from) }]
  })
}

function countedIn(how: string): { number: number; thing: string | undefined }[] {
  return [...how.toLowerCase().matchAll(COUNTED)].map((match) => ({ number: numberOf(match[1]!), thing: mainWords(match[2]!)[0] }))
}

const CALLED_FAIR = /\b(?:that|it|this|the test) (?:is|was) (?:a )?(?:quite |completely |very )?fair\b/

/** "And that is fair", where it was not. */
export function calledFair({ text, from }: Stretch, { grade, notFair }: Evidence): ClaimDoubt[] {
  const match = CALLED_FAIR.exec(text)
  const unfair = grade === 'not-fair' || (notFair?.apart.length ?? 0) > 0
  return match && unfair && !NEGATED.test(text) ? [{ code: 'not-fair', named: undefined, at: placesOf([match], from) }] : []
}

const CHANGES_WARMTH = /\b(?:warms|cools|heats|chills)\b/

/** "Wool warms the thermometer": what a condition is said to do, where the grade does not carry it. */
export function actsOn(sentence: Stretch, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  if (evidence.grade === 'clear' || evidence.grade === 'one-condition' || hedged) return []
  return clausesOf(sentence).flatMap((clause): ClaimDoubt[] => {
    const match = CHANGES_WARMTH.exec(clause.text)
    const subject = match && clause.mentions.some(({ kind, to }) => kind === 'condition' && to <= clause.from + match.index)
    if (!match || !subject || NEGATED.test(clause.text)) return []
    return [{ code: 'claims-too-much', grade: evidence.grade, words: [match[0]], at: placesOf([match], clause.from) }]
  })
}

/** "A scarf round the timer makes it quieter": the timer is not what makes it. */
const withoutRound = (text: string) =>
  text.replace(/\b(?:round|around|over|on|in|under|behind|before|between) (?:the|our|each) \p{L}+/gu, (said) =>
    ' '.repeat(said.length),
  )

function beforeVerb(text: string, verb: RegExp): string {
  const found = verb.exec(text)
  return found ? text.slice(0, found.index) : ''
}

function placesOf(found: RegExpExecArray[], offset: number): Span[] {
  return found.map((match) => ({ from: offset + match.index, to: offset + match.index + match[0].length }))
}

/** Not having seen a difference is less than there being none. */
export function noDifference(sentence: Stretch, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  const found = [...sentence.text.matchAll(NO_DIFFERENCE)]
  // Not being able to tell is no reason for "so there is none".
  const drawn = /\bso (?:there (?:is|was) |it (?:makes|made) )?$/.test(sentence.text.slice(0, found[0]?.index ?? 0))
  // Two that clearly differ are not "nearly the same", however carefully it is said.
  const told = pairOf(sentence, evidence) === 'clear'
  if (found.length === 0 || (hedged && !drawn && !told) || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text))
    return []
  const ofPair = pairOf(sentence, evidence)
  // "It weighed nearly the same as at the start": who is meant, stays open.
  if (!ofPair && /\bthe same as\b/.test(sentence.text) && namedIn(sentence).size === 1) return []
  const grade = ofPair ?? evidence.grade
  if (grade === 'same' || grade === 'one-condition') return []
  if (ofPair && grade === 'cannot-tell' && /\b(about|nearly|almost)\b/.test(sentence.text)) return []
  return [{ code: 'claims-no-difference', grade, words: found.map(([word]) => word), at: placesOf(found, sentence.from) }]
}

/** How sure the comparison of the two is that a sentence names; undefined where it names more, or fewer. */
function pairOf(sentence: Stretch, evidence: Evidence): Grade | undefined {
  const [a, b, ...more] = namedIn(sentence)
  return a !== undefined && b !== undefined && more.length === 0 ? gradeBetween(evidence, a, b) : undefined
}

/** Words that no single test carries. */
export function proof(sentence: Stretch, plan: Plan): ClaimDoubt[] {
  const things = mainWords(changedFactor(plan)?.name ?? '').join('|')
  const ofAll =
    things === ''
      ? []
      : [
          ...sentence.text.matchAll(
            new RegExp(
              `(?<!\\bwithout )\\b(?:all|every|any) (?:(?!(?:the|our|of|these|those|other|${NUMBER_WORDS.join('|')}) )\\p{L}+ )?(?:${things})\\p{L}*(?!\\p{L}| \\p{L}+ed\\b| (?:was|were|had|got|came|did)\\b)`,
              'gu',
            ),
          ),
        ]
  const found = [...sentence.text.matchAll(PROOF), ...ofAll]
  if (found.length === 0 || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text) || NEGATED.test(sentence.text))
    return []
  return [{ code: 'proof-words', words: found.map(([word]) => word), at: placesOf(found, sentence.from) }]
}

/** Words that are surer than the evidence. */
export function tooCertain({ text, from }: Stretch, { grade }: Evidence): ClaimDoubt[] {
  const carried = grade === 'clear' || grade === 'same' || grade === 'one-condition'
  if (carried || NEGATED.test(text.replace(/could not be clearer/g, ''))) return []
  const found = [...text.matchAll(CERTAIN)]
  return found.length === 0
    ? []
    : [{ code: 'claims-too-much', grade, words: found.map(([word]) => word), at: placesOf(found, from) }]
}

/**
 * Why the class may be sure, or may not, where the table has it: the gap against the wobble, how many groups agree, what luck could make, which of the top two.
 */
export function reasonsRight(sentence: Stretch, evidence: Evidence): Span[] {
  const { grade, agreement, lead, limits, tied } = evidence
  const found = (pattern: RegExp, holds: boolean) =>
    holds ? [...sentence.text.matchAll(pattern)].flatMap((match) => placesOf([match], sentence.from)) : []
  const agreeing = [...sentence.text.matchAll(AGREEING)].filter(
    ([, some, all]) => Number(some) === agreement?.agreeing.length && Number(all) === agreement.asked.length,
  )
  const together = lead === undefined || lead.grade !== 'clear' || tied.length > 1
  return [
    ...found(GAP, grade === 'clear'),
    ...found(BY_LUCK, grade === 'cannot-tell' || grade === 'leaning'),
    ...found(TOP_TWO, together),
    // What single readings seem to say is not checked by saying that they are single.
    ...found(ONLY_ONCE, limits.includes('one-reading-each') && !comparesWithoutFigure(sentence)),
    ...agreeing.flatMap((match) => placesOf([match], sentence.from)),
  ]
}

function comparesWithoutFigure({ mentions }: Stretch): boolean {
  return mentions.some(({ kind }) => kind === 'comparing') && !mentions.some(({ kind }) => kind === 'figure')
}

const GAP = /\bthe gap is (?:much )?bigger than (?:the wobble|what the (?:groups|children) differ by)\b/g
const BY_LUCK = /\b(?:luck|wobble|chance) could (?:hide or )?make (?:such )?a gap\b/g
const TOP_TWO = /\b(?:cannot|can't) (?:yet )?tell (?:yet )?which of the (?:top|last) two (?:is the \p{L}+|comes first)/gu
const ONLY_ONCE =
  /\b(?:we (?:only )?(?:measured|read|tested|timed|weighed|tried) (?:each|it|them)(?: \p{L}+)? (?:only |just )?once|each (?:one )?was (?:only )?(?:measured|read|tested|timed|weighed|tried) (?:only |just )?once|(?:only (?:have |had |took |did )?)?one (?:reading|try|trial) each)\b/gu
const AGREEING = /\b(\d+) of (\d+) (?:groups?|children|child) agrees?\b/g

/** What is true of the whole: that it matters, where that is clear; that nobody can tell, where nobody can; that nothing differs, where it is the same. */
export function toldRight(sentence: Stretch, plan: Plan, evidence: Evidence): Span[] {
  const { grade } = evidence
  const placed = (word: RegExpExecArray | null) => (word ? placesOf([word], sentence.from) : [])
  if (evidence.limits.includes('unfinished') && MISSING.test(sentence.text)) return placed(MISSING.exec(sentence.text))
  if (grade === 'one-condition') return placed(ONE_THING.exec(sentence.text))
  if (grade === 'cannot-tell' || grade === 'leaning') return placed(CANNOT_TELL.exec(sentence.text) ?? SO_FAR.exec(sentence.text))
  const alike = placed(new RegExp(NO_DIFFERENCE.source, 'i').exec(sentence.text))
  if (grade === 'same' || pairOf(sentence, evidence) === 'same') return alike
  const own = plainly(testOf(plan).measure?.name ?? '')
  const text = own === '' ? sentence.text : sentence.text.replaceAll(own, '')
  const negated = NEGATED.test(text) || / no /.test(text) || NOT_FOUND.test(text)
  const things = mainWords(changedFactor(plan)?.name ?? '').join('|')
  // "The glue we use makes a difference" says nothing of the method.
  const ofTheResult =
    things === '' ? text : text.replace(new RegExp(`(?<=\\b(?:${things})\\p{L}*) (?:that |which )?we (?:use|used|chose)`, 'gu'), '')
  if (grade !== 'clear' || negated || OF_THE_METHOD.test(ofTheResult)) return []
  const ofTwo = pairOf(sentence, evidence) === 'clear' ? placed(DIFFERENCE_BETWEEN.exec(sentence.text)) : []
  if (ofTwo.length > 0) return ofTwo
  return clausesOf(sentence).flatMap((clause) => {
    const word = EFFECT.exec(clause.text)
    const about =
      isChangedNamed(plan, clause.text) || /\b(?:it|that|this) (?:really |clearly )?$/.test(clause.text.slice(0, word?.index ?? 0))
    return word && about ? placesOf([word], clause.from) : []
  })
}

const DIFFERENCE_BETWEEN = /\bthere (?:is|was) a (?:clear |real |big )?difference between\b/i
const CANNOT_TELL =
  /\btoo (?:early|soon|close) to (?:tell|say|know)\b|\b(?:cannot|can't|could not|are not able to) (?:yet )?(?:tell|say|be sure)(?: yet)?\b|\bnot (?:yet |quite |really |very )*sure(?: yet)?\b(?= (?:whether|if|which|about)| yet\b|[.!,]|$)|\bunsure\b/i
/** What else is true of a class that cannot be sure. */
const SO_FAR = /\b(?:so far it (?:looks|seems)|it may be) so\b|\b(?:the |our )?(?:numbers|words) are (?:all |too |so )*mixed up\b/i
const MISSING = /\b(?:some|a few|many) (?:numbers|readings|words) are (?:still )?missing\b/i
const ONE_THING =
  /\bwe (?:looked at|tested|measured) (?:only )?one thing(?: only)?\b|\bthere is no other to compare (?:it )?with(?: it)?\b/i

/** Does it say how much: in figures, as a share, or in words beside what was counted ("six clips"). How many groups there were is no result. */
export function quotesNumbers(text: string, plan: Plan): boolean {
  if (/\d|\b(?:twice|thrice|double|half|a third|a quarter)\b/i.test(text)) return true
  const counted = ['times', ...mainWords(testOf(plan).measure?.name ?? '').map((word) => `${word}\\p{L}*`)].join('|')
  return new RegExp(`\\b(?:${NUMBER_WORDS.join('|')}) (?:${counted})(?!\\p{L})`, 'iu').test(text)
}
