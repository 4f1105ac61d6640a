<script setup lang="ts">
import { activeConditions, conditionName, WHOLE_CLASS, type Plan, type Prediction } from '~~/core/lesson'
import { allHands, countedHands, handsOf } from '~~/core/predictions'
import type { NewPrediction } from '~~/core/lesson'

/** Hands up for each condition, counted by tapping; every count is kept, the last one before the first reading stands. */
const props = defineProps<{ plan: Plan; predictions: Prediction[]; big?: boolean }>()
const emit = defineEmits<{ count: [prediction: NewPrediction] }>()
let timer: ReturnType<typeof setTimeout> | undefined
const hands = ref<Record<string, number>>({ ...handsOf(props.predictions)?.values })
/** The count that was sent last, until it comes back: an earlier one that arrives late takes no hand away. */
let sent = ''
watch(
  () => handsOf(props.predictions),
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
  emit('count', { id: sent, group: WHOLE_CLASS, ...countedHands(props.plan, hands.value), reason: '' })
}
// Counting and turning the page at once loses nothing.
onBeforeUnmount(() => {
  if (timer === undefined) return
  clearTimeout(timer)
  keep()
})
</script>

<template>
  <ul class="hands" :class="{ big }" aria-label="Hands up">
    <li v-for="condition in activeConditions(plan)" :key="condition.id">
      <ConditionName class="name" :plan="plan" :id="condition.id" :size="big ? 44 : 26" />
      <span class="bar"><i :style="{ width: `${(100 * (hands[condition.id] ?? 0)) / Math.max(plan.children, all, 1)}%` }" /></span>
      <span class="count">
        <button
          type="button"
          class="button"
          :aria-label="`One hand less for ${conditionName(plan, condition)}`"
          @click="set(condition.id, (hands[condition.id] ?? 0) - 1)"
        >
          −
        </button>
        <input
          class="box"
          inputmode="numeric"
          :value="hands[condition.id] ?? 0"
          :aria-label="`Hands for ${conditionName(plan, condition)}`"
          @change="set(condition.id, Number(($event.target as HTMLInputElement).value))"
        />
        <button
          type="button"
          class="button"
          :aria-label="`One hand more for ${conditionName(plan, condition)}`"
          @click="set(condition.id, (hands[condition.id] ?? 0) + 1)"
        >
          +
        </button>
      </span>
    </li>
  </ul>
  <p class="soft sum" :class="{ big }">{{ all }} of {{ plan.children }} hands</p>
</template>

<style scoped>
.hands {
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: minmax(120px, 220px) minmax(40px, 1fr) auto;
  align-items: center;
  gap: 12px;
}
.name {
  font-family: var(--heading);
}
.bar {
  height: 16px;
  border: 1px solid var(--line);
  background: var(--card);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--green);
}
.count {
  display: flex;
  gap: 4px;
}
.count .box {
  width: 56px;
  text-align: center;
}
.big {
  font-size: 30px;
}
.big li {
  grid-template-columns: minmax(200px, 380px) minmax(80px, 1fr) auto;
}
.big .bar {
  height: 34px;
}
.big .button,
.big .box {
  min-width: 56px;
  min-height: 56px;
  font-size: 30px;
}
.big .box {
  width: 84px;
}
.sum {
  margin-top: 6px;
}
</style>
