<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { activeConditions, type Plan } from '~~/core/lesson'
import { balanceOrder, placesOf, sidesAt, type Cell, type Weighing } from '~~/core/record'
import { counted, weighingWords, writeReading } from '~~/core/wording'
import type { NewReading } from '~~/core/lesson'
import AppFold from '~/components/pieces/AppFold.vue'
import ConditionName from '~/components/pieces/ConditionName.vue'
import MindLines from '~/components/pieces/MindLines.vue'
import { readingRow } from '~/following/readingRow'

/** One round at the balance: two at a time, always the pair that tells most, until the order is settled. */
const props = defineProps<{ plan: Plan; trial: Cell }>()
const emit = defineEmits<{ written: [readings: NewReading[]]; skipPractice: [] }>()
/** Kept by the tablet until the order is written down: a restart in the middle loses no weighing. */
const weighings = useLocalStorage<Weighing[]>(
  `jolly-beaker-weighings-${props.trial.group}-${props.trial.practice ? 'practice' : props.trial.repeat}`,
  [],
)
const things = computed(() => activeConditions(props.plan).map(({ id }) => id))
const state = computed(() => balanceOrder(things.value, weighings.value))
/** A pair that somebody wants to weigh once more. */
const again = ref<[string, string]>()
const pair = computed(() => again.value ?? sidesAt(props.plan, props.trial, state.value.next))
const standing = computed(() =>
  weighings.value.filter(
    (one, place) => !weighings.value.slice(place + 1).some((later) => samePair([later.left, later.right], [one.left, one.right])),
  ),
)

function samePair(one: string[], other: string[]): boolean {
  return one.every((thing) => other.includes(thing))
}

function answer(down: Weighing['down']): void {
  const [left, right] = pair.value!
  weighings.value = [...weighings.value, { left, right, down }]
  again.value = undefined
}

function write(): void {
  const places = placesOf(state.value.order!)
  const rows = [...places].map(([condition, place]) =>
    readingRow({ ...props.trial, condition }, place, 'place', writeReading(props.plan, place, 'place')),
  )
  weighings.value = []
  emit('written', rows)
}
</script>

<template>
  <section class="grid grid-cols-1 gap-wide py-wide px-0" aria-labelledby="balance">
    <h1 class="text-large" id="balance">
      {{
        pair ? 'Put these two on the balance. Which one goes down?' : state.order ? 'That settles it.' : 'Something does not fit.'
      }}
    </h1>
    <p v-if="trial.practice" class="soft">Practice: it does not count</p>
    <p v-else class="soft">
      Round {{ trial.repeat }} of {{ plan.repeats }}{{ state.next ? `, ${counted(state.least, 'more weighing')} at least` : '' }}
    </p>
    <ul v-if="weighings.length === 0" class="reset-list">
      <li v-for="line in plan.resetList" :key="line"><span aria-hidden="true">✓</span> {{ line }}</li>
    </ul>
    <MindLines v-if="pair" :plan="plan" :conditions="pair" />
    <div v-if="pair" class="pans grid gap-near">
      <VBtn class="pan min-h-84px text-title" @click="answer('left')">
        <ConditionName :id="pair[0]" :size="40" />
      </VBtn>
      <VBtn @click="answer('same')">they stay level: too close to tell</VBtn>
      <VBtn class="pan min-h-84px text-title" @click="answer('right')">
        <ConditionName :id="pair[1]" :size="40" />
      </VBtn>
    </div>
    <template v-else-if="state.order">
      <ol class="order" aria-label="The order, the heaviest first">
        <li v-for="together in state.order" :key="together[0]">
          <ConditionName v-for="id in together" :key="id" :id="id" :size="34" />
        </li>
      </ol>
      <MainBtn @click="write">Write it down</MainBtn>
    </template>
    <div v-else role="alert">
      <p>Round and round: these cannot all be true. Weigh the one you are least sure of again.</p>
      <ul class="done">
        <li v-for="(one, place) in state.loop" :key="place">
          <span>{{ weighingWords(plan, one) }}</span>
          <VBtn @click="again = [one.left, one.right]">weigh again</VBtn>
        </li>
      </ul>
    </div>
    <AppFold :title="`What we weighed (${standing.length})`" v-if="standing.length > 0 && state.loop.length === 0">
      <ul class="done">
        <li v-for="(one, place) in standing" :key="place">
          <span>{{ weighingWords(plan, one) }}</span>
          <VBtn @click="again = [one.left, one.right]">weigh again</VBtn>
        </li>
      </ul>
    </AppFold>
    <VBtn v-if="trial.practice" @click="emit('skipPractice')">Skip practice</VBtn>
  </section>
</template>

<style scoped>
.order {
  display: grid;
  gap: var(--gap-near);
  padding-left: var(--gap-far);
  font-size: var(--type-title);
  list-style: decimal;
}
.order li > * + * {
  margin-left: 18px;
}
.done li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap-near);
  padding: var(--gap-tight) 0;
}
@media (width >= 720px) {
  .pans {
    grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
  }
}
</style>
