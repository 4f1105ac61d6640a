import type { School } from '../../core/kit'
import type { LessonRecord, Stop } from '../../core/lesson'
import { readinessOf, secondLook } from '../../core/secondLook'
import { question } from '../../core/wording'
import type { StoredLesson } from '../database/lessons'

/** One lesson on the shelf. */
export interface ShelfEntry {
  id: string
  title: string
  question: string
  className: string
  date: string
  start: string
  archived: boolean
  /** 0 to 1. */
  level: number
  next: Stop | null
  troubles: number
}

export function shelfEntry(lesson: StoredLesson, record: LessonRecord, school: School): ShelfEntry {
  const { plan } = lesson
  const findings = secondLook(plan, record, school)
  const readiness = readinessOf(plan, record, findings)
  return {
    id: lesson.id,
    title: plan.title,
    question: plan.changed && plan.measured ? question(plan) : '',
    className: plan.className,
    date: plan.date,
    start: plan.clock.start,
    archived: lesson.archived,
    level: readiness.level,
    next: readiness.next ?? null,
    troubles: findings.filter((finding) => finding.severity !== 'note').length,
  }
}
