import { race } from './race'
import type { WayOfReading } from './way'

/** A place in an order by weighing two at a time. */
export const balance: WayOfReading = {
  ...race,
  code: 'balance',
  weighsTwo: true,
  sideBySide: false,
  expectedUnit: 'g',
  screen: 'balance',
}
