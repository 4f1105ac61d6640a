import { begunAnew, changedFactor, newFactor, type Factor, type Group, type Measure, type Plan } from '../lesson'
import { withNamedInstrument } from '../measuring'
import { unitNamed, type UnitCode } from '../quantity'
import { testOf, newMeasure } from '../test'
import { testableOf } from '../wonder'
import { groupNamed, groupsTogether, withGroupOfClass, type Member, type TogetherGroup } from './setOfLessons'

/** What the class could change, and what it could measure: every card of every lesson once, by its name. */
export interface HeapOfCards {
  /** `beside`: what could be measured in a lesson that has this card. */
  changes: { name: string; how: string; beside: string[] }[]
  measures: { name: string; tool: string; repeats: number }[]
}

/** A group's own question as it taps and types it. */
export interface OwnQuestion {
  change: string
  measure: string
  /** What it wants to try: at least two. */
  conditions: string[]
}

/** What a fair test of it takes, for a child to check. */
export interface OwnCheck {
  change: string
  conditions: string[]
  measure: string
  tool: string
  repeats: number
  /** What stays the same, and how where that was said. */
  kept: { name: string; how: string }[]
  problems: OwnProblem[]
}

export type OwnProblem = 'no-change' | 'no-measure' | 'same-card' | 'few-conditions' | 'twice'

/** Which part of the question each problem is about. */
export const OWN_PART: Record<OwnProblem, keyof OwnQuestion> = {
  'no-change': 'change',
  'no-measure': 'measure',
  'same-card': 'change',
  'few-conditions': 'conditions',
  twice: 'conditions',
}

const FEWEST_OWN = 2
export const MOST_OWN = 6

/**
 * The class's heap of cards.
 * @example cardsTogether([{ lesson: 'a', plan: soakUpPlan() }]).measures[0]!.name // => 'how high water climbs in 60 s'
 */
export function cardsTogether(members: Member[]): HeapOfCards {
  return {
    changes: distinct(
      members.flatMap(({ plan }) => plan.factors.map(({ name, how }) => ({ name, how, beside: measuredWhere(members, name) }))),
    ),
    measures: distinct(
      members.flatMap(({ plan }) => plan.measures.map(({ name, method }) => ({ name, tool: method.tool, repeats: plan.repeats }))),
    ),
  }
}

/**
 * Is it a question that this group can test: two cards, at least two things to try, nothing twice; and what a fair test of it takes.
 * @example checkOwnQuestion(cardsTogether([{ lesson: 'a', plan: soakUpPlan() }]), { change: 'the kind of paper', measure: '', conditions: [] }).problems // => ['no-measure', 'few-conditions']
 */
export function checkOwnQuestion(heap: HeapOfCards, { change, measure, conditions }: OwnQuestion): OwnCheck {
  const named = trimmed(conditions)
  const card = heap.measures.find(({ name }) => isSame(name, measure))
  const problems: OwnProblem[] = []
  if (!heap.changes.some(({ name }) => isSame(name, change))) problems.push('no-change')
  if (!card) problems.push('no-measure')
  if (change !== '' && isSame(change, measure)) problems.push('same-card')
  if (named.length < FEWEST_OWN) problems.push('few-conditions')
  if (distinct(named.map((name) => ({ name }))).length < named.length) problems.push('twice')
  return {
    ...{ change, conditions: named, measure, problems },
    tool: card?.tool ?? '',
    repeats: card?.repeats ?? 0,
    kept: heap.changes
      .filter(({ name, beside }) => !isSame(name, change) && beside.some((other) => isSame(other, measure)))
      .map(({ name, how }) => ({ name, how })),
  }
}

/**
 * The lesson in which the same is asked of the same things: the numbers count together. Undefined where it is a new question.
 * @example sameQuestion([{ lesson: 'a', plan: soakUpPlan() }], { change: 'the width', measure: 'how long', conditions: [] }) // => undefined
 */
export function sameQuestion(members: Member[], asked: OwnQuestion): string | undefined {
  return members.find(({ plan }) => asksTheSame(plan, { ...asked, conditions: trimmed(asked.conditions) }))?.lesson
}

