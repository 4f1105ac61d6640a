import { seededRandom } from '~~/core/chance'
import { STREAMING, streamed } from '~~/core/benches'
import { type Plan } from '~~/core/lesson'
import { expectedResultOf } from '~~/core/measuring'
import { testOf, type Device } from '~~/core/test'

/** Where a device's numbers come from: one that is plugged in, or a stand-in for it. */
export interface InstrumentSource {
  simulated: boolean
  /** Calls back with every number, in the plan's unit, or with nothing where it drops out; the answer ends it. */
  open(onNumber: (value: number | undefined) => void): () => void
}

type Streaming = keyof typeof STREAMING
const REST: Record<Streaming, number> = { probe: 20, scale: 0, gate: 0 }
const USUAL: Record<Streaming, number> = { probe: 40, scale: 100, gate: 2 }

/**
 * The source of a streaming device. A page on plain http may not speak to what is plugged in (browsers keep serial ports and
 * Bluetooth for secure pages), so each of them is the stand-in: it sends what the plan expects with noise, drift and drop-outs.
 */
export function sourceFor(device: Device, plan: Plan, condition: string): InstrumentSource {
  return simulatedSource(device as Streaming, plan, condition)
}

function simulatedSource(device: Streaming, plan: Plan, condition: string): InstrumentSource {
  const mark = testOf(plan).resolution
  const truth = expectedResultOf(plan, condition) ?? USUAL[device]
  return {
    simulated: true,
    open(onNumber) {
      const random = seededRandom(Math.floor(performance.now()))
      const stream = STREAMING[device]
      let seconds = 0
      const timer = setInterval(() => {
        seconds += stream.every
        onNumber(streamed(stream, { truth, rest: REST[device], mark, seconds }, random))
      }, stream.every * 1000)
      return () => clearInterval(timer)
    },
  }
}
