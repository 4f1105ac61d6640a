import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { planSchema } from '../../schemas/plan'
import { counter } from '../../test/soakUp'
import { fitOf } from '../clock'
import { comingFactors, emptyPlan, keptFactors } from '../lesson'
import { unitOf, type UnitCode } from '../quantity'
import { bestOf } from '../test'
import { question } from '../wording'
import { draftOf, fitDraft, partsShown, readLine, type Draft, type DraftChoices } from '.'

interface Judged {
  text: string
  kind: string
  /** A part of what the card is called; nothing where the line names none. */
  change: string
  measure: string
  unit: UnitCode | ''
  conditions: string[]
  as: string
}
const read = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as Judged[]
const PARTS = ['kind', 'change', 'measure', 'unit', 'conditions'] as const
const draft = (line: string, choices: DraftChoices = {}) => {
  const newId = counter('x')
  return draftOf(line, choices, emptyPlan('Puffin', 26, newId), newId)
}
const names = (card: string, part: string) => part === '' || card.toLowerCase().includes(part.toLowerCase())
const familyOf = (unit: UnitCode | '' | undefined) =>
  unit === '' || unit === undefined || ['words', 'sorts'].includes(unit) ? '' : unitOf(unit).dimension

/** Which parts of a line were read otherwise than by hand. */
function misread(one: Judged): (typeof PARTS)[number][] {
  const line = readLine(one.text)
  const same = {
    kind: (line.kind ?? '') === one.kind,
    change: names(line.change, one.change),
    measure: names(line.measure, one.measure),
    unit: familyOf(line.unit) === familyOf(one.unit),
    conditions:
      line.conditions.length === one.conditions.length &&
      one.conditions.every((label, place) => names(line.conditions[place]!, label) || names(label, line.conditions[place]!)),
  }
  return PARTS.filter((part) => !same[part])
}

