import type { Plan } from '../../lesson'
import { comparesMoments } from '../../test'
import { type ConditionMention, overlap, spanned } from './stretch'
import { ownWordsOf } from './names'

/** "Kichen roll": a name with one letter wrong, too many or missing; its first one is right. */
export function misspelt(sentence: string, offset: number, plan: Plan, named: ConditionMention[]): ConditionMention[] {
  if (comparesMoments(plan)) return []
  return [...sentence.matchAll(/\p{L}{4,}/gu)].flatMap((match): ConditionMention[] => {
    const own = ownWordsOf(plan).filter(({ word }) => isOneLetterOff(match[0], word))
    const span = spanned(match, offset, { kind: 'condition' as const, id: own[0]?.id ?? '' })
    return own.length === 1 && !named.some((one) => overlap(one, span)) ? [span] : []
  })
}

function isOneLetterOff(said: string, meant: string): boolean {
  if (said[0] !== meant[0] || said === meant || Math.abs(said.length - meant.length) > 1) return false
  // Plurals and other forms are no mistakes.
  if (said.startsWith(meant) || meant.startsWith(said)) return false
  let same = 0
  while (said[same] === meant[same]) same += 1
  const [a, b] = [said.slice(same), meant.slice(same)]
  return (
    a.slice(1) === b.slice(1) ||
    a.slice(1) === b ||
    a === b.slice(1) ||
    (a[0] === b[1] && a[1] === b[0] && a.slice(2) === b.slice(2))
  )
}
