import { unreachable } from '../unreachable'
import { type Plan } from '../lesson'
import { INSTRUMENTS, withInstrument, type Way } from '../measuring'
import { unitOf, writeShort } from '../quantity'
import { testOf, type ResolvedMethod } from '../test'
import { minuteWords } from './clock'
import { counted, list, methodWords } from './names'

/** Where the expected results come from. */
export const SOURCE_WORDS: Record<ResolvedMethod['expectedFrom'], string> = {
  guess: 'your guess',
  practice: 'practice readings',
  bench: 'the simulator',
}

/** A way to see the difference, as a button says it. `'Time 10 at once'` */
export function wayWords(way: Way, plan: Plan): string {
  switch (way.code) {
    case 'more-repeats':
      return `Do ${counted(way.repeats, 'repeat')}`
    case 'more-groups':
      return `Make ${counted(way.groups, 'group')}`
    case 'fresh-things':
      return 'A fresh one in each trial'
    case 'own-things':
      return 'One for each child, shared by nobody'
    case 'more-at-once':
      return `Time ${way.atOnce} at once`
    case 'steadier-instrument': {
      const instrument = INSTRUMENTS.find(({ code }) => code === way.instrument)
      const { method } = testOf(plan)
      return instrument && method ? `Use a ${methodWords(withInstrument(method, instrument))}` : 'Use a steadier instrument'
    }
    case 'other-measure':
      return `Measure ${plan.measures.find(({ id }) => id === way.measure)?.name ?? 'something else'} instead`
    case 'order-instead':
      return 'Run them side by side and see who is first'
    case 'bigger-steps':
      return `Bigger steps: ${list(way.labels)} ${unitOf(plan.conditionUnit).symbol}`.trim()
    default:
      return unreachable(way)
  }
}

/** What a way costs in lesson time. `'7 minutes longer'` */
export function wayCost({ minutes }: Way): string {
  if (minutes === 0) return 'no more time'
  return minutes > 0 ? `${minuteWords(minutes)} longer` : `${minuteWords(-minutes)} shorter`
}

/** What a way does, with its figure: the chance in a hundred. `'clear in 94 in 100'` */
export function wayChance({ chance }: Way): string {
  return `clear in ${writeShort(Math.round(chance * 100))} in 100`
}
