import type { UnitCode } from '../quantity'
import type { Material, OwnCaution } from './material'
import type { Arrangement, Clock } from './timing'

/** A change of the plan's shape raises it, with a step in core/formats/migrate.ts. */
export const PLAN_VERSION = 17

/**
 * The plan is one document: stored as it is, sent as it is, saved as the lesson file. Its Joi description stands in
 * schemas/plan.ts.
 */
export interface Plan {
  schemaVersion: typeof PLAN_VERSION
  /** The version that the plan was begun in: what was measured under an older one is judged anew. */
  begunIn: number
  kind: Kind
  title: string
  className: string
  children: number
  /** `YYYY-MM-DD`, or empty when no day is set. */
  date: string
  /** Which ready investigation it was started from. */
  investigation: string | null
  /** For the teacher only: never on board, station or report. */
  notes: string
  /** What the class calls the variables, on board and paper. */
  words: WordSet
  /** How a prediction begins. */
  frame: Frame
  /** What a prediction is: an order, a number, a line. */
  predictAs: PredictAs
  asked: Asked
  wonder: Wonder
  factors: Factor[]
  /** The one factor in the Change tray. Every other factor is kept the same. */
  changed: string | null
  measures: Measure[]
  /** The card in the Measure tray; the first one where there are several. */
  measured: string | null
  /** What is measured on every trial besides, at most two (core/test/measures.ts). */
  alsoMeasured: string[]
  /** What the class named as its main question before anything was read; null where all that is asked counts alike. */
  mainQuestion: MainQuestion | null
  /** The card that readings without a mark belong to, once there were several; null for the one in the tray. */
  unmarked: string | null
  conditionsAs: (typeof CONDITIONS_AS)[number]
  conditionUnit: UnitCode
  conditions: Condition[]
  /** The second thing that differs on purpose, and its values, each with its own conditions; none for most lessons (core/test/series.ts). */
  seriesFactor: string | null
  series: Series[]
  /** When and where a trial is read, for tests that watch over time. */
  watch: Watch
  repeats: number
  practice: number
  /** Each trial has a fresh thing (a new strip, a new cup), or the same one comes again (one ball, one boat). */
  things: Things
  /** The condition that each group predicts and tests as a last challenge; it is left out of the test itself (core/predictions/challenge.ts). */
  challenge: string | null
  /** Testing is over: places that are still empty stay so. */
  gapsStay: boolean
  /** Whose the records are: each group's, or each child's own (core/lesson/eachChild.ts). */
  each: Each
  /** Who writes down a record: groups with their seats, or children, each with one seat and its code for a name. */
  groups: Group[]
  /** What has to be so before each trial; shown on the station. */
  resetList: string[]
  materials: Material[]
  /** Things to take care of that no rule knows. */
  ownCautions: OwnCaution[]
  cautionsAcknowledged: string[]
  /** Why a caution that a rule found does not apply here, by its code. It stays on the list with this reason. */
  cautionsNotHere: Record<string, string>
  clock: Clock
  /** Who does which condition when. */
  arrangement: Arrangement
  /** What children in a group take turns at. */
  jobs: string[]
  /** A second child reads every number that counts before it is written down. */
  secondReader: boolean
  /** Trials that are done once more, beyond the repeats of everybody. */
  retests: Retest[]
  /** Trials that were planned and that somebody decided not to do, since time was short; what is there of them stays. */
  notDone: Retest[]
  /** How the class sums up its readings, and to how many digits. */
  average: AverageWay
  averageTo: (typeof AVERAGE_TO)[number]
  /** The graph that the class chose; null for the one that shows its results best. */
  graph: GraphKind | null
  /** How old the children are, for how their sentences begin. */
  age: Age
  /** What the class looks for when groups visit each other: what makes a test a good one. */
  criteria: string[]
  /** For the teacher only: what a group did well and what comes next for it, by group id. */
  groupNotes: Record<string, { well: string; next: string }>
}

export const EACH = ['group', 'child'] as const
export type Each = (typeof EACH)[number]

export const CONDITIONS_AS = ['kinds', 'numbers'] as const
export const AVERAGE_TO = ['mark', 'one-more'] as const
export const WATCH_UNITS = ['min', 'day'] as const
export const AMONG = ['group', 'class'] as const
/** The ways of reading: a number with a unit, an ordered word, a word without an order, a place by finishing or by weighing two at a time. */
export const WAYS = ['number', 'words', 'sorts', 'race', 'balance'] as const
export type Way = (typeof WAYS)[number]
export const EACH_IS = ['shown', 'risen', 'used'] as const
export const COUNTED = ['last', 'change', 'loss', 'of-100', 'rate', 'total', 'average', 'highest', 'until'] as const
export const BEST = ['most', 'least', 'nearest', 'none'] as const
export const EXPECTED_FROM = ['guess', 'practice', 'bench'] as const

