import { joinLessonsSchema } from '../../../../schemas/together'
import { togetherRoute } from '../../../access/route'
import { joinInto } from '../../../record/splitAndJoin'

/** A lesson goes into another one of the same test, with all that was written down in it. */
export default togetherRoute<'POST /api/together/[together]/join'>(
  { body: joinLessonsSchema },
  async ({ database, together, body }) => {
    await joinInto(database, together.id, body)
    return { done: true as const }
  },
)
