import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import type {
  Bin,
  GraphLoss,
  GraphReason,
  ResultLine,
  ResultsGraph,
  ScaleProblem,
  SmallBar,
  SquareScale,
  StageBand,
} from '../charts'
import { changedFactor, type GraphKind, type Plan } from '../lesson'
import { countedPlace, hasNamedMoments, resultUnit, testOf, kindOf } from '../test'
import { unitOf, withUnit, writeNumber, writeShort, type ResultUnit, type UnitCode } from '../quantity'
import { conditionWithLetter, counted, list, whenWords, writeReading } from './names'
import { countedPlaceWords, resultName } from './counts'
import { knownName } from './known'
import { writeFigure } from './tables'

export const GRAPH_NAMES: Record<GraphKind, string> = {
  bars: 'Bars with dots',
  points: 'Points with a line',
  curve: 'Points with a curve',
  lines: 'Lines over time',
  stages: 'Words over time',
  pairs: 'Before and after',
  'number-line': 'Number lines',
  places: 'Finishing order',
  words: 'Stacked words',
  tries: 'Try by try',
  'by-group': 'A panel for each group',
  histogram: 'How often each size came',
}

/** Why this graph. */
export function graphReason(plan: Plan, reason: GraphReason): string {
  const change = changedFactor(plan)?.name ?? 'what we change'
  switch (reason) {
    case 'kinds':
      return `${sentenceCase(change)} comes in kinds with nothing between them, so each gets a bar of its own, with every reading as a dot.`
    case 'numbers':
      return `${sentenceCase(change)} is a number, so points stand where their numbers are, and a line shows how the result goes with it.`
    case 'few-numbers':
      return `${sentenceCase(change)} is a number, so points stand where their numbers are. Two numbers make no pattern yet: a third would.`
    case 'numbers-bend':
      return `${sentenceCase(change)} is a number and the points bend, so a curve follows them better than a straight line.`
    case 'over-time':
      return 'The same thing was read again and again, so time goes along the bottom and a line joins what belongs together.'
    case 'words-over-time':
      return 'Words came one after another, so each condition has a band over the time: which word its middle trial was, and when it turned.'
    case 'changes':
      return 'What counts is how much each changed, so bars stand on no change at all: up is more, down is less.'
    case 'same-thing-twice':
      return 'Each thing was read before and after, so a line joins its two readings: up, down or level is seen at once.'
    case 'places':
      return 'A place says who came first and not by how much, so places stand one under another and have no bars.'
    case 'words':
      return 'Words have an order and no size, so how often each was chosen is stacked up.'
    case 'sorts':
      return 'Words without an order are stacked as shares: how many of a hundred said which.'
    case 'tries':
      return 'Each try grew from the one before, so they stand in their order and a line shows whether it got better.'
    case 'no-average':
      return 'The class uses no average, so every reading stands on its own number line.'
    case 'one-for-each-child':
      return 'Each child has a number of its own, so they are heaped up by size: how many came out about so, and who is far from the others.'
    default:
      return unreachable(reason)
  }
}

const LOSS_WORDS: Record<GraphLoss, string> = {
  'nothing-between-kinds': 'A line between two kinds says that there is something halfway. There is not.',
  'uneven-steps': 'Bars stand evenly whatever their numbers are, so the pattern can look straighter or more bent than it is.',
  'what-happened-between': 'Only where it ended is left. What happened on the way is lost.',
  'which-belongs-together': 'Which reading belongs to which is lost; only the average change is left.',
  'change-by-itself': 'Each thing’s own two readings are seen, but how much each kind changed has to be worked out by eye.',
  'places-are-no-amounts': 'A bar makes an amount of a place: third is not three times first.',
  'words-are-no-amounts': 'A bar makes an amount of a word: wet is not three times dry.',
  'order-of-tries': 'That each try grew from the one before is no longer seen.',
  'averages-among-dots': 'The averages are small marks among the dots, and no bar shows how many times as much one is.',
  'class-as-one': 'The class’s own averages are not drawn; what all groups share is harder to see.',
  'bend-not-shown': 'A line from average to average hides the bend, and every wobble becomes a corner.',
  'who-has-which': 'Who had more of the one and less of the other is lost: each child’s numbers no longer stand together.',
  'bend-not-believed': 'The numbers do not show a bend that could be told from wobble; a curve pretends one.',
}

