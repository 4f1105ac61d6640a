import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync } from 'node:fs'
import { launch, type Browser } from 'puppeteer-core'
import { FIREFOX } from '../../scripts/browser.mjs'

export const FIREFOX_IS_HERE = existsSync(FIREFOX)

const DISPLAY = ':94'
const SCREEN_TAKES = 800

/** Firefox in a window that nobody sees: without one it does not focus its pages. */
export async function startFirefox(): Promise<{ browser: Browser; stop(): Promise<void> }> {
  const screen: ChildProcess = spawn('Xvfb', [DISPLAY, '-screen', '0', '1280x900x24'], { stdio: 'ignore' })
  await new Promise((next) => setTimeout(next, SCREEN_TAKES))
  const browser = await launch({
    browser: 'firefox',
    executablePath: FIREFOX,
    headless: false,
    env: { ...process.env, DISPLAY },
    defaultViewport: { width: 1280, height: 800 },
  })
  const stop = async () => {
    await browser.close()
    screen.kill()
  }
  return { browser, stop }
}
