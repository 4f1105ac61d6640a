<script setup lang="ts">
import { letterOf, type Plan } from '~~/core/lesson'
import { stopwatchReading } from '~~/core/measuring'
import { nameOfCondition, stopwatchWords, writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'

/** One clock for several that run at once: each is tapped as it finishes, and a tap can be taken back. */
const props = defineProps<{ plan: Plan; conditions: string[] }>()
const emit = defineEmits<{ taken: [times: { condition: string; value: number }[]] }>()
const method = computed(() => testOf(props.plan).method!)
const began = ref<number>()
const passed = ref(0)
const laps = ref(new Map<string, number>())
const TICK = 100
let timer: ReturnType<typeof setInterval> | undefined
onBeforeUnmount(() => clearInterval(timer))

function start(): void {
  began.value = performance.now()
  laps.value = new Map()
  timer = setInterval(() => (passed.value = performance.now() - began.value!), TICK)
}
function tap(condition: string): void {
  if (began.value === undefined || laps.value.has(condition)) return
  laps.value.set(condition, performance.now() - began.value)
  if (laps.value.size === props.conditions.length) clearInterval(timer)
}
function takeBack(): void {
  const last = [...laps.value.keys()].at(-1)
  if (last === undefined) return
  laps.value.delete(last)
  clearInterval(timer)
  timer = setInterval(() => (passed.value = performance.now() - began.value!), TICK)
}
function reset(): void {
  clearInterval(timer)
  began.value = undefined
  passed.value = 0
  laps.value = new Map()
}
const timeOf = (condition: string) => {
  const milliseconds = laps.value.get(condition)
  return milliseconds === undefined ? undefined : stopwatchReading(milliseconds, method.value)
}
function finish(): void {
  emit(
    'taken',
    [...laps.value.keys()].map((condition) => ({ condition, value: timeOf(condition)! })),
  )
  reset()
}
</script>

<template>
  <div class="device">
    <output aria-label="Time" class="figure-large" aria-live="off">{{ stopwatchWords(Math.floor(passed / 1000)) }}</output>
    <button v-if="began === undefined" type="button" class="press" @click="start">Start all</button>
    <ul v-else class="finishers grid gap-near">
      <li v-for="condition in conditions" :key="condition">
        <VBtn class="justify-start w-full" :disabled="laps.has(condition)" @click="tap(condition)">
          <ConditionBadge
            :size="34"
            :letter="letterOf(plan, condition)"
            :place="plan.conditions.findIndex(({ id }) => id === condition)"
          />
          {{ nameOfCondition(plan, condition) }}
          <strong v-if="laps.has(condition)" class="nowrap ml-auto text-ink">{{
            writeReading(plan, timeOf(condition)!, method.unit)
          }}</strong>
        </VBtn>
      </li>
    </ul>
    <div v-if="began !== undefined" class="row">
      <VBtn :disabled="laps.size === 0" @click="takeBack">One back</VBtn>
      <VBtn @click="reset">From the start</VBtn>
      <MainBtn class="grow" :disabled="laps.size === 0" @click="finish">Write these down</MainBtn>
    </div>
  </div>
</template>
