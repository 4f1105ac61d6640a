<script setup lang="ts">
import ReasonPicker from '~/components/station/ReasonPicker.vue'

/** What went wrong: with a number it is kept and set aside, without one the trial is simply done again. */
defineProps<{ hasNumber: boolean; trouble: string }>()
const emit = defineEmits<{ why: [reason: string]; back: [] }>()
</script>

<template>
  <div class="why grid gap-near content-start">
    <h2>What went wrong?</h2>
    <template v-if="hasNumber">
      <p>The number is kept with the reason and not counted. Then do this trial again.</p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <ReasonPicker @why="emit('why', $event)" />
    </template>
    <p v-else>No number yet? Do this trial again. If you have one, type it first, even if it is odd.</p>
    <MainBtn @click="emit('back')">Back to the trial</MainBtn>
  </div>
</template>
