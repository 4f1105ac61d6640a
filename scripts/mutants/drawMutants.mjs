// Draws the mutants that are tried, the same ones each time: all others are said not to compile, so that nothing runs for them.
import { drawn } from './sample.mjs'

class Draw {
  async init() {}

  /** All at once, since a sample is drawn from all. */
  async group(mutants) {
    return [mutants.map(({ id }) => id)]
  }

  async check(mutants) {
    const taken = drawn(mutants)
    return Object.fromEntries(
      mutants.map((mutant) => [
        mutant.id,
        taken.has(mutant.id) ? { status: 'passed' } : { status: 'compileError', reason: 'not drawn' },
      ]),
    )
  }
}

export const strykerPlugins = [{ kind: 'Checker', name: 'draw', injectableClass: Draw }]
