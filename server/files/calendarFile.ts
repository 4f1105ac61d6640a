import ical, { ICalAlarmType, type ICalCalendar } from 'ical-generator'
import { nextSchoolDay, readingDays } from '../../core/clock'
import { gettingReady, isForAdultsOnly, kitchenOf, needsOf, type School } from '../../core/kit'
import { type Plan } from '../../core/lesson'
import { daysOfReading } from '../../core/test'
import { doerWords, movedWords, SAFETY_LAST_WORD, stepWords } from '../../core/wording'

interface Of {
  id: string
  plan: Plan
}

const REMIND_BEFORE = 15 * 60
const READING_MINUTES = 15

/** Every step of getting ready, and the lesson itself, as appointments in the school's own time. */
export function gettingReadyCalendar({ id, plan }: Of, school: School): string {
  const calendar = calendarFor(`${plan.title || 'Lesson'}: getting ready`)
  const needs = needsOf(plan, school)
  for (const [place, step] of gettingReady(plan, school).entries()) {
    const material = plan.materials.find((one) => one.id === step.material)
    const adult = material && isForAdultsOnly(material)
    const start = localTime(step.planned!.day, step.planned!.time)
    addEvent(calendar, {
      id: `${id}-step-${place}`,
      start,
      minutes: Math.max(5, step.minutes),
      summary: stepWords(step, plan, needs, kitchenOf(school.customs)),
      description: [movedWords(step.moved), adult ? `Take care: ${doerWords('adult-only')}. ${SAFETY_LAST_WORD}` : '']
        .filter(Boolean)
        .join('\n'),
    })
  }
  const start = localTime(plan.date, plan.clock.start)
  addEvent(calendar, { id: `${id}-lesson`, start, minutes: plan.clock.minutes, summary: lessonInClass(plan), description: '' })
  return calendar.toString()
}

/** Every day on which the class reads, days without school named as such. */
export function readingDaysCalendar({ id, plan }: Of, { calendar: days }: School): string {
  const calendar = calendarFor(`${plan.title || 'Lesson'}: reading days`)
  for (const { after, day, off } of readingDays(days, plan.date, daysOfReading(plan))) {
    const next = nextSchoolDay(days, day)
    const moved = off.why === undefined ? '' : `Day ${after} has no school; read on the next school day.`
    addEvent(calendar, {
      id: `${id}-day-${after}`,
      start: localTime(off.why === undefined ? day : next, plan.clock.start || '09:00'),
      minutes: READING_MINUTES,
      summary: `Read day ${after}: ${lessonInClass(plan)}`,
      description: moved,
    })
  }
  return calendar.toString()
}

function calendarFor(name: string): ICalCalendar {
  return ical({ name: inOneLine(name), prodId: { company: 'Jolly Beaker', product: 'Jolly Beaker', language: 'EN' } })
}

function addEvent(
  calendar: ICalCalendar,
  { id, start, minutes, summary, description }: { id: string; start: Date; minutes: number; summary: string; description: string },
): void {
  const event = calendar.createEvent({
    id,
    start,
    end: new Date(start.getTime() + minutes * 60_000),
    // The school's own clock, wherever the calendar is: no time zone is known here, and none is needed.
    floating: true,
    summary: inOneLine(summary),
    description: description || null,
  })
  event.createAlarm({ type: ICalAlarmType.display, trigger: REMIND_BEFORE, description: inOneLine(summary) })
}

/** A name cannot begin a line of its own in the file. */
function inOneLine(text: string): string {
  return text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')
}

/** The digits of day and time as they stand: the file is written without a time zone. */
function localTime(day: string, time: string): Date {
  return new Date(`${day}T${time}:00Z`)
}

function lessonInClass(plan: Plan): string {
  return `${plan.title || 'Lesson'}, class ${plan.className}`
}
