<script setup lang="ts">
import { activeConditions, measuredCard } from '~~/core/lesson'
import type { Cell } from '~~/core/record'
import { placeToLookAt } from '~~/core/secondLook'

/** The class grid to key readings in, the place that is chosen in it, and the way to stations and board. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const ready = computed(
  () => measuredCard(plan.value) !== undefined && activeConditions(plan.value).length > 0 && plan.value.groups.length > 0,
)
const withPractice = ref(false)
const chosen = shallowRef<Cell | undefined>(placeToLookAt(plan.value, lesson.record.readings, lesson.findings))
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Test</h2>
      <p class="soft">Type a number, Enter goes down, Tab goes right. A block from a spreadsheet can be pasted.</p>
    </div>
    <p class="join">
      A station opens at
      <a :href="`/station?code=${encodeURIComponent(lesson.code)}`" target="_blank">/station</a>
      with the code
      <strong>{{ lesson.code }}</strong>
      <label class="practice">
        <input v-model="withPractice" type="checkbox" />
        practice columns
      </label>
    </p>
    <template v-if="ready">
      <ClassGrid v-model:chosen="chosen" :with-practice="withPractice" />
      <CellPanel v-if="chosen" :place="chosen" />
    </template>
    <div v-else class="empty-note">
      <strong>Nothing to write down yet</strong>
      Readings go into a table of groups and conditions, such as “Alder, kitchen roll, first trial: 61 mm”.
      <NuxtLink :to="`/lesson/${lesson.id}/plan`">Say what is changed and measured first</NuxtLink>.
    </div>
  </div>
</template>

<style scoped>
.join {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-bottom: 10px;
}
.join strong {
  letter-spacing: 1px;
}
.practice {
  display: inline-flex;
  gap: 6px;
  margin-left: auto;
}
.practice input {
  accent-color: var(--green);
}
</style>
