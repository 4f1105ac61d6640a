<script setup lang="ts">
import { activeConditions, conditionName } from '~~/core/lesson'
import { withExpectedWord } from '~~/core/measuring'
import ChoiceField from '~/forms/ChoiceField.vue'
import { useMeasureInHand } from '~/composables/measureInHand'

/** Which word the teacher thinks will come most often for each condition: what made-up classes are drawn from. */
const { plan, method, editMethod } = useMeasureInHand()
const choices = computed(() => [
  { value: null, title: 'nobody knows' },
  ...(method.value?.words ?? []).map((title, place) => ({ value: place + 1, title: title || `word ${place + 1}` })),
])
</script>

<template>
  <div v-if="method" class="three-columns whole col-span-full mt-near">
    <ChoiceField
      v-for="(condition, nth) in activeConditions(plan)"
      :key="condition.id"
      :label="`Most often, we think: ${conditionName(plan, condition)}`"
      :target="nth === 0 ? 'expected' : undefined"
      :options="choices"
      :model-value="method.expected[condition.id] ?? null"
      @update:model-value="editMethod((own) => withExpectedWord(own, condition.id, $event))"
    />
  </div>
</template>
