import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { NO_SCHOOL } from '../kit'
import { EMPTY_RECORD, type Plan } from '../lesson'
import {
  boundWords,
  circuitTogetherWords,
  fitTogetherWords,
  foundWords,
  ownCheckLines,
  ownProblemWords,
  ownUnsaidLine,
} from '../wording'
import {
  cardsTogether,
  checkOwnQuestion,
  circuitTogether,
  fitTogether,
  groupsTogether,
  interleave,
  kitTogether,
  NEW_TOGETHER,
  overviewOf,
  ownQuestionPlan,
  roundAt,
  sameQuestion,
  stepsByGroup,
  timedTrials,
  type Interleaving,
  type InterleaveAsk,
  type Member,
  type TimedTrial,
} from '.'

const HALF = 30
/** Trials on the grid of the timetable, with waits that somebody can use. */
const anyTrial = (crews: number, things: number): fc.Arbitrary<Omit<TimedTrial, 'id'>> =>
  fc
    .record({
      crew: fc.integer({ min: 0, max: crews - 1 }),
      thing: fc.integer({ min: 0, max: things - 1 }),
      hands: fc.integer({ min: 1, max: 3 }),
      waits: fc.array(fc.integer({ min: 2, max: 9 }), { maxLength: 3 }),
      read: fc.integer({ min: 1, max: 2 }),
      clear: fc.integer({ min: 0, max: 2 }),
    })
    .map(({ crew, thing, hands, waits, read, clear }) => {
      let after = hands
      const busy = [{ after: 0, hands: hands * HALF }]
      for (const wait of waits) {
        busy.push({ after: (after + wait) * HALF, hands: read * HALF })
        after += wait + read
      }
      return { crew, things: [thing], busy, clear: clear * HALF }
    })

const anyAsk: fc.Arbitrary<InterleaveAsk> = fc.record({
  trials: fc
    .array(anyTrial(3, 4), { minLength: 1, maxLength: 24 })
    .map((trials) => trials.map((trial, at) => ({ ...trial, id: String(at) }))),
  crews: fc.constant(3),
  copies: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 4, maxLength: 4 }),
})

/** How often each moment is taken at most, by spans that may touch. */
function mostAtOnce(spans: [from: number, to: number][]): number {
  const turns = spans.flatMap(([from, to]) => (to > from ? [[from, 1] as const, [to, -1] as const] : []))
  let now = 0
  return turns
    .sort((a, b) => a[0] - b[0] || a[1] - b[1])
    .reduce((most, [, change]) => {
      now += change
      return Math.max(most, now)
    }, 0)
}

describe('one clock that uses the waiting of one for the trials of another', () => {
  it('nobody is in two places, no thing is in two hands, every reading is in time, and nothing ends before its bound', () => {
    fc.assert(
      fc.property(anyAsk, fc.integer({ min: 1, max: 20 }), (ask, tries) => {
        const { placed, finish, bound } = interleave(ask, (tried) => tried < tries)
        const at = new Map(placed.map((one) => [one.id, one]))
        expect(at.size).toBe(ask.trials.length)
        for (let crew = 0; crew < ask.crews; crew += 1) {
          const hands = ask.trials
            .filter((trial) => trial.crew === crew)
            .flatMap(({ id, busy, clear }): [number, number][] => {
              const { start, clears } = at.get(id)!
              return [
                ...busy.map((one): [number, number] => [start + one.after, start + one.after + one.hands]),
                [clears, clears + clear],
              ]
            })
          expect(mostAtOnce(hands)).toBeLessThanOrEqual(1)
        }
        for (const [thing, copies] of ask.copies.entries()) {
          const held = ask.trials
            .filter(({ things }) => things.includes(thing))
            .map(({ id }): [number, number] => [at.get(id)!.start, at.get(id)!.end])
          expect(mostAtOnce(held)).toBeLessThanOrEqual(copies)
        }
        for (const { id, busy, clear } of ask.trials) {
          const { start, clears, end } = at.get(id)!
          const last = busy.at(-1)!
          expect(clears).toBeGreaterThanOrEqual(start + last.after + last.hands)
          expect(end).toBe(clears + clear)
          expect(start % HALF).toBe(0)
        }
        expect(finish).toBeGreaterThanOrEqual(bound)
        expect(finish).toBe(Math.max(...placed.map(({ end }) => end)))
      }),
      { seed: 5, numRuns: 300 },
    )
  })

  it('a wait is used: two trials that wait take little longer than one', () => {
    const trial = (id: string): TimedTrial => ({
      ...{ id, crew: 0, things: [] },
      busy: [
        { after: 0, hands: 60 },
        { after: 360, hands: 30 },
      ],
      clear: 30,
    })
    const ask: InterleaveAsk = { trials: [trial('a'), trial('b'), trial('c')], crews: 1, copies: [] }
    const found = interleave(ask, (tried) => tried < 50)
    expect(found.finish).toBe(found.bound + 0)
    expect(found.finish).toBeLessThan(2 * 420)
    expect(boundWords(found)).toBe('No timetable in half minutes can end before 9:00, and this one does not end later.')
  })
})

