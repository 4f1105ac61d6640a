import type { Random } from '../chance'
import { withoutNoise, type UnitCode } from '../quantity'

/** Instruments with marks that children read. */
export const SCALE_KINDS = ['ruler', 'tape', 'cylinder', 'thermometer', 'dial', 'syringe', 'force-meter'] as const
export type ScaleKind = (typeof SCALE_KINDS)[number]

export interface Mark {
  value: number
  /** How long its line is: large ones have the numbers, middle ones halve or fifth them, small ones are the rest. */
  size: 'large' | 'middle' | 'small'
  /** The number beside it. */
  label: number | undefined
}

export interface Scale {
  kind: ScaleKind
  unit: UnitCode
  from: number
  to: number
  /** Between two neighbouring marks. */
  step: number
  marks: Mark[]
}

/** Middle and large marks, in small ones: in tens of the step where it is 1 or 2, in hundreds of it where it is 5. */
const LADDER: Record<number, { middle: number; large: number }> = {
  1: { middle: 5, large: 10 },
  2: { middle: 5, large: 10 },
  5: { middle: 2, large: 10 },
}
const FEWEST_LABELS = 3

/**
 * The marks of an instrument: one at every step, in three sizes as instruments have them, the large ones numbered; where there are too
 * few of those for a range, the middle ones are numbered too.
 * @param step 1, 2 or 5 times a power of ten
 * @param from, to multiples of the step
 * @returns marks from the lowest to the highest
 * @example scaleOf({ kind: 'ruler', unit: 'cm', from: 0, to: 30, step: 0.1 }).marks.filter(({ size }) => size === 'large').length // => 31
 */
export function scaleOf({ kind, unit, from, to, step }: Omit<Scale, 'marks'>): Scale {
  const { middle, large } = LADDER[Math.round(step / 10 ** Math.floor(Math.log10(step) + 1e-9))] ?? LADDER[1]!
  const first = Math.round(from / step)
  const last = Math.round(to / step)
  const places = Array.from({ length: last - first + 1 }, (_, place) => first + place)
  const everyMiddle = places.filter((place) => place % large === 0).length < FEWEST_LABELS
  const everyMark = everyMiddle && places.filter((place) => place % middle === 0).length < FEWEST_LABELS
  const marks = places.map((place): Mark => {
    const value = withoutNoise(place * step)
    const size = place % large === 0 ? 'large' : place % middle === 0 ? 'middle' : 'small'
    const labelled = size === 'large' || (size === 'middle' && everyMiddle) || everyMark
    return { value, size, label: labelled ? value : undefined }
  })
  return { kind, unit, from, to, step, marks }
}

/** More marks than an eye tells apart on a picture are not drawn. */
const MOST_MARKS = 120

/**
 * A scale for a picture on which a level is moved: with every second, fifth or tenth mark only where there were too many.
 * @example scaleToMove({ kind: 'ruler', unit: 'mm', from: 0, to: 300, step: 1 }).marks.length // => 61
 */
export function scaleToMove(scale: Omit<Scale, 'marks'>): Scale {
  const { from, to, step } = scale
  let each = step
  for (let nth = 0; (to - from) / each > MOST_MARKS; nth += 1)
    each = withoutNoise(step * [2, 5, 10][nth % 3]! * 10 ** Math.floor(nth / 3))
  const { marks } = scaleOf({ ...scale, step: each })
  return { ...scale, marks: marks.filter(({ value }) => value >= from && value <= to) }
}

/** What such an instrument is like in a classroom: units, steps and how many of them it has. */
const USUAL: Record<
  ScaleKind,
  { unit: UnitCode; steps: number[]; marks: [least: number, most: number]; from: 'nought' | 'anywhere' | 'below' }
> = {
  ruler: { unit: 'cm', steps: [0.1, 0.5, 1], marks: [20, 60], from: 'anywhere' },
  tape: { unit: 'cm', steps: [1, 5], marks: [20, 50], from: 'anywhere' },
  cylinder: { unit: 'mL', steps: [1, 2, 5, 10], marks: [20, 50], from: 'nought' },
  thermometer: { unit: 'degC', steps: [0.5, 1, 2, 5], marks: [20, 60], from: 'below' },
  dial: { unit: 'g', steps: [5, 10, 20, 50], marks: [40, 60], from: 'nought' },
  syringe: { unit: 'mL', steps: [0.1, 0.2, 0.5, 1], marks: [20, 50], from: 'nought' },
  'force-meter': { unit: 'N', steps: [0.1, 0.2, 0.5, 1], marks: [20, 50], from: 'nought' },
}

