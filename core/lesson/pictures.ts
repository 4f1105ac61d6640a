import type { Plan } from './plan'
import type { Observation } from './rows/observation'

/** The pictures that a plan and what was seen in the lesson name, each once: of the hook, of words, of observations. */
export function namedPictures(plan: Plan, observations: Pick<Observation, 'picture'>[] = []): string[] {
  const ofWords = plan.measures.flatMap(({ method, otherWays }) =>
    [method, ...otherWays].flatMap((one) => ('wordPictures' in one ? Object.values(one.wordPictures) : [])),
  )
  const seen = observations.flatMap(({ picture }) => (picture === null ? [] : [picture]))
  return [...new Set([...plan.wonder.pictures.map(({ id }) => id), ...ofWords, ...seen])]
}
