import { init, use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { optionOf } from './optionOf'
import { useChartParts } from './parts'
import type { Surface } from './surface'

useChartParts()

interface Size {
  width: number
  height: number
}

/** The results graph as one SVG document of this size; it can be drawn at any other. Undefined while nothing is measured. */
export function svgOf(plan: Plan, record: LessonRecord, surface: Surface, { width, height }: Size): string | undefined {
  const option = optionOf(plan, record, surface)
  if (!option) return undefined
  const chart = init(null, null, { renderer: 'svg', ssr: true, width, height })
  chart.setOption(option)
  const svg = chart.renderToSVGString({ useViewBox: true })
  chart.dispose()
  return svg
}

/** The results graph as the address of a PNG picture. */
export function pngOf(plan: Plan, record: LessonRecord, surface: Surface, { width, height }: Size): string | undefined {
  const option = optionOf(plan, record, surface)
  if (!option) return undefined
  use([CanvasRenderer])
  const chart = init(document.createElement('div'), null, { renderer: 'canvas', width, height })
  chart.setOption(option)
  const address = chart.getDataURL({ type: 'png', pixelRatio: 1, backgroundColor: '#fff' })
  chart.dispose()
  return address
}
