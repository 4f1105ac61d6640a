import { oncePer } from '../../chance'
import {
  activeConditions,
  changedFactor,
  conditionName,
  conditionValue,
  mainWords,
  withoutEnding,
  type Condition,
  type Plan,
} from '../../lesson'
import { comparesMoments, comparesWithItself, testOf } from '../../test'
import { COMPARING, unitOf, NUMBER_WORDS } from '../../quantity'
import { JOINING } from './lexicon'
import { escaped, isAbout, plainly } from './plainly'

const HALVES = ['before', 'after'].map((name) => ({ id: name, name }))

/** How each condition is called: its name whatever the spacing, in the plural and compared ("thicker"), and the first word of it where that is its own. */
export const namesOf = oncePer((plan: Plan) => {
  // Where one thing is compared with itself, its moments are what is spoken of.
  const moments = comparesMoments(plan)
    ? plan.watch.named.map(({ id, name }) => ({ id, name }))
    : comparesWithItself(plan)
      ? HALVES
      : undefined
  const active: Condition[] =
    moments?.map(({ id, name }) => ({ id, label: name, baseline: false, leftOut: false })) ?? activeConditions(plan)
  const names = active.map((condition) => plainly(moments ? condition.label : conditionName(plan, condition)).trim())
  const taken = mainWords([testOf(plan).measure?.name, changedFactor(plan)?.name].join(' '))
  const ofChanged = mainWords(changedFactor(plan)?.name ?? '')
  const things = mainWords(testOf(plan).measure?.name ?? '').filter((word) => !ofChanged.includes(word))
  return active.flatMap((condition, place) => {
    const words = names[place]!.split(/[\s-]+/).filter((word) => word !== '')
    if (words.length === 0) return []
    const others = names.filter((_, other) => other !== place).join(' ')
    const alone = words.filter(
      (word, at) =>
        words.length > 1 &&
        // "Oil" of "cooking oil".
        (word.length > 3 || (at === words.length - 1 && word.length === 3 && !JOINING.has(word))) &&
        !RANKS.test(word) &&
        !/\d/.test(word) &&
        !others.includes(word) &&
        !taken.includes(withoutEnding(word)),
    )
    const pattern = words
      .map((word) =>
        (comparesMoments(plan) && word === 'dry' ? '(?:dry|dried|dries)' : escaped(word)).replace(/(\d)(?=\p{L})/gu, '$1\\s*'),
      )
      .join('[\\s-]*')
    // "1 clip" is no condition called 1, and "6 more", "20 in higher" are steps.
    const counted = /^\d+$/.test(words.at(-1)!) && things.length > 0 ? `(?!\\s+(?:${things.map(escaped).join('|')}))` : ''
    const bare = /^\d+$/.test(pattern) && plan.conditionsAs === 'numbers'
    const noStep = plan.conditionsAs === 'numbers' ? NO_STEP : ''
    const ending = /\p{L}$/u.test(words.at(-1)!) ? '(?:e?s|e?r|i?er|e?st|i?est)?' : ''
    const made = (source: string) => ({
      id: condition.id,
      pattern: new RegExp(`(?<![\\p{L}\\p{N}.])${source}(?![\\p{L}\\p{N}]|[.,]\\d)`, 'gu'),
    })
    return [
      made(bare ? READ_BEFORE + pattern + counted + noStep + READ_BEHIND : pattern + ending + counted + noStep),
      ...alone.map((word) => made(`${escaped(word)}s?`)),
      ...words
        .filter((word) => words.length > 1 && RANKS.test(word))
        .map((word) => made(`(?<=\\bthe )${word}(?= (?:was|is|had|gave|got)\\b)`)),
      // "Slow stirring" of "slowly".
      ...(words.length === 1 && /^\p{L}{3,}ly$/u.test(words[0]!) ? [made(escaped(words[0]!.slice(0, -2)))] : []),
      ...inWords(plan, condition).map(made),
      ...ofTheEnds(plan, condition).map(made),
      // "After ten minutes" is "in ten minutes", too.
      ...(comparesMoments(plan) && words[0] === 'after' && words.length > 1
        ? [made(`(?:in|within) ${words.slice(1).map(escaped).join('[\\s-]*')}`)]
        : []),
      ...(comparesMoments(plan) && place === 0
        ? [made('at first'), made('(?<=^\\W*)first'), made('(?:at|in) the (?:beginning|start)')]
        : []),
      ...(comparesMoments(plan) && place === active.length - 1 ? [made('(?:at|in) the end'), made('finally')] : []),
      ...ofNothing(plan, names[place]!).map(made),
    ]
  })
})

/** Words of a condition's name that are its own, and long enough to be known with a letter wrong. */
export const ownWordsOf = oncePer((plan: Plan) => {
  const active = activeConditions(plan)
  const names = active.map((condition) => plainly(conditionName(plan, condition)).split(/[^\p{L}]+/u))
  const others = (word: string, place: number) => names.some((words, other) => other !== place && words.includes(word))
  return active.flatMap(({ id }, place) =>
    names[place]!.flatMap((word) => (word.length >= 5 && !others(word, place) ? [{ id, word }] : [])),
  )
})

