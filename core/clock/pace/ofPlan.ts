import { arrangementOf, runsInAll, secondsOfBatch } from '../../arrangement'
import { activeConditions, type Plan } from '../../lesson'
import { hasNamedMoments, isReadByClock, testOf } from '../../test'
import { fitOf, weighingsFor } from '../fit'
import type { TrialTime } from './model'

/** Who does trials one after the other: a group, or the whole class at one apparatus. */
interface Stream {
  /** undefined for the class. */
  group: string | undefined
  /** Practice among them. */
  trials: number
}

/** How a plan's testing goes on, as the model of pace sees it. */
export interface TestPace {
  trial: TrialTime
  streams: Stream[]
  /** Seconds beside the trials: what waits together, turns at shared things, walks. */
  extra: number
  /** All groups change together and go at one pace. */
  onePace: boolean
}

/**
 * What a plan's testing is made of for the model of pace.
 * @returns undefined where no pace changes it: jars read by the clock, times of a trial that nobody said, nobody to test
 * @example testPaceOf(soakUpPlan())!.trial // => { wait: 60, hands: 45 }
 */
export function testPaceOf(plan: Plan): TestPace | undefined {
  if (isReadByClock(plan)) return undefined
  const trial = trialTimeOf(plan)
  const streams = streamsOf(plan)
  const most = Math.max(0, ...streams.map(({ trials }) => trials))
  if (trial.hands <= 0 || most === 0) return undefined
  const extra = Math.max(0, fitOf(plan).testSeconds - most * (trial.wait + trial.hands))
  return { trial, streams, extra, onePace: arrangementOf(plan) === 'circuit' }
}

/**
 * One trial's time by its parts. Side by side each takes its share of the batch; what waits together waits once, beside the trials; a
 * weighing takes its share of setting up the balance.
 */
function trialTimeOf(plan: Plan): TrialTime {
  const { setUp, run, read, reset } = plan.clock.trial
  const { kind, way } = testOf(plan)
  if (kind.readsTwice) return { wait: 0, hands: setUp + 2 * read + reset }
  if (hasNamedMoments(plan)) {
    return { wait: 0, hands: setUp + plan.watch.named.filter(({ atHome }) => !atHome).length * read + reset }
  }
  if (kind.watches) return { wait: 0, hands: setUp + read + reset }
  if (way.weighsTwo) return { wait: run, hands: read + (setUp + reset) / Math.max(1, weighingsFor(activeConditions(plan).length)) }
  const together = Math.max(1, plan.clock.sideBySide)
  return { wait: run / together, hands: (secondsOfBatch(plan.clock.trial, together) - run) / together }
}

function streamsOf(plan: Plan): Stream[] {
  const { way } = testOf(plan)
  if (arrangementOf(plan) === 'together') return [{ group: undefined, trials: fitOf(plan).trials }]
  const weighings = (plan.repeats + plan.practice) * weighingsFor(activeConditions(plan).length)
  return plan.groups.map(({ id }) => ({ group: id, trials: way.weighsTwo ? weighings : runsInAll(plan, id) }))
}
