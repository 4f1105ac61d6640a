import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { counter, emptyRecord, reading, recordOf, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { FIRST_WATCH, GRAPH_KINDS, type Plan } from '../lesson'
import { planFrom } from '../test'
import { chartWords, graphLoss, graphReason } from '../wording'
import { gapDrawing, graphChoices, handGraph, resultsGraph } from '.'
import { evidenceOf } from '../evidence'

const ready = (id: string): Plan => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g'))
const numbers = soakUpPlan({
  conditionsAs: 'numbers',
  conditions: ['20', '40', '60', '80', '100'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
})
const describing = measuredSo(soakUpPlan({ kind: 'describe' }), { way: 'words', words: ['dry', 'damp', 'wet'] })
const bent = recordOf({ n0: [10, 11, 10], n1: [26, 25, 27], n2: [37, 36, 38], n3: [43, 44, 42], n4: [45, 46, 45] }, 3)

describe('the graph that fits', () => {
  it.each<[string, Plan, string]>([
    ['kinds', soakUpPlan(), 'bars'],
    ['numbers', numbers, 'points'],
    ['over time', ready('sprout-watch'), 'lines'],
    ['before and after', ready('ice-in-a-bag'), 'pairs'],
    ['weighed two at a time', ready('which-is-heaviest'), 'places'],
    ['words', describing, 'words'],
    ['build and improve', ready('paper-bridge'), 'tries'],
    ['no average', soakUpPlan({ average: 'none' }), 'number-line'],
  ])('%s', (_, plan, kind) => {
    const choices = graphChoices(plan, emptyRecord)
    expect(choices.best).toBe(kind)
    expect(resultsGraph(plan, emptyRecord)!.kind).toBe(kind)
    expect(graphReason(plan, choices.reason)).not.toBe('')
    expect(choices.choices[0]).toEqual({ kind, loss: undefined })
  })

  it('bends where the numbers do', () => {
    expect(graphChoices(numbers, bent)).toMatchObject({ best: 'curve', reason: 'numbers-bend' })
    expect(resultsGraph(numbers, bent)!.curve).toHaveLength(41)
  })

  it('can be another, which says what is lost; one that cannot be drawn is not offered', () => {
    for (const plan of [soakUpPlan(), numbers, describing, ready('sprout-watch'), ready('ice-in-a-bag')]) {
      for (const { kind, loss } of graphChoices(plan, emptyRecord).choices.slice(1)) {
        expect(resultsGraph({ ...plan, graph: kind }, emptyRecord)!.kind).toBe(kind)
        if (loss) expect(graphLoss(loss)).toMatch(/\.$/)
      }
    }
    expect(resultsGraph(soakUpPlan({ graph: 'pairs' }), emptyRecord)!.kind).toBe('bars')
    const alone = soakUpPlan({ groups: soakUpPlan().groups.slice(0, 1) })
    expect(graphChoices(alone, emptyRecord).choices.map(({ kind }) => kind)).not.toContain('by-group')
  })
})

describe('what is on it', () => {
  const record = recordOf({ 'kitchen-roll': [60, 62, 64], card: [14, 16, 15] }, 3)

  it('the class’s own figure, and every reading whichever graph is drawn', () => {
    const averages = (plan: Plan) => resultsGraph(plan, record)!.marks.map(({ average }) => average)
    expect(averages(soakUpPlan())).toEqual([62, undefined, undefined, 15])
    expect(averages(soakUpPlan({ average: 'mode' }))).toEqual([undefined, undefined, undefined, undefined])
    for (const graph of GRAPH_KINDS) expect(resultsGraph(soakUpPlan({ graph }), record)!.dots).toHaveLength(6)
  })

  it('a panel for each group, with its own figures', () => {
    const [first, , third] = resultsGraph(soakUpPlan({ graph: 'by-group' }), record)!.panels
    expect(first).toMatchObject({
      group: 'g1',
      averages: [
        { x: 0, average: 60 },
        { x: 3, average: 14 },
      ],
    })
    expect(third!.dots.map(({ x, value }) => [x, value])).toEqual([
      [0, 64],
      [3, 15],
    ])
  })

  it('words are counted and said', () => {
    const readings = [3, 3, 2].map((value, place) =>
      reading({ condition: 'card', value, unit: 'words', entered: 'wet', group: `g${place + 1}` }),
    )
    const graph = resultsGraph(describing, { ...emptyRecord, readings })!
    expect(graph.marks[3]!.counts).toEqual([0, 1, 2])
    expect(chartWords(describing, graph)).toContain('D card: damp 1 and wet 2')
  })

  it('the gap beside the wobble, and the numbers for squared paper', () => {
    const twice = recordOf({ 'kitchen-roll': [60, 62, 64, 61, 63, 62], card: [14, 16, 15, 14, 16, 15] }, 3)
    const drawing = gapDrawing(soakUpPlan(), twice.readings, evidenceOf(soakUpPlan(), twice)!)!
    // With one reading each nobody knows a wobble that could be drawn.
    expect(gapDrawing(soakUpPlan(), record.readings, evidenceOf(soakUpPlan(), record)!)).toBeUndefined()
    expect(drawing.rows.map(({ condition, values }) => [condition, values.length])).toEqual([
      ['kitchen-roll', 6],
      ['card', 6],
    ])
    expect(handGraph(soakUpPlan(), record)).toEqual({ unit: 'mm', up: { values: [62, 15], withZero: true }, across: undefined })
    expect(handGraph(numbers, bent)!.across).toEqual({ values: [20, 40, 60, 80, 100], unit: 'cm' })
    // Over time the numbers along the bottom are minutes, whatever unit the conditions have.
    const watching = soakUpPlan({ kind: 'over-time', watch: { ...FIRST_WATCH, times: [0, 5, 10] } })
    const rows = ['t0', 't5'].map((moment, place) => reading({ moment, value: 10 + place }))
    expect(handGraph(watching, { ...emptyRecord, readings: rows })!.across).toEqual({ values: [0, 5, 10], unit: 'min' })
    expect(handGraph(describing, record)).toBeUndefined()
  })
})
