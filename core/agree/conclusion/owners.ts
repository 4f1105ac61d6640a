import type { Plan } from '../../lesson'
import { boundOf } from './bounds'
import { areJoined, clausesOf } from './mentions'
import { namedIn, type ConditionMention, type FigureMention, type Mention, type Span, type Stretch } from './stretch'
import { isOfPlan } from './ofPlan'

/** A figure, and whose it may be. */
interface FigureOwned {
  figure: FigureMention
  owners: string[]
  /** There is one, and no other may be meant. */
  strict: boolean
  /** It is said of all of them. */
  together: boolean
  /** It stands in a list, or at one end of a "from ... to", each of its own. */
  ofEnd: boolean
}

/**
 * Whose each figure is. In "A … 5, B … 3" a figure follows its condition, in "5 on A, 3 on B" it goes before; where several of one
 * come together, any of the neighbours may be meant.
 */
export function ownersOf(sentence: Stretch, plan: Plan): FigureOwned[] {
  const placed = sentence.mentions.filter(
    (one) => one.kind === 'condition' || (one.kind === 'figure' && !isOfPlan(one, sentence, plan)),
  )
  const before = placed[0]?.kind === 'condition'
  return placed.flatMap((figure, place): FigureOwned[] => {
    if (figure.kind !== 'figure') return []
    // "38 or 39" is said of the same.
    const alternative = placed[place - 1]
    const either =
      alternative?.kind === 'figure' &&
      /^ or (?:\p{L}+ )?$/u.test(sentence.text.slice(alternative.to - sentence.from, figure.from - sentence.from))
    const clause = clausesOf(sentence).find(({ from, to }) => figure.from >= from && figure.to <= to) ?? sentence
    const earlier = runOf(placed.slice(0, either ? place - 1 : place).reverse(), clause)
    const later = runOf(placed.slice(place + 1), clause)
    const [nearest, other] = before ? [earlier, later] : [later, earlier]
    // "From 20 in it came up 11 in, never above 12 in": nobody else is spoken of.
    const all = [...namedIn({ mentions: placed })]
    const near = [...new Set(nearest.length > 0 ? nearest : other)]
    const owners = near.length === 0 && all.length === 1 && boundOf(sentence, figure) ? all : near
    // "Kitchen roll and tissue climbed 61 mm" says it of both; "61 mm and 49 mm" of each its own.
    const alone = placed[place + 1]?.kind !== 'figure' && placed[place - 1]?.kind !== 'figure'
    const [one, next] = placed.slice(place - 2, place)
    const together =
      before && alone && owners.length >= 2 && one !== undefined && next !== undefined && areJoined(sentence, one, next)
    const end = respectively(figure, placed, sentence)
    if (end !== undefined) return [{ figure, owners: end, strict: end.length === 1, together: false, ofEnd: true }]
    return [{ figure, owners, strict: owners.length === 1, together, ofEnd: false }]
  })
}

const BROUGHT =
  /\b(?:brought|brings|took|takes|cut|cuts|lowered|lowers|raised|raises|reduced|reduces|pushed|pulled) (?:it|the \p{L}+|us) (?:down|up|back)? ?from\b/u

/** "18, 13, 7 and 3 clips for 1, 2, 4 and 6 layers", "kitchen roll and card climbed 61 mm and 13 mm": each of its own. */
function inLists(figure: FigureMention, placed: Mention[]): string[] | undefined {
  const half = placed.length / 2
  const [first, second] = [placed.slice(0, half), placed.slice(half)]
  const areAll = (list: Mention[], kind: Mention['kind']) => list.every((one) => one.kind === kind)
  const figuresFirst = areAll(first, 'figure') && areAll(second, 'condition')
  if (half < 2 || !Number.isInteger(half) || (!figuresFirst && !(areAll(first, 'condition') && areAll(second, 'figure'))))
    return undefined
  const [figures, conditions] = figuresFirst ? [first, second] : [second, first]
  const own = conditions[figures.indexOf(figure)]
  return own?.kind === 'condition' ? [own.id] : undefined
}

/** "From 20 in up to 60 in the bounce grew from 11 to 32 inches": the first of the one, the second of the other. */
function respectively(figure: FigureMention, placed: Mention[], { text, from }: Stretch): string[] | undefined {
  const isFromTo = (a: Span | undefined, b: Span | undefined) =>
    a !== undefined &&
    b !== undefined &&
    /\bfrom (?:the |about )?$/.test(text.slice(0, a.from - from)) &&
    /^ (?:\p{L}+ ){0,2}to (?:the |about )?$/u.test(text.slice(a.to - from, b.from - from))
  const [figures, conditions] = (['figure', 'condition'] as const).map((kind) => placed.filter((one) => one.kind === kind))
  const [begun, ended] = conditions as ConditionMention[]
  const listed = inLists(figure, placed)
  if (listed) return listed
  if (figures!.length !== 2 || !isFromTo(figures![0], figures![1])) return undefined
  const isFirst = figures!.indexOf(figure) === 0
  if (conditions!.length === 2 && isFromTo(begun, ended)) return [isFirst ? begun!.id : ended!.id]
  // "The scarf brought it down from 245 cm to 87 cm": from what it was with another.
  if (conditions!.length === 1 && begun!.to <= figures![0]!.from && BROUGHT.test(text)) return isFirst ? [] : [begun!.id]
  return undefined
}

/** The conditions that stand together at the beginning of a list; those of the same part of the sentence, where there are some. */
function runOf(mentions: Mention[], clause: Span): string[] {
  const end = mentions.findIndex((one) => one.kind !== 'condition')
  const run = mentions.slice(0, end < 0 ? undefined : end).filter((one): one is ConditionMention => one.kind === 'condition')
  const here = run.filter(({ from, to }) => from >= clause.from && to <= clause.to)
  return (here.length > 0 ? here : run).map(({ id }) => id)
}
