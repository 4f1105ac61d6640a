import type { Plan } from './plan'

/** How many letters texts may have: the schemas refuse longer ones, and the fields of the forms take no more. */
export const LONGEST = {
  /** Names, labels, amounts and short notes. */
  name: 200,
  groupName: 40,
  /** Whatever is told at length: the hook, the notes, a sentence. */
  text: 4000,
  /** A teacher's note on a group. */
  note: 500,
  /** A number as it is entered. */
  entry: 60,
  reason: 300,
  observation: 2000,
  /** What children write at a station. */
  said: 400,
  proposal: 1000,
  code: 20,
  passphrase: 200,
} as const

/** A passphrase with fewer letters is too easily guessed. */
export const SHORTEST_PASSPHRASE = 8

/** No condition is done more often by one group. */
export const MOST_TRIALS = 20

/** From where to where numbers may go, for the schemas and the fields of the forms alike. */
export const BOUNDS = {
  children: { least: 0, most: 200 },
  hands: { least: 0, most: 200 },
  seats: { least: 0, most: 60 },
  repeats: { least: 1, most: MOST_TRIALS },
  practice: { least: 0, most: 5 },
  instruments: { least: 1, most: 60 },
  resolution: { least: 1e-6, most: 1e6 },
  wobble: { least: 0, most: 1e9 },
  timedAtOnce: { least: 1, most: 100 },
  timesAWeek: { least: 0, most: 200 },
  lessonMinutes: { least: 1, most: 600 },
  minutes: { least: 0, most: 600 },
  trialSeconds: { least: 0, most: 86_400 },
  sideBySide: { least: 1, most: 10 },
  walkSeconds: { least: 0, most: 3600 },
  copies: { least: 1, most: 10 },
  rinseSeconds: { least: 0, most: 600 },
  goesRound: { least: 1, most: 1000 },
  pace: { least: 0.2, most: 5 },
  failed: { least: 0, most: 1 },
  paceLessons: { least: 1, most: 100 },
  paceTrials: { least: 1, most: 100_000 },
  /** Share of a material that is taken along in reserve. */
  spare: { least: 0, most: 5 },
  /** Grams to the millilitre. */
  density: { least: 0.01, most: 100 },
  preparationMinutes: { least: 0, most: 1440 },
  preparationSecondsEach: { least: 0, most: 3600 },
  standingHours: { least: 0, most: 1440 },
  /** A stock, and what came back of it. */
  stock: { least: 0, most: 1e6 },
  heldDays: { least: 0, most: 30 },
} as const

/** How many of something a plan may have. */
export const MOST = {
  conditions: 60,
  cards: 60,
  remarks: 200,
  pictures: 4,
  wordPictures: 12,
  groups: 10,
  /** Where each child has a record of its own. */
  children: 34,
  materials: 100,
  substitutes: 6,
  ownCautions: 20,
  stationsBeside: 8,
  resetLines: 12,
  jobs: 6,
  retests: 200,
  notDone: 1000,
  warmUps: 400,
  criteria: 6,
} as const

/** How many pictures a lesson keeps and how large they may be together: as many as its file can hold, and nobody all of them. */
export const PICTURES = {
  most: 400,
  bytes: 60e6,
  ofDesk: { most: 120, bytes: 36e6 },
  ofStation: { most: 24, bytes: 8e6 },
} as const

/**
 * How many hands can go up: as many as there are children who are there; a class without a number is asked for none.
 * @example boundsOfHands(soakUpPlan()) // => { least: 0, most: 26 }
 */
export function boundsOfHands({ children, groups }: Pick<Plan, 'children' | 'groups'>): { least: number; most: number } {
  const away = groups.reduce((sum, group) => sum + group.away.length, 0)
  return children > away ? { least: 0, most: children - away } : BOUNDS.hands
}