/** What another graph would lose or pretend; empty for one that loses nothing. */
export function graphLoss(loss: GraphLoss | undefined): string {
  return loss === undefined ? '' : LOSS_WORDS[loss]
}

/** A picture as small as a stamp, for whoever listens: `smallBarsWords([{ letter: 'A', share: 0.4 }, { letter: 'B', share: 1 }]) // 'Averages, the highest first: B, A'` */
export function smallBarsWords(bars: SmallBar[]): string {
  const inOrder = [...bars].sort((a, b) => b.share - a.share)
  return `Averages, the highest first: ${inOrder.map(({ letter }) => letter).join(', ')}`
}

/** What stands along the two axes. `{ up: 'how high water climbs in 60 s (mm)', across: … }` */
export function axisTitles(plan: Plan, kind?: GraphKind): { up: string; across: string } {
  // Over the moments of a trial stand the readings themselves.
  const asRead = kind === 'lines' || kind === 'pairs'
  const read = [testOf(plan).measure?.name ?? '', countedPlace(plan) === 'apart' ? countedPlaceWords(plan) : '']
    .filter(Boolean)
    .join(': ')
  const name = asRead ? read : resultName(plan)
  const up = unitOf(asRead ? testOf(plan).unit : resultUnit(plan)).symbol
  const across = unitOf(plan.conditionUnit).symbol
  return {
    up: up === '' ? name : `${name} (${up})`,
    across: hasNamedMoments(plan)
      ? ''
      : kindOf(plan).watches
        ? `time (${plan.watch.unit === 'day' ? 'days' : 'min'})`
        : `${changedFactor(plan)?.name ?? ''}${plan.conditionsAs === 'numbers' && across !== '' ? ` (${across})` : ''}`,
  }
}

/** Which line it is. `'A windowsill, top'` */
export function lineWords({ letter, name, where }: ResultLine): string {
  return [`${letter} ${name}`, where].filter(Boolean).join(', ')
}

/** The same, short enough for the end of a line. `'A top'` */
export function lineEnd({ letter, where }: ResultLine): string {
  return [letter, where].filter(Boolean).join(' ')
}

/** The graph in words, for those who do not see it. */
export function chartWords(plan: Plan, graph: ResultsGraph): string {
  const name = GRAPH_NAMES[graph.kind]
  if (graph.lines.length > 0) {
    const lines = graph.lines.map((line) => {
      const points = line.points.map(
        ({ moment, average }) => `${whenWords(plan, moment)} ${writeFigure(plan, average, graph.unit)}`,
      )
      return `${lineWords(line)}: ${points.length === 0 ? 'no readings' : list(points)}`
    })
    return `${name}. Averages: ${lines.join('; ')}; every reading as a dot.${knownLine(plan, graph)}`
  }
  if (graph.kind === 'stages')
    return `${name}. ${graph.bands.map((band) => `${conditionWithLetter(plan, band.condition)}: ${stageWords(plan, band)}`).join('; ')}.`
  if (graph.kind === 'words') {
    const words = testOf(plan).words
    const stacks = graph.marks.map(
      ({ letter, name: condition, counts }) =>
        `${letter} ${condition}: ${list(counts.flatMap((count, place) => (count > 0 ? [`${words[place]} ${count}`] : []))) || 'no readings'}`,
    )
    return `${name}. ${stacks.join('; ')}.`
  }
  if (graph.kind === 'histogram') {
    const of = graph.heaps.map((bins, place) => {
      const name = graph.heaps.length > 1 ? `${graph.marks[place]!.letter} ${graph.marks[place]!.name}: ` : ''
      return `${name}${list(bins.filter(({ count }) => count > 0).map((bin) => `${binWords(bin)} ${bin.count}`)) || 'no readings'}`
    })
    return `${GRAPH_NAMES.histogram}, in ${unitOf(graph.unit).symbol || 'numbers'}. ${of.join('; ')}.`
  }
  if (graph.marks.every(({ average }) => average === undefined)) return `${name}: every reading as a dot, and no averages.`
  const averages = graph.marks.map(
    ({ letter, name: condition, average }) =>
      `${letter} ${condition} ${average === undefined ? 'no average' : writeFigure(plan, average, graph.unit)}`,
  )
  return `${name}. Averages: ${list(averages)}; every reading as a dot.${knownLine(plan, graph)}`
}

