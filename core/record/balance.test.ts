import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import planning from '../../test/golden/planning.json'
import { balanceOrder, placesOf, type Weighing } from '.'

const weigh = (words: string): Weighing[] =>
  words
    .split(' ')
    .filter(Boolean)
    .map((word) => ({ left: word[0]!, right: word[2]!, down: word[1] === '>' ? 'left' : word[1] === '<' ? 'right' : 'same' }))
const things = (count: number) => [...'abcdefghi'].slice(0, count)

/** How many weighings it takes when every answer is the worst one. What is alike up to names is looked at once. */
function worstCase(count: number): number {
  const known = new Map<string, number>()
  const go = (names: string[], weighings: Weighing[]): number => {
    const key = shapeOf(names, weighings)
    const before = known.get(key)
    if (before !== undefined) return before
    const { next } = balanceOrder(names, weighings)
    let worst = 0
    if (next) {
      const [left, right] = next
      const merged = weighings.map((one) => ({
        ...one,
        left: one.left === right ? left : one.left,
        right: one.right === right ? left : one.right,
      }))
      const others = names.filter((name) => name !== right)
      const after = (['left', 'right'] as const).map((down) => go(names, [...weighings, { left, right, down }]))
      worst = 1 + Math.max(...after, go(others, merged))
    }
    known.set(key, worst)
    return worst
  }
  return go(things(count), [])
}

/** What is known, written so that things which stand alike in it can change names. */
function shapeOf(names: string[], weighings: Weighing[]): string {
  const above = names.map(() => names.map(() => false))
  for (const { left, right, down } of weighings) {
    const [heavy, light] = down === 'left' ? [left, right] : [right, left]
    above[names.indexOf(heavy)]![names.indexOf(light)] = true
  }
  for (const middle of names.keys())
    for (const a of names.keys()) for (const b of names.keys()) if (above[a]![middle] && above[middle]![b]) above[a]![b] = true
  let colours = names.map(() => '')
  for (let round = 0; round < 3; round += 1) {
    const written = names.map((_, at) =>
      [
        ...[names.flatMap((__, other) => (above[at]![other] ? [colours[other]] : [])).sort()],
        ...[names.flatMap((__, other) => (above[other]![at] ? [colours[other]] : [])).sort()],
      ].join(';'),
    )
    const sorted = [...new Set(written)].sort()
    colours = written.map((one) => String(sorted.indexOf(one)).padStart(2, '0'))
  }
  const order = [...names.keys()].sort((a, b) => colours[a]!.localeCompare(colours[b]!))
  return order.map((a) => order.map((b) => Number(above[a]![b])).join('')).join()
}

describe('balanceOrder', () => {
  it.each(planning.balanceOrder)('$name: never more weighings than the bound and one', ({ input, expected }) => {
    expect(worstCase(input.n)).toBeLessThanOrEqual(expected.worstCaseAtMost)
  })

  it('finds the true order of any weights, equal ones together, and asks nothing that follows', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 2, maxLength: 11 }), (weights) => {
        const names = weights.map((_, place) => `thing ${place}`)
        const weightOf = (name: string) => weights[names.indexOf(name)]!
        const done: Weighing[] = []
        let state = balanceOrder(names, done)
        while (state.next) {
          const [left, right] = state.next
          expect(done.some((one) => [one.left, one.right].sort().join() === [left, right].sort().join())).toBe(false)
          const difference = weightOf(left) - weightOf(right)
          done.push({ left, right, down: difference > 0 ? 'left' : difference < 0 ? 'right' : 'same' })
          state = balanceOrder(names, done)
        }
        const heaviestFirst = [...new Set(weights)].sort((a, b) => b - a)
        expect(state.order).toEqual(heaviestFirst.map((weight) => names.filter((name) => weightOf(name) === weight)))
      }),
      { numRuns: 60 },
    )
  })

  it.each([
    ['a>b b>c c>a', 'a>b b>c c>a'],
    ['a>b b>c c>d d>a a=e', 'a>b b>c c>d d>a'],
    ['a=b b>c c=a', 'b>c c=a a=b'],
    ['a>b b>c c>d d>a a>c c>a', 'a>b b>c c>a'],
  ])('%s: shows the smallest loop', (answers, loop) => {
    const state = balanceOrder(things(5), weigh(answers))
    const words = (all: Weighing[]) => all.map(({ left, right, down }) => [left, right, down].join()).sort()
    expect(state).toMatchObject({ order: undefined, next: undefined })
    expect(words(state.loop)).toEqual(words(weigh(loop)))
  })

  it('a later answer about the same pair holds, and what is not there is passed over', () => {
    expect(balanceOrder(things(2), weigh('a>b b>a')).order).toEqual([['b'], ['a']])
    expect(balanceOrder(things(2), weigh('a>b a>x b>b')).order).toEqual([['a'], ['b']])
    expect(balanceOrder(['a'], []).order).toEqual([['a']])
  })

  it('equal ones share the middle of their places', () => {
    expect([...placesOf([['b'], ['a', 'c']])]).toEqual([
      ['b', 1],
      ['a', 2.5],
      ['c', 2.5],
    ])
  })
})
