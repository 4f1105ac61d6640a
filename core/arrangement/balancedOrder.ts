/**
 * The places of so many conditions in a balanced order: every one follows every other about equally often (Williams, 1949), begun `shift` further on.
 * @example balancedOrder(4, 0) // => [0, 1, 3, 2]
 * @example balancedOrder(4, 1) // => [1, 2, 0, 3]
 */
export function balancedOrder(conditions: number, shift: number): number[] {
  return Array.from({ length: conditions }, (_, step) => {
    const base = step % 2 === 1 ? (step + 1) / 2 : step === 0 ? 0 : conditions - step / 2
    return (base + shift) % conditions
  })
}

/**
 * One group's order of conditions in one repeat: each group begins elsewhere, and every second repeat goes the other way round, so that what changes with
 * time (warming, tiring, wear) falls on all conditions alike.
 * @param group  place of the group, from 0
 * @param repeat from 0
 * @example orderOfRepeat(2, 0, 1) // => [1, 0]
 */
export function orderOfRepeat(conditions: number, group: number, repeat: number): number[] {
  const order = balancedOrder(conditions, (group + Math.floor(repeat / 2) * Math.floor(conditions / 2)) % Math.max(1, conditions))
  return repeat % 2 === 1 ? order.reverse() : order
}
