import { format } from 'echarts/core'
import { axisTicks, type Axis, type ResultDot, type ResultsGraph } from '~~/core/charts'
import type { Plan } from '~~/core/lesson'
import { axisTitles, dotWords, knownLineWords, nameOfGroup, writeReading } from '~~/core/wording'
import { isAmount } from '~~/core/quantity'
import type { ConditionLook } from '~/theme/conditions'

/** Where a graph is drawn: desk, board (big, perhaps dark) or paper. */
export interface Surface {
  big: boolean
  dark: boolean
  paper: boolean
  /** How wide the wall is, in boards of 1280; one where nobody says. */
  wide?: number
}

/** How letters and lines look on a surface. */
export interface Style extends Surface {
  ink: string
  size: number
  text: { color: string; fontFamily: string; fontSize: number }
  line: { lineStyle: { color: string; width: number } }
  /** A length on the board, which grows with the wall, and the one elsewhere. */
  by(board: number, elsewhere: number): number
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
  const by = (board: number, elsewhere: number) => (surface.big ? Math.round(board * (surface.wide ?? 1) * 10) / 10 : elsewhere)
  const size = by(28, surface.paper ? 13 : 14.5)
  return {
    ...surface,
    ink,
    size,
    by,
    text: { color: ink, fontFamily: 'Andika', fontSize: size },
    line: { lineStyle: { color: ink, width: by(2.5, 1.5) } },
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
export function resultAxis(pen: Pen) {
  const { graph, plan, text } = pen
  const { axis } = graph
  const usual = { ...amountAxis(pen), nameTextStyle: { ...text, align: 'left' as const } }
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

/** The axis of amounts; beyond its end or before its beginning there is room for a known value that lies far off. */
export function amountAxis(pen: Pen) {
  const { axis, knownFar } = pen.graph
  const { from, to, step } = axis
  const whole =
    knownFar === undefined ? axis : knownFar === 'above' ? { ...axis, to: to + 2 * step } : { ...axis, from: from - 2 * step }
  const usual = valueAxis(pen, whole, axisTitles(pen.plan, pen.graph.kind).up)
  return { ...usual, axisLabel: { ...usual.axisLabel, ...(knownFar && { customValues: axisTicks(axis) }) } }
}

/** Where the line of the known value stands, and where the axis has a gap before it. */
function placeOfKnown({ axis: { from, to, step }, known, knownFar }: ResultsGraph): { at: number; gap?: number } {
  if (knownFar === undefined) return { at: known! }
  return knownFar === 'above' ? { at: to + step, gap: to + step / 2 } : { at: from - step, gap: from - step / 2 }
}

/** Two strokes across an axis: something is left out here. */
const GAP = 'path://M-6 3L6 -1M-6 6L6 2'
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

function oneSeries({ plan, graph, ink, dark, by }: Pen, dots: ResultDot[], counted: boolean, turned: boolean) {
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
      borderWidth: by(2.5, 1.5),
    },
    symbolSize: many ? by(8, 5) : by(14, 8),
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
export function knownSeries({ plan, graph, ink, text, by }: Pen, from: number, to: number, turned = false) {
  if (graph.known === undefined) return []
  const { at: value, gap } = placeOfKnown(graph)
  const at = (along: number) => (turned ? [value, along] : [along, value])
  // At the end of the line, since what the axis means stands at its beginning.
  const label = {
    show: true,
    position: 'top' as const,
    align: turned && graph.knownFar === undefined ? ('left' as const) : ('right' as const),
    offset: [turned && graph.knownFar === undefined ? 6 : -6, 0],
    ...text,
    fontWeight: 'bold' as const,
    formatter: knownLineWords(plan, graph),
  }
  return [
    ...(gap === undefined
      ? []
      : [
          {
            type: 'scatter' as const,
            data: [{ value: turned ? [gap, to] : [from, gap] }],
            symbol: GAP,
            symbolSize: by(26, 14),
            symbolRotate: turned ? 90 : 0,
            silent: true,
            itemStyle: { color: 'transparent', borderColor: ink, borderWidth: by(3, 2) },
            z: 6,
          },
        ]),
    {
      type: 'line' as const,
      data: [
        { value: at(from), ...(turned && { label }) },
        { value: at(to), ...(!turned && { label }) },
      ],
      symbol: 'circle',
      symbolSize: 1,
      silent: true,
      lineStyle: { color: ink, width: by(4, 2.5), type: 'dashed' as const },
      itemStyle: { color: ink },
      z: 4,
    },
  ]
}

/** A name on as many lines as it needs, none longer than so many letters unless a word is. `inLines('squared paper', 9) // 'squared\npaper'` */
export function inLines(name: string, letters: number): string {
  return name.split(' ').reduce((lines, word) => {
    const last = lines.slice(lines.lastIndexOf('\n') + 1)
    return `${lines}${lines === '' ? '' : last.length + word.length < letters ? ' ' : '\n'}${word}`
  }, '')
}

/** The names of the conditions down the side, each with its letter. */
export function namesAxis({ graph, text, big, line }: Pen) {
  return {
    type: 'category' as const,
    inverse: true,
    data: graph.marks.map(({ letter, name }) => `{letter|${letter}}\u00a0${inLines(name, big ? 34 : 26)}`),
    axisLabel: {
      ...text,
      interval: 0,
      align: 'right' as const,
      lineHeight: text.fontSize * 1.1,
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
export function roomFor({ by }: Style) {
  return { left: by(24, 12), right: by(30, 18), top: by(56, 34), bottom: 8, containLabel: true }
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
