import { type Kind, type Measure, type Plan } from '../lesson'
import { testOf, kindOf, withMethodOn, KINDS_OF_TEST, WAYS_OF_READING, readBy, newMeasure } from '../test'
import { unitOf, type UnitCode } from '../quantity'
import { INSTRUMENTS, withInstrument, type Instrument } from './instruments'

/** What the name of a measure card calls for, one kind of quantity a line: by its first words that fit. */
const CALLED_FOR: [string, RegExp][] = [
  ['counter', /\bhow many\b|\bnumber of\b/i],
  ['thermometer', /\btemperature\b|\bhow (?:hot|warm|cold|cool)\b/i],
  ['scale', /\bmass\b|\bweight\b|\bweighs?\b|\bhow heavy\b/i],
  ['force-meter', /\bforce\b|\bnewtons?\b|\bhow (?:strong|hard) .*\bpull/i],
  ['stopwatch-child', /\b(?:the|what) time\b|\bhow (?:soon|quickly)\b|\bhow long\b.*\b(?:takes?|lasts?|stays?|until|before)\b/i],
  ['words', /\bhow (?:wet|damp|dry|cloudy|clear|dark|mouldy|rusty)\b/i],
  ['tape', /\bhow far\b|\bthe distance\b/i],
  ['ruler-mm', /\bhow (?:high|tall|wide|deep)\b|\bthe (?:height|length|width|depth)\b|\bhow long\b.*\b(?:is|gets|grows)\b/i],
]

/**
 * The instrument that a card's name calls for; undefined where the name leaves it open.
 * @example instrumentForCard('how long it takes to melt')?.unit // => 's'
 */
export function instrumentForCard(name: string): Instrument | undefined {
  const code = CALLED_FOR.find(([, words]) => words.test(name))?.[0]
  return INSTRUMENTS.find((instrument) => instrument.code === code)
}

/** What a class usually reads a unit with; other units have no instrument of their own. */
const USUAL_FOR: Partial<Record<UnitCode, string>> = {
  mm: 'ruler-mm',
  cm: 'tape',
  s: 'stopwatch-child',
  g: 'scale',
  mL: 'jug',
  degC: 'thermometer',
  N: 'force-meter',
  count: 'counter',
  words: 'words',
  sorts: 'sorts',
}
/** Minutes are read on a stopwatch and metres on a tape, as near as those show. */
const READ_AS: Partial<Record<UnitCode, UnitCode>> = { min: 's', m: 'cm', kg: 'g' }

/**
 * The instrument that a unit is usually read with.
 * @example instrumentForUnit('degC')?.tool // => 'thermometer'
 */
export function instrumentForUnit(unit: UnitCode): Instrument | undefined {
  const code = USUAL_FOR[READ_AS[unit] ?? unit]
  return INSTRUMENTS.find((instrument) => instrument.code === code)
}

/** The units that a kind of test can be read in with a usual instrument, in the order in which they are offered. */
export function usualUnits(kind: Kind): UnitCode[] {
  return (Object.keys(USUAL_FOR) as UnitCode[]).filter((unit) => KINDS_OF_TEST[kind].ways.includes(instrumentForUnit(unit)!.reads))
}

/**
 * A new card of a plan of this kind: read in a way that the kind can be read in, with the instrument that its name calls for.
 * @example newCard('order', 'm', 'how heavy it is').method.way // => 'race'
 */
export function newCard(kind: Kind, id: string, name: string): Measure {
  const card = newMeasure(id, name)
  const { ways } = KINDS_OF_TEST[kind]
  const read = ways.includes(card.method.way) ? card : withMethodOn(card, (method) => readBy(method, ways[0]!))
  return { ...withNamedInstrument(read, kind), otherWays: [] }
}

/** A new card with the instrument that its name calls for, where this kind of test can be read with it. */
export function withNamedInstrument(measure: Measure, kind: Kind): Measure {
  const instrument = instrumentForCard(measure.name)
  if (!instrument || !KINDS_OF_TEST[kind].ways.includes(instrument.reads)) return measure
  return withMethodOn(measure, (method) => withInstrument(method, instrument))
}

/**
 * The instrument that the measured card's name calls for where the plan has one for something else: seconds for a height.
 * @example misfitOf(soakUpPlan()) // => undefined
 */
export function misfitOf(plan: Plan): Instrument | undefined {
  const { measure, way, unit } = testOf(plan)
  const wanted = measure && instrumentForCard(measure.name)
  if (!measure || !wanted || !kindOf(plan).ways.includes(wanted.reads)) return undefined
  if (way.isPlace) return undefined
  const fits = wanted.reads === way.code && unitOf(wanted.unit).dimension === unitOf(unit).dimension
  // A height may be told in words, and nobody has to weigh what can be counted.
  return fits || (way.fromWords && WAYS_OF_READING[wanted.reads].isAmount) ? undefined : wanted
}
