import { sentenceCase } from '../sentenceCase'
import { question } from '../question'
import { classConclusion, nextTests, offersOf } from '../../agree'
import { resultsGraph, seriesGraph } from '../../charts'
import { acrossSeries, everyTable, readingsOfGroup, type Table } from '../../evidence'
import { isEachChild, type LessonRecord, type Plan } from '../../lesson'
import { eachMeasure, kindOf } from '../../test'
import { cameOut, ownGuesses, predictionsByGroup } from '../../predictions'
import { oddResults, triesOf } from '../../record'
import { groupSigns, skillsOf, type Block, type Report } from '../../reports'
import { nextQuestion } from '../evidence'
import { chartWords } from '../graphs'
import { dayWords } from '../days'
import { list, nameOfGroup } from '../names'
import { oddWords } from '../odd'
import { cameOutWords } from '../results'
import { acrossSentences, seriesChartWords, seriesNames } from '../series'
import { tableName } from '../severalTables'
import { bestSoFarWords, tryLine } from '../tries'
import { predictionSentence, wordMat } from '../vocabulary'
import { grantedRow, methodRows } from './method'
import { acrossAllBlock, agreedWords, ownQuestionsBlocks, type OwnQuestions } from './ownQuestions'
import { predictedBesides, predictedRows } from './predicted'
import { failuresBlock, hasResults, resultsBlock, sureWords } from './results'
import { SKILL_WORDS, signWords } from './signs'
import { guessWords, ownerHeading } from '../eachChild'

const MOST_NEXT = 3
const MOST_SIGNS = 2

/**
 * The whole investigation for the wall or the folder: question, prediction, method, results, graph, conclusion, next.
 * @param own where each group asks its own question: a row a group, and the class's sentence across all. Of the question of the class there is what was done.
 */
export function classReport(plan: Plan, record: LessonRecord, own?: OwnQuestions): Report {
  const asked = own === undefined || plan.groups.length > 0
  return {
    ...headOf(plan, plan.title || 'Our test'),
    blocks: [
      ...(asked ? [{ kind: 'facts' as const, rows: [...predictedRows(plan, record), ...methodRows(plan), grantedRow(plan)] }] : []),
      ...(own ? ownQuestionsBlocks(own) : []),
      ...resultsAndGraph(plan, record),
      { kind: 'heading', text: 'Our conclusion' },
      (own && acrossAllBlock(own)) ?? conclusionBlock(record),
      ...(asked ? nextBlocks(plan) : []),
    ],
  }
}

/** One group's own report: its prediction, its numbers beside the class's, what it saw and said. */
export function groupReport(plan: Plan, record: LessonRecord, group: string): Report {
  const own = predictionsByGroup(plan, record.predictions).find((one) => one.group === group)
  const alone = isEachChild(plan)
  const guesses = alone ? ownGuesses(plan, record).filter((one) => one.group === group) : []
  const came = own?.stamped ? cameOutWords(plan, cameOut(plan, record, own.stamped)) : []
  const seen = record.observations.filter((one) => one.group === group && one.text !== '').map(({ text }) => text)
  const odd = oddLines(plan, record, group)
  const sentence = offersOf(plan, record.conclusions).find((one) => one.group === group)
  const table = besideTheClass(plan, record, group)
  return {
    ...headOf(plan, `${ownerHeading(plan)} ${nameOfGroup(plan, group)}: ${plan.title || 'our test'}`),
    blocks: [
      {
        kind: 'facts',
        rows: [
          {
            term: alone ? 'I predicted' : 'We predicted',
            text: own?.stamped ? predictionSentence(plan, own.stamped) : 'No prediction was written down.',
          },
          ...guesses.map((guess) => ({ term: 'How it came', text: `${sentenceCase(guessWords(plan, guess))}.` })),
          ...(came.length > 0 && guesses.length === 0 ? [{ term: 'How it came', text: came.join(' ') }] : []),
          ...predictedBesides(plan, record, group),
          ...(own?.later.length
            ? [
                {
                  term: alone ? 'I changed my mind' : 'We changed our mind',
                  text: own.later.map((one) => predictionSentence(plan, one)).join(' '),
                },
              ]
            : []),
          ...methodRows(plan).slice(0, 3),
        ],
      },
      ...(table.length > 0
        ? [{ kind: 'heading' as const, text: `What ${alone ? 'I' : 'we'} measured, beside the class` }, ...table]
        : []),
      ...triesBlocks(plan, record, group),
      ...(odd.length > 0 ? [{ kind: 'list' as const, items: odd }] : []),
      ...(seen.length > 0
        ? [
            { kind: 'heading' as const, text: 'What we saw' },
            { kind: 'list' as const, items: seen },
          ]
        : []),
      ...toldBlocks(plan, record, group),
      { kind: 'heading', text: 'What the class found' },
      ...resultsAndGraph(plan, record).filter(({ kind }) => kind !== 'table'),
      { kind: 'heading', text: 'We say' },
      { kind: 'quote', text: sentence?.text ?? '', note: '' },
      { kind: 'heading', text: 'The class agreed' },
      conclusionBlock(record),
    ],
  }
}

