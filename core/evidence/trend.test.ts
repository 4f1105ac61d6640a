import { describe, expect, it } from 'vitest'
import bends from '../../test/golden/bends.json'
import golden from '../../test/golden/trend.json'
import { expectClose } from '../../test/close'
import { fLeaving, noncentralFAbove, drawNormal, seededRandom } from '../chance'
import { findTrend, foretell, numberFor, type Trend } from '.'
import { fitLevel } from './levelFit'
import { kendallTauB, theilSen } from './ranks'
import { shapesOf } from './shapes'
import { chanceOfClear } from './surer'

describe.each(bends)('golden: $name', ({ input, expected }) => {
  const points = input.readings.map(({ group, x, value }) => ({ group, x, y: value }))
  const trend = findTrend(points, { resolution: 0, grade: 'clear' })!

  it('one line, and what a bend adds to it', () => {
    expect(trend.df).toBe(expected.df)
    expectClose(trend.meanSquare, expected.meanSquare)
    expectClose(trend.line.c1, expected.slope)
    expectClose(trend.lineAdds!.F, expected.lineF)
    expectClose(trend.lineAdds!.p, expected.lineP)
    expectClose(trend.bendAdds!.F, expected.bendF)
    expectClose(trend.bendAdds!.p, expected.bendP)
    expectClose(trend.curve!.c1, expected.c1)
    expectClose(trend.curve!.c2, expected.c2)
  })
})

describe.each(golden)('golden: $name', ({ input, expected }) => {
  const points = input.x.map((x, place) => ({ x, y: input.y[place]! }))

  it('the second opinion: slope, agreement and the three shapes', () => {
    expectClose(theilSen(points)!, expected.theilSen)
    expectClose(kendallTauB(points)!, expected.kendallTauB)
    const shapes = shapesOf(points)
    for (const shape of shapes) expectClose(shape.aicc, expected.aicc[shape.shape])
    const [, straight, curved] = shapes
    expectClose(straight!.coefficients[0]!, expected.straight.intercept)
    expectClose(straight!.coefficients[1]!, expected.straight.slope)
    ;[expected.curved.c0, expected.curved.c1, expected.curved.c2].forEach((wanted, power) =>
      expectClose(curved!.coefficients[power]!, wanted),
    )
  })
})

/** Four groups at levels of their own, three results of each of five numbers. */
function over(values: number[], { wobble = 0.3, grade = 'clear' as Trend['pattern'] | 'clear' | 'same' | 'leaning' } = {}): Trend {
  const random = seededRandom(7)
  const points = ['A', 'B', 'C', 'D'].flatMap((group, level) =>
    values.flatMap((y, place) =>
      [1, 2, 3].map(() => ({ group, x: (place + 1) * 10, y: y + 5 * level + wobble * drawNormal(random) })),
    ),
  )
  return findTrend(points, { resolution: 0.1, grade: grade as 'clear' })!
}

describe('the pattern', () => {
  it.each([
    ['steady-up', [10, 20, 30, 40, 50]],
    ['steady-down', [50, 40, 30, 20, 10]],
    ['levelling-off', [10, 26, 37, 43, 45]],
    ['levelling-off', [45, 29, 18, 12, 10]],
    ['speeding-up', [10, 12, 18, 29, 45]],
    ['up-then-down', [10, 30, 38, 31, 9]],
    ['down-then-up', [40, 20, 12, 19, 41]],
    ['uneven', [15, 30, 20, 10, 25]],
  ] as const)('%s', (pattern, values) => {
    expect(over([...values]).pattern).toBe(pattern)
  })

  it('is named only where the evidence is clear, and level only where it is the same', () => {
    expect(over([10, 20, 30, 40, 50], { grade: 'leaning' }).pattern).toBe('not-seen')
    expect(over([20, 20, 20, 20, 20], { grade: 'same' }).pattern).toBe('level')
  })

  it('one line is said, drawn and foretold with', () => {
    const straight = over([10, 20, 30, 40, 50])
    expect(straight.taken).toBe(straight.line)
    expect(foretell(straight, 25).value).toBe(straight.line.at(25))
    const bent = over([10, 30, 38, 31, 9])
    expect(bent.taken).toBe(bent.curve)
    expect(foretell(bent, 25).value).toBe(bent.curve!.at(25))
  })

  it('needs three numbers', () => {
    const points = [10, 20].flatMap((x) => [1, 2, 3].map((y) => ({ group: 'A', x, y })))
    expect(findTrend(points, { resolution: 1, grade: 'clear' })).toBeUndefined()
  })
})

