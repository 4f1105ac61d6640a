import type { EChartsOption } from 'echarts'
import type { ResultMark, ResultsGraph } from '~~/core/charts'
import { measuredCard, type Plan } from '~~/core/lesson'
import { axisTitles, lineEnd, lineWords, nameOfGroup, writeFigure } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'
import {
  fill,
  knownSeries,
  penFor,
  readingsSeries,
  resultAxis,
  roomFor,
  valueAxis,
  wordFill,
  type Pen,
  type Surface,
} from './surface'

// Lines are told apart by their letter, their symbol and their dashes, not by colour alone.
const SYMBOLS = ['circle', 'triangle', 'rect', 'diamond', 'roundRect', 'pin']
const DASHES = ['solid', 'dashed', 'dotted'] as const
const PANELS_IN_A_ROW = 4

/** The drawing instructions for a results graph; what is on it and in which steps was decided in core/charts. */
export function chartOption(plan: Plan, graph: ResultsGraph, surface: Surface): EChartsOption {
  const pen = penFor(plan, graph, surface)
  return {
    animation: false,
    aria: { enabled: false },
    tooltip: { trigger: 'item' as const, textStyle: { fontFamily: 'Andika' } },
    textStyle: pen.text,
    ...drawing(pen),
  }
}

function drawing(pen: Pen): EChartsOption {
  switch (pen.graph.kind) {
    case 'lines':
    case 'pairs':
      return overMoments(pen)
    case 'points':
    case 'curve':
      return pen.graph.across ? onNumbers(pen) : onKinds(pen, 'line')
    case 'number-line':
      return numberLines(pen)
    case 'words':
      return stackedWords(pen)
    case 'stages':
      return wordBands(pen)
    case 'by-group':
      return panels(pen)
    case 'tries':
      return onKinds(pen, 'line')
    case 'places':
      return onKinds(pen, 'none')
    case 'bars':
      return onKinds(pen, 'bar')
  }
}

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
function onKinds(pen: Pen, averages: 'bar' | 'line' | 'none'): EChartsOption {
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

/** Points where their numbers are, joined from average to average or by the fitted bend. */
function onNumbers(pen: Pen): EChartsOption {
  const { graph, plan, ink, big } = pen
  const known = graph.marks.filter((mark) => mark.average !== undefined).sort((a, b) => a.x - b.x)
  const curved = graph.curve.length > 0
  return {
    grid: { ...roomFor(pen), bottom: big ? 46 : 30 },
    xAxis: { ...valueAxis(pen, graph.across!, axisTitles(plan).across), nameLocation: 'middle', nameGap: big ? 48 : 28 },
    yAxis: resultAxis(pen),
    series: [
      {
        type: 'line',
        data: curved ? graph.curve : [],
        symbol: 'none',
        silent: true,
        lineStyle: { color: ink, width: big ? 4 : 2 },
      },
      {
        type: 'line',
        data: known.map((mark) => [mark.x, mark.average!]),
        symbol: 'diamond',
        symbolSize: big ? 22 : 13,
        lineStyle: { color: ink, width: curved ? 0 : 2 },
        itemStyle: { color: pen.paper ? '#000' : lookOf(0).colour },
        tooltip: { show: false },
      },
      ...knownSeries(pen, graph.across!.from, graph.across!.to),
      ...readingsSeries(pen, graph.dots),
    ],
  }
}

/** One line of numbers for each condition, readings on it, the class's figure as a bold mark. */
function numberLines(pen: Pen): EChartsOption {
  const { graph, plan, text, ink, big, line } = pen
  return {
    grid: { ...roomFor(pen), top: 14, bottom: big ? 46 : 30 },
    xAxis: { ...valueAxis(pen, graph.axis, axisTitles(plan, graph.kind).up), nameLocation: 'middle', nameGap: big ? 48 : 28 },
    yAxis: [
      {
        type: 'category',
        inverse: true,
        data: graph.marks.map(({ letter, name }) => `{letter|${letter}}\u00a0${name}`),
        axisLabel: { ...text, width: big ? 260 : 150, overflow: 'truncate', rich: { letter: { ...text, fontWeight: 'bold' } } },
        axisTick: { show: false },
        axisLine: line,
      },
      { type: 'value', show: false, inverse: true, min: -0.5, max: graph.marks.length - 0.5 },
    ],
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

/** How often each word was chosen, stacked from the least to the most. */
function stackedWords(pen: Pen): EChartsOption {
  const { graph, plan, text, ink, big } = pen
  const words = measuredCard(plan)!.method.words
  const most = Math.max(1, ...graph.marks.map(({ counts }) => counts.reduce((sum, count) => sum + count, 0)))
  const step = Math.max(1, Math.ceil(most / 8))
  return {
    legend: { textStyle: text, top: 0, itemWidth: big ? 40 : 26, itemHeight: big ? 26 : 16 },
    grid: { ...roomFor(pen), top: big ? 70 : 44 },
    xAxis: kindsAxis(pen),
    yAxis: { ...valueAxis(pen, { from: 0, to: Math.ceil(most / step) * step, step }, ''), name: '' },
    series: words.map((word, place) => ({
      type: 'bar' as const,
      name: word || `word ${place + 1}`,
      stack: 'words',
      barWidth: '58%',
      itemStyle: wordFill(pen, place, words.length),
      // Nothing has no label either.
      data: graph.marks.map(({ counts }) => counts[place] || '-'),
      label: {
        show: true,
        ...text,
        color: pen.dark ? '#fff' : '#000',
        backgroundColor: pen.dark ? '#14201f' : '#fff',
        borderColor: ink,
        borderWidth: 1,
        borderRadius: 3,
        padding: [2, 6],
        formatter: ({ value }: { value?: unknown }) => `${word} ${String(value)}`,
      },
    })),
  }
}

/** Which word each condition was in the middle of its trials, as a band from one time to the next. */
function wordBands(pen: Pen): EChartsOption {
  const { graph, plan, text, ink, big, line } = pen
  const words = measuredCard(plan)!.method.words
  const most = Math.max(0, ...graph.bands.map(({ stages }) => stages.length))
  return {
    grid: { ...roomFor(pen), top: big ? 20 : 10, bottom: big ? 56 : 34 },
    xAxis: { ...valueAxis(pen, graph.axis, axisTitles(plan).across), nameLocation: 'middle', nameGap: big ? 48 : 28 },
    yAxis: {
      type: 'category',
      inverse: true,
      data: graph.marks.map(({ letter, name }) => `{letter|${letter}}\u00a0${name}`),
      axisLabel: { ...text, width: big ? 260 : 150, overflow: 'truncate', rich: { letter: { ...text, fontWeight: 'bold' } } },
      axisTick: { show: false },
      axisLine: line,
    },
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
        show: true,
        ...text,
        color: pen.dark ? '#fff' : '#000',
        backgroundColor: pen.dark ? '#14201f' : '#fff',
        borderColor: ink,
        borderWidth: 1,
        borderRadius: 3,
        padding: [2, 6],
        formatter: ({ name }: { name?: string }) => name ?? '',
      },
    })),
  }
}

