import { BarChart, CustomChart, LineChart, ScatterChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, TitleComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { LabelLayout } from 'echarts/features'
import { SVGRenderer } from 'echarts/renderers'

/** The parts of the chart library that our graphs are drawn with, wherever they are drawn. */
export function useChartParts(): void {
  use([
    BarChart,
    CustomChart,
    LineChart,
    ScatterChart,
    GridComponent,
    LegendComponent,
    TitleComponent,
    TooltipComponent,
    AriaComponent,
    LabelLayout,
    SVGRenderer,
  ])
}
