import { expect, it } from 'vitest'
import { Known } from '../../server/database/known'

it('loads a row once, and anew after it was changed', async () => {
  const known = new Known<string>()
  let loads = 0
  const find = () => known.find('a', async () => `load ${(loads += 1)}`)
  expect([await find(), await find()]).toEqual(['load 1', 'load 1'])
  known.forget('a')
  expect(await find()).toBe('load 2')
  known.forgetAll()
  expect(await find()).toBe('load 3')
})

it('does not keep what was being read while it was changed, nor what is not there', async () => {
  const known = new Known<string>()
  let answer: (row: string) => void = () => undefined
  const reading = known.find('a', () => new Promise<string>((done) => (answer = done)))
  known.forget('a')
  answer('old')
  expect(await reading).toBe('old')
  expect(await known.find('a', async () => 'new')).toBe('new')
  expect(await known.find('b', async () => undefined)).toBeUndefined()
  expect(await known.find('b', async () => 'there now')).toBe('there now')
})