/** What was really tried: what is called nothing is no wrapping. */
export function thingsOf(plan: Plan): Condition[] {
  return activeConditions(plan).filter(({ label }) => !CALLED_NOTHING.test(label))
}

export const CALLED_NOTHING = /^(?:nothing|none|no |without |bare$|empty$)/i

/** A place in an order, too: "came first" is not the first try. */
const RANKS = /^(?:first|second|third|fourth|last|again)$/

/** "No wrapping" and "without any wrapping" are the condition that is called nothing. */
function ofNothing(plan: Plan, name: string): string[] {
  const lacking = /^(?:no|without) (?:an? |any |the )?(.+)$/.exec(name)?.[1]
  if (lacking) return [`(?:no|without) (?:any |an? |the )?${escaped(lacking)}`]
  const things = mainWords(changedFactor(plan)?.name ?? '').filter((word) => word.length > 3)
  if (!/^(nothing|none|bare|empty)\b/.test(name) || things.length === 0) return []
  const thing = `(?:${things.map(escaped).join('|')})\\p{L}*`
  return [`no ${thing}`, `without (?:any |a |the )?${thing}`, 'without (?:anything|it|one)(?=[ ,.;]|$)']
}

/** "The widest hole", where widths were tested and nothing else is wide: the last of the numbers, or the first. */
function ofTheEnds(plan: Plan, condition: Condition): string[] {
  if (plan.conditionsAs !== 'numbers') return []
  const values = activeConditions(plan).flatMap((one) => conditionValue(plan, one) ?? [])
  const [value, name] = [conditionValue(plan, condition), changedFactor(plan)?.name ?? '']
  const side = value === Math.max(...values) ? 'more' : value === Math.min(...values) ? 'less' : undefined
  const things = mainWords(name).filter((word) => word.length > 2)
  if (side === undefined || things.length === 0) return []
  const words = [...COMPARING].flatMap(([word, one]) =>
    one.superlative && one.side === side && isAbout(name, one.quality) && !isAbout(testOf(plan).measure?.name ?? '', one.quality)
      ? [word]
      : [],
  )
  return words.length === 0 ? [] : [`(?:${words.join('|')})(?= (?:${things.map(escaped).join('|')}))`]
}

/** "6 at six", "4 against 13", "it lifted 6": what was read, though a condition is called so. */
const READ_BEFORE = '(?<!\\b(?:lifts?|lifted|held|holds?|got|only|just|about|nearly|almost|against|picked up|left) )'
const READ_BEHIND = '(?! (?:at|with|through|for|from|against)\\b)'

const NO_STEP = '(?!\\s+(?:more|fewer|less|higher|lower|longer|shorter|further)\\b)'

/** A number that stands for a condition beside the name of what was changed: "six layers", "6 layers". */
function inWords(plan: Plan, condition: Condition): string[] {
  if (plan.conditionsAs !== 'numbers') return []
  const value = conditionValue(plan, condition)
  const things = mainWords(changedFactor(plan)?.name ?? '').filter((word) => word.length > 3)
  if (value === undefined || things.length === 0) return []
  if (value === 0)
    return [
      `(?:no|zero|without (?:any )?)\\s*(?:${things.map(escaped).join('|')})\\p{L}*`,
      '(?<=\\b(?:with|than|as|and|to|from) )none',
      ...(unitOf(plan.conditionUnit).dimension === 'time'
        ? ['straight (?:away|after)', 'right (?:away|after)', 'at once', 'immediately']
        : []),
    ]
  const written = [String(value), NUMBER_WORDS[value - 1]].filter((word) => word !== undefined)
  const beside = `(?=\\s+(?:${things.map(escaped).join('|')}))`
  const alone =
    NUMBER_WORDS[value - 1] === undefined
      ? []
      : [
          `(?<=^\\W*|, |\\band )${NUMBER_WORDS[value - 1]}(?=:| (?:is|are|was|were) )`,
          `(?<=\\b(?:with|at|from|than|as|of|to|and|through|for|by|beats?) )${NUMBER_WORDS[value - 1]}(?=[.,;:!]|$| \\(| and | to | (?:we|it|they|the|by) | (?:only |about |just )?\\d)`,
        ]
  const units = unitOf(plan.conditionUnit)
    .spellings.filter((spelling) => spelling.length > 2)
    .sort((a, b) => b.length - a.length)
  const withUnit =
    NUMBER_WORDS[value - 1] === undefined || units.length === 0
      ? []
      : [`${NUMBER_WORDS[value - 1]}[\\s-](?:${units.map(escaped).join('|')})${NO_STEP}`]
  return [...withUnit, ...written.map((word) => `${escaped(word)}${beside}`), ...alone]
}
