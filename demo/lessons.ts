import { seededRandom } from '../core/chance'
import { dayAfter } from '../core/clock'
import { drawDish, drawGroupHabit, simulateSoakUp, simulateSprout, SOAK_UP_BENCH, SPROUT_BENCH } from '../core/benches'
import {
  EMPTY_RECORD,
  newRemark,
  type Conclusion,
  type LessonRecord,
  type Observation,
  type Plan,
  type Prediction,
  type Reading,
} from '../core/lesson'
import { INVESTIGATIONS } from '../schemas/investigations'
import { planFrom } from '../core/test'

export interface DemoLesson {
  plan: Plan
  record: LessonRecord
}

const SEED = 26
/** What each group thinks: its order, and why. */
const PREDICTIONS: [order: string[], reason: string][] = [
  [['kitchen-roll', 'tissue', 'writing-paper', 'card'], 'kitchen roll is made for wiping up'],
  [['tissue', 'kitchen-roll', 'writing-paper', 'card'], 'thin paper lets water through'],
  [['kitchen-roll', 'tissue', 'card', 'writing-paper'], 'it has tiny holes'],
  [['tissue', 'kitchen-roll', 'card', 'writing-paper'], 'soft paper feels thirsty'],
  [['kitchen-roll', 'card', 'tissue', 'writing-paper'], 'it is the fluffiest'],
  [['card', 'kitchen-roll', 'tissue', 'writing-paper'], 'card is thick so it holds more'],
  [['kitchen-roll', 'tissue', 'writing-paper', 'card'], 'we saw it with a spill at home'],
]

/** What some groups saw, by their place. */
const SEEN = [
  { group: 2, condition: 'tissue', text: 'the wet edge looks like a wave, we measure at the middle' },
  { group: 3, condition: 'writing-paper', text: 'the strip bent over and touched the side' },
  { group: 6, condition: 'card', text: 'the card has fluff at the cut edge' },
]
/** What some groups offer as the class's sentence. */
const SAID = [
  { group: 0, text: 'Kitchen roll came first with 65 mm, card last with 15 mm.', hands: 12 },
  { group: 2, text: 'Kitchen roll definitely wins due to its tiny holes.', hands: null },
  { group: 6, text: 'We found that soft papers came out highest on average, and all our repeats agree.', hands: 7 },
]

/**
 * The demo class Puffin: one lesson nearly finished, with a slip, an odd reading set aside and a gap, and one half planned
 * with an unfair set-up, one that goes on over days and lacks its last reading. Readings are drawn from the simulated bench, always the same ones.
 * @param today `YYYY-MM-DD`; the finished lesson lies on it, the half planned one a week later
 */
export function demoLessons(today: string, newId: () => string): DemoLesson[] {
  return [soakedThrough(today, newId), halfPlanned(dayAfter(today, 7), newId), sprouting(dayAfter(today, -7), newId)]
}

function soakedThrough(date: string, newId: () => string): DemoLesson {
  const base = puffinPlan(newId)
  const plan: Plan = {
    ...base,
    date,
    notes: 'Elm needs the ruler with the clear marks. Ask Gorse to explain how they kept the strip straight.',
    wonder: {
      ...base.wonder,
      noticed: remarks(newId, 'the water climbs up by itself', 'the edge is wavy', 'it gets slower after a while'),
      maybe: remarks(newId, 'maybe the paper is hungry for water', 'maybe there are little pipes in it'),
      wondered: remarks(newId, 'does every paper do it?', 'which one goes highest?', 'does it work with warm water?'),
    },
    materials: base.materials.map((material) =>
      material.id === 'card-strips' ? { ...material, stock: '26', pack: '10' } : material,
    ),
    cautionsAcknowledged: ['spill', 'blade'],
    clock: { ...base.clock, start: '10:30' },
  }
  const random = seededRandom(SEED)
  const clock = clockFrom(`${date}T10:55:00.000Z`)
  const predictions = plan.groups.map((group, place): Prediction => ({
    id: newId(),
    group: group.id,
    as: 'order',
    order: PREDICTIONS[place]![0],
    values: {},
    reason: PREDICTIONS[place]![1],
    late: false,
    measure: null,
    by: 'station',
    at: clock(),
  }))
  const readings = drawReadings(plan, random, clock, newId)
  const observations = SEEN.map(({ group, condition, text }): Observation => {
    const place = { group: plan.groups[group]!.id, condition, repeat: 2 }
    return { ...place, id: newId(), kind: 'words', text, picture: null, by: 'station', at: clock() }
  })
  const conclusions = SAID.map(({ group, text, hands }): Conclusion => {
    const stamp = { from: null, hands, agreed: false, by: 'station' as const, at: clock() }
    return { id: newId(), group: plan.groups[group]!.id, text, ...stamp }
  })
  return { plan, record: { ...EMPTY_RECORD, readings, predictions, observations, conclusions } }
}

function halfPlanned(date: string, newId: () => string): DemoLesson {
  const base = puffinPlan(newId)
  const plan: Plan = {
    ...base,
    title: 'Soak-up strips, a second look',
    date,
    investigation: 'soak-up-strips',
    wonder: { ...base.wonder, wondered: remarks(newId, 'was our wide strip thirstier because it was wide?') },
    factors: base.factors.map((factor) => {
      if (factor.id === 'width') return { ...factor, how: '2 cm', exceptions: { 'kitchen-roll': '3 cm' } }
      return factor.id === 'water' ? { ...factor, how: '' } : factor
    }),
    repeats: 1,
    materials: base.materials
      .slice(0, 6)
      .map((material) => (material.id === 'card-strips' ? { ...material, stock: '12', pack: '10' } : material)),
    clock: { ...base.clock, start: '10:30', minutes: 60 },
  }
  return { plan, record: EMPTY_RECORD }
}

