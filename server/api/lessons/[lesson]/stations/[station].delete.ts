import { getRouterParams } from 'h3'
import { stationPathSchema } from '../../../../../schemas/requests'
import { notFound } from '../../../../access/refusal'
import { checked, lessonRoute } from '../../../../access/route'
import { removeStation } from '../../../../database/stations'

/** Sends a station away; it can join again with the code. */
export default lessonRoute({}, async ({ event, database, lesson }) => {
  const { station } = checked(stationPathSchema, getRouterParams(event))
  if (!(await removeStation(database, lesson.id, station))) throw notFound('station')
  return { done: true }
})
