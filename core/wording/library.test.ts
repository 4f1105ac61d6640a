import { describe, expect, it } from 'vitest'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { counter, soakUpPlan } from '../../test/soakUp'
import { NO_SCHOOL } from '../kit'
import { fittingCards, KINDS, practisedBySome, splitIntoGroups, STOPS, TOPICS, type Kind, type Topic } from '../lesson'
import {
  agesWords,
  classWords,
  expectedWords,
  keysOf,
  KIND_WORDS,
  neededLines,
  otherHourWords,
  pastedWords,
  readyWords,
  sizesWords,
  smallBarsWords,
  stockWords,
  TOPIC_WORDS,
} from '.'
import { planFrom } from '../test'

describe('a card of the library', () => {
  const need = (name: string, stocked: 'there' | 'too-few' | 'not-listed') => ({ name, stocked })

  it('names what is needed, the first few of many, and without what only the packer needs to know', () => {
    const strips = ['kitchen roll', 'tissue', 'writing paper', 'card', 'foil'].map((of) =>
      need(`strips of ${of}, 2 x 12 cm`, 'not-listed'),
    )
    expect(stockWords(strips)).toEqual({
      needs: 'strips of kitchen roll, strips of tissue, strips of writing paper and 2 more',
      lacks: '',
    })
  })

  it('says what the cupboard lacks, and that it has all of it, and nothing where it lists nothing', () => {
    expect(stockWords([need('ruler', 'there'), need('tray', 'too-few'), need('water', 'not-listed')]).lacks).toBe(
      'Too few in the cupboard: tray. Not in the cupboard: water.',
    )
    expect(stockWords([need('ruler', 'there')]).lacks).toBe('The cupboard has all of it.')
  })

  it('has a word for every topic, and its ages from the youngest to the oldest', () => {
    expect(TOPICS.map((topic) => TOPIC_WORDS[topic]).every((words) => words.length > 3)).toBe(true)
    expect([agesWords(['7-9', '5-7']), agesWords(['9-11'])]).toEqual(['5 to 9 years', '9 to 11 years'])
  })

  it('is found by topic, kind, length, age and what the cupboard has together', () => {
    const card = (topic: Topic, kind: Kind, minutes: number) => ({
      topic,
      kind,
      minutes,
      ages: ['7-9' as const],
      practises: ['Timing'],
      needs: [need('ruler', 'there')],
    })
    const cards = [card('movement', 'fair-test', 70), card('movement', 'improve', 90), card('living-things', 'over-time', 40)]
    const found = (topic: Topic | '', kind: Kind | '', minutes: number) =>
      fittingCards(cards, { topic, kind, minutes, age: '', practises: '', there: false }).length
    expect([found('', '', 0), found('movement', '', 0), found('movement', '', 75), found('living-things', 'improve', 0)]).toEqual([
      3, 2, 1, 0,
    ])
    const anything = { topic: '', kind: '', minutes: 0, practises: '' } as const
    expect(fittingCards(cards, { ...anything, age: '5-7', there: false })).toEqual([])
    const skill = (practises: string) => fittingCards(cards, { ...anything, age: '', there: false, practises }).length
    expect([skill('Timing'), skill('Weighing')]).toEqual([3, 0])
    expect(practisedBySome([...cards, { practises: [] }])).toEqual(['Timing'])
    const short = { ...cards[0]!, needs: [need('ruler', 'too-few')] }
    expect(fittingCards([short, cards[1]!], { ...anything, age: '7-9', there: true })).toEqual([cards[1]])
    expect(KINDS.every((kind) => KIND_WORDS[kind].name !== '')).toBe(true)
  })
})

it('what is inside: amounts for the class, what getting ready takes, and what is likely to be found', () => {
  const ready = (id: string) => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g'))
  expect(neededLines(soakUpPlan(), NO_SCHOOL)).toContain('Strips of card, 2 x 12 cm: 31')
  expect(expectedWords(soakUpPlan())!.lines[0]).toBe('Kitchen roll: 62.0\u202fmm')
  expect(readyWords(ready('thirsty-ground'))).toMatch(/^About \d.*, and begun 2 days before\.$/)
  expect(expectedWords(ready('gap-finder'))!.lines.slice(0, 1)).toEqual(['Steel spoon: “lights up”'])
  expect(expectedWords(ready('twang-order'))!.lines).toEqual([
    'In this order: 5\u202fcm, 6\u202fcm, 7\u202fcm, 8\u202fcm and 9\u202fcm',
  ])
  expect(expectedWords(ready('noon-stick'))!.lines[2]).toMatch(/^Noon: 23\.\d/)
  expect(expectedWords({ ...ready('gap-finder'), investigation: null })).toBeUndefined()
  expect(expectedWords({ ...soakUpPlan(), investigation: null })!.title).toBe('What its plan expects')
})

it('the class in one line, and how it is split', () => {
  const groups = splitIntoGroups(11, 3, counter('g'))
  expect(classWords({ each: 'group', className: 'Wren', children: 11, groups })).toBe('Class Wren, 11 children in 3 groups')
  expect(classWords({ each: 'group', className: 'Wren', children: 1, groups: groups.slice(0, 1) })).toBe(
    'Class Wren, 1 child in 1 group',
  )
  expect(sizesWords(groups)).toBe('2 of 4 and 1 of 3')
})

it('the small picture is told with what lies below nothing last, and a pasted block with what could not be read', () => {
  expect(
    smallBarsWords([
      { letter: 'A', share: -1 },
      { letter: 'B', share: 0.2 },
    ]),
  ).toBe('Averages, the highest first: B, A')
  expect([pastedWords(12, 0), pastedWords(1, 1), pastedWords(0, 3)]).toEqual([
    '12 numbers pasted.',
    '1 number pasted. 1 cell cannot be read and is marked.',
    '0 numbers pasted. 3 cells cannot be read and are marked.',
  ])
  expect([otherHourWords(7, 'past'), otherHourWords(2, 'coming')]).toEqual(['7 about the plan, which has run', '2 for later'])
})

it('every view has its keys, at the desk those of the board too, and no key is said twice in one place', () => {
  expect(keysOf('shelf').map(({ title }) => title)).toEqual(['On the shelf'])
  for (const stop of STOPS) {
    const groups = keysOf(stop)
    expect(groups.map(({ title }) => title)).toContain('On the board, when its window is in front')
    for (const { keys } of groups) expect(new Set(keys.map(({ key }) => key)).size).toBe(keys.length)
  }
})
