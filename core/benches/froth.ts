/** Highest froth in millimetres over the water, and minutes until then: yeast lives about twice as fast for every ten degrees up to a hand's warmth. */
const TOWERS: Record<string, { highest: number; minutes: number }> = {
  cold: { highest: 16, minutes: 60 },
  warm: { highest: 48, minutes: 32 },
  body: { highest: 62, minutes: 21 },
}

/**
 * Height of the froth: gas comes faster and faster, then sugar runs out and bubbles burst. h = H (t/T)^2 exp(2 (1 - t/T)), highest at T.
 * @param water the condition's id
 * @returns millimetres; undefined for water that the model does not know
 * @example frothHeight('body', 21) // => 62
 */
export function frothHeight(water: string, minutes: number): number | undefined {
  const tower = TOWERS[water]
  if (!tower) return undefined
  const part = minutes / tower.minutes
  return tower.highest * part ** 2 * Math.exp(2 * (1 - part))
}
