import { tmpdir } from 'node:os'
import type { PGlite } from '@electric-sql/pglite'
import { describe, expect, it } from 'vitest'
import { DatabaseAway, troubleOf } from '../../server/database/away'
import { StandingClient } from '../../server/database/folder/standing'

/** A database that answers when it is told to. */
function madeDatabase() {
  let answer = () => {}
  let fail = (_error: Error) => {}
  const client = {
    closed: false,
    listen: () => Promise.resolve(() => Promise.resolve()),
    query: () =>
      new Promise((resolve, reject) => {
        answer = () => resolve({ rows: [] })
        fail = reject
      }),
  }
  return { client: client as unknown as PGlite, answer: () => answer(), fail: (error: Error) => fail(error) }
}

describe('the embedded database, as those above see it', () => {
  it('is closed only when it has answered what it was asked: a question meanwhile would ruin it', async () => {
    const standing = new StandingClient(tmpdir(), () => undefined)
    const { client, answer } = madeDatabase()
    await standing.stand(client)
    const asked = standing.query('select 1')
    let left = false
    const leaving = standing.leave().then((below) => {
      left = true
      return below
    })
    await new Promise((turn) => setTimeout(turn, 50))
    expect(left).toBe(false)
    await expect(standing.query('select 2')).rejects.toBeInstanceOf(DatabaseAway)
    answer()
    expect(await leaving).toBe(client)
    expect(await asked).toEqual({ rows: [] })
  })

  it('says once that a table cannot be read, tells who asked to come back, and stands on another one after that', async () => {
    const troubles: string[] = []
    const standing = new StandingClient(tmpdir(), (trouble) => troubles.push(trouble))
    const { client, fail } = madeDatabase()
    await standing.stand(client)
    const asked = standing.query('select 1')
    fail(Object.assign(new Error('invalid page in block 0'), { code: 'XX001' }))
    await expect(asked).rejects.toMatchObject({ reason: 'reopening' })
    expect(troubles).toEqual(['damaged'])
    await standing.leave()
    const other = madeDatabase()
    await standing.stand(other.client)
    const again = standing.query('select 1')
    await new Promise((turn) => setTimeout(turn, 0))
    other.answer()
    expect(await again).toEqual({ rows: [] })
  })
})

it('an error of the database is a question refused, or a reason to come back', () => {
  const coded = (code: string) => Object.assign(new Error('no'), { code })
  expect(['23505', 'XX001', '58P01', '57P01', 'ECONNREFUSED', '53100'].map((code) => troubleOf(coded(code)))).toEqual([
    undefined,
    'damaged',
    'damaged',
    'connection',
    'connection',
    'disk-full',
  ])
  expect(troubleOf(new Error('Failed query', { cause: coded('57P03') }))).toBe('connection')
  expect(troubleOf(new Error('Aborted(). Build with -sASSERTIONS for more info.'))).toBe('stopped')
})