/** `binWords({ from: 40, to: 50, count: 3 }) // '40 to 50'` */
function binWords({ from, to }: Bin): string {
  return `${writeShort(from)} to ${writeShort(to)}`
}

/** What stands at the line of a known value, also where it lies beyond a gap in the axis. `'the usual amount: 400 mm'` */
export function knownLineWords(plan: Plan, { known, knownFar, unit }: Pick<ResultsGraph, 'known' | 'knownFar' | 'unit'>): string {
  const value = `${knownName(plan)}: ${withUnit(writeShort(known!), unit)}`
  return knownFar === undefined ? value : `${value}, far ${knownFar} the rest`
}

/** The line of a known value. */
function knownLine(plan: Plan, graph: ResultsGraph): string {
  return graph.known === undefined ? '' : ` A line stands for ${knownLineWords(plan, graph)}.`
}

/** What a condition was from when on. `'dry from 0\u202fmin, damp from 2\u202fmin, wet from 5\u202fmin'` */
export function stageWords(plan: Plan, { stages }: StageBand): string {
  const words = testOf(plan).words
  const said = stages.map(({ word, from }) => `${words[word]} from ${withUnit(writeShort(from), plan.watch.unit)}`)
  return said.length === 0 ? 'no readings' : said.join(', ')
}

/** "Count in 5s, two squares each, up to 60." */
export function scaleSentence({ from, to, step, squaresPerStep }: SquareScale, unit: UnitCode): string {
  const squares = squaresPerStep === 1 ? 'one square each' : `${NUMBER_WORDS[squaresPerStep] ?? squaresPerStep} squares each`
  const start = from === 0 ? '' : ` from ${writeShort(from)}`
  return `Count in ${writeShort(step)}s${start}, ${squares}, up to ${withUnit(writeShort(to), unit)}.`
}

const NUMBER_WORDS = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']

/** What to say to a child about a scale it proposes. */
export function scaleProblemWords(problem: ScaleProblem): string {
  switch (problem.code) {
    case 'does-not-fit':
      return `The paper ends at ${writeShort(problem.ends)}, and the highest number is ${writeShort(problem.highest)}. Count in bigger steps.`
    case 'begins-above':
      return `The lowest number is ${writeShort(problem.lowest)}: begin there or below.`
    case 'not-from-zero':
      return 'Bars stand on zero: begin at 0, or a small bar looks like nothing.'
    case 'uses-little':
      return `It uses ${Math.round(problem.share * 100)} in 100 of the paper: the graph will be small. Count in smaller steps.`
    case 'hard-to-count':
      return `Counting in ${writeShort(problem.step)}s is hard to read in between. Try ${writeShort(problem.better)}s.`
    case 'between-squares':
      return `One square then stands for ${writeNumber(problem.step / problem.squares, 2)}: hard to plot. Take other squares for a step.`
    case 'crowded':
      return `${counted(problem.labels, 'label')} are too many to write. Label every second square, or count in bigger steps.`
    default:
      return unreachable(problem)
  }
}

/** One dot of the graph, for those who point at it. `'Alder: 61 mm, set aside'` */
export function dotWords(plan: Plan, dot: { value: number; counted: boolean }, group: string, unit: ResultUnit): string {
  return `${group}: ${writeReading(plan, dot.value, unit)}${dot.counted ? '' : ', set aside'}`
}
