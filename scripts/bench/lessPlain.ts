import { drawNormal, seededRandom, type Random } from '../../core/chance'
import {
  acrossSeries,
  changesFromNothing,
  everyTable,
  evidenceOf,
  trendOf,
  weighEvidence,
  weighOrder,
  type Observation,
} from '../../core/evidence'
import { trialsByGroup } from '../../core/arrangement'
import { EMPTY_RECORD, withEachChild, withSharedThings, type LessonRecord, type Plan, type Reading } from '../../core/lesson'
import { balanceOrder, onSides, placesOf, type Weighing } from '../../core/record'
import { eachMeasure, markOf, seriesIn, withSeries } from '../../core/test'
import { counter, reading, soakUpPlan } from '../../test/soakUp'
import { withPercent, type Row, type Size } from './figures'

const SEED = 20_261_130
const MARK = 0.1

interface Claim {
  what: string
  wanted: number
  /** Does one class in which there is nothing claim something clear. */
  claims: (random: Random) => boolean
}

/** Lessons that are less plain, each with a generator of its own and nothing to be found: how often something is called clear all the same. */
export function benchLessPlain(size: Size): Row[] {
  const classes = size === 'full' ? 2000 : 20
  return CLAIMS.map(({ what, wanted, claims }, place) => {
    const random = seededRandom(SEED + place)
    const clear = Array.from({ length: classes }, () => claims(random)).filter(Boolean).length / classes
    const error = Math.sqrt((Math.max(wanted, 0.005) * (1 - wanted)) / classes)
    return {
      what: `nothing to find: ${what}`,
      figure: `clear in ${withPercent(clear)} of ${classes}`,
      wanted: `≤ ${withPercent(wanted)}`,
      reference: '',
      missed: clear > wanted + 2 * error,
    }
  })
}

const range = (count: number) => Array.from({ length: count }, (_, place) => place)

const CLAIMS: Claim[] = [
  {
    what: 'a circuit, the same one again at each station, seven groups read it',
    wanted: 0,
    claims: (random) =>
      oneSpecimen(soakUpPlan({ things: 'same', arrangement: { ...soakUpPlan().arrangement, way: 'circuit' } }), random),
  },
  {
    what: 'one for the class, everybody reads it three times',
    wanted: 0,
    claims: (random) => oneSpecimen(soakUpPlan({ things: 'class' }), random),
  },
  ...[
    ['kinds, do they differ', 'kinds', 'apart'],
    ['kinds, differently', 'kinds', 'differently'],
    ['numbers, do they differ', 'numbers', 'apart'],
    ['numbers, differently', 'numbers', 'differently'],
  ].map(([what, as, question]) => ({
    what: `two series, each group its own things: ${what}`,
    wanted: 0.06,
    claims: (random: Random) => seriesClaim(as as 'kinds' | 'numbers', question as 'apart' | 'differently', random),
  })),
  ...[2, 3].map((measures) => ({
    what: `${measures} measures on every trial, at least one clear`,
    wanted: 0.06,
    claims: (random: Random) => measuresClaim(measures, random),
  })),
  ...[3, 5, 7].map((groups) => ({
    what: `one kind of three wobbles four times as much, ${groups} groups`,
    wanted: 0.08,
    claims: (random: Random) => anythingClear(drawTable(groups, 3, (_, c) => 50 + (c === 0 ? 4 : 1) * drawNormal(random), random)),
  })),
  ...[6, 8].map((groups) => ({
    what: `that kind is missing in half of ${groups} groups`,
    wanted: 0.09,
    claims: (random: Random) =>
      anythingClear(
        drawTable(groups, 3, (_, c) => 50 + (c === 0 ? 4 : 1) * drawNormal(random), random).filter(
          ({ group, condition }) => condition !== 'c0' || Number(group.slice(1)) % 2 === 0,
        ),
      ),
  })),
  ...[4, 6].map((groups) => ({
    what: `wobble a tenth of the result, two equal ones among four told apart, ${groups} groups`,
    wanted: 0.08,
    claims: (random: Random) => {
      const means = [20, 20, 60, 60]
      const { pairs } = weigh(drawTable(groups, 4, (_, c) => means[c]! * (1 + 0.1 * drawNormal(random)), random))
      return pairs.some(({ a, b, grade }) => grade === 'clear' && means[Number(a.slice(1))] === means[Number(b.slice(1))])
    },
  })),
  ...[4, 7].map((groups) => ({
    what: `numbers, groups’ slopes differ, ${groups} groups: the line`,
    wanted: 0.06,
    claims: (random: Random) => lineClaim(groups, random),
  })),
  ...[1, 3].map((rounds) => ({
    what: `weighings in ${rounds === 1 ? 'one round' : `${rounds} rounds`} of seven groups, four things, the left pan favoured 60 to 40`,
    wanted: 0.06,
    claims: (random: Random) => leaningBalance(rounds, random),
  })),
  {
    what: 'children in fours share a thing, 24 of them',
    wanted: 0.06,
    claims: (random) => sharedThings(random),
  },
  ...(['usual', 'as many groups as conditions'] as const).map((which) => ({
    what: `everybody at one apparatus, readers two wobbles apart, ${which}`,
    wanted: 0.06,
    claims: (random: Random) => takingTurns(TURNS[which], random),
  })),
  {
    what: 'a change against nothing while the scale drifts by half a wobble, six groups',
    wanted: 0.09,
    claims: (random) => {
      const changes = range(6).flatMap((g) =>
        range(3).map((): Observation => ({ group: `g${g}`, condition: 'stone', value: 0.5 + Math.SQRT2 * drawNormal(random) })),
      )
      return changesFromNothing(changes, { resolution: MARK, totalSd: 1, differenceThatMatters: 0 }, []).some(
        ({ grade }) => grade === 'clear',
      )
    },
  },
]

