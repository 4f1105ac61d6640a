<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, keptFactors, letterOf } from '~~/core/lesson'
import { eachSeries, seriesIn } from '~~/core/test'
import { careLines, conditionRows, list, variableWords } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import { useCustoms } from '~/composables/customs'

/** The start of the lesson: what we change, what stays the same, and what to be careful with. */
const plan = useLessonPlan()
const { say } = useCustoms()
const rows = computed(() => conditionRows(plan.value))
const care = computed(() => careLines(plan.value, false))
</script>

<template>
  <div class="question" :class="{ many: rows.length > 6 }">
    <ul class="conditions grid gap-part content-start" aria-label="Conditions">
      <li v-for="{ name, ids } in rows" :key="name">
        <ConditionBadge
          v-for="id in ids"
          :key="id"
          :size="rows.length > 6 ? 42 : 52"
          :letter="letterOf(plan, id)"
          :place="plan.conditions.findIndex((one) => one.id === id)"
        />
        <span>{{ name }}</span>
      </li>
      <li v-for="{ series, plan: own } in seriesIn(plan).length > 0 ? eachSeries(plan) : []" :key="series!.id" class="series">
        {{ list(activeConditions(own).map(({ id }) => letterOf(plan, id))) }}: {{ series!.name }}
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
    <p v-if="care.length > 0" class="col-span-full leading-1.25">
      <template v-for="{ doer, who, what } in care" :key="doer"
        ><strong>{{ who }}:</strong> {{ say(what) }}.{{ ' ' }}</template
      >
    </p>
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
.conditions .series,
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