/** How hard it is to read: at a numbered mark, at any mark, or between two marks. */
export const LEVELS = ['numbers', 'marks', 'between'] as const
export type Level = (typeof LEVELS)[number]

/** Those that stand upright. */
const UPRIGHT: ScaleKind[] = ['cylinder', 'thermometer', 'force-meter']

/**
 * Does it stand upright, so that its numbers grow upwards?
 * @example isUpright('ruler') // => false
 */
export function isUpright(kind: ScaleKind): boolean {
  return UPRIGHT.includes(kind)
}

/**
 * Can the eye be in the wrong place? Marks of a straight one are on the glass, or on the edge of a ruler, before what they show. A dial is drawn
 * from the front, where nobody sees how far its needle stands before its face.
 * @example hasParallax('dial') // => false
 */
export function hasParallax(kind: ScaleKind): boolean {
  return kind !== 'dial'
}

/**
 * Where the eye is that looks at it: above it looks through a mark that is too high, below through one that is too low. Of one that lies, above is on the side
 * of the larger numbers.
 */
export const EYES = ['above', 'level', 'below'] as const
export type Eye = (typeof EYES)[number]

export interface ScaleTask {
  scale: Scale
  /** What the instrument really shows. */
  value: number
  eye: Eye
}

/** Marks by which an eye that is not level reads wrong. */
const PARALLAX = 2

/**
 * A scale to read, fresh for every drawing of the random numbers.
 * @param eyes whether the eye may be in the wrong place, where it can
 * @example drawScale('ruler', 'marks', seededRandom(3)).scale.unit // => 'cm'
 */
export function drawScale(kind: ScaleKind, level: Level, random: Random, { eyes = false } = {}): ScaleTask {
  const { unit, steps, marks, from: begins } = USUAL[kind]
  const pick = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
  const step = steps[pick(0, steps.length - 1)]!
  const tens = pick(Math.ceil(marks[0] / 10), Math.floor(marks[1] / 10))
  const start = begins === 'nought' ? 0 : begins === 'below' ? -10 * pick(0, 2) : 10 * pick(0, kind === 'ruler' ? 2 : 8)
  const scale = scaleOf({
    kind,
    unit,
    from: withoutNoise(start * step),
    to: withoutNoise((start + tens * 10) * step),
    step,
  })
  const inner = scale.marks.slice(PARALLAX, -PARALLAX)
  const candidates = level === 'numbers' ? inner.filter(({ label }) => label !== undefined) : inner
  const mark = candidates[pick(0, candidates.length - 1)]!
  const value = level === 'between' ? withoutNoise(mark.value + step / 2) : mark.value
  return { scale, value, eye: eyes && hasParallax(kind) ? EYES[pick(0, EYES.length - 1)]! : 'level' }
}

/**
 * What an eye at this height would read.
 * @example seenFrom({ ...drawScale('thermometer', 'marks', seededRandom(3)), eye: 'level' }, 'level') === drawScale('thermometer', 'marks', seededRandom(3)).value
 *   // => true
 */
export function seenFrom({ scale, value }: Pick<ScaleTask, 'scale' | 'value'>, eye: Eye): number {
  const away = eye === 'above' ? PARALLAX : eye === 'below' ? -PARALLAX : 0
  return withoutNoise(value + away * scale.step)
}

/**
 * Was it read right: to half a mark. The error, in marks, is what the class's own reading wobble is learned from.
 * @example judgeScale({ scale: scaleOf({ kind: 'ruler', unit: 'cm', from: 0, to: 30, step: 0.1 }), value: 12.3 }, 12.4) // => { right: false, error: 1 }
 */
export function judgeScale(
  { scale, value }: Pick<ScaleTask, 'scale' | 'value'>,
  entered: number,
): { right: boolean; error: number } {
  const error = withoutNoise(Number(((entered - value) / scale.step).toPrecision(6)))
  return { right: Math.abs(error) <= 0.5, error }
}
