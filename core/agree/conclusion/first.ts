import type { Evidence } from '../../evidence'
import { changedFactor, isWordOf, type Plan } from '../../lesson'
import { NUMBER_WORDS, numberOf } from '../../quantity'
import { hasDegree } from './degree'
import type { ComparingMention, ConditionMention, Span, Stretch } from './stretch'
import { thingsOf } from './names'
import { type Claim, type Judged, judgeSuperlative, placesOf } from './order'

export const THAN_ALL =
  /\bthan (?:(?:in|with|from|on|for) )?(?:(?:any|all|every|each)(?: of)?(?: the| our)? (?:others?|rest)|the (?:others|rest|other (?:two|three|four|five)))\b/

export const OF_READINGS_ITSELF = /^ (?:reading|value|number|result|measurement)s?\b/

/** "The lowest reading of kitchen roll was 56 mm": of its own readings, and not of all conditions. */
export function ofReadings(word: ComparingMention, { id }: ConditionMention, clause: Stretch, { summaries }: Evidence): Judged[] {
  const summary = summaries.find(({ condition }) => condition === id)
  const figure = clause.mentions.find((one) => one.kind === 'figure')
  if (!summary || figure?.kind !== 'figure') return []
  return figure.value === (word.side === 'more' ? summary.highest : summary.lowest) ? [{ code: 'right', at: placesOf(word) }] : []
}

/** "Our highest reading was 65 mm, in kitchen roll": of all that were read. */
export function ofAllReadings(word: ComparingMention, { mentions }: Stretch, { summaries }: Evidence): Judged[] {
  const figure = mentions.find((one) => one.kind === 'figure')
  const named = mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  if (figure?.kind !== 'figure' || named.length > 1) return []
  const endOf = ({ highest, lowest }: (typeof summaries)[number]) => (word.side === 'more' ? highest : lowest)
  const ends = summaries.map(endOf)
  const end = word.side === 'more' ? Math.max(...ends) : Math.min(...ends)
  const whose = summaries.filter((one) => endOf(one) === end).map(({ condition }) => condition)
  return figure.value === end && named.every(({ id }) => whose.includes(id))
    ? [{ code: 'right', at: placesOf(word, ...named) }]
    : []
}

/** "Of the three wrappings the scarf is best". */
const OF_THE_THINGS = new RegExp(`^\\W*of (?:the |our |all )*(?:(${NUMBER_WORDS.join('|')}) )?(\\p{L}{3,}) `, 'u')

/** "The worst wrapping": what is called nothing is none of them. */
export function amongThings(word: ComparingMention, clause: Stretch, sentence: string, plan: Plan, evidence: Evidence): Evidence {
  const after = clause.text.slice(word.to - clause.from)
  const [, many, ofAll] = OF_THE_THINGS.exec(sentence) ?? /^ of (?:the |our |all )*(?:(\p{L}+) )?(\p{L}{3,})/u.exec(after) ?? []
  const noun = ofAll ?? /^\s+(\p{L}{3,})/u.exec(after)?.[1]
  if (noun === undefined || !isWordOf(noun, changedFactor(plan)?.name ?? '')) return evidence
  // "The worst of the four wrappings", where nothing is one of them.
  if (many !== undefined && numberOf(many) === evidence.order.length) return evidence
  const things = thingsOf(plan).map(({ id }) => id)
  return { ...evidence, order: evidence.order.filter((id) => things.includes(id)) }
}

/** First of all, with the words that say so: "than any other paper", "by far". */
export function judgeFirst(
  claim: Claim,
  toAll: RegExpExecArray | null,
  clause: Stretch,
  evidence: Evidence,
  hedged: boolean,
): Judged[] {
  const judged = judgeSuperlative(claim, evidence, hedged)
  if (judged[0]?.code !== 'right') return judged
  const { word, subject } = claim
  const at: Span[] = toAll ? [{ from: word.to + toAll.index, to: word.to + toAll.index + toAll[0].length }] : []
  const place = evidence.order.indexOf(subject.id)
  const next = evidence.order[place === 0 ? 1 : place - 1]
  const far = BY_FAR.exec(clause.text)
  if (far && next !== undefined && hasDegree(true, subject.id, next, evidence))
    at.push({ from: clause.from + far.index, to: clause.from + far.index + far[0].length })
  return at.length > 0 ? [...judged, { code: 'right', at }] : judged
}

const BY_FAR = /\bby far\b/
