import { init, use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { resultsGraph } from '~~/core/charts'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { chartOption } from './chartOption'

const WIDTH = 1600
const HEIGHT = 900

/** The results graph as a PNG picture, large enough for a slide. Loaded only when somebody asks for one. */
export function pngOf(plan: Plan, record: LessonRecord): string | undefined {
  const graph = resultsGraph(plan, record)
  if (!graph) return undefined
  use([CanvasRenderer])
  const chart = init(document.createElement('div'), null, { renderer: 'canvas', width: WIDTH, height: HEIGHT })
  chart.setOption(chartOption(plan, graph, { big: true, dark: false, paper: false }))
  const address = chart.getDataURL({ type: 'png', pixelRatio: 1, backgroundColor: '#fff' })
  chart.dispose()
  return address
}
