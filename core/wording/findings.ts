import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import { trayWords, conditionsWords } from './question'
import { failedShare, type SupplyField } from '../kit'
import { changedFactor, letterOf, type Plan } from '../lesson'
import { forMeasure, testOf, kindOf } from '../test'
import { unitOf, writeShort, withUnit } from '../quantity'
import type { Finding } from '../secondLook'
import { KIND_WORDS } from './kinds'
import { cautionSourceWords, cautionWords, doerWords } from './cautions'
import { doubtWords } from './doubts'
import { readErrorWords } from './errors'
import { gradeName } from './evidence'
import { doubtWordsOfConclusion } from './conclusionDoubts'
import { dayWords } from './days'
import { amountWords, civilWords, movedWords, PREPARATION_WORDS } from './kit'
import { DAY_OFF_WORDS, minuteAt, minuteWords, secondWords } from './clock'
import {
  chanceWords,
  conditionWithLetter,
  counted,
  instrumentNamed,
  list,
  measuredWith,
  nameOfGroup,
  ofHundred,
  writeReading,
} from './names'
import { strayCountWords } from './strays'
import { countedOwners } from './owners'

export interface FindingWords {
  title: string
  text: string
  /** The reason, shown on demand. */
  why: string
}

/** One finding of the Second look in words. */
export function findingWords(finding: Finding, plan: Plan): FindingWords {
  if (finding.measure === undefined) return wordsOf(finding, plan)
  const view = forMeasure(plan, finding.measure)
  const words = wordsOf(finding, view)
  return { ...words, text: `${sentenceCase(testOf(view).measure?.name.trim() || 'The other measure')}: ${words.text}` }
}

