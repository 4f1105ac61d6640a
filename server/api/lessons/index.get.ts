import { shelfSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { loadShelf } from '../../views/shelf'

/** One page of the shelf. */
export default deskRoute<'GET /api/lessons'>({ query: shelfSchema }, ({ database, query, desk }) =>
  loadShelf(database, query, desk),
)
