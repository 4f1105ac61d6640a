import {
  changedFactor,
  isEachChild,
  measuredCards,
  seriesFactor,
  seriesIn,
  type Kind,
  type Plan,
  type PredictAs,
  type WhoseQuestion,
} from '../lesson'

export interface KindWords {
  name: string
  what: string
  example: string
}

export const KIND_WORDS: Record<Kind, KindWords> = {
  'fair-test': {
    name: 'Fair test',
    what: 'one thing changes, everything else stays the same',
    example: 'which paper drinks water highest?',
  },
  'before-after': {
    name: 'Before and after',
    what: 'the same thing measured twice, with something happening in between',
    example: 'does a bag of ice weigh less when it has melted?',
  },
  'over-time': {
    name: 'Watch over time',
    what: 'the same thing read again and again, at one place or several',
    example: 'how does cress grow in five places?',
  },
  order: {
    name: 'Put in order',
    what: 'who comes first, side by side or on a balance',
    example: 'which is heaviest?',
  },
  improve: {
    name: 'Build and improve',
    what: 'three tries at a better one, with what was changed each time',
    example: 'how much can a paper bridge hold?',
  },
  describe: {
    name: 'Describe',
    what: 'what it is like, in ordered words, counts, or yes and no',
    example: 'which places in the room feel damp?',
  },
}

const TAKE_WORDS: Partial<Record<Kind, string>> = {
  'before-after': 'This is what happens',
  improve: 'Make this better',
  describe: 'Compare this',
}

/** What puts a card into the first tray. `takeWords('improve') // 'Make this better'` */
export function takeWords(kind: Kind): string {
  return TAKE_WORDS[kind] ?? 'Change this'
}

interface TrayWords {
  name: string
  hint: string
}

/** The trays, with a card that could lie in the second and what the third says while it is empty. */
export interface Trays {
  change: TrayWords
  measure: TrayWords & { example: string }
  keep: TrayWords & { empty: string }
}

/** What the three trays are called on the teacher's side, and what is asked for in each. */
export function trayWords(kind: Kind): Trays {
  const usual = {
    change: { name: 'Change', hint: 'one thing' },
    measure: { name: 'Measure', hint: 'one thing', example: 'how high it climbs' },
    keep: {
      name: 'Keep the same',
      hint: 'and say how',
      empty: 'Everything else we could change comes here by itself.',
    },
  }
  switch (kind) {
    case 'before-after':
      return {
        ...usual,
        change: { ...usual.change, name: 'What happens', hint: 'in between' },
        measure: { ...usual.measure, example: 'how heavy it is' },
      }
    case 'over-time':
      return {
        ...usual,
        change: { ...usual.change, hint: 'or only time' },
        measure: { ...usual.measure, hint: 'each time', example: 'how tall it is' },
      }
    case 'order':
      return { ...usual, measure: { ...usual.measure, name: 'Put in order by', hint: 'first to last', example: 'how heavy it is' } }
    case 'improve':
      return {
        change: { ...usual.change, name: 'Make better', hint: 'the design' },
        measure: { ...usual.measure, name: 'Going by', hint: 'how good it is', example: 'how much it holds' },
        keep: { name: 'The rules', hint: 'for every try', empty: 'What every try has to keep to comes here.' },
      }
    case 'describe':
      return {
        ...usual,
        change: { ...usual.change, name: 'Compare', hint: 'one thing' },
        measure: { ...usual.measure, name: 'Describe', hint: 'words or counts', example: 'how damp it feels' },
      }
    case 'fair-test':
      return usual
  }
}

/** What a condition is called in this kind of test. `conditionsWords('improve').name // 'Tries'` */
export function conditionsWords(kind: Kind): { name: string; what: string; example: string } {
  switch (kind) {
    case 'before-after':
      return { name: 'Things we try it with', what: 'one is enough', example: 'a bag of ice' }
    case 'over-time':
      return { name: 'Jars or places', what: 'one is enough', example: 'on the windowsill' }
    case 'order':
      return { name: 'What we put in order', what: 'two or more', example: 'a stone' }
    case 'improve':
      return { name: 'Tries', what: 'say what each changes: “second try, folded once”', example: 'first try' }
    case 'describe':
      return { name: 'What we compare', what: 'one or more', example: 'under the sink' }
    case 'fair-test':
      return { name: 'Conditions', what: '', example: 'kitchen roll' }
  }
}

