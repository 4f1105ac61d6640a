<script setup lang="ts">
import { seededRandom } from '~~/core/chance'
import { drawScale, SCALE_KINDS } from '~~/core/warmUps'
import { drawnAnswer, SCALE_WORDS } from '~~/core/wording'
import ScaleDrawing from '~/components/pieces/ScaleDrawing.vue'
import { freshSeed } from '~/following/freshSeed'

/** Scales to read on paper, others on every printing, and the answers on a page of their own. */
const seed = freshSeed()
const random = seededRandom(seed)
const LEVELS = ['marks', 'marks', 'between'] as const
const tasks = SCALE_KINDS.map((kind, place) => drawScale(kind, LEVELS[place % LEVELS.length]!, random))
</script>

<template>
  <div>
    <h1 class="text-15pt">Read the scales</h1>
    <p>Write what each one shows, with its unit. Sheet {{ seed }}.</p>
    <ol class="tasks">
      <li v-for="(task, place) in tasks" :key="place">
        <ScaleDrawing :scale="task.scale" :value="task.value" :label="`${SCALE_WORDS[task.scale.kind]} to read`" />
        <p>{{ place + 1 }} · {{ SCALE_WORDS[task.scale.kind] }}: ______________</p>
      </li>
    </ol>
    <section class="new-page">
      <h2>Answers, sheet {{ seed }}</h2>
      <ol>
        <li v-for="(task, place) in tasks" :key="place">
          {{ place + 1 }} · {{ SCALE_WORDS[task.scale.kind] }}: {{ drawnAnswer(task) }}
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.tasks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4mm 8mm;
  padding: 0;
  list-style: none;
}
.tasks li {
  break-inside: avoid;
}
.tasks :deep(svg) {
  max-height: 56mm;
}
</style>