/**
 * A lesson of its own for a group that asks its own question: the class, day, kit and cards of the lesson that is nearest to it, the group alone, what it tries.
 * @param group as it stands in any of the lessons
 * @returns undefined where the cards are not the class's
 * @example ownQuestionPlan([{ lesson: 'a', plan: soakUpPlan() }], soakUpPlan().groups[0]!, { change: 'the width', measure: 'how high water climbs in 60 s', conditions: ['1 cm', '4 cm'] }, newId)!.conditions.length // => 2
 */
export function ownQuestionPlan(members: Member[], group: Group, asked: OwnQuestion, newId: () => string): Plan | undefined {
  const base = baseFor(members, asked.change, asked.measure)?.plan
  if (!base) return undefined
  const factor = base.factors.find(({ name }) => isSame(name, asked.change)) ?? factorOf(asked.change, newId)
  const measure = base.measures.find(({ name }) => isSame(name, asked.measure)) ?? measureOf(members, asked.measure, base, newId)
  const labels = trimmed(asked.conditions)
  const known = changedFactor(base)?.id === factor.id ? base.conditions : []
  const conditions = labels.map((label) => ({
    ...(known.find((condition) => isSame(condition.label, label)) ?? { id: newId(), baseline: false }),
    label,
    leftOut: false,
  }))
  const ids = new Set(conditions.map(({ id }) => id))
  const kept = (exceptions: Record<string, string>) => Object.fromEntries(Object.entries(exceptions).filter(([id]) => ids.has(id)))
  const unit = sharedUnit(labels)
  const sameAsBefore = base.conditionsAs === 'numbers' && known.length > 0
  return {
    ...begunAnew(base),
    title: `${group.name}: ${asked.change}`.slice(0, 200),
    children: group.seats,
    groups: [{ ...group, wondering: null }],
    asked: { whose: 'teacher', chosen: null },
    factors: (base.factors.includes(factor) ? base.factors : [...base.factors, factor]).map((one) => ({
      ...one,
      exceptions: kept(one.exceptions),
    })),
    changed: factor.id,
    measures: base.measures.includes(measure) ? base.measures : [...base.measures, measure],
    measured: measure.id,
    alsoMeasured: [],
    unmarked: null,
    conditions,
    conditionsAs: unit && (!sameAsBefore || unit === base.conditionUnit) ? 'numbers' : 'kinds',
    conditionUnit: unit ?? base.conditionUnit,
    seriesFactor: null,
    series: [],
    arrangement: { ...base.arrangement, way: 'every-group' },
    // What belongs to a condition of before belongs to none of these.
    materials: base.materials.filter(({ condition }) => condition === null || ids.has(condition)),
    cautionsAcknowledged: [],
    groupNotes: {},
  }
}

/** A group of the class with the lesson in which it asks its own question; undefined while it has none. */
export interface OwnRow extends Pick<TogetherGroup, 'name' | 'shape'> {
  asks: string | undefined
}

/**
 * A row for each group of a lesson in which each asks its own question: those that still stand in the lesson itself, and those that went into their own.
 * @param members the lesson itself first
 * @example ownRows([{ lesson: 'a', plan: soakUpPlan() }])[0] // => { name: 'Alder', shape: 'circle', asks: undefined }
 */
export function ownRows(members: Member[]): OwnRow[] {
  const home = members[0]?.lesson
  return groupsTogether(members)
    .map(({ name, shape, ids }) => ({ name, shape, asks: Object.keys(ids).find((lesson) => lesson !== home) }))
    .sort((one, other) => one.name.localeCompare(other.name, undefined, { numeric: true }))
}

/**
 * Where a group goes that has its own question in a lesson; undefined while it has none.
 * @param lessons that lesson first
 * @example ownPlace([{ id: 'a', groups: ['Alder'] }, { id: 'b', groups: ['Birch'] }], 'birch')!.id // => 'b'
 */
export function ownPlace<Lesson extends { groups: string[] }>(lessons: Lesson[], name: string): Lesson | undefined {
  return lessons.slice(1).find(({ groups }) => groups.some((group) => isSame(group, name)))
}

