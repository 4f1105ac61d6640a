import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import type { Evidence, Foretold, NumberFor, Pattern, Surer, Trend } from '../evidence'
import { changedFactor, numberName, type Plan } from '../lesson'
import { resultUnit, testOf } from '../test'
import { withUnit, writeNumber, writeQuantity } from '../quantity'
import { changedWithAll } from './fairness'
import { GRADE_NAMES } from './grades'
import { chanceWords, conditionWithLetter, counted, nameOfCondition } from './names'
import { pWords } from './results'
import { sortedLines, sortedModelLines } from './sorted'
import { writeFigure } from './tables'

/** The three ways to say how sure, each for those who hear it. */
export const DEPTHS = ['child', 'class', 'teacher'] as const
export type Depth = (typeof DEPTHS)[number]
export const DEPTH_NAMES: Record<Depth, string> = { child: 'For children', class: 'For the class', teacher: 'For the teacher' }

/** What would make it surer, counted out. `'2 more repeats by each group would very likely settle it: about 14 minutes.'` */
export function surerSentence(surer: Surer): string {
  switch (surer.code) {
    case 'fill-places':
      return 'Fill the places that are still empty, or say that testing is over and they stay empty.'
    case 'more-repeats': {
      const time = surer.minutes > 0 ? ` That is about ${counted(surer.minutes, 'minute')} of testing.` : ''
      return `${counted(surer.extra, 'more repeat')} by each group: if the gap is real, it would then come out clear in ${chanceWords(surer.chance)} classes.${time}`
    }
    case 'more-groups':
      return `More groups, ${surer.groups} in all, such as those of another class: if the gap is real, it would then come out clear in ${chanceWords(surer.chance)} classes.`
    case 'second-reading':
      return 'A second reading of each: only then does anybody see the wobble.'
    case 'even-out': {
      const once = surer.conditions.length
      const time = surer.minutes > 0 ? `: about ${counted(surer.minutes, 'minute')}` : ''
      return `${once === 1 ? 'One of them was' : `${once} of them were`} read only once. Read ${once === 1 ? 'it' : 'each of those'} twice more${time}.`
    }
    case 'fresh-things':
      return 'A fresh one in each trial: the same one read again only says how well that one is measured.'
    case 'ask-it-first':
      return 'Ask just this next time, as the main question: what is only looked at besides stays a hint.'
    case 'more-together':
      return 'More groups that do the same things, or another class: so few leave little to judge luck by.'
    case 'steadier-measuring':
      return `A steadier way of measuring: about ${chanceWords(Math.min(surer.share, 0.99))} parts of the wobble come from reading the instrument.`
    case 'bigger-steps':
      return 'Conditions that lie further apart, so that the gap grows and the wobble stays.'
    case 'more-orders':
      return `More ${surer.of}: ${counted(surer.now, 'order')} can be compared now, and ${surer.needed} or more could also tell one from the next.`
    default:
      return unreachable(surer)
  }
}

/** Do the dots overlap, in words for children. */
export function overlapSentence(plan: Plan, evidence: Evidence): string {
  if (evidence.sorted) return sortedLines(plan, evidence.sorted).join('. ')
  const [first, last] = [evidence.order[0], evidence.order.at(-1)]
  const [top, bottom] = [first, last].map((id) => evidence.summaries.find(({ condition }) => condition === id))
  if (!top || !bottom || top === bottom) return 'There are no two sets of dots to compare yet.'
  if (top.count < 2 || bottom.count < 2) return 'There is one dot of each: nobody can see yet how far such dots stray.'
  const [more, less] = [nameOfCondition(plan, top.condition), nameOfCondition(plan, bottom.condition)]
  const [high, low] = top.mean >= bottom.mean ? [top, bottom] : [bottom, top]
  if (high.lowest > low.highest) return `The dots of ${more} and of ${less} do not overlap at all: look at the space between them.`
  return `The dots of ${more} and of ${less} overlap: some of one lie among the other.`
}

