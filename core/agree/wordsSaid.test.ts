import { expect, it } from 'vitest'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { counter, reading } from '../../test/soakUp'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { evidenceOf } from '../evidence'
import { planFrom, testOf } from '../test'
import { isChecked, readConclusion } from '.'

const ready = (id: string): Plan => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g'))

/** Every group reads every condition as often as there are places in its list, in that order. */
function read(plan: Plan, values: Record<string, number[]>) {
  const readings = plan.groups.flatMap(({ id: group }) =>
    Object.entries(values).flatMap(([condition, own]) =>
      own.map((value, at) =>
        reading({ id: `${group}${condition}${at}`, group, condition, repeat: at + 1, value, unit: testOf(plan).unit }),
      ),
    ),
  )
  return evidenceOf(plan, { ...EMPTY_RECORD, readings })!
}

const gap = ready('gap-finder')
const lights = {
  spoon: [1, 1],
  foil: [1, 1],
  key: [1, 2],
  lead: [1, 1],
  stick: [2, 2],
  ruler: [2, 2],
  rubber: [2, 2],
  thread: [2, 2],
}
const twang = ready('twang-order')
const order = { n5: [1, 1, 1], n6: [2, 2, 3], n7: [3, 3, 2], n8: [4, 4, 4], n9: [5, 5, 5] }
const filter = ready('clear-water-filter')
const clearer = { first: [1, 2], second: [3, 3], third: [4, 4] }

/** Judged by hand: everything in it is so, something in it is not, or it says what no table tells. */
it.each<[Plan, Record<string, number[]>, 'so' | 'false' | 'not checked', string]>([
  [gap, lights, 'so', 'With the steel spoon the bulb lights up, and with the lolly stick it stays dark. We are sure.'],
  [gap, lights, 'so', 'The pencil lead lights up.'],
  [gap, lights, 'false', 'The rubber lights up.'],
  [gap, lights, 'false', 'Kitchen foil stays dark, and the plastic ruler stays dark.'],
  [gap, lights, 'not checked', 'The brass key stays dark.'],
  [gap, lights, 'not checked', 'Metals light it up because charge can pass.'],
  [gap, lights, 'so', 'Steel spoon: lights up (14 of 14). Woollen thread: stays dark (14 of 14). That is clear.'],
  [gap, lights, 'not checked', 'Steel spoon: lights up (12 of 14).'],
  [gap, lights, 'so', 'It is clear that the thing in the gap matters.'],
  [gap, lights, 'false', 'The rubber and the steel spoon light up. We are sure.'],
  [gap, lights, 'so', 'Kitchen foil and the steel spoon light up. We are sure.'],
  [gap, lights, 'not checked', 'With the steel spoon the bulb lights up, with the others it stays dark.'],
  [gap, lights, 'false', 'The thing in the gap makes no difference.'],
  [twang, order, 'so', '5 cm averaged place 1.0 and 9 cm place 5.0. We are sure.'],
  [twang, order, 'false', '6 cm averaged place 4.0. We are sure.'],
  [twang, order, 'false', '9 cm and 5 cm averaged place 1.0. We are sure.'],
  // The same ruler each time: nobody may be surer than leaning.
  [twang, order, 'false', '5 cm came first and 9 cm came last.'],
  [twang, order, 'so', 'It looks as if 5 cm comes first and 9 cm comes last.'],
  [twang, order, 'false', '9 cm came first.'],
  [filter, clearer, 'so', 'The third try was clear. We are sure.'],
  [filter, clearer, 'false', 'The third try was like mud.'],
  [filter, clearer, 'not checked', 'The first try was cloudy and not safe to drink.'],
  [filter, clearer, 'so', 'The second try was hazy, and the third was clear.'],
  [filter, clearer, 'false', 'First try: about clear. We are sure.'],
  [filter, clearer, 'not checked', 'The third try was not hazy.'],
])('%#: $3', (plan, values, judged, text) => {
  const found = readConclusion(text, plan, read(plan, values))
  const wrong = found.doubts.some(({ at }) => at.length > 0)
  expect(isChecked(found) ? 'so' : wrong ? 'false' : 'not checked', JSON.stringify(found)).toBe(judged)
})