/** Cress in five places, a week after it was sown: four readings of five, and what some groups said at their stations. */
function sprouting(date: string, newId: () => string): DemoLesson {
  const base = planFrom(INVESTIGATIONS['sprout-watch']!, 'Puffin', 26, newId)
  const [alder, birch, cedar] = base.groups
  const plan: Plan = {
    ...base,
    date,
    wonder: {
      ...base.wonder,
      noticed: remarks(newId, 'the one in the dark is pale and long'),
      wondered: remarks(newId, 'does the place matter?', 'why is it yellow in the dark?', 'would it grow without water?'),
    },
    cautionsAcknowledged: ['spill', 'soil'],
    clock: { ...base.clock, start: '09:15' },
  }
  const chosen = plan.wonder.wondered[0]!.id
  const random = seededRandom(SEED)
  const readings = plan.groups.flatMap((group) =>
    plan.conditions.flatMap((condition) => {
      const dish = drawDish(SPROUT_BENCH, random)
      return plan.watch.times.slice(0, -1).map((day): Reading => {
        const value = simulateSprout(SPROUT_BENCH, condition.id, day, dish, random) ?? 0
        const place = { group: group.id, condition: condition.id, repeat: 1, moment: `t${day}`, practice: false }
        const at = `${dayAfter(date, day)}T09:40:00.000Z`
        return { ...empty, ...place, id: newId(), value, entered: String(value), by: 'station', at }
      })
    }),
  )
  const said = [
    [alder!, 'noticed', 'the leaves all point to the window'],
    [birch!, 'maybe', 'maybe it stretches to find the light'],
    [cedar!, 'wondered', 'does the fridge stop it or only slow it down?'],
  ] as const
  return {
    plan: { ...plan, asked: { whose: 'class', chosen } },
    record: {
      ...EMPTY_RECORD,
      readings,
      predictions: plan.groups.map((group, place): Prediction => ({
        id: newId(),
        group: group.id,
        as: 'order',
        order: SPROUT_PREDICTIONS[place % SPROUT_PREDICTIONS.length]!,
        values: {},
        reason: place % 2 === 0 ? 'plants need light' : '',
        late: false,
        measure: null,
        by: 'desk',
        at: `${date}T09:30:00.000Z`,
      })),
      remarks: said.map(([group, list, text]) => ({ id: newId(), group: group.id, list, text, at: `${date}T09:20:00.000Z` })),
    },
  }
}

const SPROUT_PREDICTIONS = [
  ['sill', 'shelf', 'outside', 'cupboard', 'fridge'],
  ['sill', 'outside', 'shelf', 'cupboard', 'fridge'],
  ['shelf', 'sill', 'outside', 'fridge', 'cupboard'],
]

function puffinPlan(newId: () => string): Plan {
  return planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 26, newId)
}

/** Every group's readings in the order a lesson brings them, with the three things that go wrong in every class. */
function drawReadings(plan: Plan, random: () => number, clock: () => string, newId: () => string): Reading[] {
  const readings: Reading[] = []
  const write = (reading: Omit<Reading, 'id' | 'at' | 'by'>) =>
    readings.push({ ...reading, id: newId(), by: 'station', at: clock() })
  const habits = plan.groups.map(() => drawGroupHabit(SOAK_UP_BENCH, random))
  const [, birch, , dogwood, , fir] = plan.groups
  for (let repeat = 0; repeat <= plan.repeats; repeat += 1) {
    for (const condition of plan.conditions) {
      if (repeat === 0 && condition.id !== 'tissue') continue
      for (const [place, group] of plan.groups.entries()) {
        const value = simulateSoakUp(SOAK_UP_BENCH, condition.id, habits[place]!, random)
        const row = {
          ...empty,
          group: group.id,
          condition: condition.id,
          repeat: Math.max(1, repeat),
          moment: '',
          practice: repeat === 0,
          value,
          entered: `${value}`,
        }
        const is = (other: typeof group | undefined, id: string, which: number) =>
          group === other && condition.id === id && repeat === which
        if (is(fir, 'card', 3)) continue
        if (is(birch, 'kitchen-roll', 2)) write({ ...row, value: value / 10, entered: `${value / 10}` })
        else if (is(dogwood, 'writing-paper', 3)) {
          write({ ...row, value: value + 34, entered: `${value + 34}` })
          const first = readings.at(-1)!
          write({
            ...row,
            value: first.value,
            entered: first.entered,
            status: 'set-aside',
            reason: 'it touched the side',
            supersedes: first.id,
          })
          write(row)
        } else write(row)
      }
    }
  }
  return readings
}

const empty = { unit: 'mm', status: 'kept', reason: '', confirmed: false, supersedes: null } as const

function remarks(newId: () => string, ...texts: string[]) {
  return texts.map((text) => newRemark(newId(), text))
}

function clockFrom(start: string): () => string {
  let time = Date.parse(start)
  return () => new Date((time += 15_000)).toISOString()
}