const bounce = (change: Partial<Plan> = {}): Plan =>
  soakUpPlan({
    ...{ title: 'Bounce back', things: 'same' },
    factors: [
      { id: 'height', name: 'the drop height', how: '', exceptions: {}, comesWith: false },
      { id: 'floor', name: 'the floor', how: 'the same tile', exceptions: {}, comesWith: false },
    ],
    changed: 'height',
    measures: [{ ...soakUpPlan().measures[0]!, id: 'bounce', name: 'how high it bounces back' }],
    measured: 'bounce',
    ...change,
  })
const members: Member[] = [
  { lesson: 'a', plan: soakUpPlan() },
  { lesson: 'b', plan: bounce() },
]

describe('who does what', () => {
  it('groups of several lessons with one name are one, whatever their ids', () => {
    const others = bounce({ groups: soakUpPlan().groups.map((group, at) => ({ ...group, id: `other${at}` })) })
    const groups = groupsTogether([members[0]!, { lesson: 'b', plan: others }])
    expect(groups).toHaveLength(soakUpPlan().groups.length)
    expect(groups[1]!.ids).toEqual({ a: 'g2', b: 'other1' })
  })

  it('in a circuit every group comes to every investigation once, nobody is in two places, and no set has two groups', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 6 }),
        (count, copies) => {
          const groups = Array.from({ length: count }, (_, at) => ({
            ...soakUpPlan().groups[0]!,
            id: `g${at}`,
            name: `Group ${at}`,
          }))
          const all = copies.map((_, at) => ({ lesson: `l${at}`, plan: soakUpPlan({ groups }) }))
          const sets = Object.fromEntries(copies.map((number, at) => [`l${at}`, number]))
          const { rounds } = circuitTogether(all, { ...NEW_TOGETHER, way: 'circuit', sets })
          for (let group = 0; group < count; group += 1)
            expect(rounds.flatMap((row) => row[group] ?? []).sort()).toEqual(all.map(({ lesson }) => lesson).sort())
          for (const row of rounds)
            for (const { lesson } of all) expect(row.filter((one) => one === lesson).length).toBeLessThanOrEqual(sets[lesson]!)
        },
      ),
      { seed: 3, numRuns: 100 },
    )
  })

  it('says which round it is, and whether the rounds fit', () => {
    const circuit = circuitTogether(members, { ...NEW_TOGETHER, way: 'circuit', sets: { a: 4, b: 4 }, minutes: 30 })
    expect(circuit.rounds).toHaveLength(2)
    expect(roundAt(circuit, circuit.round + 1)).toBe(1)
    expect(roundAt(circuit, circuit.seconds + 1)).toBeUndefined()
    expect(circuitTogetherWords(circuit, 30)).toContain('2 rounds of')
  })
})

