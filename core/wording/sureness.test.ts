import { describe, expect, it } from 'vitest'
import { recordOf, soakUpPlan } from '../../test/soakUp'
import {
  compareTests,
  evidenceOf,
  findTrend,
  foretell,
  numberFor,
  poolClasses,
  surerBy,
  type Grade,
  type TestDifference,
} from '../evidence'
import type { Plan } from '../lesson'
import {
  childSentence,
  classColumns,
  foretoldWords,
  interactionSentence,
  modelLines,
  numberForWords,
  overlapSentence,
  patternWords,
  surerSentence,
  testDifferenceWords,
} from '.'

const plan = soakUpPlan()
const eight = (values: number[]) => [...values, ...values]
const clear = recordOf({ 'kitchen-roll': [60, 62, 61, 60, 61, 61, 60, 62], card: [14, 15, 14, 16, 15, 14, 14, 15] }, 4)
const mixed = recordOf({ 'kitchen-roll': eight([30, 24, 27, 31]), card: eight([29, 28, 27, 24]) }, 4)
const same = recordOf({ 'kitchen-roll': eight([30, 30, 30, 30]), card: eight([30, 30, 30, 30]) }, 4)

describe('how sure, for those who hear it', () => {
  it('children hear of dots and of being sure, whatever came out', () => {
    const said = [clear, mixed, same].map((record) => {
      const evidence = evidenceOf(plan, record)!
      return [childSentence(plan, evidence), overlapSentence(plan, evidence)]
    })
    expect(said[0]).toEqual([
      'We can be sure: the kind of paper made a difference.',
      'The dots of kitchen roll and of card do not overlap at all: look at the space between them.',
    ])
    expect(said[1]![0]).toBe('We cannot tell yet. The numbers are too mixed up.')
    expect(said[1]![1]).toMatch(/overlap: some of one lie among the other/)
    expect(said[2]![0]).toBe('It came out the same: the kind of paper made no difference that we can see.')
  })

  it('the teacher sees model, figures and what is taken for granted; one reading each has nothing to judge by', () => {
    const { figures, assumptions } = modelLines(plan, evidenceOf(plan, clear)!)
    expect(figures.map(({ term }) => term)).toContain('F(1, 3) of condition')
    expect(figures.find(({ term }) => term === 'p')!.value).toBe('below 0.001')
    expect(assumptions).toHaveLength(5)
    const one = evidenceOf(plan, recordOf({ 'kitchen-roll': [60], card: [14] }, 1))!
    expect(modelLines(plan, one)).toEqual({ figures: [], assumptions: ['Nothing is left over to judge luck by.'] })
  })

  it('what would make it surer is said with its chance and its minutes', () => {
    expect(surerSentence({ code: 'more-repeats', extra: 2, repeats: 5, chance: 0.84, minutes: 14 })).toBe(
      '2 more repeats by each group: if the gap is real, it would then come out clear in 84 in 100 classes. That is about 14 minutes of testing.',
    )
    expect(surerSentence({ code: 'more-repeats', extra: 1, repeats: 4, chance: 0.9, minutes: 0 })).not.toContain('minute')
    for (const one of surerBy(plan, evidenceOf(plan, mixed)!)) expect(surerSentence(one)).toMatch(/[.]$/)
  })
})

describe('a pattern in words', () => {
  const numbers: Plan = { ...plan, conditionsAs: 'numbers', conditionUnit: 'cm' }
  const over = (f: (x: number) => number, grade: Grade = 'clear', groups = ['A', 'B', 'C']) =>
    findTrend(
      groups.flatMap((group, level) =>
        [10, 20, 30, 40, 50].flatMap((x) => [-0.4, 0, 0.4].map((wobble) => ({ group, x, y: f(x) + wobble + level - 1 }))),
      ),
      { resolution: 1, grade },
    )!

  it.each([
    ['Steadily more', (x: number) => x, /in even steps: about 1\.0.mm for each 1.cm more/],
    ['Steadily less', (x: number) => 60 - x, /how high water climbs in 60 s goes down, in even steps/],
    ['Levelling off', (x: number) => 20 * Math.log(x), /each further step adds less/],
    ['Speeding up', (x: number) => (x * x) / 50, /each further step adds more/],
    ['Up, then down', (x: number) => 40 - (x - 28) ** 2 / 20, /rises to a top, at about 28.cm/],
    ['Down, then up', (x: number) => 10 + (x - 31) ** 2 / 20, /falls to a bottom, at about 31.cm/],
    ['Level', () => 20, /stays about where it is/],
    ['No pattern to be seen yet', () => 20, /cannot see a pattern yet/],
  ] as const)('%s', (name, f, text) => {
    const grade = name === 'Level' ? 'same' : name.startsWith('No') ? 'leaning' : 'clear'
    const words = patternWords(numbers, over(f, grade))
    expect(words.name).toBe(name)
    expect(words.text).toMatch(text)
  })

  it('warns outside what was tested, and only there', () => {
    const trend = over((x) => x)
    expect(foretoldWords(numbers, 25, foretell(trend, 25))).toMatch(
      /^At 25.cm a group should come to about 25\.0.mm\. One of these groups .*; another group between \d/,
    )
    const alone = over((x) => x, 'clear', ['A'])
    expect(foretoldWords(numbers, 25, foretell(alone, 25))).toMatch(/one group cannot say\.$/)
    expect(foretoldWords(numbers, 25, foretell(trend, 25))).not.toContain('guess')
    expect(foretoldWords(numbers, 90, foretell(trend, 90))).toMatch(/so this is a guess\.$/)
  })

  it('says which number gives a wanted result, and with a safety margin', () => {
    const [number, ...safe] = numberForWords(
      numbers,
      25,
      numberFor(
        over((x) => x),
        25,
      ),
    )
    expect(number).toMatch(
      /^For these groups about 25.cm gives 25\.0.mm\. It lies between [\d.]+.cm and [\d.]+.cm, 95 times in 100\.$/,
    )
    expect(safe.map((text) => /at or (above|below)/.exec(text)?.[1])).toEqual(['above', 'below'])
  })
})