/** What a child may take from the grade. */
export function childSentence(plan: Plan, evidence: Evidence): string {
  const change = changedWithAll(plan) ?? 'what we changed'
  switch (evidence.grade) {
    case 'clear':
      return `We can be sure: ${change} made a difference.`
    case 'leaning':
      return evidence.limits.includes('unfinished')
        ? `So far it looks so. Some ${evidence.sorted ? 'words' : 'numbers'} are still missing.`
        : 'It may be so. We are not sure yet.'
    case 'cannot-tell':
      return evidence.limits.includes('one-reading-each')
        ? 'We cannot tell yet. We need to measure again.'
        : `We cannot tell yet. The ${evidence.sorted ? 'words' : 'numbers'} are too mixed up.`
    case 'same':
      return `It came out the same: ${change} made no difference that we can see.`
    case 'one-condition':
      return 'We looked at one thing. There is no other to compare it with.'
    case 'not-fair':
      return 'It was not a fair test: more than one thing was different.'
    case 'nothing-yet':
      return 'There is nothing to compare yet.'
    default:
      return unreachable(evidence.grade)
  }
}

export interface ModelLine {
  term: string
  value: string
}

/** The model and its figures, and what it takes for granted. */
export function modelLines(plan: Plan, evidence: Evidence): { figures: ModelLine[]; assumptions: string[] } {
  const { model, whole, friedman, fit, wobble } = evidence
  const unit = resultUnit(plan)
  if (evidence.sorted) return sortedModelLines(evidence.sorted)
  if (friedman) return orderLines(evidence, friedman)
  if (!model || !whole || !fit) return { figures: [], assumptions: ['Nothing is left over to judge luck by.'] }
  const spread = Math.sqrt(model.residualVariance)
  const written = (value: number) => writeQuantity(value, unit, digitsFor(value))
  return {
    figures: [
      {
        term: 'Model',
        value: fit.onCells
          ? 'group’s average of a condition = group’s level + condition’s effect + rest (least squares)'
          : 'reading = condition’s average + wobble (one group)',
      },
      {
        term: 'Counted',
        value: fit.onCells ? `${fit.cells.length} averages of ${fit.readings} readings` : `${fit.readings} readings`,
      },
      ...(wobble === undefined ? [] : [{ term: 'Wobble (sd in a cell)', value: written(wobble) }]),
      { term: fit.onCells ? 'Rest (sd of averages)' : 'Rest (sd)', value: written(spread) },
      { term: `F(${model.rank}, ${model.df}) of condition`, value: writeNumber(model.F, 2) },
      ...(whole.epsilon < 1
        ? [{ term: 'Epsilon (Huynh and Feldt)', value: `both degrees of freedom times ${writeNumber(whole.epsilon, 2)}` }]
        : []),
      { term: 'p', value: pWords(whole.p) },
      ...(whole.slopes
        ? [
            {
              term: `t(${whole.slopes.df}) of the groups’ slopes`,
              value: `${writeNumber(whole.slopes.slope / whole.slopes.standardError, 2)}, p ${pWords(whole.slopes.p)}; of both the surer one counts twice over (Holm)`,
            },
          ]
        : []),
      ...(whole.needsPair && !whole.slopes && whole.judged > whole.p
        ? [
            {
              term: 'p of the surest pair',
              value: `${pWords(whole.judged)}: it counts, since ${fit.onCells ? 'few groups did everything' : 'there is one group'}`,
            },
          ]
        : []),
      ...(evidence.family
        ? [{ term: `p, one of ${evidence.family.of} questions`, value: `${pWords(evidence.family.p)} (Holm)` }]
        : []),
      { term: 'Pairs', value: 'Holm’s correction; plain 95 % intervals below' },
    ],
    assumptions: [
      fit.onCells
        ? 'Each group’s average of a condition counts once, however often it was read.'
        : 'One reading does not lean on another: each trial had a fresh thing.',
      fit.onCells
        ? 'One condition may wobble more than another: each pair is judged by how much the groups that did both differ in it, or by all cells where that is wider.'
        : 'One condition may wobble more than another: each pair is judged by its own readings where there are five of each, or by all where that is wider.',
      'Groups differ in level by luck alone, and so does what a condition does from group to group.',
      `A rest below the instrument’s mark counts as the mark’s own (mark² ÷ 12${fit.onCells ? ' and readings' : ''}).`,
      'Clear: p ≤ 0.05 and no place empty. Leaning: p ≤ 0.20. The same: every pair’s 90 % interval lies within one mark, or within the difference that matters.',
    ],
  }
}

