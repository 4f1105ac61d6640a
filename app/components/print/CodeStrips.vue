<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { codeOf } from '~~/core/lesson'
import { question } from '~~/core/wording'

/** A strip for every child to be cut out: the lesson's code, its own code, and room for its guess and its numbers. The last page is the teacher's. */
const plan = useLessonPlan()
defineProps<{ code: string }>()
const WITH_ROOM_FOR = ['My guess', 'What I found']
</script>

<template>
  <div>
    <h1 class="screen-only">Code strips</h1>
    <ul class="strips">
      <li v-for="(child, place) in plan.groups" :key="child.id" class="strip keep-together">
        <span class="own">
          <small>my code</small>
          <strong>{{ codeOf(child) }}</strong>
        </span>
        <span class="ask">
          <b>{{ question(plan) }}</b>
          <small>On the tablet: lesson {{ code }}, then my code. Seat {{ place + 1 }}.</small>
        </span>
        <span v-for="what in WITH_ROOM_FOR" :key="what" class="room"
          ><small>{{ what }}</small></span
        >
      </li>
    </ul>
    <section class="keep-together new-page">
      <h2>For the teacher: who has which code</h2>
      <p>Class {{ plan.className }}. Keep this page to yourself.</p>
      <ol class="list">
        <li v-for="(child, place) in plan.groups" :key="child.id">
          {{ place + 1 }} <strong>{{ codeOf(child) }}</strong> <span class="line" />
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: 38mm minmax(0, 1fr) 32mm 32mm;
  gap: 3mm;
  align-items: stretch;
  min-height: 22mm;
  padding: 2mm 0;
  border-bottom: 0.3mm dashed #000;
}
small {
  display: block;
  font-size: 9pt;
}
.own strong {
  font-size: 18pt;
  white-space: nowrap;
}
.room {
  padding: 0.5mm 1.5mm;
  border: 0.3mm solid #000;
}
.list {
  display: grid;
  grid-template-columns: repeat(2, 1fr);
  gap: 1mm 8mm;
}
.list li {
  display: grid;
  grid-template-columns: 8mm 26mm 1fr;
  align-items: end;
  min-height: 8mm;
  font-size: 12pt;
}
.line {
  border-bottom: 0.3mm solid #000;
}
</style>
