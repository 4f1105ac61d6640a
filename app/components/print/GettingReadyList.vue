<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { gettingReady, isForAdultsOnly, needsOf, type School } from '~~/core/kit'
import { civilWords, movedWords, SAFETY_LAST_WORD, spanWords, stepWords } from '~~/core/wording'
import KitTitle from '~/components/print/KitTitle.vue'
import { useCustoms } from '~/composables/customs'

/** Everything to be done before the lesson, the first thing first. */
const plan = useLessonPlan()
const props = defineProps<{ school: School }>()
const { kitchen } = useCustoms()
const needs = computed(() => needsOf(plan.value, props.school))
const steps = computed(() => gettingReady(plan.value, props.school))
const adultOnly = (id: string) => plan.value.materials.some((material) => material.id === id && isForAdultsOnly(material))
</script>

<template>
  <div>
    <KitTitle what="Getting ready" />
    <p v-if="steps.length === 0">Nothing has to be done beforehand.</p>
    <table v-else class="ruled font-heading">
      <thead>
        <tr>
          <th><span class="sr-only">Done</span></th>
          <th>Begin</th>
          <th>What</th>
          <th class="figure">Work</th>
          <th class="figure">Then stands</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(step, place) in steps" :key="place">
          <td class="w-9mm"><span class="square" /></td>
          <td class="when font-bold nowrap">
            {{ step.planned ? civilWords(step.planned) : step.hours > 0 ? `${spanWords(step.hours * 60)} before` : 'just before' }}
          </td>
          <td>
            {{ stepWords(step, plan, needs, kitchen) }}
            <em v-if="adultOnly(step.material)"> Adult only.</em>
            <small class="block" v-if="step.moved.length > 0"> {{ movedWords(step.moved) }}</small>
          </td>
          <td class="figure">{{ spanWords(step.minutes) }}</td>
          <td class="figure">{{ step.hours > 0 && step.kind !== 'shop' ? spanWords(step.hours * 60) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="last mt-4mm">{{ SAFETY_LAST_WORD }}</p>
  </div>
</template>

<style scoped>
.ruled td,
.ruled th {
  padding: 1.4mm 2mm;
  color: #000;
}
</style>
