import type { Evidence } from '../../evidence'
import type { WrongFigure } from './figures'
import { clausesOf, type ConditionMention, type Span, type Stretch } from './mentions'

const TIMES: Record<string, number> = {
  twice: 2,
  half: 0.5,
  'two times': 2,
  'three times': 3,
  'four times': 4,
  'five times': 5,
  'ten times': 10,
  'a third': 1 / 3,
  'a quarter': 0.25,
}
const SAID = /\b(twice|half|a third|a quarter|(?:two|three|four|five|ten|\d+(?:\.\d+)?) times) as \p{L}+( as)?/gu
/** "Twice as high" is said of anything from 1.8 to 2.2 times. */
const NEAR = 0.1

/** "Three times as high as tissue": one average against the other. */
export function readRatios(sentence: Stretch, evidence: Evidence): { wrong: WrongFigure[]; right: Span[] } {
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  for (const clause of clausesOf(sentence)) {
    const named = clause.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
    for (const match of clause.text.matchAll(SAID)) {
      const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
      const [subject, object] = [named.filter(({ to }) => to <= span.from).at(-1), named.find(({ from }) => from >= span.to)]
      const of = (id: string) => evidence.summaries.find(({ condition }) => condition === id)?.evened
      const [above, below] = [subject && of(subject.id), object && of(object.id)]
      if (!subject || !object || above === undefined || !below) continue
      const said = TIMES[match[1]!] ?? Number.parseFloat(match[1]!)
      if (Math.abs(above / below / said - 1) <= NEAR)
        right.push(span, { from: subject.from, to: subject.to }, { from: object.from, to: object.to })
      else wrong.push({ ...span, said: match[1]!, condition: undefined, table: undefined })
    }
  }
  return { wrong, right }
}
