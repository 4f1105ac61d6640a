// npm test: everything that must hold, from a fresh clone on: types, lint, format, the arrows between the folders, dead code, then
// the unit, API and browser tests against the built application and a real embedded database.
import { spawn, spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildApplication, home, installPackages, run } from './prepare.mjs'

const results = mkdtempSync(join(tmpdir(), 'jolly-beaker-test-'))

installPackages()
installBrowser()
await check('types are prepared', 'npx', ['nuxt', 'prepare'])
buildApplication()
// Two at a time: each of them keeps one core busy.
await Promise.all([
  check('types', 'npx', ['nuxt', 'typecheck']),
  checkInTurn({ lint: 'lint', format: 'format:check', imports: 'imports', 'unused code': 'unused' }),
])
const counts = [
  suite(
    'unit tests',
    'npx',
    [
      'vitest',
      'run',
      '--project',
      'unit',
      '--project',
      'api',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${join(results, 'vitest.json')}`,
    ],
    (report) => [report.numPassedTests, report.numFailedTests],
  ),
  suite('browser tests', 'npx', ['playwright', 'test'], (report) => [
    report.stats.expected + report.stats.flaky,
    report.stats.unexpected,
  ]),
]
rmSync(results, { recursive: true, force: true })
const [passed, failed] = [0, 1].map((place) => counts.reduce((sum, count) => sum + count[place], 0))
console.log(`\nTests: ${passed} passed, ${failed} failed`)
process.exit(failed > 0 || passed === 0 ? 1 : 0)

/** A check without a count: says how long it took, ends everything when it fails. */
async function check(name, command, args) {
  const start = Date.now()
  const child = spawn(command, args, {
    cwd: home,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
  let printed = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (printed += chunk.toString()))
  const [status] = await once(child, 'close')
  const took = `${Math.round((Date.now() - start) / 1000)} s`
  if (status === 0) return console.log(`✓ ${name} (${took})`)
  console.error(`${printed}\n✘ ${name} (${took})`)
  process.exit(1)
}

/** Checks that are scripts of package.json, one after the other. */
async function checkInTurn(scripts) {
  for (const [name, script] of Object.entries(scripts)) await check(name, 'npm', ['run', '--silent', script])
}

/** A suite of tests: shows its output and answers how many passed and failed. */
function suite(name, command, args, countsOf) {
  console.log(`\n${name}`)
  const file = join(results, command === 'npx' && args[0] === 'vitest' ? 'vitest.json' : 'playwright.json')
  const { status } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', PLAYWRIGHT_JSON_OUTPUT_FILE: file },
  })
  const [passed, failed] = existsSync(file) ? countsOf(JSON.parse(readFileSync(file, 'utf8'))) : [0, 0]
  return [passed, status === 0 ? failed : Math.max(1, failed)]
}

/** Chromium from Debian's packages; never a browser of Playwright's own. */
function installBrowser() {
  if (existsSync('/usr/bin/chromium')) return
  console.log('Installing Chromium from the system packages (once) ...')
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get']
  run(command, [...before, 'update'], { quiet: true })
  run(command, [...before, 'install', '-y', '--no-install-recommends', 'chromium'], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  })
}
