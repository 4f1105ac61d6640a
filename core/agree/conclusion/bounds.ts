import { resultUnit } from '../../test'
import { convert, type Side } from '../../quantity'
import type { Plan } from '../../lesson'
import { AVERAGED } from './lexicon'
import type { FigureMention, Span, Stretch } from './stretch'

/** What is said of all readings: none below a number, none above, or which is the highest. */
export type Bound = 'below' | 'above' | 'all-over' | 'all-under' | 'highest'

/** Up to two words between "never" and what it denies: "never came above". */
const FAR_ON = '(?:\\p{L}+ ){0,2}'
/** Of things that were read, and neither of those who read them ("every group found") nor "all in all". */
const EVERY_READING =
  '(?<!\\b(?:of|in|after) )\\b(?:every|each|all)\\b(?! (?:groups?|teams?|child\\p{L}*|of us|one of us|in all|time)\\b)'
const EVERY_ONE = new RegExp(EVERY_READING, 'u')
const BEFORE_FIGURE: [Bound, RegExp][] = [
  [
    'below',
    new RegExp(
      `\\b(?:at least|never ${FAR_ON}(?:below|under|less than|fewer than)|always ${FAR_ON}(?:over|above|more than)) $`,
      'u',
    ),
  ],
  [
    'above',
    new RegExp(
      `\\b(?:at most|never ${FAR_ON}(?:above|over|more than|beyond|past)|always ${FAR_ON}(?:under|below|less than)) $`,
      'u',
    ),
  ],
  ['below', /\b(?:not (?:one|a single)|none|nobody|no one|no group)\b[^,;:]*? (?:below|under|less than|fewer than) $/],
  ['above', /\b(?:not (?:one|a single)|none|nobody|no one|no group)\b[^,;:]*? (?:above|over|more than|beyond|past) $/],
  ['all-over', new RegExp(`${EVERY_READING}[^,;:]*? (?:past|above|over|more than|beyond) $`, 'u')],
  ['all-under', new RegExp(`${EVERY_READING}[^,;:]*? (?:below|under|less than|fewer than|short of) $`, 'u')],
  ['all-under', /\bnever (?:quite )?(?:reached|got to|came to|made it to) $/],
  ['highest', /\bup to $/],
]

interface BoundSaid {
  holds: Bound
  /** The words that say so; what stands between them says something of its own: "every *wet* strip got past". */
  at: Span[]
  ofEvery: boolean
}

/** The first word and the last ones: "none ... above 17 mm". */
function endsOf(said: string, from: number, figure: Span): Span[] {
  const first = /^(?:not (?:one|a single)|no one|no group|at least|at most|\p{L}+)/u.exec(said)![0]
  const last = /(?:(?:more|less|fewer) than|short of|\p{L}+) $/u.exec(said)![0]
  return [
    { from, to: from + first.length },
    { from: figure.from - last.length, to: figure.to },
  ]
}

/** What the words right before or behind a number say of all readings, and where they begin. */
export function boundOf({ text, from }: Stretch, figure: Span): BoundSaid | undefined {
  const [before, after] = [text.slice(0, figure.from - from), text.slice(figure.to - from)]
  if (/^(?: \p{L}+)? or (?:more|higher|longer|over)\b/u.test(after)) return { holds: 'below', at: [figure], ofEvery: false }
  if (/^(?: \p{L}+)? or (?:less|fewer|lower|shorter|under)\b/u.test(after)) return { holds: 'above', at: [figure], ofEvery: false }
  for (const [holds, pattern] of BEFORE_FIGURE) {
    // "On average all came over 60" speaks of averages.
    if (holds.startsWith('all-') && AVERAGED.test(text)) continue
    const match = pattern.exec(before)
    if (match)
      return {
        holds,
        at: endsOf(match[0], from + match.index, figure),
        ofEvery: holds.startsWith('all-') || match[0].startsWith('no') || EVERY_ONE.test(before),
      }
  }
  return undefined
}

/** Holds it for every reading, no matter which. "Up to" is the highest one. */
export function isBound(
  figure: FigureMention,
  bound: Bound,
  { lowest, highest }: { lowest: number; highest: number },
  plan: Plan,
): boolean {
  const value = convert(figure.value, figure.unit, resultUnit(plan))
  if (value === undefined) return false
  if (bound === 'highest') return value === highest
  if (bound === 'all-over') return lowest > value
  if (bound === 'all-under') return highest < value
  return bound === 'below' ? value <= lowest : value >= highest
}

const BEYOND =
  /(?<!\b(?:no|not|never|any|always|much|far|by|just|times) )\b(?:(?<more>more than|over|above|higher than|further than|longer than)|less than|fewer than|under|below|lower than|shorter than) $/

/** "Climbed more than 40 mm": on which side of a number an average is said to lie, and where that is said. */
export function beyondOf({ text, from }: Stretch, figure: Span): { side: Side; from: number } | undefined {
  const match = BEYOND.exec(text.slice(0, figure.from - from))
  return match ? { side: match.groups!.more === undefined ? 'less' : 'more', from: from + match.index } : undefined
}
