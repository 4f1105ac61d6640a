<script setup lang="ts">
import { writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'
import { sourceFor } from './source'

/** A device that sends numbers by itself: the children watch them settle and take one. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const unit = computed(() => testOf(props.plan).unit)
const source = sourceFor(props.device, props.plan, props.condition)
const sent = ref<number>()
onBeforeUnmount(source.open((value) => (sent.value = value)))
</script>

<template>
  <div class="device">
    <output aria-label="What it shows" class="figure-large" aria-live="off">{{
      sent === undefined ? 'no signal' : writeReading(plan, sent, unit)
    }}</output>
    <button type="button" class="press" :disabled="sent === undefined" @click="text = String(sent)">Take this one</button>
    <p v-if="text" role="status">
      Taken: <strong>{{ writeReading(plan, Number(text), unit) }}</strong>
    </p>
    <p v-if="source.simulated" class="soft">Simulated: it sends what the plan expects, with noise, drift and drop-outs.</p>
  </div>
</template>
