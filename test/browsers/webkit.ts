import { spawn } from 'node:child_process'
import { Builder, Capabilities, type WebDriver } from 'selenium-webdriver'
import { webkitPrograms } from '../../scripts/browser.mjs'
import { hiddenScreen, started } from './screen'

const programs = webkitPrograms()
export const WEBKIT_IS_HERE = programs !== undefined

const DISPLAY = ':93'
const PORT = 4791

export async function startWebkit(): Promise<{ browser: WebDriver; stop(): Promise<void> }> {
  const { driver, window } = programs!
  const screen = await hiddenScreen(DISPLAY)
  const driving = spawn(driver, [`--port=${PORT}`], {
    stdio: 'ignore',
    // A test machine has no graphics card, and often nobody but root.
    env: { ...process.env, DISPLAY, WEBKIT_DISABLE_COMPOSITING_MODE: '1', WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1' },
  })
  await started()
  const wanted = { browserName: 'MiniBrowser', 'webkitgtk:browserOptions': { binary: window, args: ['--automation'] } }
  const browser = await new Builder().usingServer(`http://127.0.0.1:${PORT}`).withCapabilities(new Capabilities(wanted)).build()
  const stop = async () => {
    await browser.quit()
    driving.kill()
    screen.close()
  }
  return { browser, stop }
}
