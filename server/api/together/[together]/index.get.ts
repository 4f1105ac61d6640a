import { togetherRoute } from '../../../access/route'
import { loadTogether } from '../../../views/wholeTogether'

/** All lessons that run together, with what was recorded in them. */
export default togetherRoute<'GET /api/together/[together]'>({}, ({ database, together }) => loadTogether(database, together))
