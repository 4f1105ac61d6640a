import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { comingUp, fitOf } from '../clock'
import { planSchema } from '../../schemas/plan'
import { resultsGraph } from '../charts'
import { gapsOf, missedReadings, nextTrial, progressOf, trialResults } from '../record'
import { countedChoice, readingHeadings } from '../wording'
import { countedFor, hasNamedMoments, momentsOf, MOST_NAMED, withKind, withNamedMoment, withNamedMoments } from '.'
import { EMPTY_RECORD, type Plan } from '../lesson'

const plan: Plan = ['dry', 'wet', 'dry again'].reduce(
  (grown, name) => withNamedMoment(grown, name),
  withNamedMoments(withKind(soakUpPlan({ gapsStay: false, repeats: 1 }), 'over-time'), []),
)
const at = (moment: string, value: number) => reading({ condition: 'card', moment, value })

describe('moments with names', () => {
  it('stand in their order wherever readings are asked for, and keep their readings when one is taken away', () => {
    expect(planSchema.validate(plan).error).toBeUndefined()
    expect(readingHeadings(plan)).toEqual(['dry', 'wet', 'dry again'])
    const less = withNamedMoments(
      plan,
      plan.watch.named.filter(({ name }) => name !== 'wet'),
    )
    expect(momentsOf(less).map(({ id }) => id)).toEqual(['n1', 'n3'])
    expect(trialResults(less, [at('n1', 10), at('n2', 30), at('n3', 12)])).toMatchObject([{ value: 12 }])
    const many = Array.from({ length: 20 }, (_, place) => `day ${place}`).reduce(withNamedMoment, plan)
    expect(momentsOf(many)).toHaveLength(MOST_NAMED)
    const home = withNamedMoments(plan, [...plan.watch.named, { id: 'n9', name: 'Saturday', atHome: true }])
    expect(readingHeadings(home).at(-1)).toBe('Saturday (at home)')
    expect(fitOf(home).needed).toBe(fitOf(plan).needed)
  })

  it('have no time between them: no rate, no timetable, and no time until something', () => {
    expect(countedFor(plan)).toEqual(['last', 'change', 'loss', 'of-100', 'average', 'highest'])
    expect(comingUp(plan, 0)).toEqual([])
    expect(countedChoice(plan, 'change').hint).toContain('dry again')
    expect(hasNamedMoments({ ...plan, kind: 'fair-test' })).toBe(false)
  })

  it('that nobody read are shown as gaps, never asked for afterwards and never made up', () => {
    const readings = [at('n1', 10), at('n3', 12)]
    const [progress] = progressOf(plan, readings)
    const ofCard = progress!.cells.filter(({ condition }) => condition === 'card')
    expect(ofCard.map(({ kept }) => kept.length)).toEqual([1, 0, 1])
    expect(nextTrial(plan, { ...progress!, cells: ofCard })).toBeUndefined()
    expect(gapsOf(plan, [{ ...progress!, cells: ofCard }])).toMatchObject([{ moment: 'n2' }])
    expect(missedReadings(plan, progress!, undefined)).toEqual([])
    const graph = resultsGraph(plan, { ...EMPTY_RECORD, readings })!
    expect(graph.kind).toBe('lines')
    expect(graph.lines.find(({ condition }) => condition === 'card')!.points.map(({ moment }) => moment)).toEqual(['n1', 'n3'])
    const averaged = {
      ...plan,
      measures: plan.measures.map((one) => ({ ...one, method: { ...one.method, counts: 'average' as const } })),
    }
    expect(trialResults(averaged, readings)).toEqual([])
  })
})
