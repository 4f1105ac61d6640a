export const PHASES = ['gather', 'wonder', 'plan', 'predict', 'fetch', 'test', 'clearAway', 'results', 'agree'] as const
export type Phase = (typeof PHASES)[number]

/** When the lesson is, and how long its parts take. */
export interface Clock {
  /** `HH:MM`, or empty. */
  start: string
  /** Length of the lesson in minutes. */
  minutes: number
  /** Minutes of every phase but the test, which is computed. */
  phases: Record<Exclude<Phase, 'test'>, number>
  /** Seconds of the parts of one trial. */
  trial: { setUp: number; run: number; read: number; reset: number }
  /** How many trials a group has running at the same time. */
  sideBySide: number
  /** One child of each group fetches the kit while the others predict. */
  fetchWhilePredicting: boolean
  /** Phases after testing that may be cut short for it, down to so many minutes; a phase that is not named keeps its length. */
  least: Partial<Record<LaterPhase, number>>
  /** How this class went in its last lessons; null while nobody knows. */
  pace: ClassPace | null
}

/** Phases from which testing can take minutes while it goes on. */
export const LATER_PHASES = ['clearAway', 'results', 'agree'] as const
export type LaterPhase = (typeof LATER_PHASES)[number]

/** What a class's last lessons tell of its next one. */
export interface ClassPace {
  /** So many times as long as planned its hands took. */
  times: number
  /** Share of its trials that ended without a number. */
  failed: number
  /** Out of how many lessons, and how many trials in them. */
  lessons: number
  trials: number
}

/** The parts of a trial, in their order. */
export const TRIAL_PARTS = ['setUp', 'run', 'read', 'reset'] as const
export type TrialPart = (typeof TRIAL_PARTS)[number]

export const ARRANGEMENTS = ['every-group', 'share-out', 'circuit', 'together'] as const
export type ArrangementWay = (typeof ARRANGEMENTS)[number]

export const TRIAL_ORDERS = ['mixed', 'blocks'] as const
export type TrialOrder = (typeof TRIAL_ORDERS)[number]

export const CHANGES = ['at-bell', 'when-ready'] as const

/** Who does which condition, and in which turn. */
export interface Arrangement {
  way: ArrangementWay
  /** In which order a group does its trials: mixed, or all of one condition before the next because changing over costs. */
  order: TrialOrder
  /** Why blocks are needed, in the teacher's words. */
  orderReason: string
  /** Sharing out: how many conditions each group does. */
  each: number
  /** Sharing out: the marked baseline is among every group's conditions. */
  baselineInEvery: boolean
  /** In a circuit groups move at a bell, or each when it is ready. */
  change: (typeof CHANGES)[number]
  /** Seconds to walk to the next station of a circuit. */
  walk: number
  /** How many stations of one condition stand in the room, by condition id; one where nothing is said. */
  copies: Record<string, number>
  /** Stations of a circuit where nothing is measured. */
  extra: ExtraStation[]
  /** Which of the drawn rotas is taken where groups move when ready. */
  draw: number
}

export interface ExtraStation {
  id: string
  name: string
  minutes: number
  copies: number
}
