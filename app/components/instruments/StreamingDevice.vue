<script setup lang="ts">
import { seededRandom, STREAMING, streamed } from '~~/core/benches'
import { measuredCard, type Plan } from '~~/core/lesson'
import { expectedResultOf } from '~~/core/measuring'
import { writeReading } from '~~/core/wording'

/** A device that sends numbers by itself. No real one is plugged in: this stands in for it, noise, drift and drop-outs included. */
const props = defineProps<{ plan: Plan; condition: string; device: keyof typeof STREAMING }>()
const text = defineModel<string>({ required: true })
const method = computed(() => measuredCard(props.plan)!.method)
const source = STREAMING[props.device]
const random = seededRandom(Math.floor(performance.now()))
const REST = { probe: 20, scale: 0, gate: 0 }
const USUAL = { probe: 40, scale: 100, gate: 2 }
const sent = ref<number>()
let seconds = 0
const timer = setInterval(() => {
  seconds += source.every
  const truth = expectedResultOf(props.plan, props.condition) ?? USUAL[props.device]
  sent.value = streamed(source, { truth, rest: REST[props.device], mark: method.value.resolution, seconds }, random)
}, source.every * 1000)
onBeforeUnmount(() => clearInterval(timer))
</script>

<template>
  <div class="device">
    <output class="figure-large" aria-live="off">{{
      sent === undefined ? 'no signal' : writeReading(plan, sent, method.unit)
    }}</output>
    <button type="button" class="press" :disabled="sent === undefined" @click="text = String(sent)">Take this one</button>
    <p v-if="text" role="status">
      Taken: <strong>{{ writeReading(plan, Number(text), method.unit) }}</strong>
    </p>
    <p class="soft">Simulated: it sends what the plan expects, with noise, drift and drop-outs.</p>
  </div>
</template>
