export interface Row {
  what: string
  figure: string
  wanted: string
  reference: string
  /** Further off than chance explains; the bench then ends with an error. */
  missed?: boolean
}

/** A whole bench, or as little of it as shows that it still runs. */
export type Size = 'full' | 'small'

/** The value below which this share of the values lies. */
export function quantile(values: number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
}

export const milliseconds = (value: number) => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`

/** Median milliseconds of a call, after it has warmed up; each call is told its round, so that none is asked what was answered before. */
export async function timeOf(work: (round: number) => unknown, rounds = 60): Promise<number> {
  const times: number[] = []
  const warmUp = rounds
  for (let round = 0; round < rounds + warmUp; round += 1) {
    const start = performance.now()
    await work(round)
    if (round >= warmUp) times.push(performance.now() - start)
  }
  return quantile(times, 0.5)
}

/** `withPercent(0.0491) // '4.9 %'` */
export function withPercent(share: number): string {
  return `${(share * 100).toFixed(1)} %`
}
