import { init, use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { resultsGraph } from '~~/core/charts'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { chartOption } from './chartOption'
import { useChartParts } from './parts'
import type { Surface } from './surface'

useChartParts()

interface Size {
  width: number
  height: number
}

/** The results graph as one SVG document of this size; it can be drawn at any other. Undefined while nothing is measured. */
export function svgOf(plan: Plan, record: LessonRecord, surface: Surface, { width, height }: Size): string | undefined {
  const graph = resultsGraph(plan, record)
  if (!graph) return undefined
  const chart = init(null, null, { renderer: 'svg', ssr: true, width, height })
  chart.setOption(chartOption(plan, graph, surface))
  const svg = chart.renderToSVGString({ useViewBox: true })
  chart.dispose()
  return svg
}

/** The results graph as the address of a PNG picture. */
export function pngOf(plan: Plan, record: LessonRecord, surface: Surface, { width, height }: Size): string | undefined {
  const graph = resultsGraph(plan, record)
  if (!graph) return undefined
  use([CanvasRenderer])
  const chart = init(document.createElement('div'), null, { renderer: 'canvas', width, height })
  chart.setOption(chartOption(plan, graph, surface))
  const address = chart.getDataURL({ type: 'png', pixelRatio: 1, backgroundColor: '#fff' })
  chart.dispose()
  return address
}
