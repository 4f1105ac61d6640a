import { unreachable } from '../unreachable'
import { arrangementsFor, conditionsEach, fewestShared } from '../arrangement'
import { fitOf } from '../clock'
import type { Plan } from '../lesson'
import { outlookOf } from '../measuring'
import { withoutNoise } from '../quantity'

/** A change that makes an over-long lesson shorter, worked out on a copy of the plan. */
export type Mend = {
  /** Minutes that the lesson gets shorter. */
  saves: number
  /** Does it fit then? */
  fits: boolean
} & (
  | { code: 'side-by-side'; trials: number }
  | { code: 'fetch-while-predicting' }
  | { code: 'less-practice'; practice: number }
  | { code: 'share-out'; each: number }
  | {
      code: 'fewer-repeats'
      repeats: number
      /** The chance of seeing the difference with so few, where that is less than the adviser wants. */
      chance: number | undefined
    }
  | { code: 'longer-lesson'; minutes: number }
)

type Change = Mend extends infer One ? (One extends Mend ? Omit<One, 'saves' | 'fits'> : never) : never

const FEWEST_REPEATS = 2
const MOST_SIDE_BY_SIDE = 4

/**
 * What it costs the children's learning, nothing first: doing things at the same time takes nothing away; shared out, a group
 * does fewer conditions itself; fewer repeats make everybody less sure, and least of all go below what the class needs to see
 * its difference.
 */
function costOf(change: Change): number {
  switch (change.code) {
    case 'fetch-while-predicting':
      return 0
    case 'side-by-side':
      return 1
    case 'less-practice':
      return change.practice === 0 ? 4 : 2
    case 'share-out':
      return 3
    case 'fewer-repeats':
      return change.chance === undefined ? 5 : 7
    case 'longer-lesson':
      return 6
    default:
      return unreachable(change)
  }
}

/**
 * The mends of a lesson that is too long, ranked: those after which it fits come first, the cheapest for what children learn
 * ahead; then those that help in part.
 * @returns empty while the lesson fits
 */
export function mendsOf(plan: Plan): Mend[] {
  const before = fitOf(plan)
  if (before.spare >= 0) return []
  const weigh = (change: Change): Mend => {
    const after = fitOf(takeMend(plan, change))
    return { ...change, saves: withoutNoise(before.needed - after.needed), fits: after.spare >= 0 }
  }
  const longer = weigh({ code: 'longer-lesson', minutes: Math.ceil(before.needed) })
  const families = [fetching(plan), sideBySide(plan), practice(plan), sharing(plan), repeats(plan)]
  const best = families.flatMap((changes) => {
    const weighed = changes.map(weigh).filter(({ saves }) => saves > 0)
    return weighed.find(({ fits }) => fits) ?? weighed.at(-1) ?? []
  })
  return [...best, longer].sort((a, b) => Number(b.fits) - Number(a.fits) || costOf(a) - costOf(b) || b.saves - a.saves)
}

/** The plan after one mend; the given plan is left as it is. */
export function takeMend(plan: Plan, mend: Change): Plan {
  switch (mend.code) {
    case 'side-by-side':
      return { ...plan, clock: { ...plan.clock, sideBySide: mend.trials } }
    case 'fetch-while-predicting':
      return { ...plan, clock: { ...plan.clock, fetchWhilePredicting: true } }
    case 'less-practice':
      return { ...plan, practice: mend.practice }
    case 'share-out':
      return { ...plan, arrangement: { ...plan.arrangement, way: 'share-out', each: mend.each } }
    case 'fewer-repeats':
      return { ...plan, repeats: mend.repeats }
    case 'longer-lesson':
      return { ...plan, clock: { ...plan.clock, minutes: mend.minutes } }
    default:
      return unreachable(mend)
  }
}

function fetching({ clock }: Plan): Change[] {
  return clock.fetchWhilePredicting ? [] : [{ code: 'fetch-while-predicting' }]
}

/** Only what waits by itself can run beside another: the run has to leave hands free for a set-up. */
function sideBySide(plan: Plan): Change[] {
  const { trial, sideBySide: now } = plan.clock
  if (!fitOf(plan).oneAfterTheOther || trial.run <= trial.setUp) return []
  return range(now + 1, MOST_SIDE_BY_SIDE).map((trials) => ({ code: 'side-by-side', trials }))
}

function practice(plan: Plan): Change[] {
  return range(0, plan.practice - 1)
    .reverse()
    .map((left) => ({ code: 'less-practice', practice: left }))
}

function sharing(plan: Plan): Change[] {
  if (!arrangementsFor(plan).includes('share-out')) return []
  const most = conditionsEach(plan) - 1
  return range(fewestShared(plan), most)
    .reverse()
    .map((each) => ({ code: 'share-out', each }))
}

function repeats(plan: Plan): Change[] {
  const needed = outlookOf(plan)?.needed ?? 0
  return range(Math.min(FEWEST_REPEATS, plan.repeats), plan.repeats - 1)
    .reverse()
    .map((left) => ({
      code: 'fewer-repeats',
      repeats: left,
      chance: left < needed ? outlookOf({ ...plan, repeats: left })?.clear : undefined,
    }))
}

/** Whole numbers, both ends included. */
function range(first: number, last: number): number[] {
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, place) => first + place)
}