/** Three readings in each cell, each group with a level and, of each condition, a thing of its own. */
function drawTable(groups: number, conditions: number, valueOf: (g: number, c: number) => number, random: Random): Observation[] {
  return range(groups).flatMap((g) => {
    const level = 1.5 * drawNormal(random)
    return range(conditions).flatMap((c) =>
      range(3).map((): Observation => ({ group: `g${g}`, condition: `c${c}`, value: level + valueOf(g, c) })),
    )
  })
}

const weigh = (observations: Observation[]) =>
  weighEvidence(observations, { resolution: MARK, totalSd: 1, differenceThatMatters: 0 })

function anythingClear(observations: Observation[]): boolean {
  const { grade, lead, pairs } = weigh(observations)
  return grade === 'clear' || lead?.grade === 'clear' || pairs.some((pair) => pair.grade === 'clear')
}

function recordOf(plan: Plan, valueOf: (group: number, condition: number) => () => number): LessonRecord {
  const readings = plan.groups.flatMap(({ id: group }, g) =>
    plan.conditions.flatMap(({ id: condition }, c): Reading[] => {
      const draw = valueOf(g, c)
      return [1, 2, 3].map((repeat) => reading({ id: `${group}-${condition}-${repeat}`, group, condition, repeat, value: draw() }))
    }),
  )
  return { ...EMPTY_RECORD, readings }
}

const SHARED = withSharedThings(
  withEachChild(soakUpPlan({ children: 24, things: 'same' }), counter('c'), () => 0.5),
  4,
)

/** Six things of each kind among 24 children, each read by four: things differ, kinds do not. */
function sharedThings(random: Random): boolean {
  const things = range(6).map(() => SHARED.conditions.map(() => 2 * drawNormal(random)))
  const levels = SHARED.groups.map(() => drawNormal(random))
  const record = recordOf(SHARED, (g, c) => () => 60 + levels[g]! + things[Math.floor(g / 4)]![c]! + drawNormal(random))
  const evidence = evidenceOf(SHARED, record)!
  return evidence.grade === 'clear' || evidence.pairs.some(({ grade }) => grade === 'clear')
}

const turnsOf = (groups: number, conditions: number, repeats: number): Plan => {
  const plan = soakUpPlan({ repeats, things: 'fresh', arrangement: { ...soakUpPlan().arrangement, way: 'together' } })
  return { ...plan, groups: plan.groups.slice(0, groups), conditions: plan.conditions.slice(0, conditions) }
}
const TURNS = { usual: turnsOf(6, 4, 3), 'as many groups as conditions': turnsOf(4, 2, 5) }

/** Fresh things at one apparatus, each group in its turns reading higher or lower than the others. */
function takingTurns(plan: Plan, random: Random): boolean {
  const levels = new Map(plan.groups.map(({ id }) => [id, 2 * drawNormal(random)]))
  const readings = [...trialsByGroup(plan)].flatMap(([group, own]) =>
    own.map(({ condition, repeat }) =>
      reading({
        id: `${group}-${condition}-${repeat}`,
        group,
        condition,
        repeat,
        value: 60 + levels.get(group)! + drawNormal(random),
      }),
    ),
  )
  const evidence = evidenceOf(plan, { ...EMPTY_RECORD, readings })!
  return evidence.grade === 'clear' || evidence.pairs.some(({ grade }) => grade === 'clear')
}

