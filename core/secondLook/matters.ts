import { classConclusion } from '../agree'
import type { LessonRecord, Plan } from '../lesson'
import type { Finding } from './finding'
import { firstSteps, type FirstStep } from './firstSteps'
import { hourOf, isOfHour } from './hour'
import type { Readiness } from './readiness'

/** One thing that a lesson waits for. */
export type Matter =
  | { code: 'first-step'; step: FirstStep }
  /** Something found that is more than a note. */
  | { code: 'mend'; finding: Finding }
  | { code: 'next'; stop: 'predict' | 'test' }
  | { code: 'gaps'; count: number }
  | { code: 'agree'; written: boolean }
  /** What came out of the cupboard is not back yet. */
  | { code: 'count-back' }

/** What matters now in a lesson, the most urgent first: what it waits for, and not how full it is. */
export function mattersOf(plan: Plan, record: LessonRecord, findings: Finding[], { stops }: Readiness): Matter[] {
  const steps = firstSteps(plan, record)?.filter(({ done }) => !done) ?? []
  const hour = hourOf(plan, record)
  const found = findings.filter((finding) => isOfHour(finding, hour))
  const gaps = found.flatMap((finding): Matter[] => (finding.code === 'gaps' ? [{ code: 'gaps', count: finding.count }] : []))
  const said = classConclusion(record.conclusions)
  const agreeing: Matter[] = hour === 'after' && !said?.agreed ? [{ code: 'agree', written: (said?.text ?? '') !== '' }] : []
  const predicted = stops.find(({ stop }) => stop === 'predict')?.bead === 'full'
  // A class that watches over days has no gap until its next day, and is not done.
  const goingOn: Matter[] =
    steps.length > 0 || hour === 'after' || gaps.length > 0
      ? []
      : [{ code: 'next', stop: predicted || hour === 'during' ? 'test' : 'predict' }]
  return [
    ...steps.slice(0, 1).map((step): Matter => ({ code: 'first-step', step })),
    ...found.filter(({ severity }) => severity !== 'note').map((finding): Matter => ({ code: 'mend', finding })),
    ...gaps,
    ...agreeing,
    ...goingOn,
  ]
}
