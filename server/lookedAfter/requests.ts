import type { RouteFigures } from '../../schemas/contract'
import { log } from './log'

/** Longer than that is worth a line. */
const SLOW = 1000
const SLOWEST = 12
/** As many of a route's latest as its usual time is taken from. */
const LATEST = 200
const OURS = 500

interface Counted {
  count: number
  failed: number
  slowest: number
  latest: number[]
}
const routes = new Map<string, Counted>()

/**
 * A request is through: counted, and written down where it failed or was slow.
 * @param route its method and the pattern of its address, never the address
 */
export function requestDone(route: string, status: number, took: number): void {
  const counted = routes.get(route) ?? { count: 0, failed: 0, slowest: 0, latest: [] }
  routes.set(route, counted)
  counted.count += 1
  counted.slowest = Math.max(counted.slowest, took)
  counted.latest[(counted.count - 1) % LATEST] = took
  const milliseconds = Math.round(took)
  if (status >= OURS) {
    counted.failed += 1
    log.error({ route, status, milliseconds }, 'a request failed')
  } else if (took > SLOW) log.warn({ route, status, milliseconds }, 'a request was slow')
}

/** The routes that took longest since the start, the slowest first. */
export function slowestRoutes(): RouteFigures[] {
  return [...routes]
    .map(([route, { count, failed, slowest, latest }]) => ({
      route,
      count,
      failed,
      usual: Math.round(middle(latest)),
      slowest: Math.round(slowest),
    }))
    .sort((a, b) => b.slowest - a.slowest)
    .slice(0, SLOWEST)
}

function middle(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}