export const THINGS = ['fresh', 'same', 'class'] as const
export type Things = (typeof THINGS)[number]

/** One of several measures and series, and when it was named: after the first reading it would only be the one that came out best. */
export interface MainQuestion {
  measure: string
  /** One value of the second thing that differs; null where there are none. */
  series: string | null
  at: string
}

/** One trial of one group. */
export interface Retest {
  group: string
  condition: string
  repeat: number
}

export const AVERAGE_WAYS = ['mean', 'median', 'mode', 'none'] as const
export type AverageWay = (typeof AVERAGE_WAYS)[number]

export const GRAPH_KINDS = [
  'bars',
  'points',
  'curve',
  'lines',
  'stages',
  'pairs',
  'number-line',
  'places',
  'words',
  'tries',
  'by-group',
  'histogram',
] as const
export type GraphKind = (typeof GRAPH_KINDS)[number]

export const AGES = ['5-7', '7-9', '9-11'] as const
export type Age = (typeof AGES)[number]

/**
 * The kinds of test. A fair test with numbers is a fair test whose conditions are numbers. `before-after` reads every trial twice,
 * `over-time` at every time of `watch`; `order` finds who comes first; `improve` tries a better one again; `describe` uses words.
 */
export const KINDS = ['fair-test', 'before-after', 'over-time', 'order', 'improve', 'describe'] as const
export type Kind = (typeof KINDS)[number]

export const WORD_SETS = ['change-measure', 'test-outcome', 'independent-dependent'] as const
export type WordSet = (typeof WORD_SETS)[number]

export const FRAMES = ['i-think', 'if-then'] as const
export type Frame = (typeof FRAMES)[number]

/** What can be predicted; `hands` is the class's count by hands up and is taken beside any of the others. */
export const PREDICT_AS = ['order', 'most-least', 'number', 'line', 'change'] as const
export type PredictAs = (typeof PREDICT_AS)[number]

export const WHOSE_QUESTION = ['teacher', 'class', 'groups'] as const
export type WhoseQuestion = (typeof WHOSE_QUESTION)[number]

/** Whose question it is, and which wondering it came from. */
export interface Asked {
  whose: WhoseQuestion
  /** The chosen wondering. */
  chosen: string | null
}

export interface Wonder {
  hook: string
  pictures: Picture[]
  noticed: Remark[]
  maybe: Remark[]
  wondered: Remark[]
  /** Remarks from stations that somebody took away at the desk. */
  takenAway: string[]
}

/** A picture of the hook; the picture itself is stored beside the plan. */
export interface Picture {
  id: string
  caption: string
}

export const REMARK_LISTS = ['noticed', 'maybe', 'wondered'] as const
export type RemarkList = (typeof REMARK_LISTS)[number]

export const TESTABLE_CHECKS = ['change', 'measure', 'time', 'safe'] as const
export type TestableCheck = (typeof TESTABLE_CHECKS)[number]

export interface Remark {
  id: string
  text: string
  /** Somebody was asked whether it is a guess and said that it was noticed. */
  kept: boolean
  /** The group that said it at its station; null for the desk. */
  by: string | null
  /** A wondering kept for next time. */
  later: boolean
  /** What the teacher answered to "could we test it?", over what the words suggest. */
  answers: Partial<Record<TestableCheck, boolean>>
}

/** When every trial is read, and at which places in it. */
export interface Watch {
  unit: (typeof WATCH_UNITS)[number]
  /** Since the trial's own start, ascending. */
  times: number[]
  /** Moments that have names instead of times ("dry", "wet", "dry again"), in their order; none where times say when. */
  named: NamedMoment[]
  /** Places in each jar, such as "top"; none stands for one place. */
  places: string[]
  /** How many instruments take turns at the jars. */
  instruments: number
  /** Whether these are one group's own or all that the class has. */
  among: (typeof AMONG)[number]
}

export interface NamedMoment {
  id: string
  name: string
  /** It is read at home, on a day without school. */
  atHome: boolean
}

export interface Factor {
  id: string
  name: string
  /** How it is kept the same: a value or a habit ("2 cm, cut on the guillotine"). */
  how: string
  /** Where a condition differs from `how`, by condition id; `?` stands for unknown. */
  exceptions: Record<string, string>
  /** It cannot be kept the same: it comes with what is changed, as light comes with a place. */
  comesWith: boolean
}

export interface Measure {
  id: string
  name: string
  method: Method
  /** How it was read in other ways before: what was said of them comes back with the way. */
  otherWays: Method[]
}

