<script setup lang="ts">
import type { Evidence } from '~~/core/evidence'
import type { Plan } from '~~/core/lesson'
import { agreementSentence, gapSentence, GRADE_NAMES, gradeFigure, gradeSentence, surerWords } from '~~/core/wording'

/** The grade in one word, what it means here, and the figure behind it. */
defineProps<{ plan: Plan; evidence: Evidence }>()
const STEPS = ['cannot-tell', 'leaning', 'clear'] as const
</script>

<template>
  <section class="banner" :class="evidence.grade" aria-label="How sure we can be">
    <div class="grade">
      <h3>{{ GRADE_NAMES[evidence.grade] }}</h3>
      <ol v-if="evidence.grade !== 'same' && evidence.grade !== 'nothing-yet'" class="steps" aria-hidden="true">
        <li v-for="step in STEPS" :key="step" :class="{ here: step === evidence.grade }">{{ GRADE_NAMES[step].toLowerCase() }}</li>
      </ol>
    </div>
    <div class="words">
      <p class="main">{{ gradeSentence(plan, evidence) }}</p>
      <p v-if="evidence.spread">{{ gapSentence(plan, evidence.spread) }}</p>
      <p v-if="evidence.lead && evidence.order.length > 2">
        {{ gapSentence(plan, evidence.lead) }} That gap alone: {{ GRADE_NAMES[evidence.lead.grade].toLowerCase() }}.
      </p>
      <p v-if="evidence.spread">{{ agreementSentence(plan, evidence) }}</p>
      <p v-if="surerWords(plan, evidence)">{{ surerWords(plan, evidence) }}</p>
      <details>
        <summary>why?</summary>
        {{ gradeFigure(evidence) }} The wobble is how far readings of the same thing lie apart once every group's own level is taken
        out.
      </details>
    </div>
  </section>
</template>

<style scoped>
.banner {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
  gap: 20px;
  padding: 14px 18px;
  border: 1.5px solid var(--green);
  border-radius: var(--corner);
  background: var(--card);
}
.grade h3 {
  color: var(--green);
  font-size: 30px;
}
.cannot-tell,
.leaning {
  border-color: var(--brass-mark);
}
.cannot-tell h3,
.leaning h3 {
  color: var(--brass);
}
.same h3 {
  font-size: 21px;
}
.steps {
  margin-top: 6px;
}
.steps li {
  padding-left: 14px;
  border-left: 4px solid var(--line);
  color: var(--soft);
  font-size: 14.5px;
}
.steps li.here {
  border-color: currentcolor;
  color: var(--ink);
  font-weight: 700;
}
.main {
  font-family: var(--heading);
  font-size: 18px;
}
summary {
  width: fit-content;
  color: var(--slate);
  cursor: pointer;
}
@media (width < 700px) {
  .banner {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
