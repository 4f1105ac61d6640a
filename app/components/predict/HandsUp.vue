<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, BOUNDS, conditionName, WHOLE_CLASS, type Prediction } from '~~/core/lesson'
import { measureSaid } from '~~/core/test'
import { allHands, countedHands, handsOf } from '~~/core/predictions'
import type { NewPrediction } from '~~/core/lesson'
import ConditionName from '~/components/pieces/ConditionName.vue'
import NumberField from '~/forms/NumberField.vue'
import { newId } from '~/following/newId'

/** Hands up for each condition, counted by tapping; every count is kept, the last one before the first reading stands. */
const plan = useLessonPlan()
const props = defineProps<{ predictions: Prediction[]; big?: boolean }>()
const emit = defineEmits<{ count: [prediction: NewPrediction] }>()
let timer: ReturnType<typeof setTimeout> | undefined
const hands = ref<Record<string, number>>({ ...handsOf(plan.value, props.predictions)?.values })
/** The count that was sent last, until it comes back: an earlier one that arrives late takes no hand away. */
let sent = ''
watch(
  () => handsOf(plan.value, props.predictions),
  (latest) => {
    if (latest?.id === sent) sent = ''
    if (timer === undefined && sent === '') hands.value = { ...latest?.values }
  },
)
const all = computed(() => allHands(hands.value))

function set(id: string, value: number): void {
  hands.value = { ...hands.value, [id]: Math.max(0, Math.min(200, Math.round(value) || 0)) }
  clearTimeout(timer)
  timer = setTimeout(keep, 700)
}
function keep(): void {
  timer = undefined
  sent = newId()
  emit('count', {
    id: sent,
    group: WHOLE_CLASS,
    ...countedHands(plan.value, hands.value),
    reason: '',
    measure: measureSaid(plan.value),
  })
}
// Counting and turning the page at once loses nothing.
onBeforeUnmount(() => {
  if (timer === undefined) return
  clearTimeout(timer)
  keep()
})
</script>

<template>
  <ul class="grid gap-close" :class="{ big }" aria-label="Hands up">
    <li v-for="condition in activeConditions(plan)" :key="condition.id">
      <ConditionName class="name" :id="condition.id" :size="big ? 44 : 26" />
      <span class="bar h-16px edge-1-line bg-card"
        ><i
          class="as-drawn block h-full bg-green"
          :style="{ width: `${(100 * (hands[condition.id] ?? 0)) / Math.max(plan.children, all, 1)}%` }"
      /></span>
      <span class="count flex gap-tight">
        <VBtn
          :aria-label="`One hand less for ${conditionName(plan, condition)}`"
          @click="set(condition.id, (hands[condition.id] ?? 0) - 1)"
        >
          −
        </VBtn>
        <NumberField
          bare
          whole
          :label="`Hands for ${conditionName(plan, condition)}`"
          :model-value="hands[condition.id] ?? 0"
          v-bind="BOUNDS.hands"
          @update:model-value="set(condition.id, $event ?? 0)"
        />
        <VBtn
          :aria-label="`One hand more for ${conditionName(plan, condition)}`"
          @click="set(condition.id, (hands[condition.id] ?? 0) + 1)"
        >
          +
        </VBtn>
      </span>
    </li>
  </ul>
  <p class="soft mt-close" :class="{ big }">{{ all }} of {{ plan.children }} hands</p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(120px, 220px) minmax(40px, 1fr) auto;
  align-items: center;
  gap: var(--gap-wide);
}
.name {
  font-family: var(--heading);
}
.big {
  font-size: var(--type-huge);
}
.big li {
  grid-template-columns: minmax(200px, 380px) minmax(80px, 1fr) auto;
}
.big .bar {
  height: 34px;
}
</style>
