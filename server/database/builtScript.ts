import { join } from 'node:path'

/** Where the build puts a script that runs beside the server; see nuxt.config.ts. In development there is none. */
export function builtScript(name: string): string {
  return join(process.env.JOLLY_BEAKER_HOME ?? process.cwd(), '.output', 'server', 'workers', `${name}.mjs`)
}
