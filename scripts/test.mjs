// npm test: everything that must hold, from a fresh clone on: types, lint, format, the arrows between the folders, dead code, then
// the unit, API and browser tests against the built application and a real embedded database.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildApplication, installPackages, run } from './prepare.mjs'

const results = mkdtempSync(join(tmpdir(), 'jolly-beaker-test-'))

installPackages()
installBrowser()
step('types are prepared', 'npx', ['nuxt', 'prepare'], { quiet: true })
buildApplication()
step('types', 'npx', ['nuxt', 'typecheck'], { quiet: true })
step('lint', 'npm', ['run', '--silent', 'lint'])
step('format', 'npm', ['run', '--silent', 'format:check'])
step('imports', 'npm', ['run', '--silent', 'imports'], { quiet: true })
step('unused code', 'npm', ['run', '--silent', 'unused'], { quiet: true })
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
function step(name, command, args, options = {}) {
  const start = Date.now()
  run(command, args, options)
  console.log(`✓ ${name} (${Math.round((Date.now() - start) / 1000)} s)`)
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
