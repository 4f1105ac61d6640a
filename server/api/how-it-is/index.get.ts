import { headRoute } from '../../access/route'
import { openOnce } from '../../database/connection'
import { howItIs } from '../../lookedAfter/howItIs'

/** How the server is, for the head desk. */
export default headRoute<'GET /api/how-it-is'>({}, async () => howItIs(await openOnce()))