function orderLines({ reach }: Evidence, { statistic, blocks, p }: NonNullable<Evidence['friedman']>) {
  return {
    figures: [
      { term: 'Test', value: 'Friedman: orders within groups or rounds' },
      { term: 'Statistic', value: writeNumber(statistic, 2) },
      { term: 'Orders compared', value: String(blocks) },
      { term: 'p', value: pWords(p) },
      ...(reach ? [{ term: 'Least p that so many orders can reach', value: pWords(reach.whole) }] : []),
      ...(reach ? [{ term: 'The same for one and the next (sign test, Holm)', value: pWords(reach.neighbours) }] : []),
    ],
    assumptions: [
      'Each group or round is one order of its own; nobody copied.',
      'Only the order counts: how far apart they came in is not used.',
    ],
  }
}

/** One condition and the next in the order, in a row of a table: who puts them so, whether that tells them apart, and what would. */
export function neighbourWords(
  plan: Plan,
  { more, less, wins, losses, level, pHolm, grade, further }: Evidence['neighbours'][number],
  evidence: Pick<Evidence, 'agreement'>,
): { pair: string; wins: string; p: string; grade: string; told: string; further: string } {
  const block = evidence.agreement ? 'group' : 'round'
  const levels = level > 0 ? `, ${level} had them level` : ''
  return {
    pair: `${conditionWithLetter(plan, more)} before ${conditionWithLetter(plan, less)}`,
    wins: `${counted(wins, block)} so, ${losses} the other way${levels}`,
    p: pWords(pHolm),
    grade: GRADE_NAMES[grade],
    told: grade === 'clear' ? 'told apart' : grade === 'leaning' ? 'perhaps' : 'not told apart',
    further:
      further === 0
        ? grade === 'clear'
          ? ''
          : 'the places that are still empty'
        : further === undefined
          ? 'a dozen more would not settle it'
          : `${further} more ${block}${further === 1 ? '' : 's'} that ${further === 1 ? 'says' : 'say'} the same`,
  }
}

const PATTERN_NAMES: Record<Pattern, string> = {
  'not-seen': 'No pattern to be seen yet',
  level: 'Level',
  uneven: 'No line or bend',
  'steady-up': 'Steadily more',
  'steady-down': 'Steadily less',
  'levelling-off': 'Levelling off',
  'speeding-up': 'Speeding up',
  'up-then-down': 'Up, then down',
  'down-then-up': 'Down, then up',
}

/** The pattern of numbers, named and said. */
export function patternWords(plan: Plan, { pattern, rising, line, turn }: Trend): { name: string; text: string } {
  const change = changedFactor(plan)?.name ?? 'what we change'
  const measure = testOf(plan).measure?.name ?? 'the result'
  const unit = resultUnit(plan)
  const way = `As ${change} goes up, ${measure} goes ${rising ? 'up' : 'down'}`
  const step = rising ? 'adds' : 'takes off'
  const about = `about ${writeQuantity(Math.abs(line.c1), unit, digitsFor(line.c1))} for each ${withUnit('1', plan.conditionUnit)} more`
  const name = PATTERN_NAMES[pattern]
  switch (pattern) {
    case 'not-seen':
      return { name, text: `We cannot see a pattern yet: the evidence is not clear enough to name one.` }
    case 'level':
      return { name, text: `With more or less of ${change}, ${measure} stays about where it is.` }
    case 'uneven':
      return { name, text: `${sentenceCase(measure)} differs, but neither goes up nor down as ${change} goes up.` }
    case 'steady-up':
    case 'steady-down':
      return { name, text: `${way}, in even steps: ${about}.` }
    case 'levelling-off':
      return { name, text: `${way}, but each further step ${step} less than the one before.` }
    case 'speeding-up':
      return { name, text: `${way}, and each further step ${step} more than the one before.` }
    case 'up-then-down':
    case 'down-then-up': {
      const where = turn === undefined ? '' : `, at about ${numberWords(plan, turn)}`
      return {
        name,
        text: `${pattern === 'up-then-down' ? 'It rises to a top' : 'It falls to a bottom'}${where}, and then turns round.`,
      }
    }
    default:
      return unreachable(pattern)
  }
}

