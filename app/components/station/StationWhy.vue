<script setup lang="ts">
import { ENDED_WITHOUT, REASONS } from '~~/core/wording'
import ReasonPicker from '~/components/station/ReasonPicker.vue'

/** What went wrong: with a number it is kept and set aside, without one what happened is kept; either way the trial is done again. */
defineProps<{ hasNumber: boolean; practice: boolean; trouble: string }>()
const emit = defineEmits<{ why: [reason: string]; back: [] }>()
</script>

<template>
  <div class="why grid gap-near content-start">
    <h2>What went wrong?</h2>
    <template v-if="hasNumber">
      <p>The number is kept with the reason and not counted. Then do this trial again.</p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <ReasonPicker :reasons="REASONS" own="Set aside" @why="emit('why', $event)" />
    </template>
    <!-- Of practice nothing is kept, so that nobody is told either. -->
    <p v-else-if="practice">Practice does not count: do it again. If something broke, put your hand up and ask for another.</p>
    <template v-else>
      <p>
        It ended without a number? Say what happened, and do this trial again. If something broke, your teacher is told and brings
        another. If you have a number, type it first, even if it is odd.
      </p>
      <ReasonPicker :reasons="ENDED_WITHOUT" own="That happened" @why="emit('why', $event)" />
    </template>
    <MainBtn @click="emit('back')">Back to the trial</MainBtn>
  </div>
</template>
