import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { conclusion, counter, reading } from '../../../test/soakUp'
import { conditionsOf, EMPTY_RECORD, EVERY_KIND, recordOf, ROW_KINDS, rowsOf, supersededBy, withIds, type AnyRow } from '..'

describe('the kinds of rows', () => {
  it.each(EVERY_KIND.map((kind) => [kind.kind, kind] as const))('%s says everything about its columns once', (_name, kind) => {
    const columns = Object.keys(kind.columns)
    // Every row has these three, and what names other rows or the plan is a column of its own.
    for (const needed of [
      'id',
      'group',
      'at',
      ...[kind.conditions, kind.supersedes, kind.grewFrom].filter((one) => one !== undefined),
    ])
      expect(columns).toContain(needed)
    // What a station says and what the server stamps have nothing in common; the rest is filled in.
    for (const column of kind.station) expect([columns.includes(column), kind.stamped.includes(column)]).toEqual([true, false])
    const filled = [...kind.station, ...kind.stamped, ...Object.keys(kind.unsaid), 'group']
    if (!kind.deskOnly) expect(columns.filter((column) => !filled.includes(column))).toEqual([])
    for (const column of Object.values(kind.columns))
      if (column.is === 'one-of') expect(new Set(column.words).size).toBe(column.words.length)
  })

  it('have lists and names of their own', () => {
    expect(new Set(EVERY_KIND.map(({ list }) => list)).size).toBe(EVERY_KIND.length)
    expect(Object.entries(ROW_KINDS).every(([name, { kind }]) => name === kind)).toBe(true)
    expect(Object.keys(EMPTY_RECORD)).toEqual(EVERY_KIND.map(({ list }) => list))
  })

  it('a record is gone through kind by kind and put together again', () => {
    const record = { ...EMPTY_RECORD, readings: [reading()], conclusions: [conclusion()] }
    expect(recordOf((kind) => rowsOf(record, kind))).toEqual(record)
  })

  it('name their conditions and what they take the place of, whatever the column is called', () => {
    const sorted = { id: 'p', group: 'g1', at: '', order: ['card', 'tissue'] } as AnyRow
    expect(conditionsOf(ROW_KINDS.reading, reading({ condition: 'tissue' }))).toEqual(['tissue'])
    expect(conditionsOf(ROW_KINDS.prediction, sorted)).toEqual(['card', 'tissue'])
    expect(conditionsOf(ROW_KINDS.observation, { id: 'o', group: 'g1', at: '', condition: null } as AnyRow)).toEqual([])
    expect(conditionsOf(ROW_KINDS.conclusion, conclusion())).toEqual([])
    expect([
      supersededBy(ROW_KINDS.reading, reading({ supersedes: 'a' })),
      supersededBy(ROW_KINDS.conclusion, conclusion({ from: 'a' })),
    ]).toEqual(['a', null])
  })

  it('under other ids, chains of corrections and sentences stay the chains that they were', () => {
    fc.assert(
      fc.property(fc.array(fc.option(fc.nat({ max: 8 })), { minLength: 1, maxLength: 9 }), (earlier) => {
        const rows = earlier.map((before, place) =>
          conclusion({ id: `old-${place}`, from: before !== null && before < place ? `old-${before}` : null }),
        )
        const newId = counter('new-')
        const fresh = new Map(rows.map(({ id }) => [id, newId()]))
        const renamed = rows.map((row) => withIds(ROW_KINDS.conclusion, row, (id) => fresh.get(id)) as typeof row)
        const shape = (list: typeof rows) => list.map(({ from }) => list.findIndex(({ id }) => id === from))
        expect(shape(renamed)).toEqual(shape(rows))
        expect(renamed.some(({ id }) => id.startsWith('old-'))).toBe(false)
      }),
      { seed: 13, numRuns: 200 },
    )
    // What grew from a row that is not there any more grew from nothing.
    expect(
      withIds(ROW_KINDS.conclusion, conclusion({ id: 'a', from: 'gone' }), (id) => (id === 'a' ? 'b' : undefined)),
    ).toMatchObject({ id: 'b', from: null })
  })
})
