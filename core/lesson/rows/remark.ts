import { LONGEST } from '../limits'
import { REMARK_LISTS, type RemarkList } from '../plan'
import { rowKind } from './rowKind'

/** What a group said at its station, for one of the three lists. */
export interface SaidRemark {
  id: string
  group: string
  list: RemarkList
  text: string
  at: string
}

export const REMARK = rowKind<SaidRemark>()({
  kind: 'remark',
  list: 'remarks',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    list: { is: 'one-of', words: REMARK_LISTS },
    text: { is: 'text', most: LONGEST.text, said: LONGEST.said, needed: true },
    at: { is: 'time' },
  },
  stamped: ['at'],
  most: 5000,
  station: ['id', 'list', 'text'],
  unsaid: {},
  // The desk writes into the plan's own lists.
  desk: false,
})
