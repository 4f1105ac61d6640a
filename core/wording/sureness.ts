import type { Evidence, Foretold, Pattern, Surer, Trend } from '../evidence'
import { changedFactor, measuredCard, numberName, type Plan } from '../lesson'
import { withUnit, writeNumber, writeQuantity } from '../quantity'
import { sentenceCase } from './evidence'
import { chanceWords, counted, nameOfCondition } from './names'
import { pWords } from './results'
import { writeFigure } from './tables'

/** The three ways to say how sure, each for those who hear it. */
export const DEPTHS = ['child', 'class', 'teacher'] as const
export type Depth = (typeof DEPTHS)[number]
export const DEPTH_NAMES: Record<Depth, string> = { child: 'For children', class: 'For the class', teacher: 'For the teacher' }

/** What would make it surer, counted out. `'2 more repeats by each group would very likely settle it: about 14 minutes.'` */
export function surerSentence(surer: Surer): string {
  switch (surer.code) {
    case 'more-repeats': {
      const time = surer.minutes > 0 ? ` That is about ${counted(surer.minutes, 'minute')} of testing.` : ''
      return `${counted(surer.extra, 'more repeat')} by each group: if the gap is real, it would then come out clear in ${chanceWords(surer.chance)} classes.${time}`
    }
    case 'second-reading':
      return 'A second reading of each: only then does anybody see the wobble.'
    case 'steadier-measuring':
      return `A steadier way of measuring: about ${chanceWords(Math.min(surer.share, 0.99))} parts of the wobble come from reading the instrument.`
    case 'bigger-steps':
      return 'Conditions that lie further apart, so that the gap grows and the wobble stays.'
    case 'more-races':
      return 'More rounds of the same race or weighing: each is one more order to compare.'
  }
}

/** Do the dots overlap, in words for children. */
export function overlapSentence(plan: Plan, evidence: Evidence): string {
  const [first, last] = [evidence.order[0], evidence.order.at(-1)]
  const [top, bottom] = [first, last].map((id) => evidence.summaries.find(({ condition }) => condition === id))
  if (!top || !bottom || top === bottom) return 'There are no two sets of dots to compare yet.'
  const [more, less] = [nameOfCondition(plan, top.condition), nameOfCondition(plan, bottom.condition)]
  const [high, low] = top.mean >= bottom.mean ? [top, bottom] : [bottom, top]
  if (high.lowest > low.highest) return `The dots of ${more} and of ${less} do not overlap at all: look at the space between them.`
  return `The dots of ${more} and of ${less} overlap: some of one lie among the other.`
}

/** What a child may take from the grade. */
export function childSentence(plan: Plan, evidence: Evidence): string {
  const change = changedFactor(plan)?.name ?? 'what we changed'
  switch (evidence.grade) {
    case 'clear':
      return `We can be sure: ${change} made a difference.`
    case 'leaning':
      return 'It may be so. We are not sure yet.'
    case 'cannot-tell':
      return 'We cannot tell yet. The numbers are too mixed up.'
    case 'same':
      return `It came out the same: ${change} made no difference that we can see.`
    case 'nothing-yet':
      return 'There is nothing to compare yet.'
  }
}

export interface ModelLine {
  term: string
  value: string
}

/** The model and its figures, and what it takes for granted. */
export function modelLines(plan: Plan, evidence: Evidence): { figures: ModelLine[]; assumptions: string[] } {
  const { model, friedman } = evidence
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  if (friedman) {
    return {
      figures: [
        { term: 'Test', value: 'Friedman: orders within groups or rounds' },
        { term: 'Statistic', value: writeNumber(friedman.statistic, 2) },
        { term: 'Orders compared', value: String(friedman.blocks) },
        { term: 'p', value: pWords(friedman.p) },
      ],
      assumptions: [
        'Each group or round is one order of its own; nobody copied.',
        'Only the order counts: how far apart they came in is not used.',
      ],
    }
  }
  if (!model) return { figures: [], assumptions: ['One reading each leaves nothing to judge wobble by.'] }
  const conditions = evidence.summaries.length
  return {
    figures: [
      { term: 'Model', value: 'result = group’s level + condition’s effect + wobble (least squares)' },
      {
        term: 'Wobble (residual sd)',
        value: writeQuantity(Math.sqrt(model.residualVariance), unit, digitsFor(Math.sqrt(model.residualVariance))),
      },
      { term: `F(${conditions - 1}, ${model.df}) of condition`, value: writeNumber(model.F, 2) },
      { term: 'p', value: pWords(model.p) },
      { term: 'Pairs', value: 'Holm’s correction; plain 95 % intervals below' },
    ],
    assumptions: [
      'The wobble is about as wide for every condition and group.',
      'One reading does not lean on another: each trial was set up anew.',
      'Groups differ in level, and not in what the conditions do.',
      'A wobble below the instrument’s mark counts as the mark’s own (mark² ÷ 12).',
      'Clear: p ≤ 0.05. Leaning: p ≤ 0.20. The same: every pair’s 90 % interval lies within one mark, or within the difference that matters.',
    ],
  }
}

