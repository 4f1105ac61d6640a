import type { Moment } from '../test'
import type { UnitCode } from '../quantity'

/** Which result a model is asked for. */
export interface BenchAt {
  /** The condition's id. */
  condition: string
  /** What its number is in the model's own unit, where conditions are numbers. */
  number: number | undefined
  moment: Moment
}

/** A small model of what one card in Measure would show on one set-up, and of how much that differs from trial to trial. */
export interface BenchMeasure {
  /** The unit that `truth` answers in: finishing times behind a race, masses behind a balance, places in the list behind a word. */
  unit: UnitCode
  /** What a reading would be if nothing wobbled; undefined for what the model does not know. */
  truth(at: BenchAt): number | undefined
  /** Share by which one trial differs from the next of the same thing, as a standard deviation. */
  trialShare: number
  /** What every reading wobbles besides, in `unit`: a fuzzy edge, a drop on the outside. The instrument's own marks come on top. */
  readingSd?: number
  /** Share by which one group's own thing differs from another's of the same kind. */
  thingShare?: number
  /** The same in `unit`, where it does not grow with the result. */
  thingSd?: number
  /** Share by which one group's habits shift all its results alike. */
  habitShare?: number
  /** A few trials go on for much longer than most: the share is that of a logarithm then. */
  skewed?: boolean
  /** What is counted lies about by chance (Poisson): many find none where there are few. */
  byChance?: boolean
}

/** The model behind a ready investigation. */
export interface Bench {
  /** The unit of its conditions, where they are numbers. */
  numbersIn?: UnitCode
  /** By the id of the card in Measure. */
  measures: Record<string, BenchMeasure>
}

/** A model that knows one number for each condition. */
export function byCondition(values: Record<string, number>): BenchMeasure['truth'] {
  return ({ condition }) => values[condition]
}

/** A model of a number. */
export function byNumber(formula: (number: number) => number): BenchMeasure['truth'] {
  return ({ number }) => (number === undefined ? undefined : formula(number))
}
