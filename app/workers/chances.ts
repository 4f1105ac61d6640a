import { chancesByRepeats, type Outlook } from '~~/core/measuring'

/** Answers one question at a time; a page that asks anew ends this worker and starts another. */
self.onmessage = ({ data }: MessageEvent<Pick<Outlook, 'means' | 'total' | 'byPlaces'>>) => self.postMessage(chancesByRepeats(data))
