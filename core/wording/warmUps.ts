import { readQuantity, withUnit, writeNumber, writeShort, type UnitCode } from '../quantity'
import {
  EYES,
  isFooledBy,
  isUpright,
  judgeScale,
  seenFrom,
  type Eye,
  type FairPuzzle,
  type ReadingSkill,
  type ScaleKind,
  type ScaleTask,
  type SkillChange,
  type WobblePuzzle,
} from '../warmUps'
import { counted, list } from './names'

/** With all its digits: half a mark is no place to round. */
const shown = (value: number, unit: UnitCode) => withUnit(writeNumber(value, String(value).split('.')[1]?.length ?? 0), unit)

export const SCALE_WORDS: Record<ScaleKind, string> = {
  ruler: 'Ruler',
  tape: 'Tape measure',
  cylinder: 'Measuring cylinder',
  thermometer: 'Thermometer',
  dial: 'Kitchen scale',
  syringe: 'Syringe',
  'force-meter': 'Force meter',
}

export const LEVEL_WORDS = { numbers: 'At the numbers', marks: 'At the marks', between: 'Between the marks' } as const
const UPRIGHT_EYE: Record<Eye, string> = {
  above: 'The eye is too high',
  level: 'The eye is level',
  below: 'The eye is too low',
}
const LYING_EYE: Record<Eye, string> = {
  above: 'The eye is too far right',
  level: 'The eye is straight above',
  below: 'The eye is too far left',
}

/** Where the eye is. `eyeWords('ruler', 'below') // 'The eye is too far left'` */
export function eyeWords(kind: ScaleKind, eye: Eye): string {
  return (isUpright(kind) ? UPRIGHT_EYE : LYING_EYE)[eye]
}

/** What a scale asks for. */
export function scaleQuestion({ scale: { kind }, eye }: ScaleTask): string {
  const what =
    kind === 'cylinder'
      ? 'Read the lowest point of the curve.'
      : kind === 'ruler' || kind === 'tape'
        ? 'Where does the bar end?'
        : 'What does it show?'
  return eye === 'level' ? what : `${what} Mind where the eye is.`
}

/** A number as a child writes it, in the unit of the scale; undefined while it cannot be read. `scaleEntry('12,5', 'cm') // 12.5` */
export function scaleEntry(text: string, unit: UnitCode): number | undefined {
  const read = readQuantity(text, { unit })
  return read.ok ? read.value : undefined
}

/** The answer of a printed scale, with what one mark is. */
export function drawnAnswer({ scale, value }: Pick<ScaleTask, 'scale' | 'value'>): string {
  return `${shown(value, scale.unit)} (one mark is ${shown(scale.step, scale.unit)})`
}

/** What came of a try: the mark that was passed over, the eye that was too high. */
export function scaleAnswer(task: ScaleTask, entered: number): string {
  const { scale, value, eye } = task
  const right = shown(value, scale.unit)
  const marks = `One small mark is ${shown(scale.step, scale.unit)}.`
  const judged = judgeScale(task, entered)
  if (judged.right) return `Right: ${right}. ${marks}`
  const byEye = eye !== 'level' && Math.abs(entered - seenFrom(task, eye)) <= scale.step / 2
  if (byEye)
    return `The eye sees ${shown(seenFrom(task, eye), scale.unit)}, because it is ${isUpright(scale.kind) ? 'not level' : 'not straight above'}. It shows ${right}.`
  return `It shows ${right}. ${marks}`
}

/** Whoever looks from elsewhere sees something else. */
export function eyeLines(task: Pick<ScaleTask, 'scale' | 'value'>): string[] {
  return EYES.map((eye) => `${eyeWords(task.scale.kind, eye)}: it reads ${shown(seenFrom(task, eye), task.scale.unit)}.`)
}

/** What came of looking for what else changed. */
export function fairAnswer(
  { factors }: FairPuzzle,
  { right, missed, wrongly }: { right: boolean; missed: string[]; wrongly: string[] },
): string {
  const differ = factors.filter(({ differs }) => differs).map(({ name }) => name)
  if (right)
    return differ.length === 0
      ? 'Right: it is fair, nothing else changes.'
      : `Right: ${list(differ)} changed too, so it is not fair.`
  const parts = [
    missed.length > 0 && `${list(missed)} changed too`,
    wrongly.length > 0 && `${list(wrongly)} stayed the same`,
  ].filter(Boolean)
  return `Look again: ${parts.join('; ')}.`
}

/** How far off a clock was stopped. `offWords(-0.42) // '0.42 s too short'` */
export function offWords(seconds: number): string {
  return `${withUnit(writeShort(Number(Math.abs(seconds).toFixed(2))), 's')} too ${seconds > 0 ? 'long' : 'short'}`
}

/** What came of stopping a clock. `clockAnswer(10.5, 10) // 'It was 10.5 s: 0.5 s too long.'` */
export function clockAnswer(took: number, goal: number): string {
  return `It was ${withUnit(writeShort(Number(took.toFixed(2))), 's')}: ${offWords(took - goal)}.`
}

/** What came of counting. `countAnswer(11, 12) // 'Not quite: 12. Counting twice and comparing helps.'` */
export function countAnswer(said: number, all: number): string {
  return `${said === all ? 'Right' : 'Not quite'}: ${all}. Counting twice and comparing helps.`
}

/** What came of a bet on two heaps. */
export function wobbleAnswer({ difference }: Pick<WobblePuzzle, 'difference'>, saidReal: boolean): string {
  const truth = difference > 0 ? 'There was a real difference behind them.' : 'Both came out of one hat: only wobble.'
  return `${isFooledBy({ difference }, saidReal) ? 'Fooled.' : 'Right.'} ${truth}`
}

/** How often a class was fooled. `'Fooled 3 times out of 10.'` */
export function fooledWords(fooled: number, bets: number): string {
  return `Fooled ${counted(fooled, 'time')} out of ${bets}. With few numbers everybody is fooled now and then: that is why we repeat.`
}

/** What the class's own tries at reading change in the plan. `'With your wobble of 0.4 marks, from 23 tries: 4 repeats instead of 3.'` */
export function skillWords({ tries, wobble }: ReadingSkill, { foreseen, before, after }: SkillChange): string {
  const own = `With your wobble of ${Number(wobble.toPrecision(2))} marks, from ${counted(tries, 'try', 'tries')}`
  if (!foreseen) return `${own}.`
  if (after === undefined) return `${own}: no number of repeats makes this clear; look for another way.`
  if (before === undefined) return `${own}: ${counted(after, 'repeat')}.`
  if (before === after) return `${own}: ${counted(after, 'repeat')}, as before.`
  return `${own}: ${counted(after, 'repeat')} instead of ${before}.`
}
