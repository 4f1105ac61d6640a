import { deskRoute } from '../../access/route'
import { listTogethers } from '../../database/togethers'
import { nameTogether } from '../../../core/together'
import { membersOf } from '../../record/splitAndJoin'

/** What runs together, for the shelf. */
export default deskRoute<'GET /api/together'>({}, async ({ database, desk }) => ({
  together: (await listTogethers(database, desk))
    .filter(({ body }) => !body.oneLesson)
    .map(({ id, body, lessons }) => ({
      id,
      title: nameTogether(body, membersOf({ lessons })),
      lessons: lessons.map((lesson) => ({ id: lesson.id, title: lesson.plan.title })),
    })),
}))
