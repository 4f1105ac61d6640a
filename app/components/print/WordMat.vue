<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import { question, wordMat } from '~~/core/wording'

/** The words of this lesson, large, for the wall or the middle of a table. */
defineProps<{ plan: Plan }>()
</script>

<template>
  <section>
    <h1>{{ question(plan) }}</h1>
    <dl>
      <div v-for="(one, place) in wordMat(plan)" :key="one.word" class="keep-together" :class="{ own: place < 3 }">
        <dt>{{ one.word }}</dt>
        <dd>{{ one.meaning }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
h1 {
  margin-bottom: 5mm;
  font-size: 19pt;
}
dl {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 4mm;
}
dl > div {
  grid-column: span 3;
  padding: 3mm 4mm;
  border: 1.5px solid #000;
  border-radius: 2mm;
}
dl > .own {
  grid-column: span 2;
  border-width: 3px;
}
dt {
  font-size: 17pt;
  font-weight: 700;
}
dd {
  font-size: 12.5pt;
}
</style>
