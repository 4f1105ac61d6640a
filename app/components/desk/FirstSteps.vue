<script setup lang="ts">
import type { FirstStep } from '~~/core/secondLook'
import { firstStepWords } from '~~/core/wording'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** The way to a question that can be tested: what is done, what is next, what comes after. */
const props = defineProps<{ steps: FirstStep[] }>()
const lesson = useLesson()
const look = useSecondLook()
const next = computed(() => props.steps.find(({ done }) => !done))
const goTo = ({ stop, target }: FirstStep) => look.apply({ code: 'go', stop, target: { place: target } })
</script>

<template>
  <div>
    <p class="soft">first steps</p>
    <ol class="steps p-0 list-none">
      <li v-for="(step, place) in steps" :key="step.code" :class="{ done: step.done }">
        <span class="text-green font-bold" aria-hidden="true">{{ step.done ? '✓' : place + 1 }}</span>
        <div>
          <h3 class="text-body">
            {{ firstStepWords(step.code, lesson.plan!).title }}
            <span v-if="step.done" class="sr-only">, done</span>
          </h3>
          <template v-if="step === next">
            <p>{{ firstStepWords(step.code, lesson.plan!).example }}</p>
            <VBtn size="small" @click="goTo(step)">Begin here</VBtn>
          </template>
        </div>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.steps li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
  padding: var(--gap-near) 0;
  border-top: 1px solid var(--line);
}
.done h3 {
  color: var(--soft);
  font-weight: 400;
}
</style>
