import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from './freePort'
import { databaseFor } from './postgres'

export { freePort }

export interface Application {
  base: string
  data: string
  process: ChildProcess
  /** Everything it printed. */
  printed(): string
  stop(): Promise<number | null>
}

/** A folder that does not exist yet, in one that goes away with `remove`. */
export function temporaryFolder(): { folder: string; remove(): void } {
  const parent = mkdtempSync(join(tmpdir(), 'jolly-beaker-'))
  return { folder: join(parent, 'data'), remove: () => rmSync(parent, { recursive: true, force: true }) }
}

/**
 * Runs the start script as `npm start` does, and answers at once.
 * @param under a command that runs it, such as one that changes the user
 * @param start  the script itself, where it is another than that of this checkout
 */
export function launch(
  args: string[],
  under: string[] = [],
  environment: NodeJS.ProcessEnv = {},
  start: string[] = [process.execPath, 'scripts/start.mjs'],
): { process: ChildProcess; printed(): string; ended: Promise<number | null> } {
  let printed = ''
  const [command, ...rest] = [...under, ...start, ...args]
  const child = spawn(command!, rest, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...environment } })
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (printed += chunk.toString()))
  const ended = once(child, 'exit').then(([code]) => code as number | null)
  return { process: child, printed: () => printed, ended }
}

/** The application on a data folder, once it says that it is ready. */
export async function startApplication({
  data,
  demo = false,
  port,
  args = [],
  environment = {},
  start,
}: {
  data: string
  demo?: boolean
  port?: number
  args?: string[]
  environment?: NodeJS.ProcessEnv
  start?: string[]
}): Promise<Application> {
  const chosen = port ?? (await freePort())
  const databaseUrl = await databaseFor(data)
  const options = ['--port', String(chosen), '--data', data, ...(demo ? [] : ['--no-demo']), ...args]
  const started = launch(options, [], { ...(databaseUrl && { DATABASE_URL: databaseUrl }), ...environment }, start)
  const deadline = Date.now() + 300_000
  while (!started.printed().includes('is ready:')) {
    if (started.process.exitCode !== null || Date.now() > deadline) {
      started.process.kill('SIGKILL')
      throw new Error(`It did not start:\n${started.printed()}`)
    }
    await new Promise((next) => setTimeout(next, 50))
  }
  const stop = async () => {
    started.process.kill('SIGTERM')
    return started.ended
  }
  return { base: `http://localhost:${chosen}`, data, process: started.process, printed: started.printed, stop }
}
