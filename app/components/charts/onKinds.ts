import type { EChartsOption } from 'echarts'
import type { ResultMark } from '~~/core/charts'
import { axisTitles, nameOfGroup, writeFigure } from '~~/core/wording'
import { testOf } from '~~/core/test'
import { lookOf } from '~/theme/conditions'
import {
  fill,
  knownSeries,
  namesAxis,
  readingsSeries,
  resultAxis,
  roomFor,
  valueAxis,
  wordFill,
  wordLabel,
  type Pen,
} from './surface'

const PANELS_IN_A_ROW = 4

/** The names of the conditions along the bottom, with the class's figure under each. */
function kindsAxis(pen: Pen): EChartsOption['xAxis'] {
  const { graph, plan, text, size, big, line } = pen
  const room = (big ? 1080 : 640) / Math.max(1, graph.marks.length)
  // Where many stand side by side only their letters fit; the table beside has their names.
  const crowded = room < (big ? 130 : 66)
  const figure = (average: number | undefined) => (average === undefined ? '–' : writeFigure(plan, average, graph.unit))
  const label = ({ letter, name, average }: ResultMark) => {
    if (crowded) return `{letter|${letter}}`
    return `{letter|${letter}}\u00a0${name}${plan.average === 'none' ? '' : `\n{mean|${figure(average)}}`}`
  }
  return [
    {
      type: 'category',
      data: graph.marks.map(label),
      axisLabel: {
        ...text,
        interval: 0,
        width: Math.min(big ? 240 : 120, room),
        overflow: 'truncate',
        lineHeight: size * 1.4,
        rich: { letter: { ...text, fontWeight: 'bold' }, mean: { ...text, fontWeight: 'bold' } },
      },
      axisTick: { show: false },
      axisLine: line,
    },
    { type: 'value', show: false, min: -0.5, max: graph.marks.length - 0.5 },
  ]
}

/** Conditions side by side: bars, a line from try to try, or the readings alone. */
export function onKinds(pen: Pen, averages: 'bar' | 'line' | 'none'): EChartsOption {
  const { graph, ink, big } = pen
  const known = graph.marks.filter((mark) => mark.average !== undefined)
  return {
    grid: roomFor(pen),
    xAxis: kindsAxis(pen),
    yAxis: resultAxis(pen),
    series: [
      {
        type: 'bar',
        barWidth: '62%',
        data:
          averages === 'bar'
            ? graph.marks.map((mark) => ({
                value: Math.min(mark.average ?? 0, graph.axis.to),
                itemStyle: fill(pen, lookOf(mark.place)),
              }))
            : [],
        tooltip: { show: false },
      },
      ...(averages === 'line'
        ? [
            {
              type: 'line' as const,
              xAxisIndex: 1,
              data: known.map((mark) => [mark.x, mark.average!]),
              symbol: 'diamond',
              symbolSize: big ? 24 : 14,
              lineStyle: { color: ink, width: big ? 4 : 2 },
              itemStyle: { color: pen.paper ? '#000' : lookOf(0).colour },
              tooltip: { show: false },
            },
          ]
        : []),
      ...knownSeries(pen, -0.5, graph.marks.length - 0.5).map((series) => ({ ...series, xAxisIndex: 1 })),
      ...readingsSeries(pen, graph.dots).map((series) => ({ ...series, xAxisIndex: 1 })),
    ],
  }
}

/** One line of numbers for each condition, readings on it, the class's figure as a bold mark. */
export function numberLines(pen: Pen): EChartsOption {
  const { graph, plan, big, ink } = pen
  return {
    grid: { ...roomFor(pen), top: 14, bottom: big ? 46 : 30 },
    xAxis: { ...valueAxis(pen, graph.axis, axisTitles(plan, graph.kind).up), nameLocation: 'middle', nameGap: big ? 48 : 28 },
    yAxis: [namesAxis(pen), { type: 'value', show: false, inverse: true, min: -0.5, max: graph.marks.length - 0.5 }],
    series: [
      {
        type: 'scatter',
        yAxisIndex: 1,
        data: graph.marks.flatMap(({ x, average }) => (average === undefined ? [] : [[average, x]])),
        symbol: 'rect',
        symbolSize: big ? [6, 64] : [4, 34],
        itemStyle: { color: ink },
        silent: true,
      },
      ...knownSeries(pen, -0.5, graph.marks.length - 0.5, true).map((series) => ({ ...series, yAxisIndex: 1 })),
      ...readingsSeries(pen, graph.dots, true).map((series) => ({ ...series, yAxisIndex: 1 })),
    ],
  }
}

