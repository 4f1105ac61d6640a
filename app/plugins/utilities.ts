// After the theme, before the components: uno.config.ts says what its small classes are.
import 'virtual:uno.css'

export default defineNuxtPlugin(() => undefined)
