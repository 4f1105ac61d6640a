import { drawReadings, withoutContainers } from '../../core/benches'
import { seededRandom } from '../../core/chance'
import { evidenceOf } from '../../core/evidence'
import { EMPTY_RECORD, withGroups, type Plan } from '../../core/lesson'
import { planFrom, kindOf } from '../../core/test'
import { chanceOfSameNow, outlookOf } from '../../core/measuring'
import { isFooled, trueOrder } from '../../core/rehearsal'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { withPercent, type Row, type Size } from './figures'

const CHILDREN = 26
/** How far the adviser may be off. */
const POINTS = 0.03

/** Every investigation that ships, given to many made-up classes: how often it comes out clear, the same or wrong, beside what the adviser promised. */
export function benchLibrary(size: Size): Row[] {
  const classes = size === 'full' ? 10_000 : 10
  return Object.entries(INVESTIGATIONS).flatMap(([id, investigation]) => {
    let count = 0
    const newId = () => `g${(count += 1)}`
    const shipped = planFrom(investigation, 'Puffin', CHILDREN, newId)
    const small: Plan = { ...withGroups(shipped, 3, newId), repeats: 2 }
    return [rowOf(id, 'as it ships', shipped, classes), rowOf(id, '3 groups, 2 repeats', small, Math.ceil(classes / 4))]
  })
}

function rowOf(id: string, name: string, plan: Plan, classes: number): Row {
  const random = seededRandom(classes)
  const right = trueOrder(plan)!
  let [clear, same, wrong] = [0, 0, 0]
  for (let drawn = 0; drawn < classes; drawn += 1) {
    const readings = drawReadings(plan, random)!.map((reading, place) => ({ ...reading, id: `r${place}`, at: '' }))
    const evidence = evidenceOf(withoutContainers(plan), { ...EMPTY_RECORD, readings })!
    if (evidence.grade === 'same') same += 1
    if (evidence.grade !== 'clear') continue
    clear += 1
    if (isFooled(plan, evidence, right)) wrong += 1
  }
  const promised = right.level ? chanceOfSameNow(plan) : outlookOf(plan)?.clear
  const share = (right.level ? same : clear) / classes
  const off = promised === undefined ? 0 : Math.abs(share - promised)
  return {
    what: `${id}, ${name}`,
    figure: `clear ${withPercent(clear / classes)}, the same ${withPercent(same / classes)}, clear and wrong ${withPercent(wrong / classes)}`,
    wanted:
      promised === undefined ? 'no promise' : `${right.level ? 'the same' : 'clear'} ${withPercent(promised)} (within 3 points)`,
    reference: `${classes} classes on its bench, seeded`,
    missed: kindOf(plan).compares && (off > POINTS || wrong / classes > 0.05),
  }
}
