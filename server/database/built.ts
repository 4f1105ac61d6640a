import { join } from 'node:path'

/** What the build puts beside the server; see nuxt.config.ts. In development it is not there. */
export function built(name: string): string {
  return join(process.env.JOLLY_BEAKER_HOME ?? process.cwd(), '.output', 'server', name)
}

/** A script that runs beside the server. */
export function builtScript(name: string): string {
  return built(join('workers', `${name}.mjs`))
}