/** For the teacher alone: who needs what next, what went well, the words used. */
export function teacherNotes(plan: Plan, record: LessonRecord): Report {
  const vocabulary = wordMat(plan).map(({ word }) => word.toLowerCase())
  const signs = groupSigns(plan, record, vocabulary)
  const line = (texts: string[]) => (texts.length === 0 ? '…' : `${texts.join('; ')}.`)
  return {
    ...headOf(plan, `Teacher’s notes: ${plan.title || 'our test'}`),
    blocks: [
      ...(plan.notes === '' ? [] : [{ kind: 'text' as const, text: plan.notes }]),
      {
        kind: 'table',
        caption: 'Group by group',
        head: [ownerHeading(plan), 'Done well', 'To work on next', 'Our words used'],
        figures: false,
        rows: signs.map(({ group, well, next, words }) => {
          const said = plan.groupNotes[group]
          return [
            nameOfGroup(plan, group),
            said?.well ||
              line(
                well
                  .filter(({ code }) => code !== 'words-used')
                  .slice(0, MOST_SIGNS)
                  .map(signWords),
              ),
            said?.next || line(next.slice(0, 1).map(signWords)),
            list(words) || 'none yet',
          ]
        }),
      },
      ...toldToEach(plan, record),
      { kind: 'heading', text: 'What the class practised' },
      {
        kind: 'text',
        text: `${list(skillsOf(plan, record).map((skill) => SKILL_WORDS[skill])) || 'Nothing that the record shows yet'}.`,
      },
      { kind: 'heading', text: 'Results' },
      ...resultsAndGraph(plan, record),
      ...oddBlocks(plan, record),
      { kind: 'heading', text: 'The class agreed' },
      conclusionBlock(record),
      ...nextBlocks(plan),
    ],
  }
}

function headOf(plan: Plan, title: string): Pick<Report, 'title' | 'under' | 'question'> {
  const under = `Class ${plan.className}${plan.date ? `, ${dayWords(plan.date)}` : ''}`
  return { title, under, question: question(plan) }
}

/** A group's own tables with the class's figures in a last column. */
function besideTheClass(plan: Plan, record: LessonRecord, group: string): Block[] {
  return everyTable(plan, record).flatMap((one, _, tables): Block[] => {
    const [own] = resultsBlock(one.plan, record, group)
    const [all] = resultsBlock(one.plan, record)
    if (own?.kind !== 'table' || all?.kind !== 'table') return []
    const figures = new Map(all.rows.map(([name = '', figure = '']) => [name, figure]))
    const rows = own.rows.map((row) => [...row, figures.get(row[0] ?? '') ?? '–'])
    return [...named(one, tables), { ...own, head: [...own.head, 'The class'], rows }]
  })
}

/** Which of several tables it is, over it. */
function named(table: Table, tables: Table[]): Block[] {
  return tables.length < 2 ? [] : [{ kind: 'heading', text: sentenceCase(tableName(table, tables)) }]
}

/** Of each measure the table of each series, how sure, and the graph: of several series all on one. */
function resultsAndGraph(plan: Plan, record: LessonRecord): Block[] {
  const tables = everyTable(plan, record)
  const found = eachMeasure(plan).flatMap((view): Block[] => {
    const own = tables.filter((table) => table.plan.measured === view.measured)
    const blocks = own.flatMap((one): Block[] => {
      const graph = resultsGraph(one.plan, one.record)
      if (!hasResults(one.plan, one.evidence) || !graph) return []
      return [
        ...named(one, tables),
        ...resultsBlock(one.plan, one.record),
        { kind: 'text', text: sureWords(one.plan, one.record) },
        ...(own.length > 1 ? [] : [{ kind: 'chart' as const, words: chartWords(one.plan, graph), measure: one.plan.measured }]),
      ]
    })
    return blocks.length > 0 ? [...blocks, ...acrossBlocks(view, record)] : []
  })
  return [...found, ...failuresBlock(plan, record)]
}

