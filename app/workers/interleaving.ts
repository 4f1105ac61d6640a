import { interleave, type InterleaveAsk } from '~~/core/together'

const AS_LONG_AS = 450
const LOOK_EVERY = 8

/** Looks for a timetable for as long as nobody minds waiting. A page that asks anew ends this worker and starts another. */
self.onmessage = ({ data }: MessageEvent<InterleaveAsk>) => {
  const until = performance.now() + AS_LONG_AS
  self.postMessage(interleave(data, (tried) => tried % LOOK_EVERY !== 0 || performance.now() < until))
}
