export { isInDoubt, isLiquid, piecesCut, readAmount, readAmountOf, readCount, readPrice, sensible, turnInto } from './amount'
export type { Amount, AmountErrorCode } from './amount'
export { CURRENCIES, ENGLISH, kitchenOf, USUAL_CUSTOMS } from './customs'
export type { Customs } from './customs'
export { cautionsAtTrial } from './cautionsAtTrial'
export { CAUTIONS } from './cautionNames'
export type { Caution } from './cautionNames'
export { cautionsInWords, cautionsOf, cautionsOfMaterial, cautionsSeen, DOER, doerOf, isForAdultsOnly } from './cautions'
export type { CautionOfPlan, CautionSource } from './cautions'
export {
  bookedBefore,
  bookedOf,
  bookedSoon,
  bookingsInOrder,
  freeOf,
  isNowThere,
  likelyThing,
  naming,
  withoutThings,
  NO_SCHOOL,
  orderOfBooking,
  runningLow,
  takenBefore,
  THING_FIELDS,
  USUAL_HELD,
  withField,
  withThings,
} from './cupboard'
export type { Booked, BookingsInOrder, Booking, School, Thing, ThingField } from './cupboard'
export { likelyBack, missingOf, stockChanges } from './countBack'
export type { CountedBack, StockChange } from './countBack'
export { bookingsBefore, bookingsOf, takesOf } from './bookings'
export type { Taking, Takes } from './bookings'
export { stockedFor } from './stocked'
export type { Stocked } from './stocked'
export { byPlace } from './byPlace'
export { billOf, needsOf, packsFor } from './needs'
export { chanceNothingRunsOut, FAILED_SHARE, failedShare, sparesNeeded, sparesOf, withSpares } from './spares'
export type { Spare } from './spares'
export { supplyOf } from './supply'
export type { Need } from './needs'
export type { Supply, SupplyField, SupplyProblem } from './supply'
export { gettingReady } from './gettingReady'
export type { Moment as CivilMoment, MovedBecause, Step } from './gettingReady'
export { materialsFromPlan } from './fromPlan'
export { COLUMNS, pasteMaterials, withWritten } from './table'
export type { Column, PastedTable } from './table'
export { CUPBOARD_COLUMNS } from './cupboard'
