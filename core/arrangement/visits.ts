import { seatsThere } from './jobs'

/** One group's visit in one round: who goes where, who stays and explains. */
export interface GroupVisit {
  /** Places of the groups in the plan. */
  group: number
  to: number
  going: number[]
  staying: number[]
}

/**
 * One half of each group goes and listens, the other stays and explains; in the next round they change. Every table has one group of visitors a round, no
 * group is visited by the same one twice, and after every second round each child has gone as often as it stayed. Who sits alone stays and goes in turn: its
 * table is read while it is away.
 * @param groups in the plan's order
 * @returns rounds, an even number of them, as many as bring everybody to as many other groups as there are
 * @example visitRota([{ seats: 2, away: [] }, { seats: 2, away: [] }, { seats: 2, away: [] }])[0]![0] // => { group: 0, to: 1, going: [1], staying: [2] }
 */
export function visitRota(groups: { seats: number; away: number[] }[]): GroupVisit[][] {
  const there = groups.map((group, place) => ({ place, seats: seatsThere(group) })).filter(({ seats }) => seats.length > 0)
  const count = there.length
  if (count < 2) return []
  const rounds = Math.max(2, count - 1 - ((count - 1) % 2))
  return Array.from({ length: rounds }, (_, round) =>
    there.map(({ place, seats }, at): GroupVisit => {
      const host = there[(at + 1 + (round % (count - 1))) % count]!
      const goes = (_seat: number, index: number) => (index + round) % 2 === 0
      return {
        group: place,
        to: host.place,
        going: seats.filter(goes),
        staying: seats.filter((seat, index) => !goes(seat, index)),
      }
    }),
  )
}
