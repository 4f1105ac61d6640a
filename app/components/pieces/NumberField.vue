<script setup lang="ts">
import { readQuantity, writeShort, unitOf, type UnitCode } from '~~/core/quantity'
import { readErrorWords } from '~~/core/wording'

/** A number as people write it, kept when it can be read and lies in range; what cannot be read stays to be mended. */
const props = defineProps<{
  modelValue: number | null
  label: string
  /** Written in this unit, and read in any unit of its kind. */
  unit?: UnitCode
  least?: number
  most?: number
  whole?: boolean
  /** Empty means "not said". */
  optional?: boolean
  target?: string
  /** Shows buttons for one less and one more. */
  steps?: boolean
  bare?: boolean
  /** What holds while nothing is said. */
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()
const written = computed(() => (props.modelValue === null ? '' : writeShort(props.modelValue).replace(/\s/g, '').replace('−', '-')))
const draft = ref(written.value)
const trouble = ref('')
const hint = useId()
const field = useId()
watch(written, (text) => {
  draft.value = text
  trouble.value = ''
})

const symbol = computed(() => (props.unit ? unitOf(props.unit).symbol : ''))

function keep(): void {
  const text = draft.value.trim()
  if (text === '' && props.optional) return take(null)
  const read = readQuantity(text, { unit: props.unit ?? 'count' })
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
  <div class="number-field" :class="{ bare }">
    <label :for="field" class="label" :class="{ 'sr-only': bare }">{{ label }}</label>
    <span class="entry">
      <button v-if="steps" type="button" class="step" :aria-label="`One less: ${label}`" @click="take((modelValue ?? 0) - 1)">
        −
      </button>
      <input
        :id="field"
        v-model="draft"
        class="box"
        :class="{ wrong: trouble }"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="placeholder"
        :data-target="target"
        :aria-invalid="trouble ? true : undefined"
        :aria-describedby="trouble ? hint : undefined"
        @change="keep"
        @keydown.enter="keep"
      />
      <button v-if="steps" type="button" class="step" :aria-label="`One more: ${label}`" @click="take((modelValue ?? 0) + 1)">
        +
      </button>
      <span v-if="symbol" class="symbol">{{ symbol }}</span>
    </span>
    <span v-if="trouble" :id="hint" class="trouble" role="alert">{{ trouble }}</span>
  </div>
</template>

<style scoped>
.number-field {
  display: grid;
  align-content: start;
  gap: 2px;
  max-width: 200px;
}
.label {
  color: var(--soft);
  font-size: 14px;
}
.entry {
  display: flex;
  align-items: center;
  gap: 4px;
}
.box {
  width: 64px;
  text-align: right;
}
.bare .box {
  min-height: 30px;
  padding: 2px 6px;
}
.symbol {
  color: var(--soft);
  white-space: nowrap;
}
.step {
  width: 30px;
  height: 36px;
  border: 1px solid var(--mark);
  border-radius: var(--corner);
  background: var(--card);
  cursor: pointer;
}
.bare .step {
  height: 30px;
}
.step:hover {
  background: var(--green-light);
}
</style>
