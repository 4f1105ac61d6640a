import fc from 'fast-check'
import { unzipSync, strFromU8 } from 'fflate'
import Papa from 'papaparse'
import { Schema } from 'tableschema'
import { describe, expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { seededRandom } from '../chance'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { AGES, AVERAGE_WAYS, EVERY_KIND, GRAPH_KINDS, withEachChild, type LessonRecord, type Plan } from '../lesson'
import { everyMomentOf, withMeasuredToo, withSeries, planFrom, newMeasure } from '../test'
import { lessonFileSchema } from '../../schemas/record'
import { lessonOfPackage, doubledId, openLessonFile, writeDataPackage, writeLessonFile } from '.'

interface Resource {
  path: string
  title: string
  schema?: { fields: { name: string; description: string }[]; foreignKeys?: { fields: string; reference: { resource: string } }[] }
}

const AT = '2026-03-12T11:00:00.000Z'
const uuid = (kind: number, place: number) =>
  `00000000-0000-4000-8${String(kind).padStart(3, '0')}-${String(place).padStart(12, '0')}`
const anyText = fc
  .string({ unit: 'grapheme', maxLength: 60 })
  .filter((text) => !text.includes('\0') && !/[\uD800-\uDFFF]/.test(text))
const anyPlan: fc.Arbitrary<Plan> = fc
  .record({
    investigation: fc.constantFrom(...Object.keys(INVESTIGATIONS)),
    title: anyText,
    notes: anyText,
    repeats: fc.integer({ min: 1, max: 6 }),
    average: fc.constantFrom(...AVERAGE_WAYS),
    averageTo: fc.constantFrom('mark' as const, 'one-more' as const),
    graph: fc.option(fc.constantFrom(...GRAPH_KINDS)),
    age: fc.constantFrom(...AGES),
    well: anyText,
    measures: fc.integer({ min: 1, max: 3 }),
    series: fc.array(anyText, { maxLength: 4 }),
    eachChild: fc.boolean(),
    named: fc.array(fc.record({ name: anyText, atHome: fc.boolean() }), { maxLength: 12 }),
  })
  .map(({ investigation, well, measures, series, named, eachChild, ...change }) => {
    const ready = planFrom(INVESTIGATIONS[investigation]!, 'Puffin', 26, counter('g'))
    const watch = { ...ready.watch, named: named.map((one, place) => ({ id: `n${place + 1}`, ...one })) }
    const more = Array.from({ length: measures - 1 }, (_, place) => newMeasure(`more${place}`, `more ${place}`))
    const whole = { ...ready, watch, measures: [...ready.measures, ...more] }
    const measured = more.reduce((plan, { id }) => withMeasuredToo(plan, id), whole)
    const inSeries = withSeries(measured, ready.factors[0]?.id ?? 'none', series, counter('s'))
    const plan = eachChild ? withEachChild(inSeries, counter('g'), seededRandom(series.length)) : inSeries
    const retests = [{ group: 'g1', condition: plan.conditions[0]!.id, repeat: change.repeats + 1 }]
    return { ...plan, ...change, retests, groupNotes: { g1: { well, next: '' } } }
  })

const anyLesson = anyPlan.chain((plan) =>
  fc
    .record({
      values: fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { maxLength: 8 }),
      text: anyText.filter((text) => text.trim() !== ''),
      hands: fc.option(fc.integer({ min: 0, max: 34 })),
    })
    .map(({ values, text, hands }): { plan: Plan; record: LessonRecord } => {
      const condition = plan.conditions[0]!.id
      const readings = values.map((value, place) =>
        reading({
          id: uuid(1, place),
          condition,
          moment: everyMomentOf(plan).at(-1)!.id,
          value,
          entered: String(value).slice(0, 60),
          supersedes: place === 1 ? uuid(1, 0) : null,
        }),
      )
      const conclusions = [
        conclusion({ id: uuid(2, 0), group: 'g1', text, hands, agreed: false, by: 'station' }),
        conclusion({ id: uuid(2, 1), from: uuid(2, 0), text }),
      ]
      const remarks = [{ id: uuid(3, 0), group: 'g2', list: 'wondered' as const, text: text.trim(), at: AT }]
      return { plan, record: { ...emptyRecord, readings, conclusions, remarks } }
    }),
)

