import type { AmountErrorCode, SupplyProblem } from '../kit'
import type { EntryErrorCode } from '../test'

const READ_ERRORS: Record<EntryErrorCode | AmountErrorCode | SupplyProblem['code'], string> = {
  empty: 'Nothing is written here yet.',
  'too-long': 'That is too long for a number. Write it like 12.5 cm.',
  'not-a-number': 'This is not a number that can be read. Write it like 21, 3,5 or 17 3/8.',
  'unknown-unit': 'That unit is not known here. Try mm, cm, g, mL, s or °C.',
  'unit-missing': 'There are two numbers. Write the unit behind the first one, like 5 m 31.',
  'wrong-kind-of-unit': 'That unit measures something else.',
  'units-out-of-order': 'Write the larger unit first, like 1 m 5 cm.',
  'part-too-big': 'One part of the number is too big for its place.',
  'comma-unclear': 'The comma could mean thousands or a decimal. Write 1.25 or 1 250.',
  'start-or-range': 'Is that a start and a finish? Write 68 - 12 for what lies between. Or write the one number you mean.',
  'not-one-of-the-words': 'That is not one of the words of this plan. Type one of them, or its number.',
  'not-a-place': 'Write the place it came in: 1 for first, 2 for second, 2.5 for two that share second and third.',
  'no-number': 'There is no number in it. Write how many or how much, like 3, 1/2 cup or 200 mL.',
  negative: 'An amount cannot be less than nothing.',
  'too-much': 'That is more than a class could carry. Check the number.',
  'not-a-price': 'Write a price like 2.50.',
  'other-unit': 'It measures something else than the amount does, so the two cannot be compared.',
  'density-missing': 'One is a volume and the other a mass. Say how many grams 1 mL weighs.',
  'divided-by-nothing': 'A fraction cannot have 0 at the bottom.',
}

/** What to do about a number that could not be read. */
export function readErrorWords(code: EntryErrorCode | AmountErrorCode | SupplyProblem['code']): string {
  return READ_ERRORS[code]
}