export interface Segment {
  text: string
  card?: 'change' | 'measure' | 'open'
}

/** The question in its parts, so that a page can underline the cards. */
export function questionSegments(plan: Plan): Segment[] {
  const changed = changedFactor(plan)?.name.trim()
  const change: Segment = changed ? { text: bound(changed), card: 'change' } : { text: OPEN_CHANGE[plan.kind], card: 'open' }
  const measure = measureSegments(plan)
  if (isEachChild(plan) && !changed && plan.kind !== 'over-time')
    return [{ text: 'What does each of us find: ' }, ...measure, { text: '?' }]
  switch (plan.kind) {
    case 'fair-test':
    case 'before-after':
      return [{ text: 'How does ' }, change, { text: ' change ' }, ...measure, ...secondly(plan), { text: '?' }]
    case 'over-time':
      return changed
        ? [{ text: 'How does ' }, ...measure, { text: ' change over time, and does ' }, change, { text: ' matter?' }]
        : [{ text: 'How does ' }, ...measure, { text: ' change over time?' }]
    case 'order':
      return [{ text: 'Which ' }, bare(change), { text: ' comes first, going by ' }, ...measure, { text: '?' }]
    case 'improve':
      return [{ text: 'How can we make ' }, change, { text: ' better, going by ' }, ...measure, { text: '?' }]
    case 'describe':
      return [{ text: 'What do we find for each ' }, bare(change), { text: ': ' }, ...measure, ...secondly(plan), { text: '?' }]
  }
}

/** The second thing that differs on purpose, where there is one. */
function secondly(plan: Plan): Segment[] {
  const second = seriesFactor(plan)?.name.trim()
  return second && seriesIn(plan).length > 0
    ? [{ text: ', and does ' }, { text: bound(second), card: 'change' }, { text: ' matter' }]
    : []
}

/** Everything that is measured, in a row. */
function measureSegments(plan: Plan): Segment[] {
  const named = measuredCards(plan).flatMap(({ name }): Segment[] =>
    name.trim() === '' ? [] : [{ text: bound(name.trim()), card: 'measure' }],
  )
  if (named.length === 0) return [{ text: 'something we measure', card: 'open' }]
  return named.flatMap((segment, place) => [
    ...(place === 0 ? [] : [{ text: place === named.length - 1 ? ' and ' : ', ' }]),
    segment,
  ])
}

const OPEN_CHANGE: Record<Kind, string> = {
  'fair-test': 'something we change',
  'before-after': 'something that happens',
  'over-time': 'something we change',
  order: 'thing',
  improve: 'something we build',
  describe: 'thing',
}

/** The testable question, put together from the plan's cards. `question(plan) // 'How does the kind of paper change how high water climbs in 60 s?'` */
export function question(plan: Plan): string {
  return questionSegments(plan)
    .map(({ text }) => text)
    .join('')
}

/** "the object" after "which" is "object". */
function bare(segment: Segment): Segment {
  return { ...segment, text: segment.text.replace(/^(?:the|a|an)\s+/i, '') }
}

/** Text in which a number and its unit never part at the end of a line. `bound('in 60 s') // 'in 60\u00a0s'` */
function bound(text: string): string {
  return text.replace(/(\d) (?=(?:[mck]?m|k?g|m?l|s|min|h|°[CF]|N|dB|in|ft)\b)/gi, '$1\u00a0')
}

export const PREDICT_WORDS: Record<PredictAs, string> = {
  order: 'the whole order',
  'most-least': 'most and least only',
  number: 'a number for each',
  line: 'a sketched line',
  change: 'more, less or the same',
}

export const WHOSE_WORDS: Record<WhoseQuestion, { name: string; what: string }> = {
  teacher: { name: 'The teacher gives it', what: 'you choose the cards for the question' },
  class: { name: 'The class picks one', what: 'one of the wonderings becomes the question' },
  groups: { name: 'Each group its own', what: 'every group picks a wondering; each can become a lesson of its own' },
}
