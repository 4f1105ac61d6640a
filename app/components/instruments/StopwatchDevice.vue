<script setup lang="ts">
import { stopwatchReading } from '~~/core/measuring'
import { writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'

/** A stopwatch: one large button starts and stops it. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const method = computed(() => testOf(props.plan).method!)
const began = ref<number>()
const passed = ref(0)
const shown = computed(() => (passed.value / 1000).toFixed(1))
const TICK = 100
let timer: ReturnType<typeof setInterval> | undefined
onBeforeUnmount(() => clearInterval(timer))

function press(): void {
  const now = performance.now()
  if (began.value === undefined) {
    began.value = now
    passed.value = 0
    text.value = ''
    timer = setInterval(() => (passed.value = performance.now() - began.value!), TICK)
    return
  }
  clearInterval(timer)
  passed.value = now - began.value
  began.value = undefined
  text.value = String(stopwatchReading(passed.value, method.value))
}
</script>

<template>
  <div class="device">
    <output aria-label="Time" class="figure-large" aria-live="off">{{ shown }} s</output>
    <button type="button" class="press" :class="{ on: began !== undefined }" @click="press">
      {{ began === undefined ? (text ? 'Start again' : 'Start') : 'Stop' }}
    </button>
    <p v-if="text && began === undefined" role="status">
      That is <strong>{{ writeReading(plan, Number(text), method.unit) }}</strong>{{
        method.atOnce > 1 ? ` each, of ${method.atOnce} together` : ''
      }}.
    </p>
    <p v-if="method.timingWobble > 0" class="soft">A hand starts and stops it about {{ method.timingWobble }} s early or late.</p>
  </div>
</template>