/** A number along the bottom with its unit, to two digits, or to as many as tell it from one that lies so far from it. */
function numberWords(plan: Plan, value: number, apart = value): string {
  if (plan.conditionUnit === 'count') return numberName(plan, Math.round(value))
  return withUnit(writeNumber(value, Math.max(digitsFor(value), apart === value ? 0 : digitsFor(apart))), plan.conditionUnit)
}

/** A prediction to test next, for one of these groups and for another one. */
export function foretoldWords(plan: Plan, at: number, { value, reach, another, outside }: Foretold): string {
  const unit = resultUnit(plan)
  const figure = (one: number) => writeFigure(plan, one, unit)
  const own = `At ${numberName(plan, at)} a group should come to about ${figure(value)}. One of these groups would lie within ${figure(reach)} of its own line, 95 times in 100`
  const other = another
    ? `; another group between ${figure(another.low)} and ${figure(another.high)}.`
    : '; what another group would find, one group cannot say.'
  return `${own}${other}${outside ? ' Nobody tested that far out: the pattern may well change there, so this is a guess.' : ''}`
}

/** Which number gives a wanted result for these groups, and with what safety; of counts which still does. */
export function numberForWords(plan: Plan, wanted: number, found: NumberFor): string[] {
  const unit = resultUnit(plan)
  const goal = writeFigure(plan, wanted, unit)
  if (found.x === undefined) return [`No number that was tested comes to ${goal}.`]
  const safe = (x: number | undefined, side: string) =>
    x === undefined ? [] : [`So that another group, too, stays ${side} ${goal}, 95 times in 100: ${numberWords(plan, x)}.`]
  return [
    `${answerWords(plan, found, goal)}${betweenWords(plan, found)}${found.outside ? ' That is outside what was tested, so it is a guess.' : ''}`,
    ...safe(found.safelyAbove, 'at or above'),
    ...safe(found.safelyBelow, 'at or below'),
  ]
}

function answerWords(plan: Plan, { x, whole }: NumberFor, goal: string): string {
  if (!whole) return `For these groups about ${numberWords(plan, x!)} gives ${goal}.`
  const named = (count: number) => numberName(plan, count)
  return whole.reaches < whole.misses
    ? `For these groups ${named(whole.reaches)} still comes to ${goal}, and ${named(whole.misses)} may not.`
    : `For these groups ${named(whole.reaches)} comes to ${goal}, and ${named(whole.misses)} may not yet.`
}

function betweenWords(plan: Plan, { low, high, whole }: NumberFor): string {
  if (low === undefined || high === undefined) return ' From where to where it may lie, these readings cannot say.'
  const [from, to] = whole
    ? [Math.floor(low), Math.ceil(high)].map((count) => numberName(plan, count))
    : [low, high].map((one) => numberWords(plan, one, high - low))
  return ` It lies between ${from} and ${to}, 95 times in 100.`
}

const SHAPE_NAMES = { flat: 'level', straight: 'straight line', curved: 'bend' }

/** What the pattern rests on, for the teacher: the line, the bend, and a second opinion. */
export function trendLines({ line, lineAdds, bendAdds, df, theilSen, tau, shapes }: Trend): string[] {
  const agreement = tau === undefined ? 'not known' : writeNumber(tau, 2)
  const test = (adds: NonNullable<Trend['lineAdds']>) => `F(1, ${df}) = ${writeNumber(adds.F, 2)}, p ${pWords(adds.p)}`
  return [
    `Slope of the line, groups evened out: ${writeNumber(line.c1, 4)}${lineAdds ? `; ${test(lineAdds)}` : ''}.`,
    ...(bendAdds
      ? [`What a bend adds to the line: ${test(bendAdds)}. It is said from p ≤ 0.05 on, where the grade is clear.`]
      : []),
    `A second opinion: Theil-Sen slope ${writeNumber(theilSen, 4)}; Kendall’s tau-b ${agreement}.`,
    ...shapes.map(({ shape, aicc }) => {
      const figure = Number.isFinite(aicc) ? writeNumber(aicc, 1) : 'too few readings'
      return `${sentenceCase(SHAPE_NAMES[shape])}: AICc ${figure}.`
    }),
  ]
}

/** How many decimals show two digits of a figure. `digitsFor(0.135) // 2, as in 0.14` */
function digitsFor(value: number): number {
  return value === 0 ? 0 : Math.max(0, 1 - Math.floor(Math.log10(Math.abs(value))))
}
