import { expect, it } from 'vitest'
import { recordOf, soakUpPlan } from '../../test/ready'
import { doubtsOfConclusion } from '../agree'
import { resultsGraph } from '../charts'
import { evidenceOf } from '../evidence'
import { podiumLines, sentenceStarters, writeFigure } from '.'

/** The first group reads ten more than the second and did each once more, so that the plain mean is 66 and the one that counts 65. */
const uneven = recordOf({ 'kitchen-roll': [70, 60, 70, 60, 70], tissue: [50, 40, 50, 40, 50], card: [20, 10, 20, 10, 20] }, 2)

it.each([
  ['mean', '65.0', 'averaged|average of'],
  ['median', '70.0', 'in the middle'],
  ['mode', '70.0', 'as the commonest number'],
] as const)('graph, podium and sentences say one average of each condition: %s', (average, figure, word) => {
  const plan = soakUpPlan({ average, groups: soakUpPlan().groups.slice(0, 2) })
  const evidence = evidenceOf(plan, uneven)!
  const shown = resultsGraph(plan, uneven)!.marks.flatMap((mark) =>
    mark.average === undefined ? [] : [writeFigure(plan, mark.average, 'mm')],
  )
  const starters = sentenceStarters(plan, evidence)
  const said = [...starters, ...podiumLines(plan, evidence)].join(' ').match(/\d+(?:\.\d+)?\u202fmm/g) ?? []
  expect(shown[0]).toContain(figure)
  expect(said.length).toBeGreaterThan(2)
  expect(said.filter((one) => !shown.includes(one))).toEqual([])
  expect(starters.join(' ')).toMatch(new RegExp(word))
  expect(starters.flatMap((starter) => doubtsOfConclusion(starter, plan, evidence)).map(({ code }) => code)).not.toContain(
    'wrong-number',
  )
})

it('a number is not called the middle one where it is another average', () => {
  const plan = soakUpPlan({ average: 'median', groups: soakUpPlan().groups.slice(0, 2) })
  const codes = (text: string) => doubtsOfConclusion(text, plan, evidenceOf(plan, uneven)!).map(({ code }) => code)
  expect(codes('Kitchen roll came first with 70 mm, in the middle.')).not.toContain('wrong-number')
  expect(codes('Kitchen roll came first with 65 mm, in the middle.')).toContain('wrong-number')
})
