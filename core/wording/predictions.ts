import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import { activeConditions, changedFactor, isEachChild, type Plan, type Prediction } from '../lesson'
import { comparesMoments, momentOf, predictionOf, testOf, kindOf } from '../test'
import { WAY_WORDS } from './ways'
import { expectedUnit } from '../measuring'
import { heldAgainst } from '../predictions'
import { endsOf } from './best'
import { list, momentWords, nameOfCondition, writeReading } from './names'

/** What a child is asked, in the frame of the class. */
export function predictionPrompt(plan: Plan): string {
  const change = changedFactor(plan)?.name ?? 'it'
  const begin =
    plan.frame === 'i-think' ? 'What do you think?' : `If we ${kindOf(plan).changesOne ? `change ${change}` : 'do it'}, then`
  const iThink = plan.frame === 'i-think'
  const measure = testOf(plan).measure?.name ?? 'what we measure'
  const { most, least } = endsOf(plan)
  const as = predictionOf(plan)
  switch (as) {
    case 'order':
      return `${begin}${iThink ? '' : ' what will come out?'} Put them in order, the ${most} first.`
    case 'most-least':
      return `${begin} ${iThink ? 'Which' : 'which'} is the ${most}, which the ${least}?`
    case 'number':
      return `${begin} ${WAY_WORDS[testOf(plan).way.code].guess(isEachChild(plan) ? 'you' : 'we', activeConditions(plan).length > 1, iThink)}`
    case 'line':
      return `${begin} ${iThink ? 'How' : 'how'} will the line go? Draw it.`
    case 'change':
      if (comparesMoments(plan))
        return `${begin} ${iThink ? sentenceCase(measure) : measure}: each time more, less or the same as before?`
      return `${begin} ${iThink ? sentenceCase(measure) : measure}${besideWords(plan)}: more, less or the same?`
    default:
      return unreachable(as)
  }
}

/** What more and less are said beside; empty where a thing is held against itself. `besideWords(plan) // ' beside kitchen roll'` */
export function besideWords(plan: Plan): string {
  const id = heldAgainst(plan)
  return id === undefined ? '' : ` beside ${nameOfCondition(plan, id)}`
}

export function changeWords(way: number): string {
  return way > 0 ? 'more' : way < 0 ? 'less' : 'the same'
}

/** What somebody predicted, without the reason. `'kitchen roll, tissue, card'`, `'card 15 mm, tissue 50 mm'` */
export function predictionOrderWords(plan: Plan, { as, order, values }: Pick<Prediction, 'as' | 'order' | 'values'>): string {
  const { method } = testOf(plan)
  if (as === 'order') return order.map((id) => nameOfCondition(plan, id)).join(', ')
  if (as === 'most-least') {
    const [first, last] = [order[0], order.length > 1 ? order.at(-1) : undefined]
    const { most, least } = endsOf(plan)
    return `${nameOfCondition(plan, first ?? '')} ${most}${last ? `, ${nameOfCondition(plan, last)} ${least}` : ''}`
  }
  const nameOf = (id: string) => (momentOf(plan, id) ? momentWords(plan, id) : nameOfCondition(plan, id))
  const said = list(
    Object.entries(values).map(([id, value]) => {
      if (as === 'change') return `${nameOf(id)} ${changeWords(value)}`
      return `${nameOf(id)} ${as === 'hands' ? value : writeReading(plan, value, as === 'line' && kindOf(plan).watches ? (method?.unit ?? 'count') : expectedUnit(plan))}`
    }),
  )
  return as === 'change' && said !== '' ? said + besideWords(plan) : said
}
