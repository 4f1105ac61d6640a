import { reachSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { reachLessons, takeBackReach } from '../../record/reach'

/** What came into the cupboard goes to the lessons that name it; the same again takes that back. */
export default deskRoute<'PUT /api/cupboard/lessons'>({ body: reachSchema }, async ({ database, body, desk }) => {
  await takeBackReach(database, desk, body.back)
  return { reached: await reachLessons(database, desk, body.things) }
})
