import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import { mostSaidSentence, sortedAgreementSentence, sortedGradeSentence } from './sorted'
import type { NextTest } from '../agree'
import { luckOf, readOnce, type Apart, type Evidence, type Gap, type Grade } from '../evidence'
import type { Mending } from '../fairness'
import type { AtItsEnd } from '../record'
import { changedFactor, isEachChild, type Plan } from '../lesson'
import { comparesMoments, countsOf, resultUnit, testOf, kindOf } from '../test'
import { KIND_WORDS } from './kinds'
import { onAverageWords, saidAverages } from './averages'
import { writeNumber, isAmount } from '../quantity'
import { hasEnds, putWords } from './best'
import { stepSentences } from './moments'
import { GRADE_NAMES } from './grades'
import { changedWithAll, comesWithWords } from './fairness'
import { knownSentences } from './known'
import { countsWords } from './counts'
import { counted, list, nameOfCondition, nameOfGroup, notWithin, writeAverage, writeReading } from './names'
import { countedOwners } from './owners'

/** The grade as it is shown, said to be the state of things while places are empty. `'Leaning, so far'` */
export function gradeName({ grade, limits }: Pick<Evidence, 'grade' | 'limits'>): string {
  const judged = grade === 'leaning' || grade === 'cannot-tell'
  return judged && limits.includes('unfinished') ? `${GRADE_NAMES[grade]}, so far` : GRADE_NAMES[grade]
}

/** What the grade means for this class's numbers, in one sentence. */
export function gradeSentence(plan: Plan, evidence: Evidence): string {
  const what = whatMadeIt(plan)
  if (evidence.sorted && evidence.grade !== 'not-fair') return sortedGradeSentence(evidence, what)
  switch (evidence.grade) {
    case 'clear':
      return kindOf(plan).allAtOnce
        ? 'The order stands out: luck alone would hardly make one like it.'
        : `${what} made a difference that stands out from ${yardstick(plan, evidence)}.`
    case 'leaning':
      return leaningSentence(evidence)
    case 'cannot-tell':
      return cannotTellSentence(evidence)
    case 'same':
      return `${what} made no difference that our instrument can show.`
    case 'one-condition':
      return oneConditionSentence(plan, evidence)
    case 'not-fair':
      return `No two of them differ in ${changedFactor(plan)?.name ?? 'what we change'} alone, so the numbers cannot answer the question.`
    case 'nothing-yet':
      return kindOf(plan).readsTwice
        ? 'Readings before and after are needed before they can be compared.'
        : 'Readings of two conditions are needed before they can be compared.'
    default:
      return unreachable(evidence.grade)
  }
}

/** What a gap is held against: the wobble where somebody has seen one, else how the groups, or the children, differ. */
function yardstick(plan: Plan, { wobble }: Evidence): string {
  if (wobble !== undefined) return 'the wobble'
  return isEachChild(plan) ? 'how the children differ anyway' : 'how the groups differ anyway'
}

function leaningSentence(evidence: Evidence): string {
  const { limits, wobble, friedman } = evidence
  if (limits.includes('one-reading-each')) return 'There is a gap, but with one reading each nobody can say how much of it is luck.'
  if (limits.includes('uneven-readings')) return `There is a gap, but ${weakestWords(evidence)}`
  if (limits.includes('same-thing'))
    return 'These things differ in our readings. Whether others of their kind would, the same one read again cannot say.'
  if (limits.includes('no-freedom'))
    return 'There is a gap, but the groups did too few of the same things to tell it from how groups differ.'
  if (limits.includes('unfinished'))
    return 'So far there is a gap, and places are still empty: wait for them before you call it clear.'
  if (limits.includes('also-seen'))
    return 'There is a gap. It was looked at besides the main question: a hint of what to test next.'
  if (manyChances(evidence)) return `There is a gap, but ${manyChances(evidence)}`
  if (friedman) return 'An order shows, but luck alone could still make one like it.'
  return wobble === undefined
    ? 'There is a gap, but the groups differ enough to make one like it by luck.'
    : 'There is a gap, but wobble alone could still make one like it.'
}

