import { reachSchema } from '../../../schemas/school'
import { deskRoute } from '../../access/route'
import { reachLessons, takeBackReach } from '../../record/reach'

/** What came into the cupboard goes to the lessons that name it; what was reached takes that back. */
export default deskRoute<'PUT /api/cupboard/lessons'>({ body: reachSchema }, async ({ database, body, desk }) => {
  const { things, back } = body
  if (back === null) return { reached: await reachLessons(database, desk, things) }
  await takeBackReach(database, desk, things, back)
  return { reached: [] }
})
