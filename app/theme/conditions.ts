/** Colour and hatch of a condition, by its place in the plan: the same on card, tray label, station, board and chart. */
export interface ConditionLook {
  colour: string
  hatch: 'plain' | 'rising' | 'level' | 'dots' | 'falling' | 'upright' | 'cross' | 'checks'
}

// Okabe and Ito's colour-blind-safe set, darkened until white letters on it reach 4.5 to 1.
const LOOKS: ConditionLook[] = [
  { colour: '#0b5d95', hatch: 'plain' },
  { colour: '#a34a00', hatch: 'rising' },
  { colour: '#006b4f', hatch: 'level' },
  { colour: '#7a3a86', hatch: 'dots' },
  { colour: '#8a1f3d', hatch: 'falling' },
  { colour: '#5d5a00', hatch: 'upright' },
  { colour: '#37474f', hatch: 'cross' },
  { colour: '#7a4b2a', hatch: 'checks' },
]

export function lookOf(place: number): ConditionLook {
  return LOOKS[((place % LOOKS.length) + LOOKS.length) % LOOKS.length]!
}