/** A small graph for each group, all on the same scale. */
function panels(pen: Pen): EChartsOption {
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
      ...readingsSeries(pen, dots).map((series) => ({ ...series, xAxisIndex: at, yAxisIndex: at })),
    ]),
  }
}

/** Lines over the moments of a trial. */
function overMoments(pen: Pen): EChartsOption {
  const { graph, plan, text, ink, big, paper, line } = pen
  const names = graph.kind === 'pairs' ? ['before', 'after'] : []
  return {
    legend: graph.lines.length > 1 ? { textStyle: text, bottom: 0, left: 'center', itemGap: big ? 26 : 14 } : undefined,
    grid: { ...roomFor(pen), bottom: (big ? 46 : 30) + legendRoom(pen), right: (big ? 60 : 40) + longestEnd(pen) },
    xAxis: graph.across
      ? { ...valueAxis(pen, graph.across, axisTitles(plan).across), nameLocation: 'middle', nameGap: big ? 48 : 28 }
      : {
          type: 'value',
          min: -0.3,
          max: 1.3,
          interval: 1,
          splitLine: { show: false },
          axisLine: line,
          axisTick: { show: false },
          axisLabel: { ...text, customValues: [0, 1], formatter: (value: number) => names[value] ?? '' },
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
          data: one.points.map((point) => [point.x, point.average]),
          symbol: SYMBOLS[one.dash % SYMBOLS.length]!,
          symbolSize: big ? 20 : 12,
          lineStyle: { color: paper ? '#000' : look.colour, width: big ? 5 : 3, type: DASHES[one.dash % DASHES.length]! },
          itemStyle: { color: paper ? '#000' : look.colour },
          labelLayout: { moveOverlap: 'shiftY' as const },
          endLabel: { show: true, formatter: lineEnd(one), ...text, fontWeight: 'bold' as const },
        }
      }),
      ...(graph.across ? knownSeries(pen, graph.across.from, graph.across.to) : []),
      ...readingsSeries(pen, graph.dots),
    ],
  }
}

/** Room for the legend under the graph, by how much its names take. */
function legendRoom({ graph, size, big }: Pen): number {
  if (graph.lines.length < 2) return 0
  const letters = graph.lines.reduce((sum, line) => sum + lineWords(line).length + 6, 0)
  return Math.ceil(letters / (big ? 80 : 95)) * size * 1.6 + 6
}

/** Room for the words at the end of a line. */
function longestEnd({ graph, size }: Pen): number {
  return Math.max(0, ...graph.lines.map((line) => lineEnd(line).length - 1)) * size * 0.6
}
