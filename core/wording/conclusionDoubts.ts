import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import type { ClaimDoubt, ReadConclusion } from '../agree'
import { changedFactor, comingFactors, type Plan } from '../lesson'
import { forMeasure, resultUnit, testOf } from '../test'
import { GRADE_NAMES } from './grades'
import type { FindingWords } from './findings'
import { list, nameOfCondition } from './names'
import { countedOwners } from './owners'
import { writeFigure } from './tables'

/** What a conclusion claims or leaves out, in words. */
export function doubtWordsOfConclusion(doubt: ClaimDoubt, whole: Plan): FindingWords {
  const plan = doubt.measure === undefined ? whole : forMeasure(whole, doubt.measure)
  const quoted = (words: string[]) => list(words.slice(0, 3).map((word) => `“${word}”`))
  switch (doubt.code) {
    case 'claims-too-much':
      return {
        title: 'Claims more than the numbers',
        text: `It says ${quoted(doubt.words)}, and the evidence is “${GRADE_NAMES[doubt.grade].toLowerCase()}”.`,
        why: 'Say how sure you are, or claim less: “it looks as if”, “we cannot tell yet”.',
      }
    case 'claims-no-difference':
      return {
        title: 'No difference is a claim too',
        text: `It says ${quoted(doubt.words)}, and the evidence is “${GRADE_NAMES[doubt.grade].toLowerCase()}”.`,
        why: 'Not having found a difference is less than having shown that there is none.',
      }
    case 'names-another-winner':
      return {
        title: 'The numbers say otherwise',
        text: `It names ${nameOfCondition(plan, doubt.named)}; the averages put ${nameOfCondition(plan, doubt.winner)} first.`,
        why: 'Compare the sentence with the table once more.',
      }
    case 'not-fair':
      return {
        title: 'Not a fair comparison',
        text: `${doubt.named ? sentenceCase(nameOfCondition(plan, doubt.named)) : 'What it compares'} differs in more than what we changed, so the numbers do not answer that.`,
        why: 'Say what the fair pairs show, or test the one that is missing for a fair pair.',
      }
    case 'wrong-direction':
      return {
        title: 'The other way round',
        text:
          doubt.named === undefined
            ? 'The averages go the other way.'
            : `The averages of ${list(doubt.named.map((id) => nameOfCondition(plan, id)))} stand the other way round.`,
        why: 'Compare the sentence with the table once more.',
      }
    case 'wrong-number':
      return {
        title: testOf(plan).way.fromWords ? `“${doubt.said}”?` : `Is it ${doubt.said}?`,
        text: tableSays(doubt, plan),
        why:
          doubt.groups || !testOf(plan).way.isAmount
            ? tableSays(doubt, plan)
            : `${tableSays(doubt, plan)} Rounding is fine; look it up once more.`,
      }
    case 'outside-tested':
      return {
        title: 'Nobody tested that',
        text: `${sentenceCase(doubt.said)} lies outside what the class tried.`,
        why: 'Say that it is a guess: “at … we would expect about …”, or test it next time.',
      }
    case 'not-tested': {
      if (doubt.factor === undefined)
        return {
          title: 'We did not change that',
          text: `Nobody tried “${doubt.said}” beside the usual one, so our numbers cannot tell what it does.`,
          why: 'It may be a good question for another test.',
        }
      const coming = comingFactors(plan).find(({ id }) => id === doubt.factor)
      if (coming)
        return {
          title: 'Nobody can tell the two apart',
          text: `${sentenceCase(coming.name)} comes with ${changedFactor(plan)?.name ?? 'what was changed'}: our numbers cannot tell which of them did it.`,
          why: 'A further test that changes only one of them could.',
        }
      return {
        title: 'We did not change that',
        text: `${sentenceCase(plan.factors.find(({ id }) => id === doubt.factor)?.name ?? 'That')} was kept the same, so our numbers cannot tell what it does.`,
        why: 'It may be a good question for another test.',
      }
    }
    case 'not-measured':
      return {
        title: 'Nobody measured that',
        text: `“${sentenceCase(doubt.word)}” is something else than ${testOf(plan).measure?.name || 'what was measured'}, so our numbers cannot tell.`,
        why: 'Say what was read, or measure the other thing next time.',
      }
    case 'proof-words':
      return {
        title: 'One class’s test proves nothing for good',
        text: `It says ${quoted(doubt.words)}. Another class could find something else.`,
        why: 'Say “we found” or “in our test”.',
      }
    case 'no-numbers':
      return {
        title: 'No numbers in it',
        text: testOf(plan).way.ranks
          ? 'Quote an average or two, so that anybody can check.'
          : 'Say how often it came, such as “in 14 of 14”, so that anybody can check.',
        why: 'A conclusion with numbers can be compared with the next class’s.',
      }
    case 'does-not-say-how-sure':
      return {
        title: 'How sure are you?',
        text: 'Say how sure the class is, and why.',
        why: 'How many groups agree, or how the gap compares with the wobble.',
      }
    case 'unfinished':
      return {
        title: 'Not finished yet',
        text: 'There is still a “…” in it: put your own words there.',
        why: 'The class can only agree on what is written out.',
      }
    case 'cause-without-reason':
      return {
        title: 'A cause, and no reason',
        text: `It says ${quoted(doubt.words)}. Our numbers show what happened, not why: add “because …”, or leave the cause out.`,
        why: 'A fair test shows that the change made the difference. How it does so is an idea, and an idea wants its reason.',
      }
    default:
      return unreachable(doubt)
  }
}

/** What the table has instead of a number: `'The table has 60.6 mm for kitchen roll.'` */
function tableSays({ condition, table, groups }: Extract<ClaimDoubt, { code: 'wrong-number' }>, plan: Plan): string {
  const unit = resultUnit(plan)
  if (groups) return `${groups.agreeing} of ${countedOwners(plan, groups.asked)} put ${nameOfCondition(plan, groups.first)} first.`
  if (condition !== undefined && table === undefined) return `Nobody said that of ${nameOfCondition(plan, condition)}.`
  if (condition === undefined || table === undefined) return 'The table has no such number.'
  return `The table has ${writeFigure(plan, table, unit)} for ${nameOfCondition(plan, condition)}.`
}

/** What a doubt is about, as the beginning of a line. `'No numbers in it.'`, `'How sure are you?'` */
export function doubtLead(doubt: ClaimDoubt, plan: Plan): string {
  const { title } = doubtWordsOfConclusion(doubt, plan)
  return title.endsWith('?') ? title : `${title}.`
}

const MOST_QUOTED = 3

/** What was not understood, and so not checked. `'We did not check: “because it has tiny holes”.'` */
export function uncheckedWords(text: string, { unread }: Pick<ReadConclusion, 'unread'>): string {
  const said = unread.map(({ from, to }) => `“${text.slice(from, to)}”`)
  const more = said.length > MOST_QUOTED ? ' and more' : ''
  return said.length === 0 ? '' : `We did not check: ${list(said.slice(0, MOST_QUOTED))}${more}.`
}
