import type { Column } from '~~/core/kit'

export const COLUMN_NAMES: Record<Column, string> = {
  name: 'Thing',
  amount: 'Amount',
  per: 'for',
  use: 'Afterwards',
  spare: 'Spares',
  stock: 'There',
  pack: 'One pack',
  price: 'Price',
  place: 'Place',
  rinse: 'Dry, min',
}

/** What a teacher fills in first; the rest stands behind “more” and in the whole table. */
export const FIRST_COLUMNS: Column[] = ['name', 'amount', 'per']
