import { mount } from '@vue/test-utils'
import { markRaw, type Component } from 'vue'
import { createVuetify } from 'vuetify'
import { VBtn, VCheckbox, VListItem, VRadio, VRadioGroup, VSelect, VTextField, VTextarea } from 'vuetify/components'

Object.assign(globalThis, {
  visualViewport: new EventTarget(),
  ResizeObserver: class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
})
const vuetify = createVuetify({ components: { VBtn, VCheckbox, VListItem, VRadio, VRadioGroup, VSelect, VTextField, VTextarea } })
// The four buttons are Vuetify's, named in vuetify.config.ts.
const components = { MainBtn: VBtn }

/** A component in a page, with what it told its model, oldest first. */
export function show(component: Component, props: Record<string, unknown>, slots: Record<string, string> = {}) {
  const shown = mount(markRaw(component), {
    props: { ...props, 'onUpdate:modelValue': (value: unknown) => void shown.setProps({ modelValue: value }) },
    slots,
    attachTo: document.body,
    global: { plugins: [vuetify], components },
  })
  const told = () => (shown.emitted('update:modelValue') ?? []).map(([value]) => value)
  const press = async (words: string) => {
    const found = shown.findAll('button').find((one) => one.text() === words || one.attributes('aria-label') === words)
    if (!found) throw new Error(`There is no button “${words}”: ${shown.text()}`)
    await found.trigger('click')
  }
  return Object.assign(shown, { told, press })
}
