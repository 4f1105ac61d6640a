import { offersOf, readForGroup, wordsUsed } from '../agree'
import { evidenceOf } from '../evidence'
import type { LessonRecord, Plan } from '../lesson'
import { predictionsByGroup } from '../predictions'
import { currentReadings, doubtfulReadings, progressOf } from '../record'

/** What the record shows a group did well, or could do next. A teacher's eye sees more. */
export type GroupSign =
  | { code: 'all-trials'; trials: number }
  | { code: 'reason-given'; reason: string }
  | { code: 'mended'; count: number }
  | { code: 'set-aside-with-reason'; reason: string }
  | { code: 'observed'; count: number }
  | { code: 'changed-mind' }
  | { code: 'words-used'; words: string[] }
  | { code: 'careful-sentence' }
  | { code: 'no-prediction' }
  | { code: 'no-reason' }
  | { code: 'gaps'; count: number }
  | { code: 'odd-unanswered'; count: number }
  | { code: 'no-observation' }
  | { code: 'no-sentence' }
  | { code: 'sentence-claims-more' }

export interface GroupSigns {
  group: string
  well: GroupSign[]
  next: GroupSign[]
  /** The class's words that the group used in what it wrote. */
  words: string[]
}

/**
 * What the record shows of each group, in the plan's order.
 * @param vocabulary the class's words
 */
export function groupSigns(plan: Plan, record: LessonRecord, vocabulary: string[]): GroupSigns[] {
  const evidence = evidenceOf(plan, record)
  const progress = progressOf(plan, record.readings)
  const offers = offersOf(plan, record.conclusions)
  const doubtful = doubtfulReadings(plan, record.readings)
  return predictionsByGroup(plan, record.predictions).map(({ group, stamped, later }) => {
    const own = currentReadings(record.readings).filter((reading) => reading.group === group && !reading.practice)
    const { done, all } = progress.find((one) => one.group === group)!
    const seen = record.observations.filter((one) => one.group === group)
    const sentence = offers.find((one) => one.group === group)
    const said = record.remarks.filter((one) => one.group === group).map(({ text }) => text)
    const texts = [...said, ...seen.map(({ text }) => text), stamped?.reason ?? '', sentence?.text ?? ''].join(' ')
    const words = wordsUsed(texts, vocabulary)
    const aside = own.find(({ status, reason }) => status === 'set-aside' && reason !== '')
    const mended = own.filter(({ supersedes, status }) => supersedes !== null && status === 'kept').length
    const odd = doubtful.filter(({ reading }) => reading.group === group).length
    const doubts = sentence && evidence ? readForGroup(sentence.text, plan, record, group, true).doubts : []
    const well: (GroupSign | false)[] = [
      all > 0 && done === all && { code: 'all-trials', trials: all },
      stamped !== undefined && stamped.reason !== '' && { code: 'reason-given', reason: stamped.reason },
      mended > 0 && { code: 'mended', count: mended },
      aside !== undefined && { code: 'set-aside-with-reason', reason: aside.reason },
      seen.length > 0 && { code: 'observed', count: seen.length },
      later.length > 0 && { code: 'changed-mind' },
      words.length > 0 && { code: 'words-used', words },
      sentence !== undefined && doubts.length === 0 && { code: 'careful-sentence' },
    ]
    const next: (GroupSign | false)[] = [
      !stamped && { code: 'no-prediction' },
      stamped !== undefined && stamped.reason === '' && { code: 'no-reason' },
      done < all && { code: 'gaps', count: all - done },
      odd > 0 && { code: 'odd-unanswered', count: odd },
      sentence !== undefined && doubts.length > 0 && { code: 'sentence-claims-more' },
      seen.length === 0 && { code: 'no-observation' },
      !sentence && { code: 'no-sentence' },
    ]
    const there = (signs: (GroupSign | false)[]) => signs.filter((sign): sign is GroupSign => sign !== false)
    return { group, well: there(well), next: there(next), words }
  })
}