function wordsOf(finding: Finding, plan: Plan): FindingWords {
  const measured = testOf(plan).measure
  const letters = (ids: string[]) => list(ids.map((id) => letterOf(plan, id)))
  const factor = (id: string) => plan.factors.find((one) => one.id === id)?.name ?? 'a factor'
  const material = (id: string) => plan.materials.find((one) => one.id === id)?.name || 'a material without a name'
  const label = (id: string) => plan.conditions.find((one) => one.id === id)
  switch (finding.code) {
    case 'no-title':
      return {
        title: 'No name yet',
        text: 'Give the lesson a name, so that you find it on the shelf.',
        why: 'The name also heads the board and the report.',
      }
    case 'instrument-misfit':
      return {
        title: 'Another instrument is called for',
        text: `${sentenceCase(measured?.name ?? 'What we measure')} is read ${measured ? measuredWith(measured.method) : 'in another way'}; its name calls for ${instrumentNamed(finding.instrument)}.`,
        why: 'Sums, graph and station go by the unit. A card keeps its name whatever it is measured with.',
      }
    case 'unit-not-said':
      return {
        title: 'Read with what?',
        text: `Nobody said with what ${measured?.name ?? 'it'} is read: it stands in ${unitOf(finding.unit).symbol}.`,
        why: 'The unit decides what counts, what is odd and how many digits are shown. Nothing is read from the name that it does not say.',
      }
    case 'best-not-said':
      return {
        title: 'What is best?',
        text: `Nobody said which end of ${measured?.name ?? 'it'} is best: no first, no podium until then.`,
        why: 'The most is not always best: of water that is left it is the least. Where conditions only differ, say so.',
      }
    case 'nothing-wondered':
      return {
        title: 'Nothing noticed yet',
        text: 'Write down one thing the class may notice or wonder about.',
        why: 'A question that grew out of something seen is easier to care about.',
      }
    case 'sounds-like-a-guess': {
      const remark = plan.wonder.noticed.find((one) => one.id === finding.remark)?.text ?? ''
      return {
        title: 'Noticed, or a guess?',
        text: `“${remark.slice(0, 80)}” says ${list(finding.words.map((word) => `“${word}”`))}.`,
        why: 'What was noticed can be seen, heard or felt by anybody. A reason for it is a guess, and a good one to test.',
      }
    }
    case 'nothing-to-change':
      return {
        title: 'Nothing to change yet',
        text: `Put one card into the tray “${trayWords(plan.kind).change.name}”.`,
        why: kindOf(plan).changesOne ? 'In a fair test exactly one thing is changed on purpose.' : KIND_WORDS[plan.kind].what,
      }
    case 'nothing-to-measure':
      return {
        title: 'Nothing to measure yet',
        text: `Put one card into the tray “${trayWords(plan.kind).measure.name}”.`,
        why: 'Without one thing to measure there is nothing to compare.',
      }
    case 'too-few-conditions':
      return {
        title: finding.count === 0 ? `${conditionsWords(plan.kind).name}: none yet` : 'Only one to compare',
        text: kindOf(plan).changesOne
          ? `Say what ${changedFactor(plan)?.name ?? 'it'} is changed to: at least two.`
          : `Write down ${conditionsWords(plan.kind).what}, such as “${conditionsWords(plan.kind).example}”.`,
        why: 'A comparison needs two things to compare.',
      }
    case 'too-few-levels':
      return {
        title: `Only ${finding.count} numbers to test`,
        text:
          finding.count < 3 ? 'Add at least one between or beyond them.' : 'Enough for a line; five show better whether it bends.',
        why: 'Two points always make a straight line. Three show whether it bends; five are better.',
      }
    case 'label-empty':
      return {
        title: `${letterOf(plan, finding.condition)} has no name`,
        text: 'Say what it is, or take it out.',
        why: 'Children at the station need to know what to fetch.',
      }
    case 'same-label':
      return {
        title: `${letters(finding.conditions)} are the same`,
        text: 'They read alike, so nothing is changed between them.',
        why: 'Two conditions of the same kind cannot differ in what you change.',
      }
    case 'number-unreadable':
      return {
        title: `${letterOf(plan, finding.condition)} is not a number`,
        text: `“${label(finding.condition)?.label.slice(0, 40)}”: ${readErrorWords(finding.problem)}`,
        why: `The conditions are numbers in ${unitOf(plan.conditionUnit).symbol}. Anything with a unit of the same kind can be read too.`,
      }
    case 'uneven-levels':
      return {
        title: 'The steps are uneven',
        text: `${list(finding.values.map((value) => writeShort(value)))} ${unitOf(plan.conditionUnit).symbol}: even steps show a line best.`,
        why: 'Where two numbers lie close together the class learns the same thing twice; where they lie far apart a bend can hide.',
      }
    case 'narrow-levels':
      return {
        title: 'A narrow range',
        text: `From ${withUnit(writeShort(finding.lowest), plan.conditionUnit)} to ${withUnit(writeShort(finding.highest), plan.conditionUnit)} little may change.`,
        why: 'The wider the range, the easier a difference stands out from the wobble.',
      }
    case 'too-few-words':
      return {
        title: 'Which words?',
        text: 'Write at least two words in order, such as dry, damp, wet.',
        why: 'Children then choose one of them, and everybody means the same by it.',
      }
    case 'no-times':
      return {
        title: 'When will it be read?',
        text: 'Say at least two times, such as 0, 1, 2 and 5 minutes.',
        why: 'Watching over time needs a first reading to compare with.',
      }
    case 'muddled':
      return {
        title: 'Many things differ at once',
        text: `${finding.fair === 0 ? 'No pair' : `Only ${finding.fair}`} of ${finding.all} pairs can be compared fairly.`,
        why: finding.best
          ? `Hidden in it is a fair comparison of ${factor(finding.best.factor)}, with ${letters(finding.best.conditions)}.`
          : 'No two of them differ in one thing only. Make more of the things the same.',
      }
    case 'factor-differs': {
      const fair = finding.fairAmong.length > 1 ? ` ${letters(finding.fairAmong)} are fair among themselves.` : ' No pair is fair.'
      const verb = finding.odd.conditions.length === 1 ? 'is' : 'are'
      return {
        title: `Not fair yet: ${factor(finding.factor)}`,
        text: `${letters(finding.odd.conditions)} ${verb} “${finding.odd.value}”, the rest “${finding.usual}”. Two things change at once.${fair}`,
        why: `If ${letters(finding.odd.conditions)} came out different, nobody could say whether ${changedFactor(plan)?.name ?? 'the change'} or ${factor(finding.factor)} did it.`,
      }
    }
    case 'factor-unknown':
      return {
        title: `Nobody knows: ${factor(finding.factor)}`,
        text: `It is not known for ${letters(finding.conditions)}.`,
        why: 'What is not known may differ, so those comparisons cannot be called fair.',
      }
    case 'how-not-said': {
      const vague = plan.factors.find(({ id }) => id === finding.factor)?.how.trim() ?? ''
      return {
        title: `${sentenceCase(factor(finding.factor))} can drift`,
        text:
          vague === ''
            ? 'It is kept the same, but not said how.'
            : `“${sentenceCase(vague)}” is neither a number nor a habit: how do ${countedOwners(plan, plan.groups.length)} do that alike?`,
        why: 'Each group has its own way of keeping something the same, unless one way is agreed.',
      }
    }
    case 'one-reading-each':
      return {
        title: 'One reading each',
        text: 'With a single reading nobody sees how far readings of the same thing lie apart.',
        why: 'Repeats show the wobble. One group with one reading of each can never be clear.',
      }
    case 'too-few-repeats':
      return {
        title: `${counted(finding.repeats, 'repeat')} may not show it`,
        text: `As planned it comes out clear in ${chanceWords(finding.chance)} classes. ${counted(finding.needed, 'repeat')} ${finding.needed === 1 ? 'reaches' : 'reach'} nine in ten.`,
        why: 'Worked out from the results you expect, the wobble of the measuring and from trial to trial, and how many groups there are.',
      }
    case 'hopeless':
      return {
        title: 'The difference drowns in wobble',
        text: `You expect ${withUnit(writeShort(finding.closest), finding.unit)} from one to the next; one reading wobbles by ${withUnit(writeShort(finding.total), finding.unit)}. As planned it comes out clear in ${chanceWords(finding.chance)} classes, and no more repeats make that nine in ten.`,
        why: 'Try bigger steps between the conditions, more groups, or a way of measuring that wobbles less.',
      }
    case 'one-group-same-thing':
      return {
        title: 'One thing of each, read again and again',
        text: 'However many read it, the result is about these things, and leaning at most. For their kind take more of them.',
        why: 'Thirty children who look at one strip say how well that strip is measured, not whether its kind differs from another.',
      }
    case 'blocks':
      return {
        title: 'All of one condition before the next',
        text: `${finding.reason === '' ? 'Why that is needed is not said. ' : ''}Whatever changes with time (warming, tiring, wear) cannot be told from what you change.`,
        why: 'Each group starts with another condition, which evens out some of it. Mixed trials even out more.',
      }
    case 'drift':
      return {
        title: 'Results creep from trial to trial',
        text: `From each trial to the next they go ${finding.slope > 0 ? 'up' : 'down'} by ${withUnit(writeShort(Number(Math.abs(finding.slope).toPrecision(2))), finding.unit)}, whatever the condition. That alone would make ${withUnit(writeShort(Number(Math.abs(finding.explains).toPrecision(2))), finding.unit)} of gap between first and last.`,
        why: 'Something warms, cools, tires or wears, or hands learn. Every group in its own order keeps that from looking like a difference.',
      }
    case 'no-groups':
      return { title: 'No groups yet', text: 'Split the class into groups.', why: 'Kit, clock and board are worked out per group.' }
    case 'kit-empty':
      return {
        title: 'Nothing in the kit',
        text: 'List what a tray needs, and the amounts are worked out.',
        why: 'Conditions, repeats, groups and spares are multiplied for you.',
      }
    case 'whose-amount':
      return {
        title: `${material(finding.material)}: for each group or each trial?`,
        text: `“${finding.amount}” stands at each group. That is enough for all its trials only if the same ones come again.`,
        why: `A group does ${counted(finding.trials, 'trial')}: what each of them takes is that many times as much.`,
      }
    case 'amount-unreadable':
      return {
        title: `How much ${material(finding.material)}?`,
        text: readErrorWords(finding.problem),
        why: 'Write it like 1 strip, 2 tbsp, 200 mL or 1/2 cup.',
      }
    case 'supply-unreadable':
      return {
        title: `${SUPPLY_WORDS[finding.field]} of ${material(finding.material)}?`,
        text: readErrorWords(finding.problem),
        why: 'What was typed is kept. It does not count until it can be read.',
      }
    case 'thing-gone':
      return {
        title: `${material(finding.material)} is not in the cupboard`,
        text: 'The thing it was taken from is no longer there. What stands in the list counts now.',
        why: 'Choose another thing of the cupboard, or write the stock here.',
      }
    case 'short': {
      const short = amountWords(finding.short, finding.unit)
      const packs = finding.packs === undefined ? '' : ` ${counted(finding.packs, 'pack')} will do.`
      return {
        title: `${short} short: ${material(finding.material)}`,
        text: `${finding.takenBy.length > 0 ? `${list(finding.takenBy.map((title) => `“${title}”`))} takes some first.` : `${amountWords(finding.forClass, finding.unit)} for the class, ${amountWords(finding.forClass - finding.short, finding.unit)} there.`}${packs}`,
        why: 'Needed, spares included, less what is there and not booked by an earlier lesson.',
      }
    }
    case 'caution': {
      const { name, what } = cautionWords(finding.caution)
      return {
        title: `${name}: ${doerWords(finding.doer)}`,
        text: what,
        why: `Because of ${cautionSourceWords(finding.materials.map(material), finding.from)}. Your school's own rules come first.`,
      }
    }
    case 'own-caution': {
      const own = plan.ownCautions.find(({ id }) => id === finding.caution)
      return {
        title: `Take care: ${doerWords(own?.doer ?? 'adult-beside')}`,
        text: own?.text || 'A caution without words.',
        why: 'You wrote this one yourself.',
      }
    }
    case 'step-moved': {
      const what =
        finding.step === 'pack'
          ? 'Packing'
          : finding.step === 'shop'
            ? 'Shopping'
            : `${PREPARATION_WORDS[finding.step]}: ${material(finding.material)}`
      return {
        title: `${what} on ${dayWords(finding.planned.day)}`,
        text: `At ${civilWords(finding.wanted)} it would be just in time; ${movedWords(finding.because)}.`,
        why: 'Worked out backwards from the start of the lesson, by day and on school days.',
      }
    }
    case 'spares-few': {
      const names = finding.materials.map((id) => plan.materials.find((one) => one.id === id)?.name ?? '').filter(Boolean)
      return {
        title: 'Few spares',
        text: `Nothing runs out in ${ofHundred(finding.chance)} classes: ${list(names)}.`,
        why: `One trial in ${Math.round(1 / Math.max(0.001, failedShare(plan)))} fails and takes a fresh thing; spares are enough when nothing runs out in nine classes of ten.`,
      }
    }
    case 'trial-time-missing':
      return {
        title: 'How long is one trial?',
        text: 'Say how long setting up, running, reading and resetting take.',
        why: 'The test takes conditions x repeats x one trial; without the one, nobody can say whether it fits.',
      }
    case 'over-run':
      return {
        title: `${minuteWords(finding.minutes)} too long`,
        text: `Testing alone takes ${minuteWords(finding.testMinutes)}.`,
        why: 'All phases together, with the test worked out from one trial x conditions x repeats and practice.',
      }
    case 'may-over-run':
      return {
        title: `Fits in ${ofHundred(finding.chance)} classes`,
        text: `Nine in ten have tested by ${minuteAt(plan, finding.nineInTen)}; it should end at ${minuteAt(plan, finding.until)}.`,
        why: 'Worked out from how much classes, groups and trials differ in pace: it fits when nine classes in ten are done in time.',
      }
    case 'things-wait':
      return {
        title: `${secondWords(finding.seconds)} of waiting`,
        text: `Groups wait for ${goingRoundWords(plan, finding)}.`,
        why: 'Each trial lasts at least until the thing has been round all the groups that share it, for the steps in which it is in use.',
      }
    case 'no-school-that-day':
      return {
        title: `No school on ${dayWords(plan.date)}`,
        text: `${finding.name || sentenceCase(DAY_OFF_WORDS[finding.why])}.`,
        why: 'From the school calendar of the class, at the Clock.',
      }
    case 'readings-lost':
      return {
        title: `${counted(finding.days.length, 'reading')} on days without school`,
        text: `${finding.days.length === 1 ? 'Day' : 'Days'} ${list(finding.days.map(String))}.${finding.best ? ` A start on ${dayWords(finding.best.start)} loses ${finding.best.lost === 0 ? 'none' : finding.best.lost}.` : ''}`,
        why: 'Counted on the school calendar of the class, weekends and holidays left out.',
      }
    case 'no-date':
      return {
        title: 'No day yet',
        text: 'Choose the day of the lesson.',
        why: 'The shelf sorts by it, and later the getting-ready list counts back from it.',
      }
    case 'predictions-missing':
      return {
        title: `${countedOwners(plan, finding.groups.length)} without a prediction`,
        text: `${list(finding.groups.map((id) => nameOfGroup(plan, id)))}.`,
        why: 'A prediction counts when it is made before the first reading.',
      }
    case 'doubtful':
      return {
        title: `Ask ${nameOfGroup(plan, finding.group)} about ${writeReading(plan, finding.value, finding.unit)}`,
        text: `${conditionWithLetter(plan, finding.condition)}: ${doubtWords(plan, finding.value, finding.unit, finding.doubt)}`,
        why: 'Compared with the other readings of the same condition. It is asked, never altered.',
      }
    case 'two-in-one-place':
      return {
        title: `${finding.readings.length} readings in one place`,
        text: `${nameOfGroup(plan, finding.group)}, ${conditionWithLetter(plan, finding.condition)}, repeat ${finding.repeat}. Set one aside, or keep them all.`,
        why: 'Two people filled the same place. Both count until one is set aside.',
      }
    case 'wrong-kind-of-unit':
      return {
        title: `${counted(finding.count, 'reading')} in another kind of unit`,
        text: `They cannot be turned into ${unitOf(finding.unit).symbol} and are left out.`,
        why: 'The unit of the measuring method was changed after they were written down.',
      }
    case 'strays':
      return {
        title: `${finding.of.reduce((sum, { count }) => sum + count, 0)} without a place`,
        text: `${finding.of.map(strayCountWords).join('; ')}. Kept, and counted nowhere: give each to somebody who is here, or put it aside.`,
        why: 'The plan was changed while they were on their way, or they came with a file. Nothing of them is lost.',
      }
    case 'empties-missing':
      return {
        title: `${counted(finding.count, 'container')} still to weigh empty`,
        text: `${counted(finding.readings, 'reading')} ${finding.readings === 1 ? 'has' : 'have'} no result until then.`,
        why: 'What is read has the container with it. Its own weight is taken off as soon as somebody has said it.',
      }
    case 'homeless':
      return {
        title: `${counted(finding.count, 'reading')} not in the table`,
        text: 'They belong to a condition that is left out, or to a repeat that the plan no longer has.',
        why: 'Nothing is lost: bring it back into the plan and they return.',
      }
    case 'gaps':
      return {
        title: `${counted(finding.count, 'gap')} in the table`,
        text: `${someOf(finding.groups.map((id) => nameOfGroup(plan, id)))} ${finding.groups.length === 1 ? 'has' : 'have'} places left to fill.`,
        why: 'While places are empty nothing is called clear: a class that stops when it likes what it sees fools itself. If testing is over, say that they stay empty.',
      }
    case 'not-sure':
      return {
        title: gradeName(finding),
        text: notSureWords(finding),
        why: 'More of the same makes averages steadier. “Clear” is kept for 5 in 100 or fewer.',
      }
    case 'conclusion-missing':
      return {
        title: 'No conclusion yet',
        text: 'Start from one of the sentences that fit the result.',
        why: 'The class conclusion answers the question, with numbers and how sure you are.',
      }
    case 'conclusion-doubt':
      return doubtWordsOfConclusion(finding.doubt, plan)
    default:
      return unreachable(finding)
  }
}

