/** Who does which job in one trial: for every job the seat number that does it. */
export interface JobTurn {
  trial: number
  seats: number[]
}

/**
 * Jobs that turn with the trials. Each trial every job moves on by one seat, so that over the lesson the children's counts of
 * any job differ by at most one and nobody has the same job twice running, unless a child is alone. A small group has two jobs a
 * child at times; in a large one somebody watches.
 * @param seats the seat numbers that are there
 * @example jobsFor([1, 2, 4], 4, 2) // => [{ trial: 1, seats: [1, 2, 4, 1] }, { trial: 2, seats: [2, 4, 1, 2] }]
 */
export function jobsFor(seats: number[], jobs: number, trials: number): JobTurn[] {
  if (seats.length === 0) return []
  return Array.from({ length: trials }, (_, trial) => ({
    trial: trial + 1,
    seats: Array.from({ length: jobs }, (_, job) => seats[(job + trial) % seats.length]!),
  }))
}

/**
 * The same turns with the trials that are alike in one: after as many trials as there are children everybody is where they began.
 * @example jobRounds([1, 2], 2, 5) // => [{ trials: [1, 3, 5], seats: [1, 2] }, { trials: [2, 4], seats: [2, 1] }]
 */
export function jobRounds(seats: number[], jobs: number, trials: number): { trials: number[]; seats: number[] }[] {
  return jobsFor(seats, jobs, Math.min(seats.length, trials)).map((turn) => ({
    trials: Array.from(
      { length: Math.ceil((trials - turn.trial + 1) / seats.length) },
      (_, place) => turn.trial + place * seats.length,
    ),
    seats: turn.seats,
  }))
}

/** The seats of a group where somebody sits today. `seatsThere({ seats: 4, away: [3] }) // [1, 2, 4]` */
export function seatsThere({ seats, away }: { seats: number; away: number[] }): number[] {
  return Array.from({ length: seats }, (_, place) => place + 1).filter((seat) => !away.includes(seat))
}

/**
 * Rounds in which every group hears every other group's way: pairs by the circle method, one group resting where they are odd.
 * @returns for each round the pairs of group places, and who rests
 * @example sharingRota(4).length // => 3
 */
export function sharingRota(groups: number): { pairs: [number, number][]; rests: number | undefined }[] {
  if (groups < 2) return []
  const even = groups + (groups % 2)
  return Array.from({ length: even - 1 }, (_, round) => {
    const seat = (place: number) => (place === 0 ? 0 : ((place - 1 + round) % (even - 1)) + 1)
    const pairs = Array.from({ length: even / 2 }, (_, place): [number, number] => [seat(place), seat(even - 1 - place)])
    const rests = pairs.find((pair) => pair.includes(groups))?.find((place) => place !== groups)
    return { pairs: pairs.filter((pair) => !pair.includes(groups)), rests: groups % 2 === 0 ? undefined : rests }
  })
}

/**
 * Who does which job in a group's next trial; nothing where nobody sits or no jobs are given out.
 * @param done how many trials the group has behind it
 * @example nextTurn({ jobs: ['starter', 'measurer'], seats: 4, away: [3] }, 1)
 *   // => [{ job: 'starter', seat: 2 }, { job: 'measurer', seat: 4 }]
 */
export function nextTurn(
  { jobs, seats, away }: { jobs: string[]; seats: number; away: number[] },
  done: number,
): { job: string; seat: number }[] {
  // A child alone has nobody to share them out with.
  if (seatsThere({ seats, away }).length < 2) return []
  const turn = jobsFor(seatsThere({ seats, away }), jobs.length, done + 1).at(-1)
  return turn ? jobs.map((job, place) => ({ job, seat: turn.seats[place]! })) : []
}
