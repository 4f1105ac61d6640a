import { evenedOf, type Evidence } from '../../evidence'
import { changedFactor, conditionValue, isWordOf, mainWords, withoutEnding, type Plan } from '../../lesson'
import { testOf } from '../../test'
import { NEGATED, NOT_FOUND } from './lexicon'
import type { Quality, Side } from '../../quantity'
import type { ComparingMention, Span, Stretch } from './stretch'
import { isAbout } from './plainly'
import { fitsResult, placesOf, sideOf, type Judged } from './order'
import { HOW_MANY, notTested, ofSetUp } from './setUp'

const CORRELATED = /\bthe (\p{L}+)\b(.*?),? the (\p{L}+)\b/u

/** "The further …, the shorter …", "moving it closer makes the shadow longer", "longer strings swing slower". */
export function readTrend(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged | undefined {
  if (isUnfair(evidence) && CORRELATED.test(sentence.text)) {
    const [cause, effect] = sentence.mentions.filter((one): one is ComparingMention => one.kind === 'comparing' && !one.superlative)
    const noun = cause && /^\s+the (\p{L}{3,})/u.exec(sentence.text.slice(cause.to - sentence.from))?.[1]
    if (
      cause &&
      effect &&
      noun &&
      mainWords(changedFactor(plan)?.name ?? '').includes(withoutEnding(noun)) &&
      !NEGATED.test(sentence.text)
    )
      return { code: 'not-fair', named: evidence.notFair?.apart[0]?.condition, at: placesOf(cause, effect) }
  }
  if (plan.conditionsAs !== 'numbers' || sentence.mentions.some(({ kind }) => kind === 'condition')) return undefined
  const words = sentence.mentions.filter((one): one is ComparingMention => one.kind === 'comparing' && !one.superlative)
  const opposite = oppositesIn(sentence, plan) ?? addedIn(sentence, plan)
  if (opposite && words.length === 1)
    return judgeTrend(opposite, words[0]!, placesOf(opposite.at, words[0]!), sentence, plan, evidence, hedged)
  const ends = readEnds(sentence, plan, evidence, hedged)
  if (ends) return ends
  const goes = readGoing(sentence, plan, evidence, hedged)
  if (goes) return goes
  const [cause, effect] = words
  const joined = CORRELATED.test(sentence.text) || /\b(makes?|made|gives?|means?|lets?)\b/.test(sentence.text)
  const changed = changedFactor(plan)
  // "Thicker card" is not more layers of it.
  const counts = cause && cause.quality !== 'size' && HOW_MANY.test(changed?.name ?? '')
  const about = cause && changed && !counts && (isAbout(changed.name, cause.quality) || cause.quality === 'size' || joined)
  if (
    !cause ||
    !effect ||
    !about ||
    (effect.quality !== 'size' && !fitsResult(effect, plan)) ||
    NEGATED.test(sentence.text) ||
    NOT_FOUND.test(sentence.text)
  )
    return undefined
  const at = placesOf(cause, effect)
  const setUp = ofSetUp(cause, sentence, plan)
  if (setUp && !setUp.tested) return notTested(setUp, cause, sentence)
  return judgeTrend(cause, effect, at, sentence, plan, evidence, hedged)
}

/** Which way the numbers go, against the way that the result is said to go. */
function judgeTrend(
  cause: { side: Side },
  effect: ComparingMention,
  at: Span[],
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged | undefined {
  const rising = risingOf(plan, evidence)
  const said = (cause.side === 'more') === (sideOf(effect, sentence.text, plan, evidence) === 'more')
  if (evidence.grade === 'not-fair') return { code: 'not-fair', named: undefined, at }
  if (evidence.grade !== 'clear' && !hedged) return { code: 'claims-too-much', grade: evidence.grade, at, words: [effect.word] }
  if (rising === undefined) return undefined
  return said === rising ? { code: 'right', at } : { code: 'wrong-direction', named: undefined, at }
}

/** More and less of a quality, in the words for one thing alone. */
const OPPOSITES: [more: string, less: string, Quality][] = [
  ['warm|hot', 'cold|cool', 'warmth'],
  ['long', 'short', 'length'],
  ['high|tall', 'low|short', 'height'],
  ['thick|wide', 'thin|narrow', 'width'],
  ['deep', 'shallow', 'depth'],
  ['heavy', 'light', 'weight'],
  ['far', 'near|close', 'distance'],
  ['fast|quick', 'slow', 'speed'],
  ['big|large|many', 'small|few|little', 'size'],
]

/** "Warm water takes longer than cold water": which end of the numbers is spoken of first. */
function oppositesIn({ text, from }: Stretch, plan: Plan): { side: Side; at: Span } | undefined {
  const [before, after] = text.split(/\bthan\b/)
  if (before === undefined || after === undefined) return undefined
  const name = changedFactor(plan)?.name ?? ''
  for (const [more, less, quality] of OPPOSITES) {
    if (quality !== 'size' && !isAbout(name, quality)) continue
    for (const [said, other, side] of [
      [more, less, 'more'],
      [less, more, 'less'],
    ] as const) {
      const match = new RegExp(`\\b(?:${said})\\b`).exec(before)
      if (match && new RegExp(`\\b(?:${other})\\b`).test(after))
        return { side, at: { from: from + match.index, to: from + match.index + match[0].length } }
    }
  }
  return undefined
}

const GOES =
  /\b(?:(goes up|go up|went up|increases?|increased|rises?|rose|grows?|grew)|(goes down|go down|went down|decreases?|decreased|falls?|fell|drops?|sinks?|sank|shrinks?))\b/gu

/** "As the layers go up, the clips go down." */
function readGoing(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged | undefined {
  const [cause, effect, ...more] = [...sentence.text.matchAll(GOES)]
  // "We are sure it goes up": with the numbers.
  if (cause && !effect && ONLY_GOES.test(sentence.text) && sentence.mentions.length === 0)
    return judgeTrend({ side: 'more' }, goingOf(cause, sentence), [spanOf(cause, sentence)], sentence, plan, evidence, hedged)
  if (!cause || !effect || more.length > 0 || !/\b(?:as|when|if|while)\b/.test(sentence.text)) return undefined
  if (NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return undefined
  const said = mainWords(sentence.text)
  if (!mainWords(changedFactor(plan)?.name ?? '').some((word) => said.includes(word))) return undefined
  const at = [cause, effect].map((match) => spanOf(match, sentence))
  return judgeTrend(goingOf(cause, sentence), goingOf(effect, sentence), at, sentence, plan, evidence, hedged)
}

const ONLY_GOES = /^\W*(?:and |so |we are (?:\p{L}+ )?sure (?:that )?)*(?:it|the number|the result) (?:\p{L}+ )(?:up|down)\W*$/u

const spanOf = (match: RegExpExecArray, { from }: Stretch): Span => ({
  from: from + match.index,
  to: from + match.index + match[0].length,
})

function goingOf(match: RegExpExecArray, sentence: Stretch): ComparingMention {
  const side: Side = match[1] === undefined ? 'less' : 'more'
  return { kind: 'comparing', word: match[0], side, superlative: false, quality: 'size', ...spanOf(match, sentence) }
}

/** "The lowest drop gave the lowest bounce." */
function readEnds(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged | undefined {
  const [cause, effect, ...more] = sentence.mentions.filter(
    (one): one is ComparingMention => one.kind === 'comparing' && one.superlative,
  )
  if (!cause || !effect || more.length > 0 || NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return undefined
  const nounOf = ({ to }: ComparingMention) => /^ (\p{L}{3,})/u.exec(sentence.text.slice(to - sentence.from))?.[1]
  const [of, result] = [cause, effect].map(nounOf)
  const [changed, measured] = [changedFactor(plan)?.name ?? '', testOf(plan).measure?.name ?? '']
  if (!of || !result || !isWordOf(of, changed) || isWordOf(of, measured) || !isWordOf(result, measured)) return undefined
  return judgeTrend(cause, effect, placesOf(cause, effect), sentence, plan, evidence, hedged)
}

/** "Adding layers makes the magnet lift fewer clips." */
function addedIn({ text, from }: Stretch, plan: Plan): { side: Side; at: Span } | undefined {
  const match = /^\W*(?:(adding|putting on)|taking (?:away|off)|removing) (?:(?:more|extra|further|some) )?(\p{L}{3,})/u.exec(text)
  if (!match || !isWordOf(match[2]!, changedFactor(plan)?.name ?? '')) return undefined
  return {
    side: match[1] === undefined ? 'less' : 'more',
    at: { from: from + match.index, to: from + match.index + match[0].length },
  }
}

const isUnfair = ({ grade, notFair }: Evidence) => grade === 'not-fair' || (notFair?.apart.length ?? 0) > 0

/** Do the averages go up with the numbers all the way, or down; undefined where they do neither. */
function risingOf(plan: Plan, evidence: Evidence): boolean | undefined {
  const sorted = evidence.order
    .flatMap((id) => {
      const condition = plan.conditions.find((one) => one.id === id)
      const number = condition && conditionValue(plan, condition)
      const evened = evenedOf(evidence, id)
      return number === undefined || evened === undefined ? [] : [{ number, evened }]
    })
    .sort((a, b) => a.number - b.number)
  const steps = sorted.slice(1).map((one, place) => Math.sign(one.evened - sorted[place]!.evened))
  return steps.length > 0 && steps.every((step) => step === steps[0] && step !== 0) ? steps[0] === 1 : undefined
}
