import type { BoardState, Group, LessonRecord, Plan } from '../core/lesson'
import type { HeapOfCards, OwnQuestion, Together, TogetherWay } from '../core/together'

/** Of lessons that run together: who is in which, and what a question of one's own can be made of. */
export interface JoinTogether {
  way: TogetherWay
  groups: Pick<Group, 'name' | 'shape'>[]
  lessons: { id: string; title: string; question: string; groups: string[] }[]
  /** All are parts of one lesson: a group has its own question in it, or asks it now. */
  oneLesson: boolean
  /** By a group's name, the lesson that it is at by the running rounds of a circuit. */
  now: Record<string, string>
  /** Nothing where groups may not ask their own. */
  heap: HeapOfCards | null
}

export interface GroupTogetherBody {
  lesson: string
  name: string
  takesPart: boolean
}

export interface LessonsBody {
  lessons: string[]
  /** Those that whoever chose knew of; one that joined since stays. All of them where nothing is said. */
  seen?: string[]
}

export interface SplitBody {
  lesson: string
  /** The names of those that go. */
  groups: string[]
}

export interface JoinLessonsBody {
  from: string
  into: string
}

export interface AskedAtDeskBody extends OwnQuestion {
  /** Of the group. */
  name: string
}

export interface OwnQuestionBody extends AskedAtDeskBody {
  code: string
}

/** Several lessons that run together, as desk and board see them. */
export interface WholeTogether {
  id: string
  code: string
  together: Together
  lessons: { id: string; code: string; plan: Plan; board: BoardState; record: LessonRecord; revision: number }[]
  event: number
}

/** Lessons that run together, on the shelf. */
export interface TogetherEntry {
  id: string
  title: string
  lessons: { id: string; title: string }[]
}

/** What a station knows of the lessons that its own runs together with. */
export interface StationTogether {
  code: string
  /** Its group has somewhere else to go, or may ask its own question. */
  goesOn: boolean
  /** In a circuit: what the group goes to next, by the rota. */
  next: string | null
}
