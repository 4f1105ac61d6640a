import { defineNitroPlugin } from 'nitropack/runtime'

/** The page's own inline scripts carry the nonce of the content security policy; any other does not run. */
export default defineNitroPlugin((application) => {
  application.hooks.hook('render:html', (html, { event }) => {
    const nonce = String(event.context.nonce ?? '')
    for (const part of ['head', 'bodyPrepend', 'bodyAppend', 'body'] as const) {
      html[part] = html[part].map((markup) => markup.replaceAll('<script', `<script nonce="${nonce}"`))
    }
  })
})
