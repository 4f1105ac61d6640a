import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createInterface } from 'node:readline'

/** A screen that nobody sees, once it stands: without a window these browsers do not focus their pages. It chooses a free display. */
export async function hiddenScreen(): Promise<{ display: string; close(): void }> {
  const screen = spawn('Xvfb', ['-displayfd', '1', '-screen', '0', '1280x900x24'], { stdio: ['ignore', 'pipe', 'ignore'] })
  const [number] = (await once(createInterface(screen.stdout), 'line')) as [string]
  return { display: `:${number}`, close: () => screen.kill() }
}
