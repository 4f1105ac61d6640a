import { dayAfter, weekdayOf } from '../clock'
import { activeConditions, type Plan } from '../lesson'
import { everyMomentOf, kindOf } from '../test'

/** When a child reads at home. */
export interface HomeReading {
  moment: string
  /** Where the plan says it; else the child writes it. */
  day: string | undefined
  weekend: boolean
}

/** What a sheet that goes home asks for, and how it lies on paper. */
export interface HomeSheet {
  readings: HomeReading[]
  /** How many stand on a page, one for each child of the class. */
  onAPage: 1 | 2
  pages: number
}

const SATURDAY = 5
/** More than that asks for a page of its own. */
const MOST_READINGS = 5
const MOST_CONDITIONS = 4

/**
 * What every child takes home: each moment at which the plan reads, with its day where the plan has one and whether that is a weekend.
 * @example homeSheet(soakUpPlan({ children: 26 })) // => { readings: [{ moment: '', day: undefined, weekend: false }], onAPage: 2, pages: 13 }
 */
export function homeSheet(plan: Plan): HomeSheet {
  const overDays = kindOf(plan).watches && plan.watch.unit === 'day' && plan.date !== ''
  const readings = everyMomentOf(plan).map(({ id, time }): HomeReading => {
    const day = overDays && time !== undefined ? dayAfter(plan.date, time) : undefined
    return { moment: id, day, weekend: day !== undefined && weekdayOf(day) >= SATURDAY }
  })
  const small = readings.length <= MOST_READINGS && activeConditions(plan).length <= MOST_CONDITIONS
  const onAPage = small ? 2 : 1
  return { readings, onAPage, pages: Math.ceil(plan.children / onAPage) }
}
