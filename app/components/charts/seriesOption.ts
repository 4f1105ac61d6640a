import type { EChartsOption } from 'echarts'
import { format } from 'echarts/core'
import type { ResultDot, SeriesGraph, SeriesLine } from '~~/core/charts'
import type { Plan } from '~~/core/lesson'
import { axisTitles, dotWords, nameOfGroup } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'
import { DASHES, SYMBOLS } from './overTime'
import { fill, roomFor, styleFor, valueAxis, type Style, type Surface } from './surface'

/** Series on one graph: a line for each over numbers, a bar for each over kinds. Told apart by symbol, dashes and hatch. */
export function seriesOption(plan: Plan, graph: SeriesGraph, surface: Surface): EChartsOption {
  const style = styleFor(surface)
  const { text, by } = style
  const titles = axisTitles(plan)
  return {
    animation: false,
    aria: { enabled: false },
    tooltip: { trigger: 'item' as const, textStyle: { fontFamily: 'Andika' } },
    textStyle: text,
    legend: { textStyle: text, bottom: 0, left: 'center', itemGap: by(26, 14), data: graph.lines.map(({ name }) => name) },
    grid: { ...roomFor(style), bottom: by(110, 40 + 22 * legendRows(graph)) },
    xAxis: graph.across
      ? { ...valueAxis(style, graph.across, titles.across), nameLocation: 'middle', nameGap: by(48, 28) }
      : [
          {
            type: 'category',
            data: graph.levels,
            axisLabel: { ...text, interval: 0 },
            axisTick: { show: false },
            axisLine: style.line,
          },
          { type: 'value', show: false, min: -0.5, max: graph.levels.length - 0.5 },
        ],
    yAxis: { ...valueAxis(style, graph.axis, titles.up), nameTextStyle: { ...text, align: 'left' as const } },
    series: [
      ...graph.lines.map((line) => (graph.across ? lineOf(style, line) : barsOf(style, graph, line))),
      dotsOf(plan, style, graph),
    ],
  }
}

/** Beside another graph there is room for so many letters in a row of the legend. */
const LETTERS_IN_A_ROW = 45
const legendRows = ({ lines }: SeriesGraph) =>
  Math.ceil(lines.reduce((sum, { name }) => sum + name.length + 4, 0) / LETTERS_IN_A_ROW)

function lineOf({ by, paper }: Style, { name, place, points }: SeriesLine) {
  const look = lookOf(place)
  return {
    type: 'line' as const,
    name,
    data: points.flatMap(({ x, average }) => (average === undefined ? [] : [[x, average]])).sort((a, b) => a[0]! - b[0]!),
    symbol: SYMBOLS[place % SYMBOLS.length]!,
    symbolSize: by(22, 13),
    lineStyle: { color: paper ? '#000' : look.colour, width: by(5, 3), type: DASHES[place % DASHES.length]! },
    itemStyle: { color: paper ? '#000' : look.colour },
  }
}

function barsOf(style: Style, { levels }: SeriesGraph, { name, place, points }: SeriesLine) {
  return {
    type: 'bar' as const,
    name,
    barCategoryGap: '20%',
    barGap: '0%',
    data: levels.map((level) => points.find((one) => one.level === level)?.average ?? '-'),
    itemStyle: fill(style, lookOf(place)),
    tooltip: { show: false },
  }
}

function dotsOf(plan: Plan, { ink, dark, by }: Style, { dots, unit, across }: SeriesGraph) {
  return {
    type: 'scatter' as const,
    xAxisIndex: across ? 0 : 1,
    data: dots.map((dot) => ({ value: [dot.x, dot.value], reading: dot })),
    symbolSize: by(12, 7),
    itemStyle: { color: dark ? '#14201f' : '#fff', borderColor: ink, borderWidth: by(2, 1.2) },
    z: 5,
    tooltip: {
      formatter: (at: unknown) => {
        const { reading } = (at as { data: { reading: ResultDot } }).data
        return format.encodeHTML(dotWords(plan, reading, nameOfGroup(plan, reading.group), unit))
      },
    },
  }
}
