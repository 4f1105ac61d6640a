import { lessonsInTerm } from '../../core/wording/reports'
import { termSchema } from '../../schemas/requests'
import { deskRoute } from '../access/route'
import { listLessons } from '../database/lessons'

/** What was investigated between two days, and what it practised; put-away lessons are among it. */
export default deskRoute({ query: termSchema }, async ({ database, query }) => {
  const all = await listLessons(database)
  const classes = [...new Set(all.map(({ lesson }) => lesson.plan.className))].sort()
  return { lessons: lessonsInTerm(all, query), classes }
})
