import { spawn } from 'node:child_process'
import { setTimeout } from 'node:timers/promises'
import { Builder, Capabilities, type WebDriver } from 'selenium-webdriver'
import { webkitPrograms } from '../../scripts/browser.mjs'
import { freePort } from '../freePort'
import { hiddenScreen } from './screen'

const programs = webkitPrograms()
export const WEBKIT_IS_HERE = programs !== undefined

const PATIENCE = 120_000

export async function startWebkit(): Promise<{ browser: WebDriver; stop(): Promise<void> }> {
  const { driver, window } = programs!
  const screen = await hiddenScreen()
  const port = await freePort()
  const driving = spawn(driver, [`--port=${port}`], {
    stdio: 'ignore',
    // A test machine has no graphics card, and often nobody but root.
    env: {
      ...process.env,
      DISPLAY: screen.display,
      WEBKIT_DISABLE_COMPOSITING_MODE: '1',
      WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
    },
  })
  const server = `http://127.0.0.1:${port}`
  await answering(server)
  const wanted = { browserName: 'MiniBrowser', 'webkitgtk:browserOptions': { binary: window, args: ['--automation'] } }
  const browser = await new Builder().usingServer(server).withCapabilities(new Capabilities(wanted)).build()
  const stop = async () => {
    await browser.quit()
    driving.kill()
    screen.close()
  }
  return { browser, stop }
}

/** Waits until the driver takes requests: on a machine that does other things too that takes seconds. */
async function answering(server: string): Promise<void> {
  const deadline = Date.now() + PATIENCE
  while (Date.now() < deadline) {
    if (
      await fetch(`${server}/status`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return
    await setTimeout(50)
  }
  throw new Error(`The driver of WebKit does not answer at ${server}.`)
}
