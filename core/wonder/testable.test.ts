import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { emptyPlan, newRemark, NOTHING_SAID, type Plan, type SaidRemark } from '../lesson'
import { becauseWords, nearestQuestion } from '../wording'
import { chooseWondering, keepForLater, mergeWonderings, testableOf, withList, withoutRemark, withSaid } from '.'

const asked = (text: string, plan: Plan = soakUpPlan()) => testableOf(plan, newRemark('w', text))
const empty = emptyPlan('Puffin', 26, counter('g'))

describe('could we test it?', () => {
  it.each([
    ['which paper drinks water highest?', 'yes'],
    ['does the width of the strip change how high it climbs?', 'yes'],
    ['what happens if we use warm water?', 'nearly'],
    ['why does the water climb?', 'nearly'],
    ['is it pretty?', 'not-yet'],
    ['does tissue grow over many days?', 'nearly'],
    ['what happens if we set it on fire, does every paper burn most?', 'not-yet'],
  ])('“%s”: %s', (text, verdict) => expect(asked(text).verdict).toBe(verdict))

  it('gives a reason for each of the four checks', () => {
    const codes = (text: string, plan?: Plan) => asked(text, plan).answers.map(({ because }) => because.code)
    expect(codes('which paper drinks water highest?')).toEqual(['names-factor', 'can-be-ranked', 'fits', 'nothing-dangerous'])
    expect(codes('does it work with hot water, and is it nicer?', empty)).toEqual([
      'sounds-changeable',
      'opinion',
      'time-unknown',
      'needs-care',
    ])
    for (const { because } of asked('why is it wet?').answers) expect(becauseWords(because, soakUpPlan())).toMatch(/^[A-Z“].*\.$/)
  })

  it('lets the teacher’s answer go before the words', () => {
    const said = testableOf(soakUpPlan(), { ...newRemark('w', 'why does it climb?'), answers: { change: true, measure: true } })
    expect(said.verdict).toBe('yes')
    expect(said.answers[0]).toMatchObject({ check: 'change', answer: 'yes', byTeacher: true })
    expect(testableOf(soakUpPlan(), { ...newRemark('w', 'which paper is best?'), answers: { safe: false } }).verdict).toBe(
      'not-yet',
    )
  })

  it('suggests the nearest question out of the plan’s cards, or a new card where the words name one', () => {
    expect(nearestQuestion(asked('why is a wide strip better?'))).toMatch(/^How does the (width|kind)/)
    expect(nearestQuestion(asked('is the water in the tray deeper?'))).toMatch(/the (water|depth in the water) change how high/)
    expect(nearestQuestion(asked('what happens if we use felt?'))).toBe('How does the felt change how high water climbs in 60 s?')
    expect(nearestQuestion(asked('does the time in the water matter?'))).toMatch(/^How does the time in the water change/)
    expect(nearestQuestion(asked('why?', empty))).toBe('')
  })
})

describe('what becomes of a wondering', () => {
  const plan = soakUpPlan({
    changed: null,
    wonder: {
      ...NOTHING_SAID,
      wondered: [newRemark('a', 'does the width matter?'), newRemark('b', 'is wide better?'), newRemark('c', 'does felt drink?')],
    },
  })

  it('chosen, its cards lie in the trays', () => {
    expect(chooseWondering(plan, 'a', counter('new'))).toMatchObject({
      asked: { chosen: 'a' },
      changed: 'width',
      measured: 'height',
    })
    const fresh = chooseWondering({ ...empty, wonder: plan.wonder }, 'a', counter('new'))
    expect(fresh.factors.map(({ name }) => name)).toEqual(['the width'])
  })

  it('merged, both texts stand in one and what pointed to the other points to it', () => {
    const groups = plan.groups.map((group) => ({ ...group, wondering: 'b' }))
    const merged = mergeWonderings({ ...plan, groups, asked: { whose: 'class', chosen: 'b' } }, 'a', 'b')
    expect(merged.wonder.wondered.map(({ text }) => text)).toEqual(['does the width matter? / is wide better?', 'does felt drink?'])
    expect([merged.asked.chosen, merged.groups[0]!.wondering]).toEqual(['a', 'a'])
  })

  it('kept for next time it is not the question any more', () => {
    const later = keepForLater({ ...plan, asked: { whose: 'class', chosen: 'a' } }, 'a', true)
    expect([later.asked.chosen, later.wonder.wondered[0]!.later]).toEqual([null, true])
  })
})

it('what stations say joins the lists once, keeps its group, and stays away when it was taken away', () => {
  const said: SaidRemark[] = [
    { id: 's1', group: 'g1', list: 'noticed', text: 'it is wavy', at: '' },
    { id: 's2', group: 'g2', list: 'wondered', text: 'does felt drink?', at: '' },
  ]
  const heard = withSaid(soakUpPlan(), said)
  expect(heard.wonder.noticed).toMatchObject([{ id: 's1', by: 'g1', text: 'it is wavy' }])
  expect(withSaid(heard, said)).toEqual(heard)
  expect(withSaid(withoutRemark(heard, 's2'), said).wonder.wondered).toEqual([])
  // Dragged from Noticed to Maybe, whichever of the two lists is told first.
  const [wavy] = heard.wonder.noticed
  const told = (first: 'noticed' | 'maybe', second: 'noticed' | 'maybe') => {
    const rows = { noticed: [], maybe: [wavy!] }
    const half = withSaid(withList(withSaid(soakUpPlan(), said), first, rows[first]), said)
    return withSaid(withList(half, second, rows[second]), said).wonder
  }
  for (const wonder of [told('noticed', 'maybe'), told('maybe', 'noticed')]) {
    expect([wonder.noticed.map(({ id }) => id), wonder.maybe.map(({ id }) => id)]).toEqual([[], ['s1']])
  }
})
