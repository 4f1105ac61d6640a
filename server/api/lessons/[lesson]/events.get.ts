import { sinceSchema } from '../../../../schemas/requests'
import { lessonRoute } from '../../../access/route'
import { streamLesson } from '../../../live/stream'

/** The lesson's events as they come, for desk and board. */
export default lessonRoute<'GET /api/lessons/[lesson]/events'>(
  { query: sinceSchema },
  async ({ event, database, lesson, query, desk }) => streamLesson(event, database, lesson, query.since, { desk }),
)
