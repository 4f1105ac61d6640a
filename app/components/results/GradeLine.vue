<script setup lang="ts">
import type { Evidence, Grade } from '~~/core/evidence'
import type { Plan } from '~~/core/lesson'
import { agreementSentence, GRADE_NAMES, gradeSentence } from '~~/core/wording'

/** The grade on its scale, and what it means here in one sentence. "The same" is an answer like the others. */
defineProps<{ plan: Plan; evidence: Evidence }>()
const SCALE: Grade[] = ['clear', 'leaning', 'cannot-tell', 'same']
const SHORT: Partial<Record<Grade, string>> = { same: 'The same' }
</script>

<template>
  <section class="line" aria-label="How sure we can be">
    <ol class="scale">
      <li
        v-for="grade in SCALE"
        :key="grade"
        :class="{ here: grade === evidence.grade }"
        :aria-current="grade === evidence.grade || undefined"
      >
        {{ SHORT[grade] ?? GRADE_NAMES[grade] }}
      </li>
    </ol>
    <div>
      <h3 :class="evidence.grade">{{ GRADE_NAMES[evidence.grade] }}</h3>
      <p class="main">{{ gradeSentence(plan, evidence) }}</p>
      <p v-if="evidence.spread" class="soft">
        {{ agreementSentence(plan, evidence) }}
        <NuxtLink :to="{ query: { part: 'sure' } }" data-target="surer" replace>why, and what would make it surer</NuxtLink>
      </p>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 18px;
  padding: 10px 14px;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
}
.scale {
  display: grid;
  gap: 2px;
  align-content: center;
}
.scale li {
  padding: 1px 8px;
  border-left: 4px solid var(--line);
  color: var(--soft);
  font-size: 14.5px;
}
.scale .here {
  border-color: var(--green);
  background: var(--green-light);
  color: var(--ink);
  font-weight: 700;
}
h3 {
  color: var(--green);
  font-size: 22px;
}
.leaning,
.cannot-tell {
  color: var(--brass);
}
.same {
  color: var(--slate);
}
.main {
  font-family: var(--heading);
  font-size: 17px;
}
@media (width < 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
