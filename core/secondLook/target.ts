import type { Place } from '../record'

/** The places that a button can lead to. */
export type TargetPlace =
  | 'title'
  | 'noticed'
  | 'new-factor'
  | 'new-measure'
  | 'new-condition'
  | 'how'
  | 'condition'
  | 'conditions'
  | 'fair-check'
  | 'times'
  | 'words'
  | 'expected'
  | 'method-tool'
  | 'best'
  | 'method-unit'
  | 'new-material'
  | 'amount'
  | 'stock'
  | 'pack'
  | 'price'
  | 'density'
  | 'ways'
  | 'more'
  | 'getting-ready'
  | 'over-days'
  | 'trial'
  | 'trial-order'
  | 'things'
  | 'counts'
  | 'by-size'
  | 'each-is'
  | 'class'
  | 'date'
  | 'order'
  | 'cell'
  | 'strays'
  | 'empties'
  | 'surer'
  | 'conclusion'

/** Where a button leads. */
export interface Target {
  place: TargetPlace
  /** Whose, where there are several. */
  of?: string
}

/**
 * What a place of the page carries, so that it is found.
 * @example targetName({ place: 'how', of: 'f1' }) // => 'how-f1'
 */
export function targetName({ place, of }: Target): string {
  return of === undefined ? place : `${place}-${of}`
}

/** A place of the class grid. */
export function cellTarget({ group, condition, repeat, moment }: Pick<Place, 'group' | 'condition' | 'repeat' | 'moment'>): Target {
  return { place: 'cell', of: [group, condition, repeat, ...(moment === '' ? [] : [moment])].join('-') }
}
