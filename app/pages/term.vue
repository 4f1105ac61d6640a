<script setup lang="ts">
import { counted } from '~~/core/wording'
import { termOverview, type TermLesson } from '~~/core/wording/reports'

/** What was investigated in a term and which skills were practised: for the teacher's own planning, and for a folder. */
useHead({ title: 'Term overview · Jolly Beaker' })
const notices = useNotices()
const lessons = shallowRef<TermLesson[]>()
const classes = ref<string[]>([])
const wanted = reactive({ from: '', to: '', className: '' })
const report = computed(() => {
  if (!lessons.value) return undefined
  const days = [wanted.from && `from ${writeDay(wanted.from)}`, wanted.to && `to ${writeDay(wanted.to)}`].filter(Boolean).join(' ')
  const under = [wanted.className ? `Class ${wanted.className}` : 'All classes', days].filter(Boolean).join(', ')
  return termOverview(lessons.value, 'What we investigated', under)
})

watch(wanted, load, { immediate: import.meta.client })
async function load(): Promise<void> {
  try {
    const answer = await callServer<{ lessons: TermLesson[]; classes: string[] }>(`/api/term?${new URLSearchParams(wanted)}`)
    lessons.value = answer.lessons
    classes.value = answer.classes
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <NuxtLink to="/" class="button quiet">Back to the shelf</NuxtLink>
      <label class="row">
        From
        <input v-model="wanted.from" class="box" type="date" />
      </label>
      <label class="row">
        to
        <input v-model="wanted.to" class="box" type="date" />
      </label>
      <label class="row">
        Class
        <select v-model="wanted.className" class="box">
          <option value="">all</option>
          <option v-for="one in classes" :key="one" :value="one">{{ one }}</option>
        </select>
      </label>
      <button type="button" class="button main" @click="print">Print</button>
    </div>
    <p v-if="lessons?.length === 0" class="empty-note">
      <strong>No lesson in these days</strong>
      {{ counted(0, 'lesson') }} found. Choose other days, or give your lessons a day in the Clock.
    </p>
    <ReportSheet v-else-if="report" :report="report" />
    <NoticeBar />
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
  font-family: var(--dense);
}
.box {
  width: auto;
}
@media print {
  .paper {
    width: 100%;
    padding: 0;
  }
}
</style>
