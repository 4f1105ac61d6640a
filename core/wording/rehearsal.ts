import { PACE_MODEL, timeAt } from '../clock'
import type { Grade } from '../evidence'
import { failedShare, type Customs } from '../kit'
import type { Plan } from '../lesson'
import { writeShort } from '../quantity'
import { ASSUMED, hundredOf, type Rehearsal, type Tried } from '../rehearsal'
import { testOf } from '../test'
import { SAYS_MOST } from '../benches'
import { minuteWords, paceWords } from './clock'
import { moneyWords } from './money'
import { counted, list, ofHundred } from './names'
import { mendWords } from './waysOut'
import { wayWords } from './waysToSee'

/** How it comes out, in one sentence. `'In 83 of 100 classes like yours this comes out clear, in 1 of 100 with the wrong winner.'` */
export function rehearsalSentence({ grades, wrong, level, from }: Rehearsal): string {
  const like = from === 'bench' ? 'classes like yours' : 'classes like yours, if your guess is right,'
  if (level) {
    const fooled = grades.clear ?? 0
    const rest = fooled > 0 ? `, in ${ofHundred(fooled)} it is fooled and finds a winner` : ''
    return `Nothing differs here. In ${ofHundred(grades.same ?? 0)} ${like} the class can say so${rest}.`
  }
  const clear = (grades.clear ?? 0) - wrong
  return `In ${ofHundred(clear)} ${like} this comes out clear${wrong > 0 ? `, in ${ofHundred(wrong)} with the wrong winner` : ''}.`
}

const GRADE_IN_HUNDRED: Record<Grade, string> = {
  clear: 'clear',
  leaning: 'leaning',
  'cannot-tell': 'can’t tell yet',
  same: 'the same',
  'one-condition': 'one thing only',
  'nothing-yet': 'nothing measured',
  'not-fair': 'not a fair test',
}

/** Each grade with its share, the most frequent first. */
export function rehearsedGrades({ grades, wrong }: Rehearsal): { grade: string; share: number; of100: number; words: string }[] {
  const shares = Object.entries(grades).map(([grade, share]) => ({
    grade: GRADE_IN_HUNDRED[grade as Grade],
    share: grade === 'clear' ? share - wrong : share,
  }))
  const all = wrong > 0 ? [...shares, { grade: 'clear, but wrong', share: wrong }] : shares
  const shown = all.filter(({ share }) => share > 0).sort((a, b) => b.share - a.share)
  const counts = hundredOf(shown.map(({ share }) => share))
  return shown.map((one, place) => ({ ...one, of100: counts[place]!, words: ofHundred(one.share) }))
}

/** When testing ends, which slips are met and what runs out. */
export function rehearsalLines(plan: Plan, { ends, short, slips, runOut }: Rehearsal): string[] {
  return [...timeLines(plan, ends, short), slipLine(slips), ...runOutLines(plan, runOut)]
}

function timeLines(plan: Plan, ends: Rehearsal['ends'], short: Rehearsal['short']): string[] {
  if (!ends) return []
  const at = (minute: number) => timeAt(plan.clock.start, minute) ?? `minute ${Math.round(minute)}`
  const lines = [
    `Testing ends at ${at(ends.half)} in half of them, and by ${at(ends.nineInTen)} in nine of ten. For the rest of the lesson it should end at ${at(ends.until)}.`,
  ]
  if (short.share > 0)
    lines.push(
      `In ${ofHundred(short.share)} some group runs out of time: ${counted(Math.max(1, Math.round(short.trials)), 'trial')} missing then.`,
    )
  return lines
}

function slipLine({ made, left }: Rehearsal['slips']): string {
  if (made < 0.05) return 'Hardly a slip is made.'
  const about = made < 1.5 ? 'About one slip' : `About ${Math.round(made)} slips`
  const stays = left < 0.15 ? 'nearly always asked about and put right' : `${writeShort(Number(left.toFixed(1)))} of them stay`
  return `${about} in a class, ${stays}.`
}

function runOutLines(plan: Plan, runOut: Rehearsal['runOut']): string[] {
  if (runOut.length === 0) return []
  const names = runOut.map(({ material }) => plan.materials.find(({ id }) => id === material)?.name ?? '').filter(Boolean)
  return [`Spares run out in ${ofHundred(runOut[0]!.share)}, because trials fail: ${list(names)}.`]
}

/** What a button for a change says that was tried, what it brings, and what it costs. */
export function triedWords(
  plan: Plan,
  { change, before, after, minutes, cost }: Tried,
  currency: Customs['currency'] = 'none',
): { label: string; effect: string; price: string } {
  const label = change.from === 'adviser' ? wayWords(change.way, plan) : mendWords(change.mend).label
  const time = minutes === 0 ? 'no more time' : minutes > 0 ? `${minuteWords(minutes)} longer` : `${minuteWords(-minutes)} shorter`
  const price = cost > 0 ? `${time}, ${moneyWords(cost, currency)} more to buy` : time
  return { label, effect: `${ofHundred(after)} come out as they should, instead of ${ofHundred(before)}`, price }
}

/** What a rehearsal takes for granted; nobody has measured it. */
export function assumedLines(plan: Plan, from: Rehearsal['from']): string[] {
  const { way } = testOf(plan)
  const guess = way.ranks
    ? 'Results come from the lowest and the highest that you expect, and from the wobble that you said or that is assumed.'
    : `Of each condition ${Math.round(SAYS_MOST * 100)} in 100 trials give the word that you expect most often; the others any other word.`
  const slips = `One reading in ${ASSUMED.slipOneIn} has a slip; of those that are asked about, ${Math.round(ASSUMED.putRight * 100)} in 100 are put right.`
  return [
    from === 'bench' ? 'Results come from a small model of this set-up, read with your own instrument.' : guess,
    plan.clock.pace
      ? paceWords(plan)
      : `Classes, groups and trials differ in pace: two classes in three keep within ${inHundred(PACE_MODEL.class)} in 100 of the plan’s time, groups within ${inHundred(PACE_MODEL.group)} of their class, trials within ${inHundred(PACE_MODEL.trial)} of their group.`,
    ...(way.isAmount ? [slips] : []),
    `One trial in ${Math.round(1 / Math.max(0.001, failedShare(plan)))} fails and is done again with a fresh thing.`,
  ]
}

const inHundred = (spread: number) => Math.round(spread * 100)

/** What stands over everything that a made-up class shows. */
export const MADE_UP_MARK = 'Made up for a rehearsal: no child measured this.'

/** Why nothing can be written while it stands there. */
export const MADE_UP_REFUSED = 'This class is made up: nothing is written down. Put it away first.'

/** What has to be said on Plan before made-up classes can try it. */
export function rehearsalNeeds(plan: Plan): string {
  const expected = testOf(plan).way.ranks
    ? 'the lowest and the highest result you expect'
    : 'which word you think will come most often for each condition'
  return `Say on Plan what you change, what you measure, and ${expected}; a guess is enough. Then a thousand made-up classes can try it tonight.`
}
