import type { LessonRecord, Plan } from '../../lesson'
import { cameOut, changeTally, guessesOf, handsOf, predictionsByGroup, tallyOf } from '../../predictions'
import { eachMeasure } from '../../test'
import { resultName } from '../counts'
import { guessedWords } from '../eachChild'
import { counted, list, nameOfCondition } from '../names'
import { countedOwners } from '../owners'
import { besideWords } from '../predictions'
import { cameOutWords } from '../results'
import { predictionSentence } from '../vocabulary'

/** Of several things that are measured each that somebody predicted, and the first in any case. */
export function predictedRows(plan: Plan, record: LessonRecord): { term: string; text: string }[] {
  const [first, ...others] = eachMeasure(plan)
  const said = others.filter((view) => predictionsByGroup(view, record.predictions).some(({ stamped }) => stamped))
  const term = (view: Plan) => (said.length === 0 ? 'We predicted' : `We predicted: ${resultName(view)}`)
  return [first!, ...said].map((view) => ({ term: term(view), text: predictedWords(view, record) }))
}

/** `'3 groups said tissue more, 1 group said card the same'` of those who said more, less or the same. */
function changesSaid(plan: Plan, record: LessonRecord): string[] {
  return changeTally(plan, record.predictions).flatMap(({ condition, up, same, down }) =>
    (
      [
        ['more', up],
        ['the same', same],
        ['less', down],
      ] as const
    ).flatMap(([way, count]) =>
      count > 0 ? [`${countedOwners(plan, count)} said ${nameOfCondition(plan, condition)} ${way}`] : [],
    ),
  )
}

function predictedWords(plan: Plan, record: LessonRecord): string {
  const guesses = guessesOf(plan, record.predictions)
  if (guesses.length > 0) return guessedWords(plan, guesses)
  const most = tallyOf(plan, record.predictions)
    .filter((one) => one.most > 0)
    .map((one) => `${countedOwners(plan, one.most)} said ${nameOfCondition(plan, one.condition)} most`)
  const hands = Object.entries(handsOf(plan, record.predictions)?.values ?? {})
    .filter(([, count]) => count > 0)
    .map(([id, count]) => `${counted(count, 'hand')} for ${nameOfCondition(plan, id)}`)
  const changes = changesSaid(plan, record)
  const said = [
    ...(most.length > 0 ? [`${list(most)}.`] : []),
    ...(changes.length > 0 ? [`${list(changes)}${besideWords(plan)}.`] : []),
    ...(hands.length > 0 ? [`Hands up: ${list(hands)}.`] : []),
  ]
  return said.length === 0 ? 'No prediction was written down.' : said.join(' ')
}

/** What a group predicted of the other things that are measured, and how that came out. */
export function predictedBesides(plan: Plan, record: LessonRecord, group: string): { term: string; text: string }[] {
  return eachMeasure(plan)
    .slice(1)
    .flatMap((view) => {
      const said = predictionsByGroup(view, record.predictions).find((one) => one.group === group)?.stamped
      if (!said) return []
      const term = `Predicted: ${resultName(view)}`
      return [{ term, text: [predictionSentence(view, said), ...cameOutWords(view, cameOut(view, record, said))].join(' ') }]
    })
}
