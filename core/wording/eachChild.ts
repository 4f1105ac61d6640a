import { sentenceCase } from './sentenceCase'
import type { OneHeap } from '../evidence'
import { seatOf, type Plan } from '../lesson'
import { resultUnit } from '../test'
import { withoutNoise } from '../quantity'
import type { GuessesInSum, OwnGuess } from '../predictions'
import { counted, nameOfGroup, writeAverage, writeReading } from './names'
import { countedOwners, ownerWord } from './owners'

/** A record by its seat and its code, for the teacher. `'seat 7, K37'` */
export function seatWords(plan: Plan, record: string): string {
  return `seat ${seatOf(plan, record)}, ${nameOfGroup(plan, record)}`
}

/** The heap in two sentences: the middle half, and what another class would find. */
export function heapSentences(plan: Plan, { count, lowest, highest, quarters, mean, another }: OneHeap): string[] {
  const unit = resultUnit(plan)
  const [low, middle, high] = quarters.map((value) => writeAverage(plan, value, unit))
  if (count < 4)
    return [
      `${countedOwners(plan, count)} so far: from ${writeAverage(plan, lowest, unit)} to ${writeAverage(plan, highest, unit)}.`,
    ]
  const half = `Half of us came to between ${low} and ${high}; the middle one of us had ${middle}.`
  return another === undefined
    ? [half]
    : [
        half,
        `Our average is ${writeAverage(plan, mean, unit)}. The average of another class like ours would lie between ${writeAverage(plan, mean - another, unit)} and ${writeAverage(plan, mean + another, unit)}, 95 times in 100.`,
      ]
}

/** What the class guessed for one thing. `'23 children guessed: from 30 mm to 69 mm.'` */
export function guessedWords(plan: Plan, guesses: number[]): string {
  const [least, most] = [Math.min(...guesses), Math.max(...guesses)].map((value) => writeReading(plan, value, resultUnit(plan)))
  return `${countedOwners(plan, guesses.length)} guessed: ${least === most ? `all ${least}` : `from ${least} to ${most}`}.`
}

/** What the guesses of the class were like. `'Of 24 guesses 15 were too little and 7 too much. Half were nearer than 12 mm.'` */
export function guessesWords(plan: Plan, { all, tooLittle, tooMuch, middleAway }: GuessesInSum): string {
  const near = all - tooLittle - tooMuch
  const right = near === 0 ? '' : `, ${near} right to the mark`
  return `Of ${counted(all, 'guess', 'guesses')} ${tooLittle} ${tooLittle === 1 ? 'was' : 'were'} too little and ${tooMuch} too much${right}. Half were no further off than ${writeReading(plan, middleAway, resultUnit(plan))}.`
}

/** One's own guess beside one's own result. `'guessed 40 mm, found 52 mm: 12 mm more'` */
export function guessWords(plan: Plan, { guessed, seen, count }: Pick<OwnGuess, 'guessed' | 'seen' | 'count'>): string {
  const unit = resultUnit(plan)
  const write = (value: number) => (count === 1 ? writeReading(plan, value, unit) : writeAverage(plan, value, unit))
  const said = `guessed ${writeReading(plan, guessed, unit)}, found ${write(seen)}`
  if (guessed === seen) return `${said}: just so`
  return `${said}: ${write(withoutNoise(Math.abs(seen - guessed)))} ${seen > guessed ? 'more' : 'less'}`
}

/** Whose records these are, at the head of a table. `'Group'` */
export function ownerHeading(plan: Plan): string {
  return sentenceCase(ownerWord(plan))
}
