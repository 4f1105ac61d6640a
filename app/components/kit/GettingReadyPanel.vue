<script setup lang="ts">
import { gettingReady, type Need } from '~~/core/kit'
import { civilWords, movedWords, spanWords, stepWords } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'

/** What has to be done before the lesson, backwards from its start. */
const props = defineProps<{ needs: Need[] }>()
const { kitchen } = useCustoms()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const steps = computed(() => gettingReady(plan.value, lesson.school))
const work = computed(() => steps.value.reduce((sum, { minutes }) => sum + minutes, 0))
const dated = computed(() => plan.value.date !== '' && plan.value.clock.start !== '')
</script>

<template>
  <section v-if="steps.length > 0" class="section sheet" aria-labelledby="getting-ready">
    <div class="row justify-start">
      <h3 class="text-lead" id="getting-ready" data-target="getting-ready" tabindex="-1">Getting ready</h3>
      <span class="soft">{{ spanWords(work) }} of work in all</span>
      <VBtn v-if="dated" class="ml-auto" size="small" :href="`/api/lessons/${lesson.id}/calendar.ics?what=getting-ready`"
        >Save for a calendar</VBtn
      >
      <VBtn v-else class="ml-auto" size="small" :to="`/lesson/${lesson.id}/clock`">Choose day and start</VBtn>
    </div>
    <ol>
      <li v-for="(step, place) in steps" :key="place" :class="{ moved: step.moved.some((why) => why !== 'clash') }">
        <span class="when">{{
          step.planned ? civilWords(step.planned) : step.hours > 0 ? `${spanWords(step.hours * 60)} before` : 'just before'
        }}</span>
        <span>
          {{ stepWords(step, plan, props.needs, kitchen) }}
          <span class="soft">
            {{ spanWords(step.minutes)
            }}{{ step.hours > 0 && step.kind !== 'shop' ? `, then it stands ${spanWords(step.hours * 60)}` : '' }}
          </span>
          <span v-if="step.moved.length > 0" class="why">
            <span aria-hidden="true">↑</span>
            {{ movedWords(step.moved) }}
          </span>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: var(--gap-wide);
  padding: var(--gap-tight) 0;
  border-top: 1px solid var(--line);
}
.when {
  font-weight: 650;
  white-space: nowrap;
}
.moved .when {
  color: var(--brass);
}
.why {
  display: block;
  color: var(--soft);
  font-size: var(--type-small);
}
</style>
