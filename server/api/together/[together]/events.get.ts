import { sinceSchema } from '../../../../schemas/requests'
import { togetherRoute } from '../../../access/route'
import { streamTogether } from '../../../live/streamTogether'

/** The events of all lessons that run together, as they come. */
export default togetherRoute<'GET /api/together/[together]/events'>(
  { query: sinceSchema },
  async ({ event, database, together, query, desk }) => streamTogether(event, database, together, query.since, { desk }),
)
