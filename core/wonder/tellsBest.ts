import { fitOf } from '../clock'
import { type Measure, type Plan } from '../lesson'
import { predictionsFor, readBy, withKind, testOf, withMethod, kindOf } from '../test'
import { methodTotalSd, outlookOf } from '../measuring'

/** A measure that could tell what is best, with what it would take and show. */
export interface Telling {
  measure: Measure
  /** Side by side, who is first: in place of a time that each trial takes. */
  race: boolean
  /** The plan with this measure chosen. */
  plan: Plan
  /** All the wobble of one result, in the unit of the measure; undefined where only an order or a word is read. */
  wobble: number | undefined
  /** How likely it comes out clear; undefined until somebody has guessed the lowest and the highest result. */
  clear: number | undefined
  /** The whole lesson, in minutes. */
  minutes: number
}

/** Words of a wondering that leave open what is meant: the best paper may be the fastest, the strongest or the cheapest. */
const BEST = /\b(?:best|better|worst|worse|good|works?)\b/i

/** The question that the class chose leaves open what is best. */
export function asksForBest({ asked, wonder }: Plan): boolean {
  const chosen = wonder.wondered.find(({ id }) => id === asked.chosen)
  return chosen !== undefined && BEST.test(chosen.text)
}

/**
 * The measure cards that could tell what is best, side by side: how much each wobbles, how likely it comes out clear, and how long it takes. What takes time
 * can be raced, too. Empty for other kinds of test.
 * @example tellingsOf(soakUpPlan()).map(({ measure, race }) => [measure.name, race]) // => [['how high water climbs in 60 s', false]]
 */
export function tellingsOf(plan: Plan): Telling[] {
  if (!kindOf(plan).changesOne) return []
  return plan.measures
    .filter(({ name }) => name.trim() !== '')
    .flatMap((measure) => {
      const chosen: Plan = { ...plan, measured: measure.id }
      return canBeRaced(chosen)
        ? [telling(chosen, measure, false), telling(raced(chosen), measure, true)]
        : [telling(chosen, measure, false)]
    })
}

function telling(plan: Plan, measure: Measure, race: boolean): Telling {
  const { amount } = testOf(plan)
  return {
    measure,
    race,
    plan,
    wobble: amount ? methodTotalSd(plan, amount) : undefined,
    clear: outlookOf(plan)?.clear,
    minutes: fitOf(plan).needed,
  }
}

/** A time of each trial is also an order of finishing, where two conditions or more can start at once. */
function canBeRaced(plan: Plan): boolean {
  const { amount } = testOf(plan)
  return amount?.unit === 's' && predictionsFor(plan).includes('order')
}

function raced(plan: Plan): Plan {
  return withMethod(withKind(plan, 'order'), (method) => readBy(method, 'race'))
}
