import type { Evidence, Grade } from '../evidence'
import { comingFactors, mainWords, type Plan } from '../lesson'
import { readDirections, type Earlier } from './conclusion/directions'
import { readFigures } from './conclusion/figures'
import { readGroups, type GroupsCounted } from './conclusion/groups'
import { HEDGED, HOW_SURE, NOT_FOUND } from './conclusion/lexicon'
import { sentencesOf } from './conclusion/mentions'
import type { ConditionMention, Span, Stretch } from './conclusion/stretch'
import {
  actsOn,
  calledFair,
  effects,
  keptRight,
  noDifference,
  notMeasured,
  otherAmountOfKept,
  outsideTested,
  proof,
  quotesNumbers,
  reasonsRight,
  toldRight,
  tooCertain,
} from './conclusion/statements'
import { soleOf } from './conclusion/subject'
import { readRate } from './conclusion/rate'
import { readRatios } from './conclusion/ratios'
import { unreadIn } from './conclusion/unread'
import { readRanks, readWords } from './conclusion/wordsSaid'

/** What may be said against a conclusion, with the places where it says so; what is left out has no place. */
export type ClaimDoubt = {
  at: Span[]
  /** Of which of several measures, where that is not the first. */ measure?: string
  /** Which of several tables it is said of, counted from 0, where that is not the first one. */ ofTable?: number
} & (
  | { code: 'claims-too-much'; grade: Grade; words: string[] }
  | { code: 'claims-no-difference'; grade: Grade; words: string[] }
  | { code: 'names-another-winner'; named: string; winner: string }
  /** Two that stand the other way round; of a line that goes the other way, none. */
  | { code: 'wrong-direction'; named: [string, string] | undefined }
  | {
      code: 'wrong-number'
      said: string
      condition: string | undefined
      table: number | undefined
      /** Of a count of groups: how many put the first one first, of how many, and which it is. */
      groups?: GroupsCounted
    }
  | { code: 'not-fair'; named: string | undefined }
  | { code: 'not-tested'; factor: string }
  /** Another kind of a thing than was there: "thicker card". */
  | { code: 'not-tested'; factor: undefined; said: string }
  /** A property that nobody measured: the strongest, where heights were read. */
  | { code: 'not-measured'; word: string }
  | { code: 'outside-tested'; said: string }
  | { code: 'proof-words'; words: string[] }
  | { code: 'no-numbers' }
  | { code: 'does-not-say-how-sure' }
  | { code: 'cause-without-reason'; words: string[] }
  | { code: 'unfinished' }
)

export interface ReadConclusion {
  doubts: ClaimDoubt[]
  /** Figures, winners and directions that the table has. */
  right: Span[]
  /** What was not understood, and so not checked. */
  unread: Span[]
}

/** What a sentence leaves out is a reminder: it neither gives nor takes the tick. */
const REMINDERS: readonly ClaimDoubt['code'][] = ['no-numbers', 'does-not-say-how-sure', 'cause-without-reason']

/**
 * Was everything in it checked against the table, and found there? Whatever was not understood was not checked.
 * @example isChecked({ doubts: [], right: [{ from: 0, to: 4 }], unread: [] }) // => true
 */
export function isChecked({ doubts, right, unread }: ReadConclusion): boolean {
  return unread.length === 0 && right.length > 0 && doubts.every(({ code }) => REMINDERS.includes(code))
}

