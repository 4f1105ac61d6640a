/** After so long what comes back is no longer from before an own change. */
const ECHO_MS = 2000

/**
 * Lists that grow by what is pressed, and come back by the stream: what was changed here and is on its way stands over what is heard
 * from before it, so that a second press does not lose the first.
 */
export class Ahead<State extends object> {
  private own: Partial<State> = {}
  private under = 0
  private answered = 0

  constructor(private readonly keys: (keyof State)[]) {}

  /** A change begins its way to the server. */
  begin(change: Partial<State>): void {
    this.under += 1
    for (const key of this.keys) if (key in change) this.own[key] = change[key]
  }

  /** The server has answered, or said no. */
  end(done: boolean, now: number): void {
    this.under -= 1
    this.answered = now
    if (!done) this.own = {}
  }

  /** What is to be shown of what was heard. */
  over(heard: State, now: number): State {
    if (this.under === 0 && now - this.answered > ECHO_MS) this.own = {}
    for (const key of this.keys) if (same(this.own[key], heard[key])) this.own = without(this.own, key)
    return { ...heard, ...this.own }
  }
}

function without<State>(own: Partial<State>, left: keyof State): Partial<State> {
  const { [left]: _, ...others } = own
  return others as Partial<State>
}

function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other)
}
