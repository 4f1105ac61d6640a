import { everyTable, readingsOfGroup, type Evidence, type Table } from '../evidence'
import { mainWords, type LessonRecord, type Plan } from '../lesson'
import { resultUnit, testOf } from '../test'
import { unitOf } from '../quantity'
import { readConclusion, seenInOwnTable, type ClaimDoubt, type ReadConclusion } from './claims'
import { sentencesOf } from './conclusion/mentions'
import type { Span } from './conclusion/stretch'
import { plainly } from './conclusion/plainly'

/** A table that a sentence is read against, with a group's own averages where it is a group's sentence. */
export type ReadTable = Table & { own?: Evidence | undefined }

const PARTS = /[.!?;\n]+(?!\d)|,\s|\s(?:and|but|while|whereas)\s/g
const ENDS_SENTENCE = /[.!?;\n]/

/**
 * A sentence read against every table of a lesson that measures several things or tests several series. Each part of it is read against the tables that it
 * names, by card, unit, word or series; what names none goes on about what was named before, and is wrong only if no table has it.
 * @example readAgainstEach('Kitchen roll was highest.', everyTable(plan, record)).right // => [{ from: 0, to: 12 }, { from: 17, to: 24 }]
 */
export function readAgainstEach(text: string, tables: ReadTable[]): ReadConclusion {
  const reads = tables.map(({ plan, evidence, own }) => readConclusion(text, plan, evidence, own))
  const [only] = reads
  if (reads.length < 2) return only ?? { doubts: [], right: [], unread: [] }
  const parts = partsOfText(text, tables)
  const concerned = (span: Span) => parts.find(({ from, to }) => span.from >= from && span.from < to)?.tables ?? tables
  const has = (doubts: ClaimDoubt[], code: ClaimDoubt['code'], span: Span) =>
    doubts.some((one) => one.code === code && one.at.some(({ from }) => from === span.from))
  const isAgainst = (code: ClaimDoubt['code'], span: Span) =>
    concerned(span).every((table) => has(reads[tables.indexOf(table)]!.doubts, code, span))
  const doubts: ClaimDoubt[] = []
  const met = new Set<string>()
  const all = reads.flatMap((read, place) =>
    read.doubts.map((doubt) => ({ ...doubt, ...measureOf(tables, place), ...(place > 0 && { ofTable: place }) })),
  )
  for (const doubt of all) {
    const at = doubt.at.filter((span) => !met.has(`${doubt.code}/${span.from}`) && isAgainst(doubt.code, span))
    const unplaced =
      doubt.at.length === 0 && !met.has(doubt.code) && reads.every((read) => read.doubts.some(({ code }) => code === doubt.code))
    if (at.length === 0 && !unplaced) continue
    for (const span of at) met.add(`${doubt.code}/${span.from}`)
    if (unplaced) met.add(doubt.code)
    doubts.push({ ...doubt, at })
  }
  const wrong = new Set(doubts.flatMap(({ at }) => at.map(({ from }) => from)))
  const right = reads.flatMap((read, place) => read.right.filter((span) => concerned(span).includes(tables[place]!)))
  return {
    doubts,
    right: right.filter(({ from }, place) => !wrong.has(from) && right.findIndex((other) => other.from === from) === place),
    // What any of the tables understood was checked.
    unread: reads[0]!.unread.filter((span) =>
      reads.every((read) => read.unread.some((one) => one.from < span.to && span.from < one.to)),
    ),
  }
}

/** Which measure a table is of, where that is not the first one's. */
function measureOf(tables: ReadTable[], place: number): { measure?: string } {
  const { measured } = tables[place]!.plan
  return measured === null || measured === tables[0]!.plan.measured ? {} : { measure: measured }
}

interface Part extends Span {
  tables: ReadTable[]
}

