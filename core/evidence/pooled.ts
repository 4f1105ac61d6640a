import { gradeOfP, type Grade } from './grade'
import { fitGroupsAndConditions, type Observation } from './model'

/**
 * The grade that counts every reading by itself, as plans before version 7 were judged: kept to explain what changed, and for the bench to compare
 * with.
 * @example pooledGrade([1, 2, 8, 9].map((value, place) => ({ group: 'A', condition: place < 2 ? 'x' : 'y', value })), 1) // => 'clear'
 */
export function pooledGrade(observations: Observation[], resolution: number): Grade {
  const model = fitGroupsAndConditions(observations, resolution)
  if (!model) return 'cannot-tell'
  return model.pairs.every(({ low90, high90 }) => low90 > -resolution && high90 < resolution) ? 'same' : gradeOfP(model.p)
}
