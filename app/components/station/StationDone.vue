<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { classHeap } from '~~/core/charts'
import { activeConditions, isEachChild, letterOf, type LessonRecord, type Reading } from '~~/core/lesson'
import { ownGuesses } from '~~/core/predictions'
import { cellKey, type Progress } from '~~/core/record'
import type { StationTogether } from '~~/schemas/togetherContract'
import { counted, guessWords, nameOfCondition, readingWords } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import HeapOfNumbers from '~/components/pieces/HeapOfNumbers.vue'

/** All is written down: the group's own numbers, each of which can still be put right; a child's beside its guess and among the class's. */
const plan = useLessonPlan()
const props = defineProps<{
  record: LessonRecord
  group: string
  all: boolean
  together: StationTogether | null
  progress: Progress
}>()
defineEmits<{ fix: [reading: Reading]; propose: []; next: []; nextInvestigation: [] }>()
const alone = computed(() => isEachChild(plan.value))
const guesses = computed(() =>
  alone.value ? ownGuesses(plan.value, props.record).filter(({ group }) => group === props.group) : [],
)
/** The class's numbers lie beside one's own once the class may see them. */
const heaps = computed(() =>
  alone.value && props.all
    ? activeConditions(plan.value).flatMap(({ id }) => {
        const heap = classHeap(plan.value, props.record.readings, id, props.group)
        return heap ? [{ id, ...heap }] : []
      })
    : [],
)
</script>

<template>
  <div class="done grid gap-wide pt-block">
    <h1 class="text-huge">{{ progress.done < progress.all ? 'All written down for today' : 'All written down' }}</h1>
    <p>Clear away, then look at the board. Tap a number to put it right.</p>
    <p v-if="together?.next" class="text-lead">
      Your next investigation: <strong>{{ together.next }}</strong>
    </p>
    <p v-for="guess in guesses" :key="guess.condition" class="text-lead">You {{ guessWords(plan, guess) }}.</p>
    <HeapOfNumbers
      v-for="heap in heaps"
      :key="heap.id"
      :bins="heap.bins"
      :own="heap.own"
      :caption="`${nameOfCondition(plan, heap.id)}: ${counted(heap.count, 'child', 'children')}`"
    />
    <div class="flex flex-wrap gap-near">
      <MainBtn v-if="together?.goesOn" @click="$emit('nextInvestigation')">Next investigation</MainBtn>
      <MainBtn v-if="alone" @click="$emit('next')">Next child</MainBtn>
      <QuietBtn v-if="alone" @click="$emit('propose')">Say what you found out</QuietBtn>
      <MainBtn v-else @click="$emit('propose')">Say what you found out</MainBtn>
    </div>
    <ul>
      <li v-for="condition in activeConditions(plan)" :key="condition.id">
        <ConditionBadge :size="36" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
        <span class="name">{{ nameOfCondition(plan, condition.id) }}</span>
        <span class="values">
          <template v-for="cell in progress.cells" :key="cellKey(cell)">
            <VBtn
              v-for="reading in cell.condition === condition.id ? cell.kept : []"
              :key="reading.id"
              @click="$emit('fix', reading)"
            >
              {{ readingWords(plan, reading) }}
            </VBtn>
          </template>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-near) var(--gap-near);
  padding: var(--gap-near) 0;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1 1 90px;
  overflow-wrap: anywhere;
}
.values {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: var(--gap-near);
  max-width: 62%;
}
</style>
