import { drawNormal, type Random } from '../chance'
import { roundToMark } from '../quantity'

/** A device that sends a number every so often, as one that is plugged in would. */
export interface StreamingDevice {
  /** Seconds between two numbers. */
  every: number
  /** Standard deviation of one number, as a share of the marks it shows. */
  noiseInMarks: number
  /** Marks by which it creeps away in a minute. */
  driftInMarks: number
  /** Share of the times at which nothing comes. */
  dropOut: number
  /** Seconds until it has settled to two thirds of what it measures; 0 for at once. */
  settles: number
}

export const STREAMING = {
  probe: { every: 0.5, noiseInMarks: 0.4, driftInMarks: 0.3, dropOut: 0.04, settles: 6 },
  scale: { every: 0.4, noiseInMarks: 0.5, driftInMarks: 0.8, dropOut: 0.03, settles: 0.8 },
  gate: { every: 0.5, noiseInMarks: 1, driftInMarks: 0, dropOut: 0.05, settles: 0 },
} satisfies Record<string, StreamingDevice>

/**
 * What a simulated device sends at a time after it was put in place; undefined where it drops out.
 * @param truth what is measured, in the unit of the mark
 * @param rest  what the device shows before it is in place
 * @example streamed(STREAMING.probe, { truth: 40, rest: 20, mark: 1, seconds: 60 }, seededRandom(1)) // => 40
 */
export function streamed(
  device: StreamingDevice,
  { truth, rest, mark, seconds }: { truth: number; rest: number; mark: number; seconds: number },
  random: Random,
): number | undefined {
  const [lost, noise] = [random() < device.dropOut, drawNormal(random)]
  if (lost) return undefined
  const settled = device.settles === 0 ? 1 : 1 - Math.exp(-seconds / device.settles)
  const drift = (device.driftInMarks * mark * seconds) / 60
  return roundToMark(rest + (truth - rest) * settled + drift + device.noiseInMarks * mark * noise, mark)
}
