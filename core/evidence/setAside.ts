import type { LessonRecord, Reading } from '../lesson'
import { currentReadings } from '../record'
import { noSurerThan, type Evidence, type Grade } from './grade'
import { heldTo } from './heldBack'

/** Readings that were set aside when results could be seen, and the grades with and without them. */
export interface SetAside {
  readings: number
  with: Grade
  without: Grade
}

/** What is written so soon was noticed in the trial itself. */
const SAME_TRIAL = 120_000

/**
 * The record with those readings back that were set aside after results could be seen: later than their own trial, when the group (at the desk: anybody) had written on, or minutes
 * had gone by. What was set aside in the trial itself has a cause that nobody chose by its result.
 * @returns undefined where there is none
 */
export function withSetAsideBack(record: LessonRecord): { record: LessonRecord; readings: number } | undefined {
  const byId = new Map(record.readings.map((reading) => [reading.id, reading]))
  const back = new Map<string, Reading>()
  for (const reading of currentReadings(record.readings)) {
    if (reading.status !== 'set-aside' || reading.practice) continue
    const kept = keptBefore(reading, byId)
    if (kept && wasSeen(reading, kept, record.readings))
      back.set(reading.id, { ...reading, value: kept.value, unit: kept.unit, entered: kept.entered, status: 'kept' })
  }
  if (back.size === 0) return undefined
  return { record: { ...record, readings: record.readings.map((one) => back.get(one.id) ?? one) }, readings: back.size }
}

function keptBefore(reading: Reading, byId: Map<string, Reading>): Reading | undefined {
  for (let before = reading.supersedes; before !== null; before = byId.get(before)!.supersedes) {
    const row = byId.get(before)
    if (!row || row.status === 'kept') return row
  }
  return undefined
}

function wasSeen(reading: Reading, kept: Reading, readings: Reading[]): boolean {
  const [from, until] = [Date.parse(kept.at), Date.parse(reading.at)]
  if (until - from > SAME_TRIAL) return true
  return readings.some(
    (one) =>
      one.id !== reading.id &&
      one.supersedes !== kept.id &&
      (reading.by === 'desk' || one.group === reading.group) &&
      Date.parse(one.at) > from &&
      Date.parse(one.at) < until,
  )
}

/** The weaker of two grades: what is the same in one and not in the other nobody can tell. */
function weaker(one: Grade, other: Grade): Grade {
  if (one === other) return one
  return one === 'same' || other === 'same' ? 'cannot-tell' : noSurerThan(one, other)
}

/**
 * The evidence as the class may say it where readings were set aside after seeing: as weak as with them, what is told of single changes as well.
 * @param restored the evidence with those readings
 */
export function asWeakAs(own: Evidence, restored: Evidence, readings: number): Evidence {
  const asWeak = <Told extends { grade: Grade }>(one: Told, same: (other: Told) => boolean, others: Told[]): Told => {
    const other = others.find(same)
    return other ? { ...one, grade: weaker(one.grade, other.grade) } : one
  }
  return {
    ...heldTo(own, weaker(own.grade, restored.grade)),
    fromNothing: own.fromNothing.map((one) => asWeak(one, ({ condition }) => condition === one.condition, restored.fromNothing)),
    steps: own.steps.map((one) =>
      asWeak(one, ({ condition, from, to }) => condition === one.condition && from === one.from && to === one.to, restored.steps),
    ),
    setAside: { readings, with: restored.grade, without: own.grade },
  }
}
