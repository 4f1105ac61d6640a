import type { EChartsOption } from 'echarts'
import type { Axis, ResultsGraph } from '~~/core/charts'
import type { Plan } from '~~/core/lesson'
import { axisTitles, nameOfGroup, writeAverage, writeReading } from '~~/core/wording'
import { lookOf, type ConditionLook } from '~/theme/conditions'

interface Surface {
  big: boolean
  dark: boolean
  paper: boolean
}

const DECALS: Record<ConditionLook['hatch'], object> = {
  plain: { symbol: 'none' },
  rising: { dashArrayX: [1, 0], dashArrayY: [2, 6], rotation: -Math.PI / 4 },
  level: { dashArrayX: [1, 0], dashArrayY: [2, 6] },
  dots: {
    symbol: 'circle',
    dashArrayX: [
      [6, 6],
      [0, 6, 6, 0],
    ],
    dashArrayY: [6, 0],
    symbolSize: 0.6,
  },
  falling: { dashArrayX: [1, 0], dashArrayY: [2, 6], rotation: Math.PI / 4 },
  upright: { dashArrayX: [1, 0], dashArrayY: [2, 6], rotation: Math.PI / 2 },
  cross: {
    dashArrayX: [
      [2, 6],
      [6, 2],
    ],
    dashArrayY: [3, 3],
  },
  checks: {
    symbol: 'rect',
    dashArrayX: [
      [8, 8],
      [0, 8, 8, 0],
    ],
    dashArrayY: [8, 0],
  },
}

// Lines are told apart by their letter, their symbol and their dashes, not by colour alone.
const SYMBOLS = ['circle', 'triangle', 'rect', 'diamond', 'roundRect', 'pin']
const DASHES = ['solid', 'dashed', 'dotted'] as const