/** A class of six groups on y = x, each at its own level, read three times at each number. */
function classOn(random: () => number, levels = Array.from({ length: 6 }, () => 2 * drawNormal(random))): Trend {
  const points = levels
    .map((level, group) => {
      return [10, 20, 30, 40].flatMap((x) => [1, 2, 3].map(() => ({ group: `g${group}`, x, y: x + level + drawNormal(random) })))
    })
    .flat()
  return findTrend(points, { resolution: 0.1, grade: 'clear' })!
}

describe('forecasts, tried in a thousand classes', () => {
  it('another group lies within its interval 95 times in 100', () => {
    const random = seededRandom(11)
    const classes = 600
    let another = 0
    for (let one = 0; one < classes; one += 1) {
      const trend = classOn(random)
      const straight = { ...trend, taken: trend.line }
      const foretold = foretell(straight, 25)
      const average = () => [1, 2, 3].reduce((sum) => sum + drawNormal(random), 0) / 3
      const other = 25 + 2 * drawNormal(random) + average()
      if (other > foretold.another!.low && other < foretold.another!.high) another += 1
    }
    expect(another / classes).toBeGreaterThan(0.93)
    expect(another / classes).toBeLessThan(0.985)
  })

  it('one of these groups lies near its own line 95 times in 100', () => {
    const random = seededRandom(12)
    const levels = [-3, -2, -1, 1, 2, 3]
    let own = 0
    for (let one = 0; one < 600; one += 1) {
      const trend = classOn(random, levels)
      const straight = { ...trend, taken: trend.line }
      const ownLine = straight.taken.at(25) + (trend.line.levels[0]! - trend.line.level)
      const next = 25 + levels[0]! + [1, 2, 3].reduce((sum) => sum + drawNormal(random), 0) / 3
      if (Math.abs(next - ownLine) < foretell(straight, 25).reach) own += 1
    }
    expect(Math.abs(own / 600 - 0.95)).toBeLessThan(0.03)
  })

  it('backwards: the number that gives a result lies within its interval, and the safe one is safe', () => {
    const random = seededRandom(5)
    const classes = 400
    let [held, safe, asked] = [0, 0, 0]
    for (let one = 0; one < classes; one += 1) {
      const trend = classOn(random, [-3, -2, -1, 1, 2, 3])
      const found = numberFor({ ...trend, taken: trend.line }, 25)
      if (found.low! <= 25 && found.high! >= 25) held += 1
      if (found.safelyAbove === undefined) continue
      asked += 1
      const other = found.safelyAbove + 2 * drawNormal(random) + drawNormal(random) / Math.sqrt(3)
      if (other >= 25) safe += 1
    }
    expect(Math.abs(held / classes - 0.95)).toBeLessThan(0.035)
    expect(safe / asked).toBeGreaterThan(0.93)
  })

  it('warns outside, and finds no number where the curve never comes', () => {
    const bent = over([10, 30, 38, 31, 9])
    expect([foretell(bent, 25).outside, foretell(bent, 80).outside]).toEqual([false, true])
    expect(numberFor(bent, 500).x).toBeUndefined()
    expect(bent.curve!.at(numberFor(bent, 30).x!)).toBeCloseTo(30, 6)
    expect(over([10, 20, 30, 40, 50]).next).toBe(15)
  })
})

it('the worked examples in the comments', () => {
  expect(
    fitLevel(
      [1, 2, 3].map((x) => ({ group: 'A', x, y: 2 * x })),
      1,
    ).c1,
  ).toBeCloseTo(2, 12)
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
