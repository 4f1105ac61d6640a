<script setup lang="ts">
import { seededRandom } from '~~/core/chance'
import type { Plan } from '~~/core/lesson'
import { drawFair, judgeFair } from '~~/core/warmUps'
import { fairAnswer, nameOfCondition } from '~~/core/wording'

/** Is it fair? Two set-ups of this lesson; tick what else changed. */
const props = defineProps<{ plan: Plan }>()
const seed = ref(freshSeed())
const puzzle = computed(() => drawFair(props.plan, seededRandom(seed.value)))
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
    <table>
      <thead>
        <tr>
          <td></td>
          <th v-for="id in puzzle.conditions" :key="id" scope="col">{{ nameOfCondition(plan, id) }}</th>
          <th scope="col">changed?</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="factor in puzzle.factors" :key="factor.id">
          <th scope="row">{{ factor.name }}</th>
          <td v-for="(value, place) in factor.values" :key="place">{{ value }}</td>
          <td>
            <TickField
              bare
              :label="`${factor.name} changed`"
              :model-value="chosen.includes(factor.id)"
              :disabled="judged !== undefined"
              @update:model-value="turn(factor.id)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <MainBtn type="submit" class="justify-self-start">{{ judged ? 'Next one' : 'Check' }}</MainBtn>
    <p v-if="judged" class="text-lead" role="status">{{ fairAnswer(puzzle, judged) }}</p>
  </form>
  <p v-else>Choose what you change and what you keep the same first.</p>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
th,
td {
  padding: var(--gap-close) var(--gap-near);
  border-bottom: 1px solid var(--line);
  text-align: left;
}
</style>
