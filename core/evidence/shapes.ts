import { fitPowers, type PowerFit } from './leastSquares'

export interface Point {
  x: number
  y: number
}

type Shape = 'flat' | 'straight' | 'curved'

export interface ShapeFit extends PowerFit {
  shape: Shape
  /** Small-sample Akaike criterion; Infinity where there are too few readings for this shape. */
  aicc: number
}

const SHAPES: Shape[] = ['flat', 'straight', 'curved']

/**
 * The three shapes fitted by least squares, each with its AICc (Hurvich and Tsai, 1989), the variance counted as a parameter.
 * @example shapesOf([1, 2, 3, 4, 5].map((x) => ({ x, y: x % 2 }))).map(({ shape }) => shape) // => ['flat', 'straight', 'curved']
 */
export function shapesOf(points: Point[]): ShapeFit[] {
  const levels = new Set(points.map(({ x }) => x)).size
  return SHAPES.slice(0, Math.max(1, levels)).map((shape, power) => {
    const fit = fitPowers(points, power)
    return { shape, ...fit, aicc: aiccOf(points.length, fit.residualSum, power + 2) }
  })
}

function aiccOf(count: number, residualSum: number, parameters: number): number {
  const room = count - parameters - 1
  if (room <= 0) return Infinity
  const fit = count * (Math.log((2 * Math.PI * Math.max(residualSum, Number.MIN_VALUE)) / count) + 1)
  return fit + 2 * parameters + (2 * parameters * (parameters + 1)) / room
}
