import { supersededBy, type AnyKind, type AnyRow, type Plan } from '../../core/lesson'
import { homeOf, type Lacks } from '../../core/record'
import { refusal, type Refusal } from '../access/refusal'

/** Refuses rows that the plan has no home for. A further form of a row that is there already may stand at the moment where that stood. */
export function checkPlaces(plan: Plan, kind: AnyKind, rows: AnyRow[]): void {
  for (const row of rows) {
    const lacks = homeOf(plan, kind, row)
    if (lacks !== undefined && !(lacks === 'moment' && supersededBy(kind, row) !== null)) throw withoutHome(lacks, kind)
  }
}

function withoutHome(lacks: Lacks, { otherGroup }: AnyKind): Refusal {
  if (lacks === 'group') return refusal(409, 'unknown-group', 'group')
  if (lacks === 'other-group') return refusal(409, 'unknown-group', otherGroup)
  return lacks === 'moment' ? refusal(409, 'unknown-moment', 'moment') : refusal(409, 'unknown-condition', 'condition')
}
