import { sentenceCase } from '../sentenceCase'
import { question } from '../question'
import { arrangementOf, conditionsEach } from '../../arrangement'
import { classConclusion, nextTests, offersOf } from '../../agree'
import { resultsGraph, seriesGraph } from '../../charts'
import { acrossSeries, everyTable, readingsOfGroup, type Table } from '../../evidence'
import { UNKNOWN } from '../../fairness'
import {
  activeConditions,
  changedFactor,
  isEachChild,
  comingFactors,
  keptFactors,
  seriesFactor,
  type Factor,
  type LessonRecord,
  type Plan,
} from '../../lesson'
import { eachMeasure, firstSeries, seriesIn, testOf, kindOf } from '../../test'
import { guessesOf, handsOf, cameOut, changeTally, ownGuesses, predictionsByGroup, tallyOf } from '../../predictions'
import { oddResults, triesOf } from '../../record'
import { grantedOf } from '../../granted'
import { groupSigns, skillsOf, type Block, type Report } from '../../reports'
import { resultName } from '../counts'
import { comesWithWords } from '../fairness'
import { nextQuestion } from '../evidence'
import { grantedWords } from '../granted'
import { chartWords } from '../graphs'
import { dayWords } from '../days'
import { conditionWithLetter, counted, list, measuredWith, nameOfCondition, nameOfGroup } from '../names'
import { oddWords } from '../odd'
import { cameOutWords } from '../results'
import { acrossSentences, seriesChartWords, seriesNames } from '../series'
import { tableName } from '../severalTables'
import { bestSoFarWords, tryLine } from '../tries'
import { predictionSentence, variableWords, wordMat } from '../vocabulary'
import { failuresBlock, hasResults, resultsBlock, sureWords } from './results'
import { SKILL_WORDS, signWords } from './signs'
import { guessedWords, guessWords, ownerHeading } from '../eachChild'
import { countedOwners } from '../owners'

const MOST_NEXT = 3
const MOST_SIGNS = 2

/** The whole investigation for the wall or the folder: question, prediction, method, results, graph, conclusion, next. */
export function classReport(plan: Plan, record: LessonRecord): Report {
  return {
    ...headOf(plan, plan.title || 'Our test'),
    blocks: [
      {
        kind: 'facts',
        rows: [...predictedRows(plan, record), ...methodRows(plan), grantedRow(plan)],
      },
      ...resultsAndGraph(plan, record),
      { kind: 'heading', text: 'Our conclusion' },
      conclusionBlock(record),
      ...nextBlocks(plan),
    ],
  }
}

