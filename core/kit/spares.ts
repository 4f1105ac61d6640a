import type { Plan } from '../lesson'
import { withoutNoise } from '../quantity'
import { needsOf, type Need } from './needs'

/** One trial in so many fails where nothing is known of the class: what was used up by it is gone. */
export const FAILED_SHARE = 1 / 25

/** Nothing should run out in so many of all classes. */
const LASTS_IN = 0.9

/** A thing that trials use up, and how many trials more than planned it lasts for. */
export interface Spare {
  material: string
  condition: string | null
  /** Trials that use it. */
  trials: number
  /** Trials that may fail before it is gone, with what the list says is to be there. */
  lasts: number
}

/** Share of this class's trials that fail: as in its last lessons, else as anybody's. */
export function failedShare({ clock: { pace } }: Pick<Plan, 'clock'>): number {
  return pace?.failed ?? FAILED_SHARE
}

/**
 * What is used up by trials, with how many of them may fail. What the cupboard has too little of is short, which is said as such; here
 * counts what the list asks for.
 * @example sparesOf(soakUpPlan()).find(({ condition }) => condition === 'card')!.trials // => 28
 */
export function sparesOf(plan: Plan): Spare[] {
  const needs = needsOf(plan)
  return plan.materials.flatMap(({ id, use, per, condition }, place) => {
    const need = needs[place]!
    if (use !== 'up' || per !== 'trial' || need.forAll || need.comesAgain) return []
    const value = valueOf(need)
    if (value === undefined || need.times === 0) return []
    return [
      {
        material: id,
        condition,
        trials: need.times,
        lasts: Math.floor(withoutNoise((need.forClass - need.times * value) / value)),
      },
    ]
  })
}

function valueOf({ amount, unit }: Need): number | undefined {
  return amount.ok && amount.unit === unit && amount.value > 0 ? amount.value : undefined
}

/**
 * In how many classes of all nothing runs out.
 * @example chanceNothingRunsOut([{ material: 'm', condition: null, trials: 10, lasts: 10 }], 0.04) // => 1
 */
export function chanceNothingRunsOut(spares: Spare[], failed: number): number {
  return byFailures(spares).reduce((chance, { trials, lasts }) => chance * atMost(trials, failed, lasts), 1)
}

/**
 * As many spares as nine classes in ten get by with: for how many failed trials each thing has to last, by its id.
 * @example sparesNeeded([{ material: 'm', condition: null, trials: 28, lasts: 0 }], 0.04).get('m') // => 2
 */
export function sparesNeeded(spares: Spare[], failed: number): Map<string, number> {
  let wanted = spares.map((spare) => ({ ...spare, lasts: 0 }))
  while (chanceNothingRunsOut(wanted, failed) < LASTS_IN) {
    const weakest = [...byFailures(wanted)].sort(
      (a, b) => atMost(a.trials, failed, a.lasts) - atMost(b.trials, failed, b.lasts),
    )[0]!
    wanted = wanted.map((one) => (one.condition === weakest.condition ? { ...one, lasts: weakest.lasts + 1 } : one))
  }
  return new Map(wanted.map(({ material, lasts }) => [material, lasts]))
}

/**
 * The plan with spares enough; what has more keeps it.
 * @example withSpares(soakUpPlan()).materials.length // => soakUpPlan().materials.length
 */
export function withSpares(plan: Plan): Plan {
  const spares = sparesOf(plan)
  const needed = sparesNeeded(spares, failedShare(plan))
  return {
    ...plan,
    materials: plan.materials.map((material) => {
      const own = spares.find((spare) => spare.material === material.id)
      const lasts = needed.get(material.id) ?? 0
      return own && lasts > own.lasts ? { ...material, spare: Math.ceil((lasts / own.trials) * 100) / 100 } : material
    }),
  }
}

/** The same trial that fails takes all that it used: what lasts least of one condition decides. */
function byFailures(spares: Spare[]): Spare[] {
  const by = new Map<string | null, Spare>()
  for (const spare of spares) {
    const known = by.get(spare.condition)
    if (!known || spare.lasts < known.lasts) by.set(spare.condition, spare)
  }
  return [...by.values()]
}

/** Chance that of so many trials at most so many fail (binomial). */
function atMost(trials: number, failed: number, most: number): number {
  if (failed >= 1) return most >= trials ? 1 : 0
  let term = (1 - failed) ** trials
  let sum = term
  for (let count = 1; count <= Math.min(most, trials); count += 1) {
    term *= ((trials - count + 1) / count) * (failed / (1 - failed))
    sum += term
  }
  return Math.min(1, sum)
}
