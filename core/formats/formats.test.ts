import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Reading } from '../lesson'
import { counter, emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import {
  doubledId,
  openLessonFile,
  readBlock,
  readReadingsCsv,
  withFreshIds,
  withoutLostForms,
  writeLessonFile,
  writeReadingsCsv,
} from '.'

const plan = soakUpPlan()
const uuid = (last: number) => `00000000-0000-4000-8000-${String(last).padStart(12, '0')}`
const read = (text: string) => readReadingsCsv(plan, text, counter('new'), '2026-03-12T11:00:00.000Z')
const heading = 'group,condition,repeat,value,unit,status,reason'

describe('readings as a table', () => {
  it('come back as they went out', () => {
    const anyReading = fc.record({
      repeat: fc.integer({ min: 1, max: 20 }),
      value: fc.integer({ min: -10_000, max: 10_000 }).map((tenths) => tenths / 10),
      reason: fc.string({ maxLength: 40 }).map((text) => `why ${text}`.trim()),
      entered: fc.constantFrom('61', '=SUM(A1)', '6,1 cm', '"61"', '-5', '@x'),
      practice: fc.boolean(),
      confirmed: fc.boolean(),
      status: fc.constantFrom('kept' as const, 'set-aside' as const),
    })
    fc.assert(
      fc.property(fc.array(anyReading, { minLength: 1, maxLength: 8 }), (changes) => {
        const rows = changes.map((change, place) =>
          reading({ ...change, id: uuid(place), supersedes: place === 1 ? uuid(0) : null }),
        )
        expect(read(writeReadingsCsv(plan, rows))).toEqual({ ok: true, readings: rows })
      }),
    )
  })

  it('are read with semicolons and decimal commas, groups by name, conditions by letter or name', () => {
    const found = read('\uFEFFGroup;Condition;Repeat;Value;Unit\r\nalder;B;2;50,5;mm\r\nBirch;writing paper;1;2;cm\r\n')
    expect(found).toMatchObject({
      ok: true,
      readings: [
        { group: 'g1', condition: 'tissue', value: 50.5, by: 'import' },
        { group: 'g2', condition: 'writing-paper', value: 2, unit: 'cm' },
      ],
    })
  })

  it.each([
    ['', 'column-missing', 1],
    [`${heading}\n`, 'empty', 1],
    [`${heading}\nAlder,Z,1,5,mm,,`, 'unknown-condition', 2],
    [`${heading}\nAlder,A,0,5,mm,,`, 'bad-repeat', 2],
    [`${heading}\nAlder,A,1,5,mm,,\nAlder,A,2,5,g,,`, 'wrong-kind-of-unit', 3],
    [`${heading}\nAlder,A,1,5,furlong,,`, 'unknown-unit', 2],
    [`${heading}\nAlder,A,1,5,mm,set-aside,`, 'reason-missing', 2],
    [`${heading}\nAlder,A,1,5,mm,lost,`, 'bad-status', 2],
  ])('are refused with the line: %j', (text, code, line) => {
    const found = read(text)
    expect(found.ok ? [] : found.problems[0]).toMatchObject({ code, line })
  })
})

describe('the lesson file', () => {
  const fileOf = (readings: Reading[]) => writeLessonFile(plan, { ...emptyRecord, readings }, [], '2026-03-12T11:00:00.000Z')

  it('is refused with the place when it is not whole', () => {
    expect(openLessonFile('{"a":\n  }')).toMatchObject({ ok: false, code: 'not-json', place: expect.stringMatching(/^line \d/) })
    expect(openLessonFile('[]')).toEqual({ ok: false, code: 'foreign', place: 'format' })
    const twice = reading()
    expect(doubledId(fileOf([twice, twice]))).toEqual({ code: 'broken', place: 'readings[1].id' })
  })

  it('keeps a row without a home, and one whose earlier form is lost', () => {
    const file = fileOf([reading({ group: 'gone' }), reading({ supersedes: 'nothing' })])
    expect(doubledId(file)).toBeUndefined()
    expect(withoutLostForms(file).readings.map(({ group, supersedes }) => [group, supersedes])).toEqual([
      ['gone', null],
      ['g1', null],
    ])
  })

  it('gets new ids that still belong together', () => {
    const first = reading()
    const fresh = withFreshIds({ ...emptyRecord, readings: [first, reading({ supersedes: first.id })] }, counter('fresh'))
    expect(fresh.readings.map(({ id, supersedes }) => [id, supersedes])).toEqual([
      ['fresh1', null],
      ['fresh2', 'fresh1'],
    ])
  })
})

it('readBlock reads what a spreadsheet copies', () => {
  expect(readBlock('61\t50\r\n58\t49\r\n')).toEqual([
    ['61', '50'],
    ['58', '49'],
  ])
  expect(readBlock('"5\t5"\t7')).toEqual([['5\t5', '7']])
})
