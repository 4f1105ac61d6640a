import type { Plan } from './plan'

/** One place of a plan that two people changed differently. Steps are names of fields and ids in lists. */
export interface Clash {
  path: string[]
  mine: unknown
  theirs: unknown
}

export interface Merged {
  /** With both people's changes; where they clash, with mine. */
  plan: Plan
  clashes: Clash[]
}

/**
 * Two plans that grew out of the same one, as one plan. A field that only one side changed is taken from there. Lists of cards are
 * merged card by card: what one side added is added, what one side took away goes, unless the other side changed it meanwhile.
 * @param base what both began with
 * @example mergePlans(plan, { ...plan, title: 'Strips' }, { ...plan, repeats: 4 })
 *   // => { plan: { ...plan, title: 'Strips', repeats: 4 }, clashes: [] }
 */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan): Merged {
  const clashes: Clash[] = []
  const plan = merge(base, mine, theirs, []) as Plan
  return { plan, clashes }

  function merge(old: unknown, own: unknown, other: unknown, path: string[]): unknown {
    if (same(own, other) || same(old, other)) return own
    if (same(old, own)) return other
    if (isCards(old) && isCards(own) && isCards(other)) return mergeCards(old, own, other, path)
    if (isWords(old) && isWords(own) && isWords(other)) return mergeWords(old, own, other)
    if (isFields(old) && isFields(own) && isFields(other)) return mergeFields(old, own, other, path)
    clashes.push({ path, mine: own, theirs: other })
    return own
  }

  function mergeFields(old: Fields, own: Fields, other: Fields, path: string[]): Fields {
    const names = [...new Set([...Object.keys(own), ...Object.keys(other)])]
    const merged = names.map((name) => [name, merge(old[name], own[name], other[name], [...path, name])] as const)
    return Object.fromEntries(merged.filter(([, value]) => value !== undefined))
  }

  function mergeCards(old: Card[], own: Card[], other: Card[], path: string[]): Card[] {
    const before = byId(old)
    const theirs = byId(other)
    const mine = byId(own)
    const ids = [...own.map(({ id }) => id), ...other.map(({ id }) => id).filter((id) => !mine.has(id))]
    return ids.flatMap((id) => {
      const [was, ownCard, otherCard] = [before.get(id), mine.get(id), theirs.get(id)]
      if (ownCard && otherCard) return [merge(was ?? {}, ownCard, otherCard, [...path, id]) as Card]
      const left = (ownCard ?? otherCard)!
      return was && same(was, left) ? [] : [left]
    })
  }
}

/** The plan with another value at a clash. */
export function withClashAs(plan: Plan, { path }: Clash, value: unknown): Plan {
  return put(plan, path, value) as Plan
}

type Fields = Record<string, unknown>
type Card = Fields & { id: string }

function put(within: unknown, [step, ...rest]: string[], value: unknown): unknown {
  if (step === undefined) return value
  if (Array.isArray(within)) return within.map((card: Card) => (card.id === step ? put(card, rest, value) : card))
  return { ...(within as Fields), [step]: put((within as Fields)[step], rest, value) }
}

/** What one side added to a list of words is added, what one side took away goes. */
function mergeWords(old: unknown[], own: unknown[], other: unknown[]): unknown[] {
  const kept = own.filter((word) => other.includes(word) || !old.includes(word))
  return [...kept, ...other.filter((word) => !own.includes(word) && !old.includes(word))]
}

function byId(cards: Card[]): Map<string, Card> {
  return new Map(cards.map((card) => [card.id, card]))
}

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function isCards(value: unknown): value is Card[] {
  return Array.isArray(value) && value.every((one) => isFields(one) && typeof one.id === 'string')
}

function isWords(value: unknown): value is unknown[] {
  return Array.isArray(value) && value.every((one) => typeof one === 'string' || typeof one === 'number')
}

/** Do two plans say the same? */
export const samePlan = (a: Plan, b: Plan): boolean => same(a, b)

function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((one, place) => same(one, b[place]))
  if (!isFields(a) || !isFields(b)) return false
  const names = Object.keys(a)
  return names.length === Object.keys(b).length && names.every((name) => name in b && same(a[name], b[name]))
}
