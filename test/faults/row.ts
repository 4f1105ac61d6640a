import type { Library, Outcome } from './library'

/** What a fault did, as one row of the table. */
export interface FaultRow {
  fault: string
  /** What the teacher was told. */
  said: string
  /** Acknowledged readings that are gone after it, and how many there were. */
  lost: number
  of: number
  /** Seconds until it could be used again; undefined where it rightly does not start. */
  back: number | undefined
  /** What must be so and is not. */
  wrong: string[]
}

export interface Fault {
  name: string
  /** In the short form of `npm test`. */
  short?: boolean
  needs?: 'root' | 'mount'
  run(made: MadeLibrary): Promise<FaultRow>
}

/** The library that every fault gets a copy of. */
export interface MadeLibrary extends Library {
  folder: string
}

/** The row of a fault. @param mayLose readings that may be gone. @param checks what must be so, by what is wrong where it is not */
export function row(
  fault: string,
  { all }: MadeLibrary,
  outcome: Outcome,
  mayLose: number,
  checks: Record<string, boolean> = {},
): FaultRow {
  const lost = all - outcome.readings
  const wrong = Object.entries({ ...checks, [`loses ${lost}, not ${mayLose} at most`]: lost <= mayLose })
  return {
    fault,
    said: outcome.said,
    lost,
    of: all,
    back: outcome.started ? outcome.seconds : undefined,
    wrong: wrong.flatMap(([what, holds]) => (holds ? [] : [what])),
  }
}
