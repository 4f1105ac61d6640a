<script setup lang="ts">
import { plainUnit, readQuantity, writeShort, unitOf, type ResultUnit } from '~~/core/quantity'
import { readErrorWords } from '~~/core/wording'
import FieldFrame from '~/forms/FieldFrame.vue'

/** A number as people write it, kept when it can be read and lies in range; what cannot be read stays to be mended. */
const props = defineProps<{
  modelValue: number | null
  label: string
  /** Written in this unit, and read in any unit of its kind. */
  unit?: ResultUnit
  least?: number
  most?: number
  whole?: boolean
  /** Empty means "not said". */
  optional?: boolean
  target?: string
  /** Shows buttons for one less and one more. */
  steps?: boolean
  disabled?: boolean
  bare?: boolean
  inline?: boolean
  /** What holds while nothing is said. */
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()
const written = computed(() => (props.modelValue === null ? '' : writeShort(props.modelValue).replace(/\s/g, '').replace('−', '-')))
const draft = ref(written.value)
const trouble = ref('')
const id = useId()
watch(written, (text) => {
  draft.value = text
  trouble.value = ''
})

const symbol = computed(() => (props.unit ? unitOf(props.unit).symbol : ''))

function keep(): void {
  const text = draft.value.trim()
  if (text === '' && props.optional) return take(null)
  const read = readQuantity(text, { unit: plainUnit(props.unit ?? 'count') })
  if (!read.ok) return void (trouble.value = readErrorWords(read.code))
  take(read.value)
}

function take(value: number | null): void {
  const { least = -1e9, most = 1e9, whole } = props
  if (value !== null && (value < least || value > most)) return void (trouble.value = `Between ${least} and ${most}, please.`)
  if (value !== null && whole && !Number.isInteger(value)) return void (trouble.value = 'A whole number, please.')
  trouble.value = ''
  if (value !== props.modelValue) emit('update:modelValue', value)
  else draft.value = written.value
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :inline="inline" :target="target" class="number-field">
    <span class="entry flex items-center gap-tight">
      <VBtn v-if="steps" size="small" :disabled="disabled" :aria-label="`One less: ${label}`" @click="take((modelValue ?? 0) - 1)"
        >−</VBtn
      >
      <VTextField
        :id="id"
        v-model="draft"
        class="figure flex-none w-76px"
        inputmode="decimal"
        autocomplete="off"
        hide-details
        :disabled="disabled"
        :placeholder="placeholder"
        :error="trouble !== ''"
        :aria-invalid="trouble ? true : undefined"
        :aria-describedby="trouble ? `${id}-trouble` : undefined"
        @change="keep"
        @keydown.enter="keep"
      />
      <VBtn v-if="steps" size="small" :disabled="disabled" :aria-label="`One more: ${label}`" @click="take((modelValue ?? 0) + 1)"
        >+</VBtn
      >
      <span v-if="symbol" class="text-soft nowrap">{{ symbol }}</span>
    </span>
    <span v-if="trouble" :id="`${id}-trouble`" class="trouble" role="alert">{{ trouble }}</span>
  </FieldFrame>
</template>

<style scoped>
.number-field {
  max-width: 220px;
}
</style>
