import { COMPARING } from '../quantity'

const MEASURABLE =
  /\b(how (?:far|high|tall|long|fast|many|much|heavy|hot|cold|warm|loud|big|wide|deep|often|strong|quickly|soon|easily)|as (?!well\b|long\b|soon\b)\p{L}+ as|as (?:many|much|long|soon|well)|times?|seconds?|minutes?|centimetres?|temperature|speed|weigh\w*|mass|height|length|distance|count|grows?|growing|(?:change|affect|for) the (?:sound|speed|size|colour|temperature|bounce|time))\b/iu
const RANKED = /\b(first|last|every|all|easier|easiest|more easily)\b/i
/** What anybody can see happen or not: yes or no is a reading, too. */
const HAPPENS =
  /\b(floats?|sinks?|dies?|survives?|tears?|breaks?|bursts?|holds?|hear (?:it|them|that)|goes? up|sticks?|melts?|freezes?|(?:keeps?|stays?) (?:\p{L}+ )?(?:cold|warm|hot|dry|fresh|cool)|stops? (?:it|them))\b/iu
const WHEN = /^\s*when (?!was\b|were\b|did\b)/i
/** "What happens when we add more soap?": what is added is no result. */
const WHAT_HAPPENS = /^\s*what (?:happens|would happen|will happen|if)\b[^?]*?\b(?:if|when|we)\b.*$/iu
const OPINION =
  /\b(pretty|prettier|prettiest|beautiful|nice|nicer|nicest|fun|funny|cool|cute|happy|sad|like it|feel (?:happy|sad|pain))\b/i
const CAUSE = /^\s*(?:why|how come|who|where)\b/i

/** What a wondering would look at, in its own words: something that can be measured, or only put in order, or a matter of taste. */
export type Looked = { code: 'measured' | 'ranked' | 'opinion'; word: string } | undefined

/** @example measurableIn('Does a longer string swing slower?') // => { code: 'ranked', word: 'slower' } */
export function measurableIn(text: string): Looked {
  const opinion = OPINION.exec(text)?.[0]
  if (opinion) return { code: 'opinion', word: opinion.toLowerCase() }
  if (CAUSE.test(text)) return undefined
  if (WHAT_HAPPENS.test(text) && !/\bto (?:the|its)\b/i.test(text)) return undefined
  const measured = MEASURABLE.exec(text)?.[0] ?? WHEN.exec(text)?.[0].trim()
  if (measured) return { code: 'measured', word: measured.toLowerCase() }
  const compared = text
    .match(/\p{L}+/gu)
    ?.filter((word) => COMPARING.has(word.toLowerCase()))
    .at(-1)
  if (/\ball\b[^?]*\bthe same\b/i.test(text)) return undefined
  const ranked = compared ?? /\b\p{L}{3,}er(?= than\b)/iu.exec(text)?.[0] ?? RANKED.exec(text)?.[0] ?? HAPPENS.exec(text)?.[0]
  return ranked ? { code: 'ranked', word: ranked.toLowerCase() } : undefined
}
