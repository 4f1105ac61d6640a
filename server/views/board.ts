import { EMPTY_RECORD } from '../../core/lesson'
import { homed } from '../../core/record'
import { planSeenBy, publicPlan, publicRecord, recordSeenBy } from '../../core/station'
import type { BoardView, StationView } from '../../schemas/contract'
import { notFound } from '../access/refusal'
import { epochOf } from '../database/epoch'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { askedIn } from '../database/togethers'
import { loadLesson } from '../record/wholeLesson'
import { stationTogether } from './joinTogether'
import { sightOf } from './sight'

/** @param withRecord without it the record is empty: for a page that follows the events and only wants the plan anew */
export async function loadBoard(database: Database, stored: StoredLesson, withRecord: boolean): Promise<BoardView> {
  const { lesson, record, event } = withRecord ? await loaded(database, stored) : { lesson: stored, record: EMPTY_RECORD, event: 0 }
  return {
    whole: (await askedIn(database, stored))?.id ?? null,
    plan: publicPlan(lesson.plan),
    code: lesson.code,
    board: lesson.board,
    record: publicRecord(record),
    event,
  }
}

/** What a station knows: its own group's work, and everybody's once the class may see its numbers. */
export async function loadStation(
  database: Database,
  stored: StoredLesson,
  station: Station,
  withRecord: boolean,
): Promise<StationView> {
  const { lesson, record, event } = await loaded(database, stored)
  const sight = await sightOf(database, lesson, station, record.readings)
  return {
    station: station.id,
    group: station.group,
    locked: station.locked,
    epoch: await epochOf(database),
    all: sight.all,
    plan: planSeenBy(lesson.plan, sight),
    code: lesson.code,
    board: lesson.board,
    record: withRecord ? recordSeenBy(record, sight) : EMPTY_RECORD,
    event: withRecord ? event : 0,
    together: await stationTogether(database, lesson, station),
  }
}

async function loaded(database: Database, { id }: StoredLesson) {
  const found = await loadLesson(database, id)
  if (!found) throw notFound('lesson')
  return { ...found, record: homed(found.lesson.plan, found.record).record }
}
