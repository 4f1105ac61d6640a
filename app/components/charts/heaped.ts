import type { EChartsOption } from 'echarts'
import { axisTitles } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'
import { fill, roomFor, valueAxis, type Pen } from './surface'

/** How often each size came: bars that touch, for conditions side by side on the same steps. */
export function heaped(pen: Pen): EChartsOption {
  const { graph, plan, text, line, by } = pen
  const steps = graph.heaps[0] ?? []
  const most = Math.max(1, ...graph.heaps.flat().map(({ count }) => count))
  const step = Math.max(1, Math.ceil(most / 6))
  const several = graph.heaps.length > 1
  return {
    ...(several ? { legend: { textStyle: text, top: 0, itemWidth: by(40, 26), itemHeight: by(26, 16) } } : {}),
    grid: { ...roomFor(pen), top: several ? by(84, 56) : by(56, 34), bottom: by(46, 30) },
    xAxis: [
      { type: 'category', show: false, data: steps.map(({ from }) => String(from)) },
      {
        ...valueAxis(
          pen,
          { from: steps[0]?.from ?? 0, to: steps.at(-1)?.to ?? 1, step: steps[0] ? steps[0].to - steps[0].from : 1 },
          axisTitles(plan).up,
        ),
        position: 'bottom',
        nameLocation: 'middle',
        nameGap: by(48, 28),
        axisLine: line,
        splitLine: { show: false },
      },
    ],
    yAxis: {
      ...valueAxis(pen, { from: 0, to: (Math.floor(most / step) + 1) * step, step }, 'how many'),
      nameTextStyle: { ...text, align: 'left' },
    },
    series: [
      ...graph.heaps.map((bins, place) => ({
        type: 'bar' as const,
        name: `${graph.marks[place]!.letter} ${graph.marks[place]!.name}`,
        barCategoryGap: '0%',
        barGap: '0%',
        itemStyle: fill(pen, lookOf(graph.marks[place]!.place)),
        // Nothing has no label either.
        data: bins.map(({ count }) => count || '-'),
        label: { show: true, position: 'top' as const, ...text },
      })),
      // The second axis is drawn only where something stands on it.
      { type: 'line' as const, xAxisIndex: 1, data: [], silent: true },
    ],
  }
}
