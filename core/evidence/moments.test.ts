import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { doubtsOfConclusion } from '../agree'
import { drawNormal, seededRandom } from '../chance'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { comparesMoments, countedFor, predictionsFor, withMethod, withNamedMoments } from '../test'
import { gradeSentence, predictionPrompt, sentenceStarters, sureSentences } from '../wording'
import { changesAsked, changeTally, nearnessOfPrediction, resultsForPredictions } from '../predictions'
import { evidenceOf } from '.'

const MOMENTS = ['dry', 'wet', 'dry again'].map((name, place) => ({ id: `n${place + 1}`, name, atHome: false }))

/** A sponge of each group's own, weighed dry, wet and dry again. */
function sponge(change: Partial<Plan> = {}): Plan {
  const plan = withNamedMoments(
    soakUpPlan({
      kind: 'over-time',
      conditions: [{ id: 'sponge', label: 'sponge', baseline: false, leftOut: false }],
      repeats: 1,
      things: 'same',
      gapsStay: true,
      ...change,
    }),
    MOMENTS,
  )
  const named = (one: Plan['measures'][number]) => ({ ...one, name: 'how heavy the sponge is' })
  return withMethod({ ...plan, measures: plan.measures.map(named) }, (method) => ({
    ...method,
    unit: 'g',
    resolution: 1,
    counts: null,
    expected: {},
    expectedLow: null,
    expectedHigh: null,
  }))
}

const weighed = (plan: Plan, of: (group: number, moment: number, condition: number) => number) => ({
  ...EMPTY_RECORD,
  readings: plan.groups.flatMap(({ id: group }, g) =>
    plan.conditions.flatMap(({ id: condition }, c) =>
      MOMENTS.map(({ id: moment }, m) => reading({ group, condition, moment, unit: 'g', value: of(g, m, c) })),
    ),
  ),
})
const gains = (g: number, m: number) => 12 + g + (m === 1 ? 30 + (g % 3) : 0)

describe('moments compared with each other', () => {
  it('are results, though there is one thing only', () => {
    const plan = sponge()
    expect(comparesMoments(plan)).toBe(true)
    const evidence = evidenceOf(plan, weighed(plan, gains))!
    expect([evidence.grade, evidence.order[0]]).toEqual(['clear', 'n2'])
    expect(evidence.steps.map(({ from, to, grade }) => [from, to, grade])).toEqual([
      ['n1', 'n2', 'clear'],
      ['n2', 'n3', 'clear'],
      ['n1', 'n3', 'same'],
    ])
    const said = sureSentences(plan, evidence)
    expect(said.join(' ')).not.toMatch(/two conditions|no longer in the plan|undefined/i)
    expect(said).toContain('From “dry” to “wet” it got heavier by 30.9\u202fg (clear).')
    expect(said).toContain('From “dry” to “dry again” it stayed the same, as far as our instrument can show.')
    expect(gradeSentence(plan, evidence)).toMatch(/^What happened from moment to moment/)
    for (const starter of sentenceStarters(plan, evidence)) {
      expect(starter).toMatch(/dry 15.*g, wet 45\.9.*g and dry again 15/)
      expect(doubtsOfConclusion(starter.replace('…', 'it drank'), plan, evidence).map(({ code }) => code)).not.toContain(
        'wrong-number',
      )
    }
  })

  it('are no surer than with what was set aside after they could be seen', () => {
    const plan = sponge()
    const record = weighed(plan, (g, m) => 12 + g + (m === 1 ? 3 + (g % 3) - (g === 6 ? 40 : 0) : 0))
    const wild = record.readings.find(({ value }) => value < 0)!
    const aside = { ...wild, id: 'aside', status: 'set-aside' as const, supersedes: wild.id, at: '2026-03-12T12:55:00.000Z' }
    const steps = evidenceOf(plan, { ...record, readings: [...record.readings, aside] })!.steps
    expect(steps.find(({ to }) => to === 'n2')!.grade).not.toBe('clear')
    const atOnce = { ...aside, at: wild.at }
    expect(evidenceOf(plan, { ...record, readings: [...record.readings, atOnce] })!.steps[0]!.grade).toBe('clear')
  })

  it('of one thing that all look at are leaning at most, and of several each has its own steps', () => {
    const one = evidenceOf(sponge({ things: 'class' }), weighed(sponge(), gains))!
    expect([one.grade, ...one.steps.map(({ grade }) => grade)]).not.toContain('clear')
    const two = sponge({ conditions: ['sponge', 'cloth'].map((id) => ({ id, label: id, baseline: false, leftOut: false })) })
    const evidence = evidenceOf(
      two,
      weighed(two, (g, m, c) => (c === 0 ? gains(g, m) : 10 + g)),
    )!
    expect(evidence.steps.map(({ condition, grade }) => [condition, grade])).toEqual([
      ['sponge', 'clear'],
      ['sponge', 'clear'],
      ['sponge', 'same'],
      ['cloth', 'same'],
      ['cloth', 'same'],
      ['cloth', 'same'],
    ])
    expect(sureSentences(two, evidence)).toContain('Sponge: from “wet” to “dry again” it got lighter by 30.9\u202fg (clear).')
  })

  it('where nothing happens one is called clear in about one class of twenty at most', () => {
    const random = seededRandom(33)
    const classes = 400
    const plan = sponge()
    const claims = Array.from({ length: classes }, () => {
      const levels = plan.groups.map(() => 40 + 5 * drawNormal(random))
      const record = weighed(plan, (g) => Math.round(levels[g]! + 4 * drawNormal(random)))
      return evidenceOf(plan, record)!.steps.some(({ grade }) => grade === 'clear')
    }).filter(Boolean).length
    expect(claims / classes).toBeLessThan(0.06 + 2 * Math.sqrt((0.06 * 0.94) / classes))
  })

  it('are predicted as more, less or the same, each against the one before', () => {
    const plan = { ...sponge(), predictAs: 'change' as const }
    expect(predictionsFor(plan)).toContain('change')
    expect(changesAsked(plan)).toEqual(['n2', 'n3'])
    expect(changeTally(plan, []).map(({ condition }) => condition)).toEqual(['n2', 'n3'])
    const found = resultsForPredictions(plan, weighed(plan, gains))!
    const guess = (values: Record<string, number>) => nearnessOfPrediction({ as: 'change', order: [], values }, found)
    expect(guess({ n2: 1, n3: -1 })).toMatchObject({ right: 2, all: 2 })
    expect(guess({ n2: 1, n3: 0 })).toMatchObject({ right: 1, all: 2 })
    expect(predictionPrompt(plan)).toBe('What do you think? How heavy the sponge is: each time more, less or the same as before?')
  })

  it('are never summed up: a total of weights at different moments says nothing', () => {
    expect(countedFor(sponge())).not.toContain('total')
  })
})
