import { unreachable } from '../unreachable'
import { letterOf, WHOLE_CLASS, type Plan, type Reading } from '../lesson'
import type { JournalKind, JournalLine } from '../record'
import { BOARD_WORDS, momentWords, nameOfCondition, nameOfGroup, readingWords, WONDER_WORDS } from './names'
import { trialNumberWords } from './order'
import { failureWords } from './failures'
import { STRAY_WORDS } from './strays'
import { predictionSentence } from './vocabulary'

export const JOURNAL_WORDS: Record<JournalKind, string> = {
  reading: 'Readings',
  observation: 'Observations',
  remark: 'Noticed and wondered',
  prediction: 'Predictions',
  conclusion: 'Conclusions',
  feedback: 'What groups told each other',
  improvement: 'Changes for the next try',
  failure: 'Trials without a number',
  placing: 'Given another place',
  station: 'Stations',
  board: 'Board and clock',
  plan: 'The plan',
  together: 'Running together',
}

const STATION_WORDS = {
  joined: 'a station joined',
  moved: 'a station moved',
  locked: 'a station was paused',
  unlocked: 'a station goes on',
  removed: 'a station was sent away',
}

/** One line of the journal in words, without time and group. `'B tissue, repeat 2: 61 mm'` */
export function journalWords(plan: Plan, { event, times }: JournalLine): string {
  switch (event.kind) {
    case 'reading':
      return readingLine(plan, event.reading)
    case 'observation': {
      const { condition, kind, text } = event.observation
      const about = condition === null ? '' : `${letterOf(plan, condition)} ${nameOfCondition(plan, condition)}: `
      return `${about}${[text, kind === 'words' ? '' : `(${kind})`].filter(Boolean).join(' ')}`
    }
    case 'remark':
      return `${WONDER_WORDS[event.remark.list].name}: ${event.remark.text}`
    case 'prediction': {
      const { prediction } = event
      if (prediction.as === 'challenge') return 'guessed the last challenge'
      if (prediction.as === 'hands') return 'hands up counted'
      return `${prediction.late ? 'changed their mind: ' : ''}${predictionSentence(plan, prediction)}`
    }
    case 'conclusion':
      return `${event.conclusion.agreed ? 'agreed: ' : 'proposed: '}${event.conclusion.text}${event.conclusion.hands === null ? '' : ` (${event.conclusion.hands} hands)`}`
    case 'improvement': {
      const { condition, what, why } = event.improvement
      return `${nameOfCondition(plan, condition)}: ${what}${why === '' ? '' : `, because ${why}`}`
    }
    case 'failure':
      return failureWords(plan, event.failure)
    case 'feedback': {
      const { about, well, next } = event.feedback
      return `to ${groupWords(plan, about)}: ${[well && `well: ${well}`, next && `to work on: ${next}`].filter(Boolean).join('; ')}`
    }
    case 'placing': {
      const { of, to, condition, aside } = event.placing
      if (aside) return `one ${STRAY_WORDS[of].one} was put aside`
      if (to === null && condition === null) return `where one ${STRAY_WORDS[of].one} belongs is open again`
      const places = [to && groupWords(plan, to), condition && nameOfCondition(plan, condition)].filter(Boolean)
      return `one ${STRAY_WORDS[of].one} was given to ${places.join(', ')}`
    }
    case 'station':
      return `${STATION_WORDS[event.change]}${event.to === undefined ? '' : ` to ${groupWords(plan, event.to)}`}`
    case 'board': {
      const { view, clockStarted, pauses, results, sound } = event.board
      const shown = view === null ? 'what fits' : BOARD_WORDS[view].toLowerCase()
      // Older lines know of no pauses.
      const paused = pauses?.at(-1)?.to === null
      const clock = paused ? 'clock paused' : clockStarted === null ? 'clock by the timetable' : 'test clock runs'
      return `board: ${shown}, ${clock}, numbers ${results === 'live' ? 'shown' : 'hidden'}, sound ${sound ? 'on' : 'off'}`
    }
    case 'together':
      return times === 1 ? 'what runs together was changed' : `what runs together was changed, ${times} times`
    case 'plan':
      return times === 1 ? 'the plan was changed' : `the plan was changed, ${times} times`
    default:
      return unreachable(event)
  }
}

/** Who it is about: a group, the class, or nobody in particular. */
export function journalGroup(plan: Plan, { group }: JournalLine): string {
  return group === undefined ? '' : groupWords(plan, group)
}

function readingLine(plan: Plan, reading: Reading): string {
  const { condition, practice, repeat, moment, status, reason, confirmed, supersedes } = reading
  const place = [
    `${letterOf(plan, condition)} ${nameOfCondition(plan, condition)}`,
    practice ? 'practice' : `repeat ${repeat}`,
    momentWords(plan, moment),
    practice ? '' : trialNumberWords(plan, reading),
  ]
  const why = reason === '' ? '' : `: ${reason}`
  const became =
    status === 'set-aside'
      ? `, set aside${why}`
      : supersedes === null
        ? ''
        : confirmed && reason === ''
          ? ', said to be right'
          : `, put right${why}`
  return `${place.filter(Boolean).join(', ')}: ${readingWords(plan, reading)}${became}`
}

function groupWords(plan: Plan, group: string): string {
  if (group === WHOLE_CLASS) return 'the class'
  return plan.groups.some(({ id }) => id === group) ? nameOfGroup(plan, group) : 'a group that is gone'
}