/** The drawing instructions for a results graph; what is on it and in which steps was decided in core/charts. */
export function chartOption(plan: Plan, graph: ResultsGraph, surface: Surface): EChartsOption {
  const ink = surface.dark ? '#f5f1e6' : surface.paper ? '#000' : '#1e2b2f'
  const size = surface.big ? 26 : 14
  const text = { color: ink, fontFamily: 'Andika', fontSize: size }
  const line = { lineStyle: { color: ink, width: 1.5 } }
  const titles = axisTitles(plan)
  const valueAxis = (axis: Axis, name: string) => ({
    type: 'value' as const,
    min: axis.from,
    max: axis.to,
    interval: axis.step,
    name,
    nameTextStyle: text,
    axisLabel: text,
    axisLine: { show: true, onZero: false, ...line },
    splitLine: { lineStyle: { color: surface.dark ? '#3b4c4a' : '#ddd6c8' } },
  })
  const upAxis = {
    ...valueAxis(graph.axis, titles.up),
    nameTextStyle: { ...text, align: 'left' as const },
    // The first place stands on top; words and places have no values between them.
    ...(graph.unit === 'place' ? { inverse: true, nameLocation: 'start' as const } : {}),
    ...(graph.kind === 'dots'
      ? {
          min: 0.5,
          max: graph.axis.to + 0.5,
          interval: 1,
          axisLabel: {
            ...text,
            customValues: wholesUpTo(graph.axis.to),
            formatter: (value: number) => writeReading(plan, value, graph.unit),
          },
        }
      : {}),
  }
  const dots = graph.dots.map((dot) => ({
    value: [dot.x, dot.value],
    reading: dot,
    symbol: dot.counted ? 'circle' : 'path://M-1-1L1 1M-1 1L1-1',
  }))
  const readings = {
    type: 'scatter' as const,
    data: dots.map((dot) => ({
      ...dot,
      itemStyle: {
        color: dot.reading.counted ? (surface.dark ? '#14201f' : '#fff') : 'transparent',
        borderColor: ink,
        borderWidth: surface.big ? 2.5 : 1.5,
      },
    })),
    symbolSize: surface.big ? 14 : 8,
    z: 5,
    tooltip: {
      formatter: (at: unknown) => {
        const { reading } = (at as { data: (typeof dots)[number] }).data
        return `${nameOfGroup(plan, reading.group)}: ${writeReading(plan, reading.value, graph.unit)}${reading.counted ? '' : ', set aside'}`
      },
    },
  }
  const base = {
    animation: false,
    aria: { enabled: false },
    tooltip: { trigger: 'item' as const, textStyle: { fontFamily: 'Andika' } },
    textStyle: text,
  }
  const roomLeft = {
    left: surface.big ? 24 : 12,
    right: surface.big ? 30 : 18,
    top: surface.big ? 56 : 34,
    bottom: 8,
    containLabel: true,
  }

  if (graph.kind === 'lines' || graph.kind === 'pairs') {
    const names = graph.kind === 'pairs' ? ['before', 'after'] : []
    return {
      ...base,
      legend: graph.lines.length > 1 ? { textStyle: text, top: 0, right: 10 } : undefined,
      grid: { ...roomLeft, bottom: surface.big ? 46 : 30, right: surface.big ? 60 : 40 },
      xAxis: graph.across
        ? { ...valueAxis(graph.across, titles.across), nameLocation: 'middle', nameGap: surface.big ? 48 : 28 }
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
      yAxis: upAxis,
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
            name: `${one.letter} ${one.name}`,
            data: one.points.map((point) => [point.x, point.average]),
            symbol: SYMBOLS[one.place % SYMBOLS.length]!,
            symbolSize: surface.big ? 20 : 12,
            lineStyle: {
              color: surface.paper ? '#000' : look.colour,
              width: surface.big ? 5 : 3,
              type: DASHES[one.place % DASHES.length]!,
            },
            itemStyle: { color: surface.paper ? '#000' : look.colour },
            endLabel: { show: true, formatter: one.letter, ...text, fontWeight: 'bold' as const },
          }
        }),
        readings,
      ],
    }
  }
  if (graph.kind === 'points') {
    const means = graph.marks.filter((mark) => mark.mean !== undefined).sort((a, b) => a.x - b.x)
    return {
      ...base,
      grid: { ...roomLeft, bottom: surface.big ? 46 : 30 },
      xAxis: { ...valueAxis(graph.across!, titles.across), nameLocation: 'middle', nameGap: surface.big ? 48 : 28 },
      yAxis: upAxis,
      series: [
        {
          type: 'line',
          data: means.map((mark) => [mark.x, mark.mean!]),
          symbol: 'diamond',
          symbolSize: surface.big ? 22 : 13,
          lineStyle: { color: ink, width: 2 },
          itemStyle: { color: lookOf(0).colour },
        },
        readings,
      ],
    }
  }
  return {
    ...base,
    grid: roomLeft,
    xAxis: [
      {
        type: 'category',
        data: graph.marks.map(
          (mark) =>
            `{letter|${mark.letter}} ${mark.name}\n{mean|${mark.mean === undefined ? '–' : writeAverage(plan, mark.mean, graph.unit)}}`,
        ),
        axisLabel: {
          ...text,
          interval: 0,
          width: surface.big ? 240 : 120,
          overflow: 'truncate',
          lineHeight: size * 1.4,
          rich: { letter: { ...text, fontWeight: 'bold' }, mean: { ...text, fontWeight: 'bold' } },
        },
        axisTick: { show: false },
        axisLine: line,
      },
      { type: 'value', show: false, min: -0.5, max: graph.marks.length - 0.5 },
    ],
    yAxis: upAxis,
    series: [
      {
        type: 'bar',
        barWidth: '62%',
        data: (graph.kind === 'dots' ? [] : graph.marks).map((mark) => {
          const look = lookOf(mark.place)
          return {
            value: mark.mean ?? 0,
            itemStyle: {
              color: surface.paper ? '#fff' : surface.dark ? look.colour : `${look.colour}44`,
              borderColor: ink,
              borderWidth: 1.5,
              decal: {
                symbol: 'rect',
                symbolSize: 1,
                color: surface.dark ? 'rgba(255,255,255,0.45)' : surface.paper ? '#000' : look.colour,
                ...DECALS[look.hatch],
              } as object,
            },
          }
        }),
        tooltip: { show: false },
      },
      { ...readings, xAxisIndex: 1 },
    ],
  }
}

function wholesUpTo(most: number): number[] {
  return Array.from({ length: Math.floor(most) }, (_, place) => place + 1)
}
