<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, letterOf } from '~~/core/lesson'
import type { Cell } from '~~/core/record'
import { lapWords, raceEntry, roundWords } from '~~/core/wording'
import type { NewReading } from '~~/core/lesson'
import MindLines from '~/components/pieces/MindLines.vue'
import OrderPicker from '~/components/predict/OrderPicker.vue'
import { readingRow } from '~/following/readingRow'

/** One race: everything put in order by tapping, and each one's place written down. */
const plan = useLessonPlan()
const props = defineProps<{ trial: Cell }>()
const emit = defineEmits<{ written: [readings: NewReading[]]; skipPractice: [] }>()
const words = computed(() => roundWords(plan.value))
const order = ref<string[]>([])
/** A clock beside the finishing order: each is timed as it is tapped. */
const began = ref<number>()
const times = ref<Record<string, number>>({})
watch(order, (now, before) => {
  if (began.value === undefined) return
  const added = now.filter((id) => !before.includes(id))
  for (const id of added) times.value[id] = performance.now() - began.value
})
function start(): void {
  order.value = []
  times.value = {}
  began.value = performance.now()
}
const whole = computed(() => order.value.length === activeConditions(plan.value).length)

function write(): void {
  const rows = order.value.map((condition, place) =>
    readingRow({ ...props.trial, condition }, place + 1, 'place', raceEntry(plan.value, place + 1, times.value[condition])),
  )
  emit('written', rows)
  began.value = undefined
  times.value = {}
  order.value = []
}
</script>

<template>
  <form class="order grid grid-cols-1 gap-wide py-wide px-0" @submit.prevent="write">
    <h1 class="text-large">{{ words.asked }}</h1>
    <p v-if="trial.practice" class="soft">Practice: it does not count</p>
    <p v-else class="soft">{{ words.round }} {{ trial.repeat }} of {{ plan.repeats }}</p>
    <ul class="reset-list">
      <li v-for="line in plan.resetList" :key="line">
        <span aria-hidden="true">✓</span>
        {{ line }}
      </li>
    </ul>
    <MindLines :plan="plan" :conditions="activeConditions(plan).map(({ id }) => id)" />
    <VBtn v-if="words.timed && began === undefined" @click="start">Start the lap timer</VBtn>
    <p v-else-if="began !== undefined" role="status">
      The clock runs: tap each as it comes in.
      <template v-for="id in order" :key="id">
        {{ letterOf(plan, id) }} <strong class="nowrap">{{ times[id] === undefined ? '' : lapWords(times[id]) }}</strong>
      </template>
    </p>
    <OrderPicker v-model="order" big ends="first and last" />
    <div class="row">
      <VBtn v-if="trial.practice" @click="emit('skipPractice')">Skip practice</VBtn>
      <MainBtn type="submit" class="grow" :disabled="!whole">Write it down</MainBtn>
    </div>
  </form>
</template>
