// Shared by start and test: installs and builds what is missing or out of date. Plain JavaScript, because it runs before
// anything is installed.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const home = dirname(dirname(fileURLToPath(import.meta.url)))
const SOURCES = [
  'app',
  'core',
  'library',
  'public',
  'schemas',
  'server',
  'nuxt.config.ts',
  'vuetify.config.ts',
  'package-lock.json',
]

/** Runs a command in the project and shows what it prints; ends this process when it fails. */
export function run(command, args, { quiet = false, env = {} } = {}) {
  const result = spawnSync(command, args, {
    cwd: home,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', ...env },
    maxBuffer: 64 * 1024 * 1024,
  })
  if (result.status === 0) return
  if (quiet) process.stderr.write(`${result.stdout}${result.stderr}`)
  console.error(`This step did not work: ${command} ${args.join(' ')}`)
  process.exit(1)
}

/** Installs the packages of package-lock.json, unless exactly these are there. */
export function installPackages() {
  const stamp = join(home, 'node_modules', '.installed-from')
  const wanted = hashOf(['package-lock.json'])
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Installing packages (once, about a minute) ...')
  run('npm', ['ci', '--include=dev', '--no-fund', '--no-audit', '--loglevel=error'])
  writeFileSync(stamp, wanted)
}

/** Builds the application, unless the build is of exactly these sources. */
export function buildApplication() {
  const stamp = join(home, '.output', '.built-from')
  const wanted = hashOf(SOURCES)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Building the application (once, about a minute) ...')
  run('npx', ['nuxt', 'build'], { quiet: true, env: { NODE_ENV: 'production' } })
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