const SURE = /\b(?:sure|certain(?:ly)?|definitely|clear(?:ly)?|obviously)\b/i
const CAUSE =
  /\b(causes?|caused|due to|leads? to|led to|thanks to|that is why|that's why|makes? (?:it|them|the)|made (?:it|them|the))\b/gi
const REASON = /\b(because|since|the reason)\b(?!\s*(?:…|\.\.\.|$))/i

/** Who says that it was not fair need not be told. */
const OWNED_UNFAIR = /\b(?:not|n't|never) (?:a |an |quite |really |completely )*fair\b|(?<!\bnot )\bunfair\b/i

/**
 * What a conclusion says that the table and the evidence do not carry, or leaves out.
 * @example doubtsOfConclusion('Card is definitely best.', plan, evidence).map(({ code }) => code)
 *   // => ['names-another-winner', 'no-numbers', 'does-not-say-how-sure']
 */
export function doubtsOfConclusion(text: string, plan: Plan, evidence: Evidence): ClaimDoubt[] {
  return readConclusion(text, plan, evidence).doubts
}

/**
 * A conclusion read against the table, sentence by sentence: figures, winners, directions, effects, what was not tested or lies outside, certainty; and
 * what of it is right. Where the words can be meant in more than one way, it says nothing against them.
 * @param own of the group that says it: its own averages are right, too
 * @example readConclusion('Kitchen roll was highest.', plan, evidence).right // => [{ from: 0, to: 12 }, { from: 17, to: 24 }]
 */
export function readConclusion(written: string, plan: Plan, evidence: Evidence, own?: Evidence): ReadConclusion {
  const text = withoutWhatComes(written, plan)
  const doubts: ClaimDoubt[] = isUnfinished(text) ? [{ code: 'unfinished', at: [] }] : []
  const right: Span[] = []
  const sentences = sentencesOf(text, plan)
  if (evidence.grade !== 'nothing-yet') {
    const hedged = HEDGED.test(text)
    let earlier: ConditionMention | undefined
    let ago: ConditionMention[] = []
    for (const sentence of sentences) {
      const read = readSentence(sentence, plan, evidence, own, { hedged, sure: SURE.test(text) && !hedged, earlier, ago })
      ago = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
      earlier = ago.at(-1) ?? earlier
      doubts.push(...read.doubts)
      right.push(...read.right)
    }
    doubts.push(...sentences.flatMap((sentence) => tooCertain(sentence, evidence)))
  }
  doubts.push(...leftOut(text, plan))
  const found = right.filter((one, place) => right.findIndex(({ from }) => from === one.from) === place)
  const asked = doubts.flatMap(({ at }) => at)
  const told = OWNED_UNFAIR.test(text) ? doubts.filter(({ code }) => code !== 'not-fair') : doubts
  return { doubts: together(told), right: found, unread: unreadIn(sentences, plan, evidence, found, asked) }
}

/** What is said in brackets to come with what is changed claims nothing of its own; every place stays where it is. */
function withoutWhatComes(text: string, plan: Plan): string {
  const coming = comingFactors(plan).map(({ name }) => name.toLowerCase())
  const blank = (bracket: string, inside: string) =>
    mainWords(inside).every((word) => coming.some((name) => mainWords(name).includes(word))) ? ' '.repeat(bracket.length) : bracket
  return coming.length === 0 ? text : text.replace(/\((?:together )?with ([^()]*)\)/gi, blank)
}

function readSentence(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  own: Evidence | undefined,
  { hedged, sure, ...before }: { hedged: boolean; sure: boolean } & Earlier,
): Omit<ReadConclusion, 'unread'> {
  const doubts: ClaimDoubt[] = []
  const right: Span[] = []
  if (!NOT_FOUND.test(sentence.text))
    for (const read of [readWords(sentence, plan, evidence), readRanks(sentence, plan, evidence)]) {
      right.push(...read.right)
      for (const { from, to, ...wrong } of read.wrong) doubts.push({ code: 'wrong-number', ...wrong, at: [{ from, to }] })
    }
  // Words without an order have no figures and nothing that is more.
  if (evidence.sorted)
    return {
      doubts: [
        ...doubts,
        ...effects(sentence, plan, evidence, hedged),
        ...noDifference(sentence, evidence, hedged),
        ...proof(sentence, plan),
      ],
      right: [...right, ...toldRight(sentence, plan, evidence)],
    }
  const outside = outsideTested(sentence, plan, evidence, sure)
  if (outside) doubts.push(outside)
  else if (!NOT_FOUND.test(sentence.text)) {
    const figures = readFigures(sentence, plan, evidence, own)
    right.push(...figures.right)
    const ratios = readRatios(sentence, plan, evidence, soleOf(before.ago))
    right.push(...ratios.right)
    for (const { named, ...at } of ratios.unfair) doubts.push({ code: 'not-fair', named, at: [at] })
    const rates = readRate(sentence, plan, evidence)
    right.push(...rates.right)
    const ofRate = ({ from, to }: Span) => rates.right.some((one) => from >= one.from && to <= one.to)
    for (const { from, to, ...wrong } of [...figures.wrong.filter((one) => !ofRate(one)), ...ratios.wrong, ...rates.wrong])
      doubts.push({ code: 'wrong-number', ...wrong, at: [{ from, to }] })
  }
  const directions = readDirections(sentence, plan, evidence, hedged, before)
  const groups = readGroups(sentence, evidence, directions)
  right.push(...groups.right)
  for (const { from, to, ...wrong } of groups.wrong) doubts.push({ code: 'wrong-number', ...wrong, at: [{ from, to }] })
  for (const judged of directions) {
    if (judged.code === 'right') right.push(...judged.at)
    else doubts.push(judged)
  }
  right.push(...toldRight(sentence, plan, evidence), ...reasonsRight(sentence, evidence), ...keptRight(sentence, plan))
  doubts.push(
    ...(hedged ? [] : [...notMeasured(sentence, plan), ...otherAmountOfKept(sentence, plan)]),
    ...actsOn(sentence, evidence, hedged),
    ...calledFair(sentence, evidence),
    ...effects(sentence, plan, evidence, hedged),
    ...noDifference(sentence, evidence, hedged),
    ...proof(sentence, plan),
  )
  return { doubts, right }
}

/** What a whole conclusion has and this one has not. */
function leftOut(text: string, plan: Plan): ClaimDoubt[] {
  const causes = [...new Set([...text.matchAll(CAUSE)].map(([word]) => word.toLowerCase()))]
  return [
    ...(quotesNumbers(text, plan) ? [] : [{ code: 'no-numbers' as const, at: [] }]),
    ...(HOW_SURE.test(text) || HEDGED.test(text) ? [] : [{ code: 'does-not-say-how-sure' as const, at: [] }]),
    ...(causes.length > 0 && !REASON.test(text) ? [{ code: 'cause-without-reason' as const, words: causes, at: [] }] : []),
  ]
}

/** One doubt a code, but for figures, of which each is its own; what is wrong goes before what is left out. */
function together(doubts: ClaimDoubt[]): ClaimDoubt[] {
  const merged: ClaimDoubt[] = []
  for (const doubt of doubts) {
    const same = merged.find(({ code }) => code === doubt.code && code !== 'wrong-number')
    if (!same) merged.push({ ...doubt })
    else {
      same.at = [...same.at, ...doubt.at.filter(({ from }) => !same.at.some((one) => one.from === from))]
      if ('words' in same && 'words' in doubt) same.words = [...new Set([...same.words, ...doubt.words])]
    }
  }
  return merged
}

/** Does a hole of a sentence's beginning wait to be filled. `isUnfinished('We found that …') // true` */
export function isUnfinished(text: string): boolean {
  return /…|\.\.\./.test(text)
}

/** What only the numbers can say against a sentence: a group that does not see the class's results yet is not asked how sure it is. */
const SEEN_IN_OWN_TABLE: ClaimDoubt['code'][] = ['unfinished', 'wrong-number', 'names-another-winner', 'wrong-direction']

/** What of a reading against a group's own table alone is said to the group. */
export function seenInOwnTable({ doubts, right, unread }: ReadConclusion): ReadConclusion {
  return { doubts: doubts.filter(({ code }) => SEEN_IN_OWN_TABLE.includes(code)), right, unread }
}
