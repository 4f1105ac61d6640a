import { fitOf, testEndsOf } from '../clock'
import { cautionsInWords, DOER, type Caution } from '../kit'
import {
  type Doer,
  conditionName,
  mainWords,
  TESTABLE_CHECKS,
  type Factor,
  type Plan,
  type Remark,
  type TestableCheck,
} from '../lesson'
import { kindOf, watchesOverDays } from '../test'
import { changeableIn, changesNothing, isAboutNoChange, readLine, type Changeable } from '../draft'
import { measurableIn } from './measurable'

export type Because =
  | { code: 'names-factor'; factor: string }
  | { code: 'sounds-changeable'; thing: string }
  | { code: 'asks-why' }
  | { code: 'nothing-to-change' }
  | { code: 'ask-change' }
  | { code: 'names-measure'; measure: string }
  | { code: 'sounds-measurable'; word: string }
  | { code: 'can-be-ranked'; word: string }
  | { code: 'opinion'; word: string }
  | { code: 'nothing-to-measure' }
  | { code: 'fits'; minutes: number; chance: number }
  | { code: 'too-long'; minutes: number; over: number }
  | { code: 'takes-days'; word: string }
  | { code: 'takes-a-while'; word: string }
  | { code: 'time-unknown' }
  | { code: 'nothing-dangerous' }
  | { code: 'needs-care'; caution: Caution; doer: Doer }
  | { code: 'not-for-children'; word: string }

export interface TestableAnswer {
  check: TestableCheck
  /** `partly`: with something added or with care. */
  answer: 'yes' | 'partly' | 'no'
  because: Because
  /** The teacher said so, whatever the words suggest. */
  byTeacher: boolean
}

/** A card of the plan, or one that would be new. */
export interface CardOrNew {
  id: string | undefined
  name: string
}

export interface Testable {
  answers: TestableAnswer[]
  verdict: 'yes' | 'nearly' | 'not-yet'
  /** The nearest question that could be tested, as its two cards; a name is empty where nothing in sight would do. */
  nearest: { change: CardOrNew; measure: CardOrNew }
}

/** A wondering is a sentence or two; of a whole page the beginning is read. */
const MOST_READ = 800

/** "Which one goes highest?" is about what is on the table. */
const WHICH_OF_THEM = /\bwhich (?:one|of (?:them|these)|is|goes|comes|does)\b/i
const WHY = /^\s*(?:why|how come|what makes|what is it that|how does it work)\b/i
const DAYS =
  /\b(days?|weeks?|overnight|grow\w*|sprout\w*|tomorrow|rot|rots|rott\w*|decay\w*|decompos\w*|rust\w*|mould\w*|for ever|forever|months?)\b/i
/** Minutes or days, by how much there is of it. */
const A_WHILE = /\b(dry|dries|dried|drying|melt\w*|freez\w*|cools?|cooling|go(?:es)? brown)\b/i
const ROTS = /\b(?:rot|rots|rott\w*|decay\w*|decompos\w*|mould\w*|moldy?)\b/i
const NOT_FOR_CHILDREN =
  /\b(explo\w*|mains|socket|plug|bleach|acid|petrol|poison\w*|drink it|eat it|taste it|set (?:it )?on fire|burn it|jump off|roof|microwave|lightning)\b/i

/**
 * Could we test it? Four checks on a wondering: something to change, something to measure or rank, time, safety. They look at its
 * words, at the plan's cards and at the clock; whatever the teacher answered goes before. Meant to start a talk, not to end one.
 * @example testableOf(plan, wondering('which paper drinks water highest?')).verdict // => 'yes'
 */
export function testableOf(plan: Plan, { text: said, answers }: Pick<Remark, 'text' | 'answers'>): Testable {
  const text = said.slice(0, MOST_READ)
  const change = nearestChange(plan, text)
  const measure = nearestMeasure(plan, text)
  const suggested: Record<TestableCheck, Omit<TestableAnswer, 'check' | 'byTeacher'>> = {
    change: checkChange(plan, text),
    measure: checkMeasure(plan, text),
    time: checkTime(plan, text),
    safe: checkSafety(text),
  }
  const all = TESTABLE_CHECKS.map((check): TestableAnswer => {
    const said = answers[check]
    if (said === undefined) return { check, ...suggested[check], byTeacher: false }
    return { check, answer: said ? 'yes' : 'no', because: suggested[check].because, byTeacher: true }
  })
  return { answers: all, verdict: verdictOf(all), nearest: { change, measure } }
}

function verdictOf(answers: TestableAnswer[]): Testable['verdict'] {
  if (answers.every(({ answer }) => answer === 'yes')) return 'yes'
  // What is missing a card can be mended by the nearest question; what is not safe cannot.
  const barred = answers.some(({ check, answer }) => check === 'safe' && answer === 'no')
  const missing = answers.filter(({ answer }) => answer === 'no').length
  return barred || missing > 1 ? 'not-yet' : 'nearly'
}

type Checked = Omit<TestableAnswer, 'check' | 'byTeacher'>

function checkChange(plan: Plan, text: string): Checked {
  if (WHY.test(text)) return { answer: 'no', because: { code: 'asks-why' } }
  const among = WHICH_OF_THEM.test(text) && plan.conditions.length > 1
  const named = namedIn(plan.factors, text) ?? (among || namesCondition(plan, text) ? changedOf(plan) : undefined)
  if (named) return { answer: 'yes', because: { code: 'names-factor', factor: named.id } }
  const thing = changeOf(text)?.thing
  if (thing) return { answer: 'yes', because: { code: 'sounds-changeable', thing } }
  return changesNothing(text)
    ? { answer: 'no', because: { code: 'nothing-to-change' } }
    : { answer: 'partly', because: { code: 'ask-change' } }
}

