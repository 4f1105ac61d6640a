import { LONGEST, MOST, newFactor, type Condition, type Factor, type Kind, type Measure, type Plan } from '../lesson'
import { instrumentForUnit, withInstrument } from '../measuring'
import { numberOf, readQuantity, type UnitCode } from '../quantity'
import { kindOf, KINDS_OF_TEST, MOST_WORDS, newMeasure, readBy, WAYS_OF_READING, withMethodOn } from '../test'
import { momentsIn } from './moments'
import type { LineRead } from './readLine'
import type { Usual } from './usual'

/** A plan on its way, with what was read and what usually goes with it. */
export interface Step {
  plan: Plan
  line: string
  read: LineRead
  usual: Usual
  newId: () => string
}

export function withCards({ plan, line, read, newId }: Step): Plan {
  const kind = read.kind!
  const happens = KINDS_OF_TEST[kind].readsTwice ? happensIn(line) : ''
  const change = read.change === '' && happens === '' ? undefined : factorOf(read.change || happens, newId())
  const measure = read.measure === '' ? undefined : measured(read, kind, newId())
  return {
    ...plan,
    kind,
    factors: [...plan.factors, ...(change ? [change] : [])],
    changed: change?.id ?? plan.changed,
    measures: [...plan.measures, ...(measure ? [measure] : [])],
    measured: measure?.id ?? plan.measured,
  }
}

/** What happens between before and after: "let it melt" is melting, "before and after star jumps" the star jumps. */
function happensIn(line: string): string {
  const left = /\b(?:let|leave|left) (?:it|them) (?:to )?(?<verb>\p{L}+)/iu.exec(line)?.groups?.verb
  if (left) return `${left.toLowerCase().replace(/(?<=[^aeiou])e$/, '')}ing`
  const after = /\bafter (?<thing>(?!it\b|we\b|they\b)(?:the |a |an )?[\p{L}-]+(?: [\p{L}-]+)?)\s*[?.!]?$/iu.exec(line)?.groups
    ?.thing
  return after ?? ''
}

export function factorOf(name: string, id: string): Factor {
  return newFactor(id, name.slice(0, LONGEST.name))
}

function measured(read: LineRead, kind: Kind, id: string): Measure {
  const { ways } = KINDS_OF_TEST[kind]
  const way = read.way ?? ways[0]!
  const instrument = read.unit && instrumentForUnit(read.unit)
  const card = withMethodOn(newMeasure(id, read.measure.slice(0, LONGEST.name)), (method) => {
    if (!instrument || !ways.includes(instrument.reads)) return readBy(method, ways.includes(way) ? way : ways[0]!)
    const begun = withInstrument(method, instrument)
    return read.words.length > 1 && WAYS_OF_READING[begun.way].fromWords
      ? { ...begun, words: read.words.slice(0, MOST_WORDS) }
      : begun
  })
  return { ...card, otherWays: [] }
}

export function withConditions({ plan, line, read, newId }: Step): Plan {
  const labels = read.conditions.length > 0 ? read.conditions : plan.conditions.length > 0 ? [] : usualConditions(read, line)
  const unit = read.conditionUnit ?? 'count'
  const conditions = labels.slice(0, MOST.conditions).map((label): Condition => ({
    id: newId(),
    label: inUnit(label, unit, read.as).slice(0, LONGEST.name),
    baseline: /^(?:nothing|none|without|no )\b/i.test(label),
    leftOut: false,
  }))
  return {
    ...plan,
    conditions: [...plan.conditions, ...conditions],
    conditionsAs: read.as,
    conditionUnit: read.as === 'numbers' ? unit : plan.conditionUnit,
  }
}

/** A number without its unit where it is the plan's own: the plan writes it. */
function inUnit(label: string, unit: UnitCode, as: LineRead['as']): string {
  if (as === 'kinds') return label
  const quantity = readQuantity(label, { unit })
  return quantity.ok && (quantity.writtenUnit === null || quantity.writtenUnit === unit)
    ? label.replace(/[^\d.,/½¼¾]+$/, '')
    : label
}

/** Three tries of what is built, the stones that are put in order, the one thing that is weighed twice. */
function usualConditions({ kind, change }: LineRead, line: string): string[] {
  const { improves, allAtOnce, readsTwice, watches } = KINDS_OF_TEST[kind!]
  if (improves) {
    const tries = /\b(?<count>\d+|two|three|four|five|six) (?:tries|goes|attempts|designs|versions)\b/iu.exec(line)?.groups?.count
    return ['first try', 'second try', 'third try', 'fourth try', 'fifth try', 'sixth try'].slice(
      0,
      tries ? Math.min(6, Math.max(2, numberOf(tries.toLowerCase()))) : 3,
    )
  }
  if (allAtOnce) {
    const noun = change.replace(/^the /, '') || 'thing'
    const count = new RegExp(String.raw`\b(?<count>two|three|four|five|six|seven|eight|[2-9]) (?:[\p{L}-]+ )?${noun}`, 'iu').exec(
      line,
    )?.groups?.count
    return count ? Array.from({ length: numberOf(count.toLowerCase()) }, (_, place) => `${noun} ${place + 1}`) : []
  }
  if (readsTwice) {
    const thing = /\b(?:weigh|measure)\s+(?<thing>(?!before\b|it\b|them\b)(?:the |a |an |our )?[\p{L}-]+(?: of [\p{L}-]+)?)/iu.exec(
      line,
    )?.groups?.thing
    return [thing?.replace(/^(?:the|our|it) ?/i, '').trim() || 'what we read twice']
  }
  if (watches) return ['what we watch']
  return []
}

export function withWatch({ plan, line }: Step): Plan {
  if (!kindOf(plan).watches) return plan
  const { watch } = momentsIn(line)
  return {
    ...plan,
    watch: { ...plan.watch, ...watch },
    repeats: watch.unit === 'day' ? 1 : plan.repeats,
    practice: watch.unit === 'day' ? 0 : plan.practice,
  }
}
