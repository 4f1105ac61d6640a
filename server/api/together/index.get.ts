import { deskRoute } from '../../access/route'
import { listTogethers } from '../../database/together'
import { titleTogether } from '../../../core/together'

/** What runs together, for the shelf. */
export default deskRoute<'GET /api/together'>({}, async ({ database, desk }) => ({
  together: (await listTogethers(database, desk)).map(({ id, body, lessons }) => ({
    id,
    title: body.title || titleTogether(lessons.map((lesson) => ({ lesson: lesson.id, plan: lesson.plan }))),
    lessons: lessons.map((lesson) => ({ id: lesson.id, title: lesson.plan.title })),
  })),
}))
