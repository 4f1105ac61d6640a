<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { question, wordMat } from '~~/core/wording'
import { callServer } from '~/following/callServer'

/** The words of this lesson, large, for the wall or the middle of a table. */
const plan = useLessonPlan()
/** What a ready investigation has for children; one from nothing has none. */
const about = shallowRef<{ word: string; meaning: string }[]>([])
onMounted(async () => {
  const { investigation } = plan.value
  if (investigation === null) return
  const inside = await callServer('GET /api/investigations/[investigation]', { path: { investigation } }).catch(() => undefined)
  about.value = inside?.teaching.words ?? []
})
</script>

<template>
  <section>
    <h1 class="mb-5mm text-19pt">{{ question(plan) }}</h1>
    <dl>
      <div v-for="(one, place) in wordMat(plan, about)" :key="one.word" class="keep-together" :class="{ own: place < 3 }">
        <dt class="text-17pt font-bold">{{ one.word }}</dt>
        <dd class="text-12.5pt">{{ one.meaning }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
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
</style>