function notSureWords({ p, limits }: Extract<Finding, { code: 'not-sure' }>): string {
  if (limits.includes('unfinished'))
    return 'Places are still empty: until they are filled, or said to stay so, nothing is called clear.'
  if (limits.includes('one-reading-each')) return 'One reading each can never be clear.'
  if (limits.includes('uneven-readings')) return 'Some of them were read only once.'
  if (limits.includes('also-seen')) return 'It was looked at besides the main question, and what is not asked beforehand is a hint.'
  if (limits.includes('same-thing')) return 'The same thing read again says nothing about others of its kind.'
  if (p === undefined) return 'There is too little to judge luck by.'
  return `Luck alone would make a gap like this in ${chanceWords(p)} classes.`
}

const SUPPLY_WORDS: Record<SupplyField, string> = { stock: 'Stock', pack: 'Pack', price: 'Price' }

/** The first four, and that there are more. */
function someOf(names: string[]): string {
  return list(names.length > 4 ? [...names.slice(0, 4), 'others'] : names)
}

/** `'the 2 rulers that go round'`: the name as it stands in the kit. */
function goingRoundWords(plan: Plan, { material, copies }: { material: string; copies: number }): string {
  const name = plan.materials.find(({ id }) => id === material)?.name || 'what is shared'
  return copies === 1 ? `the one that goes round: ${name}` : `the ${copies} that go round: ${name}`
}
