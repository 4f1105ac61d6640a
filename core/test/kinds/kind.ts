import type { ArrangementWay, GraphKind, Kind, Plan, PredictAs, TrialOrder, Way } from '../../lesson'
import type { Counted } from '../counts'
import type { Moment } from '../moments'

/** How a kind orders its trials: as they are written, all of one condition before the next, or as the plan says. */
export type OrderOfKind = 'as-written' | 'blocks' | TrialOrder

/** A graph that only this kind has, and why it shows its results best. */
export interface GraphOfKind {
  best: GraphKind
  reason: 'changes' | 'same-thing-twice' | 'over-time' | 'tries'
}

/** A kind of test: everything that makes it differ from the others. What it is called stands in core/wording/kinds. */
export interface KindOfTest {
  code: Kind
  fewestConditions: number
  /** A card has to lie in the Change tray. */
  needsChange: boolean
  /** Conditions are compared with each other, so that fairness between them matters. */
  compares: boolean
  /** One thing is changed on purpose and everything else kept the same: the words for that are the class's own. */
  changesOne: boolean
  /** How its measure can be read, the usual way first. */
  ways: Way[]
  predictions: PredictAs[]
  arrangements: ArrangementWay[]
  /** More than one thing can be measured on each of its trials. */
  measuresSeveral: boolean
  /** A second thing may differ on purpose. */
  mayHaveSeries: boolean
  /** Every trial is read before and after what happens. */
  readsTwice: boolean
  /** Every trial is a jar of its own, read at times or at moments with names. */
  watches: boolean
  /** All conditions run at once and make one trial, which puts them in an order. */
  allAtOnce: boolean
  /** Each try grows from the one before and says what it changed. */
  improves: boolean
  /** A group does one trial after the other, as the clock has them. */
  oneAfterTheOther: boolean
  /** A group runs out of time for its trials when testing ends. */
  cutShort: boolean
  /** One reading of each condition says nothing. */
  needsRepeats: boolean
  order: (plan: Plan) => OrderOfKind
  /** The moments of one trial, whatever is measured. */
  moments: (plan: Plan) => Moment[]
  /** The figures that can speak for a trial of a plan in which something is measured, the usual one first. Only what is new each time `sums`: what was counted, used or gained. */
  counted: (plan: Plan, method: { isAmount: boolean; turnsInto: boolean; addsUp: boolean; sums: boolean }) => Counted[]
  graph: (plan: Plan) => GraphOfKind | undefined
}

/** A trial that is read once has the empty moment only. */
export const ONCE: Moment[] = [{ id: '', half: undefined, time: undefined, place: undefined }]

/** What most kinds have in common; each says what it has of its own. */
export const USUAL = {
  fewestConditions: 2,
  needsChange: true,
  compares: true,
  changesOne: false,
  arrangements: ['every-group', 'share-out', 'circuit', 'together'],
  measuresSeveral: true,
  mayHaveSeries: true,
  readsTwice: false,
  watches: false,
  allAtOnce: false,
  improves: false,
  oneAfterTheOther: false,
  cutShort: true,
  needsRepeats: true,
  order: ({ arrangement }) => arrangement.order,
  moments: () => ONCE,
  counted: () => ['reading'],
  graph: () => undefined,
} satisfies Partial<KindOfTest>
