import { conditionsByGroup, trialsByGroup } from '../../core/arrangement'
import { drawNormal, seededRandom, type Random } from '../../core/chance'
import { evidenceOf } from '../../core/evidence'
import {
  activeConditions,
  EMPTY_RECORD,
  ownerOf,
  withEachChild,
  withSharedThings,
  type Plan,
  type Reading,
} from '../../core/lesson'
import { outlookOf } from '../../core/measuring'
import { comparesWithItself, momentsOf, withMethod } from '../../core/test'
import { counter, reading, soakUpPlan } from '../../test/soakUp'
import type { Row, Size } from './figures'

const SEED = 611
const MEAN_WITHIN = 0.02
const WORST_WITHIN = 0.06

/** What the adviser promises beside what simulated classes find, on random plans of every kind that it speaks of. */
export function benchAdviser(size: Size): Row[] {
  const [plans, classes] = size === 'full' ? [60, 400] : [4, 10]
  const random = seededRandom(SEED)
  const off = Array.from({ length: plans }, (_, place) => {
    const plan = randomPlan(place, random)
    const outlook = outlookOf(plan)
    if (!outlook) throw new Error(`The adviser says nothing of plan ${place}.`)
    const clear = Array.from({ length: classes }, () => isClear(plan, outlook, random)).filter(Boolean).length / classes
    return { away: outlook.clear - clear, kind: KINDS[place % KINDS.length]! }
  })
  const mean = off.reduce((sum, { away }) => sum + away, 0) / plans
  const worst = off.reduce((most, one) => (Math.abs(one.away) > Math.abs(most.away) ? one : most))
  const points = (share: number) => `${(100 * share).toFixed(1)} points`
  // Of sixty estimates the worst is off by its own sampling, too.
  const sampling = 2.5 * Math.sqrt(0.25 / classes)
  return [
    {
      what: `adviser less simulation, ${plans} random plans of ${classes} classes, on average`,
      figure: points(mean),
      wanted: `within ${points(MEAN_WITHIN)}`,
      reference: 'classes drawn with a generator of its own',
      missed: Math.abs(mean) > MEAN_WITHIN,
    },
    {
      what: 'the same, the worst of them',
      figure: `${points(worst.away)} (${worst.kind})`,
      wanted: `within ${points(WORST_WITHIN)}, and sampling`,
      reference: '',
      missed: Math.abs(worst.away) > WORST_WITHIN + sampling,
    },
  ]
}

const KINDS = [
  'fresh things',
  'the same thing again',
  'shared out',
  'at one apparatus',
  'before and after',
  'children who share',
] as const

function randomPlan(place: number, random: Random): Plan {
  const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
  const base = soakUpPlan({ repeats: between(2, 5), things: 'fresh' })
  const groups = base.groups.slice(0, between(3, 7))
  const conditions = base.conditions.slice(0, between(2, 4))
  const sized = { ...base, groups, conditions }
  const plans: Record<(typeof KINDS)[number], () => Plan> = {
    'fresh things': () => sized,
    'the same thing again': () => ({ ...sized, things: 'same' }),
    'shared out': () => ({
      ...sized,
      conditions: base.conditions,
      arrangement: { ...sized.arrangement, way: 'share-out', each: 3 },
    }),
    'at one apparatus': () => ({ ...sized, arrangement: { ...sized.arrangement, way: 'together' } }),
    'before and after': () => ({ ...sized, kind: 'before-after', conditions: conditions.slice(0, 1) }),
    'children who share': () =>
      withSharedThings(withEachChild({ ...sized, things: 'same', children: 20 }, counter('c'), random), between(2, 4)),
  }
  const plan = plans[KINDS[place % KINDS.length]!]()
  const spread = 2 + 10 * random()
  return withMethod(plan, (method) => ({ ...method, expected: {}, expectedLow: 50, expectedHigh: 50 + spread, trialWobble: 3 }))
}

/** A class as the design describes it: each thing's own height where it comes again, and every reading's wobble. */
function isClear(plan: Plan, { means, total, own }: NonNullable<ReturnType<typeof outlookOf>>, random: Random): boolean {
  const conditions = activeConditions(plan).map(({ id }) => id)
  const things = new Map<string, number>()
  const thing = (key: string) => {
    if (!things.has(key)) things.set(key, own * drawNormal(random))
    return things.get(key)!
  }
  const trials = trialsByGroup(plan)
  const readings = [...conditionsByGroup(plan).keys()].flatMap((group) => {
    const owner = ownerOf(plan, group)
    return trials.get(group)!.flatMap(({ condition, repeat }): Reading[] => {
      const at = (mean: number, key: string) => mean + thing(`${owner}/${condition}/${key}`) + total * drawNormal(random)
      if (!comparesWithItself(plan)) {
        const value = at(means[conditions.indexOf(condition)]!, '')
        return [reading({ id: `${group}${condition}${repeat}`, group, condition, repeat, value })]
      }
      return momentsOf(plan).map(({ id: moment }, half) =>
        reading({
          id: `${group}${condition}${repeat}${moment}`,
          group,
          condition,
          repeat,
          moment,
          value: at(means[half]!, moment),
        }),
      )
    })
  })
  return evidenceOf(plan, { ...EMPTY_RECORD, readings })!.grade === 'clear'
}