/** Where several questions at once are why it is no surer; undefined where it would be no surer alone. */
function manyChances(evidence: Evidence): string | undefined {
  const { family, grade } = evidence
  const [luck, alone] = [luckOf(evidence), ALONE_SURER[grade]]
  if (!family || luck === undefined || alone === undefined || luck > alone || family.p <= alone) return undefined
  return `${family.of} questions are asked at once, and luck has as many chances to make one.`
}

/** At this or below it would have a better grade by itself. */
const ALONE_SURER: Partial<Record<Grade, number>> = { leaning: 0.05, 'cannot-tell': 0.2 }

/** The weakest link, with the counts that were really done. `'3 of the 4 were read only once: nobody has seen how much they wobble.'` */
function weakestWords({ fit, summaries }: Evidence): string {
  const once = readOnce(fit?.cells ?? []).length
  return `${once} of the ${summaries.length} ${once === 1 ? 'was' : 'were'} read only once: nobody has seen how much ${once === 1 ? 'it wobbles' : 'they wobble'}.`
}

function cannotTellSentence(evidence: Evidence): string {
  const { limits, wobble, friedman, tied, order } = evidence
  const soFar = limits.includes('unfinished') ? 'So far ' : ''
  const begun = (text: string) => (soFar === '' ? sentenceCase(text) : soFar + text)
  if (tied.length > 1 && tied.length === order.length) return begun('they came out level.')
  if (limits.includes('one-reading-each'))
    return begun('the gap is small, and with one reading each nobody can say what luck makes.')
  if (limits.includes('uneven-readings')) return begun(weakestWords(evidence))
  if (manyChances(evidence)) return begun(`there may be a gap, but ${manyChances(evidence)}`)
  if (friedman) return begun('the orders agree no better than luck would make them.')
  if (limits.includes('no-freedom')) return begun('the groups did too few of the same things to compare them.')
  return wobble === undefined
    ? begun('the gap is no bigger than the groups differ by anyway.')
    : begun('the gap is no bigger than wobble alone would make.')
}

/** "We looked at kitchen roll only: 61.2 mm on average, from 55 to 66 mm in 21 readings." */
function oneConditionSentence(plan: Plan, evidence: Evidence): string {
  const [only] = evidence.summaries
  const unit = resultUnit(plan)
  if (!only) return 'There are no readings yet.'
  const range =
    only.count > 1
      ? `, from ${writeReading(plan, only.lowest, unit)} to ${writeReading(plan, only.highest, unit)} in ${only.count} readings`
      : ', in one reading'
  const averages = saidAverages(plan, evidence)
  const figure = writeAverage(plan, averages.of(only.condition)!, unit)
  const onAverage = onAverageWords(averages.way)
  if (isEachChild(plan))
    return `${sentenceCase(nameOfCondition(plan, only.condition))}, each child for itself: ${figure} ${onAverage}${range}.`
  return `We looked at ${nameOfCondition(plan, only.condition)} only: ${countsOf(plan) === 'until' ? figure : `${figure} ${onAverage}`}${range}.`
}

/** Why even a wide gap is hardly told apart; empty where there are groups enough. */
export function fewGroupsSentence({ limits }: Evidence): string {
  return limits.includes('few-groups') ? 'With so few groups only a very wide gap can stand out.' : ''
}

/** What may have made a difference, as the subject of a sentence. `'Changing the kind of paper'`, `'Melting'` */
function whatMadeIt(plan: Plan): string {
  if (comparesMoments(plan)) return 'What happened from moment to moment'
  return KIND_WORDS[plan.kind].madeIt(changedWithAll(plan))
}

