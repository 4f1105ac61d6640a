import type { Booking, CountedBack, Customs, School, Stocked, Thing } from '../core/kit'
import type { AskedEntry, Doubt } from '../core/record'
import type { SmallBar } from '../core/charts'
import type { Calendar, PartOfShelf } from '../core/clock'
import type { FilePicture, ImportChoices } from '../core/formats'
import type {
  BoardChange,
  BoardState,
  ClassPace,
  Each,
  Group,
  Kind,
  LessonEvent,
  LessonRecord,
  ListOf,
  OnTheCard,
  Plan,
  RowKindName,
  RowOf,
} from '../core/lesson'
import type { Together, TogetherChange } from '../core/together'
import type { ExpectedWords, MatterWords } from '../core/wording'
import type { Term, TermLesson } from '../core/wording/reports'
import type { Teaching } from '../core/test'
import type { RowBody, StationBody } from './rows'
import type { CalendarBody, HeldBody, PaceBody, Reached, ReachBody } from './school'
import type { TermLessons, TermPlan, TermPlanAsk } from './termPlan'
import type {
  AskedAtDeskBody,
  GroupTogetherBody,
  JoinLessonsBody,
  JoinTogether,
  OwnQuestionBody,
  SplitBody,
  StationTogether,
  TogetherEntry,
  WholeTogether,
  LessonsBody,
} from './togetherContract'

/** A file to keep, or a picture: followed by a link, never called. */
type Download = string | Uint8Array
/** Events as they come; see app/following/line.ts. */
type Stream = Promise<void>

/** A lesson as the desk has it. */
export interface DeskLesson {
  id: string
  plan: Plan
  revision: number
  code: string
  board: BoardState
  archived: boolean
  /** Whose it is; null for the head desk. */
  desk: string | null
  /** The lessons it runs together with. */
  together: string | null
  savedAt: string
}

/** A lesson as it is opened at the desk. */
export interface OpenedLesson extends WholeLesson {
  /** Where the groups' own questions are parts of one lesson: that one, which may be this one itself. */
  partOf: { id: string; title: string } | null
}

/** A lesson with everything recorded in it, and the number of the last event in that. */
export interface WholeLesson {
  lesson: DeskLesson
  record: LessonRecord
  event: number
}

/** What may be seen by a whole class. */
export interface BoardView {
  /** What stands on one board with it: the groups' own questions of this lesson. */
  whole: string | null
  plan: Plan
  code: string
  board: BoardState
  record: LessonRecord
  event: number
}

export interface StationView extends Omit<BoardView, 'whole'> {
  station: string
  group: string
  locked: boolean
  /** Another name than before: the data came back from a snapshot, and what was sent lately is offered again. */
  epoch: string
  /** The record is the whole class's, since its numbers may be seen. */
  all: boolean
  together: StationTogether | null
}

/** A station as the desk sees it. */
export interface JoinedStation {
  id: string
  group: string
  locked: boolean
  joinedAt: string
  present: boolean
  lastSeenAt: string | null
}

/** Asked by whatever looks after a server, without a passphrase. */
interface Health {
  answers: boolean
  version: string
  database: 'folder' | 'server'
  /** When the newest snapshot was taken; null where there is none yet, or none are taken. */
  newestSnapshot: string | null
  streams: number
}

/** How long a route's requests took since the start, in milliseconds. */
export interface RouteFigures {
  route: string
  count: number
  failed: number
  usual: number
  slowest: number
}

/** How the server is; nothing of a lesson stands in it. */
export interface HowItIs {
  version: string
  node: string
  since: string
  database: { kind: Health['database']; bytes: number | null; lessons: number }
  /** Null on a database server, whose backups are the school's. */
  snapshots: { count: number; newest: string | null } | null
  /** In bytes. */
  memory: number
  streams: number
  routes: RouteFigures[]
  mended: { at: string; damage: string; takenAt: string | null }[]
  /** The file that the log goes to; null where it goes to whoever started the server. */
  log: string | null
}

/** One lesson on the shelf. */
export interface ShelfEntry {
  id: string
  title: string
  question: string
  className: string
  date: string
  start: string
  archived: boolean
  part: PartOfShelf
  /** 0 to 1. */
  level: number
  /** What it waits for most, and how much besides. */
  matters: { first: MatterWords | null; more: number }
  picture: SmallBar[]
  /** Nobody has worked it out yet: level, matters and picture say nothing. */
  judged: boolean
}

/** Which lessons of the shelf: words that are in them, of which class, put away or not, and which page of them. */
export interface ShelfQuestion {
  find: string
  /** Empty for all classes. */
  className: string
  archived?: boolean
  from: number
  most: number
}

