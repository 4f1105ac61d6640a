import type { EChartsOption } from 'echarts'
import type { ResultLine } from '~~/core/charts'
import { hasNamedMoments, momentsOf, testOf } from '~~/core/test'
import { axisTitles, lineEnd, lineWords } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'
import { knownSeries, namesAxis, readingsSeries, resultAxis, roomFor, valueAxis, wordFill, wordLabel, type Pen } from './surface'

// Lines are told apart by their letter, their symbol and their dashes, not by colour alone.
export const SYMBOLS = ['circle', 'triangle', 'rect', 'diamond', 'roundRect', 'pin']
export const DASHES = ['solid', 'dashed', 'dotted'] as const

/** Which word each condition was in the middle of its trials, as a band from one time to the next. */
export function wordBands(pen: Pen): EChartsOption {
  const { graph, plan, by } = pen
  const words = testOf(plan).words
  const most = Math.max(0, ...graph.bands.map(({ stages }) => stages.length))
  return {
    grid: { ...roomFor(pen), top: by(20, 10), bottom: by(56, 34) },
    xAxis: { ...valueAxis(pen, graph.axis, axisTitles(plan).across), nameLocation: 'middle', nameGap: by(48, 28) },
    yAxis: namesAxis(pen),
    series: Array.from({ length: most }, (_, place) => ({
      type: 'bar' as const,
      stack: 'time',
      barWidth: '62%',
      silent: true,
      data: graph.marks.map(({ condition }) => {
        const stage = graph.bands.find((band) => band.condition === condition)?.stages[place]
        if (!stage) return '-'
        return { value: stage.to - stage.from, name: words[stage.word] ?? '', itemStyle: wordFill(pen, stage.word, words.length) }
      }),
      label: {
        ...wordLabel(pen),
        formatter: ({ name }: { name?: string }) => name ?? '',
      },
    })),
  }
}

/** Lines over the moments of a trial. */
export function overMoments(pen: Pen): EChartsOption {
  const { graph, plan, text, ink, by, paper, line } = pen
  const moments = hasNamedMoments(plan) ? momentsOf(plan) : []
  const names = graph.kind === 'pairs' ? ['before', 'after'] : moments.map(({ name }) => name ?? '')
  return {
    legend:
      graph.lines.length > 1 && !namedAtEnds(pen) ? { textStyle: text, bottom: 0, left: 'center', itemGap: by(26, 14) } : undefined,
    grid: { ...roomFor(pen), bottom: by(46, 30) + legendRoom(pen), right: by(60, 40) + longestEnd(pen) },
    xAxis: graph.across
      ? { ...valueAxis(pen, graph.across, axisTitles(plan).across), nameLocation: 'middle', nameGap: by(48, 28) }
      : {
          type: 'value',
          min: -0.3,
          max: Math.max(1, names.length - 1) + 0.3,
          interval: 1,
          splitLine: { show: false },
          axisLine: line,
          axisTick: { show: false },
          axisLabel: { ...text, customValues: names.map((_, place) => place), formatter: (value: number) => names[value] ?? '' },
        },
    yAxis: resultAxis(pen),
    series: [
      ...graph.pairs.map(([before, after]) => ({
        type: 'line' as const,
        data: [
          [0, before],
          [1, after],
        ],
        symbol: 'none',
        silent: true,
        lineStyle: { color: ink, width: 1, opacity: 0.45 },
      })),
      ...graph.lines.map((one) => {
        const look = lookOf(one.place)
        return {
          type: 'line' as const,
          name: lineWords(one),
          // Where nobody read, the line has a gap.
          data:
            moments.length > 0
              ? moments.map(({ id, time }) => [time!, one.points.find((point) => point.moment === id)?.average ?? '-'])
              : one.points.map((point) => [point.x, point.average]),
          symbol: SYMBOLS[one.dash % SYMBOLS.length]!,
          symbolSize: by(20, 12),
          lineStyle: { color: paper ? '#000' : look.colour, width: by(5, 3), type: DASHES[one.dash % DASHES.length]! },
          itemStyle: { color: paper ? '#000' : look.colour },
          labelLayout: { moveOverlap: 'shiftY' as const },
          endLabel: { show: true, distance: by(16, 6), formatter: endOf(pen, one), ...text, fontWeight: 'bold' as const },
        }
      }),
      ...(graph.across ? knownSeries(pen, graph.across.from, graph.across.to) : []),
      ...readingsSeries(pen, graph.dots),
    ],
  }
}

/** Room for the legend under the graph, by how much its names take. */
function legendRoom(pen: Pen): number {
  const { graph, size, big } = pen
  if (!hasLegend(pen)) return 0
  const letters = graph.lines.reduce((sum, line) => sum + lineWords(line).length + 6, 0)
  return Math.ceil(letters / (big ? 80 : 95)) * size * 1.6 + 6
}

/** From this many on, a legend takes the height of the graph: on the board the names stand where the lines end. */
const MANY_LINES = 4

function namedAtEnds({ graph, big }: Pen): boolean {
  return big && graph.lines.length > MANY_LINES
}

/** On paper their letters stand at the ends, and what the letters mean above the graph. */
function hasLegend(pen: Pen): boolean {
  const { graph, big, paper } = pen
  return graph.lines.length > 1 && !((big || paper) && graph.lines.length > MANY_LINES)
}

const endOf = (pen: Pen, line: ResultLine) => (namedAtEnds(pen) ? lineWords(line) : lineEnd(line))

/** Room for the words at the end of a line. */
function longestEnd(pen: Pen): number {
  return Math.max(0, ...pen.graph.lines.map((line) => endOf(pen, line).length - 1)) * pen.size * (namedAtEnds(pen) ? 0.52 : 0.6)
}
