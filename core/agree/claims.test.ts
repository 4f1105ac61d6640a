import { describe, expect, it } from 'vitest'
import { recordOf, soakUpPlan } from '../../test/soakUp'
import { EMPTY_RECORD } from '../lesson'
import { evidenceOf } from '../evidence'
import { doubtWordsOfConclusion, sentenceStarters } from '../wording'
import { doubtsOfConclusion, partsOf, readBack, readConclusion, readForGroup } from '.'

const plan = soakUpPlan()
const results = {
  clear: { 'kitchen-roll': [60, 61, 62, 60, 61, 62], tissue: [50, 51, 49, 50, 51, 49], card: [14, 15, 14, 15, 14, 15] },
  leaning: { 'kitchen-roll': [30, 24, 27, 31, 25, 29], tissue: [24, 28, 22, 26, 27, 23], card: [27, 22, 29, 24, 21, 28] },
  same: { 'kitchen-roll': [30, 30, 30, 30, 30, 30], tissue: [30, 30, 30, 30, 30, 30], card: [30, 30, 30, 30, 30, 30] },
}
const evidence = (which: keyof typeof results) => evidenceOf(plan, recordOf(results[which], 3))!
const codes = (text: string, which: keyof typeof results) => doubtsOfConclusion(text, plan, evidence(which)).map(({ code }) => code)

describe('doubtsOfConclusion', () => {
  it('lets pass what the evidence carries', () => {
    expect(evidence('clear').grade).toBe('clear')
    expect(codes('We are sure that kitchen roll is highest: 61 mm against 50 mm.', 'clear')).toEqual([])
    expect(evidence('same').grade).toBe('same')
    expect(codes('The kind of paper makes no difference: all 30 mm, that is clear.', 'same')).toEqual([])
  })

  it('flags certainty and firm comparisons that the grade does not allow', () => {
    expect(evidence('leaning').grade).not.toBe('clear')
    expect(codes('This proves that kitchen roll wins with 28 mm.', 'leaning')).toContain('claims-too-much')
    expect(codes('Kitchen roll is highest, 28 mm against 25 mm, and we could tell.', 'leaning')).toContain('claims-too-much')
    expect(codes('It looks as if kitchen roll may be higher, 28 mm against 25 mm.', 'leaning')).not.toContain('claims-too-much')
    expect(codes('There is no difference, 28 mm and 25 mm, that is clear.', 'leaning')).toContain('claims-no-difference')
  })

  it('flags another winner, missing numbers and silence on how sure', () => {
    expect(codes('Tissue is the highest with 50 mm. We are sure.', 'clear')).toEqual(['names-another-winner'])
    expect(codes('Tissue is the highest with 61 mm. We are sure.', 'clear')).toEqual(['wrong-number', 'names-another-winner'])
    expect(codes('Kitchen roll is the highest.', 'clear')).toEqual(['no-numbers', 'does-not-say-how-sure'])
  })

  it('has nothing against its own starters', () => {
    for (const which of ['clear', 'leaning', 'same'] as const) {
      for (const starter of sentenceStarters(plan, evidence(which))) {
        expect(
          codes(starter, which).filter((code) => !['no-numbers', 'does-not-say-how-sure', 'unfinished'].includes(code)),
          starter,
        ).toEqual([])
      }
    }
  })

  it('knows names whatever the spacing, case or plural', () => {
    const numbers = soakUpPlan({
      conditionsAs: 'numbers',
      conditionUnit: 'cm',
      conditions: ['40', '60'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
    })
    const record = recordOf({ n0: [20, 21, 20, 21, 20, 21, 20, 21], n1: [40, 41, 40, 41, 40, 41, 41, 40] }, 4)
    const found = (text: string) => doubtsOfConclusion(text, numbers, evidenceOf(numbers, record)!).map(({ code }) => code)
    for (const name of ['40 cm', '40cm', '40\u202fcm', '40\u00a0CM']) {
      expect(found(`${name} is the highest with 20.5 mm. We are sure.`)).toEqual(['names-another-winner'])
    }
    expect(found('140 cm is not here, and 60 cm is the highest with 40.5 mm. We are sure.')).toEqual([])
    expect(partsOf('At 60cm it was 40 mm.', numbers)).toContain('answer')
    expect(codes('Tissues were highest with 50 mm. We are sure.', 'clear')).toEqual(['names-another-winner'])
  })

  it('does not let an unfair pair be compared', () => {
    const wide = {
      ...plan,
      factors: plan.factors.map((one) => (one.id === 'width' ? { ...one, exceptions: { tissue: '4 cm' } } : one)),
    }
    const found = evidenceOf(wide, recordOf(results.clear, 3))!
    expect(doubtsOfConclusion('Tissue is the highest with 61 mm. We are sure.', wide, found).map(({ code }) => code)).toContain(
      'not-fair',
    )
  })
})

describe('what is read back', () => {
  const read = (text: string) => readConclusion(text, plan, evidence('clear'))
  it('underlines what the table has and marks what it has not, where it stands', () => {
    const text = 'Kitchen roll was highest with 61 mm, card reached 95 mm.'
    expect(readBack(text, read(text))).toEqual([
      { text: 'Kitchen roll', mark: 'right' },
      { text: ' was ', mark: undefined },
      { text: 'highest', mark: 'right' },
      { text: ' with ', mark: undefined },
      { text: '61 mm', mark: 'right' },
      { text: ', card reached ', mark: undefined },
      { text: '95 mm', mark: 'doubt' },
      { text: '.', mark: undefined },
    ])
    expect(read(text).doubts[0]).toMatchObject({ code: 'wrong-number', said: '95 mm', condition: 'card', table: 14.5 })
    expect(doubtWordsOfConclusion(read(text).doubts[0]!, plan).text).toBe('The table has 14.5\u202fmm for card.')
  })

  it('lets a group quote its own numbers, and asks a group that sees no other nothing but those', () => {
    const own = recordOf({ 'kitchen-roll': [70, 72], card: [20, 22] }, 1).readings
    const others = recordOf({ 'kitchen-roll': [60, 62, 60, 62, 61, 61], card: [14, 15, 14, 15, 15, 14] }, 3).readings
    const ofAll = {
      ...EMPTY_RECORD,
      readings: [...own, ...others.map((one) => ({ ...one, id: `o${one.id}`, group: `g${Number(one.group.slice(1)) + 1}` }))],
    }
    const offered = (text: string, ofClass = false) => readForGroup(text, plan, ofAll, 'g1', ofClass).doubts.map(({ code }) => code)
    expect(offered('Our kitchen roll reached 71 mm.', true)).toEqual(['does-not-say-how-sure'])
    expect(offered('Our kitchen roll reached 61 mm, that is clear.')).toEqual(['wrong-number'])
    expect(offered('Kitchen roll is always highest.')).toEqual([])
    expect(offered('Card climbed higher than kitchen roll.')).toEqual(['wrong-direction'])
  })
})

it('a count of groups is held against the groups, and said with them; one group alone knows nothing of others', () => {
  const record = recordOf(results.clear, 3)
  const [doubt] = doubtsOfConclusion('Five groups found kitchen roll highest, 61 mm. We are sure.', plan, evidence('clear'))
  expect(doubtWordsOfConclusion(doubt!, plan).text).toBe('3 of 3 groups put kitchen roll first.')
  const own = readForGroup('Two groups found kitchen roll highest.', plan, record, 'g1', false)
  expect(own.doubts).toEqual([])
})
