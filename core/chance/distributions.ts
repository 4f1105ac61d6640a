const LANCZOS = [
  676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012,
  9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** Natural logarithm of the gamma function for x above zero (Lanczos, g = 7, n = 9). `logGamma(5) // ln 24 = 3.17805` */
function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const shifted = x - 1
  const base = shifted + 7.5
  const series = LANCZOS.reduce((sum, term, place) => sum + term / (shifted + place + 1), 0.99999999999980993)
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(series)
}

/**
 * Regularised incomplete beta function I_x(a, b), by the continued fraction of DLMF 8.17.22 (Lentz's method). Small values
 * keep their relative precision.
 * @example incompleteBeta(2, 3, 0.5) // => 0.6875
 */
export function incompleteBeta(a: number, b: number, x: number): number {
  if (x <= 0) return 0
  if (x >= 1) return 1
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(b, a, 1 - x)
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x))
  return (front * betaFraction(a, b, x)) / a
}

function betaFraction(a: number, b: number, x: number): number {
  const away = (value: number) => (Math.abs(value) < 1e-300 ? 1e-300 : value)
  let c = 1
  let d = 1 / away(1 - ((a + b) * x) / (a + 1))
  let fraction = d
  for (let m = 1; m <= 500; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / away(1 + even * d)
    c = away(1 + even / c)
    fraction *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / away(1 + odd * d)
    c = away(1 + odd / c)
    fraction *= d * c
    if (Math.abs(d * c - 1) < 1e-15) break
  }
  return fraction
}

/** Two-sided p value of Student's t. `tTwoSided(2.228, 10) // 0.05001` */
export function tTwoSided(t: number, df: number): number {
  return incompleteBeta(df / 2, 0.5, df / (df + t * t))
}

/** Chance of an F at least this large. `fAbove(4, 2, 10) // 0.0529` */
export function fAbove(f: number, df1: number, df2: number): number {
  return f <= 0 ? 1 : incompleteBeta(df2 / 2, df1 / 2, df2 / (df2 + df1 * f))
}

/**
 * The t that leaves `p` in both tails together.
 * @example tLeaving(0.05, 10) // => 2.228139
 */
export function tLeaving(p: number, df: number): number {
  return remembered(`t/${p}/${df}`, () => leaving((t) => tTwoSided(t, df), p))
}

/**
 * The F that leaves `p` above it.
 * @example fLeaving(0.05, 2, 10) // => 4.102821
 */
export function fLeaving(p: number, df1: number, df2: number): number {
  return remembered(`F/${p}/${df1}/${df2}`, () => leaving((f) => fAbove(f, df1, df2), p))
}

// The same few freedoms are asked about again and again.
const known = new Map<string, number>()

function remembered(key: string, work: () => number): number {
  const before = known.get(key)
  if (before !== undefined) return before
  const answer = work()
  if (known.size > MOST_KNOWN) known.clear()
  known.set(key, answer)
  return answer
}

/** Where a falling chance comes down to p, by halving. */
function leaving(chanceAbove: (value: number) => number, p: number): number {
  let [low, high] = [0, 4]
  while (chanceAbove(high) > p) high *= 2
  for (let step = 0; step < 100 && high - low > 1e-12 * high; step += 1) {
    const middle = (low + high) / 2
    if (chanceAbove(middle) > p) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const MOST_KNOWN = 500
/** So many standard deviations of a Poisson from its mean nothing is left. */
const FAR = 12

/**
 * Chance of a noncentral F at least this large: the central one's beta with more and more degrees of freedom, weighted by a Poisson with half the noncentrality as its
 * mean (Johnson, Kotz and Balakrishnan, "Continuous Univariate Distributions" 2, chapter 30). Each beta follows from the one before (DLMF 8.17.20).
 * @example noncentralFAbove(4.102821, 2, 10, 5) // => 0.3877
 */
export function noncentralFAbove(f: number, df1: number, df2: number, noncentrality: number): number {
  if (noncentrality <= 0) return fAbove(f, df1, df2)
  const [x, b] = [(df1 * f) / (df1 * f + df2), df2 / 2]
  const half = noncentrality / 2
  const reach = FAR * Math.sqrt(half + 1) + 20
  const [first, last] = [Math.max(0, Math.floor(half - reach)), Math.ceil(half + reach)]
  let weight = Math.exp(first * Math.log(half) - half - logGamma(first + 1))
  let below = incompleteBeta(df1 / 2 + first, b, x)
  let above = 0
  let a = df1 / 2 + first
  // What each beta is less than the one before, as a logarithm: it may be far too small for a number where the weights begin.
  let step = a * Math.log(x) + b * Math.log1p(-x) + logGamma(a + b) - logGamma(a + 1) - logGamma(b)
  for (let term = first; term <= last; term += 1) {
    above += weight * (1 - below)
    below = Math.max(0, below - Math.exp(step))
    step += Math.log((x * (a + b)) / (a + 1))
    a += 1
    weight *= half / (term + 1)
  }
  return Math.min(1, above)
}