/** Series laid beside each other. */
function acrossBlocks(plan: Plan, record: LessonRecord): Block[] {
  const [across, graph] = [acrossSeries(plan, record), seriesGraph(plan, record)]
  if (!across || !graph) return []
  return [
    { kind: 'heading', text: `${sentenceCase(seriesNames(plan))} beside each other` },
    { kind: 'chart', words: seriesChartWords(plan, graph), measure: plan.measured },
    { kind: 'text', text: acrossSentences(plan, across).join(' ') },
  ]
}

function conclusionBlock(record: LessonRecord): Block {
  const last = classConclusion(record.conclusions)
  const hands = last?.hands === null || last?.hands === undefined ? '' : `, ${last.hands} hands up`
  return { kind: 'quote', text: last?.text ?? '', note: last ? `${agreedWords(last.agreed)}${hands}.` : '' }
}

function nextBlocks(plan: Plan): Block[] {
  const next = nextTests(plan).slice(0, MOST_NEXT).map(nextQuestion)
  return next.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Next we could ask' },
        { kind: 'list', items: next },
      ]
}

/** Every odd or set-aside result of the class, or of one group. */
function oddLines(plan: Plan, record: LessonRecord, group?: string): string[] {
  return eachMeasure(plan).flatMap((view) =>
    oddResults(view, record)
      .filter(({ reading }) => group === undefined || reading.group === group)
      .map((one) => oddLine(view, one)),
  )
}

function oddLine(plan: Plan, one: ReturnType<typeof oddResults>[number]): string {
  const { status, reason } = one.reading
  return `${oddWords(plan, one)}${status === 'set-aside' ? ` Set aside: ${reason}.` : ''}`
}

function oddBlocks(plan: Plan, record: LessonRecord): Block[] {
  const items = oddLines(plan, record)
  if (items.length === 0) return []
  return [
    { kind: 'heading', text: 'Odd readings' },
    { kind: 'list', items },
  ]
}

/** What other groups told one after a visit. */
function toldBlocks(plan: Plan, record: LessonRecord, group: string): Block[] {
  const told = record.feedbacks.filter(({ about }) => about === group)
  const said = (from: string, text: string) => `${nameOfGroup(plan, from)}: ${text}`
  const well = told.flatMap(({ group: from, well: text }) => (text === '' ? [] : [said(from, `well, ${text}`)]))
  const next = told.flatMap(({ group: from, next: text }) => (text === '' ? [] : [said(from, `to work on, ${text}`)]))
  return told.length === 0
    ? []
    : [
        { kind: 'heading', text: 'What others told us' },
        { kind: 'list', items: [...well, ...next] },
      ]
}

/** The same of every group, for the teacher. */
function toldToEach(plan: Plan, record: LessonRecord): Block[] {
  if (record.feedbacks.length === 0) return []
  const rows = record.feedbacks.map(({ group, about, well, next }) => [
    nameOfGroup(plan, about),
    well,
    next,
    nameOfGroup(plan, group),
  ])
  return [
    {
      kind: 'table',
      caption: 'What groups told each other',
      head: ['About', 'Done well', 'To work on', 'From'],
      figures: false,
      rows,
    },
  ]
}

/** A group's own building: each try with what was changed and what it gained, and its own graph. */
function triesBlocks(plan: Plan, record: LessonRecord, group: string): Block[] {
  if (!kindOf(plan).improves) return []
  const own = readingsOfGroup(record, group)
  const tries = triesOf(plan, record, group)
  const graph = resultsGraph(plan, own)
  if (!graph || tries.every(({ result }) => result === undefined)) return []
  return [
    { kind: 'heading', text: 'How we made it better' },
    { kind: 'list', items: tries.map((one) => sentenceCase(tryLine(plan, one))) },
    { kind: 'text', text: bestSoFarWords(plan, tries) },
    { kind: 'chart', words: chartWords(plan, graph), measure: plan.measured, group },
  ]
}
