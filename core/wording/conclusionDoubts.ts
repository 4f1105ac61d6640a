import type { ClaimDoubt } from '../agree'
import type { Plan } from '../lesson'
import { GRADE_NAMES, sentenceCase } from './evidence'
import type { FindingWords } from './findings'
import { list, nameOfCondition } from './names'

/** What a conclusion claims or leaves out, in words. */
export function doubtWordsOfConclusion(doubt: ClaimDoubt, plan: Plan): FindingWords {
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
    case 'no-numbers':
      return {
        title: 'No numbers in it',
        text: 'Quote an average or two, so that anybody can check.',
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
  }
}

/** What a doubt is about, as the beginning of a line. `'No numbers in it.'`, `'How sure are you?'` */
export function doubtLead(doubt: ClaimDoubt, plan: Plan): string {
  const { title } = doubtWordsOfConclusion(doubt, plan)
  return title.endsWith('?') ? title : `${title}.`
}
