import { changedFactor, mainWords, type Plan, withoutEnding } from '../../lesson'
import { type Quality, unitOf } from '../../quantity'
import { countsOf, resultUnit, testOf } from '../../test'
import { HEDGED } from './lexicon'
import type { ComparingMention, Stretch } from './stretch'
import { unitOfWhat } from './order'
import { isAbout } from './plainly'

export const isATime = (plan: Plan) => unitOf(resultUnit(plan)).dimension === 'time' || countsOf(plan) === 'until'

/** Properties of a thing that an instrument for something else does not show. */
const PROPERTIES: readonly Quality[] = ['speed', 'strength', 'weight', 'warmth', 'loudness', 'light', 'wetness']

/** How large something became is a length. */
const LASTS = /\b(?:keeps?|kept|stays?|stayed|lasts?|lasted) (?:\p{L}+ ){0,3}$/u

const IS_THE = /\b(?:is|was) (?:\p{L}+ )?the $/u

const GROWN = /^(?:tall|wid|broad|deep)/

const OF_THINGS: readonly Quality[] = ['width', 'length', 'depth']

export const saysPerTime = (plan: Plan) =>
  /\b(?:per|in|each|every) (?:a |one |ten )?(?:second|minute|hour|day)/.test(testOf(plan).measure?.name ?? '')

/** How much in a second, where nobody looked at the clock. */
export const PER_TIME = /^ (?:\p{L}+ )?(?:per|each|every) (?:second|minute|hour|day)\b/u

/** How much of something is held is not how high it climbs. */
const HOLDS = /\b(?:holds?|held|keeps?|kept|carries|carried|stores?) (?:the )?$/

export function isUnmeasured(
  { word, quality, from, to, of }: ComparingMention,
  clause: Stretch,
  plan: Plan,
  explained: boolean,
): boolean {
  // What stands before a colon is explained behind it.
  if (HEDGED.test(clause.text) || explained) return false
  if (quality === 'size' && (unitOfWhat(of) || PER_TIME.test(clause.text.slice(to - clause.from)))) return true
  if (quality === 'size' && of !== undefined && HOLDS.test(clause.text.slice(0, from - clause.from))) return true
  // "The thickest paper" is said of the thing itself.
  const noun = /^\s+(\p{L}{3,})/u.exec(clause.text.slice(to - clause.from))?.[1]
  const ofThing = noun !== undefined && mainWords(changedFactor(plan)?.name ?? '').includes(withoutEnding(noun))
  // "Keeps water warm longest", where degrees were read.
  if (quality === 'length' && LASTS.test(clause.text.slice(0, from - clause.from)) && !isATime(plan)) return true
  // "Kitchen roll is the thickest" is said of the thing, whatever length was read.
  if (
    quality === 'width' &&
    IS_THE.test(clause.text.slice(0, from - clause.from)) &&
    ![...plan.factors, ...plan.measures].some(({ name }) => isAbout(name, quality))
  )
    return true
  const grows = GROWN.test(word) && unitOf(resultUnit(plan)).dimension !== 'length'
  if (!PROPERTIES.includes(quality) && !grows && !(ofThing && OF_THINGS.includes(quality))) return false
  const cards = ofThing ? [changedFactor(plan)!] : plan.factors
  return ![...cards, ...plan.measures].some(({ name }) => isAbout(name, quality))
}
