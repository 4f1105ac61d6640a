import { format } from 'echarts/core'
import type { Axis, ResultDot, ResultsGraph } from '~~/core/charts'
import type { Plan } from '~~/core/lesson'
import { axisTitles, dotWords, knownName, nameOfGroup, writeReading } from '~~/core/wording'
import { isAmount } from '~~/core/quantity'
import type { ConditionLook } from '~/theme/conditions'

/** Where a graph is drawn: desk, board (big, perhaps dark) or paper. */
export interface Surface {
  big: boolean
  dark: boolean
  paper: boolean
}

/** How letters and lines look on a surface. */
export interface Style extends Surface {
  ink: string
  size: number
  text: { color: string; fontFamily: string; fontSize: number }
  line: { lineStyle: { color: string; width: number } }
}

/** Everything that the drawings of all kinds of results graph share. */
export interface Pen extends Style {
  plan: Plan
  graph: ResultsGraph
}

export function penFor(plan: Plan, graph: ResultsGraph, surface: Surface): Pen {
  return { ...styleFor(surface), plan, graph }
}

export function styleFor(surface: Surface): Style {
  const ink = surface.dark ? '#f5f1e6' : surface.paper ? '#000' : '#1e2b2f'
  const size = surface.big ? 28 : surface.paper ? 13 : 14.5
  return {
    ...surface,
    ink,
    size,
    text: { color: ink, fontFamily: 'Andika', fontSize: size },
    line: { lineStyle: { color: ink, width: surface.big ? 2.5 : 1.5 } },
  }
}

/** A number axis with the steps that core/charts chose. */
export function valueAxis({ text, line, dark }: Style, axis: Axis, name: string) {
  return {
    type: 'value' as const,
    min: axis.from,
    max: axis.to,
    interval: axis.step,
    name,
    nameTextStyle: text,
    axisLabel: text,
    axisLine: { show: true, onZero: false, ...line },
    splitLine: { lineStyle: { color: dark ? '#3b4c4a' : '#ddd6c8' } },
  }
}

/** The axis of the results; the first place stands on top, and words and places have no values between them. */
export function resultAxis(pen: Pen, axis = pen.graph.axis) {
  const { graph, plan, text } = pen
  const usual = { ...valueAxis(pen, axis, axisTitles(plan, graph.kind).up), nameTextStyle: { ...text, align: 'left' as const } }
  if (isAmount(graph.unit)) return usual
  return {
    ...usual,
    ...(graph.unit === 'place' ? { inverse: true, nameLocation: 'start' as const } : {}),
    min: 0.5,
    max: axis.to + 0.5,
    interval: 1,
    axisLabel: {
      ...text,
      customValues: Array.from({ length: Math.floor(axis.to) }, (_, place) => place + 1),
      formatter: (value: number) => writeReading(plan, value, graph.unit),
    },
  }
}

const CROSS = 'path://M-1-1L1 1M-1 1L1-1'

/** From here on all rings are drawn at one go, without a word for those who point at one. */
const MANY = 600

/** Every reading as a ring, what was set aside as a cross. `turned` swaps the axes. */
export function readingsSeries(pen: Pen, dots: ResultDot[], turned = false) {
  return [true, false].map((counted) =>
    oneSeries(
      pen,
      dots.filter((dot) => dot.counted === counted),
      counted,
      turned,
    ),
  )
}

function oneSeries({ plan, graph, ink, dark, big }: Pen, dots: ResultDot[], counted: boolean, turned: boolean) {
  const many = dots.length > MANY
  const value = ({ x, value: y }: ResultDot) => (turned ? [y, x] : [x, y])
  return {
    type: 'scatter' as const,
    data: many ? dots.map(value) : dots.map((dot) => ({ value: value(dot), reading: dot })),
    large: many,
    largeThreshold: MANY,
    symbol: counted ? 'circle' : CROSS,
    itemStyle: {
      color: counted ? (dark ? '#14201f' : '#fff') : 'transparent',
      borderColor: ink,
      borderWidth: big ? 2.5 : 1.5,
    },
    symbolSize: many ? (big ? 8 : 5) : big ? 14 : 8,
    silent: many,
    z: 5,
    tooltip: {
      formatter: (at: unknown) => {
        const { reading } = (at as { data: { reading: ResultDot } }).data
        return format.encodeHTML(dotWords(plan, reading, nameOfGroup(plan, reading.group), graph.unit))
      },
    },
  }
}

/** A value known from elsewhere as a dashed line right across, with its name. `turned` swaps the axes. */
export function knownSeries({ plan, graph, ink, text, big }: Pen, from: number, to: number, turned = false) {
  const { known } = graph
  if (known === undefined) return []
  const at = (along: number) => (turned ? [known, along] : [along, known])
  const label = {
    show: true,
    position: 'top' as const,
    align: 'left' as const,
    offset: [6, 0],
    ...text,
    fontWeight: 'bold' as const,
  }
  return [
    {
      type: 'line' as const,
      data: [{ value: at(from), label: { ...label, formatter: knownName(plan) } }, { value: at(to) }],
      symbol: 'circle',
      symbolSize: 1,
      silent: true,
      lineStyle: { color: ink, width: big ? 4 : 2.5, type: 'dashed' as const },
      itemStyle: { color: ink },
      z: 4,
    },
  ]
}

/** The names of the conditions down the side, each with its letter. */
export function namesAxis({ graph, text, big, line }: Pen) {
  return {
    type: 'category' as const,
    inverse: true,
    data: graph.marks.map(({ letter, name }) => `{letter|${letter}}\u00a0${name}`),
    axisLabel: {
      ...text,
      width: big ? 260 : 150,
      overflow: 'truncate' as const,
      rich: { letter: { ...text, fontWeight: 'bold' as const } },
    },
    axisTick: { show: false },
    axisLine: line,
  }
}

/** A word on a filled bar, legible on every hatch. */
export function wordLabel({ text, dark, ink }: Pen) {
  return {
    show: true,
    ...text,
    color: dark ? '#fff' : '#000',
    backgroundColor: dark ? '#14201f' : '#fff',
    borderColor: ink,
    borderWidth: 1,
    borderRadius: 3,
    padding: [2, 6],
  }
}

/** Room round a graph. */
export function roomFor({ big }: Style) {
  return { left: big ? 24 : 12, right: big ? 30 : 18, top: big ? 56 : 34, bottom: 8, containLabel: true }
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

/** A filled area in a condition's colour and hatch, in black and white on paper. */
export function fill({ paper, dark, ink }: Style, look: ConditionLook) {
  return {
    color: paper ? '#fff' : dark ? look.colour : `${look.colour}44`,
    borderColor: ink,
    borderWidth: 1.5,
    decal: {
      symbol: 'rect',
      symbolSize: 1,
      color: dark ? 'rgba(255,255,255,0.45)' : paper ? '#000' : look.colour,
      ...DECALS[look.hatch],
    } as object,
  }
}

/** Ordered words from light to full, each with a hatch of its own. */
export function wordFill(pen: Pen, place: number, words: number) {
  const hatches: ConditionLook['hatch'][] = ['plain', 'dots', 'rising', 'level', 'cross', 'checks', 'falling', 'upright']
  const strength = words < 2 ? 1 : place / (words - 1)
  const share = Math.round(0x18 + strength * 0xb0)
    .toString(16)
    .padStart(2, '0')
  const look: ConditionLook = { colour: '#0f5c4d', hatch: hatches[place % hatches.length]! }
  return { ...fill(pen, look), ...(pen.paper ? {} : { color: pen.dark ? `#4fa893${share}` : `#0f5c4d${share}` }) }
}
