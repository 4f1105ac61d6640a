/** 100 mL of golden syrup: 140 g, four fifths of it sugar. */
const SYRUP = { grams: 140, sugar: 112 }
/** Viscosity of sugar in water at 20 °C in Pa s by percent of sugar: the sucrose tables of the sugar industry, rounded. */
const VISCOSITY = [
  [60, 0.059],
  [65, 0.147],
  [70, 0.481],
  [75, 2.33],
  [80, 13.5],
] as const
const BEAD = { radius: 0.003, density: 2500 }
const LIQUID_DENSITY = 1380
const GRAVITY = 9.81
/** A bead beside what it falls through: 6 mm in a tube of 25 mm. */
const NARROW = 6 / 25
/** The wall holds the bead back (Faxén's series for a sphere on the axis of a tube): to almost half its speed here. */
const WALL = 1 / (1 - 2.104 * NARROW + 2.09 * NARROW ** 3 - 0.95 * NARROW ** 5)
const WAY = 0.12

/**
 * Seconds that a 6 mm glass bead takes to sink 12 cm through 100 mL of golden syrup with some water stirred in: Stokes' law with the
 * wall's correction, viscosity between the table's values by its logarithm.
 * @param water millilitres
 * @example sinkSeconds(20) // => 5.02
 */
export function sinkSeconds(water: number): number {
  const percent = (100 * SYRUP.sugar) / (SYRUP.grams + Math.max(0, water))
  const above = Math.max(
    1,
    VISCOSITY.findIndex(([sugar]) => sugar >= percent),
  )
  const [[low, thin], [high, thick]] = [VISCOSITY[above - 1]!, VISCOSITY[above]!]
  const viscosity = thin * (thick / thin) ** ((percent - low) / (high - low))
  const speed = ((2 / 9) * (BEAD.density - LIQUID_DENSITY) * GRAVITY * BEAD.radius ** 2) / viscosity
  return (WAY / speed) * WALL
}
