<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, type LessonRecord } from '~~/core/lesson'
import { handsOf, predictionsByGroup } from '~~/core/predictions'
import type { NewPrediction } from '~~/core/lesson'
import { countedOwners, ownersWord } from '~~/core/wording'
import HandsUp from '~/components/predict/HandsUp.vue'
import PredictionTally from '~/components/predict/PredictionTally.vue'

/** What the class expects, while it does not know yet: the groups' tally, or hands up counted for all to see. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
defineEmits<{ count: [prediction: NewPrediction] }>()
const groups = computed(() => predictionsByGroup(plan.value, props.record.predictions))
const done = computed(() => groups.value.filter((one) => one.stamped).length)
const comparing = computed(() => activeConditions(plan.value).length > 1)
const counting = ref(done.value === 0 && handsOf(plan.value, props.record.predictions) !== undefined)
</script>

<template>
  <div class="predict">
    <h2>
      What do we think?
      <span v-if="!counting" class="soft text-huge font-normal"
        >{{ done }} of {{ countedOwners(plan, groups.length) }} have said</span
      >
      <VBtn v-if="comparing" class="ml-auto text-huge" @click="counting = !counting">
        {{ counting ? `What the ${ownersWord(plan)} said` : 'Hands up' }}
      </VBtn>
    </h2>
    <HandsUp v-if="counting && comparing" big :predictions="record.predictions" @count="$emit('count', $event)" />
    <PredictionTally v-else big :predictions="record.predictions" />
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: baseline;
  gap: var(--gap-part);
  margin-bottom: 10px;
  font-size: var(--type-figure);
}
</style>
