import { seededRandom, type Random } from '../chance'
import {
  emptyPlan,
  isEachChild,
  newMaterial,
  splitIntoGroups,
  newFactor,
  usualGroups,
  withRecords,
  type Age,
  type Condition,
  type Factor,
  type Material,
  type Measure,
  type OnTheCard,
  type Plan,
} from '../lesson'
import { newMeasure, withMethodOn, type ResolvedMethod } from './ways'

/** What a teacher should know who gives this lesson for the first time. */
export interface Teaching {
  /** What is going on, in a few lines. */
  goingOn: string[]
  /** What children often think. */
  thinking: string[]
  /** What usually goes wrong. */
  goesWrong: string[]
  /** Questions to ask. */
  questions: string[]
  /** Easier and harder, by age. */
  versions: { age: Age; text: string }[]
  words: { word: string; meaning: string }[]
  /** A set-up that is unfair and that classes fall for; without exceptions where no single condition differs. */
  tempting: { factor: string; exceptions: Record<string, string>; why: string } | null
}

/** The part of a plan that does not belong to one class on one day. */
export type PlanForAll = Omit<Plan, 'className' | 'children' | 'groups' | 'date' | 'notes'>

/** A lesson to begin from: a ready investigation, or a lesson that a teacher kept for this. */
export interface StartingPoint extends OnTheCard {
  plan: PlanForAll
  teaching: Teaching
}

type Some<T, Needed extends keyof T> = Pick<T, Needed> & Partial<T>

/** A plan in short: whatever an empty lesson has may be missing. */
export interface PlanInShort extends Partial<
  Omit<PlanForAll, 'factors' | 'measures' | 'conditions' | 'materials' | 'clock' | 'watch' | 'wonder' | 'arrangement'>
> {
  factors?: Some<Factor, 'id' | 'name'>[]
  measures?: (Pick<Measure, 'id' | 'name'> & { method: Partial<ResolvedMethod> })[]
  conditions?: Some<Condition, 'id' | 'label'>[]
  materials?: Some<Material, 'id' | 'name'>[]
  clock?: Partial<PlanForAll['clock']>
  watch?: Partial<PlanForAll['watch']>
  wonder?: Partial<PlanForAll['wonder']>
  arrangement?: Partial<PlanForAll['arrangement']>
}

export const NO_TEACHING: Teaching = {
  goingOn: [],
  thinking: [],
  goesWrong: [],
  questions: [],
  versions: [],
  words: [],
  tempting: null,
}

/**
 * A plan in short with what an empty lesson has wherever nothing is said.
 * @example wholePlan({ title: 'Swing time', conditions: [{ id: 'n20', label: '20' }] }).conditions[0].leftOut // => false
 */
export function wholePlan(short: PlanInShort): PlanForAll {
  const {
    className: _class,
    children: _children,
    groups: _groups,
    date: _date,
    notes: _notes,
    ...empty
  } = emptyPlan('', 0, () => '')
  return {
    ...empty,
    ...short,
    factors: (short.factors ?? []).map((factor) => ({ ...newFactor(factor.id, factor.name), ...factor })),
    measures: (short.measures ?? []).map(({ id, name, method }) => ({
      ...withMethodOn(newMeasure(id, name), (empty) => ({ ...empty, ...method })),
      otherWays: [],
    })),
    conditions: (short.conditions ?? []).map((condition) => ({ baseline: false, leftOut: false, ...condition })),
    materials: (short.materials ?? []).map((material) => ({
      ...newMaterial(material.id, material.name),
      perSaid: true,
      ...material,
    })),
    clock: { ...empty.clock, ...short.clock },
    watch: { ...empty.watch, ...short.watch },
    wonder: { ...empty.wonder, ...short.wonder },
    arrangement: { ...empty.arrangement, ...short.arrangement },
  }
}

/**
 * A plan for this class from a lesson to begin from: in groups, or with a record for each child.
 * @param random for the children's codes: whoever keeps the plan gives what nobody can guess; without it they are good for a look only
 */
export function planFrom(
  { plan }: Pick<StartingPoint, 'plan'>,
  className: string,
  children: number,
  newId: () => string,
  random: Random = seededRandom(children),
): Plan {
  const forClass = { ...structuredClone(plan), className, children, date: '', notes: '', groups: [] }
  if (isEachChild(forClass)) return withRecords(forClass, children, newId, random)
  return { ...forClass, groups: splitIntoGroups(children, usualGroups(children), newId) }
}

/**
 * What can be kept of a lesson for others to begin from: no class, no day, no notes, nothing that children said, no pictures.
 * @example planForAll(soakUpPlan()).wonder.noticed // => []
 */
export function planForAll(plan: Plan): PlanForAll {
  const { className: _class, children: _children, groups: _groups, date: _date, notes: _notes, ...rest } = structuredClone(plan)
  return {
    ...rest,
    wonder: { ...rest.wonder, pictures: [], noticed: [], maybe: [], wondered: [], takenAway: [] },
    asked: { ...rest.asked, chosen: null },
    measures: rest.measures.map((measure) => ({
      ...withMethodOn(measure, (method) => ({ ...method, wordPictures: {}, warmUp: [], empties: {} })),
      otherWays: [],
    })),
    materials: rest.materials.map((material) => ({ ...material, thing: null, toBuy: false })),
    cautionsAcknowledged: [],
    cautionsNotHere: {},
    ownCautions: rest.ownCautions.map((caution) => ({ ...caution, acknowledged: false })),
    clock: { ...rest.clock, start: '', pace: null },
    gapsStay: false,
    retests: [],
    notDone: [],
    groupNotes: {},
    begunIn: rest.schemaVersion,
  }
}
