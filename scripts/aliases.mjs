// Nuxt's short names for folders, for whoever reads the imports without Nuxt.
import { home } from './prepare.mjs'

export default { resolve: { alias: { '~~': home, '~': `${home}/app` } } }
