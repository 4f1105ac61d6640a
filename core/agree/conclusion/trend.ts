import { evenedOf, type Evidence } from '../../evidence'
import { changedFactor, conditionValue, type Plan } from '../../lesson'
import { NEGATED, NOT_FOUND } from './lexicon'
import { isAbout, type ComparingMention, type Stretch } from './mentions'
import { placesOf, sideOf, type Judged } from './order'
import { ofSetUp } from './setUp'

const CORRELATED = /\bthe (\p{L}+)\b(.*?),? the (\p{L}+)\b/u

/** "The further …, the shorter …", "moving it closer makes the shadow longer", "longer strings swing slower". */
export function readTrend(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged | undefined {
  if (plan.conditionsAs !== 'numbers' || sentence.mentions.some(({ kind }) => kind === 'condition')) return undefined
  const words = sentence.mentions.filter((one): one is ComparingMention => one.kind === 'comparing' && !one.superlative)
  const [cause, effect] = words
  const joined = CORRELATED.test(sentence.text) || /\b(makes?|made|gives?|means?|lets?)\b/.test(sentence.text)
  const changed = changedFactor(plan)
  const about = cause && changed && (isAbout(changed.name, cause.quality) || cause.quality === 'size' || joined)
  if (!cause || !effect || !about || NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return undefined
  const at = placesOf(cause, effect)
  const setUp = ofSetUp(cause, sentence, plan)
  if (setUp && !setUp.tested) return { code: 'not-tested', factor: setUp.factor.id, at: placesOf(cause) }
  const rising = risingOf(plan, evidence)
  const said = (cause.side === 'more') === (sideOf(effect, sentence.text, plan, evidence) === 'more')
  if (evidence.grade === 'not-fair') return { code: 'not-fair', named: undefined, at }
  if (evidence.grade !== 'clear' && !hedged)
    return { code: 'claims-too-much', grade: evidence.grade, at, words: words.map(({ word }) => word) }
  if (rising === undefined) return undefined
  return said === rising ? { code: 'right', at } : { code: 'wrong-direction', named: undefined, at }
}

/** Do the averages go up with the numbers all the way, or down; undefined where they do neither. */
function risingOf(plan: Plan, evidence: Evidence): boolean | undefined {
  const sorted = evidence.order
    .flatMap((id) => {
      const condition = plan.conditions.find((one) => one.id === id)
      const number = condition && conditionValue(plan, condition)
      const evened = evenedOf(evidence, id)
      return number === undefined || evened === undefined ? [] : [{ number, evened }]
    })
    .sort((a, b) => a.number - b.number)
  const steps = sorted.slice(1).map((one, place) => Math.sign(one.evened - sorted[place]!.evened))
  return steps.length > 0 && steps.every((step) => step === steps[0] && step !== 0) ? steps[0] === 1 : undefined
}
