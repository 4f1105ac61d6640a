import { activeConditions, type LessonRecord, type Plan, type Reading } from '../lesson'
import { hasNamedMoments, kindOf, momentsOf, testOf } from '../test'
import { countedReadings, wholeTrials } from '../record'
import { blockOf, oneApparatus } from './blocks'
import { capped, gradeOfP, weighEvidence, type Evidence, type EvidenceOptions, type Grade } from './grade'
import { withLimit } from './heldBack'
import { holm, type Observation } from './model'

/** One moment of a thing against another: what happened between dry and wet. */
export interface MomentStep {
  condition: string
  /** Moments, by id, in their order. */
  from: string
  to: string
  difference: number
  low: number
  high: number
  pHolm: number
  /** `same`: as far as the instrument can show, which is a finding, too. */
  grade: Grade
}

/**
 * One thing compared with itself: its moments stand for conditions. The group is the block; one group alone goes by its trials, since how heavy one bag is says nothing
 * about another.
 */
export function againstItself(plan: Plan, record: LessonRecord, condition: string, options: EvidenceOptions): Evidence {
  const all = countedReadings(plan, record.readings)
  const counted = (kindOf(plan).readsTwice ? wholeTrials(all) : all).filter((reading) => reading.condition === condition)
  const oneGroup = oneApparatus(plan) || new Set(counted.map(({ group }) => blockOf(plan, group))).size === 1
  const block = ({ group, repeat }: Reading) => (oneGroup ? `${group}/${repeat}` : blockOf(plan, group))
  const at = momentsOf(plan).flatMap(({ id, half = id }) =>
    counted.flatMap((reading): Observation[] =>
      reading.moment === id ? [{ group: block(reading), condition: half, value: reading.value }] : [],
    ),
  )
  const evidence = weighEvidence(at, options)
  const limited = oneGroup && options.sameThing ? withLimit(evidence, 'same-thing') : evidence
  return { ...limited, agreement: oneGroup ? undefined : evidence.agreement }
}

/**
 * What happened from moment to moment: each against the first and against the one before, condition by condition, all of them one family under Holm. That nothing happened is a
 * finding as well.
 * @returns nothing where moments have no names, or where they are words
 */
export function stepsOf(plan: Plan, record: LessonRecord, options: EvidenceOptions): MomentStep[] {
  if (!hasNamedMoments(plan) || !testOf(plan).way.isAmount) return []
  const order = momentsOf(plan).map(({ id }) => id)
  const most = Math.max(options.resolution, options.differenceThatMatters)
  const found = activeConditions(plan).flatMap(({ id: condition }) => {
    const { pairs, limits } = againstItself(plan, record, condition, options)
    return pairs.flatMap((pair) => {
      const forward = order.indexOf(pair.a) < order.indexOf(pair.b)
      const [from, to] = forward ? [pair.a, pair.b] : [pair.b, pair.a]
      const asked = order.indexOf(from) === 0 || order.indexOf(to) === order.indexOf(from) + 1
      if (!asked) return []
      const sign = forward ? 1 : -1
      const [low, high] = forward ? [pair.low, pair.high] : [-pair.high, -pair.low]
      const within = pair.low90 > -most && pair.high90 < most
      return [{ condition, from, to, difference: sign * pair.difference, low, high, p: pair.p, within, limits }]
    })
  })
  const corrected = holm(found.map(({ p }) => p))
  const places = (step: { from: string; to: string }) => order.indexOf(step.to) * order.length - order.indexOf(step.from)
  return found
    .map(({ p: _p, within, limits, ...step }, place) => ({
      ...step,
      pHolm: corrected[place]!,
      grade: capped(limits, within ? 'same' : gradeOfP(corrected[place]!)),
    }))
    .sort((a, b) => (a.condition === b.condition ? places(a) - places(b) : 0))
}
