import { renderToString } from 'vue/server-renderer'
import { createSSRApp } from 'vue'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '~~/core/chance'
import { drawScale, hasParallax, isUpright, LEVELS, SCALE_KINDS, seenFrom, type ScaleKind } from '~~/core/warmUps'
import './mounting'
import ScaleDrawing from '~/components/pieces/ScaleDrawing.vue'

const SCALES_OF_EACH = 500

/** Lines of the picture with their ends, and where each number stands. */
function read(svg: string) {
  const number = (tag: string, name: string) => Number(new RegExp(` ${name}="([-\\d.e]+)"`).exec(tag)![1])
  const lines = [...svg.matchAll(/<line [^>]*>/g)].map(([tag]) => ({
    tag,
    ends: [number(tag, 'x1'), number(tag, 'y1'), number(tag, 'x2'), number(tag, 'y2')] as [number, number, number, number],
  }))
  const numbers = [...svg.matchAll(/<text [^>]*>([^<]*)<\/text>/g)]
    .filter(([, text]) => /^\s*-?[\d.]+\s*$/.test(text!))
    .map(([tag, text]) => ({ value: Number(text), x: number(tag, 'x'), y: number(tag, 'y') }))
  const pointer = lines.find(({ tag }) => tag.includes('data-pointer'))!
  const marks = lines.filter(({ tag }) => tag.includes('data-size'))
  return { numbers, pointer: pointer.ends, marks, sight: lines.find(({ tag }) => tag.includes('sight'))?.ends }
}

/** Where something lies along the scale, read off as an eye does: along its line, or round its dial from the bottom. */
function placed(kind: ScaleKind, x: number, y: number): number {
  if (kind !== 'dial') return isUpright(kind) ? -y : x
  const turn = (Math.atan2(y - 150, x - 150) * 180) / Math.PI - 90
  return (turn + 720) % 360
}

/** The value at a place, from the two numbered marks that lie furthest apart. */
function valueAt(kind: ScaleKind, numbers: ReturnType<typeof read>['numbers'], place: number): number {
  const sorted = [...numbers].sort((a, b) => a.value - b.value)
  const [low, high] = [sorted[0]!, sorted.at(-1)!]
  const [from, to] = [placed(kind, low.x, low.y), placed(kind, high.x, high.y)]
  return low.value + ((place - from) / (to - from)) * (high.value - low.value)
}

describe('pictures of scales', () => {
  it.each(SCALE_KINDS)(
    '500 random ones of a %s are read back from their marks and numbers, and give the value again',
    async (kind) => {
      const random = seededRandom(SCALE_KINDS.indexOf(kind) + 1)
      for (let drawn = 0; drawn < SCALES_OF_EACH; drawn += 1) {
        const { scale, value } = drawScale(kind, LEVELS[drawn % LEVELS.length]!, random)
        const svg = await renderToString(createSSRApp(ScaleDrawing, { scale, value, label: 'a scale' }))
        const { numbers, pointer, marks } = read(svg)
        expect(numbers.length).toBeGreaterThan(1)
        const [x, y] = kind === 'dial' ? [pointer[2], pointer[3]] : [pointer[0], pointer[1]]
        expect(Math.abs(valueAt(kind, numbers, placed(kind, x, y)) - value)).toBeLessThan(scale.step / 100)
        // Every mark stands where its value lies, evenly, and the longer its line the rounder its value.
        expect(marks).toHaveLength(Math.round((scale.to - scale.from) / scale.step) + 1)
        const at = marks.map(({ ends }) => valueAt(kind, numbers, placed(kind, ends[0], ends[1])))
        at.forEach((found, place) => expect(Math.abs(found - (scale.from + place * scale.step))).toBeLessThan(scale.step / 50))
        const length = ([x1, y1, x2, y2]: [number, number, number, number]) => Math.hypot(x2 - x1, y2 - y1)
        const long = Math.max(...marks.map(({ ends }) => length(ends)))
        const numbered = marks.filter(({ ends }) => length(ends) > long - 0.01)
        for (const { value: written } of numbers)
          expect(Math.abs(written / scale.step - Math.round(written / scale.step))).toBeLessThan(1e-6)
        expect(numbered.length).toBeGreaterThan(0)
      }
    },
  )

  it.each(SCALE_KINDS.filter(hasParallax))('the line of sight at a %s goes through the mark that the eye sees', async (kind) => {
    const random = seededRandom(7)
    for (let drawn = 0; drawn < 30; drawn += 1) {
      const { scale, value, eye } = drawScale(kind, 'marks', random, { eyes: true })
      const { numbers, marks, sight } = read(
        await renderToString(createSSRApp(ScaleDrawing, { scale, value, eye, label: 'a scale' })),
      )
      const longest = marks.reduce(
        (long, { ends: [x1, y1, x2, y2] }) => {
          const one = { x: (x1 + x2) / 2, y: (y1 + y2) / 2, length: Math.hypot(x2 - x1, y2 - y1) }
          return one.length > long.length ? one : long
        },
        { x: 0, y: 0, length: 0 },
      )
      const [x1, y1, x2, y2] = sight!
      const part = isUpright(kind) ? (longest.x - x1) / (x2 - x1) : (longest.y - y1) / (y2 - y1)
      expect(part).toBeGreaterThan(0)
      expect(part).toBeLessThan(1)
      const seen = valueAt(kind, numbers, placed(kind, x1 + part * (x2 - x1), y1 + part * (y2 - y1)))
      expect(Math.abs(seen - seenFrom({ scale, value }, eye))).toBeLessThan(scale.step / 50)
    }
  })
})
