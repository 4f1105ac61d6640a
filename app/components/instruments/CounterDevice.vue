<script setup lang="ts">
import type { InstrumentProps } from './instrument'

/** Counts taps, and takes a tap back. */
defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const count = computed(() => Number(text.value) || 0)
</script>

<template>
  <div class="device">
    <output class="figure-large" aria-label="Counted">{{ count }}</output>
    <button type="button" class="press" @click="text = String(count + 1)">One more</button>
    <div class="row">
      <VBtn :disabled="count === 0" @click="text = String(count - 1)">One back</VBtn>
      <VBtn :disabled="text === ''" @click="text = ''">From the start</VBtn>
    </div>
  </div>
</template>
