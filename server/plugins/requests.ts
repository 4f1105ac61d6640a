import { defineNitroPlugin } from 'nitropack/runtime'
import { requestDone } from '../lookedAfter/requests'

/** A stream stands as long as its page does. */
const STREAMS = /\/events$/

/** How long every request to the interface took, by its route. */
export default defineNitroPlugin((application) => {
  application.hooks.hook('request', (event) => {
    if (!event.path.startsWith('/api/')) return
    const began = performance.now()
    event.node.res.once('close', () => {
      const pattern = event.context.matchedRoute?.path
      if (pattern === undefined || STREAMS.test(pattern)) return
      requestDone(`${event.method} ${pattern}`, event.node.res.statusCode, performance.now() - began)
    })
  })
})
