import { existsSync } from 'node:fs'
import { launch, type Browser } from 'puppeteer-core'
import { FIREFOX } from '../../scripts/browser.mjs'
import { hiddenScreen } from './screen'

export const FIREFOX_IS_HERE = existsSync(FIREFOX)

export async function startFirefox(): Promise<{ browser: Browser; stop(): Promise<void> }> {
  const screen = await hiddenScreen()
  const browser = await launch({
    browser: 'firefox',
    executablePath: FIREFOX,
    headless: false,
    env: { ...process.env, DISPLAY: screen.display },
    defaultViewport: { width: 1280, height: 800 },
  })
  const stop = async () => {
    await browser.close()
    screen.close()
  }
  return { browser, stop }
}
