<script setup lang="ts">
import type { Member, TimedStep } from '~~/core/together'
import { stepTogetherWords, stopwatchWords, titleOfMember } from '~~/core/wording'

/** One group's trials by the clock. */
const props = defineProps<{ steps: TimedStep[]; members: Member[] }>()
const planOf = (lesson: string) => props.members.find((one) => one.lesson === lesson)!.plan
</script>

<template>
  <table class="ruled steps">
    <thead>
      <tr>
        <th scope="col">Begin</th>
        <th scope="col">Investigation</th>
        <th scope="col">Trial</th>
        <th scope="col">Clear away</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="step in steps" :key="step.id">
        <td class="figure">{{ stopwatchWords(step.start) }}</td>
        <td>{{ titleOfMember(members, step.lesson) }}</td>
        <td>{{ stepTogetherWords(planOf(step.lesson), step) }}</td>
        <td class="figure">{{ stopwatchWords(step.clears) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.steps {
  margin-top: var(--gap-near);
}
</style>
