import { notFound } from '../../access/refusal'
import { headRoute } from '../../access/route'
import { dismissNotice } from '../../database/notices'

/** Somebody has read it. */
export default headRoute<'DELETE /api/notices/[notice]'>({}, async ({ database, path }) => {
  if (!(await dismissNotice(database, path.notice))) throw notFound('notice')
  return { done: true }
})
