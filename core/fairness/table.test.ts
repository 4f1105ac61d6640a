import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { emptyPlan, withLabel, type Plan } from '../lesson'
import { fairWords } from '../wording'
import { cellOf, checkPlan, chooseChange, levelsOf, pasteTable, suggestLevels, takeComparison, withCell, withLevels } from '.'

const POTS = `pot	size	lid	place	colour
Pot 1	small	none	sill	red
Pot 2	small	cork	sill	red
Pot 3	small	foil	sill	red
Pot 4	large	none	shelf	blue
Pot 5	large	none	sill	blue
Pot 6	large	cork	shelf	?`
  .split('\n')
  .map((line) => line.split('\t'))

const pots = (): Plan => pasteTable(emptyPlan('Puffin', 26, counter('g')), POTS, { row: 0, column: -1 }, counter('new'))
const idOf = (plan: Plan, name: string) => plan.factors.find((factor) => factor.name === name)!.id

describe('a table pasted from a spreadsheet', () => {
  it('makes conditions and factors out of a heading and rows, in an empty plan', () => {
    const plan = pots()
    expect(plan.conditions.map(({ label }) => label)).toEqual(['Pot 1', 'Pot 2', 'Pot 3', 'Pot 4', 'Pot 5', 'Pot 6'])
    expect(plan.factors.map(({ name }) => name)).toEqual(['size', 'lid', 'place', 'colour'])
    const lid = plan.factors.find(({ name }) => name === 'lid')!
    expect(plan.conditions.map((condition) => cellOf(plan, lid, condition))).toEqual([
      'none',
      'cork',
      'foil',
      'none',
      'none',
      'cork',
    ])
  })

  it('fills from the cell it is pasted into, and goes on below with further conditions', () => {
    const plan = soakUpPlan()
    const pasted = pasteTable(plan, [['3 cm'], ['2 cm'], ['2 cm'], ['2 cm'], ['4 cm']], { row: 0, column: 0 }, counter('new'))
    expect(pasted.conditions).toHaveLength(5)
    const width = pasted.factors.find(({ id }) => id === 'width')!
    expect(pasted.conditions.map((condition) => cellOf(pasted, width, condition))).toEqual(['3 cm', '2 cm', '2 cm', '2 cm', '4 cm'])
  })

  it('takes nonsense without breaking', () => {
    for (const block of [
      [['']],
      [[], ['x']],
      [
        ['a', 'b'],
        ['', ''],
      ],
      [['🧪'.repeat(300)]],
    ]) {
      expect(() => pasteTable(soakUpPlan(), block, { row: 9, column: 7 }, counter('new'))).not.toThrow()
    }
  })
})

describe('a muddled set-up', () => {
  it('hides fair comparisons, each found with its factor and its pots, the unknown one in none of them', () => {
    const plan = pots()
    const hidden = fairWords({ ...plan, changed: idOf(plan, 'size') }, checkPlan({ ...plan, changed: idOf(plan, 'size') })!).hidden
    expect(hidden.map(({ comparison }) => comparison)).toEqual([
      { factor: idOf(plan, 'lid'), conditions: plan.conditions.slice(0, 3).map(({ id }) => id) },
      { factor: idOf(plan, 'place'), conditions: [plan.conditions[3]!.id, plan.conditions[4]!.id] },
    ])
  })

  it('narrowed to one of them is fair', () => {
    const plan = pots()
    const lids = takeComparison(plan, { factor: idOf(plan, 'lid'), conditions: plan.conditions.slice(0, 3).map(({ id }) => id) })
    expect(checkPlan(lids)).toMatchObject({ fair: true })
    expect(lids.conditions.filter(({ leftOut }) => leftOut)).toHaveLength(3)
  })
})

describe('chooseChange', () => {
  it('remembers what the old thing was for each condition, where the table says what the new one is', () => {
    const plan = withCell(soakUpPlan(), 'width', 'card', '4 cm')
    const byWidth = chooseChange(plan, 'width')
    expect(checkPlan(byWidth)!.pairs.every(({ status }) => status !== 'fair')).toBe(true)
    expect(checkPlan(byWidth)!.differing.map(({ factor }) => factor)).toEqual(['paper'])
    expect(checkPlan(chooseChange(byWidth, 'paper'))!.differing).toEqual(checkPlan(plan)!.differing)
  })

  it('only turns the question round where the table is still plain', () => {
    expect(chooseChange(soakUpPlan(), 'width')).toEqual(soakUpPlan({ changed: 'width' }))
  })
})

