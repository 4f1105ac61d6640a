import { describe, expect, it } from 'vitest'
import { counter, reading, soakUpPlan, twoSeries } from '../../test/soakUp'
import { drawNormal, fAbove, seededRandom } from '../chance'
import { EMPTY_RECORD, type LessonRecord, type Plan } from '../lesson'
import { seriesIn, withSeries } from '../test'
import { acrossSentences } from '../wording'
import { acrossSeries, type AcrossSeries } from '.'

const GROUPS = ['g1', 'g2', 'g3', 'g4', 'g5', 'g6']

/** One reading a group and condition. */
function recordWith(plan: Plan, valueOf: (group: number, level: number, series: number) => number): LessonRecord {
  const readings = seriesIn(plan).flatMap(({ conditions }, series) =>
    conditions.flatMap((condition, level) =>
      GROUPS.map((group, at) => reading({ group, condition, value: valueOf(at, level, series), repeat: 1 })),
    ),
  )
  return { ...EMPTY_RECORD, readings }
}

const judged = (plan: Plan, record: LessonRecord) => acrossSeries(plan, record) as AcrossSeries

/** Textbook sums of squares of a whole table: groups as blocks, levels x series. */
function wholeTable(values: number[][][]) {
  const [G, L, S] = [values.length, values[0]!.length, values[0]![0]!.length]
  const flat = values.flatMap((own, g) => own.flatMap((row, l) => row.map((value, s) => ({ g, l, s, value }))))
  const mean = (of: (one: (typeof flat)[number]) => boolean) => {
    const own = flat.filter(of)
    return own.reduce((sum, { value }) => sum + value, 0) / own.length
  }
  const all = mean(() => true)
  const range = (n: number) => Array.from({ length: n }, (_, place) => place)
  const squares = (means: number[], times: number) => times * means.reduce((sum, one) => sum + (one - all) ** 2, 0)
  const group = squares(
    range(G).map((g) => mean((one) => one.g === g)),
    L * S,
  )
  const level = squares(
    range(L).map((l) => mean((one) => one.l === l)),
    G * S,
  )
  const series = squares(
    range(S).map((s) => mean((one) => one.s === s)),
    G * L,
  )
  const cells = squares(
    range(L).flatMap((l) => range(S).map((s) => mean((one) => one.l === l && one.s === s))),
    G,
  )
  const groupLevel = squares(
    range(G).flatMap((g) => range(L).map((l) => mean((one) => one.g === g && one.l === l))),
    S,
  )
  const groupSeries = squares(
    range(G).flatMap((g) => range(S).map((s) => mean((one) => one.g === g && one.s === s))),
    L,
  )
  const total = flat.reduce((sum, { value }) => sum + (value - all) ** 2, 0)
  const ofSeries = (groupSeries - group - series) / ((G - 1) * (S - 1))
  const both = cells - level - series
  const rest = total - group - level - series - (groupLevel - group - level) - (groupSeries - group - series) - both
  const df2 = (G - 1) * (L - 1) * (S - 1)
  return { apart: series / (S - 1) / ofSeries, differently: both / ((L - 1) * (S - 1)) / (rest / df2), df1: (G - 1) * (S - 1), df2 }
}

describe('acrossSeries', () => {
  it('is the textbook’s analysis of variance where nothing is missing', () => {
    const plan = twoSeries()
    const random = seededRandom(7)
    const values = GROUPS.map(() =>
      [0, 1, 2, 3].map((level) => [0, 1].map((series) => 40 + 9 * level + 5 * series + 6 * drawNormal(random))),
    )
    const { apart, differently } = judged(
      plan,
      recordWith(plan, (g, l, s) => values[g]![l]![s]!),
    )
    const expected = wholeTable(values)
    expect(apart.F).toBeCloseTo(expected.apart, 8)
    expect(differently!.F).toBeCloseTo(expected.differently, 8)
    expect([apart.df1, apart.df2, differently!.df1, differently!.df2]).toEqual([1, expected.df1, 3, expected.df2])
    expect(apart.p).toBeCloseTo(fAbove(expected.apart, 1, expected.df1), 10)
  })

  it('says how much more, and asks of numbers whether their slopes differ', () => {
    const conditions = [20, 40, 60].map((label) => ({ id: `n${label}`, label: String(label), baseline: false, leftOut: false }))
    const numbers = soakUpPlan({ conditionsAs: 'numbers', conditionUnit: 'cm', conditions })
    const plan = withSeries(numbers, 'width', ['narrow', 'wide'], counter('s'))
    const wobble = (g: number, l: number, s: number) => ((g * 5 + l * 3 + s * 7) % 5) - 2
    const same = judged(
      plan,
      recordWith(plan, (g, l, s) => 100 + 20 * l + 30 * s + wobble(g, l, s)),
    )
    expect(same.apart.grade).toBe('clear')
    expect(same.differently!.grade).not.toBe('clear')
    expect(same.differences[0]!.difference).toBeCloseTo(30, 0)
    expect(same.slopes!.map(({ slope }) => Math.round(slope))).toEqual([1, 1])
    expect(acrossSentences(plan, same)[0]).toMatch(
      /^The width of the strip makes a clear difference\. Wide: 3\d.\d.mm more than narrow on average/,
    )
    const alike = judged(
      plan,
      recordWith(plan, (g, l) => 100 + 20 * l + g),
    )
    expect(acrossSentences(plan, alike)[0]).toContain('Wide and narrow are level on average.')
    const steeper = judged(
      plan,
      recordWith(plan, (g, l, s) => 100 + 20 * l * (1 + s) + wobble(g, l, s)),
    )
    expect(steeper.differently!.grade).toBe('clear')
    expect(acrossSentences(plan, steeper)[0]).toContain('depends on the width of the strip. For each 1\u202fcm more: narrow +1')
  })

  it('calls nothing clear where nothing is, in five of a hundred classes at most', () => {
    const plan = twoSeries()
    const random = seededRandom(11)
    const found = Array.from({ length: 600 }, () => {
      const level = GROUPS.map(() => 8 * drawNormal(random))
      return judged(
        plan,
        recordWith(plan, (g, l) => 200 + 20 * l + level[g]! + 6 * drawNormal(random)),
      )
    })
    const share = (of: (one: AcrossSeries) => boolean) => found.filter(of).length / found.length
    expect(share(({ apart }) => apart.grade === 'clear')).toBeLessThan(0.07)
    expect(share(({ differently }) => differently!.grade === 'clear')).toBeLessThan(0.07)
    expect(share(({ apart }) => apart.grade === 'clear')).toBeGreaterThan(0.02)
  })

  it('compares nothing that is not fair, has no numbers, or is one series only', () => {
    const plan = twoSeries()
    const record = recordWith(plan, (g, l, s) => 40 + g + 9 * l + 5 * s)
    const card = seriesIn(plan)[1]!.conditions.at(-1)!
    const factors = plan.factors.map((one) => (one.id === 'depth' ? { ...one, exceptions: { [card]: '5 cm' } } : one))
    expect(acrossSeries({ ...plan, factors }, record)).toEqual({ code: 'not-fair' })
    expect(acrossSeries(plan, EMPTY_RECORD)).toEqual({ code: 'too-few' })
    expect(acrossSeries(soakUpPlan(), record)).toBeUndefined()
  })
})
