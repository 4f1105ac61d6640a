import { closeSync, cpSync, existsSync, fsyncSync, openSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { NodeFS } from '@electric-sql/pglite/nodefs'
import { built } from '../built'

/** Emscripten's file system of folders, as far as it is changed here. */
interface FolderOperations {
  stream_ops: { fsync?: (stream: { nfd: number }) => number }
}
type Starting = Parameters<NodeFS['init']>[1]

/** The database tells its files to go to the disk, and a folder of PGlite does nothing then. In this one they go. */
class FlushingFolder extends NodeFS {
  override async init(...[database, options]: Parameters<NodeFS['init']>) {
    const { emscriptenOpts } = await super.init(database, options)
    const flush = (started: unknown) => {
      const { NODEFS, FS } = started as { NODEFS?: FolderOperations; FS: { filesystems: { NODEFS: FolderOperations } } }
      const operations = NODEFS ?? FS.filesystems.NODEFS
      operations.stream_ops.fsync = ({ nfd }) => {
        fsyncSync(nfd)
        return 0
      }
    }
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), flush] } as Starting }
  }
}

// PGlite starts with -F, which means: never flush. What is acknowledged has to outlive a power cut.
const START = [...PGlite.defaultStartParams.filter((parameter) => parameter !== '-F'), '-c', 'wal_sync_method=fsync']

/** Why a database would not open, with what it said itself. */
export class ClusterError extends Error {}

/**
 * Opens the database in a folder, or makes an empty one there. What it acknowledges is on the disk.
 * @throws ClusterError with everything that it said
 */
export async function openCluster(folder: string): Promise<PGlite> {
  const said: string[] = []
  const onStderr = (line: string) => said.push(line) === 0
  try {
    return await PGlite.create({ dataDir: folder, fs: new FlushingFolder(folder), startParams: START, onStderr })
  } catch (error) {
    throw new ClusterError([String(error), ...said].join('\n'))
  }
}

/** Where the build keeps an empty database; see nuxt.config.ts. Making one takes four seconds, a copy of it a quarter of one. */
export const EMPTY = 'empty-database'

/** Makes an empty database in a folder that is not there yet. */
export async function makeCluster(folder: string): Promise<void> {
  const empty = built(EMPTY)
  if (!existsSync(join(empty, 'PG_VERSION'))) return (await openCluster(folder)).close()
  cpSync(empty, folder, { recursive: true })
  flush(folder)
}

/** Sends what was copied to the disk: it is going to be the only one. */
function flush(path: string): void {
  for (const entry of readdirSync(path, { withFileTypes: true })) {
    if (entry.isDirectory()) flush(join(path, entry.name))
    else flushFile(join(path, entry.name))
  }
}

function flushFile(path: string): void {
  const file = openSync(path, 'r+')
  fsyncSync(file)
  closeSync(file)
}