/** "Kitchen roll is 13.2 mm above tissue: 2.5 times the wobble." What no digit shows is level. */
export function gapSentence(plan: Plan, gap: Gap): string {
  const unit = resultUnit(plan)
  const wobbles = gap.wobbles === undefined ? '' : `: ${writeNumber(gap.wobbles, 1)} times the wobble`
  const [more, less] = [sentenceCase(nameOfCondition(plan, gap.more)), nameOfCondition(plan, gap.less)]
  // One thing is compared with itself.
  const half = !plan.conditions.some(({ id }) => id === gap.more)
  const ordinal = !isAmount(unit)
  if (countsOf(plan) === 'until' && gap.difference === Infinity) return `${more}: ${notWithin(plan)}; ${less} was quicker.`
  const difference = ordinal ? writeNumber(Math.abs(gap.difference), 1) : writeAverage(plan, gap.difference, unit)
  if (!/[1-9]/.test(difference)) return `${more} and ${less} came out level.`
  if (countsOf(plan) === 'until') return `${more} took ${difference} longer than ${less}.`
  if (hasEnds(plan) && !half) return `${more} is ${difference} above ${less}: ${countsWords(plan)}${wobbles.replace(':', ',')}.`
  if (half) return `${more} was ${difference} more than ${less}${wobbles}.`
  if (unit === 'place') return `${more} came in ${difference} places before ${less}, on average.`
  if (unit === 'words') return `${more} is ${difference} words further along than ${less}, on average.`
  return `${more} is ${difference} above ${less}${wobbles}.`
}

/** "6 of 7 groups put kitchen roll first; Elm did not." Empty where there are no groups that could agree. */
export function agreementSentence(plan: Plan, evidence: Evidence): string {
  const first = evidence.order[0]
  const { agreement, tied } = evidence
  if (tied.length > 1) return `${sentenceCase(list(tied.map((id) => nameOfCondition(plan, id))))} came out level.`
  if (!first || !agreement || agreement.asked.length === 0) return ''
  const named = (ids: string[]) => list(ids.map((group) => nameOfGroup(plan, group)))
  const others = agreement.asked.filter((group) => !agreement.agreeing.includes(group) && !agreement.level.includes(group))
  const share = `${agreement.agreeing.length} of ${countedOwners(plan, agreement.asked.length)}`
  const level = agreement.level.length === 0 ? '' : `; ${levelWords(agreement.level)}`
  const not = others.length > 0 && others.length < 4 ? `; ${named(others)} did not` : ''
  if (first === 'before' || first === 'after')
    return `${share} had more ${first} than ${first === 'before' ? 'after' : 'before'}${level}${not}.`
  if (!plan.conditions.some(({ id }) => id === first))
    return `${share} had most at “${nameOfCondition(plan, first)}”${level}${not}.`
  return `${share} ${putWords(plan, nameOfCondition(plan, first))}${level}${not}.`

  function levelWords(ids: string[]): string {
    return ids.length < 4 ? `${named(ids)} had it level` : `${ids.length} had it level`
  }
}

/** A condition that was read at its end. `'Long string gives at least 90 cm: 3 of its readings were at the end, and it may be more.'` */
function atLeastSentence(plan: Plan, { condition, most, readings }: AtItsEnd): string {
  const [name, end] = [sentenceCase(nameOfCondition(plan, condition)), writeReading(plan, most, resultUnit(plan))]
  return `${name}: ${counted(readings, 'reading was', 'readings were')} at the end, ${end}, so its average is “at least”.`
}

/** Two grades where readings were set aside after seeing. */
function setAsideSentence({ setAside }: Evidence): string {
  if (!setAside || setAside.with === setAside.without) return ''
  const were = counted(setAside.readings, 'reading was', 'readings were')
  const [kept, without] = [setAside.with, setAside.without].map((grade) => GRADE_NAMES[grade].toLowerCase())
  return `${sentenceCase(were)} set aside when results could be seen: with ${setAside.readings === 1 ? 'it' : 'them'} “${kept}”, without “${without}”; the weaker one stands. A cause written down in the trial itself would count.`
}

