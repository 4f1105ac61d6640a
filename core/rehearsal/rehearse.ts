import { quantileSorted } from 'simple-statistics'
import { seededRandom } from '../chance'
import { testTimesOf } from '../clock'
import { evidenceOf, type Grade } from '../evidence'
import { billOf, needsOf, sparesOf, type Spare } from '../kit'
import { activeConditions, type Plan } from '../lesson'
import { isReadByClock, shapeOf, kindOf } from '../test'
import { drawClass, type MadeUpClass } from './drawClass'
import { isFooled, trueOrder, type Truth } from './truth'

/** What many made-up classes came to. */
export interface Rehearsal {
  classes: number
  from: 'bench' | 'guess'
  /** By grade, as shares of the classes. */
  grades: Partial<Record<Grade, number>>
  /** Clear, but with another first one than the model's, or where nothing differs. */
  wrong: number
  /** Nothing differs in the model: the same is the honest answer. */
  level: boolean
  /** Minutes of the lesson when testing ends: in half of the classes, in nine of ten, and when it has to for the rest of the lesson; undefined where it goes on over days. */
  ends: { half: number; nineInTen: number; until: number; all: Float64Array } | undefined
  /** Classes with trials that there was no time for, and how many trials are missing there. */
  short: { share: number; trials: number }
  /** A class's slips: made, asked about at the station, left in the record. */
  slips: { made: number; asked: number; left: number }
  /** Materials of which fresh ones run out, with the share of the classes in which they do. */
  runOut: { material: string; share: number }[]
}

interface Tally {
  classes: number
  grades: Map<Grade, number>
  wrong: number
  ends: number[]
  short: number
  leftOut: number
  slips: { made: number; asked: number; left: number }
  runOut: Map<string, number>
}

const SEED = 83

/**
 * A plan given to many made-up classes, a class at a time, so that whoever asks can stop or tell how far it is.
 * @param classes how many
 * @yields what the classes so far came to, after every class
 * @returns undefined at once where there is neither a bench nor a guess
 */
export function* rehearsing(plan: Plan, classes: number): Generator<number, Rehearsal | undefined> {
  const truth = trueOrder(plan)
  if (!truth) return undefined
  const random = seededRandom(SEED)
  const tally: Tally = {
    classes: 0,
    grades: new Map(),
    wrong: 0,
    ends: [],
    short: 0,
    leftOut: 0,
    slips: { made: 0, asked: 0, left: 0 },
    runOut: new Map(),
  }
  const times = testTimesOf(plan)
  const spares = sparesOf(plan)
  while (tally.classes < classes) {
    const one = drawClass(plan, random, { times })!
    count(tally, one, truth)
    for (const material of runsOut(spares, one)) tally.runOut.set(material, (tally.runOut.get(material) ?? 0) + 1)
    yield tally.classes
  }
  return summed(truth, tally, isOverDays(plan) ? undefined : times.until)
}

/**
 * The same in one go.
 * @example rehearse(soakUpPlan(), 20)!.grades.clear // => 1
 */
export function rehearse(plan: Plan, classes: number): Rehearsal | undefined {
  const work = rehearsing(plan, classes)
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

function count(tally: Tally, { plan, record, testEnds, leftOut, slips }: MadeUpClass, truth: Truth): void {
  const evidence = evidenceOf(plan, record)
  const grade = evidence?.grade ?? 'nothing-yet'
  tally.classes += 1
  tally.grades.set(grade, (tally.grades.get(grade) ?? 0) + 1)
  if (evidence && isFooled(plan, evidence, truth)) tally.wrong += 1
  tally.ends.push(testEnds)
  if (leftOut > 0) tally.short += 1
  tally.leftOut += leftOut
  tally.slips.made += slips.made
  tally.slips.asked += slips.asked
  tally.slips.left += slips.left
}

function summed({ from, level }: Truth, tally: Tally, until: number | undefined): Rehearsal {
  const { classes, ends } = tally
  ends.sort((a, b) => a - b)
  return {
    classes,
    from,
    grades: Object.fromEntries([...tally.grades].map(([grade, number]) => [grade, number / classes])),
    wrong: tally.wrong / classes,
    level,
    ends:
      until === undefined
        ? undefined
        : { half: quantileSorted(ends, 0.5), nineInTen: quantileSorted(ends, 0.9), until, all: Float64Array.from(ends) },
    short: { share: tally.short / classes, trials: tally.short === 0 ? 0 : tally.leftOut / tally.short },
    slips: {
      made: tally.slips.made / classes,
      asked: tally.slips.asked / classes,
      left: tally.slips.left / classes,
    },
    runOut: [...tally.runOut]
      .map(([material, number]) => ({ material, share: number / classes }))
      .sort((a, b) => b.share - a.share),
  }
}

/** A test whose readings lie on several days, or at moments that somebody named. */
function isOverDays(plan: Plan): boolean {
  return kindOf(plan).watches && !isReadByClock(plan)
}

function runsOut(spares: Spare[], { failed }: MadeUpClass): string[] {
  const all = [...failed.values()].reduce((sum, number) => sum + number, 0)
  return spares
    .filter(({ condition, lasts }) => (condition === null ? all : (failed.get(condition) ?? 0)) > lasts)
    .map(({ material }) => material)
}

/** What the kit of a plan costs beyond what is there. */
export function kitCost(plan: Plan): number {
  return billOf(needsOf(plan)).cost
}

/** Is there anything to rehearse: conditions that are compared, and a bench or a guess for what is measured. */
export function canRehearse(plan: Plan): boolean {
  return activeConditions(plan).length >= shapeOf(plan).fewestConditions && plan.groups.length > 0 && trueOrder(plan) !== undefined
}
