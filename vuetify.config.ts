import { defineVuetifyConfiguration } from 'vuetify-nuxt-module/custom-configuration'
import { jollyTheme, projectorTheme } from './app/theme/colours'

const button = { ripple: false, elevation: 0 } as const
const field = { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' } as const
const tick = { density: 'compact', hideDetails: true, color: 'primary', ripple: false } as const

/** Every control begins here; app/theme/controls/ is what it wears. */
export default defineVuetifyConfiguration({
  icons: { defaultSet: 'mdi-svg' },
  theme: { defaultTheme: 'jolly', themes: { jolly: jollyTheme, projector: projectorTheme } },
  aliases: { MainBtn: 'VBtn', QuietBtn: 'VBtn', LinkBtn: 'VBtn', SignBtn: 'VBtn' },
  defaults: {
    VBtn: { ...button, variant: 'outlined' },
    MainBtn: { ...button, variant: 'flat' },
    QuietBtn: { ...button, variant: 'text' },
    LinkBtn: { ...button, variant: 'plain' },
    SignBtn: { ...button, variant: 'text', icon: true },
    VTextField: field,
    VTextarea: field,
    VSelect: field,
    VAutocomplete: { ...field, menuIcon: '' },
    VMenu: { transition: false },
    VDialog: { transition: false },
    VTooltip: { transition: false },
    VCheckbox: tick,
    VRadio: tick,
    VRadioGroup: { hideDetails: true },
  },
})
