import { unreachable } from '../unreachable'
import { arrangementsFor, conditionsEach, fewestShared } from '../arrangement'
import { oncePer } from '../chance'
import { fitOf, fitsInTime, testEndsOf } from '../clock'
import { BOUNDS, type Plan } from '../lesson'
import { outlookOf } from '../measuring'
import { withoutNoise } from '../quantity'

/** A change that makes an over-long lesson shorter, worked out on a copy of the plan. */
export type Mend = {
  /** Minutes that the lesson gets shorter. */
  saves: number
  /** In how many classes it fits then, as a share; undefined while nobody said how long a trial takes. */
  chance: number | undefined
  /** Does it fit then? */
  fits: boolean
  /** By how much less often it comes out clear then, as a share of all classes. */
  lost: number
} & (
  | { code: 'side-by-side'; trials: number }
  | { code: 'fetch-while-predicting' }
  | { code: 'less-practice'; practice: number }
  | { code: 'share-out'; each: number }
  | {
      code: 'fewer-repeats'
      repeats: number
      /** The chance of seeing the difference with so few, where that is less than the adviser wants. */
      clear: number | undefined
    }
  | { code: 'longer-lesson'; minutes: number }
)

type Change = Mend extends infer One ? (One extends Mend ? Omit<One, 'saves' | 'chance' | 'fits' | 'lost'> : never) : never

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
      return change.clear === undefined ? 5 : 7
    case 'longer-lesson':
      return 6
    default:
      return unreachable(change)
  }
}

/**
 * The mends of a lesson that is too long for nine classes in ten, ranked: those after which it fits come first, among them those that
 * cost no certainty, the cheapest for what children learn ahead; then those that help in part.
 * @returns empty while the lesson fits
 */
export const mendsOf = oncePer((plan: Plan): Mend[] => {
  const before = fitOf(plan)
  if (fitsInTime(plan)) return []
  const clear = outlookOf(plan)?.clear ?? 0
  const weigh = (change: Change): Mend => {
    const after = takeMend(plan, change)
    return {
      ...change,
      saves: withoutNoise(before.needed - fitOf(after).needed),
      chance: testEndsOf(after)?.chance,
      fits: fitsInTime(after),
      lost: costsCertainty(change) ? Math.max(0, clear - (outlookOf(after)?.clear ?? 0)) : 0,
    }
  }
  const longer = weigh({ code: 'longer-lesson', minutes: minutesToFit(plan) })
  const families = [fetching(plan), sideBySide(plan), practice(plan), sharing(plan), repeats(plan)]
  const best = families.flatMap((changes) => {
    const weighed = changes.map(weigh).filter(({ saves }) => saves > 0)
    return weighed.find(({ fits }) => fits) ?? weighed.at(-1) ?? []
  })
  return [...best, longer].sort(
    (a, b) => Number(b.fits) - Number(a.fits) || inPoints(a.lost) - inPoints(b.lost) || costOf(a) - costOf(b) || b.saves - a.saves,
  )
})

/** Minutes from start to bell with which nine classes in ten are done. */
function minutesToFit(plan: Plan): number {
  const ends = testEndsOf(plan)
  const needed = fitOf(plan).needed
  return Math.min(
    BOUNDS.lessonMinutes.most,
    Math.ceil(Math.max(needed, ends ? plan.clock.minutes + ends.nineInTen - ends.until : 0)),
  )
}

/** Fewer readings are less sure; whatever is only done faster is as sure as before. */
const costsCertainty = ({ code }: Change) => code === 'fewer-repeats' || code === 'share-out'

/** Two in a hundred more or less is luck of the sums. */
const inPoints = (lost: number) => Math.round(lost * 50)

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
      clear: left < needed ? outlookOf({ ...plan, repeats: left })?.clear : undefined,
    }))
}

/** Whole numbers, both ends included. */
function range(first: number, last: number): number[] {
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, place) => first + place)
}
