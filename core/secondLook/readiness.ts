import { unreachable } from '../unreachable'
import { classConclusion } from '../agree'
import { fitOf } from '../clock'
import { evidenceOf } from '../evidence'
import { asksItsOwn, activeConditions, changedFactor, STOPS, type LessonRecord, type Plan, type Stop } from '../lesson'
import { shapeOf, testOf } from '../test'
import { handsOf, predictionsByGroup } from '../predictions'
import { doneByAll, progressOf } from '../record'
import { withSaid } from '../wonder'
import type { Finding } from './finding'
import { hourOf, isOfHour } from './hour'

export type Bead = 'empty' | 'half' | 'full'

/** What is still open at a stop. */
export type Open =
  | { code: 'something-seen' }
  | { code: 'question' }
  | { code: 'conditions' }
  | { code: 'groups' }
  | { code: 'kit' }
  | { code: 'trial-time' }
  | { code: 'day' }
  | { code: 'predictions'; done: number; all: number }
  | { code: 'readings'; done: number; all: number }
  | { code: 'results' }
  | { code: 'sentence' }
  | { code: 'agreement' }

export interface StopReadiness {
  stop: Stop
  bead: Bead
  /** Findings of this hour that are more than a note. */
  troubles: number
  /** What it still lacks; findings aside. */
  open: Open | undefined
}

export interface Readiness {
  stops: StopReadiness[]
  /** 0 to 1, for the beaker. */
  level: number
  /** The first stop that is not full. */
  next: Stop | undefined
}

/**
 * How far each stop is: empty, begun, or done with nothing left to mend; and how full that makes the beaker.
 * What belongs to another hour is not to be mended now.
 */
export function readinessOf(plan: Plan, record: LessonRecord, findings: Finding[]): Readiness {
  const hour = hourOf(plan, record)
  const stops = STOPS.map((stop): StopReadiness => {
    const own = findings.filter((one) => one.stop === stop && one.severity !== 'note' && isOfHour(one, hour))
    const { share, open } = howFar(stop, plan, record)
    const bead = share === 0 ? 'empty' : share === 1 && own.length === 0 ? 'full' : 'half'
    return { stop, bead, troubles: own.length, open }
  })
  const points = stops.reduce((sum, { bead }) => sum + (bead === 'full' ? 1 : bead === 'half' ? 0.5 : 0), 0)
  return { stops, level: points / stops.length, next: stops.find(({ bead }) => bead !== 'full')?.stop }
}

const OF_GROUPS: readonly Stop[] = ['predict', 'test', 'results', 'agree']

interface HowFar {
  /** 0 nothing, 1 all, between them begun. */
  share: number
  open?: Open
}

function howFar(stop: Stop, plan: Plan, record: LessonRecord): HowFar {
  const { needsChange, fewestConditions } = shapeOf(plan)
  const questionStands = (changedFactor(plan) !== undefined || !needsChange) && testOf(plan).measure !== undefined
  const { noticed, maybe, wondered } = withSaid(plan, record.remarks).wonder
  // Where every group asks its own question the numbers are in those.
  if (plan.groups.length === 0 && asksItsOwn(plan) && OF_GROUPS.includes(stop)) return { share: 0 }
  switch (stop) {
    case 'wonder': {
      const seen = noticed.length + maybe.length + wondered.length > 0 || plan.wonder.hook !== ''
      return half(seen, [!seen && 'something-seen', !questionStands && 'question'], questionStands)
    }
    case 'plan': {
      const begun = plan.factors.length + plan.measures.length > 0
      const enough = activeConditions(plan).length >= fewestConditions
      return half(begun, [
        !questionStands && 'question',
        !enough && 'conditions',
        plan.groups.length === 0 && !asksItsOwn(plan) && 'groups',
      ])
    }
    case 'kit':
      return half(false, [plan.materials.length === 0 && 'kit'])
    case 'clock': {
      const timed = fitOf(plan).trialSeconds > 0
      return half(plan.date !== '' || timed, [!timed && 'trial-time', plan.date === '' && 'day'])
    }
    case 'predict': {
      const groups = predictionsByGroup(plan, record.predictions)
      if (handsOf(plan, record.predictions)) return { share: 1 }
      return partOf('predictions', groups.filter((group) => group.stamped).length, groups.length)
    }
    case 'test': {
      const { done, all } = doneByAll(progressOf(plan, record.readings))
      return partOf('readings', done, all)
    }
    case 'results': {
      const grade = evidenceOf(plan, record)?.grade ?? 'nothing-yet'
      if (grade === 'nothing-yet') return { share: 0, open: { code: 'results' } }
      return howFar('test', plan, record).share === 1 ? { share: 1 } : { share: 0.5 }
    }
    case 'agree': {
      const last = classConclusion(record.conclusions)
      const written = last !== undefined && last.text !== ''
      return half(written, [written ? !last.agreed && 'agreement' : 'sentence'])
    }
    default:
      return unreachable(stop)
  }
}

/** Begun or not, and the first thing that is open; all done when nothing is. */
function half(
  begun: boolean,
  missing: (Exclude<Open['code'], 'predictions' | 'readings'> | false)[],
  done = missing.every((one) => one === false),
): HowFar {
  const code = missing.find((one) => one !== false)
  return { share: done ? 1 : begun ? 0.5 : 0, open: !done && code ? { code } : undefined }
}

function partOf(code: 'predictions' | 'readings', done: number, all: number): HowFar {
  if (all === 0) return { share: 0 }
  return { share: done / all, open: done < all ? { code, done, all } : undefined }
}
