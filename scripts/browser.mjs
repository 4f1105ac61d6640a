// The browsers of tests, pictures and benches, from Debian's packages and never one that a test library downloads.
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

/** Packages and what they bring, the better one first: without windows it does the same with a third less work. */
export const BROWSERS = { 'chromium-headless-shell': '/usr/bin/chromium-headless-shell', chromium: '/usr/bin/chromium' }

export function browserPath() {
  return Object.values(BROWSERS).find((path) => existsSync(path))
}

/** The other families of browsers, for a short look at everything; with a screen that nobody sees. */
export const FIREFOX = '/usr/bin/firefox-esr'
export const SCREEN = '/usr/bin/Xvfb'
const WEBKIT_DRIVER = '/usr/bin/WebKitWebDriver'
const LIBRARIES = '/usr/lib'

/** What drives WebKit, and the window that it opens; undefined where they are not installed. */
export function webkitPrograms() {
  if (!existsSync(WEBKIT_DRIVER)) return undefined
  const window = readdirSync(LIBRARIES)
    .filter((name) => name.endsWith('-linux-gnu'))
    .flatMap((machine) => readdirSync(join(LIBRARIES, machine)).map((name) => join(LIBRARIES, machine, name, 'MiniBrowser')))
    .find((path) => path.includes('webkit2gtk') && existsSync(path))
  return window ? { driver: WEBKIT_DRIVER, window } : undefined
}
