import { defineVuetifyConfiguration } from 'vuetify-nuxt-module/custom-configuration'
import { jollyTheme, projectorTheme } from './app/theme/colours'

export default defineVuetifyConfiguration({
  icons: { defaultSet: 'mdi-svg' },
  theme: { defaultTheme: 'jolly', themes: { jolly: jollyTheme, projector: projectorTheme } },
  defaults: {
    VBtn: { variant: 'outlined', rounded: 'md', ripple: false, elevation: 0 },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VMenu: { transition: false },
    VDialog: { transition: false },
    VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
  },
})