function checkMeasure(plan: Plan, text: string): Checked {
  const named = namedIn(plan.measures, text)
  if (named) return { answer: 'yes', because: { code: 'names-measure', measure: named.id } }
  const looked = measurableIn(text)
  if (looked?.code === 'opinion') return { answer: 'no', because: { code: 'opinion', word: looked.word } }
  if (looked?.code === 'measured') return { answer: 'yes', because: { code: 'sounds-measurable', word: looked.word } }
  if (looked) return { answer: 'yes', because: { code: 'can-be-ranked', word: looked.word } }
  return { answer: plan.measures.length > 0 ? 'partly' : 'no', because: { code: 'nothing-to-measure' } }
}

function checkTime(plan: Plan, text: string): Checked {
  const days = DAYS.exec(text)?.[0]
  if (days && !watchesOverDays(plan)) {
    return { answer: 'partly', because: { code: 'takes-days', word: days.toLowerCase() } }
  }
  const slow = kindOf(plan).watches ? undefined : A_WHILE.exec(text)?.[0]
  if (slow) return { answer: 'partly', because: { code: 'takes-a-while', word: slow.toLowerCase() } }
  const fit = fitOf(plan)
  const minutes = fit.phases.find(({ phase }) => phase === 'test')!.minutes
  if (minutes === 0) return { answer: 'yes', because: { code: 'time-unknown' } }
  if (fit.spare < 0) return { answer: 'partly', because: { code: 'too-long', minutes, over: -fit.spare } }
  const ends = testEndsOf(plan)
  if (!ends) return { answer: 'yes', because: { code: 'time-unknown' } }
  return { answer: ends.fits ? 'yes' : 'partly', because: { code: 'fits', minutes, chance: ends.chance } }
}

function checkSafety(text: string): Checked {
  const barred = NOT_FOR_CHILDREN.exec(text)?.[0]
  if (barred) return { answer: 'no', because: { code: 'not-for-children', word: barred.toLowerCase() } }
  // What rots or goes mouldy is done by children, and never without care.
  const all = cautionsInWords(text)
  const caution =
    all.find((one) => DOER[one] !== 'child') ?? all.find((one) => one === 'mould') ?? (ROTS.test(text) ? 'mould' : undefined)
  return caution
    ? { answer: 'partly', because: { code: 'needs-care', caution, doer: DOER[caution] } }
    : { answer: 'yes', because: { code: 'nothing-dangerous' } }
}

/** The factor that the words come nearest to, else what they would change, else the plan's own or first one. */
function nearestChange(plan: Plan, text: string): CardOrNew {
  const named = namedIn(plan.factors, text)
  if (named) return named
  const thing = WHY.test(text) || namesCondition(plan, text) ? undefined : changeOf(text)
  const close = closest(plan.factors, thing?.thing ?? text)
  if (close) return close
  if (thing && thing.card !== '') return { id: undefined, name: thing.card }
  return changedOf(plan) ?? plan.factors[0] ?? NO_CARD
}

function nearestMeasure(plan: Plan, text: string): CardOrNew {
  const named = namedIn(plan.measures, text) ?? closest(plan.measures, text)
  if (named) return named
  const own = plan.measures.find((measure) => measure.id === plan.measured) ?? plan.measures[0]
  if (own) return own
  // The nearest question does not contradict its own check: a matter of taste names nothing to measure.
  const looked = measurableIn(text)
  const { change, measure } = readLine(text)
  const same = change.startsWith('the number of') && measure.startsWith(`how many ${change.slice('the number of '.length)}`)
  return { id: undefined, name: !looked || looked.code === 'opinion' || same ? '' : measure }
}

/** What a wondering would make different: the card that a draft of it has, too, else what it is about. */
function changeOf(text: string): Changeable | undefined {
  if (isAboutNoChange(text)) return undefined
  const { change } = readLine(text)
  return change === '' ? changeableIn(text) : { thing: change, card: change }
}

function changedOf(plan: Plan): Factor | undefined {
  return plan.factors.find((factor) => factor.id === plan.changed)
}

function namesCondition(plan: Plan, text: string): boolean {
  return plan.conditions.some((condition) => {
    const name = conditionName(plan, condition).trim().toLowerCase()
    return name.length > 2 && text.toLowerCase().includes(name)
  })
}

/** The card whose main words all stand in the text; of several the one with most of them. */
function namedIn<Card extends { id: string; name: string }>(cards: Card[], text: string): Card | undefined {
  const said = mainWords(text)
  const named = cards
    .map((card) => ({ card, own: mainWords(card.name) }))
    .filter(({ own }) => own.length > 0 && own.every((stem) => said.includes(stem)))
  return named.sort((a, b) => b.own.length - a.own.length)[0]?.card
}

/** The card that shares most main words with the text, when it shares any. */
function closest<Card extends { id: string; name: string }>(cards: Card[], text: string): Card | undefined {
  const said = mainWords(text)
  const shared = cards
    .map((card) => ({ card, count: mainWords(card.name).filter((stem) => said.includes(stem)).length }))
    .filter(({ count }) => count > 0)
  return shared.sort((a, b) => b.count - a.count)[0]?.card
}

const NO_CARD: CardOrNew = { id: undefined, name: '' }
