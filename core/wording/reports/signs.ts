import { unreachable } from '../../unreachable'
import type { GroupSign, Skill } from '../../reports'
import { counted, list } from '../names'

export const SKILL_WORDS: Record<Skill, string> = {
  noticing: 'Noticing closely',
  asking: 'Asking questions',
  'fair-testing': 'Making a test fair',
  predicting: 'Predicting with a reason',
  measuring: 'Measuring',
  repeating: 'Repeating readings',
  observing: 'Writing down what they see',
  'judging-odd': 'Judging odd readings',
  averaging: 'Working out averages',
  graphing: 'Reading graphs',
  concluding: 'Drawing a conclusion',
  'weighing-evidence': 'Saying how sure',
}

/** What the record shows of a group, to its teacher. */
export function signWords(sign: GroupSign): string {
  switch (sign.code) {
    case 'all-trials':
      return `did all ${counted(sign.trials, 'trial')}`
    case 'reason-given':
      return `gave a reason for its prediction: “${sign.reason}”`
    case 'mended':
      return `put ${counted(sign.count, 'number')} of its own right`
    case 'set-aside-with-reason':
      return `set a reading aside and said why: “${sign.reason}”`
    case 'observed':
      return `wrote down ${counted(sign.count, 'observation')}`
    case 'changed-mind':
      return 'changed its mind, and said so'
    case 'words-used':
      return `used our words: ${list(sign.words)}`
    case 'careful-sentence':
      return 'offered a sentence that says no more than the numbers do'
    case 'no-prediction':
      return 'predict before the first reading'
    case 'no-reason':
      return 'say why it predicts what it predicts'
    case 'gaps':
      return `finish its trials: ${counted(sign.count, 'place is', 'places are')} empty`
    case 'odd-unanswered':
      return `look again at ${counted(sign.count, 'odd number')}`
    case 'no-observation':
      return 'write down what it sees beside the numbers'
    case 'no-sentence':
      return 'offer a sentence of its own'
    case 'sentence-claims-more':
      return 'say how sure it is, and quote numbers'
    default:
      return unreachable(sign)
  }
}
