export type Random = () => number

/**
 * A seeded stream of numbers in [0, 1): mulberry32. The same seed draws the same numbers on every machine.
 * @example seededRandom(1)() // => 0.6270739
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

/** One draw from a standard normal distribution (Box and Muller). */
export function drawNormal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** How many of what comes singly and by chance are there, `mean` of it on average (Poisson, by Knuth's products: for means up to some hundreds). */
export function drawPoisson(mean: number, random: Random): number {
  const end = Math.exp(-Math.max(0, mean))
  let [many, product] = [0, random()]
  while (product > end) {
    many += 1
    product *= random()
  }
  return many
}
