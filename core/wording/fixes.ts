import { unreachable } from '../unreachable'
import { mendingOf } from '../fairness'
import type { Customs } from '../kit'
import { changedFactor, letterOf, type Plan } from '../lesson'
import { forMeasure } from '../test'
import { unitOf, writeShort, type UnitCode } from '../quantity'
import type { Fix, TargetPlace } from '../secondLook'
import { bestChoices } from './best'
import { dayWords } from './days'
import { mendingWords } from './evidence'
import { PER_WORDS } from './kit'
import { counted, instrumentNamed, list, nameOfCondition, STOP_NAMES, writeReading } from './names'
import { sentenceCase } from './sentenceCase'
import { spelled } from './spelling'
import { wayWords } from './waysToSee'
import { mendWords, wayOutWords } from './waysOut'

/** What a button of the Second look says. */
export function fixWords(fix: Fix, plan: Plan, english: Customs['english'] = 'british'): string {
  const letters = (ids: string[]) => list(ids.map((id) => letterOf(plan, id)))
  switch (fix.code) {
    case 'on-measure':
      return fixWords(fix.fix, forMeasure(plan, fix.measure), english)
    case 'choose-change':
      return `Change ${plan.factors.find((one) => one.id === fix.factor)?.name ?? 'it'}`
    case 'choose-measure':
      return `Measure ${plan.measures.find((one) => one.id === fix.measure)?.name ?? 'it'}`
    case 'move-to-maybe':
      return 'Move to Maybe'
    case 'keep-noticed':
      return 'It was noticed'
    case 'make-factor-same':
      return `Make ${letters(fix.conditions)} the same`
    case 'comes-with':
      return `It comes with ${changedFactor(plan)?.name ?? 'what is changed'}`
    case 'leave-out':
      return `Leave ${letters(fix.conditions)} out`
    case 'say-how':
      return 'One for all'
    case 'add-fair-twin': {
      const mending = mendingOf(plan, fix.condition, fix.like)
      return `Add ${nameOfCondition(plan, fix.condition)} with ${mendingWords(plan, mending)}`
    }
    case 'remove-condition':
      return `Take ${letterOf(plan, fix.condition)} out`
    case 'treat-as-kinds':
      return 'They are kinds'
    case 'set-repeats':
      return `Do ${counted(fix.repeats, 'repeat')}`
    case 'take-instrument':
      return `Take ${instrumentNamed(fix.instrument)}`
    case 'say-best':
      return sentenceCase(bestChoices(plan).find(({ value }) => value === fix.best)?.title ?? '')
    case 'take-used':
      return 'Start less what is left'
    case 'count-by-size':
      return fix.bySize ? 'Its size counts' : 'Its sign counts'
    case 'take-fresh':
      return 'A fresh one each time'
    case 'mix-trials':
      return 'Mix the trials'
    case 'leave-gaps':
      return 'They stay empty'
    case 'take-levels':
      return `Take ${list(fix.values.map((value) => writeShort(value)))} ${unitOf(plan.conditionUnit).symbol}`
    case 'take-comparison':
      return `Compare ${letters(fix.conditions)} only`
    case 'set-words':
      return `Take ${list(fix.words)}`
    case 'set-times':
      return `Take ${list(fix.times.map(String))} ${plan.watch.unit === 'day' ? 'days' : 'minutes'}`
    case 'take-way':
      return wayWords(fix.way, plan)
    case 'set-groups':
      return `Make ${counted(fix.groups, 'group')}`
    case 'say-per':
      return `For ${PER_WORDS[fix.per]}`
    case 'set-spares':
      return 'Enough spares for nine classes in ten'
    case 'take-mend':
      return mendWords(fix.mend).label
    case 'take-way-out':
      return wayOutWords(fix.way, plan, 'pieces').label
    case 'set-date':
      return `Start on ${dayWords(fix.date)}`
    case 'acknowledge-own':
    case 'acknowledge':
      return 'Noted'
    case 'these-were':
      return `These were ${spelled(NAMES_OF_UNITS[fix.unit] ?? unitOf(fix.unit).symbol, english)}`
    case 'keep-reading':
      return 'It is right'
    case 'correct-reading':
      return `Make it ${writeReading(plan, fix.value, fix.unit)}`
    case 'go':
      return fix.target ? GO_WORDS[fix.target.place] : `Go to ${STOP_NAMES[fix.stop]}`
    default:
      return unreachable(fix)
  }
}

const GO_WORDS: Record<TargetPlace, string> = {
  best: 'Say what is best',
  title: 'Name it',
  noticed: 'Write one',
  'new-factor': 'Add one',
  'new-measure': 'Add one',
  'new-condition': 'Add one',
  how: 'Write how',
  condition: 'Change it',
  conditions: 'Show conditions',
  'fair-check': 'Show the table',
  times: 'Write the times',
  words: 'Write the words',
  expected: 'Change the plan',
  'method-tool': 'Show the method',
  'method-unit': 'Show the method',
  'new-material': 'Add one',
  amount: 'Write the amount',
  stock: 'Change stock',
  pack: 'Change the pack',
  price: 'Change the price',
  density: 'Say the density',
  ways: 'Other ways',
  more: 'Choose another',
  'getting-ready': 'Show the list',
  'over-days': 'Other days',
  trial: 'Fill in',
  'trial-order': 'Choose the order',
  things: 'Say which',
  counts: 'Say what counts',
  'by-size': 'Say whether its sign counts',
  'each-is': 'Say what one number is',
  class: 'Say who writes down',
  date: 'Choose a day',
  order: 'Take predictions',
  cell: 'Show it',
  strays: 'Show them',
  empties: 'Weigh them',
  surer: 'What would help',
  conclusion: 'Write it',
}

const NAMES_OF_UNITS: Partial<Record<UnitCode, string>> = {
  mm: 'millimetres',
  cm: 'centimetres',
  m: 'metres',
  in: 'inches',
  g: 'grams',
  kg: 'kilograms',
  mL: 'millilitres',
  L: 'litres',
  s: 'seconds',
  min: 'minutes',
  h: 'hours',
  day: 'days',
  degC: 'degrees Celsius',
  degF: 'degrees Fahrenheit',
  N: 'newtons',
  dB: 'decibels',
  count: 'counts',
  pieces: 'pieces',
}
