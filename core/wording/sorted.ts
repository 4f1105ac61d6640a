import type { Evidence, Sorted } from '../evidence'
import { activeConditions, changedFactor, type Plan } from '../lesson'
import { testOf } from '../test'
import { writeNumber } from '../quantity'
import type { Block } from '../reports'
import { conditionWithLetter, counted, list, nameOfCondition } from './names'
import { sentenceCase } from './sentenceCase'

type Said = Sorted['said'][number]

/** A word of the plan, as it is quoted. */
function wordOf(plan: Plan, place: number): string {
  return `“${testOf(plan).words[place - 1] || `word ${place}`}”`
}

/** What was said most often of one condition. `'kitchen roll: “left” (7 of 12)'`, `'tissue: “left” and “right” (5 of 12 each)'` */
function mostSaidWords(plan: Plan, { condition, counts, most, of }: Said): string {
  const each = most.length > 1 ? ' each' : ''
  return `${nameOfCondition(plan, condition)}: ${list(most.map((word) => wordOf(plan, word)))} (${counts.get(most[0]!)} of ${of}${each})`
}

/** What was said most often, in the order of the plan. */
export function mostSaidSentence(plan: Plan, { said }: Sorted): string {
  return `Said most often: ${said.map((one) => mostSaidWords(plan, one)).join('; ')}.`
}

/** What the grade means where words have no order. */
export function sortedGradeSentence({ grade, limits, sorted }: Evidence, what: string): string {
  if (grade === 'clear') return `${what} made a difference to what was said, more than luck would.`
  if (grade === 'one-condition') return 'We looked at one thing only: there is no other to compare its words with.'
  if (grade === 'nothing-yet') return 'Words of two conditions are needed before they can be compared.'
  if (!sorted?.test) return 'Everybody said the same of everything.'
  if (limits.includes('one-reading-each')) return 'With one word each nobody can say how much of it is luck.'
  if (grade === 'leaning' && limits.includes('same-thing'))
    return 'These things got other words in our test. Whether others of their kind would, the same one again cannot say.'
  if (limits.includes('unfinished'))
    return grade === 'leaning'
      ? 'So far the words differ, and places are still empty: wait for them before you call it clear.'
      : 'So far the words are dealt out no differently than luck would do it.'
  return grade === 'leaning'
    ? 'The words differ, but luck alone could still deal them out so.'
    : 'The words are dealt out no differently than luck would do it.'
}

/** How far the groups agree. `'In 17 of 28 a group’s own most frequent word was the class’s.'` */
export function sortedAgreementSentence({ agreeing }: Sorted): string {
  return agreeing ? `In ${agreeing.cells} of ${agreeing.of} a group’s own most frequent word was the class’s.` : ''
}

/** Ways to begin the class's sentence: what was said most often, and no surer than the grade. */
export function sortedStarters(plan: Plan, { grade, sorted }: Evidence): string[] {
  const change = changedFactor(plan)?.name ?? 'what we changed'
  const most = sorted!.said.map((one) => mostSaidWords(plan, one)).join('; ')
  if (plan.age === '5-7')
    return grade === 'clear'
      ? [`We saw most often: ${most}. We are sure.`]
      : [`We saw most often: ${most}. We are not sure yet.`, 'Next we would …']
  if (grade === 'clear')
    return [
      `We found that ${change} makes a difference: ${most}. We are sure, because …`,
      `It is clear that ${change} matters. Most often we found: ${most}.`,
    ]
  if (grade === 'leaning')
    return [`It looks as if ${change} may matter: ${most}. We are not sure yet, because …`, 'To be surer we would …']
  return [`We cannot tell yet whether ${change} matters: ${most}.`, 'Next time we would …']
}

/** The test and its figures, and what it takes for granted. */
export function sortedModelLines({ test }: Sorted): { figures: { term: string; value: string }[]; assumptions: string[] } {
  if (!test)
    return { figures: [], assumptions: ['Everybody said the same, or there is one thing only: there is nothing to tell apart.'] }
  return {
    figures: [
      { term: 'Model', value: 'words dealt out anew within each group, up to 10,000 times (permutation test)' },
      { term: 'Statistic', value: writeNumber(test.statistic, 2) },
      { term: 'p', value: test.p < 0.001 ? 'below 0.001' : writeNumber(test.p, 3) },
    ],
    assumptions: [
      'Words have no order: nothing is averaged and nothing comes first.',
      'One group’s words say nothing of another’s.',
    ],
  }
}

/** The table of results: what was said most often, and how often each word came. */
export function sortedBlock(plan: Plan, said: Said[]): Block[] {
  if (said.length === 0) return []
  const { words } = testOf(plan)
  return [
    {
      kind: 'table',
      caption: 'Results',
      head: ['Condition', 'Most often', ...words],
      figures: true,
      rows: activeConditions(plan).flatMap(({ id }) => {
        const own = said.find(({ condition }) => condition === id)
        if (!own) return []
        const counts = words.map((_, place) => String(own.counts.get(place + 1) ?? 0))
        return [[conditionWithLetter(plan, id), list(own.most.map((word) => wordOf(plan, word))), ...counts]]
      }),
    },
  ]
}

/** How a group's guess came out. `'2 of 3 came out as they said.'` */
export function sortedNearness(right: number, all: number): string {
  if (all === 0) return ''
  if (right === all) return 'It came out as they said.'
  return right === 0
    ? 'It came out differently: a surprise worth talking about.'
    : `${right} of ${counted(all, 'word')} came out as they said.`
}

/** What was found most often, for a list or a picture. `'Kitchen roll: “left” (7 of 12)'` */
export function sortedLines(plan: Plan, { said }: Sorted): string[] {
  return said.map((one) => sentenceCase(mostSaidWords(plan, one)))
}
