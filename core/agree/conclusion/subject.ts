import { activeConditions, type Plan } from '../../lesson'
import { areJoined } from './mentions'
import type { ComparingMention, ConditionMention, Span, Stretch } from './stretch'
import { CALLED_NOTHING } from './names'

export const LEFT_OUT_OF = /^\W*(?:and )?not (?:the |in |with |on )*[\p{L}\d]+(?: \p{L}+)?\W*$/u

/** "Without kitchen roll", "all but card": what is said is said of the others. */
export function isLeftAside({ from }: ConditionMention, clause: Stretch): boolean {
  return /\b(?:without|except(?: for)?|apart from|other than|besides|all but) (?:the )?$/.test(
    clause.text.slice(0, from - clause.from),
  )
}

/** The only one that is named in what follows, where that says in which case. */
export function givenIn(clauses: Stretch[]): ConditionMention | undefined {
  const named = clauses.flatMap(({ mentions }) => mentions.filter((one): one is ConditionMention => one.kind === 'condition'))
  const of = clauses.find(({ mentions }) => mentions.some(({ kind }) => kind === 'condition'))
  return named.length === 1 && of && /^\W*(?:when|if|with|through)\b/.test(of.text) ? named[0] : undefined
}

/** A clause, and who was named before it. */
export interface Spoken {
  clause: Stretch
  sentence: Stretch
  conditions: ConditionMention[]
  /** In the same sentence. */
  before: ConditionMention | undefined
  /** In this sentence or one before it. */
  earlier: ConditionMention | undefined
  /** Behind it, where the sentence names nobody before: "the most clips, 18, when there was one layer". */
  given: ConditionMention | undefined
  /** In the sentence before this one. */
  ago: ConditionMention[]
  /** The only one that the sentence before this one names. */
  sole: ConditionMention | undefined
}

/** The only one of those that were named; undefined where there are several. */
export function soleOf(named: ConditionMention[]): ConditionMention | undefined {
  return named.every(({ id }) => id === named[0]?.id) ? named[0] : undefined
}

/** "From 60 in instead of 20 in": what is compared with, though it stands first. */
export function isObject({ from }: Span, clause: Stretch): boolean {
  return /\b(?:instead of|rather than|compared (?:to|with)|unlike) (?:the |in |with |from |on )*$/.test(
    clause.text.slice(0, from - clause.from),
  )
}

/** "Wrapping it in newspaper made it louder": than with nothing. */
export function madeSo({ from, to }: ComparingMention, { text, from: begin }: Stretch, plan: Plan): ConditionMention | undefined {
  const nothing = activeConditions(plan).find(({ label }) => CALLED_NOTHING.test(label))
  return nothing && /\b(?:makes?|made) (?:it|the \p{L}+) (?:much |a little |a bit )?$/u.test(text.slice(0, from - begin))
    ? { kind: 'condition', id: nothing.id, from, to }
    : undefined
}

/** Names whom it stands before or behind without a "than". */
export function isBehind({ word }: ComparingMention): boolean {
  return /^(?:ahead|behind|beats?|in front|came)/.test(word)
}

/** "Paste held 34 s, the glue stick 14 s, so paste holds longer": than the other of the two that were named. */
export function otherOfTwo(subjects: ConditionMention[], { sentence, clause, ago }: Spoken): ConditionMention[] {
  if (subjects.length !== 1 || !DRAWN.test(clause.text)) return []
  const here = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition' && one.to <= clause.from)
  // "Bubble wrap: 124 cm, newspaper: 183 cm. So bubble wrap is better."
  const before = here.length > 0 ? here : ago
  // "In writing paper it stood at 25 mm. We are sure that tissue is higher."
  if (here.length === 0 && new Set(ago.map(({ id }) => id)).size === 1 && ago[0]!.id !== subjects[0]!.id) return ago.slice(0, 1)
  const ids = [...new Set(before.map(({ id }) => id))]
  if (ids.length !== 2 || !ids.includes(subjects[0]!.id)) return []
  return before.filter(({ id }) => id !== subjects[0]!.id).slice(0, 1)
}

/** What follows from what was said before. */
const DRAWN = /^\W*(?:and )?(?:so\b|we are (?:\p{L}+ )?sure (?:that )?)/u

/** An object with those that stand right behind it: "than in the cupboard and the window". */
export function withJoined(object: ConditionMention, conditions: ConditionMention[], clause: Stretch): ConditionMention[] {
  const next = conditions[conditions.indexOf(object) + 1]
  return next && areJoined(clause, object, next) ? [object, ...withJoined(next, conditions, clause)] : [object]
}

/** Who is meant: named nearest before the word, else behind it; else who the sentence began with. */
export function subjectOf(
  word: ComparingMention,
  conditions: ConditionMention[],
  before: ConditionMention | undefined,
  clause: Stretch,
): ConditionMention | undefined {
  const earlier = conditions.filter((one) => one.from < word.from && !isObject(one, clause)).at(-1)
  const later = conditions.find(({ from }) => from > word.from)
  if (earlier) return earlier
  // "It lifts more clips when there are six layers".
  const given =
    later && /\b(?:when|if|with)(?: there (?:are|is|were|was))?(?: the)? $/.test(clause.text.slice(0, later.from - clause.from))
  if (!word.superlative && given && !before && !clause.text.includes(' than ')) return later
  // "12 mm further in kitchen roll than in tissue".
  const than = clause.text.indexOf(' than ')
  if (!word.superlative && later && than >= 0 && later.to <= clause.from + than) return later
  return word.superlative ? (later ?? before) : before
}
