import type { Evidence } from '../../evidence'
import { changedFactor, isWordOf, type Plan } from '../../lesson'
import { numberOf, type Side } from '../../quantity'
import type { ComparingMention } from './stretch'
import { judgeComparative, type Judged } from './order'
import type { Spoken } from './subject'

/** "All three wrappings are better than nothing": each of them. */
export function readOfAll(
  word: ComparingMention,
  side: Side,
  { clause, conditions }: Spoken,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] | undefined {
  const [object, ...more] = conditions
  const match = OF_ALL.exec(clause.text.slice(0, word.from - clause.from))
  if (!match || !object || object.from < word.to || more.length > 0 || word.superlative) return undefined
  const [said, many, thing] = match
  const others = evidence.order.filter((id) => id !== object.id)
  if (!isWordOf(thing!, changedFactor(plan)?.name ?? '') || (many !== undefined && numberOf(many) !== others.length))
    return undefined
  const at = { from: clause.from + match.index, to: clause.from + match.index + said.length }
  const each = others.flatMap((id) =>
    judgeComparative({ word, subject: { kind: 'condition', id, ...at }, side }, [object], plan, evidence, hedged),
  )
  return each.find(({ code }) => code !== 'right') ? each.filter(({ code }) => code !== 'right').slice(0, 1) : each.slice(0, 1)
}

const OF_ALL =
  /\b(?:all|every|each|both|any)(?: of)?(?: the| our)?(?: (\p{L}+))? (\p{L}{3,}) (?:are|is|was|were|worked|did|climbed|went) $/u
