import { notFound } from '../../../../access/refusal'
import { lessonRoute } from '../../../../access/route'
import { removeStation } from '../../../../database/stations'

/** Sends a station away; it can join again with the code. */
export default lessonRoute<'DELETE /api/lessons/[lesson]/stations/[station]'>({}, async ({ database, lesson, path }) => {
  if (!(await removeStation(database, lesson.id, path.station))) throw notFound('station')
  return { done: true }
})