/** Each thing's own change, against none at all. `'Each changed by itself: ice by −5.2 g (clear).'` */
export function fromNothingSentence(plan: Plan, { fromNothing }: Evidence): string {
  if (fromNothing.length === 0) return ''
  const unit = resultUnit(plan)
  const each = fromNothing.map(({ condition, mean, grade }) => {
    return `${nameOfCondition(plan, condition)} by ${writeAverage(plan, mean, unit)} (${grade === 'same' ? 'no change we can show' : GRADE_NAMES[grade].toLowerCase()})`
  })
  const small = fromNothing.filter(({ needsControl }) => needsControl).map(({ condition }) => nameOfCondition(plan, condition))
  const control =
    small.length === 0
      ? ''
      : ` So small a change of ${list(small)} could be the instrument’s own: measure something beside it that cannot change, such as a stone or a closed jar.`
  return `Against no change at all: ${list(each)}.${control}`
}

/** What cannot be compared and why, the condition that would mend it, and what this set-up can answer all the same. */
export function unfairSentences(plan: Plan, { notFair }: Evidence): string[] {
  if (!notFair) return []
  const apart = notFair.compared.length > 0 ? notFair.apart : notFair.apart.slice(1)
  return [...apart.map((one) => apartSentence(plan, one)), ...answerSentences(plan, notFair.answers)]
}

/** Which questions a set-up that is not fair can answer all the same. */
export function answerSentences(plan: Plan, answers: NonNullable<Evidence['notFair']>['answers'] = []): string[] {
  const measure = testOf(plan).measure?.name ?? 'the result'
  return answers.map(
    ({ factor, conditions }) =>
      `It can answer how ${factorName(plan, factor)} changes ${measure}: ${list(conditions.map((id) => nameOfCondition(plan, id)))} differ in nothing else.`,
  )
}

function apartSentence(plan: Plan, { condition, differing, unknown, mend }: Apart): string {
  const name = nameOfCondition(plan, condition)
  const why = [
    ...differing.map((id) => `${factorName(plan, id)} was different`),
    ...unknown.filter((id) => !differing.includes(id)).map((id) => `nobody knows ${factorName(plan, id)}`),
  ]
  const known = mend.filter(({ value }) => value !== '' && value !== '?')
  const add = known.length > 0 ? ` Add ${name} with ${mendingWords(plan, known)}.` : ''
  return `${sentenceCase(name)} is not a fair comparison${why.length > 0 ? `: ${list(why)}` : ''}.${add}`
}

/** `'lid: none and place: sill'` */
export function mendingWords(plan: Plan, mending: Mending[]): string {
  return list(mending.map(({ factor, value }) => `${factorName(plan, factor)}: ${value}`))
}

function factorName(plan: Plan, id: string): string {
  return plan.factors.find((factor) => factor.id === id)?.name || 'a factor'
}

/** Why a lesson that was graded before has another grade now; empty where it has not. */
export function judgedAnewSentence(before: Grade | undefined): string {
  if (before === undefined) return ''
  return `Judged anew since version 7: until then each reading counted by itself, which said “${GRADE_NAMES[before].toLowerCase()}”. Now each group’s average counts once, fair pairs only, and nothing is clear while places are empty.`
}

/** All that goes with the grade in words, for screen, board and paper alike. */
export function sureSentences(plan: Plan, evidence: Evidence): string[] {
  return [
    gradeSentence(plan, evidence),
    fewGroupsSentence(evidence),
    evidence.summaries.length > 1 ? comesWithWords(plan) : '',
    setAsideSentence(evidence),
    fromNothingSentence(plan, evidence),
    ...stepSentences(plan, evidence),
    ...evidence.atLeast.map((one) => atLeastSentence(plan, one)),
    ...knownSentences(plan, evidence.known),
    evidence.spread ? agreementSentence(plan, evidence) : '',
    ...(evidence.sorted ? [mostSaidSentence(plan, evidence.sorted), sortedAgreementSentence(evidence.sorted)] : []),
    ...unfairSentences(plan, evidence),
  ].filter((sentence) => sentence !== '')
}

/** What could be tested next, as a question. `'How does the width of the strip change how high water climbs?'` */
export function nextQuestion(next: NextTest): string {
  return next.from === 'wondering' ? next.text : `How does ${next.factor} change ${next.measure}?`
}
