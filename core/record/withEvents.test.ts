import { expect, it } from 'vitest'
import { USUAL_BOARD, type LessonEvent, type Observation } from '../lesson'
import { emptyRecord, reading } from '../../test/soakUp'
import { withEvents } from '.'

const first = reading({ id: 'a', value: 61 })
const of = (row: typeof first): LessonEvent => ({ kind: 'reading', reading: row })

it('adds what is new in its order, once, and takes the server’s copy of what was foreseen', () => {
  const foreseen = withEvents(emptyRecord, [of({ ...first, at: 'at the station' })])
  const known = withEvents(foreseen, [of(first), of(reading({ id: 'b' })), of(reading({ id: 'b' })), of(reading({ id: 'c' }))])
  expect(known.readings.map(({ id }) => id)).toEqual(['a', 'b', 'c'])
  expect(known.readings[0]!.at).toBe(first.at)
})

it('leaves every list alone that nothing is added to, so that nothing is worked out anew', () => {
  const record = withEvents(emptyRecord, [of(first)])
  const seen: Observation = {
    id: 'o',
    group: 'g1',
    condition: null,
    repeat: null,
    kind: 'words',
    text: 'wet',
    picture: null,
    by: 'desk',
    at: first.at,
  }
  const next = withEvents(record, [
    { kind: 'plan', revision: 2 },
    { kind: 'board', board: USUAL_BOARD },
    { kind: 'observation', observation: seen },
  ])
  expect(next.readings).toBe(record.readings)
  expect(next.predictions).toBe(record.predictions)
  expect(next.observations).toEqual([seen])
})
