import { momentOfDayWords } from './days'
import { counted } from './names'

interface Mended {
  damage: string
  takenAt: string | null
  aside: string | null
  passedOver: string[]
}

/**
 * What happened to the data, what they are now, and what can be done, for the shelf and the terminal.
 * @param takenAt ISO time of the snapshot that took their place; null where they are still the damaged ones
 */
export function mendedWords({ damage, takenAt, aside, passedOver }: Mended): string {
  if (takenAt === null)
    return `A part of the data cannot be read (${damage}), and there is no sound snapshot. Save everything as one file now, and keep a copy of the data folder.`
  const day = momentOfDayWords(takenAt).slice(0, -3)
  const lies = aside === null ? 'what else came later is not here' : `what else came later lies in ${aside}`
  const passed =
    passedOver.length === 0 ? '' : ` ${passedOver.length === 1 ? 'A newer snapshot was' : 'Newer snapshots were'} damaged too.`
  return `The data were damaged. What you see is from ${day}. Stations offer again what they sent since; ${lies}.${passed} (The database said: ${damage}.)`
}

/** What became of a block that was pasted: "12 numbers pasted." or with those that cannot be read. */
export function pastedWords(written: number, unread: number): string {
  const rest = unread === 0 ? '' : ` ${counted(unread, 'cell')} cannot be read and ${unread === 1 ? 'is' : 'are'} marked.`
  return `${counted(written, 'number')} pasted.${rest}`
}
