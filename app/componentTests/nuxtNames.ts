import { computed, inject, onBeforeUnmount, onMounted, provide, ref, useAttrs, useId, useTemplateRef, watch } from 'vue'

// Nuxt hands these to every component; here they are handed by us, before any component is read.
Object.assign(globalThis, { computed, inject, onBeforeUnmount, onMounted, provide, ref, useAttrs, useId, useTemplateRef, watch })
