import { mean, rootMeanSquare, sampleStandardDeviation } from 'simple-statistics'
import { seededRandom } from '../chance'
import { activeConditions, type Plan, type Reading } from '../lesson'
import { momentsOf, testOf } from '../test'
import { trialResults } from '../record'
import { madeUpRow } from './drawReadings'
import { benchModel, readOff } from './model'

const TRIALS = 400
const SEED = 11
const GROUP = 'bench'

/**
 * What the bench of the plan's investigation expects of every condition, from 400 seeded trials each, and how far its trials
 * wobble (in squares over the conditions, as the evidence pools them), its instrument included.
 * @returns undefined when the plan has no bench, or one that does not know all its conditions
 * @example benchFigures(soakUpPlan())!.expected.card // => 14
 */
export function benchFigures(plan: Plan): { expected: Record<string, number>; sd: number } | undefined {
  const model = benchModel(plan)
  const { method, way } = testOf(plan)
  if (!model || !method) return undefined
  const random = seededRandom(SEED)
  const bench = { ...plan, repeats: TRIALS, groups: [{ ...plan.groups[0]!, id: GROUP }] }
  const moments = momentsOf(plan)
  const read = readOff(method)
  const drawn = activeConditions(plan).map(({ id: condition }) => {
    const trials = Array.from({ length: TRIALS }, () => model.draw(condition, { habit: 0, thing: 0 }, random))
    if (!way.isAmount) return { condition, values: trials.map(([value]) => value!) }
    const readings = trials.flatMap((shown, trial) =>
      moments.map(({ id: moment }, at): Reading => {
        const value = read(shown[at]!, random)
        return {
          ...madeUpRow({ group: GROUP, condition, repeat: trial + 1, moment }, value, method.unit),
          id: `${trial}/${at}`,
          at: '',
        }
      }),
    )
    return { condition, values: trialResults(bench, readings).map(({ value }) => value) }
  })
  return {
    expected: Object.fromEntries(drawn.map(({ condition, values }) => [condition, Number(mean(values).toPrecision(3))])),
    sd: rootMeanSquare(drawn.map(({ values }) => sampleStandardDeviation(values))),
  }
}
