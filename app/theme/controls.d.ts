import type { VBtn } from 'vuetify/components'

/** The names under which vuetify.config.ts gives a button its part in a view. */
declare module 'vue' {
  export interface GlobalComponents {
    /** The one main button of a view, filled. */
    MainBtn: typeof VBtn
    /** A button without a frame. */
    QuietBtn: typeof VBtn
    /** A button that reads like a link. */
    LinkBtn: typeof VBtn
    /** A button that only holds its sign. */
    SignBtn: typeof VBtn
  }
}
