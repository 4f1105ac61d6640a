import {
  averageOf,
  evidenceOf,
  evidenceOfGroup,
  judgedBefore,
  readingsOfGroup,
  summarise,
  trendOf,
  type Evidence,
} from '../../evidence'
import { activeConditions, type LessonRecord, type Plan } from '../../lesson'
import { resultUnit, testOf } from '../../test'
import { stampedOrders } from '../../predictions'
import { resultsTable } from '../../record'
import type { Block } from '../../reports'
import { gradeName, judgedAnewSentence, sureSentences } from '../evidence'
import { countsWords } from '../counts'
import { failuresSentence } from '../failures'
import { conditionWithLetter } from '../names'
import { patternWords } from '../sureness'
import { foresight, handsForesight } from '../results'
import { sortedBlock } from '../sorted'
import { averageFigure, averageHeading, averageWay, evenedAverages, rangeWords, writeFigure } from '../tables'
import { isAmount } from '../../quantity'

/** The table of results, of the class or of one group. */
export function resultsBlock(plan: Plan, record: LessonRecord, group?: string): Block[] {
  const { method, way } = testOf(plan)
  if (!method) return []
  if (!way.ranks) return sortedBlock(plan, evidenceIn(plan, record, group)?.sorted?.said ?? [])
  const unit = resultUnit(plan)
  const numeric = isAmount(unit)
  const rows = resultsTable(plan, record.readings, group).map(({ condition, results }) => ({
    condition,
    summary: summarise(results),
  }))
  if (rows.every(({ summary }) => summary === undefined)) return []
  const own = (group === undefined ? record : readingsOfGroup(record, group)).readings
  const average = averageWay(plan)
  const middle = average === 'none' ? [] : [averageHeading(plan)]
  const evened = group === undefined && numeric ? evenedAverages(plan, evidenceOf(plan, record)) : undefined
  return [
    {
      kind: 'table',
      caption: 'Results',
      head: [
        ['Condition', countsWords(plan)].filter(Boolean).join(', '),
        ...middle,
        ...(evened ? ['Groups evened out'] : []),
        'Lowest to highest',
        'Readings',
      ],
      figures: true,
      rows: rows.map(({ condition, summary }) => {
        const figure = summary && averageOf(summary, average)
        return [
          conditionWithLetter(plan, condition),
          ...(average === 'none' ? [] : [averageFigure(plan, own, condition, figure)]),
          ...(evened ? [evened.has(condition) ? writeFigure(plan, evened.get(condition)!, unit) : '–'] : []),
          summary ? rangeWords(plan, summary) : '–',
          String(summary?.count ?? 0),
        ]
      }),
    },
    ...(evened
      ? [
          {
            kind: 'text',
            text: `Groups evened out: not all groups did the same, so each condition stands there as if every group had done it. ${average === 'mean' ? 'Graph, order and sentences go' : 'The order goes'} by that.`,
          } as const,
        ]
      : []),
  ]
}

function evidenceIn(plan: Plan, record: LessonRecord, group: string | undefined): Evidence | undefined {
  return group === undefined ? evidenceOf(plan, record) : evidenceOfGroup(plan, record, group)
}

/** What ended without a number, as a paragraph; nothing where all had one. */
export function failuresBlock(plan: Plan, record: LessonRecord): Block[] {
  const text = failuresSentence(plan, record)
  return text === '' ? [] : [{ kind: 'text', text }]
}

/** How sure, what pattern, and who foresaw it, in one paragraph. */
export function sureWords(plan: Plan, record: LessonRecord): string {
  const evidence = evidenceOf(plan, record)
  if (!evidence || evidence.grade === 'nothing-yet') return ''
  const trend = trendOf(plan, record)
  return [
    `How sure: ${gradeName(evidence).toLowerCase()}.`,
    ...sureSentences(plan, evidence),
    judgedAnewSentence(judgedBefore(plan, record)),
    trend && evidence.grade === 'clear' ? patternWords(plan, trend).text : '',
    foreseen(plan, record, evidence),
  ]
    .filter(Boolean)
    .join(' ')
}

/** Who foresaw it, by groups and by the class's hands. */
function foreseen(plan: Plan, record: LessonRecord, evidence: Evidence): string {
  return [foresight(plan, evidence, stampedOrders(plan, record.predictions)), handsForesight(plan, evidence, record)]
    .filter(Boolean)
    .join(' ')
}

/** Is there anything to show at all. */
export function hasResults(plan: Plan, evidence: Evidence | undefined): boolean {
  return activeConditions(plan).length > 0 && (evidence?.summaries.length ?? 0) > 0
}
