import { stationRoute } from '../../access/route'
import { loadBoard } from '../../lesson/board'

/** What a station knows: its group, and what the board shows. */
export default stationRoute({}, async ({ database, lesson, station }) => ({
  group: station.group,
  ...(await loadBoard(database, lesson)),
}))
