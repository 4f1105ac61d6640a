import { randomUUID } from 'node:crypto'
import { migratePlan } from '../../core/formats'
import { PLAN_VERSION } from '../../core/lesson'
import { fileProblemWords } from '../../core/wording'
import { INVESTIGATIONS } from '../../schemas/investigations'
import {
  STARTING_POINT_FORMAT,
  STARTING_POINT_VERSION,
  startingPointOf,
  startingPointSchema,
  type StartingPointFile,
} from '../../schemas/startingPoint'
import { pathWords } from '../access/pathWords'
import { Refusal } from '../access/refusal'
import { unstorable } from '../access/storable'
import { planForAll, planFrom, type StartingPoint } from '../../core/test'

/** Is it a lesson to begin from? Its beginning says so, before all of it is read. */
export function isStartingPointFile(text: string): boolean {
  return text.slice(0, 200).includes(`"${STARTING_POINT_FORMAT}"`)
}

/** A lesson to begin from that is whole, brought up to date; refuses any other with the place that is wrong. */
export function readStartingPoint(text: string): StartingPoint {
  let content: Partial<StartingPointFile>
  try {
    content = JSON.parse(text) as Partial<StartingPointFile>
  } catch {
    throw problem('broken', 'format')
  }
  const { version, schemaVersion = PLAN_VERSION } = content
  if (Number(version) > STARTING_POINT_VERSION) throw problem('newer', 'version')
  if (Number(schemaVersion) > PLAN_VERSION) throw problem('newer', 'schemaVersion')
  const plan = migratePlan(content.plan, Number(schemaVersion))
  const whole = { ...content, schemaVersion: PLAN_VERSION, plan }
  const bad = unstorable(whole)
  if (bad !== undefined) throw problem('broken', bad)
  const { error, value } = startingPointSchema.validate(whole)
  if (error) throw problem('broken', pathWords(error.details[0]?.path ?? []))
  const read = startingPointOf(value as StartingPointFile)
  const { investigation } = read.plan
  const known = investigation !== null && Object.hasOwn(INVESTIGATIONS, investigation)
  // As if it had been kept here: what belongs to another class or names pictures that are not here stays behind.
  const forAll = planForAll(planFrom(read, '', 0, randomUUID))
  return { ...read, plan: { ...forAll, investigation: known ? investigation : null } }
}

function problem(code: 'broken' | 'newer', place: string): Refusal {
  return new Refusal(400, { code: `file-${code}`, message: fileProblemWords({ code, place }), field: place })
}
