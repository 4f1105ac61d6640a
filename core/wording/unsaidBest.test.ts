import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { counter, emptyRecord, reading } from '../../test/soakUp'
import { seededRandom } from '../chance'
import { draftOf } from '../draft'
import { evidenceOf } from '../evidence'
import { emptyPlan, type Plan } from '../lesson'
import { isBestKnown, momentsOf, testOf, withMethod } from '../test'
import { agreementSentence, podiumLines, sentenceStarters, sureSentences } from '.'
import { cameWords, comesWords, putWords } from './best'
import { classReport, groupReport } from './reports'

const WANTED = 300
/** What may only be said where something is best. */
const WINS = /\b(?:came first|comes first|come first|first place|1st|winner|wins|won|the best|put \S+ first)\b/i
const lines = ['test/golden/oneLine.json', 'test/ourLines.json'].flatMap(
  (path) => JSON.parse(readFileSync(path, 'utf8')) as { text: string }[],
)

/** Half-filled plans, as a line leaves them, of which nobody said what is best. */
function* halfFilled(): Generator<{ plan: Plan; random: () => number }> {
  for (let seed = 1; ; seed += 1) {
    const { text } = lines[seed % lines.length]!
    const newId = counter(`p${seed}x`)
    const draft = draftOf(text, {}, emptyPlan('Puffin', 26, newId), newId)
    if (!draft || draft.plan.measured === null || draft.plan.conditions.length < 2) continue
    const plan = withMethod(draft.plan, (method) => ({ ...method, best: null }))
    if (!isBestKnown(plan)) yield { plan, random: seededRandom(seed) }
  }
}

it('says of no half-filled plan who came first, on no report and in no sentence, until somebody said what is best', () => {
  const said: string[] = []
  let tried = 0
  for (const { plan, random } of halfFilled()) {
    if ((tried += 1) > WANTED) break
    const { unit } = testOf(plan)
    const readings = plan.groups.flatMap(({ id: group }) =>
      plan.conditions.flatMap(({ id: condition }, place) =>
        Array.from({ length: plan.repeats }, (_, repeat) =>
          momentsOf(plan).map(({ id: moment }) => {
            const value = Math.round(10 * (place + 1) + 3 * random())
            return reading({ group, condition, repeat: repeat + 1, moment, value, unit, entered: String(value) })
          }),
        ).flat(),
      ),
    )
    const record = { ...emptyRecord, readings }
    const evidence = evidenceOf(plan, record)
    const names = [...plan.conditions.map(({ label }) => label), ...plan.factors.map(({ name }) => name), plan.title]
    const texts = [
      cameWords(plan),
      comesWords(plan),
      putWords(plan, 'x'),
      ...(evidence
        ? [
            ...podiumLines(plan, evidence),
            ...sentenceStarters(plan, evidence),
            ...sureSentences(plan, evidence),
            agreementSentence(plan, evidence),
          ]
        : []),
      JSON.stringify([classReport(plan, record), groupReport(plan, record, plan.groups[0]!.id)]),
    ]
    const own = (text: string) => names.filter((name) => name !== '').reduce((rest, name) => rest.replaceAll(name, '_'), text)
    said.push(
      ...texts
        .map((text) => WINS.exec(own(text ?? ''))?.[0] ?? '')
        .filter(Boolean)
        .map((word) => `${plan.title}: ${word}`),
    )
  }
  expect(tried).toBeGreaterThan(WANTED)
  expect([...new Set(said)]).toEqual([])
}, 120_000)
