import type { EChartsOption } from 'echarts'
import type { ResultsGraph } from '~~/core/charts'
import type { Plan } from '~~/core/lesson'
import { axisTitles } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'
import { heaped } from './heaped'
import { numberLines, onKinds, panels, stackedWords } from './onKinds'
import { overMoments, wordBands } from './overTime'
import { knownSeries, penFor, readingsSeries, resultAxis, roomFor, valueAxis, type Pen, type Surface } from './surface'

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
    case 'histogram':
      return heaped(pen)
  }
}

/** Points where their numbers are, joined from average to average or by the fitted bend. */
function onNumbers(pen: Pen): EChartsOption {
  const { graph, plan, ink, by } = pen
  const known = graph.marks.filter((mark) => mark.average !== undefined).sort((a, b) => a.x - b.x)
  const curved = graph.curve.length > 0
  return {
    grid: { ...roomFor(pen), bottom: by(46, 30) },
    xAxis: { ...valueAxis(pen, graph.across!, axisTitles(plan).across), nameLocation: 'middle', nameGap: by(48, 28) },
    yAxis: resultAxis(pen),
    series: [
      {
        type: 'line',
        data: curved ? graph.curve : [],
        symbol: 'none',
        silent: true,
        lineStyle: { color: ink, width: by(4, 2) },
      },
      {
        type: 'line',
        data: known.map((mark) => [mark.x, mark.average!]),
        symbol: 'diamond',
        symbolSize: by(22, 13),
        lineStyle: { color: ink, width: curved ? 0 : 2 },
        itemStyle: { color: pen.paper ? '#000' : lookOf(0).colour },
        tooltip: { show: false },
      },
      ...knownSeries(pen, graph.across!.from, graph.across!.to),
      ...readingsSeries(pen, graph.dots),
    ],
  }
}