describe('levels', () => {
  const heights = (...labels: string[]): Plan =>
    soakUpPlan({
      conditionsAs: 'numbers',
      conditions: labels.map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
    })

  it('begins as counts where a number of things is changed', () => {
    const bare = {
      ...heights(),
      factors: [{ id: 'layers', name: 'the number of layers', how: '', exceptions: {}, comesWith: false }],
      changed: null,
    }
    expect(chooseChange({ ...bare, conditionsAs: 'kinds' }, 'layers')).toMatchObject({
      conditionsAs: 'numbers',
      conditionUnit: 'count',
    })
    expect(chooseChange({ ...heights('20'), factors: bare.factors, changed: null }, 'layers').conditionUnit).toBe('cm')
  })

  it('sees uneven steps and a narrow range', () => {
    expect(levelsOf(heights('40', '50', '100'))).toMatchObject({ values: [40, 50, 100], uneven: true, narrow: false })
    expect(levelsOf(heights('100', '1.1 m', '120'))).toMatchObject({ uneven: false, narrow: true })
    expect(levelsOf(heights('20', '40', '60'))).toMatchObject({ uneven: false, narrow: false })
    expect(levelsOf(heights('20', 'twenty'))).toBeUndefined()
  })

  it.each([
    [20, 100, 5, [20, 40, 60, 80, 100]],
    [13, 47, 4, [10, 25, 40, 55]],
    [12, 50, 5, [10, 20, 30, 40, 50]],
    [0, 1, 5, [0, 0.25, 0.5, 0.75, 1]],
    [80, 120, 5, [80, 90, 100, 110, 120]],
  ])('suggests from %d to %d in %d numbers', (low, high, count, wanted) => expect(suggestLevels(low, high, count)).toEqual(wanted))

  it.each([
    [1, 4, 5, [1, 2, 3, 4]],
    [2, 9, 5, [2, 4, 6, 8, 10]],
    [1, 20, 5, [1, 6, 11, 16, 21]],
    [0, 19, 5, [0, 5, 10, 15, 20]],
  ])('suggests whole counts from %d to %d', (low, high, count, wanted) =>
    expect(suggestLevels(low, high, count, 'count')).toEqual(wanted),
  )

  it('never cuts off what a class wanted to try, and suggests even steps', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 2, max: 9 }),
        fc.boolean(),
        (low, span, count, whole) => {
          const levels = suggestLevels(low, low + span, count, whole ? 'count' : undefined)
          expect(levels[0]).toBeLessThanOrEqual(low)
          expect(levels.at(-1)).toBeGreaterThanOrEqual(low + span - 1e-9)
          expect(levels[0] === 0).toBe(low === 0)
          const steps = levels.slice(1).map((level, place) => level - levels[place]!)
          expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1e-6)
          if (whole) expect(levels.every(Number.isInteger)).toBe(true)
        },
      ),
    )
  })

  it('keeps the conditions that are there, adds further ones and leaves out what is too many', () => {
    const more = withLevels(heights('60', '20'), [20, 40, 60], counter('new'))
    expect(more.conditions.map(({ id, label }) => [id, label])).toEqual([
      ['n0', '40'],
      ['n1', '20'],
      ['new1', '60'],
    ])
    expect(withLevels(heights('1', '2', '3'), [10, 20], counter('new')).conditions.map(({ leftOut }) => leftOut)).toEqual([
      false,
      false,
      true,
    ])
  })

  it('forgets what was expected of a number that changed, and keeps what is expected of the others', () => {
    const plan = heights('20', '40')
    const measures = plan.measures.map((one) => ({
      ...one,
      method: { ...one.method, expected: { n0: 11, n1: 22 }, expectedFrom: 'bench' as const },
    }))
    const method = (after: Plan) => after.measures[0]!.method
    expect(method(withLevels({ ...plan, measures }, [20, 80], counter('new')))).toMatchObject({
      expected: { n0: 11 },
      expectedFrom: 'guess',
    })
    expect(method(withLabel({ ...plan, measures, conditionsAs: 'kinds' }, 'n0', 'twenty')).expected).toEqual({ n0: 11, n1: 22 })
  })
})
