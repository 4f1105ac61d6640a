import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seatsThere, visitRota } from '.'

const anyGroups = fc.array(fc.record({ seats: fc.integer({ min: 0, max: 6 }), away: fc.subarray([1, 2, 3]) }), { maxLength: 10 })

describe('visitRota', () => {
  it('puts nobody in two places, gives each table one visit a round, and lets everybody go and stay', () => {
    fc.assert(
      fc.property(anyGroups, (groups) => {
        const rounds = visitRota(groups)
        const there = groups.flatMap((group, place) => (seatsThere(group).length > 0 ? [place] : []))
        expect(rounds.length === 0).toBe(there.length < 2)
        for (const round of rounds) {
          expect(round.map(({ group }) => group)).toEqual(there)
          expect(round.map(({ to }) => to).sort()).toEqual([...there].sort())
          for (const { group, to, going, staying } of round) {
            expect(to).not.toBe(group)
            expect([...going, ...staying].sort()).toEqual(seatsThere(groups[group]!))
          }
        }
        for (const place of there) {
          const own = rounds.map((round) => round.find(({ group }) => group === place)!)
          for (const seat of seatsThere(groups[place]!))
            expect(own.filter(({ going }) => going.includes(seat)).length).toBe(rounds.length / 2)
          if (rounds.length < there.length) expect(new Set(own.map(({ to }) => to)).size).toBe(rounds.length)
        }
      }),
    )
  })
})