/** One real thing of each condition: it differs from its kind, and nothing differs by kind. */
function oneSpecimen(plan: Plan, random: Random): boolean {
  const things = plan.conditions.map(() => 4 * drawNormal(random))
  const levels = plan.groups.map(() => 2 * drawNormal(random))
  const evidence = evidenceOf(
    plan,
    recordOf(plan, (g, c) => () => 60 + levels[g]! + things[c]! + drawNormal(random)),
  )!
  return evidence.grade === 'clear' || evidence.lead?.grade === 'clear' || evidence.pairs.some(({ grade }) => grade === 'clear')
}

function twoSeriesOf(as: 'kinds' | 'numbers'): Plan {
  const conditions = [20, 40, 60].map((label) => ({ id: `n${label}`, label: String(label), baseline: false, leftOut: false }))
  const plan = as === 'kinds' ? soakUpPlan() : soakUpPlan({ conditionsAs: 'numbers', conditionUnit: 'cm', conditions })
  let next = 0
  return withSeries(plan, 'width', ['narrow', 'wide'], () => `s${(next += 1)}`)
}
const SERIES = { kinds: twoSeriesOf('kinds'), numbers: twoSeriesOf('numbers') }

/** Each group has things of its own: levels, series and conditions lie apart from group to group, and on average nowhere. */
function seriesClaim(as: 'kinds' | 'numbers', question: 'apart' | 'differently', random: Random): boolean {
  const plan = SERIES[as]
  const seriesOf = new Map(seriesIn(plan).flatMap(({ conditions }, s) => conditions.map((id) => [id, s])))
  const own = plan.groups.map(() => ({
    level: 3 * drawNormal(random),
    series: [2 * drawNormal(random), 2 * drawNormal(random)],
    slope: [drawNormal(random), drawNormal(random)],
  }))
  const record = recordOf(plan, (g, c) => {
    const s = seriesOf.get(plan.conditions[c]!.id) ?? 0
    const thing = drawNormal(random)
    const level = own[g]!.level + own[g]!.series[s]! + own[g]!.slope[s]! * (c % 3) + thing
    return () => 60 + level + drawNormal(random)
  })
  const across = acrossSeries(plan, record)
  return across !== undefined && 'apart' in across && across[question]?.grade === 'clear'
}

/** Things that weigh the same, on a balance that leans: each round goes on until the order is settled. */
function leaningBalance(rounds: number, random: Random): boolean {
  const things = ['a', 'b', 'c', 'd']
  const observations = range(7).flatMap((group) =>
    range(rounds).flatMap((round) => {
      const weighings: Weighing[] = []
      for (;;) {
        const { order, next, loop } = balanceOrder(things, weighings)
        if (order)
          return [...placesOf(order)].map(([condition, value]) => ({ group: `g${group}`, condition, repeat: round + 1, value }))
        const pair = next ?? ([loop[0]!.left, loop[0]!.right] as [string, string])
        const [left, right] = onSides(pair, group, round + 1)
        weighings.push({ left, right, down: random() < 0.6 ? 'left' : 'right' })
      }
    }),
  )
  const { grade, neighbours } = weighOrder(observations, 'places')
  return grade === 'clear' || neighbours.some((one) => one.grade === 'clear')
}

const first = soakUpPlan()
const MEASURED: Plan = {
  ...first,
  measures: [...first.measures, ...['second', 'third'].map((id) => ({ ...first.measures[0]!, id, name: id }))],
  unmarked: first.measured,
}

function measuresClaim(count: number, random: Random): boolean {
  const plan = { ...MEASURED, alsoMeasured: ['second', 'third'].slice(0, count - 1) }
  const records = eachMeasure(plan).map(({ measured }) => {
    const levels = plan.groups.map(() => 2 * drawNormal(random))
    const { readings } = recordOf(plan, (g) => () => 60 + levels[g]! + drawNormal(random))
    const moment = markOf(plan, measured!)
    return readings.map((one) => ({ ...one, id: `${one.id}${moment}`, moment }))
  })
  const record = { ...EMPTY_RECORD, readings: records.flat() }
  return everyTable(plan, record).some(({ evidence }) => evidence.grade === 'clear')
}

function lineClaim(groups: number, random: Random): boolean {
  const conditions = [10, 20, 30, 40].map((label) => ({ id: `n${label}`, label: String(label), baseline: false, leftOut: false }))
  const whole = soakUpPlan({ conditionsAs: 'numbers', conditionUnit: 'cm', conditions })
  const plan = { ...whole, groups: whole.groups.slice(0, groups) }
  const slopes = plan.groups.map(() => 0.8 * drawNormal(random))
  const levels = plan.groups.map(() => 3 * drawNormal(random))
  const trend = trendOf(
    plan,
    recordOf(plan, (g, c) => () => 60 + levels[g]! + slopes[g]! * c + drawNormal(random)),
  )
  return trend !== undefined && trend.pattern !== 'not-seen' && trend.pattern !== 'level'
}
