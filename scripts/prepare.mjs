// Shared by start and test: installs and builds what is missing or out of date. Plain JavaScript, because it runs before
// anything is installed.
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const home = dirname(dirname(fileURLToPath(import.meta.url)))
const SOURCES = [
  'app',
  'core',
  'demo',
  'library',
  'public',
  'schemas',
  'server',
  'nuxt.config.ts',
  'scripts/bundle',
  'uno.config.ts',
  'vuetify.config.ts',
  'package-lock.json',
]

/** Runs a command in the project; ends this process when it fails. */
export async function run(command, args, options = {}) {
  const { status, printed } = await finished(command, args, options)
  if (status === 0) return
  if (!options.shown) process.stderr.write(printed)
  console.error(`This step did not work: ${command} ${args.join(' ')}`)
  process.exit(1)
}

/** Runs a command in the project to its end: its status, and what it printed, which may be shown as it comes. */
export async function finished(command, args, { shown = false, env = {} } = {}) {
  const child = spawn(command, args, {
    cwd: home,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', ...env },
  })
  let printed = ''
  for (const [stream, own] of [
    [child.stdout, process.stdout],
    [child.stderr, process.stderr],
  ]) {
    stream.on('data', (chunk) => {
      printed += chunk.toString()
      if (shown) own.write(chunk)
    })
  }
  const [status] = await once(child, 'close').catch((error) => [error.message])
  return { status, printed }
}

/** Installs the packages of package-lock.json, unless exactly these are there. */
export async function installPackages() {
  const stamp = join(home, 'node_modules', '.installed-from')
  const wanted = hashOf(['package-lock.json'])
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Installing packages (once, about a minute) ...')
  await run('npm', ['ci', '--include=dev', '--no-fund', '--no-audit', '--loglevel=error'], { shown: true })
  writeFileSync(stamp, wanted)
}

/** Builds the application, unless the build is of exactly these sources. */
export async function buildApplication() {
  const stamp = join(home, '.output', '.built-from')
  const wanted = hashOf(SOURCES)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Building the application (once, about a minute) ...')
  await run('npx', ['nuxt', 'build'], { env: { NODE_ENV: 'production' } })
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, wanted)
}

function hashOf(paths) {
  const hash = createHash('sha256')
  for (const path of paths) addTo(hash, path)
  return hash.digest('hex')
}

function addTo(hash, path) {
  const full = join(home, path)
  if (!existsSync(full)) return
  if (path.endsWith('.test.ts')) return
  if (statSync(full).isDirectory()) {
    for (const name of readdirSync(full).sort()) addTo(hash, join(path, name))
  } else {
    hash.update(path).update(readFileSync(full))
  }
}