const PATTERN_NAMES: Record<Pattern, string> = {
  none: 'No pattern',
  'steady-up': 'Steadily more',
  'steady-down': 'Steadily less',
  'levelling-off': 'Levelling off',
  'speeding-up': 'Speeding up',
  'up-then-down': 'Up, then down',
  'down-then-up': 'Down, then up',
}

/** The pattern of numbers, named and said. */
export function patternWords(plan: Plan, { pattern, rising, slope, turn }: Trend): { name: string; text: string } {
  const change = changedFactor(plan)?.name ?? 'what we change'
  const measure = measuredCard(plan)?.name ?? 'the result'
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  const way = `As ${change} goes up, ${measure} goes ${rising ? 'up' : 'down'}`
  const step = rising ? 'adds' : 'takes off'
  const about = `about ${writeQuantity(Math.abs(slope), unit, digitsFor(slope))} for each ${withUnit('1', plan.conditionUnit)} more`
  const name = PATTERN_NAMES[pattern]
  switch (pattern) {
    case 'none':
      return { name, text: `With more or less of ${change}, ${measure} stays about where it is.` }
    case 'steady-up':
    case 'steady-down':
      return { name, text: `${way}, in even steps: ${about}.` }
    case 'levelling-off':
      return { name, text: `${way}, but each further step ${step} less than the one before.` }
    case 'speeding-up':
      return { name, text: `${way}, and each further step ${step} more than the one before.` }
    case 'up-then-down':
    case 'down-then-up': {
      const where = turn === undefined ? '' : `, at about ${withUnit(writeNumber(turn, digitsFor(turn)), plan.conditionUnit)}`
      return {
        name,
        text: `${pattern === 'up-then-down' ? 'It rises to a top' : 'It falls to a bottom'}${where}, and then turns round.`,
      }
    }
  }
}

/** A prediction to test next, with its interval. */
export function foretoldWords(plan: Plan, at: number, { value, low, high, outside }: Foretold): string {
  const unit = measuredCard(plan)?.method.unit ?? 'count'
  const there = numberName(plan, at)
  const said = `At ${there} one reading should come to ${writeFigure(plan, value, unit)}, and 95 times in 100 to between ${writeFigure(plan, low, unit)} and ${writeFigure(plan, high, unit)}.`
  return outside ? `${said} Nobody tested that far out: the pattern may well change there, so this is a guess.` : said
}

const SHAPE_NAMES = { flat: 'level', straight: 'straight line', curved: 'bend' }

/** What the pattern rests on, for the teacher: slope, agreement, and the shapes that were compared. */
export function trendLines({ slope, tau, shapes, shape: taken }: Trend): string[] {
  const agreement = tau === undefined ? 'not known' : writeNumber(tau, 2)
  return [
    `Theil-Sen slope ${writeNumber(slope, 4)}; Kendall’s tau-b ${agreement}.`,
    ...shapes.map(({ shape, aicc }) => {
      const figure = Number.isFinite(aicc) ? writeNumber(aicc, 1) : 'too few readings'
      return `${sentenceCase(SHAPE_NAMES[shape])}: AICc ${figure}${shape === taken.shape ? ', taken' : ''}.`
    }),
    'A more complicated shape is taken only where its AICc is lower by 2 or more.',
  ]
}

/** How many decimals show two digits of a figure. `digitsFor(0.135) // 2, as in 0.14` */
function digitsFor(value: number): number {
  return value === 0 ? 0 : Math.max(0, 1 - Math.floor(Math.log10(Math.abs(value))))
}
