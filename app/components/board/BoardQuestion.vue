<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { cautionsOf } from '~~/core/kit'
import { activeConditions, keptFactors, letterOf } from '~~/core/lesson'
import { cautionWords, doerWords, nameOfCondition, variableWords } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import { useCustoms } from '~/composables/customs'

/** The start of the lesson: what we change, what stays the same, and what to be careful with. */
const plan = useLessonPlan()
const { say } = useCustoms()
const care = computed(() =>
  cautionsOf(plan.value)
    .filter(({ notHere }) => notHere === undefined)
    .map(({ caution, doer }) => `${say(cautionWords(caution).name).toLowerCase()} (${doerWords(doer)})`),
)
</script>

<template>
  <div class="question" :class="{ many: activeConditions(plan).length > 6 }">
    <ul class="conditions grid gap-part content-start" aria-label="Conditions">
      <li v-for="condition in activeConditions(plan)" :key="condition.id">
        <ConditionBadge
          :size="activeConditions(plan).length > 6 ? 42 : 52"
          :letter="letterOf(plan, condition.id)"
          :place="plan.conditions.indexOf(condition)"
        />
        <span>{{ nameOfCondition(plan, condition.id) }}</span>
      </li>
    </ul>
    <div class="same">
      <h2 class="mb-10px text-huge">{{ variableWords(plan).kept }}</h2>
      <ul>
        <li v-for="factor in keptFactors(plan).slice(0, 6)" :key="factor.id">
          {{ factor.name }}<span v-if="factor.how" class="soft">: {{ factor.how }}</span>
        </li>
      </ul>
    </div>
    <p v-if="care.length > 0" class="col-span-full"><strong>Take care:</strong> {{ care.join(', ') }}</p>
  </div>
</template>

<style scoped>
.question {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: var(--gap-block) var(--gap-far);
  padding-top: var(--gap-block);
}
.many .conditions {
  gap: var(--gap-close);
}
.conditions li > span:last-child {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.many .conditions li {
  font-size: var(--type-huge);
  line-height: 1.15;
}
.many .conditions li > span:last-child {
  -webkit-line-clamp: 1;
}
.conditions li {
  display: flex;
  align-items: center;
  gap: var(--gap-block);
  font-size: var(--type-figure);
}
.same {
  padding: var(--gap-tight) var(--gap-far) var(--gap-block);
  border: 2px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
}
.same li {
  display: -webkit-box;
  overflow: hidden;
  padding: var(--gap-tight) 0;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
</style>
