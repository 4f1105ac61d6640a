// npm test: everything that must hold, from a fresh clone on: types, lint, format, the arrows between the folders, dead code, then
// the unit, API and browser tests against the built application and a real embedded database.
import { spawn } from 'node:child_process'
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
// Each of the checks keeps one core busy; the soak mostly waits beside them.
const soaked = suite('soak', vitest('soak', ['soak']), vitestCounts, { beside: true })
await Promise.all([
  check('types', 'npx', ['nuxt', 'typecheck']),
  checkInTurn({ lint: 'lint', format: 'format:check', imports: 'imports', 'unused code': 'unused' }),
])
const counts = [
  await soaked,
  await suite('unit tests', vitest('unit tests', ['unit', 'api']), vitestCounts),
  await suite('browser tests', ['playwright', 'test'], (report) => [
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

/** What runs these projects of vitest.config.ts. */
function vitest(name, projects) {
  const asked = projects.flatMap((project) => ['--project', project])
  return ['vitest', 'run', ...asked, '--reporter=default', '--reporter=json', `--outputFile.json=${reportOf(name)}`]
}

function vitestCounts(report) {
  return [report.numPassedTests, report.numFailedTests]
}

function reportOf(name) {
  return join(results, `${name.replaceAll(' ', '-')}.json`)
}

/**
 * A suite of tests: shows its output and answers how many passed and failed. One that runs beside other things shows it when it
 * is through.
 */
async function suite(name, args, countsOf, { beside = false } = {}) {
  if (!beside) console.log(`\n${name}`)
  const child = spawn('npx', args, {
    cwd: home,
    stdio: beside ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', PLAYWRIGHT_JSON_OUTPUT_FILE: reportOf(name) },
  })
  let printed = ''
  for (const stream of beside ? [child.stdout, child.stderr] : []) stream.on('data', (chunk) => (printed += chunk.toString()))
  const [status] = await once(child, 'close')
  if (beside) console.log(`\n${name}\n${printed}`)
  const [passed, failed] = existsSync(reportOf(name)) ? countsOf(JSON.parse(readFileSync(reportOf(name), 'utf8'))) : [0, 0]
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
