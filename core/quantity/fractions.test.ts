import { expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { withMethod } from '../test'
import { writeAverage, writeFigure, writeReading } from '../wording'
import { writeFraction } from '.'

it.each([
  [17.5, 0.25, '17 1/2'],
  [17.25, 0.25, '17 1/4'],
  [17, 0.25, '17'],
  [0.75, 0.25, '3/4'],
  [-2.5, 0.5, '−2 1/2'],
  [11.375, 0.125, '11 3/8'],
  [3 + 5 / 16, 1 / 16, '3 5/16'],
])('%d on a scale of %d inch is %s', (value, mark, said) => {
  expect(writeFraction(value, 'in', mark)).toBe(`${said}\u202fin`)
})

it('is no fraction on a scale in tenths, of what lies between the marks, or in centimetres', () => {
  expect([writeFraction(17.5, 'in', 0.1), writeFraction(17.3, 'in', 0.25), writeFraction(17.5, 'cm', 0.5)]).toEqual([
    undefined,
    undefined,
    undefined,
  ])
})

it('a lesson in quarter inches shows quarters, and eighths for an average of one digit more', () => {
  const quarters = withMethod(soakUpPlan(), (method) => ({ ...method, unit: 'in', resolution: 0.25 }))
  expect(writeReading(quarters, 17.5, 'in')).toBe('17 1/2\u202fin')
  expect(writeReading(quarters, 17.3, 'in')).toBe('17.30\u202fin')
  expect(writeAverage(quarters, 17.4, 'in')).toBe('17 3/8\u202fin')
  expect(writeFigure({ ...quarters, averageTo: 'mark' }, 17.4, 'in')).toBe('17 1/2\u202fin')
  // A gap of less than a mark is not nothing.
  expect(writeFigure({ ...quarters, averageTo: 'mark' }, 0.06, 'in')).toBe('0.06\u202fin')
  expect(writeAverage(quarters, 0.06, 'in')).toBe('0.060\u202fin')
})
