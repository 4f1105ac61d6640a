import writeSheets, { type SheetData } from 'write-excel-file/node'
import { averageOf, everyTable, evidenceOf, summarise, type Table } from '../../core/evidence'
import { type LessonRecord, type Plan } from '../../core/lesson'
import { atMoment, resultUnit, testOf } from '../../core/test'
import { unitOf } from '../../core/quantity'
import { currentReadings, resultsTable } from '../../core/record'
import {
  averageHeading,
  averageWay,
  conditionWithLetter,
  countsWords,
  evenedAverages,
  momentWords,
  nameOfGroup,
  tableName,
  trialNumbers,
  writeResult,
} from '../../core/wording'
import { classReport, resultsBlock, sureWords } from '../../core/wording/reports'

const bold = (value: string) => ({ value, fontWeight: 'bold' as const })
const text = (value: string) => ({ value, type: String })

/** A lesson as a spreadsheet of three sheets: the class's results, every reading that stands, and the plan in words. Numbers are numbers. */
export async function lessonSpreadsheet(plan: Plan, record: LessonRecord): Promise<Buffer> {
  const file = await writeSheets([
    {
      sheet: 'Results',
      data: everyTable(plan, record).flatMap((table, _, tables) => resultsOf(table, tables)),
      columns: [{ width: 28 }, ...Array(6).fill({ width: 16 })],
    },
    {
      sheet: 'Readings',
      data: readingsSheet(plan, record),
      columns: [{ width: 14 }, { width: 24 }, ...Array(9).fill({ width: 14 })],
    },
    { sheet: 'Plan', data: planSheet(plan, record), columns: [{ width: 24 }, { width: 90 }] },
  ])
  return file.toBuffer()
}

/** The class's results of one measure and series, with its name over it where there are several. */
function resultsOf(table: Table, tables: Table[]): SheetData {
  const { plan, record } = table
  const unit = unitOf(resultUnit(plan)).symbol
  const way = averageWay(plan)
  const evened = evenedAverages(plan, evidenceOf(plan, record))
  const average = way === 'none' ? [] : [bold(averageHeading(plan))]
  const head = [
    bold(`${['Condition', countsWords(plan)].filter(Boolean).join(': ')}${unit === '' ? '' : `, in ${unit}`}`),
    ...average,
    ...(evened ? [bold('Groups evened out')] : []),
    ...['Middle value', 'Lowest', 'Highest', 'Range', 'Results'].map(bold),
  ]
  const rows = resultsTable(plan, record.readings).map(({ condition, results }) => {
    const summary = summarise(results)
    const figure = summary && averageOf(summary, way)
    const numbers = summary
      ? [summary.median, summary.lowest, summary.highest, summary.range, summary.count]
      : [null, null, null, null, 0]
    return [
      text(conditionWithLetter(plan, condition)),
      ...(way === 'none' ? [] : [figure === undefined ? null : result(figure)]),
      ...(evened ? [evened.has(condition) ? number(evened.get(condition)!) : null] : []),
      ...numbers.map((value) => (value === null ? null : result(value))),
    ]
  })
  // What was not reached is no number: a spreadsheet says so in words.
  function result(value: number) {
    return Number.isFinite(value) ? number(value) : text(writeResult(plan, value))
  }
  const sure = sureWords(plan, record)
  const name = tableName(table, tables)
  // Words without an order have no figures: how often each came.
  const [block] = testOf(plan).way.ranks ? [] : resultsBlock(plan, record)
  const counted = block?.kind === 'table' ? [block.head.map(bold), ...block.rows.map((row) => row.map(countOrText))] : undefined
  const own = [...(counted ?? [head, ...rows]), ...(sure === '' ? [] : [[], [text(sure)]])]
  return name === '' ? own : [[bold(name)], ...own, []]
}

function readingsSheet(plan: Plan, record: LessonRecord): SheetData {
  const head = [
    'Group',
    'Condition',
    'Repeat',
    'When',
    'Measure',
    'Value',
    'Unit',
    'Status',
    'Reason',
    'Practice',
    'Entered',
    'No. in its order',
  ].map(bold)
  const rows = currentReadings(record.readings).map((reading) => [
    text(nameOfGroup(plan, reading.group)),
    text(conditionWithLetter(plan, reading.condition)),
    number(reading.repeat),
    text(momentWords(atMoment(plan, reading.moment), reading.moment)),
    text(testOf(atMoment(plan, reading.moment)).measure?.name ?? ''),
    number(reading.value),
    text(unitOf(reading.unit).symbol),
    text(reading.status === 'kept' ? 'kept' : 'set aside'),
    text(reading.reason),
    text(reading.practice ? 'yes' : 'no'),
    text(reading.entered),
    trialIn(plan, reading),
  ])
  return [head, ...rows]
}

/** Which trial of its group's order it was; empty where there is none. */
function trialIn(plan: Plan, { group, condition, repeat, practice }: LessonRecord['readings'][number]) {
  const place = practice ? undefined : trialNumbers(plan, group).get(`${condition}/${repeat}`)
  return place === undefined ? null : number(place)
}

function planSheet(plan: Plan, record: LessonRecord): SheetData {
  const { title, under, question, blocks } = classReport(plan, record)
  const wrapped = (value: string) => ({ ...text(value), wrap: true })
  const rows = blocks.flatMap((block) => {
    if (block.kind === 'facts') return block.rows.map(({ term, text: words }) => [bold(term), wrapped(words)])
    if (block.kind === 'quote') return [[bold('Our conclusion'), wrapped(block.text)]]
    return []
  })
  return [[bold(title), text(under)], [bold('Question'), wrapped(question)], ...rows]
}

function number(value: number) {
  return { value: Number(value.toPrecision(12)), type: Number }
}

function countOrText(cell: string) {
  return /^\d+$/.test(cell) ? number(Number(cell)) : text(cell)
}
