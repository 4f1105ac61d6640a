import { bestDraw, type StationTime } from '~~/core/arrangement'

export interface RotaQuestion {
  groups: number
  stations: StationTime[]
  first: number
  draws: number
}

export type RotaNews = { done: number } | { draw: number; finish: number }

const TELL_EVERY = 5

/** Looks through many rotas for one that ends sooner, and tells how far it is. A page that does not want it any more ends the worker. */
self.onmessage = ({ data }: MessageEvent<RotaQuestion>) => {
  const tick = (done: number) => {
    if (done % TELL_EVERY === 0) self.postMessage({ done } satisfies RotaNews)
  }
  self.postMessage(bestDraw({ groups: data.groups, stations: data.stations }, data.draws, data.first, tick) satisfies RotaNews)
}
