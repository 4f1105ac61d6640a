import { NOT_JUDGED, type Term, type TermLesson } from '../../core/wording/reports'
import type { ShelfEntry, ShelfPage, ShelfQuestion } from '../../schemas/contract'
import type { Database } from '../database/open'
import { listClasses, listShelf, listTerm, type Summary } from '../database/summaries'
import { renewShown } from './renewing'

/** One page of the shelf. Nothing is worked out for it but what changed a moment ago. */
export async function loadShelf(database: Database, question: ShelfQuestion): Promise<ShelfPage> {
  let shelf = await listShelf(database, question)
  if (await renewShown(database, shelf.page, true)) shelf = await listShelf(database, question)
  return { lessons: shelf.page.map(shelfEntry), all: shelf.all, putAway: shelf.putAway }
}

/** What was investigated between two days, and what it practised; put-away lessons are among it. */
export async function loadTerm(database: Database, term: Term): Promise<{ lessons: TermLesson[]; classes: string[] }> {
  let lessons = await listTerm(database, term)
  if (await renewShown(database, lessons, false)) lessons = await listTerm(database, term)
  return { lessons: lessons.map(termLesson), classes: await listClasses(database) }
}

function shelfEntry({ id, archived, face, judged }: Summary): ShelfEntry {
  const { title, question, className, date, start } = face
  const { level, next, troubles } = judged ?? NOT_JUDGED
  return { id, title, question, className, date, start, archived, level, next, troubles }
}

function termLesson({ id, face, judged }: Summary): TermLesson {
  const { title, className, date, question } = face
  const { grade, conclusion, agreed, skills } = judged ?? NOT_JUDGED
  return { id, title, className, date, question, grade, conclusion, agreed, skills }
}
