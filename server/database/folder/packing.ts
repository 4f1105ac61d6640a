import { createWriteStream, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { open, readFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { createGzip, gunzip } from 'node:zlib'
import { extract, pack, type Pack } from 'tar-stream'

/** What the database says when a copy of its files is through: the label, and the first and last piece of its log to take along. */
export interface CopyEnd {
  label: string
  from: string
  to: string
}

const unzipped = promisify<Buffer, Buffer>(gunzip)
const LOG = 'pg_wal'
/** What belongs to the running process. */
const NOT_TAKEN = new Set(['postmaster.pid', 'postmaster.opts'])

/**
 * Packs the files of a running database into one archive: first everything but its log, then, when the database has been told that
 * the copy is through, its label and its log, from which the copy becomes whole.
 */
export async function packCluster(cluster: string, target: string, copied: () => Promise<CopyEnd>): Promise<void> {
  const archive = pack()
  const written = pipeline(archive, createGzip({ level: 4 }), createWriteStream(target))
  const filled = (async () => {
    await packFolder(archive, cluster, '')
    const { label, from, to } = await copied()
    await add(archive, 'backup_label', Buffer.from(label))
    for (const name of readdirSync(join(cluster, LOG)).sort())
      if (name >= from && name <= to) await packFile(archive, cluster, `${LOG}/${name}`)
    archive.finalize()
  })().catch((error: unknown) => archive.destroy(error as Error))
  await Promise.all([written, filled])
  const file = await open(target, 'r')
  await file.sync()
  await file.close()
}

async function packFolder(archive: Pack, cluster: string, path: string): Promise<void> {
  for (const entry of readdirSync(join(cluster, path), { withFileTypes: true })) {
    const inside = path === '' ? entry.name : `${path}/${entry.name}`
    if (NOT_TAKEN.has(entry.name)) continue
    if (!entry.isDirectory()) await packFile(archive, cluster, inside)
    else {
      archive.entry({ name: inside, type: 'directory', mode: 0o700 })
      if (inside !== LOG) await packFolder(archive, cluster, inside)
    }
  }
}

async function packFile(archive: Pack, cluster: string, name: string): Promise<void> {
  const path = join(cluster, name)
  // A file that the database took away meanwhile is in its log.
  const bytes = existsSync(path) ? readFileSync(path) : undefined
  if (bytes) await add(archive, name, bytes)
}

function add(archive: Pack, name: string, bytes: Buffer): Promise<void> {
  return new Promise((resolve, reject) =>
    archive.entry({ name, mode: 0o600 }, bytes, (error) => (error ? reject(error as Error) : resolve())),
  )
}

/** Unpacks an archive into an empty folder. Anything that is not a whole archive throws. */
export async function unpackCluster(archivePath: string, folder: string): Promise<void> {
  mkdirSync(folder)
  const archive = extract()
  let files = 0
  archive.on('entry', (header, content, next) => {
    const name = header.name.replace(/^\.?\/+/, '')
    if (name.split('/').includes('..')) return archive.destroy(new Error(`${header.name} leads out of the archive`))
    const path = join(folder, name)
    const chunks: Buffer[] = []
    content.on('data', (chunk) => chunks.push(chunk as Buffer))
    content.on('end', () => {
      try {
        if (header.type === 'directory') mkdirSync(path, { recursive: true, mode: 0o700 })
        else if (header.type === 'file') {
          mkdirSync(dirname(path), { recursive: true, mode: 0o700 })
          writeFileSync(path, Buffer.concat(chunks), { mode: 0o600 })
          files += 1
        }
        next()
      } catch (error) {
        archive.destroy(error as Error)
      }
    })
  })
  const bytes = await unzipped(await readFile(archivePath))
  await new Promise<void>((resolve, reject) => {
    archive.once('finish', resolve)
    archive.once('error', reject)
    archive.end(bytes)
  })
  if (files === 0 || !statSync(join(folder, 'PG_VERSION'), { throwIfNoEntry: false }))
    throw new Error('There is no database in it.')
}
