import { classConclusion, readForClass, type ClaimDoubt } from '../agree'
import { driftOf, luckOf, surerBy, type Evidence } from '../evidence'
import { activeConditions, type LessonRecord, type Plan, type Reading } from '../lesson'
import { containerKey, momentsOf, predictionsFor, testOf, unweighed } from '../test'
import { handsOf, predictionsByGroup } from '../predictions'
import {
  countedReadings,
  currentReadings,
  doubtfulReadings,
  gapsOf,
  hasPlace,
  isCounted,
  isSlip,
  progressOf,
  type Doubt,
  type Stray,
} from '../record'
import { unitOf, isAmount, type UnitCode } from '../quantity'
import { go, ofEachMeasure, type Finding, type Fix } from './finding'
import { cellTarget } from './target'

/** Who has not predicted yet. */
export function findingsOfPredictions(plan: Plan, record: LessonRecord): Finding[] {
  if (activeConditions(plan).length === 0 || predictionsFor(plan).length === 0) return []
  if (handsOf(plan, record.predictions)) return []
  const groups = predictionsByGroup(plan, record.predictions)
    .filter((one) => !one.stamped)
    .map((one) => one.group)
  if (groups.length === 0) return []
  const fixes = [go('predict', 'order', groups[0])]
  return [{ code: 'predictions-missing', key: 'predictions-missing', stop: 'predict', severity: 'note', groups, fixes }]
}

/** What is odd, doubled, missing or lost among the readings. */
export function findingsOfReadings(plan: Plan, record: LessonRecord): Finding[] {
  const current = currentReadings(record.readings)
  if (!current.some(isCounted)) return []
  const findings = ofEachMeasure(plan, (view) => [
    ...findingsOfDoubts(view, record),
    ...findingsOfUnits(view, record),
    ...findingsOfEmpties(view, record),
  ])
  const progress = progressOf(plan, record.readings)
  for (const cell of progress.flatMap((one) => one.cells).filter((one) => one.kept.length > 1)) {
    const { group, condition, repeat, moment } = cell
    findings.push({
      code: 'two-in-one-place',
      key: `two-in-one-place/${group}/${condition}/${repeat}/${moment}`,
      stop: 'test',
      severity: 'attention',
      group,
      condition,
      repeat,
      readings: cell.kept.map((reading) => reading.id),
      fixes: [{ code: 'go', stop: 'test', target: cellTarget(cell) }],
    })
  }
  return [...findings, ...findingsOfHomeless(plan, record), ...findingsOfGaps(plan, progress)]
}

/** What was read in a container that nobody weighed empty is no result. */
function findingsOfEmpties(plan: Plan, record: LessonRecord): Finding[] {
  const containers = new Set(unweighed(plan).map(containerKey))
  const lost = countedReadings(plan, record.readings).filter((reading) => containers.has(containerKey(reading)))
  if (lost.length === 0) return []
  const count = new Set(lost.map(containerKey)).size
  const fixes = [go('test', 'empties')]
  return [{ code: 'empties-missing', key: 'empties-missing', stop: 'test', severity: 'wrong', count, readings: lost.length, fixes }]
}

function findingsOfDoubts(plan: Plan, record: LessonRecord): Finding[] {
  return doubtfulReadings(plan, record.readings).map(({ reading, doubts }) => {
    const doubt = doubts[0]!
    const fixes: Fix[] = [...answersTo(doubt, reading), { code: 'go', stop: 'test', target: cellTarget(reading) }]
    return {
      code: 'doubtful',
      key: `doubtful/${reading.id}`,
      stop: 'test',
      severity: doubt.code === 'odd' ? 'attention' : 'wrong',
      reading: reading.id,
      group: reading.group,
      condition: reading.condition,
      value: reading.value,
      unit: reading.unit,
      doubt,
      target: cellTarget(reading),
      fixes: fixes.slice(0, 2),
    }
  })
}

/** What can be answered to a doubt about a reading: mend the slip, where one was seen, or say that it is right. */
export function answersTo(doubt: Doubt, reading: Pick<Reading, 'id' | 'unit'>): Fix[] {
  const keep: Fix = { code: 'keep-reading', reading: reading.id }
  if (!isSlip(doubt) || !('suggested' in doubt)) return [keep]
  return [{ code: 'correct-reading', reading: reading.id, value: doubt.suggested, unit: reading.unit }, keep]
}

/** How sure the results are. */
export function findingsOfEvidence(plan: Plan, record: LessonRecord, evidence: Evidence | undefined): Finding[] {
  if (!evidence) return []
  const drifting = findingsOfDrift(plan, record)
  if (evidence.grade !== 'leaning' && evidence.grade !== 'cannot-tell') return drifting
  return [
    ...drifting,
    {
      code: 'not-sure',
      key: 'not-sure',
      stop: 'results',
      severity: 'note',
      grade: evidence.grade,
      p: luckOf(evidence),
      limits: evidence.limits,
      fixes: surerFixes(plan, evidence),
    },
  ]
}

/** What creeps from trial to trial, and how much of the gap it could be. */
function findingsOfDrift(plan: Plan, record: LessonRecord): Finding[] {
  const drift = driftOf(plan, record)
  const unit = testOf(plan).method?.unit
  if (!drift || !unit) return []
  const { slope, explains } = drift
  const mix: Fix[] = plan.arrangement.order === 'blocks' ? [{ code: 'mix-trials' }] : []
  const fixes = [...mix, go('results', 'surer')]
  return [{ code: 'drift', key: 'drift', stop: 'results', severity: 'attention', slope, explains, unit, fixes }]
}

