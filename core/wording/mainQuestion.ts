import { seriesFactor, type Plan } from '../lesson'
import { askedAtOnce, seriesIn, testOf, type AskedAtOnce } from '../test'
import { counted } from './names'

/** What is asked at once, as a choice says it. `'how high water climbs, with 2 cm wide'` */
function askedName(plan: Plan, { series, plan: view }: AskedAtOnce): string {
  const measure = testOf(view).measure?.name.trim() || 'what has no name yet'
  const line = seriesIn(plan).find(({ id }) => id === series)
  return line ? `${measure}, with ${line.name.trim() || 'what has no name yet'}` : measure
}

/** What may be named as the main question, and none of them; a choice's value is its place, 0 for none. */
export function mainQuestionChoices(plan: Plan): { value: number; title: string }[] {
  const all = askedAtOnce(plan).map((one, place) => ({ value: place + 1, title: askedName(plan, one) }))
  return [{ value: 0, title: 'all count alike' }, ...all]
}

/**
 * What naming one means, and until when it may be.
 * @param read something that counts was read already
 */
export function mainQuestionMeaning(plan: Plan, read: boolean): string {
  const questions = counted(askedAtOnce(plan).length, 'question')
  const across = seriesFactor(plan) ? ', whether they differ among them,' : ''
  if (plan.mainQuestion)
    return `It stands by itself. What else is asked${across} is looked at besides, and leaning at most.${read ? ' Something was read since, so it stays.' : ''}`
  return read
    ? `${questions} at once, and something was read already: all of them share the doubt that luck leaves.`
    : `${questions} at once give luck as many chances, so each of them needs more to be clear. Name the main one before the first reading, and it stands by itself.`
}
