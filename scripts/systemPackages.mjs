// What the tests take from Debian's packages: the browsers and the database server. Plain JavaScript, because it runs while the
// packages of the project are being installed.
import { existsSync } from 'node:fs'
import { BROWSERS, browserPath, FIREFOX, SCREEN, webkitPrograms } from './browser.mjs'
import { finished, run } from './prepare.mjs'
import { postgresPrograms } from './postgres.mjs'

const [COMMAND, ...BEFORE] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get']
const OPTIONS = { env: { DEBIAN_FRONTEND: 'noninteractive' } }
const install = (...names) => [...BEFORE, 'install', '-y', '--no-install-recommends', ...names]

/** Installs what is missing. Without WebKit its tests are skipped: not every system has it. */
export async function installSystemPackages() {
  const missing = [
    ...(existsSync(FIREFOX) ? [] : ['firefox-esr']),
    ...(existsSync(SCREEN) ? [] : ['xvfb']),
    // The server alone: tests start theirs.
    ...(postgresPrograms() ? [] : ['postgresql']),
  ]
  if (missing.length === 0 && browserPath() && webkitPrograms()) return
  console.log('Installing browsers and PostgreSQL from the system packages (once) ...')
  await run(COMMAND, [...BEFORE, 'update'])
  if (missing.length > 0) await run(COMMAND, install(...missing), OPTIONS)
  if (!browserPath()) {
    const [lighter, usual] = Object.keys(BROWSERS)
    const { status } = await finished(COMMAND, install(lighter), OPTIONS)
    if (status !== 0) await run(COMMAND, install(usual), OPTIONS)
  }
  if (!webkitPrograms()) await finished(COMMAND, install('webkit2gtk-driver'), OPTIONS)
}
