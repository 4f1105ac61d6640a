import { defineNitroPlugin } from 'nitropack/runtime'
import { USUAL_CUSTOMS, type Customs } from '../../core/kit'
import { useDatabase } from '../database/connection'
import { customsOf } from '../database/cupboard'

/** A page does not wait longer for a database that is away: it opens as the last one did. */
const PATIENCE = 500

/** Every page knows from its first letter on how the school writes. */
export default defineNitroPlugin((application) => {
  let last = USUAL_CUSTOMS
  async function lookUp(): Promise<Customs> {
    return (last = await useDatabase().then(customsOf))
  }
  const whatever = () => last
  application.hooks.hook('render:html', async (html) => {
    const late = new Promise<Customs>((resolve) => setTimeout(() => resolve(last), PATIENCE).unref())
    const { english, currency } = await Promise.race([lookUp().catch(whatever), late])
    html.htmlAttrs.push(`data-english="${english}" data-currency="${currency}"`)
  })
})
