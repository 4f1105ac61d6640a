// npm run pack: what a school installs, as one archive in dist/: the built application with what it needs to run, and nothing that
// builds or tests it. Node is all that it needs.
import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream, mkdirSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { buildApplication, home, installPackages } from './prepare.mjs'

await installPackages()
await buildApplication()
const { pack } = await import('tar-stream')

const { version, engines } = JSON.parse(readFileSync(join(home, 'package.json'), 'utf8'))
const name = `jolly-beaker-${version}`
const target = join(home, 'dist', `${name}.tar.gz`)
/** What stands beside the application in the archive, by where it lies here. */
const FILES = {
  'scripts/start.mjs': 'scripts/start.mjs',
  'scripts/prepare.mjs': 'scripts/prepare.mjs',
  'scripts/network.mjs': 'scripts/network.mjs',
  'scripts/awake.mjs': 'scripts/awake.mjs',
  'scripts/packed/start': 'start',
  'scripts/packed/start.cmd': 'start.cmd',
  'scripts/packed/README.md': 'README.md',
  'scripts/packed/Containerfile': 'Containerfile',
  'scripts/packed/jolly-beaker.service': 'jolly-beaker.service',
  'CHANGELOG.md': 'CHANGELOG.md',
}
const FOLDERS = ['.output', 'server/database/migrations']
const RUNS = ['start']

mkdirSync(join(home, 'dist'), { recursive: true })
const archive = pack()
const written = pipeline(archive, createGzip({ level: 9 }), createWriteStream(target))
for (const folder of FOLDERS) await addFolder(folder)
for (const [from, to] of Object.entries(FILES)) await add(to, readFileSync(join(home, from)))
await add('packed.json', JSON.stringify({ version }))
const face = { name: 'jolly-beaker', version, private: true, type: 'module', engines, scripts: { start: 'node scripts/start.mjs' } }
await add('package.json', JSON.stringify(face, null, 2))
archive.finalize()
await written
console.log(`${target}\n${(statSync(target).size / 1e6).toFixed(1)} MB, SHA-256 ${await digestOf(target)}`)

async function addFolder(folder) {
  for (const entry of readdirSync(join(home, folder), { withFileTypes: true, recursive: true })) {
    const path = join(entry.parentPath ?? entry.path, entry.name)
    const inside = path.slice(home.length + 1)
    // A database's empty folders belong to it; maps of sources are for those who build.
    if (entry.isDirectory()) await add(`${inside}/`, undefined)
    else if (!inside.endsWith('.map')) await add(inside, readFileSync(path))
  }
}

/** A file, or a folder where there is nothing in it to read. */
function add(inside, bytes) {
  const type = bytes === undefined ? 'directory' : 'file'
  const mode = type === 'directory' || RUNS.includes(inside) ? 0o755 : 0o644
  const header = { name: `${name}/${inside}`, type, mode, mtime: new Date(0) }
  if (bytes === undefined) return void archive.entry(header)
  return new Promise((done, failed) => archive.entry(header, bytes, (error) => (error ? failed(error) : done())))
}

async function digestOf(path) {
  const hash = createHash('sha256')
  for await (const piece of createReadStream(path)) hash.update(piece)
  return hash.digest('hex')
}
