import type { EChartsOption } from 'echarts'
import type { GapDrawing } from '~~/core/charts'
import { letterOf, type Plan } from '~~/core/lesson'
import { gapWords, nameOfCondition } from '~~/core/wording'
import type { Evidence } from '~~/core/evidence'
import { jollyTheme } from '~/theme/colours'
import { styleFor, valueAxis } from './surface'

const { primary: GREEN, mark: RULE, surface: WHITE, secondary: BRASS, 'secondary-light': PALE_BRASS } = jollyTheme.colors
const STYLE = styleFor({ big: false, dark: false, paper: false })
const { ink: INK, text } = STYLE
/** Dots of one row lie a little above and below each other, so that like ones are seen. */
const JITTER = [-0.12, -0.06, 0, 0.06, 0.12]
const HALF_ROW = 0.16

/** The drawing instructions for two averages, the gap between them and one wobble about each. */
export function gapOption(plan: Plan, evidence: Evidence, drawing: GapDrawing): EChartsOption {
  const { axis, rows, wobble } = drawing
  const [from, to] = rows.map(({ average }) => average) as [number, number]
  return {
    animation: false,
    aria: { enabled: false },
    textStyle: text,
    grid: { left: 12, right: 24, top: 12, bottom: 8, containLabel: true },
    xAxis: { ...valueAxis(STYLE, axis, ''), splitLine: { show: false } },
    yAxis: {
      type: 'value',
      min: -0.4,
      max: 1.4,
      inverse: true,
      axisLine: { show: false },
      axisTick: { show: false },
      splitLine: { show: false },
      axisLabel: {
        ...text,
        fontWeight: 'bold',
        customValues: [0, 1],
        formatter: (place: number) => {
          const condition = rows[place]!.condition
          return `${letterOf(plan, condition)} ${nameOfCondition(plan, condition)}`
        },
      },
    },
    series: [
      ...rows.map((_, place) => ({
        type: 'line' as const,
        silent: true,
        symbol: 'none',
        lineStyle: { color: RULE, width: 1 },
        data: [
          [axis.from, place],
          [axis.to, place],
        ],
      })),
      {
        type: 'custom',
        silent: true,
        data: rows.map(({ average }, place) => [average - wobble, average + wobble, place]),
        renderItem: (_, api) => {
          const place = Number(api.value(2))
          const [left, top] = api.coord([api.value(0), place - HALF_ROW]) as [number, number]
          const [right, bottom] = api.coord([api.value(1), place + HALF_ROW]) as [number, number]
          return {
            type: 'rect',
            shape: { x: left, y: top, width: right - left, height: bottom - top, r: 4 },
            style: { fill: PALE_BRASS, stroke: BRASS, lineWidth: 1 },
          }
        },
      },
      {
        type: 'scatter',
        silent: true,
        symbolSize: 9,
        itemStyle: { color: WHITE, borderColor: INK, borderWidth: 1.4 },
        data: rows.flatMap(({ values }, place) => values.map((value, dot) => [value, place + JITTER[dot % JITTER.length]!])),
      },
      {
        type: 'scatter',
        silent: true,
        symbol: 'rect',
        symbolSize: [4, 38],
        itemStyle: { color: GREEN, opacity: 1 },
        data: rows.map(({ average }, place) => [average, place]),
        z: 6,
      },
      {
        type: 'line',
        silent: true,
        symbol: 'none',
        lineStyle: { color: GREEN, width: 2 },
        data: [
          [from, 0.3],
          [from, 0.5],
          [to, 0.5],
          [to, 0.7],
        ],
      },
      {
        type: 'scatter',
        silent: true,
        symbolSize: 0,
        itemStyle: { opacity: 1 },
        data: [[(from + to) / 2, 0.5]],
        label: {
          show: true,
          position: 'top',
          formatter: evidence.spread ? gapWords(plan, evidence.spread) : '',
          ...text,
          color: GREEN,
          fontWeight: 'bold',
          textBorderColor: WHITE,
          textBorderWidth: 4,
        },
        z: 7,
      },
    ],
  }
}
