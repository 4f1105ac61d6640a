import type { Device } from '../test'

export const DEVICE_WORDS: Record<Device, string> = {
  pad: 'number pad',
  stopwatch: 'stopwatch',
  laps: 'lap timer for several at once',
  counter: 'counter',
  'start-and-finish': 'start and finish',
  'empty-and-full': 'empty and full',
  picture: 'picture of the scale',
  words: 'ordered words',
  probe: 'thermometer probe (simulated)',
  scale: 'digital scale (simulated)',
  gate: 'timing gate (simulated)',
}
