<script setup lang="ts">
import { GOOD_LEVELS, levelsOf, suggestLevels, withLevels } from '~~/core/fairness'
import { unitOf, writeShort } from '~~/core/quantity'
import { hasBegun } from '~~/core/record'
import NumberField from '~/forms/NumberField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** Numbers for a line: from where to where, how many, and a set in even, round steps. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const levels = computed(() => levelsOf(plan.value))
const low = ref<number | null>(null)
const high = ref<number | null>(null)
const count = ref(GOOD_LEVELS)
watch(
  () => levels.value?.values.join(),
  () => {
    low.value = levels.value?.values[0] ?? low.value
    high.value = levels.value?.values.at(-1) ?? high.value
    count.value = Math.max(GOOD_LEVELS, levels.value?.values.length ?? 0)
  },
  { immediate: true },
)
const suggested = computed(() =>
  low.value !== null && high.value !== null && high.value > low.value
    ? suggestLevels(low.value, high.value, count.value, plan.value.conditionUnit)
    : [],
)
const taken = computed(() => suggested.value.join() === levels.value?.values.join())
const begun = computed(() => hasBegun(lesson.record.readings))
</script>

<template>
  <div v-if="!begun" class="flex flex-wrap items-center gap-y-close gap-x-near mt-near text-body">
    <span class="soft">Even steps from</span>
    <NumberField v-model="low" bare optional label="Lowest number" :unit="plan.conditionUnit" />
    <span class="soft">to</span>
    <NumberField v-model="high" bare optional label="Highest number" :unit="plan.conditionUnit" />
    <NumberField
      bare
      steps
      whole
      label="How many numbers"
      :model-value="count"
      :least="2"
      :most="12"
      @update:model-value="count = $event ?? GOOD_LEVELS"
    />
    <VBtn v-if="suggested.length > 0" size="small" :disabled="taken" @click="lesson.replace(withLevels(plan, suggested, newId))">
      {{ taken ? '✓' : 'Take' }} {{ suggested.map((value) => writeShort(value)).join(', ') }}
      {{ unitOf(plan.conditionUnit).symbol }}
    </VBtn>
  </div>
</template>
