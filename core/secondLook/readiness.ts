import { classConclusion } from '../agree'
import { fitOf } from '../clock'
import { evidenceOf } from '../evidence'
import {
  activeConditions,
  changedFactor,
  KIND_SHAPES,
  measuredCard,
  STOPS,
  type LessonRecord,
  type Plan,
  type Stop,
} from '../lesson'
import { handsOf, predictionsByGroup } from '../predictions'
import { progressOf } from '../record'
import { withSaid } from '../wonder'
import type { Finding } from './finding'

export type Bead = 'empty' | 'half' | 'full'

export interface StopReadiness {
  stop: Stop
  bead: Bead
  /** Findings that are more than a note. */
  troubles: number
}

export interface Readiness {
  stops: StopReadiness[]
  /** 0 to 1, for the beaker. */
  level: number
  /** The first stop that is not full. */
  next: Stop | undefined
}

/** How far each stop is: empty, begun, or done with nothing left to mend; and how full that makes the beaker. */
export function readinessOf(plan: Plan, record: LessonRecord, findings: Finding[]): Readiness {
  const stops = STOPS.map((stop): StopReadiness => {
    const own = findings.filter((finding) => finding.stop === stop && finding.severity !== 'note')
    const share = shareDone(stop, plan, record)
    const bead = share === 0 ? 'empty' : share === 1 && own.length === 0 ? 'full' : 'half'
    return { stop, bead, troubles: own.length }
  })
  const points = stops.reduce((sum, { bead }) => sum + (bead === 'full' ? 1 : bead === 'half' ? 0.5 : 0), 0)
  return { stops, level: points / stops.length, next: stops.find(({ bead }) => bead !== 'full')?.stop }
}

/** 0 nothing, 1 all, between them begun. */
function shareDone(stop: Stop, plan: Plan, record: LessonRecord): number {
  const { needsChange, fewestConditions } = KIND_SHAPES[plan.kind]
  const questionStands = (changedFactor(plan) !== undefined || !needsChange) && measuredCard(plan) !== undefined
  const { noticed, maybe, wondered } = withSaid(plan, record.remarks).wonder
  switch (stop) {
    case 'wonder':
      return half(noticed.length + maybe.length + wondered.length > 0 || plan.wonder.hook !== '', questionStands)
    case 'plan':
      return half(
        plan.factors.length + plan.measures.length > 0,
        questionStands && activeConditions(plan).length >= fewestConditions && plan.groups.length > 0,
      )
    case 'kit':
      return plan.materials.length > 0 ? 1 : 0
    case 'clock':
      return half(plan.date !== '' || fitOf(plan).trialSeconds > 0, plan.date !== '' && fitOf(plan).trialSeconds > 0)
    case 'predict': {
      const groups = predictionsByGroup(plan, record.predictions)
      const done = groups.filter((group) => group.stamped).length
      return handsOf(record.predictions) ? 1 : groups.length === 0 ? 0 : done / groups.length
    }
    case 'test': {
      const progress = progressOf(plan, record.readings)
      const all = progress.reduce((sum, one) => sum + one.all, 0)
      return all === 0 ? 0 : progress.reduce((sum, one) => sum + one.done, 0) / all
    }
    case 'results': {
      const grade = evidenceOf(plan, record)?.grade ?? 'nothing-yet'
      return grade === 'nothing-yet' ? 0 : shareDone('test', plan, record) === 1 ? 1 : 0.5
    }
    case 'agree': {
      const last = classConclusion(record.conclusions)
      return half(last !== undefined && last.text !== '', last?.agreed ?? false)
    }
  }
}

function half(begun: boolean, done: boolean): number {
  return done ? 1 : begun ? 0.5 : 0
}
