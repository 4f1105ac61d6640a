<script setup lang="ts">
import { provideLessonPlan } from '~/composables/lessonPlan'
import type { Plan } from '~~/core/lesson'
import WarmUpPlay from '~/components/warmUps/WarmUpPlay.vue'
import { callServer, messageOf } from '~/following/callServer'

/** Warm-ups for the whole class, on the projector or at the desk. */
const route = useRoute()
const path = { lesson: String(route.params.id) }
const plan = shallowRef<Plan>()
provideLessonPlan(() => plan.value)
const trouble = ref('')
useHead({ title: 'Warm-ups · Jolly Beaker' })

onMounted(async () => {
  try {
    plan.value = (await callServer('GET /api/lessons/[lesson]/board', { path, query: { record: false } })).plan
  } catch (error) {
    trouble.value = messageOf(error)
  }
})
const tried = (error: number) =>
  void callServer('POST /api/lessons/[lesson]/warm-ups', { path, body: { error } }).catch(() => undefined)
</script>

<template>
  <main class="warm-ups">
    <header class="row">
      <h1 class="text-huge">Warm-ups</h1>
      <p class="soft">Nobody is marked. What the class reads wrong is its own wobble, and the plan can use it.</p>
      <QuietBtn class="ml-auto" :to="`/lesson/${path.lesson}/plan`">Back to the lesson</QuietBtn>
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <WarmUpPlay v-if="plan" @tried="tried" />
  </main>
</template>

<style scoped>
.warm-ups {
  display: grid;
  gap: var(--gap-block);
  width: min(1100px, 100%);
  margin: 0 auto;
  padding: var(--gap-block);
}
</style>
