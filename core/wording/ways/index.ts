import type { Way } from '../../lesson'
import { balance } from './balance'
import { number } from './number'
import { race } from './race'
import { sorts } from './sorts'
import type { WayWords } from './wayWords'
import { words } from './words'

/** How each way of reading is talked about. */
export const WAY_WORDS: Record<Way, WayWords> = { number, words, sorts, race, balance }