export interface ShelfPage {
  lessons: ShelfEntry[]
  /** How many there are, on all pages. */
  all: number
  putAway: number
  /** The classes that lessons of this desk are for. */
  classes: string[]
  /** So many of those shown are being worked out anew; it is worth looking again. */
  renewing: number
}

/** Is class mode on, may this page use a desk and which, and at which addresses stations find the server. */
export interface ClassMode {
  on: boolean
  desk: boolean
  /** A class's own desk; null at the head desk, which sees all, and where no desk is open. */
  own: DeskName | null
  addresses: string[]
}

/** A class's own desk. */
export interface DeskName {
  id: string
  name: string
}

export const MOVE_REASONS = ['new', 'corrected', 'imported', 'counted-back', 'taken-out'] as const

/** Why and by how much the stock of a thing changed. */
export interface Move {
  number: number
  thing: string
  lesson: string | null
  title: string | null
  why: (typeof MOVE_REASONS)[number]
  change: number
  broken: number
  stock: number
  at: string
}

/** What a backup brought back. */
export interface Restored {
  added: number
  alreadyThere: number
  /** Lessons that are here in another state: the saved one stands beside them. */
  beside: number
  things: number
  /** Lessons that could not be read, with the reason. */
  damaged: { lesson: string; message: string }[]
  /** What the backup says of the school and is said otherwise here; nothing of it was taken. Null where nothing is. */
  differs: SchoolDiffers | null
}

/** What of a school is otherwise in a backup. */
export interface SchoolDiffers {
  /** The days for which used things are held back. */
  held: boolean
  /** Its English, kitchen measures and money. */
  customs: boolean
  /** Of these classes. */
  calendars: string[]
}

/** What became of a file that was opened. */
export interface Opened {
  id: string
  /** What its lessons run as, where it has several. */
  together?: string
  startingPoint?: true
}

/** What was damaged in the data, and what took its place. */
export interface Mended {
  /** What was wrong, in the words of the database. */
  damage: string
  /** When the snapshot was taken whose data these are; null where there is none, and the damaged data are still in use. */
  takenAt: string | null
  /** Where the damaged data lie now; null where they are in use, or where there were none any more. */
  aside: string | null
  /** Snapshots that were damaged as well. */
  passedOver: string[]
}

/** Something about the data that stays on the shelf until somebody has read it. */
export interface Notice extends Mended {
  id: string
  at: string
}

/** What a lesson begins from; without class and children it is for the class of the last one. */
export interface NewLesson {
  investigation: string | null
  /** Changed so that the cupboard has what it needs. */
  withWhatIsThere?: boolean
  /** The plan that a line was made into. */
  draft?: Plan
  className?: string
  children?: number
}

/** One card of the library. */
export interface InvestigationCard extends OnTheCard {
  id: string
  title: string
  question: string
  kind: Kind
  minutes: number
  /** What children practise with it, by name: skills and what is measured. */
  practises: string[]
  /** Counted for the class of the last lesson. */
  needs: { name: string; stocked: Stocked }[]
  /** A lesson that somebody kept to begin from; it can be taken away again. */
  own: boolean
  /** The investigation that it comes from and whose drawing it has; null for one from nothing. */
  drawing: string | null
}

/** Everything that the library knows of one lesson to begin from. */
export interface InvestigationInside {
  card: InvestigationCard
  teaching: Teaching
  plan: Plan
  /** What the class of the last lesson needs, a line each. */
  needed: string[]
  /** What is likely to come out, where anybody can say. */
  expected: ExpectedWords | undefined
  /** What getting ready takes. */
  ready: string
}

export interface Investigations {
  investigations: InvestigationCard[]
  /** Whom the next lesson is for, as long as nobody says another. */
  className: string
  children: number
  classes: string[]
}

interface Begun {
  answer: { id: string }
}

type RowAnswer<Name extends RowKindName> = Name extends 'reading' ? { added: number } : { [Key in Name]: RowOf<Name> }

type DeskRows = {
  [Name in RowKindName as `POST /api/lessons/[lesson]/${ListOf<Name>}`]: { body: RowBody<Name>; answer: RowAnswer<Name> }
}
type StationRows = {
  [Name in RowKindName as `POST /api/station/${ListOf<Name>}`]: { body: StationBody<Name>; answer: RowAnswer<Name> }
}

/**
 * Everything that goes over the wire between a page and the server: method and path (as the folders of server/api have it), query,
 * body and answer. Both sides take their types from here; what each route may be asked is checked by the schemas beside it.
 */
