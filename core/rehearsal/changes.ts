import { fitOf } from '../clock'
import { MOST_TRIALS, type Plan } from '../lesson'
import { applyWay, waysToSee, type Way } from '../measuring'
import { withoutNoise } from '../quantity'
import { mendsOf, takeMend, type Mend } from '../waysOut'
import { kitCost, rehearsing, type Rehearsal } from './rehearse'

/** A change of the plan that could make the lesson come out better, in the adviser's or the clock's own words. */
export type Trying = { from: 'adviser'; way: Way } | { from: 'clock'; mend: Mend }

/** A change that was tried on made-up classes, with what it brings and what it costs. */
export interface Tried {
  change: Trying
  /** Share of the classes that come out as they should, in time, before and after. */
  before: number
  after: number
  /** Minutes that the lesson gets longer; below nought it gets shorter. */
  minutes: number
  /** What there is to buy more of, in the school's money. */
  cost: number
}

const MOST_SHOWN = 3
/** Less than that is luck of the draw. */
const WORTH_SAYING = 0.02

/** The plan after one of the changes; the given plan is left as it is. */
export function withTried(plan: Plan, change: Trying, newId: () => string): Plan {
  return change.from === 'adviser' ? applyWay(plan, change.way, newId) : takeMend(plan, change.mend)
}

/**
 * Share of the classes in which all is well: clear and right where something differs, the same where nothing does, and nobody is cut short.
 * @example wellShare({ level: false, grades: { clear: 0.9 }, wrong: 0.02, short: { share: 0.5, trials: 3 } }) // => 0.44
 */
export function wellShare({ level, grades, wrong, short }: Pick<Rehearsal, 'level' | 'grades' | 'wrong' | 'short'>): number {
  const right = level ? (grades.same ?? 0) : (grades.clear ?? 0) - wrong
  return withoutNoise(right * (1 - short.share))
}

/** What is worth trying on this plan: what the adviser and the clock offer, and one repeat more. */
export function changesToTry(plan: Plan): Trying[] {
  const ways = waysToSee(plan)
  const more: Way[] =
    plan.repeats < MOST_TRIALS && !ways.some(({ code }) => code === 'more-repeats')
      ? [{ code: 'more-repeats', repeats: plan.repeats + 1, chance: 0, minutes: 0 }]
      : []
  return [
    ...[...ways, ...more].map((way): Trying => ({ from: 'adviser', way })),
    ...mendsOf(plan).map((mend): Trying => ({ from: 'clock', mend })),
  ]
}

/** How many classes a change is tried on: a few for each, then more for those that look best. */
const FIRST_LOOK = 30
const SECOND_LOOK = 120

/** How many classes `tryingChanges` draws at most. */
export function classesToTry(changes: Trying[]): number {
  return changes.length * FIRST_LOOK + Math.min(changes.length, MOST_SHOWN) * SECOND_LOOK
}

/**
 * Tries every change on made-up classes, the same ones for all, and keeps the three that help most.
 * @param now what the plan came to without any change
 * @yields how many classes were drawn so far
 */
export function* tryingChanges(plan: Plan, changes: Trying[], now: Rehearsal): Generator<number, Tried[]> {
  const before = wellShare(now)
  const needed = fitOf(plan).needed
  const price = kitCost(plan)
  let [ids, done] = [0, 0]
  const plans = changes.map((change) => ({ change, after: withTried(plan, change, () => `tried-${(ids += 1)}`), share: 0 }))
  for (const one of plans) {
    one.share = yield* shareOf(one.after, FIRST_LOOK, done)
    done += FIRST_LOOK
  }
  const best = plans.sort((a, b) => b.share - a.share).slice(0, MOST_SHOWN)
  for (const one of best) {
    one.share = yield* shareOf(one.after, SECOND_LOOK, done)
    done += SECOND_LOOK
  }
  return best
    .filter(({ share }) => share - before > WORTH_SAYING)
    .map(({ change, after, share }) => ({
      change,
      before,
      after: share,
      minutes: withoutNoise(fitOf(after).needed - needed),
      cost: withoutNoise(kitCost(after) - price),
    }))
    .sort((a, b) => b.after - a.after || a.minutes - b.minutes)
}

function* shareOf(plan: Plan, classes: number, done: number): Generator<number, number> {
  const work = rehearsing(plan, classes)
  let step = work.next()
  while (!step.done) {
    yield done + step.value
    step = work.next()
  }
  return step.value ? wellShare(step.value) : 0
}
