<script setup lang="ts">
import type { LessonRecord, Plan } from '~~/core/lesson'

/** A printout: shown as it will look, with one button that prints it. */
const route = useRoute()
const whole = shallowRef<{ lesson: { plan: Plan }; record: LessonRecord }>()
const trouble = ref('')
const sheets = {
  trays: defineAsyncComponent(() => import('~/components/print/TrayLists.vue')),
  report: defineAsyncComponent(() => import('~/components/print/ClassReport.vue')),
  words: defineAsyncComponent(() => import('~/components/print/WordMat.vue')),
}
const NAMES = { trays: 'Tray lists', report: 'Report', words: 'Word mat' }
const BACK = { trays: 'kit', report: 'agree', words: 'plan' }
const what = computed(() => (['report', 'words'] as const).find((one) => one === route.params.what) ?? 'trays')
const sheet = computed(() => sheets[what.value])
useHead({
  title: () => `${NAMES[what.value]} · ${whole.value?.lesson.plan.title || 'Lesson'}`,
})

onMounted(async () => {
  try {
    whole.value = await callServer(`/api/lessons/${String(route.params.id)}`)
  } catch (error) {
    trouble.value = messageOf(error)
  }
})
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <NuxtLink :to="`/lesson/${$route.params.id}/${BACK[what]}`" class="button quiet"> Back to the lesson </NuxtLink>
      <button type="button" class="button main" @click="print">Print</button>
      <span class="hint">A4 or Letter, made for black and white. The browser can also save it as PDF.</span>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <component :is="sheet" v-if="whole" v-bind="what === 'report' ? { record: whole.record } : {}" :plan="whole.lesson.plan" />
  </main>
</template>

<style scoped>
.paper {
  width: min(210mm, 100%);
  margin: 0 auto;
  padding: 12mm;
  background: #fff;
  font-family: var(--heading);
}
.bar {
  margin: -6mm 0 8mm;
}
@media print {
  .paper {
    width: auto;
    padding: 0;
  }
}
</style>
