import { dayOf, USUAL_CALENDAR } from '../../core/clock'
import { bookingsOf, kitchenOf, takesOf, type School } from '../../core/kit'
import type { Plan } from '../../core/lesson'
import { candidateOf, layTerm, practisedIn, termAround, termNeeds } from '../../core/term'
import { NOT_JUDGED } from '../../core/lists'
import { INVESTIGATIONS } from '../../schemas/investigations'
import type { TermPlan, TermPlanAsk } from '../../schemas/termPlan'
import { listCalendars } from '../database/calendars'
import { lastClass } from '../database/lessons'
import type { Database } from '../database/open'
import { listClasses, listTerm, type Summary } from '../database/summaries'
import { everyInvestigation, planOf } from './investigations'
import { renewShown } from './renewing'
import { schoolFor } from './school'

/** Investigations laid over the weeks of a class's term, with what they practise and need; nothing is stored. */
export async function loadTermPlan(database: Database, ask: TermPlanAsk, desk: string | null): Promise<TermPlan> {
  const last = await lastClass(database, desk)
  const [className, children] = [ask.className || last.className, ask.children ?? last.children]
  const calendar = (await listCalendars(database)).get(className) ?? USUAL_CALENDAR
  const around = termAround(calendar, dayOf(new Date()))
  const { from, to } = ask.from === '' || ask.to === '' ? around : ask
  const { lessons, undated, known, renewing } = await lessonsOfClass(database, { to, className }, desk)
  const school = (await schoolFor(database))('', className)
  const standing = lessons.filter(({ date, archived }) => date >= from && !archived)
  // One that was done without a day was practised, too.
  const practised = [...lessons, ...undated].filter(({ date, begun }) => date < from && begun).flatMap(({ practises }) => practises)
  const fitting = (await everyInvestigation(database, school))
    .filter(([id, { ages, topic }]) => {
      const fits = (ask.age === '' || ages.includes(ask.age)) && (ask.topic === '' || ask.topic === topic)
      // One that the class has had is laid only where somebody chose it.
      return Object.values(ask.chosen).includes(id) || (fits && !known.has(id))
    })
    .map(([id, body]) => ({ id, topic: body.topic, plan: planOf(body, className, children, school) }))
  const candidates = fitting.map(({ id, plan, topic }) => candidateOf(id, plan, topic))
  const weeks = layTerm({ ...ask, from, to }, { candidates, standing, practised, calendar, school })
  const laid = weeks.flatMap(({ laid: its }) => {
    const found = its && fitting.find(({ id }) => id === its.candidate)!
    return found ? [{ id: found.id, title: found.plan.title, date: its.day, plan: found.plan }] : []
  })
  return {
    ...{ from, to, className, children, calendar, weeks, practised, renewing },
    withoutDay: undated.filter(({ archived }) => !archived).length,
    classes: await listClasses(database, desk),
    candidates: candidates.map(({ id, title }) => ({ id, title })),
    needs: termNeeds([...standing, ...laid], bookingsWith(laid, school, to), school),
  }
}

/** What a class has done and is going to do until a day, put-away lessons among what it has done. */
async function lessonsOfClass(database: Database, { to, className }: { to: string; className: string }, desk: string | null) {
  const load = () => listTerm(database, { from: '', to: '', className }, desk)
  const first = await load()
  const { stale, left } = await renewShown(database, first, false)
  const all = (stale > left ? await load() : first).map(standingOf)
  return {
    lessons: all.filter(({ date }) => date !== '' && date <= to),
    known: new Set(all.flatMap(({ investigation }) => investigation ?? [])),
    undated: all.filter(({ date }) => date === ''),
    renewing: left,
  }
}

function standingOf({ id, archived, face, judged }: Summary) {
  const { title, date, kind, investigation } = face
  const { hour, skills } = judged ?? NOT_JUDGED
  const begun = hour !== 'before'
  const topic = investigation === null ? undefined : INVESTIGATIONS[investigation]?.topic
  return {
    id,
    title,
    date,
    kind,
    topic,
    investigation,
    archived,
    begun,
    practises: practisedIn({ practises: face.practises, skills, begun }),
  }
}

/** What all lessons take until the end of the term, those that are only laid among them. */
function bookingsWith(laid: { id: string; title: string; date: string; plan: Plan }[], school: School, to: string) {
  const { things, held, customs } = school
  const ofLaid = laid.flatMap(({ plan, ...lesson }) =>
    bookingsOf({ ...lesson, start: '', takes: takesOf(plan) }, things, held, kitchenOf(customs)),
  )
  return [...school.bookings.filter(({ date }) => date <= to), ...ofLaid]
}
