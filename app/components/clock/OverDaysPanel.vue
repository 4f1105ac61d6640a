<script setup lang="ts">
import { bestStarts, dayAfter, readingDays } from '~~/core/clock'
import { watchesOverDays } from '~~/core/test'
import { hasBegun } from '~~/core/record'
import { counted, DAY_OFF_WORDS, dayWords } from '~~/core/wording'
import SchoolDays from '~/components/clock/SchoolDays.vue'
import { schoolDay } from '~/following/serverClock'
import { useLesson } from '~/stores/lesson'

/** Reading days on the class's own calendar, better days to start, and the calendar itself. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const calendar = computed(() => lesson.school.calendar)
const overDays = computed(() => watchesOverDays(plan.value))
const days = computed(() => (plan.value.date === '' ? [] : readingDays(calendar.value, plan.value.date, plan.value.watch.times)))
const today = schoolDay()
const LOOK_AHEAD = 21
const SHOWN = 5
const starts = computed(() => {
  const from = plan.value.date === '' ? today : dayAfter(plan.value.date, -7)
  return bestStarts(calendar.value, from < today ? today : from, LOOK_AHEAD, plan.value.watch.times).slice(0, SHOWN)
})
</script>

<template>
  <section class="section sheet" aria-labelledby="over-days">
    <div class="row">
      <h3 class="text-lead" id="over-days" data-target="over-days" tabindex="-1">
        {{ overDays ? 'Over days' : 'School calendar' }}
      </h3>
      <VBtn
        v-if="overDays && plan.date"
        class="ml-auto"
        size="small"
        :href="`/api/lessons/${lesson.id}/calendar.ics?what=reading-days`"
        >Save for a calendar</VBtn
      >
    </div>
    <template v-if="overDays">
      <ol v-if="days.length > 0" class="days">
        <li v-for="{ after, day, off } in days" :key="after" :class="{ off: off.why }">
          <strong>day {{ after }}</strong> {{ dayWords(day) }}
          <span v-if="off.why"> <span aria-hidden="true">▲</span> {{ off.name || DAY_OFF_WORDS[off.why] }}</span>
        </li>
      </ol>
      <p v-if="starts.length > 0 && !hasBegun(lesson.record.readings)" class="row my-close mx-0">
        <span class="hint">Start on</span>
        <VBtn
          v-for="one in starts"
          :key="one.start"
          size="small"
          :variant="one.start === plan.date ? 'flat' : undefined"
          @click="lesson.edit((draft) => (draft.date = one.start))"
        >
          {{ dayWords(one.start) }}: {{ one.lost === 0 ? 'nothing lost' : `${counted(one.lost, 'reading')} lost` }}
        </VBtn>
      </p>
    </template>
    <SchoolDays
      :class-name="plan.className"
      :calendar="calendar"
      :begin="plan.date || today"
      @saved="lesson.school = { ...lesson.school, calendar: $event }"
    />
  </section>
</template>

<style scoped>
.days {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: var(--gap-hair) var(--gap-part);
  margin: 6px 0;
}
.off {
  color: var(--beet);
}
</style>
