import type { Evidence } from '../../evidence'
import { NUMBER_WORDS, numberOf } from './lexicon'
import type { WrongFigure } from './figures'
import { clausesOf, type Span, type Stretch } from './mentions'
import type { Judged } from './order'

const COUNT = `(\\d+|${NUMBER_WORDS.join('|')})`
const HOW_MANY = new RegExp(`\\b(?:(all|every|each|most)|${COUNT})(?: of)?(?: (?:the|our))?(?: ${COUNT})? groups?\\b`, 'u')

/**
 * How many groups are said to have found the first one first: "six of the seven groups", "all groups".
 * @param judged what the order of the averages said to the sentence
 */
export function readGroups(sentence: Stretch, evidence: Evidence, judged: Judged[]): { wrong: WrongFigure[]; right: Span[] } {
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  const { agreement, order } = evidence
  if (!agreement || agreement.asked.length === 0) return { wrong, right }
  for (const clause of clausesOf(sentence)) {
    const match = HOW_MANY.exec(clause.text)
    const first = clause.mentions.some((one) => one.kind === 'comparing' && one.superlative)
    const named = clause.mentions.some((one) => one.kind === 'condition' && one.id === order[0])
    const so = judged.some(({ code, at }) => code === 'right' && at.some(({ from, to }) => from >= clause.from && to <= clause.to))
    if (!match || !first || !named || !so) continue
    const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
    const [, share, one, of] = match
    const agreeing = agreement.agreeing.length
    const fits =
      share === undefined
        ? numberOf(one!) === agreeing
        : share === 'most'
          ? agreeing * 2 > agreement.asked.length
          : agreeing === agreement.asked.length
    if (!fits || (of !== undefined && numberOf(of) !== agreement.asked.length))
      wrong.push({ ...span, said: match[0], condition: undefined, table: undefined })
    else right.push(span)
  }
  return { wrong, right }
}