/** One group's own report: its prediction, its numbers beside the class's, what it saw and said. */
export function groupReport(plan: Plan, record: LessonRecord, group: string): Report {
  const own = predictionsByGroup(plan, record.predictions).find((one) => one.group === group)
  const besides = eachMeasure(plan)
    .slice(1)
    .flatMap((view) => {
      const said = predictionsByGroup(view, record.predictions).find((one) => one.group === group)?.stamped
      if (!said) return []
      const term = `Predicted: ${resultName(view)}`
      return [{ term, text: [predictionSentence(view, said), ...cameOutWords(view, cameOut(view, record, said))].join(' ') }]
    })
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
          ...besides,
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

/** Of several things that are measured each that somebody predicted, and the first in any case. */
function predictedRows(plan: Plan, record: LessonRecord): { term: string; text: string }[] {
  const [first, ...others] = eachMeasure(plan)
  const said = others.filter((view) => predictionsByGroup(view, record.predictions).some(({ stamped }) => stamped))
  const term = (view: Plan) => (said.length === 0 ? 'We predicted' : `We predicted: ${resultName(view)}`)
  return [first!, ...said].map((view) => ({ term: term(view), text: predictedWords(view, record) }))
}

/** `'3 groups said tissue more, 1 group said card the same'` of those who said more, less or the same. */
function changesSaid(plan: Plan, record: LessonRecord): string[] {
  return changeTally(plan, record.predictions).flatMap(({ condition, up, same, down }) =>
    (
      [
        ['more', up],
        ['the same', same],
        ['less', down],
      ] as const
    ).flatMap(([way, count]) =>
      count > 0 ? [`${countedOwners(plan, count)} said ${nameOfCondition(plan, condition)} ${way}`] : [],
    ),
  )
}

function predictedWords(plan: Plan, record: LessonRecord): string {
  const guesses = guessesOf(plan, record.predictions)
  if (guesses.length > 0) return guessedWords(plan, guesses)
  const most = tallyOf(plan, record.predictions)
    .filter((one) => one.most > 0)
    .map((one) => `${countedOwners(plan, one.most)} said ${nameOfCondition(plan, one.condition)} most`)
  const hands = Object.entries(handsOf(record.predictions)?.values ?? {})
    .filter(([, count]) => count > 0)
    .map(([id, count]) => `${counted(count, 'hand')} for ${nameOfCondition(plan, id)}`)
  const changes = changesSaid(plan, record)
  const said = [
    ...[most, changes].flatMap((lines) => (lines.length > 0 ? [`${list(lines)}.`] : [])),
    ...(hands.length > 0 ? [`Hands up: ${list(hands)}.`] : []),
  ]
  return said.length === 0 ? 'No prediction was written down.' : said.join(' ')
}

function grantedRow(plan: Plan): { term: string; text: string } {
  return {
    term: 'Taken for granted',
    text: grantedOf(plan)
      .map((one) => grantedWords(plan, one))
      .join(' '),
  }
}

function methodRows(plan: Plan): { term: string; text: string }[] {
  const words = variableWords(plan)
  const measured = eachMeasure(plan).flatMap((view) => {
    const card = testOf(view).measure
    return card ? [`${resultName(view)}, ${measuredWith(card.method)}`] : []
  })
  const first = firstSeries(plan)
  const conditions = list(activeConditions(first).map(({ id }) => conditionWithLetter(first, id)))
  const kept = keptFactors(plan).map((factor) => keptWords(plan, factor))
  const used = plan.materials.filter(({ per }) => per !== 'class').map(({ name }) => name)
  const shared = plan.materials.filter(({ per }) => per === 'class').map(({ name }) => name)
  const before = plan.resetList.length === 0 ? '' : ` Before every trial: ${plan.resetList.join('; ')}.`
  return [
    ...(isEachChild(plan) && !changedFactor(plan)
      ? []
      : [{ term: words.changed, text: `${changedFactor(plan)?.name ?? '…'}: ${conditions || '…'}` }]),
    ...(seriesIn(plan).length > 0 ? [{ term: 'And', text: `${seriesFactor(plan)?.name ?? '…'}: ${seriesNames(plan)}` }] : []),
    { term: words.measured, text: measured.join('; ') || '…' },
    { term: words.kept, text: kept.join('; ') || '…' },
    ...(comingFactors(plan).length > 0 ? [{ term: 'Not told apart', text: comesWithWords(plan) }] : []),
    {
      term: 'We used',
      text:
        [used.join('; '), shared.length > 0 ? `for the whole class: ${shared.join('; ')}` : ''].filter(Boolean).join('; ') || '…',
    },
    {
      term: 'How we did it',
      text: `${doneWords(plan)}${before}`,
    },
  ]
}

/** How something was kept the same, and where it was not. `'the place (sill; but Pot 4: shelf; Pot 6: nobody knows)'` */
function keptWords(plan: Plan, { name, how, exceptions }: Factor): string {
  const others = activeConditions(plan).flatMap(({ id }) => {
    const value = exceptions[id]
    return value === undefined ? [] : [`${nameOfCondition(plan, id)}: ${value === UNKNOWN ? 'nobody knows' : value}`]
  })
  const said = [how, ...(others.length > 0 ? [`but ${others.join('; ')}`] : [])].filter((one) => one !== '')
  return said.length === 0 ? name : `${name} (${said.join('; ')})`
}

/** How often each condition was done, and by whom. `'7 groups, each condition 3 times.'` */
function doneWords(plan: Plan): string {
  const times = counted(plan.repeats, 'time')
  switch (arrangementOf(plan)) {
    case 'together':
      return `The class together, at one apparatus, each condition ${times}.`
    case 'share-out':
      return `${countedOwners(plan, plan.groups.length)}, ${conditionsEach(plan)} of ${counted(activeConditions(plan).length, 'condition')} each, ${times}.`
    default:
      return `${countedOwners(plan, plan.groups.length)}, each condition ${times}.`
  }
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
  return { kind: 'quote', text: last?.text ?? '', note: last ? `${last.agreed ? 'Agreed by the class' : 'A draft'}${hands}.` : '' }
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
