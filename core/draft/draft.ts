import { fitsInTime } from '../clock'
import type { Plan } from '../lesson'
import { bestOf, kindOf, KINDS_OF_TEST, withMethod } from '../test'
import type { UnitCode } from '../quantity'
import { mendsOf, takeMend, type Mend } from '../waysOut'
import { askedOf } from './asked'
import { bestIn } from './bestIn'
import { withCards, withConditions, withWatch } from './fill'
import { withKit, withUsual } from './goesWith'
import { numbersIn } from './lists'
import { momentsIn } from './moments'
import type { Draft, DraftChoices, DraftPart, TakenPart } from './parts'
import { readLine, type LineRead } from './readLine'
import { ANY, usualFor } from './usual'

const MOST_MENDS = 4
const LONGEST_TITLE = 60

/**
 * From a line to a draft of a whole plan: what the line says, what usually goes with it, and what has to be asked.
 * @param begun the plan that it is put into: its class, its day, its length
 * @returns undefined where the line says nothing that a test could be made of
 * @example draftOf('Bubbles', {}, emptyPlan('Puffin', 26, newId), newId) // => undefined
 */
export function draftOf(line: string, choices: DraftChoices, begun: Plan, newId: () => string): Draft | undefined {
  const read = withChoices(readLine(line), choices)
  if (!read.kind) return undefined
  const usual = usualFor([read.change, read.measure, withoutConditions(line, read)])
  const drafted = [withCards, withConditions, withWatch, withUsual, withKit].reduce(
    (plan, step) => step({ plan, line, read, usual, newId }),
    begun,
  )
  const best = choices.best ?? (kindOf(drafted).changesOne ? bestIn(line, read.unit) : undefined)
  const judged = best && drafted.measured ? withMethod(drafted, (method) => ({ ...method, best })) : drafted
  const plan = { ...withTyped(judged, choices), title: judged.title || titleOf(line) }
  return {
    plan,
    taken: takenOf(read, choices, line, plan),
    assumed: assumedOf(read, choices, plan, line),
    asked: askedOf(read, usual, plan),
    asks: Object.fromEntries(
      plan.factors.flatMap(({ id, name }) => {
        const ask = [...usual.factors, ...ANY.factors].find((one) => one.name === name)?.ask
        return ask && id !== plan.changed ? [[id, ask]] : []
      }),
    ),
    mends: [],
  }
}

/** What was typed on the draft goes before what usually is. */
function withTyped(plan: Plan, { hows = {}, repeats = plan.repeats }: DraftChoices): Plan {
  return { ...plan, repeats, factors: plan.factors.map((factor) => ({ ...factor, how: hows[factor.name] ?? factor.how })) }
}

function withChoices(read: LineRead, choices: DraftChoices): LineRead {
  const listed = choices.conditions === undefined ? undefined : listedIn(choices.conditions)
  const measured =
    choices.measure === undefined && choices.unit === undefined
      ? read
      : {
          ...read,
          measure: choices.measure ?? read.measure,
          open: [],
          unit: choices.unit ?? (choices.measure === undefined ? read.unit : readLine(`Measure ${choices.measure}`).unit),
          unitSaid: choices.unit !== undefined,
        }
  return {
    ...measured,
    kind: choices.kind ?? read.kind ?? (Object.keys(choices).length > 0 ? 'fair-test' : undefined),
    kindSaid: read.kindSaid || choices.kind !== undefined,
    change: choices.change ?? read.change,
    changeSaid: read.changeSaid || choices.change !== undefined,
    ...(listed ? { conditions: listed.items, as: listed.as, conditionUnit: listed.unit } : {}),
  }
}

/** What was typed as a list: numbers with a unit, or kinds. */
function listedIn(typed: string): Pick<LineRead, 'as'> & { items: string[]; unit: UnitCode | undefined } {
  const text = typed.trim()
  const numbers = numbersIn(text)
  if (numbers && numbers.quote.length >= text.length - 2) return { items: numbers.items, as: 'numbers', unit: numbers.unit }
  // Typed as a list, every part is one: nothing of it is a sentence.
  const items = text.split(/\s*[,;\n]\s*(?:and\s+|or\s+)?|\s+(?:and|or)\s+/i).filter((item) => item !== '')
  return { items, as: 'kinds', unit: undefined }
}

