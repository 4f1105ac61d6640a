/**
 * Shares as whole numbers of a hundred, which together are a hundred: the largest remainders are rounded up.
 * @example hundredOf([0.655, 0.345]) // => [66, 34]
 */
export function hundredOf(shares: number[]): number[] {
  const whole = shares.map((share) => Math.floor(share * 100 + 1e-9))
  const missing = Math.round(shares.reduce((sum, share) => sum + share, 0) * 100) - whole.reduce((sum, count) => sum + count, 0)
  const next = shares
    .map((share, place) => ({ place, rest: share * 100 - whole[place]! }))
    .sort((a, b) => b.rest - a.rest)
    .slice(0, missing)
  for (const { place } of next) whole[place]! += 1
  return whole
}
