// The browser of tests, pictures and benches: Chromium from Debian's packages, never one that Playwright downloads.
import { existsSync } from 'node:fs'
import { finished, run } from './prepare.mjs'

/** Packages and what they bring, the better one first: without windows it does the same with a third less work. */
const BROWSERS = { 'chromium-headless-shell': '/usr/bin/chromium-headless-shell', chromium: '/usr/bin/chromium' }

/** The other family of browsers, for a short look at everything; with a screen that nobody sees. */
export const FIREFOX = '/usr/bin/firefox-esr'

export async function installFirefox() {
  if (existsSync(FIREFOX) && existsSync('/usr/bin/Xvfb')) return
  console.log('Installing Firefox from the system packages (once) ...')
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get']
  const packages = ['install', '-y', '--no-install-recommends', 'firefox-esr', 'xvfb']
  await run(command, [...before, ...packages], { env: { DEBIAN_FRONTEND: 'noninteractive' } })
}

export function browserPath() {
  return Object.values(BROWSERS).find((path) => existsSync(path))
}

export async function installBrowser() {
  if (browserPath()) return
  console.log('Installing Chromium from the system packages (once) ...')
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get']
  await run(command, [...before, 'update'])
  const install = (name) => [...before, 'install', '-y', '--no-install-recommends', name]
  const options = { env: { DEBIAN_FRONTEND: 'noninteractive' } }
  const [lighter, usual] = Object.keys(BROWSERS)
  const { status } = await finished(command, install(lighter), options)
  if (status !== 0) await run(command, install(usual), options)
}
