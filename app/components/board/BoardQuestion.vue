<script setup lang="ts">
import { activeConditions, keptFactors, letterOf, type Plan } from '~~/core/lesson'
import { nameOfCondition } from '~~/core/wording'

/** The start of the lesson: what we change, what stays the same, and how stations join. */
defineProps<{ plan: Plan; code: string; host: string }>()
</script>

<template>
  <div class="question">
    <ul class="conditions" aria-label="Conditions">
      <li v-for="condition in activeConditions(plan)" :key="condition.id">
        <ConditionBadge :size="52" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
        {{ nameOfCondition(plan, condition.id) }}
      </li>
    </ul>
    <div class="same">
      <h2>The same for all</h2>
      <ul>
        <li v-for="factor in keptFactors(plan).slice(0, 7)" :key="factor.id">
          {{ factor.name }}
          <span v-if="factor.how" class="soft">: {{ factor.how }}</span>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.question {
  display: grid;
  grid-template-columns: 1fr 1.2fr;
  gap: 60px;
  padding-top: 20px;
}
.conditions {
  display: grid;
  gap: 16px;
  align-content: start;
}
.conditions li {
  display: flex;
  align-items: center;
  gap: 18px;
  font-size: 34px;
}
.same {
  padding: 4px 30px 20px;
  border: 2px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 20px 20px;
}
.same h2 {
  margin-bottom: 10px;
  font-size: 32px;
}
.same li {
  padding: 3px 0;
}
</style>
