import { readChunks } from '../../access/body'
import { deskRoute } from '../../access/route'
import { openFile } from '../../files/open'

/** Opens a file. It is read beside the server, its body with it: `{ "text": … }`. */
export default deskRoute<'POST /api/lessons/open'>({ beside: true }, async ({ event, database, desk }) =>
  openFile(database, await readChunks(event, 'file'), desk),
)