interface Contract extends DeskRows, StationRows {
  'GET /api/health': { answer: Health }
  'GET /api/how-it-is': { answer: HowItIs }
  'GET /api/how-it-is/bundle': { answer: Download }
  'GET /api/class-mode': { answer: ClassMode }
  'PUT /api/class-mode': { body: { passphrase: string }; answer: { on: boolean } }
  'DELETE /api/class-mode': { answer: { on: boolean } }
  'GET /api/desk': { answer: { desks: DeskName[] } }
  'POST /api/desk': { body: { passphrase: string; desk: string | null }; answer: { desk: boolean } }
  'DELETE /api/desk': { answer: { done: boolean } }
  'POST /api/desks': { body: { name: string; passphrase: string }; answer: { id: string } }
  'PUT /api/desks/[desk]': { body: { name: string; passphrase: string }; answer: { id: string } }
  'DELETE /api/desks/[desk]': { answer: { done: boolean } }

  'GET /api/lessons': { query: ShelfQuestion; answer: ShelfPage }
  'POST /api/lessons': { body: NewLesson; answer: { id: string; changed: string } }
  'POST /api/lessons/open': { body: { text: string }; answer: Opened }
  'GET /api/investigations': { answer: Investigations }
  'GET /api/investigations/[investigation]': { answer: InvestigationInside }
  'DELETE /api/investigations/[investigation]': { answer: { done: boolean } }
  'GET /api/investigations/[investigation]/file': { answer: Download }
  'POST /api/demo': Begun
  'GET /api/demo/walk': { answer: { lesson: string | null } }
  'DELETE /api/demo/walk': { answer: { done: boolean } }
  'GET /api/term': { query: Term; answer: { lessons: TermLesson[]; classes: string[]; renewing: number } }
  'POST /api/term/plan': { body: TermPlanAsk; answer: TermPlan }
  'POST /api/term/lessons': { body: TermLessons; answer: { ids: string[] } }
  'GET /api/notices': { answer: { notices: Notice[] } }
  'DELETE /api/notices/[notice]': { answer: { done: boolean } }
  'GET /api/library': { answer: Download }
  'POST /api/library': { query: { takeSchool: boolean }; answer: Restored }

  'GET /api/lessons/[lesson]': { answer: OpenedLesson }
  'POST /api/lessons/[lesson]/keep': Begun & { body: OnTheCard }
  'GET /api/lessons/[lesson]/warm-ups': { answer: { errors: number[] } }
  'POST /api/lessons/[lesson]/warm-ups': { body: { error: number }; answer: { done: boolean } }
  'PUT /api/lessons/[lesson]/plan': { body: { plan: Plan; revision: number }; answer: { revision: number } }
  'PUT /api/lessons/[lesson]/archived': { body: { archived: boolean }; answer: { archived: boolean } }
  'PUT /api/lessons/[lesson]/desk': { body: { desk: string | null }; answer: { desk: string | null } }
  'POST /api/lessons/[lesson]/duplicate': Begun
  'POST /api/lessons/[lesson]/next': Begun & { body: { from: 'wondering' | 'factor'; id: string } }
  'POST /api/lessons/[lesson]/own-question': Begun & { body: AskedAtDeskBody }
  'GET /api/lessons/[lesson]/school': { answer: { school: School } }
  'GET /api/lessons/[lesson]/board': { query: { record: boolean }; answer: BoardView }
  'PUT /api/lessons/[lesson]/board': { body: BoardChange; answer: { board: BoardState } }
  'GET /api/lessons/[lesson]/events': { query: { since: number }; answer: Stream }
  'GET /api/lessons/[lesson]/journal': { answer: { events: { at: string; body: LessonEvent }[] } }
  'GET /api/lessons/[lesson]/stations': { answer: { stations: JoinedStation[] } }
  'PUT /api/lessons/[lesson]/stations': {
    body: { stations?: string[]; group?: string; locked?: boolean }
    answer: { done: boolean }
  }
  'DELETE /api/lessons/[lesson]/stations/[station]': { answer: { done: boolean } }
  'POST /api/lessons/[lesson]/count-back': { body: { rows: CountedBack[] }; answer: { counted: number } }
  'POST /api/lessons/[lesson]/import': {
    body: { rows: string[][]; choices: ImportChoices }
    answer: { added: number; skipped: number }
  }
  'POST /api/lessons/[lesson]/pictures': { body: FilePicture; answer: { id: string } }
  'GET /api/lessons/[lesson]/pictures/[picture]': { answer: Download }
  'GET /api/lessons/[lesson]/file': { answer: Download }
  'GET /api/lessons/[lesson]/package': { answer: Download }
  'GET /api/lessons/[lesson]/spreadsheet': { answer: Download }
  'GET /api/lessons/[lesson]/journal.csv': { answer: Download }
  'GET /api/lessons/[lesson]/readings.csv': { answer: Download }
  'POST /api/lessons/[lesson]/readings.csv': { body: { text: string }; answer: { added: number; alreadyThere: number } }
  'GET /api/lessons/[lesson]/calendar.ics': { query: { what: 'getting-ready' | 'reading-days' }; answer: Download }

