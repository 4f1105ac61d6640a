import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import { putWords } from './best'
import type { Pooled, TestDifference } from '../evidence'
import type { Plan } from '../lesson'
import { chanceWords, list, nameOfCondition } from './names'
import { countedOwners } from './owners'

/** Where two lessons are not the same test. */
export function testDifferenceWords(difference: TestDifference): string {
  switch (difference.code) {
    case 'kind':
      return 'It is another kind of test.'
    case 'changed':
      return `They changed ${difference.theirs || 'nothing yet'}, we changed ${difference.ours || 'nothing yet'}.`
    case 'measured':
      return `They measured ${difference.theirs || 'nothing yet'}, we measured ${difference.ours || 'nothing yet'}.`
    case 'unit-of-another-kind':
      return `Their unit (${difference.theirs}) cannot be turned into ours (${difference.ours}).`
    case 'few-shared':
      return `${difference.shared === 0 ? 'No condition is' : 'Only one condition is'} the same in both: two are needed to compare.`
    case 'only-ours':
      return `Only we tested ${list(difference.names)}: left out here.`
    case 'only-theirs':
      return `Only they tested ${list(difference.names)}: left out here.`
    case 'kept-otherwise':
      return `${sentenceCase(difference.factor)}: ${difference.ours} with us, ${difference.theirs} with them. The classes’ levels may differ by that.`
    case 'not-kept-by-them':
      return `They do not say that they kept ${difference.factor} the same.`
    case 'not-kept-by-us':
      return `We do not say that we kept ${difference.factor} the same.`
    case 'instrument':
      return `They measured with ${difference.theirs || 'something unnamed'}, we with ${difference.ours || 'something unnamed'}.`
    default:
      return unreachable(difference)
  }
}

/** Do both classes tell the same story? */
export function interactionSentence({ interaction, ours, theirs }: Pooled): string {
  const alike =
    ours.order[0] === theirs.order[0] ? 'Both classes put the same condition first.' : 'The classes put different conditions first.'
  if (!interaction) return `${alike} Whether the conditions did the same in both cannot be told from so few readings.`
  if (interaction.p <= 0.05)
    return `${alike} But the gaps differ between the classes more than wobble makes them (that would come up in ${interaction.p < 0.005 ? 'fewer than 1 in 100' : chanceWords(interaction.p)}): look at each class for itself.`
  return `${alike} The gaps of the two classes differ no more than wobble makes them, so they may be put together.`
}

/** How many groups of both classes put the same condition first. `'8 of 9 groups of both classes put kitchen roll first.'` */
export function pooledAgreement(plan: Plan, { evidence }: Pooled): string {
  const [first, agreement] = [evidence.order[0], evidence.agreement]
  if (!first || !agreement) return ''
  return `${agreement.agreeing.length} of ${countedOwners(plan, agreement.asked.length)} of both classes ${putWords(plan, nameOfCondition(plan, first))}.`
}

/** How the two are told apart in a table. `classColumns('Puffin', 'Wren') // ['Class Puffin', 'Class Wren']` */
export function classColumns(ours: string, theirs: string): [string, string] {
  if (ours.trim() !== theirs.trim()) return [`Class ${ours}`, `Class ${theirs}`]
  return ['This lesson', 'The other lesson']
}
