import { unreachable } from '../unreachable'
import { CUPBOARD_COLUMNS } from '../kit'
import { sentenceCase } from './sentenceCase'
import { counted, list } from './names'
import type { CsvProblem, CupboardProblem, FileProblem } from '../formats'

/** Why a lesson file was not opened, and what to do. Nothing has changed when this is said. */
export function fileProblemWords({ code, place }: FileProblem): string {
  switch (code) {
    case 'not-json':
      return `This file is damaged at ${place}: it is not complete JSON. Nothing was changed. Save the lesson again where it came from.`
    case 'foreign':
      return 'This is not a lesson file of Jolly Beaker. Nothing was changed. Choose a file whose name ends in .beaker.json.'
    case 'newer':
      return 'This file was saved by a newer Jolly Beaker. Nothing was changed. Update this one, then open it again.'
    case 'broken':
      return `This lesson file is damaged at “${place}”. Nothing was changed. Save the lesson again where it came from.`
    default:
      return unreachable(code)
  }
}

/** Why a table of readings was not taken in, with line and column. */
function csvProblemWords({ code, line, column, detail }: CsvProblem): string {
  const at = `Line ${line}`
  switch (code) {
    case 'empty':
      return 'There are no rows under the heading.'
    case 'column-missing':
      return `The column “${column}” is missing in the heading.`
    case 'too-many-rows':
      return `There are more than ${detail} rows.`
    case 'not-a-table':
      return `${at}: a quotation mark is not closed.`
    case 'unknown-group':
      return `${at}: no group is called “${detail}”.`
    case 'unknown-condition':
      return `${at}: no condition is called “${detail}”.`
    case 'bad-repeat':
      return `${at}: “${detail}” is not a repeat from 1 to 20.`
    case 'unknown-moment':
      return `${at}: the plan has no moment called “${detail}”.`
    case 'unknown-measure':
      return `${at}: nothing that is measured is called “${detail}”.`
    case 'bad-value':
      return `${at}: “${detail}” is not a number.`
    case 'unknown-unit':
      return `${at}: the unit “${detail}” is not known.`
    case 'wrong-kind-of-unit':
      return `${at}: the unit “${detail}” measures something else than the plan does.`
    case 'bad-status':
      return `${at}: the status is “kept” or “set-aside”, not “${detail}”.`
    case 'reason-missing':
      return `${at}: a reading that was set aside needs a reason.`
    case 'bad-yes-or-no':
      return `${at}: “${column}” takes yes or no, not “${detail}”.`
    case 'bad-id':
      return `${at}: “${detail}” is not an id. Leave the column empty for new readings.`
    case 'id-twice':
      return `${at}: the id ${detail} stands there twice.`
    case 'supersedes-unknown':
      return `${at}: it supersedes a reading that does not stand above it.`
    default:
      return unreachable(code)
  }
}

/** Why a table of readings changed nothing: its first problem, and how many more there are. */
export function csvRefusal([first, ...rest]: [CsvProblem, ...CsvProblem[]]): string {
  const more = rest.length > 0 ? ` There ${rest.length === 1 ? 'is' : 'are'} ${counted(rest.length, 'more problem')} like it.` : ''
  return `${csvProblemWords(first)}${more} Nothing was taken in; correct the table and choose it again.`
}

const MOST_SAID = 5

/** Why a table of the cupboard changed nothing: its first problems, and how many more there are. */
export function cupboardRefusal(problems: CupboardProblem[]): string {
  const more = problems.length - MOST_SAID
  return `${problems.slice(0, MOST_SAID).map(cupboardProblemWords).join(' ')}${more > 0 ? ` And ${more} more.` : ''} Nothing was changed.`
}

/** Why a table of the cupboard was not taken in, with line and column. */
export function cupboardProblemWords({ code, line, column, detail }: CupboardProblem): string {
  switch (code) {
    case 'empty':
      return 'There are no rows under the heading.'
    case 'columns-missing':
      return `The heading lacks: ${column}. It says: ${detail || 'nothing'}. The columns are ${CUPBOARD_COLUMNS.join(', ')}; thing and stock have to be there.`
    case 'too-many-rows':
      return `There are more than ${detail} rows.`
    case 'not-a-table':
      return `Line ${line}: a quotation mark is not closed.`
    case 'name-missing':
      return `Line ${line}: the thing has no name.`
    case 'name-twice':
      return `Line ${line}: “${detail}” is there twice.`
    case 'unknown-unit':
      return `Line ${line}, unit: “${detail}” is not known. Write pieces, g, mL, cm or leave it empty.`
    case 'bad-number':
      return `Line ${line}, ${column}: “${detail}” is not a number that fits.`
    default:
      return unreachable(code)
  }
}

/**
 * What a backup says of the school that is said otherwise here.
 * @example schoolDiffersWords({ held: false, customs: true, calendars: ['Puffin'] })
 *   // => 'The backup writes and measures otherwise (English, spoons and cups, money), and has other school days for Puffin. Nothing of that was taken.'
 */
export function schoolDiffersWords({ held, customs, calendars }: { held: boolean; customs: boolean; calendars: string[] }): string {
  const parts = [
    customs && 'writes and measures otherwise (English, spoons and cups, money)',
    held && 'keeps used things back for other days',
    calendars.length > 0 && `has other school days for ${list(calendars.slice(0, 5))}${calendars.length > 5 ? ' and others' : ''}`,
  ].filter((part): part is string => part !== false)
  return `The backup ${parts.join(', and ')}. Nothing of that was taken.`
}

/** What a backup brought back. `'12 lessons are back, 3 were here already.'` */
export function restoredWords({
  added,
  alreadyThere,
  beside,
  things,
  damaged,
}: {
  added: number
  alreadyThere: number
  beside: number
  things: number
  damaged: { lesson: string; message: string }[]
}): string {
  const parts = [
    added > 0 && `${counted(added, 'lesson')} ${added === 1 ? 'is' : 'are'} back`,
    beside > 0 &&
      `${counted(beside, 'lesson')} changed since ${beside === 1 ? 'stands' : 'stand'} beside ${beside === 1 ? 'its' : 'their'} saved form`,
    alreadyThere > 0 && `${counted(alreadyThere, 'lesson')} ${alreadyThere === 1 ? 'was' : 'were'} here already`,
    things > 0 && `${counted(things, 'thing')} of the cupboard came back`,
  ].filter((part): part is string => part !== false)
  const [first, ...others] = damaged
  const more = others.length > 0 ? `, and ${counted(others.length, 'further lesson')}` : ''
  const left = first ? ` Left out, since it is damaged: “${first.lesson}”${more}. ${first.message}` : ''
  return parts.length === 0 && !first
    ? 'There was nothing in it that is not here.'
    : `${parts.length === 0 ? '' : `${sentenceCase(list(parts))}.`}${left}`.trim()
}

/** The name of a file, in letters that every disk takes. `fileNameOf('Soak-up strips: our test', 'md') // 'Soak-up-strips-our-test.md'` */
export function fileNameOf(title: string, ending: string): string {
  const name = title
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return `${name || 'lesson'}.${ending}`
}
