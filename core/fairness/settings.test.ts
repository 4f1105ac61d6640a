import { describe, expect, it } from 'vitest'
import { record } from '../../test/ready'
import { soakUpPlan } from '../../test/soakUp'
import { isChecked, readConclusion } from '../agree'
import { evidenceOf } from '../evidence'
import { keptFactors, type Plan } from '../lesson'
import { mend } from '../secondLook'
import { childSentence, fairWords, sentenceStarters, sureSentences } from '../wording'
import { checkPlan, chooseChange, settingOf, settingsOf } from '.'

const withExceptions = (factor: string, exceptions: Record<string, string>, change: Partial<Plan> = {}): Plan => {
  const plan = soakUpPlan(change)
  return { ...plan, factors: plan.factors.map((one) => (one.id === factor ? { ...one, exceptions } : one)) }
}

describe('the plan as a table of conditions by factors', () => {
  it('has one value for all but the exceptions, however they are spelled', () => {
    const plan = withExceptions('width', { card: ' 2 CM, cut on   the guillotine ', tissue: '3 cm' })
    expect(settingsOf(plan).map(({ values }) => values.width)).toEqual([
      '2 cm, cut on the guillotine',
      '3 cm',
      '2 cm, cut on the guillotine',
      '2 cm, cut on the guillotine',
    ])
    expect(settingOf(plan.factors[1]!, 'tissue')).toBe('3 cm')
    expect(
      checkPlan(plan)!.differing.map(({ factor, shares }) => [factor, shares.map(({ conditions }) => conditions.length)]),
    ).toEqual([['width', [3, 1]]])
  })

  it('leaves out conditions that are left out, and forgets exceptions for them', () => {
    const plan = withExceptions('width', { card: '3 cm' })
    plan.conditions[3]!.leftOut = true
    expect(checkPlan(plan)!.fair).toBe(true)
  })

  it('sees that 0.5 m and 50 cm are the same number', () => {
    const conditions = ['0.5 m', '50 cm', '70'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false }))
    const pairs = checkPlan(soakUpPlan({ conditionsAs: 'numbers', conditions }))!.pairs
    expect(pairs.map(({ status }) => status)).toEqual(['same', 'fair', 'fair'])
  })

  it('says nothing while nothing is chosen to change', () => expect(checkPlan(soakUpPlan({ changed: null }))).toBeUndefined())

  it('finds the fair comparisons hidden in a muddled set-up of a dozen pots', () => {
    const pots = ['small', 'large'].flatMap((size) =>
      ['lid', 'open'].flatMap((lid) => ['sun', 'shade', 'cupboard'].map((place) => ({ size, lid, place }))),
    )
    const factor = (name: 'size' | 'lid' | 'place') => ({
      id: name,
      name,
      how: '',
      comesWith: false,
      exceptions: Object.fromEntries(pots.map((pot, at) => [`p${at}`, pot[name]])),
    })
    const plan = soakUpPlan({
      changed: 'size',
      conditions: pots.map((pot, at) => ({ id: `p${at}`, label: pot.size, baseline: false, leftOut: false })),
      factors: [{ ...factor('size'), exceptions: {}, comesWith: false }, factor('lid'), factor('place')],
    })
    const check = checkPlan(plan)!
    expect(check.fair).toBe(false)
    // Size: six pairs that share lid and place; place: three pots each for both sizes and both lids.
    expect(check.fairAmong.map((set) => set.length)).toEqual([2, 2, 2, 2, 2, 2])
    expect(check.otherQuestions.filter((one) => one.factor === 'place').map(({ conditions }) => conditions.length)).toEqual([
      3, 3, 3, 3,
    ])
    expect(check.otherQuestions.filter((one) => one.factor === 'lid')).toHaveLength(6)
  })
})

it('what comes with the place is not told apart from it: fair, without a tick, and every sentence says so', () => {
  const [kept] = keptFactors(soakUpPlan())
  const factors = soakUpPlan().factors.map((one) => (one.id === kept!.id ? { ...one, exceptions: { card: '5 cm' } } : one))
  const differs = soakUpPlan({ factors })
  expect(checkPlan(differs)!.fair).toBe(false)
  const plan = mend(differs, { code: 'comes-with', factor: kept!.id }, String)
  const check = checkPlan(plan)!
  expect([check.fair, check.comesWith, fairWords(plan, check).mark]).toEqual([true, [kept!.id], '~'])
  const together = `${kept!.name} comes with the kind of paper`
  const evidence = evidenceOf(plan, record)!
  for (const said of [fairWords(plan, check).verdict, sureSentences(plan, evidence).join(' ')])
    expect(said.toLowerCase()).toContain(together)
  expect(childSentence(plan, evidence)).toContain(`the kind of paper (with ${kept!.name})`)
  for (const starter of sentenceStarters(plan, evidence).filter((one) => !one.includes('…')))
    expect([starter, isChecked(readConclusion(starter, plan, evidence))]).toEqual([starter, true])
  const alone = readConclusion(`We are sure that ${kept!.name} makes a difference.`, plan, evidence)
  expect(alone.doubts).toMatchObject([{ code: 'not-tested', factor: kept!.id }, { code: 'no-numbers' }])
  // Chosen to be changed itself, it comes with nothing.
  expect(chooseChange(plan, kept!.id).factors.every(({ comesWith }) => !comesWith)).toBe(true)
})

it('says “fair” outright only where everybody knows how the rest is kept the same', () => {
  const plan = soakUpPlan()
  const [first] = keptFactors(plan)
  const silent = { ...plan, factors: plan.factors.map((factor) => (factor.id === first!.id ? { ...factor, how: ' ' } : factor)) }
  expect(fairWords(plan, checkPlan(plan)!).verdict).toBe('All 6 pairs are fair.')
  expect(checkPlan(silent)).toMatchObject({ fair: true, unsaid: [first!.id] })
  expect(fairWords(silent, checkPlan(silent)!).verdict).toBe(
    `All 6 pairs are fair if ${first!.name} is kept the same: nobody has said how.`,
  )
  // Said for every condition in the table it is said.
  const exceptions = Object.fromEntries(silent.conditions.map(({ id }) => [id, '2 cm']))
  const inTable = {
    ...silent,
    factors: silent.factors.map((factor) => (factor.id === first!.id ? { ...factor, exceptions } : factor)),
  }
  expect(checkPlan(inTable)!.unsaid).toEqual([])
})

it.each([
  ['about the same', true],
  ['some water', true],
  ['steady', true],
  ['sort of slowly', true],
  ['the same', true],
  ['about 20 mL, to the line', false],
  ['the same tennis ball for all', false],
  ['let go, never pushed', false],
])('“%s” as an answer to how: vague is %s', (how, vague) => {
  const plan = soakUpPlan()
  const [first] = keptFactors(plan)
  const said = { ...plan, factors: plan.factors.map((factor) => (factor.id === first!.id ? { ...factor, how } : factor)) }
  expect(checkPlan(said)!.unsaid).toEqual(vague ? [first!.id] : [])
})