/** As many repeats as would settle it, where some would; else what else would help. */
function surerFixes(plan: Plan, evidence: Evidence): Fix[] {
  const [first] = surerBy(plan, evidence)
  const explained = go('results', 'surer')
  if (first?.code === 'more-repeats') return [{ code: 'set-repeats', repeats: first.repeats }, explained]
  if (first?.code === 'fresh-things') return [{ code: 'take-fresh' }, explained]
  if (first?.code === 'second-reading' && plan.repeats === 1) return [{ code: 'set-repeats', repeats: 2 }, explained]
  return [explained]
}

const LEFT_OUT: ClaimDoubt['code'][] = ['unfinished', 'no-numbers', 'does-not-say-how-sure', 'cause-without-reason']

/** What the conclusion claims and leaves out. */
export function findingsOfConclusion(plan: Plan, record: LessonRecord, evidence: Evidence | undefined): Finding[] {
  if (!evidence || evidence.grade === 'nothing-yet') return []
  const text = classConclusion(record.conclusions)?.text ?? ''
  const fixes = [go('agree', 'conclusion')]
  if (text.trim() === '') {
    return [{ code: 'conclusion-missing', key: 'conclusion-missing', stop: 'agree', severity: 'note', fixes }]
  }
  return readForClass(text, plan, record).doubts.map((doubt) => ({
    code: 'conclusion-doubt',
    key: ['conclusion-doubt', doubt.code, ...(doubt.code === 'wrong-number' ? [doubt.said] : [])].join('/'),
    stop: 'agree',
    severity: LEFT_OUT.includes(doubt.code) ? 'note' : 'wrong',
    doubt,
    fixes,
  }))
}

/** Readings that cannot be turned into the unit of their measure. */
function findingsOfUnits(plan: Plan, record: LessonRecord): Finding[] {
  const unit = testOf(plan).method?.unit
  const moments = new Set(momentsOf(plan).map(({ id }) => id))
  const own = currentReadings(record.readings).filter(
    (reading) => isCounted(reading) && reading.status === 'kept' && moments.has(reading.moment),
  )
  const foreign = unit ? own.filter((one) => unitOf(one.unit).dimension !== unitOf(unit).dimension) : []
  if (!unit || foreign.length === 0) return []
  return [
    {
      code: 'wrong-kind-of-unit',
      key: 'wrong-kind-of-unit',
      stop: 'test',
      severity: 'wrong',
      count: foreign.length,
      unit,
      fixes: [...theseWere(unit, foreign), go('plan', 'method-unit')],
    },
  ]
}

/** Readings of a condition, group, time, repeat or measure that the plan does not have any more. */
/** Readings of a trial or a condition that the plan has left out. */
function findingsOfHomeless(plan: Plan, record: LessonRecord): Finding[] {
  const isThere = hasPlace(plan)
  const counted = currentReadings(record.readings).filter((reading) => isCounted(reading) && reading.status === 'kept')
  const homeless = counted.filter((reading) => !isThere(reading) && reading.condition !== plan.challenge)
  if (homeless.length === 0) return []
  const most = Math.max(...homeless.map((reading) => reading.repeat))
  const more: Fix[] = most > plan.repeats ? [{ code: 'set-repeats', repeats: most }] : []
  return [
    {
      code: 'homeless',
      key: 'homeless',
      stop: 'test',
      severity: 'note',
      count: homeless.length,
      fixes: [...more, go('plan', 'conditions')],
    },
  ]
}

/** Rows that the plan has no home for: the teacher says where they belong. */
export function findingsOfStrays(strays: Stray[]): Finding[] {
  if (strays.length === 0) return []
  const of = new Map<string, { kind: Stray['kind']; lacks: Stray['lacks']; count: number }>()
  for (const { kind, lacks } of strays) {
    const key = `${kind}/${lacks}`
    of.set(key, { kind, lacks, count: (of.get(key)?.count ?? 0) + 1 })
  }
  return [
    { code: 'strays', key: 'strays', stop: 'test', severity: 'attention', of: [...of.values()], fixes: [go('test', 'strays')] },
  ]
}

function findingsOfGaps(plan: Plan, progress: ReturnType<typeof progressOf>): Finding[] {
  const gaps = gapsOf(plan, progress)
  const [first] = gaps
  if (!first) return []
  const behind = new Set(gaps.map(({ group }) => group))
  const groups = progress.map(({ group }) => group).filter((group) => behind.has(group))
  const fixes: Fix[] = [{ code: 'go', stop: 'test', target: cellTarget(first) }, { code: 'leave-gaps' }]
  return [{ code: 'gaps', key: 'gaps', stop: 'test', severity: 'note', count: gaps.length, groups, fixes }]
}

/** The numbers may be right and only their unit wrong; a word or a place is no number. */
function theseWere(unit: UnitCode, readings: Reading[]): Fix[] {
  const numbers = readings.filter((one) => isAmount(one.unit))
  return isAmount(unit) && numbers.length > 0 ? [{ code: 'these-were', unit, readings: numbers.map(({ id }) => id) }] : []
}
