import { expect } from 'vitest'

/** Within 1e-6 relative, or 1e-9 near zero, as the reference values are given. */
export function expectClose(actual: number, wanted: number): void {
  const allowed = Math.max(1e-9, 1e-6 * Math.abs(wanted))
  expect(Math.abs(actual - wanted), `${actual} for ${wanted}`).toBeLessThanOrEqual(allowed)
}
