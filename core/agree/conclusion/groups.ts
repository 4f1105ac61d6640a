import type { Evidence } from '../../evidence'
import { NUMBER_WORDS, numberOf } from '../../quantity'
import type { WrongFigure } from './figures'
import { clausesOf } from './mentions'
import type { Span, Stretch } from './stretch'
import type { Judged } from './order'

const COUNT = `(\\d+|${NUMBER_WORDS.join('|')})`
const HOW_MANY = new RegExp(`\\b(?:(all|every|each|most|half)|${COUNT})(?: of)?(?: (?:the|our))?(?: ${COUNT})? groups?\\b`, 'u')

export interface GroupsCounted {
  agreeing: number
  asked: number
  /** The condition that they put first. */
  first: string
}

/**
 * How many groups are said to have found the first one first: "six of the seven groups", "all groups".
 * @param judged what the order of the averages said to the sentence
 */
export function readGroups(
  sentence: Stretch,
  evidence: Evidence,
  judged: Judged[],
): { wrong: (WrongFigure & { groups: GroupsCounted })[]; right: Span[] } {
  const wrong: (WrongFigure & { groups: GroupsCounted })[] = []
  const right: Span[] = []
  const { agreement, order } = evidence
  // One group's own table knows nothing of the others.
  if (!agreement || agreement.asked.length < 2) return { wrong, right }
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
          : share === 'half'
            ? isHalf(agreeing / agreement.asked.length, clause.text.slice(0, match.index))
            : agreeing === agreement.asked.length
    if (!fits || (of !== undefined && numberOf(of) !== agreement.asked.length))
      wrong.push({
        ...{ ...span, said: match[0], condition: undefined, table: undefined },
        groups: { agreeing, asked: agreement.asked.length, first: order[0]! },
      })
    else right.push(span)
  }
  return { wrong, right }
}

/** "Half of the groups", "more than half of the groups". */
function isHalf(share: number, before: string): boolean {
  if (/\b(?:more than|over) $/.test(before)) return share > 0.5
  return /\b(?:less than|under|fewer than) $/.test(before) ? share < 0.5 : share === 0.5
}
