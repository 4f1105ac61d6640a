import { sentenceCase } from './sentenceCase'
import type { Evidence, MomentStep } from '../evidence'
import { onAverageWords, saidAverages } from './averages'
import { activeConditions, type Plan } from '../lesson'
import { unitOf, type Dimension } from '../quantity'
import { momentsOf, resultUnit, testOf } from '../test'
import { list, nameOfCondition, whenWords, writeAverage } from './names'

/** How one moment is said to be more than another, by what is measured. */
const WENT: Partial<Record<Dimension, [more: string, less: string]>> = {
  temperature: ['warmer', 'colder'],
  mass: ['heavier', 'lighter'],
  length: ['longer', 'shorter'],
}

/** One step. `'From dry to wet it got heavier by 4.2 g (clear).'` */
function stepSentence(plan: Plan, step: MomentStep): string {
  const [from, to] = [step.from, step.to].map((id) => whenWords(plan, id))
  const whose = activeConditions(plan).length > 1 ? `${sentenceCase(nameOfCondition(plan, step.condition))}: from` : 'From'
  const begin = `${whose} “${from}” to “${to}”`
  if (step.grade === 'same') return `${begin} it stayed the same, as far as our instrument can show.`
  const figure = writeAverage(plan, Math.abs(step.difference), resultUnit(plan))
  if (step.grade === 'cannot-tell') return `${begin} we cannot tell yet whether it changed (${signed(step, figure)} on average).`
  const sure = step.grade === 'clear' ? 'clear' : 'leaning'
  return `${begin} ${wentWords(plan, step.difference, figure)} (${sure}).`
}

function signed({ difference }: MomentStep, figure: string): string {
  return /[1-9]/.test(figure) ? `${difference < 0 ? '−' : '+'}${figure}` : figure
}

function wentWords(plan: Plan, difference: number, figure: string): string {
  const [more, less] = WENT[unitOf(testOf(plan).unit).dimension] ?? []
  const word = difference > 0 ? more : less
  return word ? `it got ${word} by ${figure}` : `it was ${figure} ${difference > 0 ? 'more' : 'less'}`
}

/** The steps that a class asks about first: from each moment to the next, and the last against the first. */
export function stepSentences(plan: Plan, { steps }: Pick<Evidence, 'steps'>): string[] {
  const order = momentsOf(plan).map(({ id }) => id)
  const next = ({ from, to }: MomentStep) => order.indexOf(to) === order.indexOf(from) + 1
  const ends = ({ from, to }: MomentStep) => from === order[0] && to === order.at(-1)
  return steps.filter((step) => next(step) || ends(step)).map((step) => stepSentence(plan, step))
}

/** Ways to begin where one thing is compared with itself from moment to moment. */
export function momentStarters(plan: Plan, evidence: Evidence): string[] {
  const said = saidAverages(plan, evidence)
  const averages = momentsOf(plan).flatMap(({ id, half = id }) => {
    const value = said.of(half)
    return value === undefined ? [] : [`${whenWords(plan, id)} ${writeAverage(plan, value, resultUnit(plan))}`]
  })
  const measure = testOf(plan).measure?.name.trim() || 'what we measured'
  const numbers = `${onAverageWords(said.way)} ${list(averages)}`
  switch (evidence.grade) {
    case 'clear':
      return [
        `We found that ${measure} changed: ${numbers}. We are sure of that, because …`,
        `${sentenceCase(measure)} was ${numbers}. That is clear, and we think it happens because …`,
      ]
    case 'same':
      return [`As far as our instrument can show, ${measure} stayed the same: ${numbers}. We are sure of that because …`]
    default:
      return [`We cannot tell yet whether ${measure} changed: ${numbers}, and luck could make such a gap. To be surer we would …`]
  }
}
