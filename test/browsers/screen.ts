import { spawn } from 'node:child_process'

const STARTING = 800

/** A screen that nobody sees: without a window these browsers do not focus their pages. */
export async function hiddenScreen(display: string): Promise<{ close(): void }> {
  const screen = spawn('Xvfb', [display, '-screen', '0', '1280x900x24'], { stdio: 'ignore' })
  await started()
  return { close: () => screen.kill() }
}

export const started = () => new Promise<void>((next) => setTimeout(next, STARTING))
