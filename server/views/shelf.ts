import { dayOf, partOfShelf, weekAround, type Week } from '../../core/clock'
import { NOT_JUDGED, waitsFor } from '../../core/lists'
import { matterWords } from '../../core/wording'
import { gradeInList, questionInList, type Term, type TermLesson } from '../../core/wording/reports'
import type { AnswerOf, ShelfEntry, ShelfPage, ShelfQuestion } from '../../schemas/contract'
import type { Database } from '../database/open'
import { listClasses, listShelf, listTerm, type Summary } from '../database/summaries'
import { renewShown } from './renewing'

/** One page of the shelf. Nothing is worked out for it but what changed a moment ago. */
export async function loadShelf(database: Database, question: ShelfQuestion, desk: string | null): Promise<ShelfPage> {
  const week = weekAround(dayOf(new Date()))
  const shelf = await listShelf(database, question, week, desk)
  const { stale, left } = await renewShown(database, shelf.page, true)
  const { page, all, putAway } = stale > left ? await listShelf(database, question, week, desk) : shelf
  const classes = await listClasses(database, desk)
  return { lessons: page.map((one) => shelfEntry(one, week)), all, putAway, classes, renewing: left }
}

/** What was investigated between two days, and what it practised; put-away lessons are among it. */
export async function loadTerm(database: Database, term: Term, desk: string | null): Promise<AnswerOf<'GET /api/term'>> {
  const found = await listTerm(database, term, desk)
  const { stale, left } = await renewShown(database, found, false)
  const lessons = stale > left ? await listTerm(database, term, desk) : found
  return { lessons: lessons.map(termLesson), classes: await listClasses(database, desk), renewing: left }
}

function shelfEntry({ id, archived, plan, face, judged, countedBack }: Summary, week: Week): ShelfEntry {
  const { title, className, date, start } = face
  const { first, more } = waitsFor(judged ?? NOT_JUDGED, face, countedBack)
  const { level, picture } = judged ?? NOT_JUDGED
  return {
    ...{ id, title, question: questionInList(plan), className, date, start, archived, level, picture },
    part: partOfShelf(date, week),
    matters: { first: first && matterWords(first, plan), more },
    judged: judged !== null,
  }
}

function termLesson({ id, plan, face, judged }: Summary): TermLesson {
  const { title, className, date } = face
  const { conclusion, agreed, skills } = judged ?? NOT_JUDGED
  const [question, grade] = [questionInList(plan), gradeInList(plan, judged)]
  return { id, title, className, date, question, grade, conclusion, agreed, skills }
}
