import { defineNitroPlugin } from 'nitropack/runtime'
import { USUAL_CUSTOMS } from '../../core/kit'
import { useDatabase } from '../database/connection'
import { customsOf } from '../database/cupboard'

/** Every page knows from its first letter on how the school writes. */
export default defineNitroPlugin((application) => {
  application.hooks.hook('render:html', async (html) => {
    const { english, currency } = await useDatabase()
      .then(customsOf)
      .catch(() => USUAL_CUSTOMS)
    html.htmlAttrs.push(`data-english="${english}" data-currency="${currency}"`)
  })
})
