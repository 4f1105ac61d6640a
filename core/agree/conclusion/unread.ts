import { changedFactor, keptFactors, mainWords, withoutEnding, type Plan } from '../../lesson'
import { testOf } from '../../test'
import type { Evidence } from '../../evidence'
import { HEDGED, NO_DIFFERENCE } from './lexicon'
import { clausesOf, sentencesOf, type Span, type Stretch } from './mentions'

/** Words that join, point and count nothing: they say nothing that could be wrong. */
const JOINING = new Set(
  `a an the of in on at with and or than then for to from by it its that this these those we our us they their them there here as so but only too also
  about around nearly almost roughly on average mean averaged averages against compared when while whereas which who what one ones s did do does not
  be been being is are was were has have had will can could may might yet just still out up down off over under into onto through round i you
  two three four five six seven eight nine ten test class groups group results result table trials readings reading numbers conclusion think thought
  quite very rather really much far little bit more less most least after before between both each other whether if how found find saw see show shows
  shown showed say says said tell tells know looks look like seems seem that's it's our us me my mine on average overall altogether together once away first last difference gap thermometer scale scales ruler rulers stopwatch instrument instruments makes made`
    .split(/\s+/)
    .filter(Boolean),
)

/** What things do while they are tested: beside a condition and a figure they say that it was measured. */
const HAPPENED =
  /^(climb|reach|get|got|com|came|lift|drink|drank|drunk|soak|hear|heard|bounc|weigh|grow|grew|grown|tak|took|need|go|went|win|won|last|swing|swung|pull|hold|held|make|made|measur|ris|rose|sink|sank|melt|dissolv|slid|slip|stay|rise|jump|fall|fell|mov|us|work|giv|gave|carr|stretch|burn|float|spin|spun|roll|stick|stuck|stop|start|read|count|cross|travel|let|pick|drop|finish|run|ran|keep|kept|leave|left|lose|lost|gain|stand|stood|turn|end|beat|be)[bdglmnprt]?(s|es|ed|ing|e|es|ies|ied)?$/

/** Nothing but how sure the class is: "and we are sure of it", "that is clear". */
const HOW_SURE_ONLY =
  /^\W*(?:and |so |but )?(?:so )?(?:we (?:are|feel|can be|were)(?: \w+)? (?:sure|certain)(?: (?:of|about) (?:it|that|this|these|them)(?: \w+)?)?|(?:that|this|it|the difference|the result)(?: is| was|'s)(?: \w+)? (?:clear|sure|certain)|(?:quite|very) sure|for sure|definitely)\W*$/

/** Shares and multiples, which nobody works out here. */
const RATIO =
  /\b(twice|half|halves|halved|double[sd]?|doubling|triple[sd]?|thrice|times as|times (?:more|higher|longer|further)|per cent|percent|third|quarter|every|always|never|all|any|everybody|nobody|would|should|because)\b|%/

/**
 * What of a text was not checked: parts in which nothing was found in the table, and words beside what was found that the reader does not know.
 * @param right  what was found in the table
 * @param doubts what is already asked about
 */
export function unreadIn(text: string, plan: Plan, evidence: Evidence, right: Span[], doubts: Span[]): Span[] {
  const known = wordsOfPlan(plan)
  return sentencesOf(text, plan).flatMap((sentence) =>
    clausesOf(sentence).flatMap((clause) => unreadInClause(clause, sentence, plan, evidence, known, right, doubts)),
  )
}

function unreadInClause(
  clause: Stretch,
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  known: Set<string>,
  right: Span[],
  doubts: Span[],
): Span[] {
  const words = [...clause.text.matchAll(/[\p{L}']+|\d[\d.,]*|%/gu)]
  if (words.length === 0) return []
  const whole = { from: clause.from + words[0]!.index, to: clause.from + words.at(-1)!.index + words.at(-1)![0].length }
  const within = (spans: Span[]) => spans.filter(({ from, to }) => from >= clause.from && to <= clause.to)
  if (within(doubts).length > 0) return []
  if (HOW_SURE_ONLY.test(clause.text)) return sureness(evidence) ? [] : [whole]
  const found = within(right)
  const same = [...sentence.text.matchAll(NO_DIFFERENCE)].length > 0 && evidence.grade === 'same'
  const open = evidence.grade !== 'clear' && evidence.grade !== 'same' && HEDGED.test(clause.text)
  if (found.length === 0 && !same && !open) return [whole]
  const share = RATIO.exec(clause.text)
  const said = share && { from: clause.from + share.index, to: clause.from + share.index + share[0].length }
  if (said && !open && !found.some((one) => overlaps(one, said))) return [whole]
  // A comparison that nobody judged is not understood, whatever stands beside it.
  const judged = [...found, ...sentence.mentions.filter(({ kind }) => kind !== 'comparing')]
  const compared = clause.mentions.filter((one) => one.kind === 'comparing' && !judged.some((other) => overlaps(one, other)))
  if (compared.length > 0 && !open && !same) return compared.map(({ from, to }) => ({ from, to }))
  return words.flatMap((match) => {
    const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
    const word = match[0]
    if (judged.some((one) => overlaps(one, span)) || clause.mentions.some((one) => overlaps(one, span))) return []
    if (JOINING.has(word) || HAPPENED.test(word) || known.has(withoutEnding(word)) || known.has(word)) return []
    if (CERTAIN_WORD.test(word) || (open && HEDGE_WORD.test(word)) || (same && /^(no|difference|same|equal)$/.test(word))) return []
    return [span]
  })
}

const CERTAIN_WORD = /^(sure|clear|clearly|certain|definitely|obviously)$/
const HEDGE_WORD = /^(cannot|can't|tell|sure|perhaps|maybe|probably|unsure|clear|close|call|not)$/

/** Are sure words as sure as the evidence is. */
function sureness({ grade }: Evidence): boolean {
  return grade === 'clear' || grade === 'same'
}

const overlaps = (one: Span, other: Span) => one.from < other.to && other.from < one.to

/** What the plan calls its things: the measure, what was changed, what was kept the same. */
function wordsOfPlan(plan: Plan): Set<string> {
  const { measure, method } = testOf(plan)
  const texts = [measure?.name, changedFactor(plan)?.name, method?.tool, ...keptFactors(plan).flatMap(({ name }) => [name])]
  const written = texts.join(' ').toLowerCase()
  return new Set([...mainWords(written), ...written.split(/[^\p{L}]+/u).filter((word) => word.length > 2)])
}
