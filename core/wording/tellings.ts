import type { Telling } from '../wonder'
import { testOf } from '../test'
import { minuteWords } from './clock'
import { chanceWords, methodWords } from './names'
import { adviserFigure } from './things'

/** One measure beside the others. `tellingWords(tellingsOf(soakUpPlan())[0]!).tool // 'ruler, to the nearest mm'` */
export function tellingWords({ measure, race, plan, wobble, clear, minutes }: Telling): {
  name: string
  tool: string
  wobble: string
  clear: string
  minutes: string
} {
  const method = testOf(plan).method!
  return {
    name: race ? `${measure.name}, as a race` : measure.name,
    tool: methodWords(method),
    wobble: wobble === undefined ? 'only an order' : adviserFigure(wobble, method.unit),
    clear: clear === undefined ? 'guess lowest and highest first' : chanceWords(clear),
    minutes: minuteWords(minutes),
  }
}
