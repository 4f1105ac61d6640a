// npm test: everything that must hold, from a fresh clone on: types, lint, format, the arrows between the folders, dead code, then
// the unit, API and browser tests against the built application and a real embedded database.
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildApplication, finished, installPackages } from './prepare.mjs'
import { installSystemPackages } from './systemPackages.mjs'

// Whatever is started from here on does not wait for ever.
process.env.NODE_OPTIONS = [process.env.NODE_OPTIONS, `--import ${new URL('awake.mjs', import.meta.url)}`].filter(Boolean).join(' ')

const results = mkdtempSync(join(tmpdir(), 'jolly-beaker-test-'))

// Browsers and a database server come from the system's packages meanwhile: the build does not need them.
const system = installSystemPackages()
await installPackages()
await check('types are prepared', 'npx', ['nuxt', 'prepare'])
const built = buildApplication()
const quiet = { beside: true }
// What stands to be done once there is a build, the longest first.
const toDo = [
  () => suite('folders', vitest, quiet),
  () => suite('start', vitest, quiet),
  () => suite('browsers', vitest, quiet),
  // Every bench once in a small size, so that none can rot unseen.
  () => check('benches, in a small size', 'npx', ['tsx', 'scripts/bench.ts', '--small']),
  () => suite('postgres', vitest, quiet),
  () => suite('unit', vitest, quiet),
  () => suite('api', vitest, quiet),
  () => suite('components', vitest, quiet),
]
// Three lanes for the two cores that this is meant for, since suites with servers wait for disks; the browser tests need both for themselves.
const suites = (await Promise.all([sources().then(lane), ready().then(lane), ready().then(lane), waiting()])).flat().filter(Boolean)
suites.push(await suite('browser', playwright))
rmSync(results, { recursive: true, force: true })
for (const { name, failed, printed } of suites) {
  if (failed > 0) console.log(`\n${name} tests ended with\n${printed.split('\n').slice(-60).join('\n')}`)
}
const [passed, failed] = ['passed', 'failed'].map((key) => suites.reduce((sum, one) => sum + one[key], 0))
console.log(`\nTests: ${passed} passed, ${failed} failed`)
process.exit(failed > 0 || passed === 0 ? 1 : 0)

/** What needs no build, beside the building. */
async function sources() {
  await checkScripts({ types: 'types', format: 'format:check', lint: 'lint', imports: 'imports', 'unused code': 'unused' })
  await ready()
}

async function ready() {
  await Promise.all([built, system])
}

/** Takes what comes next until nothing is left. */
async function lane() {
  const done = []
  for (let next = toDo.shift(); next; next = toDo.shift()) done.push(await next())
  return done
}

/** Most of it is spent waiting: beside the lanes. */
async function waiting() {
  await ready()
  return suite('soak', vitest, quiet)
}

/** A check without a count: says how long it took, ends everything when it fails. */
async function check(name, command, args) {
  const start = Date.now()
  const { status, printed } = await finished(command, args)
  const took = `${Math.round((Date.now() - start) / 1000)} s`
  if (status === 0) return console.log(`✓ ${name} (${took})`)
  console.error(`${printed}\n✘ ${name} (${took})`)
  process.exit(1)
}

/** Checks that are scripts of package.json, one after the other. */
async function checkScripts(scripts) {
  for (const [name, script] of Object.entries(scripts)) await check(name, 'npm', ['run', '--silent', script])
}

/**
 * Runs a suite of tests and answers how many passed and failed. It shows its output as it comes, or when it is through if it runs
 * beside others.
 */
async function suite(name, runner, { beside = false } = {}) {
  const report = join(results, `${name}.json`)
  const { args, env, counts } = runner(name, report)
  if (!beside) console.log(`\n${name} tests`)
  const { status, printed } = await finished('npx', args, { shown: !beside, env })
  if (beside) console.log(`\n${name} tests\n${printed}`)
  const [passed, failed] = existsSync(report) ? counts(JSON.parse(readFileSync(report, 'utf8'))) : [0, 0]
  return { name, printed, passed, failed: status === 0 ? failed : Math.max(1, failed) }
}

/** A project of vitest.config.ts. */
function vitest(project, report) {
  const args = ['vitest', 'run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${report}`]
  return { args, counts: ({ numPassedTests, numFailedTests }) => [numPassedTests, numFailedTests] }
}

function playwright(_, report) {
  const counts = ({ stats }) => [stats.expected + stats.flaky, stats.unexpected]
  return { args: ['playwright', 'test'], env: { PLAYWRIGHT_JSON_OUTPUT_FILE: report }, counts }
}