describe('a lesson that goes out and comes back', () => {
  it('is the same lesson, as a file and out of a data package', () => {
    fc.assert(
      fc.property(anyLesson, ({ plan, record }) => {
        const file = writeLessonFile(plan, record, [], AT)
        for (const text of [JSON.stringify(file, null, 1), lessonOfPackage(writeDataPackage(file))!]) {
          const opened = openLessonFile(text)
          const { error, value } = lessonFileSchema.validate(opened.ok ? opened.content : {})
          expect(error).toBeUndefined()
          expect(doubledId(value)).toBeUndefined()
          // JSON knows no minus zero.
          expect(value).toEqual(JSON.parse(JSON.stringify(file)))
        }
      }),
      { numRuns: 60 },
    )
  })

  it('a data package describes every column of every table', () => {
    const plan = soakUpPlan()
    const zip = unzipSync(
      writeDataPackage(
        writeLessonFile(
          plan,
          {
            ...emptyRecord,
            readings: [reading({ entered: '=61' })],
            conclusions: [conclusion({ group: 'g1', text: 'It was “tissue”, not card.', hands: 21 })],
            observations: [
              {
                id: 'o',
                group: 'g1',
                condition: 'tissue',
                repeat: 2,
                kind: 'words',
                text: 'it drips',
                picture: null,
                by: 'station',
                at: AT,
              },
            ],
          },
          [],
          AT,
        ),
      ),
    )
    const {
      resources: [lesson, ...tables],
    } = JSON.parse(strFromU8(zip['datapackage.json']!)) as { resources: Resource[] }
    expect([lesson!.path, lesson!.schema]).toEqual(['lesson.beaker.json', undefined])
    // One for the readings, two for the plan, one for what the trials came to, and one for each further kind of row.
    expect(tables).toHaveLength(EVERY_KIND.length + 3)
    for (const { path, title, schema } of tables as Required<Resource>[]) {
      const [heading] = strFromU8(zip[path]!).split('\r\n')
      expect(heading).toBe(schema.fields.map(({ name }) => name).join(','))
      const silent = schema.fields
        .filter(({ description }) => !description)
        .map(({ name }) => `no words for column ${name} of ${path}`)
      expect([...silent, ...(title ? [] : [`no title for ${path}`])]).toEqual([])
    }
    // The reference reader takes every row of every table for what its description says.
    for (const { path, schema } of tables as Required<Resource>[]) {
      const reader = new Schema(schema)
      const { data } = Papa.parse<string[]>(strFromU8(zip[path]!), { skipEmptyLines: 'greedy' })
      for (const row of data.slice(1)) expect(() => reader.castRow(row), `${path}: ${row.join(' | ')}`).not.toThrow()
      for (const { fields, reference } of schema.foreignKeys ?? []) {
        const groups = Papa.parse<string[]>(strFromU8(zip[`${reference.resource}.csv`]!)).data.map(([group]) => group)
        const place = data[0]!.indexOf(fields)
        expect(
          data.slice(1).filter((row) => row[place] !== '' && !groups.includes(row[place])),
          path,
        ).toEqual([])
      }
    }
    expect(strFromU8(zip['readings.csv']!)).toContain(',=61,')
    expect(strFromU8(zip['conclusions.csv']!)).toContain('Alder,,"It was “tissue”, not card.",21,yes,desk')
    expect(strFromU8(zip['observations.csv']!)).toContain(`o,Alder,tissue,2,words,it drips,,station,${AT}`)
    expect(lessonOfPackage(new TextEncoder().encode('not a zip'))).toBeUndefined()
  })
})
