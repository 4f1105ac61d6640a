import { defineEventHandler, setResponseStatus } from 'h3'

/** Whatever no other route answers. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { code: 'no-such-address', message: 'There is nothing at this address. Go back to the shelf.' }
})
