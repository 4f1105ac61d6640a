import type { Device } from '../measuring'

export const DEVICE_WORDS: Record<Device, string> = {
  pad: 'number pad',
  stopwatch: 'stopwatch',
  counter: 'counter',
  'start-and-finish': 'start and finish',
  'empty-and-full': 'empty and full',
  picture: 'picture of the scale',
  probe: 'thermometer probe (simulated)',
  scale: 'digital scale (simulated)',
  gate: 'timing gate (simulated)',
}