it('answers in whole numbers on the asked side where the numbers are counts', () => {
  const layers = soakUpPlan({ conditionsAs: 'numbers', conditionUnit: 'count' })
  const asked = (slope: number, wanted: number) => {
    const points = ['A', 'B', 'C', 'D', 'E'].flatMap((group, g) =>
      [1, 2, 3, 4, 5, 6].map((x) => ({ group, x, y: 14 + slope * x + ((g * 3 + x) % 4) / 10 })),
    )
    const trend = findTrend(points, { resolution: 0.1, grade: 'clear', counts: true })!
    return numberForWords(layers, wanted, numberFor(trend, wanted))
  }
  expect(asked(-2, 3.5)[0]).toMatch(
    /^For these groups 5 still comes to 3\.5.mm, and 6 may not\. It lies between 5 and 6, 95 times in 100\.$/,
  )
  expect(asked(2, 20.9)[0]).toMatch(/^For these groups 4 comes to 20\.9.mm, and 3 may not yet\./)
  // Where a count gives it exactly, that one does.
  expect(asked(-2, 4.15)[0]).toMatch(/^For these groups \d still comes to/)
  const line = (slope: number) =>
    findTrend(
      ['A', 'B', 'C'].flatMap((group) => [1, 2, 3, 4, 5, 6].map((x) => ({ group, x, y: 20 + slope * x }))),
      { resolution: 0.1, grade: 'clear', counts: true },
    )!
  expect(numberFor(line(2), 28).whole).toEqual({ reaches: 4, misses: 3 })
  expect(numberFor(line(-2), 12).whole).toEqual({ reaches: 4, misses: 5 })
  expect(numberFor(line(2), 27).whole).toEqual({ reaches: 4, misses: 3 })
  for (const line of asked(-2, 3.5).slice(1)) expect(line).toMatch(/: \d\.$/)
})

describe('two classes in words', () => {
  it('every difference has its sentence', () => {
    const differences: TestDifference[] = [
      { code: 'kind', grave: true },
      { code: 'changed', grave: true, ours: 'paper', theirs: '' },
      { code: 'measured', grave: true, ours: 'height', theirs: 'time' },
      { code: 'unit-of-another-kind', grave: true, ours: 'mm', theirs: 's' },
      { code: 'few-shared', grave: true, shared: 1 },
      { code: 'only-ours', grave: false, names: ['card'] },
      { code: 'only-theirs', grave: false, names: ['felt', 'wool'] },
      { code: 'kept-otherwise', grave: false, factor: 'the water', ours: 'cold', theirs: 'warm' },
      { code: 'not-kept-by-them', grave: false, factor: 'the water' },
      { code: 'not-kept-by-us', grave: false, factor: 'the water' },
      { code: 'instrument', grave: false, ours: 'ruler', theirs: '' },
    ]
    const said = differences.map(testDifferenceWords)
    expect(new Set(said).size).toBe(differences.length)
    for (const sentence of said) expect(sentence).toMatch(/^[A-Z].*\.$/)
    expect(said[6]).toBe('Only they tested felt and wool: left out here.')
  })

  it('the two have names that differ', () => {
    expect(classColumns('Puffin', 'Wren')).toEqual(['Class Puffin', 'Class Wren'])
    expect(classColumns('Puffin', 'Puffin ')).toEqual(['This lesson', 'The other lesson'])
  })

  it('says whether both tell the same story', () => {
    const tests = compareTests(plan, plan)
    const with_ = (record: typeof clear) => interactionSentence(poolClasses({ plan, record: clear }, { plan, record }, tests)!)
    expect(with_(clear)).toMatch(/^Both classes put the same condition first\. .* so they may be put together\.$/)
    const otherWay = recordOf({ 'kitchen-roll': [14, 15, 14, 16], card: [60, 62, 61, 60] }, 2)
    expect(with_(otherWay)).toMatch(
      /^The classes put different conditions first\. But the gaps differ .* look at each class for itself\.$/,
    )
  })
})
