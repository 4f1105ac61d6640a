import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { counter, reading, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { resultsGraph } from '../charts'
import { fitOf } from '../clock'
import { evidenceOf } from '../evidence'
import { FIRST_WATCH, EMPTY_RECORD, type Plan, type Reading } from '../lesson'
import { withKind, planFrom } from '../test'
import {
  chartWords,
  gapSentence,
  gradeSentence,
  momentWords,
  question,
  readingHeadings,
  sentenceStarters,
  testSum,
  trialParts,
  variableWords,
  workedOutColumn,
} from '.'

const ready = (id: string): Plan => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g'))
const [ice, sprouts, heaviest, bridge] = ['ice-in-a-bag', 'sprout-watch', 'which-is-heaviest', 'paper-bridge'].map(ready) as [
  Plan,
  Plan,
  Plan,
  Plan,
]

it('every kind asks its own question', () => {
  expect([ice, sprouts, heaviest, bridge, withKind(soakUpPlan(), 'describe')].map(question)).toEqual([
    'How does melting change the mass of the closed bag?',
    'How does the height of the tallest three change over time, and does the place matter?',
    'Which thing comes first, going by how heavy it is?',
    'How can we make the bridge better, going by how many washers it holds?',
    'What do we find for each kind of paper: how high water climbs in 60\u00a0s?',
  ])
  expect(question({ ...sprouts, changed: null })).toBe('How does the height of the tallest three change over time?')
})

it('the class’s own words go before the kind’s', () => {
  expect(variableWords(bridge)).toEqual({ changed: 'Make better', measured: 'Going by', kept: 'The rules' })
  expect(variableWords({ ...bridge, words: 'test-outcome' }).measured).toBe('Outcome')
})

it('headings and moments say when and where', () => {
  expect([soakUpPlan(), ice, sprouts, heaviest, bridge].map(workedOutColumn)).toEqual([
    'average',
    'change',
    '',
    '',
    'what we changed',
  ])
  expect(readingHeadings(ice)).toEqual(['1: before', '1: after', '2: before', '2: after'])
  expect(readingHeadings(sprouts)).toEqual(['day 0', 'day 2', 'day 4', 'day 7', 'day 9'])
  const jars: Plan = { ...sprouts, watch: { ...FIRST_WATCH, times: [5], places: ['top', 'bottom'] } }
  expect(momentWords(jars, 't5p2')).toBe('5\u202fmin, bottom')
  expect(momentWords(jars, 't9')).toBe('a time no longer in the plan')
})

describe('the time a test takes', () => {
  const minutes = (plan: Plan) => fitOf(plan).phases.find(({ phase }) => phase === 'test')!.minutes

  it.each([
    // 2 x (60 + 2 x 40 + 20) s of weighing and one melting of 360 s: 680 s.
    ['before and after waits once for all', ice, 12],
    // 5 dishes x (60 + 40 + 10) s: today's readings only.
    ['over days only today counts', sprouts, 10],
    // 2 rounds x (30 + 7 weighings x 25 + 15) s; log2(5!) = 6.9.
    ['a balance needs log2(5!) weighings', heaviest, 8],
    // 3 tries x 2 x 270 s.
    ['tries come one after the other', bridge, 27],
  ])('%s', (_what, plan, wanted) => expect(minutes(plan)).toBe(wanted))

  it('over minutes lasts until the last jar is read', () => {
    const jars: Plan = { ...sprouts, practice: 1, watch: { ...FIRST_WATCH, times: [0, 10] } }
    // Readings of 40 s start on half minutes, so jars start a minute apart: the last one is read at 10 + 4 minutes.
    // Practice 5 x 110 s, set-up and reset 5 x 70 s, then 840 s and the last five readings of 40 s.
    expect(minutes(jars)).toBe(Math.ceil((550 + 350 + 880) / 60))
    expect(testSum(fitOf(jars))).toBe('10 trials that wait together: 30 minutes')
  })

  it('a race runs everybody at once, and each kind has its own parts of a trial', () => {
    const race = withKind(soakUpPlan(), 'order')
    expect(minutes(race)).toBe(Math.ceil((4 * 105) / 60))
    expect(trialParts(race).map(({ label }) => label)).toContain('One race or round')
    expect(trialParts(sprouts).map(({ part }) => part)).toEqual(['setUp', 'read', 'reset'])
  })
})

describe('what is found', () => {
  const seen = (plan: Plan, readings: Reading[]) => evidenceOf({ ...plan, gapsStay: true }, { ...EMPTY_RECORD, readings })!

  it('before and after says what happened, in its own sentences', () => {
    const rows = [0, 1, 2, 3].flatMap((place) =>
      ['before', 'after'].map((moment) =>
        reading({
          condition: 'ice',
          moment,
          unit: 'g',
          group: `g${place + 1}`,
          value: 120 + 9 * place - (moment === 'after' ? 7 : 0),
        }),
      ),
    )
    const evidence = seen({ ...ice, groups: soakUpPlan().groups }, rows)
    expect(gradeSentence(ice, evidence)).toBe('Melting made a difference that stands out from how the groups differ anyway.')
    expect(gapSentence(ice, evidence.spread!)).toMatch(/^Before was 7\.0\u202fg more than after\.$/)
    expect(sentenceStarters(ice, evidence)[1]).toMatch(
      /^The mass of the closed bag was on average 133\.5\u202fg before and 126\.5\u202fg after/,
    )
    const graph = resultsGraph({ ...ice, groups: soakUpPlan().groups }, { ...EMPTY_RECORD, readings: rows })!
    expect([graph.kind, graph.pairs.length, graph.lines[0]!.points.map(({ average }) => average)]).toEqual([
      'pairs',
      4,
      [133.5, 126.5],
    ])
  })

  it('a race says how many places, and its graph has a dot for every one and no bar', () => {
    const race = withKind(soakUpPlan(), 'order')
    const rows = ['g1', 'g2', 'g3', 'g4'].flatMap((group) =>
      race.conditions.map(({ id }, place) => reading({ group, condition: id, value: place + 1, unit: 'place' })),
    )
    const evidence = seen(race, rows)
    expect(gradeSentence(race, evidence)).toBe('The order stands out: luck alone would hardly make one like it.')
    expect(gapSentence(race, evidence.spread!)).toBe('Kitchen roll came in 3.0 places before card, on average.')
    const graph = resultsGraph(race, { ...EMPTY_RECORD, readings: rows })!
    expect([graph.kind, graph.dots.length, graph.lines]).toEqual(['places', 16, []])
  })

  it('over time draws a line a jar over its moments, and says it to those who do not see it', () => {
    const rows = ['t0', 't2'].flatMap((moment, day) =>
      sprouts.conditions.map(({ id }, jar) => reading({ condition: id, moment, value: day * (10 - jar) })),
    )
    const own: Plan = { ...sprouts, groups: soakUpPlan().groups }
    const graph = resultsGraph(own, { ...EMPTY_RECORD, readings: rows })!
    expect(graph.kind).toBe('lines')
    expect(graph.lines[0]!.points).toEqual([
      { x: 0, moment: 't0', average: 0 },
      { x: 2, moment: 't2', average: 10 },
    ])
    expect(graph.across!.to).toBeGreaterThanOrEqual(9)
    expect(chartWords(own, graph)).toMatch(
      /^Lines over time\. Averages: A windowsill: day 0 0\.0\u202fmm and day 2 10\.0\u202fmm; B dark cupboard/,
    )
  })

  it('words stand by their name', () => {
    const damp = withKind(measuredSo(soakUpPlan(), { way: 'words' }), 'describe')
    const rows = ['g1', 'g2', 'g3', 'g4'].flatMap((group) =>
      damp.conditions.map(({ id }, place) => reading({ group, condition: id, value: place < 2 ? 3 : 1, unit: 'words' })),
    )
    const evidence = seen(damp, rows)
    expect(evidence.grade).toBe('clear')
    expect(sentenceStarters(damp, evidence)[0]).toContain('about “wet”')
  })
})
