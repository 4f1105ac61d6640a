import { evenedOf, type Evidence } from '../../evidence'
import { conditionValue, type Plan } from '../../lesson'
import { convert, numberOf, NUMBER_WORDS, unitNamed, unitOf, type Side } from '../../quantity'
import { resultUnit } from '../../test'
import type { WrongFigure } from './figures'
import { NEGATED, NOT_FOUND } from './lexicon'
import type { FigureMention, Span, Stretch } from './stretch'

const HOW_MANY = `(?:(\\d+(?:[.,]\\d+)?|${NUMBER_WORDS.join('|')}) )?`
const FOR_EACH = new RegExp(
  `\\b(?:for |with )?(?:each|every) (?:extra |further |added |additional )?${HOW_MANY}(\\p{L}+)(?: (?:more|less|fewer|further|higher|lower|longer|shorter|deeper|extra|closer))?\\b`,
  'u',
)
/** "About 10" of 10.4: as far as the steps themselves may differ from each other. */
const NEAR = 0.15

/** "Each 20 inches more made it bounce about 10 inches higher": what one step adds, of conditions that are numbers. */
export function readRate(sentence: Stretch, plan: Plan, evidence: Evidence): { wrong: WrongFigure[]; right: Span[] } {
  const none = { wrong: [], right: [] }
  const match = FOR_EACH.exec(sentence.text)
  if (!match || plan.conditionsAs !== 'numbers' || NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return none
  const step = stepOf(match[1], match[2]!, plan)
  const end = sentence.from + match.index + match[0].length
  const all = sentence.mentions.filter((one): one is FigureMention => one.kind === 'figure')
  const behind = all.filter(({ from }) => from >= end)
  // "250 mL more for each 5 cm"
  const before = all.filter(({ from, to }) => {
    const between = sentence.text.slice(to - sentence.from, match.index)
    return from < sentence.from + match.index && /^ (?:\p{L}+ ){0,2}$/u.test(between) && !/\b(?:and|but)\b/.test(between)
  })
  const figures = behind.length > 0 ? behind : before
  const [figure] = figures
  const slopes = slopesOf(plan, evidence)
  const turned = /\b(?:less|fewer|lower|shorter|closer)\b/.test(match[0])
  const value = figure && convert(figure.value, figure.unit, resultUnit(plan))
  if (step === undefined || !figure || figures.length > 1 || value === undefined || slopes.length === 0) return none
  const adds = slopes.map((slope) => Math.abs(slope) * step)
  const least = Math.min(...adds) * (1 - NEAR)
  const most = Math.max(...adds) * (1 + NEAR)
  const sameWay = slopes.every((slope) => Math.sign(slope) === Math.sign(slopes[0]!))
  const said = sentence.text.slice(figure.from - sentence.from, figure.to - sentence.from).trim()
  if (value < least || value > most)
    return { wrong: [{ from: figure.from, to: figure.to, said, condition: undefined, table: undefined }], right: [] }
  // Steps that differ by half are no rate.
  if (!sameWay || evidence.notFair || evidence.grade !== 'clear' || Math.max(...adds) > 1.5 * Math.min(...adds)) return none
  const goes = saidWay(sentence.text.slice(match[0].length + match.index), sentence.text.slice(0, match.index))
  // "Each 20 inches more made it bounce 10 inches lower", where it bounced higher.
  if (goes !== undefined && (goes === 'more') !== (slopes[0]! > 0 !== turned)) return none
  if (figure.from < sentence.from + match.index) return { wrong: [], right: [{ from: figure.to, to: end }] }
  const comparing = sentence.mentions.find((one) => one.kind === 'comparing' && one.from >= figure.to)
  return { wrong: [], right: [{ from: sentence.from + match.index, to: comparing?.to ?? figure.to }] }
}

const MORE = /\b(?:higher|more|longer|further|taller|warmer|heavier|added|adds|gained|rises?|rose|grew|grows)\b/
const LESS = /\b(?:lower|less|fewer|shorter|nearer|colder|cooler|lighter|lost|loses|falls?|fell|drops?|shrank|takes? away)\b/

/** Which way the result is said to go; undefined where both or neither are said. */
function saidWay(behind: string, before: string): Side | undefined {
  const [more, less] = [MORE, LESS].map((words) => words.test(behind) || words.test(before))
  return more === less ? undefined : more ? 'more' : 'less'
}

/** How far one step goes, in the unit of the conditions. */
function stepOf(number: string | undefined, noun: string, plan: Plan): number | undefined {
  const many = number === undefined ? 1 : /\d/.test(number) ? Number(number.replace(',', '.')) : numberOf(number)
  const unit = unitNamed(noun)
  if (unit === undefined) return unitOf(plan.conditionUnit).dimension === 'number' ? many : undefined
  return convert(many, unit, plan.conditionUnit)
}

/** How much the averages go up for one of the conditions' unit, step by step. */
function slopesOf(plan: Plan, evidence: Evidence): number[] {
  const points = evidence.order
    .flatMap((id) => {
      const condition = plan.conditions.find((one) => one.id === id)
      const [x, y] = [condition && conditionValue(plan, condition), evenedOf(evidence, id)]
      return x === undefined || y === undefined ? [] : [{ x, y }]
    })
    .sort((a, b) => a.x - b.x)
  return points.slice(1).map(({ x, y }, place) => (y - points[place]!.y) / (x - points[place]!.x))
}
