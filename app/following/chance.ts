/** Between 0 and 1, and nobody foresees it: for what opens something. `getRandomValues` is there on a plain-http page, too. */
export function secretRandom(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0]! / 2 ** 32
}
