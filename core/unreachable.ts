/**
 * The end of a switch that has a case for everything: the compiler asks for what is missing, and data from elsewhere that slipped through says what it was.
 * @throws with the case that nobody knows
 */
export function unreachable(unknown: never): never {
  throw new Error(`Nobody knows this case: ${JSON.stringify(unknown)?.slice(0, 200)}`)
}
