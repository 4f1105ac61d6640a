import { mount } from '@vue/test-utils'
import { markRaw, type Component } from 'vue'
import * as vue from 'vue'
import { createVuetify } from 'vuetify'
import { VBtn, VCheckbox, VListItem, VRadio, VRadioGroup, VSelect, VTextField, VTextarea } from 'vuetify/components'
import FieldFrame from '~/forms/FieldFrame.vue'
import LongField from '~/forms/LongField.vue'
import PickOne from '~/forms/PickOne.vue'
import TextField from '~/forms/TextField.vue'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import WordPicture from '~/components/pieces/WordPicture.vue'

// Nuxt hands these to every component; here they are handed by us.
const { computed, onBeforeUnmount, onMounted, ref, useAttrs, useId, useTemplateRef, watch } = vue
Object.assign(globalThis, { computed, onBeforeUnmount, onMounted, ref, useAttrs, useId, useTemplateRef, watch })
Object.assign(globalThis, {
  visualViewport: new EventTarget(),
  ResizeObserver: class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
})
const { useCustoms } = await import('~/composables/customs')
Object.assign(globalThis, { useCustoms })

const vuetify = createVuetify({ components: { VBtn, VCheckbox, VListItem, VRadio, VRadioGroup, VSelect, VTextField, VTextarea } })
const components = { MainBtn: VBtn, FieldFrame, LongField, PickOne, TextField, ConditionBadge, WordPicture }

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