/** A kitchen roll rolls nowhere: what the conditions are called says nothing of what is done with them. */
function withoutConditions(line: string, { quotes }: LineRead): string {
  return quotes.conditions === undefined ? line : line.replace(quotes.conditions, ' ')
}

/**
 * The draft with the smallest changes after which its lesson fits nine classes in ten; a longer lesson is nothing that a draft decides.
 * @example fitDraft(draftOf('Does a longer string swing slower?', {}, emptyPlan('Puffin', 26, newId), newId)!).mends // => []
 */
export function fitDraft(draft: Draft, { repeats }: Pick<DraftChoices, 'repeats'> = {}): Draft {
  const mends: Mend['code'][] = []
  let now = draft.plan
  while (mends.length < MOST_MENDS && !fitsInTime(now)) {
    const mend = mendsOf(now).find(({ code }) => code !== 'longer-lesson' && (repeats === undefined || code !== 'fewer-repeats'))
    if (!mend) break
    mends.push(mend.code)
    now = takeMend(now, mend)
  }
  return { ...draft, plan: now, mends }
}

/** The line's first sentence, as the lesson's name until somebody gives it another. */
function titleOf(line: string): string {
  const first = line
    .trim()
    .split(/[?.!:\n]/)[0]!
    .trim()
  return first.length <= LONGEST_TITLE ? first : `${first.slice(0, LONGEST_TITLE).replace(/\s+\S*$/, '')} …`
}

function takenOf(read: LineRead, choices: DraftChoices, line: string, plan: Plan): TakenPart[] {
  const { quotes } = read
  const from = (part: DraftPart, is: boolean, quote: string | undefined): TakenPart[] =>
    is && !(part in choices) ? [{ part, quote: quote ?? '' }] : []
  const moments = momentsIn(line)
  return [
    ...from('kind', read.kindSaid, quotes.kind),
    ...from('change', read.changeSaid && read.change !== '', quotes.change),
    ...from('conditions', quotes.conditions !== undefined, quotes.conditions),
    ...from('measure', read.measureSaid, quotes.measure),
    ...from('unit', read.unitSaid && read.unit !== undefined, quotes.measure),
    ...from(
      'best',
      kindOf(plan).changesOne && bestOf(plan) !== 'none',
      line.match(/\b\p{L}+est\b|\b(?:most|least|left|spil\p{L}*|lost?|leak\p{L}*|remain\p{L}*)\b/iu)?.[0],
    ),
    ...(KINDS_OF_TEST[read.kind!].watches && moments.said ? [{ part: 'times' as const, quote: moments.quote }] : []),
  ]
}

function assumedOf(read: LineRead, choices: DraftChoices, plan: Plan, line: string): DraftPart[] {
  const { repeats } = plan
  return [
    ...(read.kindSaid ? [] : ['kind' as const]),
    ...(read.change !== '' && !read.changeSaid ? ['change' as const] : []),
    ...(read.conditions.length === 0 && plan.conditions.length > 0 && choices.conditions === undefined
      ? ['conditions' as const]
      : []),
    ...(read.measure !== '' && !read.measureSaid && choices.measure === undefined ? ['measure' as const] : []),
    ...(read.measure !== '' && read.unit !== undefined && !read.unitSaid ? ['unit' as const] : []),
    ...(kindOf(plan).watches && !momentsIn(line).said ? ['times' as const] : []),
    ...(repeats > 0 ? ['repeats' as const] : []),
    ...(plan.factors.length > (plan.changed ? 1 : 0) ? ['kept' as const] : []),
    ...(plan.materials.length > 0 ? ['kit' as const] : []),
    'clock',
    'each',
  ]
}