  'GET /api/cupboard': { answer: { things: Thing[]; bookings: Booking[]; moves: Move[]; held: School['held'] } }
  'PUT /api/cupboard': { body: Thing; answer: { thing: Thing } }
  'PUT /api/cupboard/lessons': { body: ReachBody; answer: { reached: Reached[] } }
  'PUT /api/cupboard/held': { body: HeldBody; answer: { held: HeldBody } }
  'PUT /api/cupboard/customs': { body: Customs; answer: { customs: Customs } }
  'POST /api/cupboard/[thing]/out': { answer: { out: boolean } }
  'GET /api/cupboard/file': { answer: Download }
  'POST /api/cupboard/file': { body: { text: string }; answer: { added: number; changed: number; things: string[] } }
  'PUT /api/calendar': { body: CalendarBody; answer: { calendar: Calendar } }
  'PUT /api/class-pace': { body: PaceBody; answer: { pace: ClassPace | null } }
  'POST /api/tables': { body: { data: string }; answer: { rows: string[][] } }

  'GET /api/together': { answer: { together: TogetherEntry[] } }
  'POST /api/together': { body: { lessons: string[] }; answer: { id: string } }
  'GET /api/together/[together]': { answer: WholeTogether }
  'PUT /api/together/[together]': { body: TogetherChange; answer: { together: Together } }
  'DELETE /api/together/[together]': { answer: { done: true } }
  'PUT /api/together/[together]/lessons': { body: LessonsBody; answer: { done: true } }
  'PUT /api/together/[together]/groups': { body: GroupTogetherBody; answer: { done: true } }
  'POST /api/together/[together]/split': { body: SplitBody; answer: { id: string } }
  'POST /api/together/[together]/join': { body: JoinLessonsBody; answer: { done: true } }
  'GET /api/together/[together]/events': { query: { since: number }; answer: Stream }
  'GET /api/together/[together]/school': { answer: { school: School } }
  'GET /api/together/[together]/file': { answer: Download }

  'POST /api/stations/own-question': { body: OwnQuestionBody; answer: { lesson: string } }
  'GET /api/stations': { query: { code: string }; answer: JoinView }
  'POST /api/stations': { body: JoinBody; answer: { token: string } }
  'POST /api/station/warm-ups': { body: { error: number }; answer: { done: boolean } }
  'GET /api/station': { query: { record: boolean }; answer: StationView }
  'POST /api/station/check': { body: { readings: AskedEntry[] }; answer: { doubts: Doubt[][] } }
  'GET /api/station/here': { answer: { done: boolean } }
  'GET /api/station/events': { query: { since: number; token: string }; answer: Stream }
  'POST /api/station/pictures': { body: FilePicture; answer: { id: string } }
  'GET /api/station/pictures/[picture]': { answer: Download }
}

/** Who opens a station: a group that is tapped, or a child by the code of its own. */
export interface JoinBody {
  code: string
  group?: string
  own?: string
  /** One of several lessons that run together, and the name of the group. */
  lesson?: string
  name?: string
}

/** What a code opens: the groups of a lesson, or none where each child types its own code; or several lessons that run together. */
export interface JoinView {
  title: string
  each: Each
  groups: Pick<Group, 'id' | 'name' | 'shape'>[]
  together: JoinTogether | null
}

export type RouteName = keyof Contract & string
type Part<Name extends RouteName, Key extends string> = Contract[Name] extends Record<Key, infer Value> ? Value : undefined
export type BodyOf<Name extends RouteName> = Part<Name, 'body'>
export type QueryOf<Name extends RouteName> = Part<Name, 'query'>
export type AnswerOf<Name extends RouteName> = Contract[Name]['answer']

/** The names in brackets in a path: `ParamsOf<'GET /api/a/[b]/[c]'>` is `'b' | 'c'`. */
export type ParamsOf<Path extends string> = Path extends `${string}[${infer Name}]${infer Rest}` ? Name | ParamsOf<Rest> : never

/** The one shape of an error: what went wrong, what to do next, and the field it is about. */
export interface RefusalBody {
  code: string
  message: string
  field?: string
}