/** How a card is read, whatever its way: what the teacher expects of it, which figure counts and what is best. */
interface Expecting {
  tool: string
  /** Standard deviation from one trial to the next of the same condition, in `unit`; null while nobody knows, and then it is assumed. */
  trialWobble: number | null
  /** The lowest and the highest result the teacher expects, in `unit`. */
  expectedLow: number | null
  expectedHigh: number | null
  /** Expected result of single conditions, by condition id; without one they lie evenly between the lowest and the highest. */
  expected: Record<string, number>
  expectedFrom: (typeof EXPECTED_FROM)[number]
  /** Which figure speaks for a trial that is read several times; null while nobody was asked (core/test/counts.ts). */
  counts: (typeof COUNTED)[number] | null
  /** Where a trial is read in several places: the one that counts, 0 for the first; null for the first less the last. */
  countsPlace: number | null
  /** What it has to reach, where the time until then counts: a number in `unit`, or a word's place in the list. */
  countsUntil: number | null
  /** What is best; null while nobody was asked (core/test/best.ts). */
  best: (typeof BEST)[number] | null
  /** Of what can be less than nothing only its size counts: 3 colder is as much as 3 warmer. */
  bySize: boolean
}

/** A number with a unit. */
export interface NumberMethod extends Expecting {
  way: 'number'
  unit: UnitCode
  /** The smallest mark, in `unit`. */
  resolution: number
  /** Standard deviation of reading the mark, in `unit`; null follows the mark (core/measuring/wobble.ts) until somebody types another. */
  readingWobble: number | null
  /** Standard deviation of starting or stopping a clock by hand, in `unit`. */
  timingWobble: number
  /** How many of one event are timed at once (ten swings); timing wobble is shared among them. */
  atOnce: number
  /** Seconds by which the class stopped the clock too late, from its own stopwatch warm-up. */
  warmUp: number[]
  /** The smallest difference worth talking about, in `unit`; 0 leaves it to the instrument. */
  differenceThatMatters: number
  /** What one number is: what the instrument shows, finish less start, or start less what is left. */
  eachIs: (typeof EACH_IS)[number]
  /** Containers are weighed empty first, and only what is in them counts. */
  weighsEmpty: boolean
  /** What each container weighs empty, in `unit`, by `group/condition`. */
  empties: Record<string, number>
  /** A value known from elsewhere, in the unit of the result: a usual amount, or what a rule foretells. */
  known: number | null
  knownName: string
  /** How often a week one child does what was measured; null leaves out what a saving adds up to. */
  knownWeekly: number | null
  /** The number that the best one comes nearest to, in `unit`. */
  bestNumber: number | null
  /** The most that a condition can give, by its id, in `unit`: where the string, the table or the watch ends. */
  mostPossible: Record<string, number>
}

interface FromWords extends Expecting {
  /** The words that can be chosen; a reading is its word's place in the list, 1 for the first. */
  words: string[]
  /** Pictures beside the words, by word; the pictures themselves are stored beside the plan. */
  wordPictures: Record<string, string>
}

/** A word out of an ordered list, the least first. */
export interface WordsMethod extends FromWords {
  way: 'words'
}

/** A word out of a list without an order: left, right, straight on. */
interface SortsMethod extends FromWords {
  way: 'sorts'
}

/** A place in an order of finishing, side by side; what is expected is in seconds. */
interface RaceMethod extends Expecting {
  way: 'race'
}

/** A place in an order by weighing two at a time; what is expected is in grams. */
interface BalanceMethod extends Expecting {
  way: 'balance'
}

/** How a card is read, as it is stored: only what its way of reading knows (core/test/ways). */
export type Method = NumberMethod | WordsMethod | SortsMethod | RaceMethod | BalanceMethod

export interface Condition {
  id: string
  /** A kind ("tissue"), or a number as the teacher wrote it ("40 cm"). */
  label: string
  baseline: boolean
  /** Left out of the test, its readings kept. */
  leftOut: boolean
}

/** One value of the second thing that differs: a line of its own. */
export interface Series {
  id: string
  name: string
  /** Its conditions, by id. */
  conditions: string[]
}

export const SHAPES = ['circle', 'triangle', 'square', 'diamond', 'star', 'hexagon', 'cross', 'heart', 'drop', 'moon'] as const
export type Shape = (typeof SHAPES)[number]

export interface Group {
  id: string
  name: string
  shape: Shape
  seats: number
  /** The wondering that this group chose, where each group asks its own. */
  wondering: string | null
  /** Seat numbers of children who are not there today. */
  away: number[]
  /** The record whose thing this child shares, by id; null where it has its own. */
  sharesWith: string | null
  /** What a child types after its code, where each child has its own; on its strip only, never on a board. Empty for a group. */
  key: string
}

export const STOPS = ['wonder', 'plan', 'kit', 'clock', 'predict', 'test', 'results', 'agree'] as const
export type Stop = (typeof STOPS)[number]