/** The parts of a text with the tables that each is about. */
function partsOfText(text: string, tables: ReadTable[]): Part[] {
  const plain = plainly(text)
  const cuts = [...plain.matchAll(PARTS)]
  const parts: Part[] = []
  let from = 0
  let before = tables
  for (const cut of [...cuts, undefined]) {
    const to = cut ? cut.index + cut[0].length : plain.length
    const part = plain.slice(from, to)
    const about = namedIn(part, from, text, tables)
    const own = about.length > 0 ? about : before
    parts.push({ from, to, tables: own })
    before = cut && ENDS_SENTENCE.test(cut[0]) ? tables : own
    from = to
  }
  return parts
}

/** The tables whose series, or else whose card, unit or words, stand in a part of the text. */
function namedIn(part: string, from: number, text: string, tables: ReadTable[]): ReadTable[] {
  const inSeries = tables.filter(({ series }) => series && isSaid(series.name, part))
  const among = inSeries.length > 0 ? inSeries : tables
  const byMeasure = among.filter(({ plan }) => isOfMeasure(part, from, text, plan, tables))
  const byCondition = ofConditions(part, from, text, byMeasure.length > 0 ? byMeasure : among)
  if (byCondition.length > 0) return byCondition
  return byMeasure.length > 0 ? byMeasure : inSeries
}

/** Of tables of different lessons those that have what a part of the text names; none where that tells none of them apart. */
function ofConditions(part: string, from: number, text: string, tables: ReadTable[]): ReadTable[] {
  const named = tables.filter(({ plan }) =>
    sentencesOf(text, plan).some(({ mentions }) =>
      mentions.some((one) => one.kind === 'condition' && one.from >= from && one.from < from + part.length),
    ),
  )
  return named.length < tables.length ? named : []
}

function isSaid(name: string, part: string): boolean {
  return name.trim() !== '' && plainly(part).includes(plainly(name.trim()))
}

/** Does a part of the text speak of this measure: of its unit, of one of its words, or of what only its card is called. */
function isOfMeasure(part: string, from: number, text: string, plan: Plan, tables: ReadTable[]): boolean {
  const { dimension } = unitOf(resultUnit(plan))
  const figures = sentencesOf(text, plan).flatMap(({ mentions }) => mentions)
  const inUnit = figures.some(
    (one) =>
      one.kind === 'figure' &&
      one.unitSaid &&
      one.from >= from &&
      one.from < from + part.length &&
      unitOf(one.unit).dimension === dimension,
  )
  if (inUnit) return true
  const { measure: card, words } = testOf(plan)
  const others = new Set(
    tables.flatMap((table) => {
      const other = testOf(table.plan).measure
      return other && other.id !== card?.id ? mainWords(other.name) : []
    }),
  )
  const said = new Set(mainWords(part))
  if (mainWords(card?.name ?? '').some((word) => said.has(word) && !others.has(word))) return true
  return words.some((word) => isSaid(word, part))
}

/**
 * A sentence of the class, read against all that it measured.
 * @example readForClass('Card is definitely best.', plan, record).doubts.map(({ code }) => code)
 *   // => ['names-another-winner', 'no-numbers', 'does-not-say-how-sure']
 */
export function readForClass(text: string, plan: Plan, record: LessonRecord): ReadConclusion {
  return readAgainstEach(text, everyTable(plan, record))
}

/**
 * A group's own sentence, read before it is offered: against the class's tables where the group sees them, else against its own alone.
 * @param ofClass the group sees what all have measured
 * @example readForGroup('Card reached 90 mm.', plan, record, 'g1', false).doubts[0].code // => 'wrong-number'
 */
export function readForGroup(text: string, plan: Plan, record: LessonRecord, group: string, ofClass: boolean): ReadConclusion {
  const own = everyTable(plan, readingsOfGroup(record, group))
  if (!ofClass) return seenInOwnTable(readAgainstEach(text, own))
  const tables = everyTable(plan, record).map((table, place) => ({ ...table, own: own[place]?.evidence }))
  return readAgainstEach(text, tables)
}
