import { classConclusion } from '../agree'
import { activeConditions, type BoardState, type BoardViewName, type LessonRecord, type Plan, type Reading } from '../lesson'
import { cellsInOrder, gapsOf, isCounted, progressOf, type Cell } from '../record'
import { testOf } from '../test'
import type { Finding } from './finding'

/** The place of the grid that a desk opens on: what is asked about, else the first gap in the order of trials, else the first place. */
export function placeToLookAt(plan: Plan, readings: Reading[], findings: Finding[]): Cell | undefined {
  const cells = progressOf(plan, readings).flatMap((one) => cellsInOrder(plan, one))
  const asked = findings.flatMap((finding) => (finding.code === 'doubtful' ? [finding.reading] : []))
  return (
    cells.find((cell) => cell.kept.some(({ id }) => asked.includes(id))) ?? cells.find((cell) => cell.kept.length === 0) ?? cells[0]
  )
}

/** Which view fits what the class is doing: the furthest thing that has begun, results only once every place is filled. */
export function boardViewFor(plan: Plan, { readings, predictions, conclusions }: LessonRecord): BoardViewName {
  if (classConclusion(conclusions)) return 'agree'
  if (readings.some(isCounted)) {
    // A group that is done early may offer its sentence while others still test.
    if (gapsOf(plan, progressOf(plan, readings)).length > 0) return 'test'
    return conclusions.length > 0 ? 'agree' : 'results'
  }
  if (predictions.length > 0 && activeConditions(plan).length > 0) return 'predict'
  return testOf(plan).measure ? 'question' : 'wonder'
}

/** May numbers be seen on the board: the teacher lets them, or nobody has anything left to measure. */
export function numbersAreShown(plan: Plan, readings: Reading[], { results }: Pick<BoardState, 'results'>): boolean {
  return results === 'live' || gapsOf(plan, progressOf(plan, readings)).length === 0
}
