import type { NewReading } from '~~/core/lesson'
import type { AskedEntry, Doubt } from '~~/core/record'

/** A number that was typed, with what is still to be asked about it, one question after another. */
export interface Questioned {
  value: number
  entered: string
  doubts: Doubt[]
  /** Somebody looked again and said that it is right. */
  confirmed: boolean
  /** Why it is not what was typed; empty where it is. */
  reason: string
}

const LONGEST_REASON = 300

/** What comes between a number that could be read and its row: a station asks about it before it is written down. */
export function useQuestioning(check: (entries: AskedEntry[]) => Promise<Doubt[][]>) {
  const checking = ref(false)

  async function question(entries: AskedEntry[]): Promise<Questioned[]> {
    checking.value = true
    const doubts = entries.length > 0 ? await check(entries).finally(() => (checking.value = false)) : []
    checking.value = false
    return entries.map(({ value, entered }, place) => ({
      value,
      entered,
      doubts: doubts[place] ?? [],
      confirmed: false,
      reason: '',
    }))
  }
  return { checking, question }
}

/** "It is right" answers the one question: what else is to be asked comes next. A number that is only fine is not confirmed as one of its fellows. */
export function keptAsIs({ doubts: [answered, ...doubts], confirmed, ...entry }: Questioned): Questioned {
  return { ...entry, doubts, confirmed: confirmed || answered?.code !== 'too-fine' }
}

/** What was suggested is it. */
export function putRight({ entered }: Questioned, value: number): Questioned {
  return { value, entered, doubts: [], confirmed: true, reason: shortened(`was written as ${entered}`) }
}

/** What a second reader had to say about it. */
export function seenAgain(
  questioned: Questioned,
  { value, entered, reason }: Pick<Questioned, 'value' | 'entered' | 'reason'>,
): Questioned {
  return { ...questioned, value, entered, confirmed: true, reason: shortened(reason || questioned.reason) }
}

/** What of it goes into its row, beside the number. */
export function rowPartOf({ confirmed, reason }: Questioned): Partial<NewReading> {
  return { confirmed, ...(reason === '' ? {} : { reason }) }
}

const shortened = (reason: string) => reason.slice(0, LONGEST_REASON)
