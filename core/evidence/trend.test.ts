import { describe, expect, it } from 'vitest'
import golden from '../../test/golden/trend.json'
import { drawNormal, seededRandom } from '../benches'
import { findTrend, foretell } from '.'
import { fLeaving, noncentralFAbove } from './distributions'
import { fitPowers } from './leastSquares'
import { kendallTauB, theilSen } from './ranks'
import { chanceOfClear } from './surer'

const close = (actual: number, wanted: number) =>
  expect(Math.abs(actual / wanted - 1), `${actual} for ${wanted}`).toBeLessThan(1e-6)

describe.each(golden)('golden: $name', ({ input, expected }) => {
  const points = input.x.map((x, place) => ({ x, y: input.y[place]! }))
  const trend = findTrend(points, 0.1)!

  it('slope, agreement and the three shapes', () => {
    close(trend.slope, expected.theilSen)
    close(trend.tau!, expected.kendallTauB)
    for (const shape of trend.shapes) close(shape.aicc, expected.aicc[shape.shape])
    const [, straight, curved] = trend.shapes
    close(straight!.coefficients[0]!, expected.straight.intercept)
    close(straight!.coefficients[1]!, expected.straight.slope)
    ;[expected.curved.c0, expected.curved.c1, expected.curved.c2].forEach((wanted, power) =>
      close(curved!.coefficients[power]!, wanted),
    )
  })
})

describe('the pattern', () => {
  const over = (values: number[], wobble = 0.3) => {
    const random = seededRandom(7)
    const points = values.flatMap((y, place) => [1, 2, 3].map(() => ({ x: (place + 1) * 10, y: y + wobble * drawNormal(random) })))
    return findTrend(points, 0.1)!
  }

  it.each([
    ['none', [20, 20, 20, 20, 20]],
    ['steady-up', [10, 20, 30, 40, 50]],
    ['steady-down', [50, 40, 30, 20, 10]],
    ['levelling-off', [10, 26, 37, 43, 45]],
    ['levelling-off', [45, 29, 18, 12, 10]],
    ['speeding-up', [10, 12, 18, 29, 45]],
    ['up-then-down', [10, 30, 38, 31, 9]],
    ['down-then-up', [40, 20, 12, 19, 41]],
  ] as const)('%s', (pattern, values) => {
    expect(over([...values]).pattern).toBe(pattern)
  })

  it('needs three numbers, and foretells within them with an interval that holds what comes', () => {
    expect(
      findTrend(
        [10, 20].flatMap((x) => [1, 2, 3].map((y) => ({ x, y }))),
        1,
      ),
    ).toBeUndefined()
    const trend = over([10, 20, 30, 40, 50], 1)
    expect(trend.next).toBe(15)
    const [inside, outside] = [foretell(trend, 25), foretell(trend, 80)]
    expect(inside.low).toBeLessThan(25)
    expect(inside.high).toBeGreaterThan(25)
    expect([inside.outside, outside.outside]).toEqual([false, true])
  })

  it('foretells so that 95 of 100 further readings lie within', () => {
    const random = seededRandom(11)
    let within = 0
    for (let one = 0; one < 400; one += 1) {
      const points = [10, 20, 30, 40].flatMap((x) => [1, 2, 3].map(() => ({ x, y: x + drawNormal(random) })))
      const straight = findTrend(points, 0.1)!
      const { low, high } = foretell({ ...straight, shape: straight.shapes[1]! }, 25)
      const next = 25 + drawNormal(random)
      if (next > low && next < high) within += 1
    }
    expect(Math.abs(within / 400 - 0.95)).toBeLessThan(0.035)
  })
})

it('the worked examples in the comments', () => {
  expect(
    fitPowers(
      [1, 2, 3].map((x) => ({ x, y: 2 * x })),
      1,
    ).coefficients.map((one) => Number(one.toFixed(9))),
  ).toEqual([0, 2])
  expect(theilSen([0, 1, 2].map((x, place) => ({ x, y: [0, 2, 100][place]! })))).toBe(50)
  expect(kendallTauB([1, 2, 3].map((x, place) => ({ x, y: [1, 3, 2][place]! })))).toBeCloseTo(1 / 3, 9)
  expect(fLeaving(0.05, 2, 10)).toBeCloseTo(4.102821, 5)
  expect(chanceOfClear(0, 2, 30)).toBeCloseTo(0.05, 6)
})

it('the chance of being clear agrees with simulated classes', () => {
  // Three conditions, four readings each, means 0, 0.8 and 1.6 wobbles: noncentrality 4 x (0.64 + 0.64) = 5.12.
  const critical = fLeaving(0.05, 2, 9)
  const random = seededRandom(3)
  let clear = 0
  const classes = 4000
  for (let one = 0; one < classes; one += 1) {
    const groups = [0, 0.8, 1.6].map((mean) => [1, 2, 3, 4].map(() => mean + drawNormal(random)))
    const means = groups.map((values) => values.reduce((a, b) => a + b) / 4)
    const all = means.reduce((a, b) => a + b) / 3
    const between = means.reduce((sum, mean) => sum + 4 * (mean - all) ** 2, 0) / 2
    const within = groups.reduce((sum, values, at) => sum + values.reduce((s, v) => s + (v - means[at]!) ** 2, 0), 0) / 9
    if (between / within > critical) clear += 1
  }
  expect(Math.abs(noncentralFAbove(critical, 2, 9, 5.12) - clear / classes)).toBeLessThan(0.025)
})
