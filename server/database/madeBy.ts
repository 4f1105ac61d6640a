import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { builtScript } from './built'

/** Judges lessons beside the server. */
export const JUDGE = builtScript('judge')

/** Names what judges: a summary that other code made is made anew. In development, where nothing is built, it is always the same. */
export const MADE_BY = existsSync(JUDGE) ? createHash('sha256').update(readFileSync(JUDGE)).digest('hex').slice(0, 16) : 'unbuilt'
