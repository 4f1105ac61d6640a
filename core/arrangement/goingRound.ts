export interface Turn {
  group: number
  instrument: number
  trial: number
  /** Seconds since the test began. */
  start: number
  end: number
}

/**
 * Seconds that a test takes when the groups share instruments that they each need for a part of every trial. Groups start one
 * instrument's time after another; a trial then lasts at least as long as one instrument needs to go once round its groups.
 * @param trials  of one group
 * @param trial   seconds of one trial
 * @param hold    seconds that a trial needs the instrument
 * @example secondsGoingRound({ groups: 7, instruments: 2, trials: 16, trial: 105, hold: 10 }) // => 16 * 105 + 3 * 10
 */
export function secondsGoingRound(ask: {
  groups: number
  instruments: number
  trials: number
  trial: number
  hold: number
}): number {
  const { waits, period } = rhythm(ask)
  return ask.trials === 0 ? 0 : waits * ask.hold + ask.trials * period
}

/** Who has which instrument when: never two groups, and every group at the same point of each of its trials. */
export function turnsGoingRound(ask: {
  groups: number
  instruments: number
  trials: number
  trial: number
  hold: number
  /** Seconds from the start of a trial until the instrument is needed. */
  after: number
}): Turn[] {
  const { period } = rhythm(ask)
  return Array.from({ length: ask.groups }, (_, group) =>
    Array.from({ length: ask.trials }, (_, trial): Turn => {
      const start = Math.floor(group / ask.instruments) * ask.hold + trial * period + ask.after
      return { group, instrument: group % ask.instruments, trial, start, end: start + ask.hold }
    }),
  )
    .flat()
    .sort((a, b) => a.start - b.start || a.group - b.group)
}

/** The fewest instruments with which nobody has to wait longer for them than a trial lasts. */
export function fewestGoingRound({ groups, trial, hold }: { groups: number; trial: number; hold: number }): number {
  if (hold === 0 || trial === 0) return 1
  return Math.max(1, Math.ceil(groups / Math.max(1, Math.floor(trial / hold))))
}

function rhythm({ groups, instruments, trial, hold }: { groups: number; instruments: number; trial: number; hold: number }) {
  const round = Math.ceil(groups / Math.max(1, instruments))
  return { waits: Math.max(0, round - 1), period: Math.max(trial, round * hold) }
}
