import { getRouterParam, type H3Event } from 'h3'
import { EVERY_KIND } from '../../core/lesson'
import { refusal } from '../access/refusal'

/** The kind of row whose list an address ends in, where it may be written from there. */
export function kindOf(event: H3Event, from: 'desk' | 'station'): (typeof EVERY_KIND)[number] {
  const list = getRouterParam(event, 'list')
  const kind = EVERY_KIND.find((one) => one.list === list)
  if (!kind || (from === 'desk' ? !kind.desk : kind.deskOnly)) throw refusal(404, 'no-such-address')
  return kind
}
