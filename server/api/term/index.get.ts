import { termSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { loadTerm } from '../../views/shelf'

/** What was investigated between two days, and what it practised; put-away lessons are among it. */
export default deskRoute<'GET /api/term'>({ query: termSchema }, ({ database, query, desk }) => loadTerm(database, query, desk))
