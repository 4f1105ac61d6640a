import { readingDays, USUAL_CALENDAR } from '../clock'
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
  /** How many stand on each page, one for each child of the class. */
  pages: number[]
}

/** More than that asks for a page of its own. */
const MOST_READINGS = 5
const MOST_CONDITIONS = 4

/**
 * What every child takes home: each moment at which the plan reads, with its day where the plan has one and whether that is a weekend.
 * @example homeSheet(soakUpPlan({ children: 5 })) // => { readings: [{ moment: '', day: undefined, weekend: false }], pages: [2, 2, 1] }
 */
export function homeSheet(plan: Plan): HomeSheet {
  const overDays = kindOf(plan).watches && plan.watch.unit === 'day' && plan.date !== ''
  const readings = everyMomentOf(plan).map(({ id, time }): HomeReading => {
    // At home there are weekends, and no holidays that would keep a child from reading.
    const [at] = overDays && time !== undefined ? readingDays(USUAL_CALENDAR, plan.date, [time]) : []
    return { moment: id, day: at?.day, weekend: at?.off.why === 'weekend' }
  })
  const small = readings.length <= MOST_READINGS && activeConditions(plan).length <= MOST_CONDITIONS
  const onAPage = small ? 2 : 1
  const pages = Array.from({ length: Math.ceil(plan.children / onAPage) }, (_, page) =>
    Math.min(onAPage, plan.children - page * onAPage),
  )
  return { readings, pages }
}