describe.each([
  ['by others', 'test/golden/oneLine.json', 0.9],
  ['by ourselves', 'test/ourLines.json', 0.85],
])('lines judged %s', (_, path, bar) => {
  const all = read(path)

  it('are read as by hand: kind, change, measure and unit in nine of ten, conditions in eight', () => {
    const wrong = PARTS.map((part) => ({ part, lines: all.filter((one) => misread(one).includes(part)).map(({ text }) => text) }))
    console.log(path, wrong.map(({ part, lines }) => `${part} ${all.length - lines.length}`).join(', '), 'of', all.length)
    const tooMany = wrong.filter(({ part, lines }) => lines.length > all.length * (part === 'conditions' ? 0.2 : 1 - bar))
    expect(tooMany).toEqual([])
  })

  it('become plans that can be stored, with a question that reads well, within a lesson; whatever was not said is asked or assumed', () => {
    for (const { text } of all) {
      const made = draft(text)
      if (!made) continue
      expect({ text, error: planSchema.validate(made.plan).error?.message }).toEqual({ text, error: undefined })
      expect(question(made.plan)).not.toMatch(/\bHow does how\b|\b(\w+) \1\b(?<!change change)|\(|\s\?/i)
      expect({ text, asked: made.asked.length <= 3 }).toEqual({ text, asked: true })
      const stands = [...made.taken.map(({ part }) => part), ...made.assumed, ...made.asked.map(({ part }) => part)]
      const { kind, change, measure, unit } = readLine(text)
      const parts = [kind && 'kind', change && 'change', measure && 'measure', unit && 'unit'].filter(Boolean)
      expect({ text, unsaid: parts.filter((part) => !stands.includes(part as never)) }).toEqual({ text, unsaid: [] })
      for (const { quote } of made.taken) expect(text.toLowerCase()).toContain(quote.toLowerCase().split(' … ')[0])
    }
  })
})

describe('a draft', () => {
  it('of a least-is-best line lets the least win, and its spill is no winner', () => {
    const made = draft('Which fabric lets the least water through: denim, fleece, felt?')!
    expect(bestOf(made.plan)).toBe('least')
    expect(bestOf(draft('How much water is left in the cup on the radiator, the table and in the fridge?')!.plan)).toBe('least')
  })

  it('asks what the line leaves open, and takes the answer over what it read', () => {
    const line = 'Which glue holds longer, stick, paste or tape? We hang a bag on it'
    const made = draft(line)!
    expect(made.asked[0]).toMatchObject({ part: 'measure', choices: [{ unit: 's' }, { unit: 'g' }] })
    const [, weight] = (made.asked[0] as Extract<Draft['asked'][number], { part: 'measure' }>).choices
    const told = draft(line, { measure: weight!.name, unit: weight!.unit })!
    expect(told.asked.map(({ part }) => part)).not.toContain('measure')
    expect(told.plan.measures[0]!.method).toMatchObject({ way: 'number', unit: 'g', best: null })
    expect(draft(line, { conditions: 'brand A, brand B' })!.plan.conditions.map(({ label }) => label)).toEqual([
      'brand A',
      'brand B',
    ])
    expect(draft('Bubbles')).toBeUndefined()
    expect(draft('Bubbles', { change: 'the soap', measure: 'how long they last' })!.plan.kind).toBe('fair-test')
  })

  it('takes a time that the line says, and puts beneath the place what a place brings along', () => {
    const soaked = draft(
      'Hang strips of kitchen roll, tissue and card in water for a minute. Measure how high the water climbs',
    )!.plan
    expect(soaked.factors.find(({ name }) => name === 'how long it stands in the water')!.how).toBe('a minute')
    const grown = draft('Does cress grow taller on the window sill, on the shelf or in the cupboard?')!.plan
    expect(comingFactors(grown).map(({ name }) => name)).toEqual(['the light'])
    expect(keptFactors(grown).map(({ name }) => name)).not.toContain('the light')
  })

  it('keeps the same what usually is, asks how, packs it and fits the lesson', () => {
    const line = 'Does sugar dissolve faster in warm water than in cold?'
    const { plan, asks, mends } = fitDraft(draft(line)!)
    const kept = plan.factors.filter(({ id }) => id !== plan.changed)
    expect(kept.map(({ name }) => name)).toEqual(['how much goes in', 'how it is stirred', 'who does it'])
    expect(kept.every(({ id, how }) => how === '' && asks[id]?.endsWith('?'))).toBe(true)
    expect(plan.materials.map(({ name }) => name)).toEqual(['sugar', 'clear cup', 'spoon', 'water', 'measuring jug', 'stopwatch'])
    expect([fitOf(plan).spare >= 0, mends.length > 0]).toEqual([true, true])
    const often = { repeats: 6 }
    expect(fitDraft(draft(line, often)!, often).plan.repeats).toBe(6)
    const told = draft(line, { hows: { 'how it is stirred': 'one turn a second' } })!.plan
    expect(told.factors.find(({ name }) => name === 'how it is stirred')!.how).toBe('one turn a second')
  })

  it('shows each part in one list, where it first stood, and what is asked in none', () => {
    const line = 'Which glue holds longer, stick, paste or tape? We hang a bag on it'
    const first = draft(line)!
    const before = partsShown(first, first, {})
    expect(before.taken.map(({ part, quote }) => [part, quote])).toEqual([
      ['change', 'glue'],
      ['conditions', 'stick, paste or tape'],
    ])
    expect([...before.assumed, ...before.taken.map(({ part }) => part)]).not.toContain('measure')
    const choices: DraftChoices = { change: 'the glue', measure: 'how much it holds', unit: 'g', repeats: 4 }
    const after = partsShown(first, draft(line, choices)!, choices)
    expect(after.taken.map(({ part, quote }) => [part, quote])).toEqual([
      ['change', undefined],
      ['conditions', 'stick, paste or tape'],
      ['measure', undefined],
      ['unit', undefined],
    ])
    expect(after.assumed.filter((part) => part === 'repeats')).toHaveLength(1)
  })

  it('takes for read only what stands in the line: a time behind “faster” is assumed', () => {
    const faster = draft('Does sugar dissolve faster in warm water than in cold?')!
    expect([faster.taken.some(({ part }) => part === 'measure'), faster.assumed.includes('measure')]).toEqual([false, true])
    const told = draft('How does the length of the string change the time of ten swings? 20, 40 and 60 cm')!
    expect([told.taken.some(({ part }) => part === 'measure'), told.assumed.includes('measure')]).toEqual([true, false])
  })

  it('reads what lasts longest in seconds, and a longest line in centimetres', () => {
    const of = (line: string) => [readLine(line).measure, readLine(line).unit]
    expect(of('Which soap makes the longest lasting bubbles?')).toEqual(['how long the bubbles last', 's'])
    expect(of('Which pencil draws the longest line?')).toEqual(['how long the line is', 'cm'])
  })

  it('reads moments: every two minutes, every day for ten days, dry and wet', () => {
    const watch = (line: string) => draft(line)!.plan.watch
    expect(watch('Temperature of a cup of warm water every two minutes with and without a lid').times).toEqual([0, 2, 4, 6, 8, 10])
    expect(watch('Cress on the sill and in the cupboard, height every day for ten days')).toMatchObject({ unit: 'day' })
    expect(watch('What does the sponge weigh dry, wet and dry again?').named.map(({ name }) => name)).toEqual([
      'dry',
      'wet',
      'dry again',
    ])
  })

  it('reads whatever is pasted, in time that goes by its length', () => {
    const page = 'does a does a which, or and , : ? than '.repeat(100)
    expect(() => draft(page)).not.toThrow()
    const long = draft(`Which cloth is wettest: wooden, plastic or ${'long'.repeat(70)}?`, {
      change: `the kind of ${'x'.repeat(180)}`,
    })!
    expect(planSchema.validate(long.plan).error?.message).toBeUndefined()
    for (const odd of ['', '?', ', , ,', 'or', '1, 2', 'how many', 'which is', '🙂 🙂 or 🙂', 'than than than'])
      expect(() => draft(odd)).not.toThrow()
  })
})
