import { acrossSeries, everyTable } from '../evidence'
import type { LessonRecord, Plan } from '../lesson'
import { gradeName, sureSentences, unfairSentences } from './evidence'
import { comesWithWords } from './fairness'
import { acrossSentences } from './series'
import { sentenceCase } from './sentenceCase'
import { gradesInOne } from './severalTables'

/** A new sentence begins; a decimal point or "2 s." within one does not. */
const BETWEEN = /(?<=[.!?])\s+(?=["“]?\p{Lu})/u

/**
 * What a board says beside its picture of one measure: how sure, one sentence, and behind a button all the rest.
 * @param view the lesson as that measure sees it
 * @returns undefined where nothing of it was read
 */
export function boardFindings(
  plan: Plan,
  view: Plan,
  record: LessonRecord,
): { grade: string; said: string; more: string[] } | undefined {
  const tables = everyTable(plan, record).filter((table) => table.plan.measured === view.measured)
  if (!tables.some(({ evidence }) => evidence.summaries.length > 0)) return undefined
  const across = acrossSeries(view, record)
  const ofEach = tables.flatMap((table) => [
    ...(tables.length > 1 ? [`${sentenceCase(gradesInOne([table]))} (${table.series?.name.trim()}).`] : []),
    ...sureSentences(table.plan, table.evidence),
  ])
  const sentences = [...(across ? acrossSentences(view, across) : []), ...ofEach].flatMap((text) => text.split(BETWEEN))
  // Of several series none speaks for the others.
  const judged =
    across && !('code' in across) ? gradeName({ ...across.apart, limits: across.limits }) : sentenceCase(gradesInOne(tables))
  // What holds the grade back is said before what it means.
  const held = tables.flatMap((table) => [
    ...(table.evidence.grade === 'not-fair' ? [] : unfairSentences(table.plan, table.evidence)),
    comesWithWords(table.plan),
  ])
  const said = held.find((text) => text !== '')?.split(BETWEEN)[0] ?? sentences[0] ?? ''
  return { grade: judged, said, more: sentences.filter((text) => text !== said) }
}
