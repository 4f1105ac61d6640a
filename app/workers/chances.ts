import { chancesByRepeats, type Design } from '~~/core/measuring'

/** Answers one question at a time; a page that asks anew ends this worker and starts another. */
self.onmessage = ({ data }: MessageEvent<Design>) => self.postMessage(chancesByRepeats(data))
