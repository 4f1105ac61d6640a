import { defineEventHandler, setResponseStatus } from 'h3'
import { refusalWords } from '../../core/wording'

/** Whatever no other route answers. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { code: 'no-such-address', message: refusalWords('no-such-address') }
})
