import { describe, expect, it } from 'vitest'
import { conclusion, counter, recordOf, soakUpPlan } from '../../test/soakUp'
import { AGES } from '../lesson'
import { evidenceOf } from '../evidence'
import { sentenceStarters } from '../wording'
import { classConclusion, doubtsOfConclusion, nextTests, offersOf, originOf, partsOf, planNext, wordsUsed } from '.'

const plan = soakUpPlan()

describe('sentences', () => {
  const first = conclusion({ group: 'g2', text: 'Roll wins.', agreed: false })
  const second = conclusion({ group: 'g2', from: first.id, text: 'Kitchen roll came first.', agreed: false })
  const counted = conclusion({ group: 'g2', from: second.id, text: second.text, hands: 12, agreed: false })
  const other = conclusion({ group: 'g1', text: 'Card is last.', agreed: false })
  const taken = conclusion({ from: counted.id, text: 'Kitchen roll came first with 61 mm.', agreed: false })
  const agreed = conclusion({ from: taken.id, hands: 20 })
  const all = [first, other, second, counted, taken, agreed]

  it('stand in their newest form, with their hands, in the order of the groups', () => {
    expect(offersOf(plan, all).map(({ group, text, hands }) => [group, text, hands])).toEqual([
      ['g1', 'Card is last.', null],
      ['g2', 'Kitchen roll came first.', 12],
    ])
  })

  it('remember whose sentence the class took up', () => {
    expect(classConclusion(all)).toBe(agreed)
    expect(originOf(agreed, all)).toBe('g2')
    expect(originOf(conclusion(), all)).toBeUndefined()
  })
})

describe('a whole conclusion', () => {
  it('is looked at part by part, and by the class’s words', () => {
    expect(partsOf('Kitchen roll was highest with 61 mm.', plan)).toEqual(['answer', 'numbers'])
    expect(partsOf('It makes no difference.', plan)).toEqual(['answer'])
    expect(partsOf('It really matters: one was twice as high, and we were all wrong.', plan)).toEqual([
      'answer',
      'numbers',
      'prediction',
    ])
    expect(partsOf('Two of us had wet sleeves, and all six groups agree.', plan)).not.toContain('numbers')
    expect(partsOf('We are sure. We predicted otherwise. Next we would like to test width.', plan)).toEqual([
      'how-sure',
      'prediction',
      'next',
    ])
    expect(wordsUsed('All our readings agree, so it was a fair test.', ['reading', 'range', 'fair test'])).toEqual([
      'reading',
      'fair test',
    ])
  })

  it('is asked for a reason where it claims a cause', () => {
    const evidence = evidenceOf(plan, recordOf({ 'kitchen-roll': [60, 61, 62], card: [14, 15, 14] }, 1))!
    const codes = (text: string) => doubtsOfConclusion(text, plan, evidence).map(({ code }) => code)
    expect(codes('Kitchen roll came first with 61 mm due to its holes. We are sure.')).toEqual(['cause-without-reason'])
    expect(codes('The tiny holes lead to 61 mm. We are sure because water creeps into small gaps.')).toEqual([])
    expect(codes('The paper makes it climb, 61 mm, because …. We are sure.')).toEqual(['unfinished', 'cause-without-reason'])
    expect(codes('We found that kitchen roll came first with 61 mm ... We are sure.')).toEqual(['unfinished'])
  })
})

it('starters fit the age, and say no more than the evidence at any age', () => {
  const records = [
    recordOf({ 'kitchen-roll': [60, 61, 62, 60, 61, 62], tissue: [50, 51, 49, 50, 51, 49], card: [14, 15, 14, 15, 14, 15] }, 3),
    recordOf({ 'kitchen-roll': [30, 24, 27, 31, 25, 29], tissue: [24, 28, 22, 26, 27, 23], card: [27, 22, 29, 24, 21, 28] }, 3),
    recordOf({ 'kitchen-roll': [30, 30, 30], tissue: [30, 30, 30] }, 3),
  ]
  const all = AGES.map((age) =>
    records.map((record) => {
      const evidence = evidenceOf(plan, record)!
      const starters = sentenceStarters({ ...plan, age }, evidence)
      for (const starter of starters) {
        const claims = doubtsOfConclusion(starter, plan, evidence).filter(
          ({ code }) => code === 'claims-too-much' || code === 'claims-no-difference',
        )
        expect(claims, starter).toEqual([])
      }
      return starters.join(' ').length
    }),
  )
  // The youngest get the fewest words for the same result.
  all[0]!.forEach((length, place) => expect(length).toBeLessThan(all[1]![place]!))
})

describe('next time', () => {
  it('offers wonderings kept for later, then the cards that nobody has changed', () => {
    const wondered = [{ id: 'w', text: 'Does warm water climb higher?', kept: false, by: null, later: true, answers: {} }]
    const next = nextTests({ ...plan, wonder: { ...plan.wonder, wondered } })
    expect(next[0]).toEqual({ from: 'wondering', id: 'w', text: 'Does warm water climb higher?' })
    expect(next.slice(1).map((one) => one.from === 'factor' && one.factor)).toEqual(
      plan.factors.filter(({ id }) => id !== plan.changed).map(({ name }) => name),
    )
  })

  it('begins a plan: the card lies in Change, and the old one is kept at what came first', () => {
    const width = nextTests(plan).find((one) => one.id === 'width')!
    const began = planNext({ ...plan, groupNotes: { g1: { well: 'x', next: '' } } }, width, 'kitchen-roll', counter('n'))
    expect([began.changed, began.conditions, began.date, began.groupNotes]).toEqual(['width', [], '', {}])
    expect(began.factors.find(({ id }) => id === plan.changed)!.how).toMatch(/kitchen roll/)
    expect(began.measured).toBe(plan.measured)
    expect(began.materials.every(({ condition }) => condition === null)).toBe(true)
  })
})
