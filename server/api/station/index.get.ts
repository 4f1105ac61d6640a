import { viewSchema } from '../../../schemas/requests'
import { stationRoute } from '../../access/route'
import { loadBoard } from '../../views/board'

/** What a station knows: its group, and what the board shows. */
export default stationRoute<'GET /api/station'>({ query: viewSchema }, async ({ database, lesson, station, query }) => ({
  station: station.id,
  group: station.group,
  locked: station.locked,
  ...(await loadBoard(database, lesson, query.record)),
}))
