import { arrangementOf, conditionsEach } from '../../arrangement'
import { UNKNOWN } from '../../fairness'
import { grantedOf } from '../../granted'
import {
  activeConditions,
  changedFactor,
  comingFactors,
  isEachChild,
  keptFactors,
  seriesFactor,
  type Factor,
  type Plan,
} from '../../lesson'
import { eachMeasure, firstSeries, seriesIn, testOf } from '../../test'
import { resultName } from '../counts'
import { comesWithWords } from '../fairness'
import { grantedWords } from '../granted'
import { conditionWithLetter, counted, list, measuredWith, nameOfCondition } from '../names'
import { countedOwners } from '../owners'
import { seriesNames } from '../series'
import { variableWords } from '../vocabulary'

/** What nobody said outright, as one row. */
export function grantedRow(plan: Plan): { term: string; text: string } {
  return {
    term: 'Taken for granted',
    text: grantedOf(plan)
      .map((one) => grantedWords(plan, one))
      .join(' '),
  }
}

/** What was changed, measured and kept the same, with what, and how. */
export function methodRows(plan: Plan): { term: string; text: string }[] {
  const words = variableWords(plan)
  const measured = eachMeasure(plan).flatMap((view) => {
    const card = testOf(view).measure
    return card ? [`${resultName(view)}, ${measuredWith(card.method)}`] : []
  })
  const first = firstSeries(plan)
  const conditions = list(activeConditions(first).map(({ id }) => conditionWithLetter(first, id)))
  const kept = keptFactors(plan).map((factor) => keptWords(plan, factor))
  const used = plan.materials.filter(({ per }) => per !== 'class').map(({ name }) => name)
  const shared = plan.materials.filter(({ per }) => per === 'class').map(({ name }) => name)
  const before = plan.resetList.length === 0 ? '' : ` Before every trial: ${plan.resetList.join('; ')}.`
  return [
    ...(isEachChild(plan) && !changedFactor(plan)
      ? []
      : [{ term: words.changed, text: `${changedFactor(plan)?.name ?? '…'}: ${conditions || '…'}` }]),
    ...(seriesIn(plan).length > 0 ? [{ term: 'And', text: `${seriesFactor(plan)?.name ?? '…'}: ${seriesNames(plan)}` }] : []),
    { term: words.measured, text: measured.join('; ') || '…' },
    { term: words.kept, text: kept.join('; ') || '…' },
    ...(comingFactors(plan).length > 0 ? [{ term: 'Not told apart', text: comesWithWords(plan) }] : []),
    {
      term: 'We used',
      text:
        [used.join('; '), shared.length > 0 ? `for the whole class: ${shared.join('; ')}` : ''].filter(Boolean).join('; ') || '…',
    },
    {
      term: 'How we did it',
      text: `${doneWords(plan)}${before}`,
    },
  ]
}

/** How something was kept the same, and where it was not. `'the place (sill; but Pot 4: shelf; Pot 6: nobody knows)'` */
function keptWords(plan: Plan, { name, how, exceptions }: Factor): string {
  const others = activeConditions(plan).flatMap(({ id }) => {
    const value = exceptions[id]
    return value === undefined ? [] : [`${nameOfCondition(plan, id)}: ${value === UNKNOWN ? 'nobody knows' : value}`]
  })
  const said = [how, ...(others.length > 0 ? [`but ${others.join('; ')}`] : [])].filter((one) => one !== '')
  return said.length === 0 ? name : `${name} (${said.join('; ')})`
}

/** How often each condition was done, and by whom. `'7 groups, each condition 3 times.'` */
function doneWords(plan: Plan): string {
  const times = counted(plan.repeats, 'time')
  switch (arrangementOf(plan)) {
    case 'together':
      return `The class together, at one apparatus, each condition ${times}.`
    case 'share-out':
      return `${countedOwners(plan, plan.groups.length)}, ${conditionsEach(plan)} of ${counted(activeConditions(plan).length, 'condition')} each, ${times}.`
    default:
      return `${countedOwners(plan, plan.groups.length)}, each condition ${times}.`
  }
}
