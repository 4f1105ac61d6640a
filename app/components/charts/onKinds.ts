import type { EChartsOption } from 'echarts'
import type { ResultMark } from '~~/core/charts'
import { nameOfGroup, writeFigure } from '~~/core/wording'
import { testOf } from '~~/core/test'
import { lookOf } from '~/theme/conditions'
import {
  amountAxis,
  fill,
  knownSeries,
  inLines,
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

const roomForEach = ({ graph, by }: Pen) => by(1080, 640) / Math.max(1, graph.marks.length)
const isCrowded = (pen: Pen) => roomForEach(pen) < pen.by(130, 66)
/** So many letters of a name fit on one line under its bar. */
const lettersUnder = (pen: Pen) => Math.min(pen.by(240, 120), roomForEach(pen)) / (pen.size * 0.52) - 2
/** More lines of names would take the height of the graph, which is low on paper. */
const namesFit = (pen: Pen) =>
  pen.graph.marks.every(({ name }) => inLines(name, lettersUnder(pen)).split('\n').length <= (pen.paper || pen.big ? 2 : 3))
/** From the back of the room a letter says nothing: where names do not fit below, what stands side by side lies down there. */
const liesDown = (pen: Pen) => pen.big && (isCrowded(pen) || !namesFit(pen))

const figureOf = ({ graph, plan }: Pen, average: number | undefined) =>
  average === undefined ? '–' : writeFigure(plan, average, graph.unit)

/** The names of the conditions along the bottom, with the class's figure under each. */
function kindsAxis(pen: Pen): EChartsOption['xAxis'] {
  const { graph, plan, text, size, by, line } = pen
  const room = roomForEach(pen)
  // Where many stand side by side only their letters fit; the table beside has their names.
  const crowded = isCrowded(pen)
  const named = namesFit(pen)
  const label = ({ letter, name, average }: ResultMark) => {
    if (crowded) return `{letter|${letter}}`
    const mean = plan.average === 'none' ? '' : `\n{mean|${figureOf(pen, average)}}`
    return `{letter|${letter}}${named ? `\u00a0${inLines(name, lettersUnder(pen))}` : ''}${mean}`
  }
  return [
    {
      type: 'category',
      data: graph.marks.map(label),
      axisLabel: {
        ...text,
        interval: 0,
        width: Math.min(by(240, 120), room),
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
  if (liesDown(pen)) return numberLines(pen, averages === 'bar')
  const { graph, ink, by } = pen
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
              symbolSize: by(24, 14),
              lineStyle: { color: ink, width: by(4, 2) },
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
export function numberLines(pen: Pen, withBars = false): EChartsOption {
  const { graph, plan, by, ink } = pen
  const withFigures = pen.big && plan.average !== 'none'
  return {
    grid: { ...roomFor(pen), top: graph.knownFar ? by(44, 26) : 14, bottom: by(46, 30) },
    xAxis: { ...amountAxis(pen), nameLocation: 'middle', nameGap: by(48, 28) },
    yAxis: [
      namesAxis(pen),
      { type: 'value', show: false, inverse: true, min: -0.5, max: graph.marks.length - 0.5 },
      ...(withFigures ? [figuresAxis(pen)] : []),
    ],
    series: [
      {
        type: 'bar',
        barWidth: '62%',
        silent: true,
        data: withBars
          ? graph.marks.map((mark) => ({
              value: Math.min(mark.average ?? 0, graph.axis.to),
              itemStyle: fill(pen, lookOf(mark.place)),
            }))
          : [],
      },
      // An axis is drawn only where something stands on it.
      { type: 'scatter', yAxisIndex: withFigures ? 2 : 0, data: [] },
      {
        type: 'scatter',
        yAxisIndex: 1,
        data: graph.marks.flatMap(({ x, average }) => (average === undefined ? [] : [[average, x]])),
        symbol: 'rect',
        symbolSize: [by(6, 4), Math.min(by(64, 34), by(420, 250) / graph.marks.length)],
        itemStyle: { color: ink },
        silent: true,
      },
      ...knownSeries(pen, -0.5, graph.marks.length - 0.5, true).map((series) => ({ ...series, yAxisIndex: 1 })),
      ...readingsSeries(pen, graph.dots, true).map((series) => ({ ...series, yAxisIndex: 1 })),
    ],
  }
}

/** The class's figures down the other side. */
function figuresAxis(pen: Pen) {
  const { graph, text } = pen
  return {
    type: 'category' as const,
    inverse: true,
    position: 'right' as const,
    data: graph.marks.map(({ average }, place) => `${place}|${figureOf(pen, average)}`),
    axisLabel: { ...text, fontWeight: 'bold' as const, formatter: (label: string) => label.split('|')[1]! },
    axisTick: { show: false },
    axisLine: { show: false },
  }
}

/** So many letters stand in the bars of a graph beside each other. */
const LETTERS_ACROSS = 58

/** How often each word was chosen, stacked from the least to the most; of words without an order their shares. */
export function stackedWords(pen: Pen): EChartsOption {
  const { graph, plan, text, by } = pen
  const { words, way } = testOf(plan)
  const countOf = (counts: number[]) => counts.reduce((sum, count) => sum + count, 0)
  const most = way.ranks ? Math.max(1, ...graph.marks.map(({ counts }) => countOf(counts))) : 100
  const heightOf = (counts: number[], place: number) =>
    way.ranks ? counts[place] : (100 * (counts[place] ?? 0)) / Math.max(1, countOf(counts))
  const step = Math.max(1, Math.ceil(most / 8))
  // Beside many others a bar is too narrow for its word: the legend has it.
  const longest = Math.max(...words.map((word) => word.length))
  const lying = liesDown(pen)
  const named = !lying && graph.marks.length * (longest + 3) <= LETTERS_ACROSS
  const shares = {
    ...valueAxis(pen, { from: 0, to: way.ranks ? Math.ceil(most / step) * step : 100, step: way.ranks ? step : 20 }, ''),
    ...(way.ranks ? {} : { axisLabel: { ...text, formatter: '{value}\u202f%' } }),
  }
  return {
    legend: { textStyle: text, top: 0, itemWidth: by(40, 26), itemHeight: by(26, 16) },
    grid: { ...roomFor(pen), top: by(70, 44) },
    ...(lying ? { xAxis: shares, yAxis: namesAxis(pen) } : { xAxis: kindsAxis(pen), yAxis: shares }),
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
  const { graph, plan, text, line, by, ink } = pen
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
      top: `${1 + place(at).row * high + by(12, 11) / rows + 2}%`,
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
        symbolSize: [by(44, 24), by(6, 4)],
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
