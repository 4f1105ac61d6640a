import type { EChartsOption } from 'echarts'
import { resultsGraph, seriesGraph } from '~~/core/charts'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { chartWords, seriesChartWords } from '~~/core/wording'
import { chartOption } from './chartOption'
import { seriesOption } from './seriesOption'
import type { Surface } from './surface'

/** The drawing instructions for what a lesson found: of its series all on one graph. Undefined while nothing is measured. */
export function optionOf(plan: Plan, record: LessonRecord, surface: Surface): EChartsOption | undefined {
  const series = seriesGraph(plan, record)
  if (series) return seriesOption(plan, series, surface)
  const graph = resultsGraph(plan, record)
  return graph && chartOption(plan, graph, surface)
}

/** The same in words. */
export function wordsOf(plan: Plan, record: LessonRecord): string {
  const series = seriesGraph(plan, record)
  if (series) return seriesChartWords(plan, series)
  const graph = resultsGraph(plan, record)
  return graph ? chartWords(plan, graph) : ''
}
