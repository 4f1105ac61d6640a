import type { Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { momentsOf } from '../../test'
import { areJoined } from './mentions'
import type { ComparingMention, ConditionMention, PlaceMention, Span, Stretch } from './stretch'
import { placesOf, type Judged } from './order'

/** Which of two places has more, said of some conditions. */
export interface PlaceClaim {
  /** The first place of the plan has more. */
  firstHasMore: boolean
}

/**
 * "The ceiling was warmer than the floor": the difference between two places against none at all, in the conditions that are named, or in all of them.
 * @param earlier what a clause before said of places, which "the other way round" turns round
 * @returns undefined where the clause does not compare places
 */
export function readPlaces(
  clause: Stretch,
  of: ConditionMention[],
  earlier: PlaceClaim | undefined,
  evidence: Evidence,
  hedged: boolean,
): { claim: PlaceClaim; judged: Judged[] } | undefined {
  const places = clause.mentions.filter((one): one is PlaceMention => one.kind === 'place')
  const word = clause.mentions.find((one): one is ComparingMention => one.kind === 'comparing' && !one.superlative)
  const turned = /\b(?:the )?other way (?:round|around)\b|\bopposite\b/.exec(clause.text)
  // "Warmer at the floor than at the ceiling".
  const [first, second] = places
  const than =
    first && second && /\bthan\b/.test(clause.text.slice(first.to - clause.from, second.from - clause.from)) ? first : undefined
  const near =
    first &&
    !second &&
    word &&
    /^ (?:at|on|near|by|under) the $/.test(clause.text.slice(word.to - clause.from, first.from - clause.from))
  const subject = word && (places.findLast(({ to }) => to <= word.from) ?? than ?? (near ? first : undefined))
  const span = turned && { from: clause.from + turned.index, to: clause.from + turned.index + turned[0].length }
  let claim: PlaceClaim
  if (turned && earlier && places.length === 0) claim = { firstHasMore: !earlier.firstHasMore }
  else if (word && subject) claim = { firstHasMore: (subject.place === 0) === (word.side === 'more') }
  else return undefined
  const at: Span[] = placesOf(...of, ...(span ? [span] : []), ...(word ? [word] : []), ...places)
  // "Warmer than the attic's floor", said of the hall: two rooms are compared, and not two places of one.
  const apart = of.some((one, place) => of[place + 1] && !areJoined(clause, one, of[place + 1]!))
  if (apart) return { claim, judged: [] }
  const ids = of.map(({ id }) => id)
  const meant = evidence.fromNothing.filter(({ condition }) => ids.length === 0 || ids.includes(condition))
  if (meant.length === 0) return { claim, judged: [] }
  const wrong = meant.some(({ mean, grade }) => mean > 0 !== claim.firstHasMore && (grade === 'clear' || grade === 'leaning'))
  if (wrong) return { claim, judged: [{ code: 'wrong-direction', named: undefined, at }] }
  const unsure = meant.find(({ mean, grade }) => mean > 0 !== claim.firstHasMore || grade !== 'clear')
  if (unsure)
    return { claim, judged: hedged ? [] : [{ code: 'claims-too-much', grade: unsure.grade, words: [word?.word ?? 'more'], at }] }
  return { claim, judged: [{ code: 'right', at }] }
}

/**
 * What the table has for a figure that is said of a place, or of the difference between two.
 * @param of the conditions that it may be said of
 * @returns undefined where the clause names no place
 */
export function averagesAtPlace(
  figure: Span,
  clause: Stretch,
  of: string[],
  plan: Plan,
  evidence: Evidence,
): { averages: number[]; at: Span[] } | undefined {
  const places = clause.mentions.filter((one): one is PlaceMention => one.kind === 'place')
  const own = places.findLast(({ to }) => to <= figure.from) ?? places.find(({ from }) => from >= figure.to)
  if (!own) return undefined
  const apart =
    clause.mentions.some((one) => one.kind === 'comparing' && !one.superlative) ||
    /\bdifferen/.test(clause.text) ||
    (new Set(places.map(({ place }) => place)).size === 2 && /\bbetween\b/.test(clause.text))
  if (apart) {
    const differences = evidence.summaries.filter(({ condition }) => of.length === 0 || of.includes(condition))
    return { averages: differences.map(({ evened }) => evened), at: [] }
  }
  const moment = momentsOf(plan)[own.place]?.id
  const read = evidence.atPlaces.filter((one) => one.moment === moment && of.includes(one.condition))
  return { averages: read.map(({ average }) => average), at: placesOf(own) }
}
