import { unreachable } from '../unreachable'
import { trayWords, conditionsWords } from './question'
import type { PartOfShelf } from '../clock'
import { type Plan, type Stop } from '../lesson'
import { shapeOf } from '../test'
import { targetName, type FirstStepCode, type Hour, type Matter, type Open } from '../secondLook'
import { findingWords } from './findings'
import { counted, nameOfGroup, writeReading } from './names'

/** What a lesson waits for, as a shelf says it, and where it is done. */
export interface MatterWords {
  text: string
  stop: Stop
  /** What carries this name is where it begins. */
  target: string | null
}

const STEP_MATTERS: Record<FirstStepCode, string> = {
  wonder: 'Find the question',
  change: 'Choose what to change',
  measure: 'Choose what to measure',
  conditions: 'Say what is compared',
}

/** One thing that matters now: `{ text: 'Answer for Birch’s 7 mm', stop: 'test', target: 'cell-g2-tissue-1' }`. */
export function matterWords(matter: Matter, plan: Plan): MatterWords {
  switch (matter.code) {
    case 'first-step':
      return { text: STEP_MATTERS[matter.step.code], stop: matter.step.stop, target: matter.step.target }
    case 'mend': {
      const { finding } = matter
      if (finding.code === 'doubtful') {
        const text = `Answer for ${nameOfGroup(plan, finding.group)}’s ${writeReading(plan, finding.value, finding.unit)}`
        return { text, stop: 'test', target: targetName(finding.target) }
      }
      if (finding.code === 'caution') return { text: 'Look at the cautions', stop: 'kit', target: null }
      const place = finding.fixes.find((fix) => fix.code === 'go')
      return {
        text: findingWords(finding, plan).title,
        stop: finding.stop,
        target: place?.target ? targetName(place.target) : null,
      }
    }
    case 'next':
      return matter.stop === 'predict'
        ? { text: 'Take predictions', stop: 'predict', target: null }
        : { text: 'Take readings', stop: 'test', target: null }
    case 'gaps':
      return { text: `Take ${counted(matter.count, 'more reading', 'more readings')}`, stop: 'test', target: null }
    case 'agree':
      return { text: matter.written ? 'Agree on the sentence' : 'Write a conclusion', stop: 'agree', target: 'conclusion' }
    case 'count-back':
      return { text: 'Count the kit back', stop: 'kit', target: 'count-back' }
    default:
      return unreachable(matter)
  }
}

export interface FirstStepWords {
  title: string
  example: string
}

/** A first step as the Second look says it, with an example of its own. */
export function firstStepWords(step: FirstStepCode, plan: Plan): FirstStepWords {
  const { change, measure } = trayWords(plan.kind)
  switch (step) {
    case 'wonder':
      return {
        title: 'Look at something together',
        example: 'Water climbs in a strip of paper. What do we see, and what do we ask?',
      }
    case 'change':
      return { title: `One card into “${change.name}”`, example: 'For example: the kind of paper.' }
    case 'measure':
      return { title: `One card into “${measure.name}”`, example: `For example: ${measure.example}.` }
    case 'conditions': {
      const { name, example } = conditionsWords(plan.kind)
      const few = shapeOf(plan).fewestConditions > 1 ? 'at least two' : 'at least one'
      return { title: `${name}: ${few}`, example: `For example: ${example}.` }
    }
    default:
      return unreachable(step)
  }
}

/** What is still open at a stop, short enough to stand beside its bead. */
export function openWords(open: Open): string {
  switch (open.code) {
    case 'something-seen':
      return 'nothing noticed yet'
    case 'question':
      return 'no question yet'
    case 'conditions':
      return 'what is compared?'
    case 'groups':
      return 'no groups yet'
    case 'kit':
      return 'nothing listed yet'
    case 'trial-time':
      return 'how long is a trial?'
    case 'day':
      return 'no day yet'
    case 'predictions':
      return `${open.done} of ${open.all} predicted`
    case 'readings':
      return `${open.done} of ${open.all} read`
    case 'results':
      return 'nothing to see yet'
    case 'sentence':
      return 'no sentence yet'
    case 'agreement':
      return 'not agreed yet'
    default:
      return unreachable(open)
  }
}

/** The parts of the shelf, in order. */
export const SHELF_PARTS: { part: PartOfShelf; name: string }[] = [
  { part: 'this-week', name: 'This week' },
  { part: 'coming', name: 'Coming' },
  { part: 'no-day', name: 'No day yet' },
  { part: 'earlier', name: 'Earlier' },
]

/** What is folded away because it belongs to another hour: `otherHourWords(7, 'past') // '7 about the plan, which has run'` */
export function otherHourWords(count: number, side: 'past' | 'coming'): string {
  return side === 'coming' ? `${count} for later` : `${count} about the plan, which has run`
}

/** What the list of an hour says of itself, and what it says when it is empty. */
export const HOUR_WORDS: Record<Hour, { title: string; calm: string }> = {
  before: {
    title: 'before testing, worst first',
    calm: 'Fair, measurable, counted and in time, as far as sums can tell.',
  },
  during: { title: 'while testing, worst first', calm: 'No odd number, no gap, no clash so far.' },
  after: { title: 'after testing, worst first', calm: 'Numbers, evidence and sentence go together, as far as sums can tell.' },
}
