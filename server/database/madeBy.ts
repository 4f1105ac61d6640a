import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** The built script that judges lessons beside the server; see nuxt.config.ts. */
export const JUDGE = join(process.env.JOLLY_BEAKER_HOME ?? process.cwd(), '.output', 'server', 'workers', 'judge.mjs')

/** Names what judges: a summary that other code made is made anew. In development, where nothing is built, it is always the same. */
export const MADE_BY = existsSync(JUDGE) ? createHash('sha256').update(readFileSync(JUDGE)).digest('hex').slice(0, 16) : 'unbuilt'
