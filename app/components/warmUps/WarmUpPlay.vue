<script setup lang="ts">
import CountMoving from '~/components/warmUps/CountMoving.vue'
import IsItFair from '~/components/warmUps/IsItFair.vue'
import ReadScale from '~/components/warmUps/ReadScale.vue'
import RealOrWobble from '~/components/warmUps/RealOrWobble.vue'
import StopTheClock from '~/components/warmUps/StopTheClock.vue'
import PickOne from '~/forms/PickOne.vue'

/** What children practise before they measure. Nobody is marked; what the class reads wrong is its own wobble. */
defineEmits<{ tried: [error: number] }>()
const KINDS = [
  { value: 'scale', title: 'Read the scale' },
  { value: 'clock', title: 'Stop the clock' },
  { value: 'count', title: 'Count what moves' },
  { value: 'fair', title: 'Is it fair?' },
  { value: 'wobble', title: 'Real or wobble?' },
] as const
const kind = ref<(typeof KINDS)[number]['value']>('scale')
</script>

<template>
  <div class="grid gap-block">
    <PickOne v-model="kind" tiles label="Warm-up" :options="[...KINDS]" />
    <ReadScale v-if="kind === 'scale'" @tried="$emit('tried', $event)" />
    <StopTheClock v-else-if="kind === 'clock'" />
    <CountMoving v-else-if="kind === 'count'" />
    <IsItFair v-else-if="kind === 'fair'" />
    <RealOrWobble v-else />
  </div>
</template>
