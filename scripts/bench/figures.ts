export interface Row {
  what: string
  figure: string
  wanted: string
  reference: string
}

/** The value below which this share of the values lies. */
export function quantile(values: number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
}

export const milliseconds = (value: number) => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`

/** Median milliseconds of a call, after it has warmed up. */
export async function timeOf(work: () => unknown, rounds = 60): Promise<number> {
  const times: number[] = []
  for (let round = 0; round < rounds + 10; round += 1) {
    const start = performance.now()
    await work()
    if (round >= 10) times.push(performance.now() - start)
  }
  return quantile(times, 0.5)
}
