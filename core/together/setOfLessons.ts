import { isEachChild, LONGEST, mergeText, type Group, type Plan } from '../lesson'

/** Who does what: each group has its own, chooses, or all go round. */
export const TOGETHER_WAYS = ['given', 'choose', 'circuit'] as const
export type TogetherWay = (typeof TOGETHER_WAYS)[number]

export const TOGETHER_VIEWS = ['join', 'test', 'overview', 'agree'] as const
export type TogetherView = (typeof TOGETHER_VIEWS)[number]

/** How the hands of a group stand to the waiting of an investigation's trials. */
export const WAITINGS = ['free', 'watched'] as const
export type Waiting = (typeof WAITINGS)[number]

/** No more investigations run in one time. */
export const MOST_TOGETHER = 12
export const MOST_SETS = 10

/**
 * Several lessons that run in one time: one code, one board, one clock, one sentence of the class. Each stays a lesson of its own with its plan and its
 * record, so that joining and splitting move no reading. What is kept here is only what they have in common.
 */
export interface Together {
  title: string
  way: TogetherWay
  /** For testing. */
  minutes: number
  /** Seconds from one place to the next, where all go round. */
  walk: number
  /** Groups may ask their own question out of the class's cards. */
  ownQuestions: boolean
  /** What the groups ask are parts of one lesson, the first of them: it stands for all on the shelf, with its name and its code. */
  oneLesson: boolean
  /** By lesson id; one that is not named goes by its plan. */
  waiting: Record<string, Waiting>
  /** How many sets of an investigation stand in the room, where all go round; by lesson id, one where nothing is said. */
  sets: Record<string, number>
  /** The class's sentence across all. */
  conclusion: string
  agreed: boolean
  /** What the board shows; null follows what the class is doing. */
  view: TogetherView | null
  /** ISO time at which the rounds of a circuit, or the timetable, were begun; null until then. */
  clockStarted: string | null
}

export type TogetherChange = Partial<Together> & {
  /** The sentence that this one was written on. */
  conclusionFrom?: string
}

export const NEW_TOGETHER: Together = {
  title: '',
  way: 'given',
  minutes: 40,
  walk: 30,
  ownQuestions: false,
  oneLesson: false,
  waiting: {},
  sets: {},
  conclusion: '',
  agreed: false,
  view: null,
  clockStarted: null,
}

/**
 * After a change. A sentence that another desk changed meanwhile keeps that change.
 * @example withTogetherChange(NEW_TOGETHER, { minutes: 30 }).minutes // => 30
 */
export function withTogetherChange(together: Together, { conclusionFrom, ...change }: TogetherChange): Together {
  const next = { ...together, ...change }
  if (change.conclusion === undefined || conclusionFrom === undefined) return next
  return { ...next, conclusion: mergeText(conclusionFrom, change.conclusion, together.conclusion) }
}

/** One of the lessons. */
export interface Member {
  lesson: string
  plan: Plan
}

/** A group of the class: the groups of several lessons with one name are one. */
export interface TogetherGroup {
  name: string
  shape: Group['shape']
  /** Its id in each of the lessons that it is in. */
  ids: Record<string, string>
}

/** The lessons that are done in groups; where each child has its own, it joins with its own code. */
export function inGroups(members: Member[]): Member[] {
  return members.filter(({ plan }) => !isEachChild(plan))
}

/**
 * The groups of the class, in the order in which they are met: a group goes by its name, whatever its id in each lesson.
 * @example groupsTogether([{ lesson: 'a', plan: soakUpPlan() }, { lesson: 'b', plan: soakUpPlan() }])[0]!.ids // => { a: 'g1', b: 'g1' }
 */
export function groupsTogether(members: Member[]): TogetherGroup[] {
  const groups = new Map<string, TogetherGroup>()
  for (const { lesson, plan } of inGroups(members))
    for (const { id, name, shape } of plan.groups) {
      const key = nameKey(name)
      const known = groups.get(key) ?? { name, shape, ids: {} }
      groups.set(key, { ...known, ids: { ...known.ids, [lesson]: id } })
    }
  return [...groups.values()]
}

/** `groupNamed(soakUpPlan(), ' birch')!.id // 'g2'` */
export function groupNamed({ groups }: Pick<Plan, 'groups'>, name: string): Group | undefined {
  return groups.find((group) => nameKey(group.name) === nameKey(name))
}

function nameKey(name: string): string {
  return name.trim().toLowerCase()
}

/**
 * The plan with this group of the class in it, or without it. One that is there already stays as it is.
 * @example withGroupOfClass(soakUpPlan(), { id: 'g9', name: 'Ivy', shape: 'moon', seats: 4, wondering: null, away: [], sharesWith: null, key: '' }).groups.length // => 8
 */
export function withGroupOfClass(plan: Plan, group: Group): Plan {
  return groupNamed(plan, group.name) ? plan : { ...plan, groups: [...plan.groups, { ...group, wondering: null }] }
}

/** The plan without a group; whoever wrote something stays, which the server knows. */
export function withoutGroupOfClass(plan: Plan, name: string): Plan {
  const group = groupNamed(plan, name)
  return group ? { ...plan, groups: plan.groups.filter((one) => one !== group) } : plan
}

/**
 * What it is all called: as somebody named it, else after its lessons; empty where none of them has a name.
 * @example nameTogether({ title: '' }, [{ lesson: 'a', plan: soakUpPlan() }]) // => 'Soak-up strips'
 */
export function nameTogether(
  { title, oneLesson = false }: Pick<Together, 'title'> & Partial<Pick<Together, 'oneLesson'>>,
  members: Member[],
): string {
  if (title !== '') return title
  if (oneLesson) return members[0]?.plan.title ?? ''
  const titles = members.map(({ plan }) => plan.title).filter((one) => one !== '')
  return titles.join(' · ').slice(0, LONGEST.name)
}

/**
 * The change to another way. Where all go round there is room for everybody at every time, until somebody says otherwise.
 * @example wayChosen('circuit', NEW_TOGETHER, [{ lesson: 'a', plan: soakUpPlan() }, { lesson: 'b', plan: soakUpPlan() }]).sets // => { a: 4, b: 4 }
 */
export function wayChosen(way: TogetherWay, { sets }: Pick<Together, 'sets'>, members: Member[]): TogetherChange {
  if (way !== 'circuit') return { way }
  const enough = Math.ceil(groupsTogether(members).length / Math.max(1, members.length))
  return { way, sets: Object.fromEntries(members.map(({ lesson }) => [lesson, sets[lesson] ?? Math.max(1, enough)])) }
}

/**
 * Where a group of this name may go: into the lessons that it is in, and where groups choose into the others after them.
 * @example mayGoTo([{ id: 'a', groups: ['Alder'] }, { id: 'b', groups: [] }], 'choose', 'Alder').map(({ id }) => id) // => ['a', 'b']
 */
export function mayGoTo<Lesson extends { groups: string[] }>(lessons: Lesson[], way: TogetherWay, name: string): Lesson[] {
  const isIn = ({ groups }: Lesson) => groups.some((group) => nameKey(group) === nameKey(name))
  return [...lessons.filter(isIn), ...(way === 'choose' ? lessons.filter((lesson) => !isIn(lesson)) : [])]
}
