<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { seededRandom } from '~~/core/chance'
import { drawFair, judgeFair } from '~~/core/warmUps'
import { fairAnswer, nameOfCondition } from '~~/core/wording'
import TickField from '~/forms/TickField.vue'
import { freshSeed } from '~/following/freshSeed'

/** Is it fair? Two set-ups of this lesson; tick what else changed. */
const plan = useLessonPlan()
const seed = ref(freshSeed())
const puzzle = computed(() => drawFair(plan.value, seededRandom(seed.value)))
const chosen = ref<string[]>([])
const judged = ref<ReturnType<typeof judgeFair>>()
const turn = (id: string) =>
  (chosen.value = chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id])

function check(): void {
  if (judged.value) [seed.value, chosen.value, judged.value] = [freshSeed(), [], undefined]
  else judged.value = judgeFair(puzzle.value!, chosen.value)
}
</script>

<template>
  <form v-if="puzzle" class="grid gap-wide" @submit.prevent="check">
    <p class="text-large">
      We change {{ nameOfCondition(plan, puzzle.conditions[0]) }} to {{ nameOfCondition(plan, puzzle.conditions[1]) }}. What else
      changed? Tick it, or nothing.
    </p>
    <ul class="factors">
      <li v-for="factor in puzzle.factors" :key="factor.id">
        <strong>{{ factor.name }}</strong>
        <span v-for="(value, place) in factor.values" :key="place">
          <span class="hint">{{ nameOfCondition(plan, puzzle.conditions[place]!) }}</span><br />{{ value }}
        </span>
        <TickField
          :label="`${factor.name} changed`"
          :model-value="chosen.includes(factor.id)"
          :disabled="judged !== undefined"
          @update:model-value="turn(factor.id)"
        />
      </li>
    </ul>
    <MainBtn type="submit" class="justify-self-start">{{ judged ? 'Next one' : 'Check' }}</MainBtn>
    <p v-if="judged" class="text-lead" role="status">{{ fairAnswer(puzzle, judged) }}</p>
  </form>
  <p v-else>Choose what you change and what you keep the same first.</p>
</template>

<style scoped>
.factors {
  padding: 0;
  list-style: none;
}
.factors li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) repeat(2, minmax(0, 1.4fr)) minmax(0, 1.2fr);
  align-items: center;
  gap: var(--gap-near) var(--gap-wide);
  padding: var(--gap-near) 0;
  border-bottom: 1px solid var(--line);
}
@media (width < 700px) {
  .factors li {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .factors li > :first-child,
  .factors li > :last-child {
    grid-column: 1 / -1;
  }
}
</style>