/** So many letters stand in the bars of a graph beside each other. */
const LETTERS_ACROSS = 58

/** How often each word was chosen, stacked from the least to the most; of words without an order their shares. */
export function stackedWords(pen: Pen): EChartsOption {
  const { graph, plan, text, big } = pen
  const { words, way } = testOf(plan)
  const countOf = (counts: number[]) => counts.reduce((sum, count) => sum + count, 0)
  const most = way.ranks ? Math.max(1, ...graph.marks.map(({ counts }) => countOf(counts))) : 100
  const heightOf = (counts: number[], place: number) =>
    way.ranks ? counts[place] : (100 * (counts[place] ?? 0)) / Math.max(1, countOf(counts))
  const step = Math.max(1, Math.ceil(most / 8))
  // Beside many others a bar is too narrow for its word: the legend has it.
  const longest = Math.max(...words.map((word) => word.length))
  const named = graph.marks.length * (longest + 3) <= LETTERS_ACROSS
  return {
    legend: { textStyle: text, top: 0, itemWidth: big ? 40 : 26, itemHeight: big ? 26 : 16 },
    grid: { ...roomFor(pen), top: big ? 70 : 44 },
    xAxis: kindsAxis(pen),
    yAxis: {
      ...valueAxis(pen, { from: 0, to: way.ranks ? Math.ceil(most / step) * step : 100, step: way.ranks ? step : 20 }, ''),
      name: way.ranks ? '' : '%',
    },
    series: words.map((word, place) => ({
      type: 'bar' as const,
      name: word || `word ${place + 1}`,
      stack: 'words',
      barWidth: '58%',
      itemStyle: wordFill(pen, place, words.length),
      // Nothing has no label either.
      data: graph.marks.map(({ counts }) => heightOf(counts, place) || '-'),
      label: {
        ...wordLabel(pen),
        formatter: ({ dataIndex }: { dataIndex: number }) => `${named ? `${word} ` : ''}${graph.marks[dataIndex]!.counts[place]}`,
      },
    })),
  }
}

/** A small graph for each group, all on the same scale. */
export function panels(pen: Pen): EChartsOption {
  const { graph, plan, text, line, big, ink } = pen
  const columns = Math.min(PANELS_IN_A_ROW, graph.panels.length)
  const rows = Math.ceil(graph.panels.length / columns)
  const [wide, high] = [94 / columns, 96 / rows]
  const place = (at: number) => ({ column: at % columns, row: Math.floor(at / columns) })
  return {
    title: graph.panels.map(({ group }, at) => ({
      text: nameOfGroup(plan, group),
      left: `${5 + place(at).column * wide}%`,
      top: `${1 + place(at).row * high}%`,
      textStyle: { ...text, fontWeight: 'bold' as const },
    })),
    grid: graph.panels.map((_, at) => ({
      left: `${5 + place(at).column * wide}%`,
      top: `${1 + place(at).row * high + (big ? 12 : 11) / rows + 2}%`,
      width: `${wide - 4}%`,
      height: `${high - 24 / rows - 4}%`,
    })),
    xAxis: graph.panels.map((_, at) => ({
      type: 'value' as const,
      gridIndex: at,
      min: -0.5,
      max: graph.marks.length - 0.5,
      interval: 1,
      splitLine: { show: false },
      axisLine: line,
      axisTick: { show: false },
      axisLabel: {
        ...text,
        fontWeight: 'bold' as const,
        customValues: graph.marks.map((_mark, index) => index),
        formatter: (value: number) => graph.marks[value]?.letter ?? '',
      },
    })),
    yAxis: graph.panels.map((_, at) => ({
      ...resultAxis(pen),
      name: '',
      gridIndex: at,
      axisLabel: { ...text, fontSize: text.fontSize * 0.85, show: place(at).column === 0 },
    })),
    series: graph.panels.flatMap(({ averages, dots }, at) => [
      {
        type: 'scatter' as const,
        xAxisIndex: at,
        yAxisIndex: at,
        data: averages.map(({ x, average }) => [x, average]),
        symbol: 'rect',
        symbolSize: big ? [44, 6] : [24, 4],
        itemStyle: { color: ink },
        silent: true,
      },
      // Its name stands in the first panel only.
      ...knownSeries(pen, -0.5, graph.marks.length - 0.5).map((series) => ({
        ...series,
        ...(at > 0 ? { data: series.data.map(({ value }) => value) } : {}),
        xAxisIndex: at,
        yAxisIndex: at,
      })),
      ...readingsSeries(pen, dots).map((series) => ({ ...series, xAxisIndex: at, yAxisIndex: at })),
    ]),
  }
}
