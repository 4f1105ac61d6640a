import { bestStarts, dayOff, fitOf, readingDays, scarcest, testEndsOf } from '../clock'
import type { School } from '../kit'
import { changedFactor, type Plan } from '../lesson'
import { mendsOf } from '../waysOut'
import { kindOf, watchesOverDays } from '../test'
import { go, type Finding, type Fix } from './finding'

/** From how many seconds on waiting for a shared thing is worth a word. */
const LONG_WAIT = 60
/** So many days ahead a better start is looked for. */
const DAYS_AHEAD = 14

/** Does it fit, and when is it. */
export function findingsOfClock(plan: Plan, school: School, begun: boolean): Finding[] {
  const findings: Finding[] = []
  const fit = fitOf(plan)
  if (changedFactor(plan) && fit.trialSeconds === 0) {
    findings.push({
      code: 'trial-time-missing',
      key: 'trial-time-missing',
      stop: 'clock',
      severity: 'attention',
      fixes: [go('clock', 'trial', kindOf(plan).watches ? 'read' : 'run')],
    })
  }
  if (fit.spare < 0) {
    findings.push({
      code: 'over-run',
      key: 'over-run',
      stop: 'clock',
      severity: 'wrong',
      minutes: -fit.spare,
      testMinutes: fit.phases.find((one) => one.phase === 'test')!.minutes,
      fixes: mendFixes(plan),
    })
  }
  const ends = testEndsOf(plan)
  if (fit.spare >= 0 && ends && !ends.fits && !begun) {
    findings.push({
      code: 'may-over-run',
      key: 'may-over-run',
      stop: 'clock',
      severity: 'attention',
      chance: ends.chance,
      nineInTen: ends.nineInTen,
      until: ends.until,
      fixes: mendFixes(plan),
    })
  }
  const shared = scarcest(plan)
  if (shared && fit.waiting > LONG_WAIT) {
    const at = { code: 'things-wait', key: 'things-wait', stop: 'clock', severity: 'note' } as const
    findings.push({ ...at, material: shared.material, copies: shared.copies, seconds: fit.waiting, fixes: [go('kit')] })
  }
  return [...findings, ...findingsOfDay(plan, school, begun)]
}

function mendFixes(plan: Plan): Fix[] {
  return mendsOf(plan)
    .slice(0, 2)
    .map((mend): Fix => ({ code: 'take-mend', mend }))
}

function findingsOfDay(plan: Plan, { calendar }: School, begun: boolean): Finding[] {
  if (plan.date === '') {
    return [{ code: 'no-date', key: 'no-date', stop: 'clock', severity: 'note', fixes: [go('clock', 'date')] }]
  }
  const findings: Finding[] = []
  const at = { stop: 'clock', severity: 'attention' } as const
  const { why, name } = dayOff(calendar, plan.date)
  if (why) {
    findings.push({ ...at, code: 'no-school-that-day', key: 'no-school-that-day', why, name, fixes: [go('clock', 'date')] })
  }
  if (!watchesOverDays(plan)) return findings
  const lost = readingDays(calendar, plan.date, plan.watch.times).filter(({ after, off }) => after > 0 && off.why !== undefined)
  if (lost.length === 0) return findings
  const [first] = bestStarts(calendar, plan.date, DAYS_AHEAD, plan.watch.times)
  const best = first && first.lost < lost.length ? { start: first.start, lost: first.lost } : undefined
  findings.push({
    ...at,
    code: 'readings-lost',
    key: 'readings-lost',
    days: lost.map(({ after }) => after),
    best,
    fixes: [...(best && !begun ? [{ code: 'set-date', date: best.start } as const] : []), go('clock', 'over-days')],
  })
  return findings
}
