import { setResponseHeader } from 'h3'
import { togetherRoute } from '../../../access/route'
import { attachment } from '../../../files/attachment'
import { wholeTogether } from '../../../files/writeTogether'

/** All lessons that run together as one file. */
export default togetherRoute<'GET /api/together/[together]/file'>({}, async ({ event, database, together }) => {
  const [first] = together.lessons
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  if (first) setResponseHeader(event, 'content-disposition', attachment(first.plan, 'together.beaker.json'))
  return JSON.stringify(await wholeTogether(database, together, new Date().toISOString()), null, 1)
})
