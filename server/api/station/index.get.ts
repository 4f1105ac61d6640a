import { viewSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { loadStation } from '../../views/board'

/** What a station knows: its group's work, and what the class may see. */
export default stationRoute<'GET /api/station'>({ query: viewSchema }, ({ database, lesson, station, query }) =>
  loadStation(database, lesson, station, query.record),
)
