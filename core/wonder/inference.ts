import type { Plan, Remark } from '../lesson'

/** What nobody sees, and a name is given to all the same. */
const NAMES_OF_CAUSES =
  'mou?ld|rust|dust|air|gas|steam|germs|bacteria|poison|magic|electricity|magnetism|static|oxygen|acid|gravity|rotten|rotting|alive|dead|dying|thirsty|hungry|tired|sad|happy|scared|angry|asleep|breathing|growing'

// Words that give a guess away: a cause, a certainty that cannot be seen, a name for what it "really" is, a wish of a thing.
const GIVEAWAYS = new RegExp(
  String.raw`\b(because(?: of)?|must be|must have|has to be|so that|which is why|that'?s why|that is an?|it is an?|(?:that|it|this)(?: is|'s) \p{L}+ (?:growing|coming|eating|leaking|breathing|hiding|escaping)|(?:that|it|this)(?: is|'s|’s) (?:${NAMES_OF_CAUSES})|probably|maybe|perhaps|i (?:think|guess|bet)|(?:wants?|likes?|tries|trying|needs?) to|caused? by|due to)\b`,
  'giu',
)

/**
 * The words in a remark that sound like a guess at a cause rather than something seen, heard or felt.
 * @example inferenceWords('it must be thirsty because it is dry') // => ['must be', 'because']
 */
export function inferenceWords(text: string): string[] {
  return [...new Set([...text.matchAll(GIVEAWAYS)].map((match) => match[0].toLowerCase()))]
}

/** Remarks under Noticed that sound like a guess and that nobody said belong there. */
export function doubtfulRemarks(plan: Plan): { remark: Remark; words: string[] }[] {
  return plan.wonder.noticed
    .filter((remark) => !remark.kept)
    .map((remark) => ({ remark, words: inferenceWords(remark.text) }))
    .filter(({ words }) => words.length > 0)
}
