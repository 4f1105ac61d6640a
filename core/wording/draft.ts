import type { Draft, DraftChoices, DraftPart, DraftQuestion } from '../draft'
import { fitOf, fitsInTime } from '../clock'
import { changedFactor, type Plan } from '../lesson'
import { instrumentForUnit, usualUnits } from '../measuring'
import { testOf, type Best } from '../test'
import { unitOf, type UnitCode } from '../quantity'
import { bestChoices } from './best'
import { minuteWords } from './clock'
import { instrumentWords, list, nameOfCondition } from './names'
import { countedOwners } from './owners'
import { conditionsWords, trayWords } from './question'
import { sentenceCase } from './sentenceCase'

/** What a part of a draft is called. */
export function draftPartName(part: DraftPart, plan: Plan): string {
  switch (part) {
    case 'kind':
      return 'Kind of test'
    case 'change':
      return trayWords(plan.kind).change.name
    case 'conditions':
      return conditionsWords(plan.kind).name
    case 'measure':
      return trayWords(plan.kind).measure.name
    case 'unit':
      return 'Read with'
    case 'best':
      return 'Best is'
    case 'times':
      return 'Read at'
    case 'repeats':
      return 'Repeats'
    case 'kept':
      return trayWords(plan.kind).keep.name
    case 'kit':
      return 'Kit of a group'
    case 'clock':
      return 'Time'
    case 'each':
      return 'Written down by'
  }
}

/** What stands in a part of a draft that is typed or only told, as it can be read. */
export function draftValue(part: DraftPart, { plan, mends }: Draft): string {
  switch (part) {
    case 'change':
      return changedFactor(plan)?.name ?? ''
    case 'conditions':
      return plan.conditions.map(({ id }) => nameOfCondition(plan, id)).join(', ')
    case 'measure':
      return testOf(plan).measure?.name ?? ''
    case 'times':
      return plan.watch.named.length > 0
        ? list(plan.watch.named.map(({ name }) => name))
        : `${plan.watch.times.join(', ')} ${plan.watch.unit === 'day' ? 'days' : 'min'}`
    case 'kit':
      return plan.materials
        .map(({ name, amount }) =>
          amount === '' || amount === '1' ? name : /[a-z]/i.test(amount) ? `${amount} ${name}` : `${amount} × ${name}`,
        )
        .join(', ')
    case 'clock': {
      const { needed, spare } = fitOf(plan)
      const fits = fitsInTime(plan) ? '' : spare < 0 ? ': too long' : ': too long for more than one class in ten'
      const helped = mends.map((code) => HELPED[code])
      return `${minuteWords(needed)} of ${plan.clock.minutes}${fits}${helped.length > 0 ? `, since ${list(helped)}` : ''}`
    }
    case 'each':
      return `each of ${countedOwners(plan, plan.groups.length)}`
    default:
      return ''
  }
}

const HELPED: Record<Draft['mends'][number], string> = {
  'fetch-while-predicting': 'one child fetches while the others predict',
  'side-by-side': 'trials run side by side',
  'share-out': 'groups share out the conditions',
  'less-practice': 'there is less practice',
  'fewer-repeats': 'there are fewer repeats',
  'longer-lesson': 'the lesson is longer',
}

/** A question about a draft, with its buttons: what each says, and what it chooses. */
export function draftQuestion(
  question: DraftQuestion,
  draft: Draft,
): { text: string; typed: string; answers: { title: string; choices: DraftChoices }[] } {
  const { plan } = draft
  switch (question.part) {
    case 'measure':
      return {
        text: testOf(plan).measure ? 'That could be told in more than one way. Which?' : 'How shall we tell? What do we look at?',
        typed: 'or in your words: how …',
        answers: question.choices.map(({ name, unit }) => ({
          title: `${name}: ${unitTitle(unit)}`,
          choices: { measure: name, unit },
        })),
      }
    case 'unit':
      return {
        text: `With what is ${testOf(plan).measure?.name ?? 'it'} read?`,
        typed: '',
        answers: question.choices.map((unit) => ({ title: unitTitle(unit), choices: { unit } })),
      }
    case 'change':
      return {
        text:
          plan.conditions.length > 0
            ? `What differs between ${list(plan.conditions.map(({ id }) => nameOfCondition(plan, id)))}?`
            : 'What do we change on purpose?',
        typed: 'or in your words: the kind of …',
        answers: question.choices.map((change) => ({ title: change, choices: { change } })),
      }
    case 'conditions':
      return {
        text: `Which ones? ${sentenceCase(changedFactor(plan)?.name ?? 'what we change')} is made different on purpose.`,
        typed: `${question.choices.length > 0 ? 'or ' : ''}type them: wool, cotton and foil`,
        answers: question.choices.map((conditions) => ({ title: conditions, choices: { conditions } })),
      }
    case 'best':
      return {
        text: `Which end of ${testOf(plan).measure?.name ?? 'it'} is best?`,
        typed: '',
        answers: bestChoices(plan)
          .filter(({ value }) => question.choices.includes(value))
          .map(({ value, title }) => ({ title, choices: { best: value } })),
      }
  }
}

function unitTitle(unit: UnitCode): string {
  const instrument = instrumentForUnit(unit)
  return instrument ? instrumentWords(instrument) : unitOf(unit).symbol
}

/** The tools that a draft can be read with, as a choice says them. */
export function draftTools(plan: Plan): { value: UnitCode; title: string }[] {
  return usualUnits(plan.kind).map((value) => ({ value, title: unitTitle(value) }))
}

/** What can be best of a draft, in its own words: a number is typed on Plan. */
export function draftBests(plan: Plan): { value: Best; title: string }[] {
  return bestChoices(plan).filter(({ value }) => value !== 'nearest')
}
