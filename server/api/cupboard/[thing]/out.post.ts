import { deskRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { takeOut } from '../../../database/cupboard'

/** Takes a thing out of the cupboard. Its history stays, and writing it again puts it back. */
export default deskRoute<'POST /api/cupboard/[thing]/out'>({}, async ({ database, path }) => {
  if (!(await takeOut(database, path.thing))) throw notFound('thing')
  return { out: true }
})
