import { dayAfter, dayOff, daysBetween, timeAt } from '../clock'
import type { Plan, PreparationKind } from '../lesson'
import { withoutNoise } from '../quantity'
import { NO_SCHOOL, type School } from './cupboard'
import { needsOf, type Need } from './needs'

export interface Moment {
  day: string
  /** `HH:MM` */
  time: string
}

export type MovedBecause = 'night' | 'day-off' | 'clash'

export interface Step {
  kind: PreparationKind | 'shop' | 'pack'
  /** Empty for shopping and packing. */
  material: string
  /** Minutes of work. */
  minutes: number
  /** Hours that it stands afterwards. */
  hours: number
  /** When the work would have to begin; undefined while the lesson has no day and start. */
  wanted: Moment | undefined
  /** When it can: by day, on a school day, one thing after the other. */
  planned: Moment | undefined
  /** Why that is earlier. */
  moved: MovedBecause[]
}

/** Minutes after midnight between which somebody prepares a lesson. */
const DAY_BEGINS = 6 * 60 + 30
const DAY_ENDS = 21 * 60
const DAY = 24 * 60
const MINUTES_PER_TRAY = 2
const MINUTES_TO_SHOP = 30
const MOST_DAYS_BACK = 60

/**
 * What has to be done before the lesson, soonest first, worked out backwards from its start: the work has to be over so many
 * hours before. Where that would be at night, on a day without school, or while something else is being done, the latest time
 * before it that is none of these is taken. Steps that only follow each other right before the lesson do not clash.
 * @example gettingReady(plan)[0] // => { kind: 'cut', material: 'roll-strips', minutes: 9, … }
 */
export function gettingReady(plan: Plan, school: School = NO_SCHOOL): Step[] {
  const steps = stepsOf(plan, needsOf(plan, school))
  const start = lessonStart(plan)
  if (start === undefined) return steps.sort((a, b) => b.hours - a.hours)
  const taken: [from: number, to: number][] = []
  // Trays are packed last of all, with everything ready that goes onto them.
  const packing = ({ kind }: Step) => Number(kind === 'pack')
  const byEnd = [...steps].sort((a, b) => a.hours - b.hours || packing(b) - packing(a) || b.minutes - a.minutes)
  for (const step of byEnd) {
    const wanted = start - step.hours * 60 - step.minutes
    const { at, moved } = place(wanted, step.minutes, taken, school)
    taken.push([at, at + step.minutes])
    step.wanted = momentOfMinute(wanted)
    step.planned = momentOfMinute(at)
    step.moved = step.hours > 0 ? moved : moved.filter((why) => why !== 'clash')
  }
  return byEnd.sort((a, b) => `${a.planned!.day} ${a.planned!.time}`.localeCompare(`${b.planned!.day} ${b.planned!.time}`))
}

function stepsOf(plan: Plan, needs: Need[]): Step[] {
  const open = { wanted: undefined, planned: undefined, moved: [] }
  const own = plan.materials.flatMap(({ id, preparation }, place): Step[] => {
    const need = needs[place]!
    if (!preparation || (need.amount.ok && need.forClass === 0)) return []
    const pieces = need.amount.ok && need.amount.whole ? need.forClass : 0
    const minutes = Math.ceil(withoutNoise(preparation.minutes + (preparation.secondsEach * pieces) / 60))
    return [{ ...open, kind: preparation.kind, material: id, minutes, hours: preparation.hours }]
  })
  if (plan.materials.length === 0) return own
  const pack: Step = { ...open, kind: 'pack', material: '', minutes: MINUTES_PER_TRAY * plan.groups.length, hours: 0 }
  const toBuy = plan.materials.filter(({ toBuy }) => toBuy).map(({ id }) => id)
  const before = own.filter(({ material }) => toBuy.includes(material)).map(({ hours, minutes }) => hours + minutes / 60)
  const shop: Step = { ...open, kind: 'shop', material: '', minutes: MINUTES_TO_SHOP, hours: Math.max(12, ...before) }
  return [...own, pack, ...(toBuy.length > 0 ? [shop] : [])]
}

/** The latest start before `wanted` that is by day, on a school day, and free. */
function place(wanted: number, minutes: number, taken: [number, number][], school: School): { at: number; moved: MovedBecause[] } {
  const moved = new Set<MovedBecause>()
  const latest = Math.max(DAY_BEGINS, DAY_ENDS - minutes)
  let at = wanted
  while (at > wanted - MOST_DAYS_BACK * DAY) {
    const midnight = Math.floor(at / DAY) * DAY
    const clash = taken.find(([from, to]) => at < to && at + minutes > from)
    if (dayOff(school.calendar, momentOfMinute(at).day).why !== undefined) {
      moved.add('day-off')
      at = midnight - DAY + latest
    } else if (at < midnight + DAY_BEGINS) {
      moved.add('night')
      at = midnight - DAY + latest
    } else if (at > midnight + latest) {
      moved.add('night')
      at = midnight + latest
    } else if (clash) {
      moved.add('clash')
      at = clash[0] - minutes
    } else break
  }
  return { at, moved: [...moved] }
}

const FIRST_DAY = '2000-01-01'

/** Minutes since the start of the year 2000; undefined while the lesson has no day or no start. */
function lessonStart({ date, clock }: Plan): number | undefined {
  if (date === '' || clock.start === '') return undefined
  const days = daysBetween(FIRST_DAY, date)
  const [hours, minutes] = clock.start.split(':').map(Number)
  return days * DAY + hours! * 60 + minutes!
}

function momentOfMinute(minute: number): Moment {
  const days = Math.floor(minute / DAY)
  return { day: dayAfter(FIRST_DAY, days), time: timeAt('00:00', minute - days * DAY)! }
}
