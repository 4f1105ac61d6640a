import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { friedman, weighOrder, type Observation } from '.'

const blocks = (...rows: number[][]): Observation[] =>
  rows.flatMap((row, block) => row.map((value, place) => ({ group: `g${block}`, condition: 'abcdef'[place]!, value })))

describe('friedman', () => {
  it('three groups of one mind about three things', () => {
    const agreed = friedman(blocks([1, 2, 3], [1, 2, 3], [1, 2, 3]))!
    expect(agreed).toMatchObject({ statistic: 6, blocks: 3 })
    expect(agreed.p).toBeCloseTo(1 / 36, 12)
  })

  it('averages ties, and finds nothing where everything is tied', () => {
    // By hand: ranks (1.5, 1.5, 3) twice and (1, 2, 3): sums -2 -0.5... centred -0.5 x 2 - 1, -0.5 x 2 + 0, 1 x 3.
    const tied = friedman(blocks([5, 5, 9], [5, 5, 9], [4, 6, 9]))!
    expect(tied.statistic).toBeCloseTo((2 * (4 + 1 + 9)) / (1.5 + 1.5 + 2), 12)
    expect(friedman(blocks([1, 1], [1, 1]))!.p).toBe(1)
  })

  it('leaves out a group that has not seen everything, and says nothing of one group', () => {
    expect(friedman([...blocks([1, 2, 3], [1, 2, 3]), { group: 'late', condition: 'a', value: 3 }])!.blocks).toBe(2)
    expect(friedman(blocks([1, 2, 3]))).toBeUndefined()
  })

  it('does not mind what the conditions are called, nor a stretch of the scale', () => {
    const rows = fc.array(fc.shuffledSubarray([1, 2, 3], { minLength: 3 }), { minLength: 2, maxLength: 5 })
    fc.assert(
      fc.property(rows, (own) => {
        const plain = friedman(blocks(...own))!
        const stretched = friedman(blocks(...own.map((row) => [...row].reverse().map((value) => value ** 3 + 7))))!
        expect(stretched.statistic).toBeCloseTo(plain.statistic, 9)
        expect(stretched.p).toBeCloseTo(plain.p, 9)
      }),
      { numRuns: 40 },
    )
  })

  it('claims an order by luck in about one class of twenty at most, also where it draws arrangements', () => {
    const orders = fc.sample(fc.array(fc.shuffledSubarray([1, 2, 3, 4], { minLength: 4 }), { minLength: 6, maxLength: 6 }), {
      numRuns: 120,
      seed: 7,
    })
    const claimed = orders.filter((rows) => friedman(blocks(...rows))!.p <= 0.05).length
    expect(claimed / orders.length).toBeLessThan(0.1)
  })
})

it('places: the first one leads; words: the most does; four orders are too few to tell neighbours apart', () => {
  const rows = blocks([1, 2, 3], [1, 2, 3], [1, 2, 3], [1, 2, 3]).map((one) => ({ ...one, repeat: 1 }))
  const race = weighOrder(rows, 'places')
  expect(race).toMatchObject({ grade: 'clear', order: ['a', 'b', 'c'], lead: { more: 'a', less: 'b', grade: 'cannot-tell' } })
  expect(race.agreement!.agreeing).toHaveLength(4)
  expect(weighOrder(rows, 'words').order).toEqual(['c', 'b', 'a'])
  // One group alone: its races are the blocks.
  const alone = rows.map((one, place) => ({ ...one, group: 'g', repeat: Math.floor(place / 3) + 1 }))
  expect(weighOrder(alone, 'places')).toMatchObject({ grade: 'clear', friedman: { blocks: 4 } })
})
