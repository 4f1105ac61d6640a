import { number } from './number'
import type { WayOfReading } from './way'

/** No card lies in the Measure tray yet: nothing is an amount, a word or a place. */
export const unread: WayOfReading = { ...number, isAmount: false }
