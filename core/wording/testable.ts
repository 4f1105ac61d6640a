import { isClause } from './kinds'
import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import type { Plan, TestableCheck } from '../lesson'
import type { Because, Testable, TestableAnswer } from '../wonder'
import { cautionWords, doerWords } from './cautions'
import { minuteWords } from './clock'
import { ofHundred } from './names'

export const CHECK_WORDS: Record<TestableCheck, string> = {
  change: 'Something to change?',
  measure: 'Something to measure or rank?',
  time: 'Does it fit the time?',
  safe: 'Is it safe for children?',
}

export const VERDICT_WORDS: Record<Testable['verdict'], { name: string; mark: string }> = {
  yes: { name: 'testable', mark: '✓' },
  nearly: { name: 'nearly', mark: '~' },
  'not-yet': { name: 'not yet', mark: '–' },
}

export const ANSWER_WORDS: Record<TestableAnswer['answer'], string> = { yes: 'Yes', partly: 'Partly', no: 'No' }

/** Why a check came out as it did, in one line. */
export function becauseWords(because: Because, plan: Plan): string {
  switch (because.code) {
    case 'names-factor':
      return `It is about ${plan.factors.find(({ id }) => id === because.factor)?.name ?? 'a card of yours'}.`
    case 'sounds-changeable':
      return `We could change ${because.thing}.`
    case 'asks-why':
      return 'A “why” cannot be tested as it stands. Ask what would change it.'
    case 'nothing-to-change':
      return 'It does not say what we would make different.'
    case 'ask-change':
      return 'What would we make different? Ask whoever wonders.'
    case 'names-measure':
      return `We could measure ${plan.measures.find(({ id }) => id === because.measure)?.name ?? 'a card of yours'}.`
    case 'sounds-measurable':
      return `“${sentenceCase(because.word)}” can be measured.`
    case 'can-be-ranked':
      return `“${sentenceCase(because.word)}” can be counted or put in order.`
    case 'opinion':
      return `“${sentenceCase(because.word)}” is a matter of taste; ask for something that anybody would see alike.`
    case 'nothing-to-measure':
      return 'It does not say what we would look at to know.'
    case 'fits':
      return `About ${minuteWords(because.minutes)} of testing: that fits in ${ofHundred(because.chance)} classes.`
    case 'too-long':
      return `About ${minuteWords(because.minutes)} of testing, ${minuteWords(because.over)} too long. The Clock shows what would help.`
    case 'takes-days':
      return `“${sentenceCase(because.word)}” takes longer than a lesson: watch over time, on several days.`
    case 'takes-a-while':
      return `“${sentenceCase(because.word)}” can take minutes or days: try it out before the lesson.`
    case 'time-unknown':
      return 'Nothing speaks against it; the Clock has no trial times yet.'
    case 'nothing-dangerous':
      return 'Nothing in it sounds dangerous. You know your class and your school’s rules.'
    case 'needs-care':
      return `${sentenceCase(cautionWords(because.caution).name)}: ${doerWords(because.doer)}.`
    case 'not-for-children':
      return `“${sentenceCase(because.word)}” is not for children to try.`
    default:
      return unreachable(because)
  }
}

/** The nearest question that could be tested; empty where no card is in sight for it. */
export function nearestQuestion({ nearest: { change, measure } }: Testable): string {
  if (change.name === '' && measure.name === '') return ''
  return `${isClause({ text: change.name }) ? 'Does' : 'How does'} ${change.name || '…'} change ${measure.name || '…'}?`
}
