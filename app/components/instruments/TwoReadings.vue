<script setup lang="ts">
import { unitOf } from '~~/core/quantity'
import { writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'
import { useNumberEntry } from '~/composables/numberEntry'
import TextField from '~/forms/TextField.vue'

/** Two readings whose difference counts: at the start and at the finish, or empty and full. */
const props = defineProps<InstrumentProps>()
const { read } = useNumberEntry()
const text = defineModel<string>({ required: true })
const method = computed(() => testOf(props.plan).method!)
const unit = computed(() => method.value.unit)
const labels = computed(() => {
  if (method.value.eachIs === 'used') return ['At the start', 'What is left']
  return props.device === 'empty-and-full' ? ['Empty', 'Full'] : ['At the start', 'At the finish']
})
const first = ref('')
const second = ref('')
const both = computed(() => `${first.value.trim()} to ${second.value.trim()}`)
const difference = computed(() => (first.value.trim() && second.value.trim() ? read(props.plan, both.value, true) : undefined))
watch([first, second], () => (text.value = difference.value ? both.value : ''))
watch(text, (now) => {
  // Written down: the next trial begins with empty fields.
  if (now === '' && difference.value) first.value = second.value = ''
})
</script>

<template>
  <div class="device">
    <TextField
      v-model="first"
      class="reading"
      :label="labels[0]!"
      :longest="25"
      inputmode="decimal"
      :suffix="unitOf(unit).symbol"
    />
    <TextField
      v-model="second"
      class="reading"
      :label="labels[1]!"
      :longest="25"
      inputmode="decimal"
      :suffix="unitOf(unit).symbol"
    />
    <p v-if="difference" role="status">
      <template v-if="difference.value !== undefined">
        That makes <strong>{{ writeReading(plan, difference.value, difference.unit) }}</strong>.
      </template>
      <span v-else class="trouble">{{ difference.trouble }}</span>
    </p>
  </div>
</template>
