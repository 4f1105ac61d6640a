import { lessonsSchema } from '../../../../schemas/together'
import { togetherRoute } from '../../../access/route'
import { setLessons } from '../../../database/togethers'
import { seenLessons } from '../../../views/wholeTogether'

/** Which lessons run together; those that are not named stand alone again. */
export default togetherRoute<'PUT /api/together/[together]/lessons'>(
  { body: lessonsSchema },
  async ({ database, together, body, desk }) => {
    await seenLessons(database, body.lessons, desk)
    await setLessons(database, together.id, body.lessons, body.seen)
    return { done: true as const }
  },
)
