import type { Clock } from '../app/following/clock'

export interface MadeClock extends Clock {
  /** Lets time pass, and whatever comes due in it happen in its order. */
  pass(milliseconds: number): Promise<void>
}

/** A clock that a test turns. */
export function madeClock(): MadeClock {
  let now = 1_000_000
  const jobs: { at: number; work: () => void }[] = []
  const settle = () => new Promise((next) => setImmediate(next))
  return {
    now: () => now,
    after(milliseconds, work) {
      const job = { at: now + milliseconds, work }
      jobs.push(job)
      return () => {
        if (jobs.includes(job)) jobs.splice(jobs.indexOf(job), 1)
      }
    },
    async pass(milliseconds) {
      const end = now + milliseconds
      await settle()
      for (;;) {
        const next = jobs.filter(({ at }) => at <= end).sort((a, b) => a.at - b.at)[0]
        if (!next) break
        jobs.splice(jobs.indexOf(next), 1)
        now = next.at
        next.work()
        await settle()
      }
      now = end
    },
  }
}

/** A promise that a test keeps or breaks when it likes. */
export function later<T>() {
  let keep!: (value: T) => void
  let fail!: (error: unknown) => void
  const promise = new Promise<T>((resolve, reject) => {
    keep = resolve
    fail = reject
  })
  return { promise, keep, fail }
}