it('the timetable has every counted trial of every group, and says what fits', () => {
  const { ask, of, groups } = timedTrials(members, { ...NEW_TOGETHER, waiting: { a: 'free' } })
  const trials = members.reduce((sum, { plan }) => sum + plan.groups.length * plan.conditions.length * plan.repeats, 0)
  expect(of.size).toBe(trials)
  const found: Interleaving = interleave(ask, (tried) => tried < 3)
  expect(stepsByGroup(found, of, groups).reduce((sum, { steps }) => sum + steps.length, 0)).toBe(trials)
  const fit = fitTogether(found, of, 10)
  expect(fit.within).toBeLessThan(fit.all)
  expect(fitTogetherWords(fit)).toMatch(/^\d+ of \d+ trials are done within 10 minutes; all of them take/)
})

it('the kit is one sum: a thing of one name stands once, and in a circuit what is used again stays at its place', () => {
  const each = kitTogether(members, NEW_TOGETHER, NO_SCHOOL)
  const [first, second] = members.map((member) => kitTogether([member], NEW_TOGETHER, NO_SCHOOL))
  expect(each.map(({ name }) => name)).toEqual(first!.map(({ name }) => name))
  for (const [at, row] of each.entries()) expect(row.amount).toBeCloseTo(first![at]!.amount + second![at]!.amount)
  const standing = kitTogether(members, { ...NEW_TOGETHER, way: 'circuit' }, NO_SCHOOL)
  const rulers = (rows: typeof each) => rows.find(({ name }) => name.includes('ruler'))!.amount
  expect(rulers(standing)).toBeLessThan(rulers(each))
})

describe('a group’s own question', () => {
  const heap = cardsTogether(members)
  const asked = { change: 'the floor', measure: 'how high it bounces back', conditions: ['carpet', 'tile', ''] }

  it('takes one card of each heap and two things to try, and says in children’s words what is fair', () => {
    const check = checkOwnQuestion(heap, asked)
    expect(check.problems).toEqual([])
    expect(ownCheckLines(check)[0]).toBe('We change only the floor: carpet and tile.')
    // A tick stands only before what somebody said.
    expect([ownCheckLines(check)[1]?.startsWith('We measure'), ownUnsaidLine(check)]).toEqual([
      true,
      'Still to say: how you keep the drop height the same.',
    ])
    const said = { ...check, kept: [{ name: 'the drop height', how: '1 m' }] }
    expect([ownCheckLines(said)[1], ownUnsaidLine(said)]).toEqual(['We keep the same: the drop height (1 m).', ''])
    const open = checkOwnQuestion(heap, { change: 'the moon', measure: '', conditions: ['tile', 'Tile '] }).problems
    expect(open).toEqual(['no-change', 'no-measure', 'twice'])
    expect(open.map(ownProblemWords).every((words) => words.length > 0)).toBe(true)
  })

  it('becomes a whole lesson of its own, and one that is asked already is not asked twice', () => {
    const plan = ownQuestionPlan(members, soakUpPlan().groups[1]!, asked, counter('n'))!
    expect(planSchema.validate(plan).error).toBeUndefined()
    expect(plan).toMatchObject({ changed: 'floor', measured: 'bounce', groups: [{ name: 'Birch' }] })
    expect(plan.conditions.map(({ label }) => label)).toEqual(['carpet', 'tile'])
    // Numbers of one unit are numbers, whatever the class's own conditions are.
    const wide = ownQuestionPlan(members, soakUpPlan().groups[1]!, { ...asked, conditions: ['2 m', '1.5 m'] }, counter('n'))!
    expect([wide.conditionsAs, wide.conditionUnit, plan.conditionsAs]).toEqual(['numbers', 'm', 'kinds'])
    expect(sameQuestion(members, asked)).toBeUndefined()
    expect(sameQuestion([...members, { lesson: 'c', plan }], { ...asked, conditions: ['Tile', 'carpet'] })).toBe('c')
  })
})

it('the overview says of each lesson how far it is', () => {
  const [first] = overviewOf([{ lesson: 'a', plan: soakUpPlan(), record: EMPTY_RECORD }])
  expect(foundWords(first!)).toBe('Nothing measured yet.')
})