/**
 * The cards of the wondering that was picked for a group, where the class has them.
 * @example cardsOfWondering(soakUpPlan(), 'Alder', { changes: [], measures: [] }) // => { change: '', measure: '' }
 */
export function cardsOfWondering(plan: Plan, name: string, heap: HeapOfCards): Pick<OwnQuestion, 'change' | 'measure'> {
  const picked = groupNamed(plan, name)?.wondering
  const wondering = plan.wonder.wondered.find(({ id }) => id === picked)
  if (!wondering) return { change: '', measure: '' }
  const { nearest } = testableOf(plan, wondering)
  const inHeap = (cards: { name: string }[], card: string) => (cards.some((one) => one.name === card) ? card : '')
  return { change: inHeap(heap.changes, nearest.change.name), measure: inHeap(heap.measures, nearest.measure.name) }
}

/**
 * The lesson as its class began it, for a copy or the next one: with those groups, too, that went into their own questions.
 * @example withEveryGroup(soakUpPlan(), [{ lesson: 'b', plan: soakUpPlan() }]).groups.length // => 7
 */
export function withEveryGroup(plan: Plan, parts: Member[]): Plan {
  return parts.flatMap((part) => part.plan.groups).reduce(withGroupOfClass, plan)
}

/** The unit that all of them are written in, and count for numbers where there are no units: "1 cm" and "4 cm"; undefined where they are no numbers of one kind. */
function sharedUnit(labels: string[]): UnitCode | undefined {
  const units = labels.map((label) => {
    const [, unit] = /^\d+(?:[.,]\d+)?\s*(\S*)$/.exec(label) ?? []
    return unit === undefined ? undefined : unit === '' ? 'count' : unitNamed(unit)
  })
  return units.every((unit) => unit === units[0]) ? units[0] : undefined
}

/** What is measured in lessons that have a card of this name. */
function measuredWhere(members: Member[], name: string): string[] {
  const there = members.filter(({ plan }) => plan.factors.some((factor) => isSame(factor.name, name)))
  return [...new Set(there.flatMap(({ plan }) => plan.measures.map((card) => card.name)))]
}

/** The lesson that has both cards, else the one with the thing to measure. */
function baseFor(members: Member[], change: string, measure: string): Member | undefined {
  const measuring = members.filter(({ plan }) => plan.measures.some(({ name }) => isSame(name, measure)))
  return measuring.find(({ plan }) => plan.factors.some(({ name }) => isSame(name, change))) ?? measuring[0]
}

function factorOf(name: string, newId: () => string): Factor {
  return newFactor(newId(), name)
}

/** A card of another lesson goes along with its instrument. */
function measureOf(members: Member[], name: string, base: Plan, newId: () => string): Measure {
  const there = members.flatMap(({ plan }) => plan.measures).find((card) => isSame(card.name, name))
  return there ?? withNamedInstrument(newMeasure(newId(), name), base.kind)
}

/** The same thing changed to the same conditions, and the same measured. */
function asksTheSame(plan: Plan, { change, measure, conditions }: OwnQuestion): boolean {
  const active = plan.conditions.filter(({ leftOut }) => !leftOut).map(({ label }) => label)
  return (
    isSame(changedFactor(plan)?.name ?? '', change) &&
    isSame(testOf(plan).measure?.name ?? '', measure) &&
    active.length === conditions.length &&
    conditions.every((label) => active.some((other) => isSame(label, other)))
  )
}

/** Where the group stands in any of the lessons; undefined in none. */
export function groupInAny(members: Member[], name: string): Group | undefined {
  return members.map(({ plan }) => groupNamed(plan, name)).find((group) => group !== undefined)
}

function isSame(a: string, b: string): boolean {
  return a.trim().toLowerCase() === b.trim().toLowerCase()
}

function trimmed(labels: string[]): string[] {
  return labels.map((label) => label.trim()).filter((label) => label !== '')
}

/** Each name once, those without one left out. */
function distinct<Card extends { name: string }>(cards: Card[]): Card[] {
  return cards.filter(({ name }, at) => name.trim() !== '' && cards.findIndex((other) => isSame(other.name, name)) === at)
}
