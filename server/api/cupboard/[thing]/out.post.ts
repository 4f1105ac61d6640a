import { getRouterParams } from 'h3'
import { thingPathSchema } from '../../../../schemas/school'
import { checked, deskRoute } from '../../../access/route'
import { notFound } from '../../../access/refusal'
import { takeOut } from '../../../database/cupboard'

/** Takes a thing out of the cupboard. Its history stays, and writing it again puts it back. */
export default deskRoute({}, async ({ database, event }) => {
  const { thing } = checked(thingPathSchema, getRouterParams(event))
  if (!(await takeOut(database, thing))) throw notFound('thing')
  return { out: true }
})
