<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { bestStarts, dayAfter, readingDays, type Calendar, type Days } from '~~/core/clock'
import { hasBegun } from '~~/core/record'
import { counted, DAY_OFF_WORDS, dayWords } from '~~/core/wording'

/** Reading days on the class's own calendar, better days to start, and the calendar itself. */
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const calendar = computed(() => lesson.school.calendar)
const overDays = computed(() => plan.value.kind === 'over-time' && plan.value.watch.unit === 'day')
const days = computed(() => (plan.value.date === '' ? [] : readingDays(calendar.value, plan.value.date, plan.value.watch.times)))
const today = schoolDay()
const LOOK_AHEAD = 21
const SHOWN = 5
const starts = computed(() => {
  const from = plan.value.date === '' ? today : dayAfter(plan.value.date, -7)
  return bestStarts(calendar.value, from < today ? today : from, LOOK_AHEAD, plan.value.watch.times).slice(0, SHOWN)
})
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

async function save(change: Partial<Calendar>): Promise<void> {
  const body = { className: plan.value.className, calendar: { ...calendar.value, ...change } }
  try {
    await callServer('PUT /api/calendar', { body })
    lesson.school = { ...lesson.school, calendar: body.calendar }
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
type Stretch = 'terms' | 'holidays'
function change(kind: Stretch, place: number, part: Partial<Days>): void {
  void save({ [kind]: calendar.value[kind].map((one, at) => (at === place ? inOrder({ ...one, ...part }, part) : one)) })
}
/** Whichever end was written last holds; the other follows it. */
function inOrder(days: Days, part: Partial<Days>): Days {
  if (days.from <= days.to) return days
  return part.from ? { ...days, to: days.from } : { ...days, from: days.to }
}
function add(kind: Stretch): void {
  const from = plan.value.date || today
  void save({ [kind]: [...calendar.value[kind], { name: kind === 'terms' ? 'Term' : 'Holiday', from, to: from }] })
}
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
    <AppFold :title="`School days of class ${plan.className || 'without a name'}`">
      <p class="row">
        <TickField
          v-for="(name, place) in WEEKDAYS"
          :key="name"
          :label="name"
          :model-value="calendar.weekdays[place]!"
          @update:model-value="
            save({
              weekdays: calendar.weekdays.map((on, at) => (at === place ? $event : on)),
            })
          "
        />
      </p>
      <div v-for="kind in ['terms', 'holidays'] as const" :key="kind" class="stretches mt-near">
        <p class="hint">{{ kind === 'terms' ? 'Terms (none: the whole year is term)' : 'Holidays and days off' }}</p>
        <p v-for="(days_, place) in calendar[kind]" :key="place" class="row my-tight mx-0">
          <TextField
            bare
            label="Name"
            class="name"
            lazy
            :longest="LONGEST.name"
            :model-value="days_.name"
            @update:model-value="change(kind, place, { name: $event })"
          />
          <WhenField
            is="day"
            bare
            :label="`${days_.name} from`"
            :model-value="days_.from"
            @update:model-value="$event && change(kind, place, { from: $event })"
          />
          to
          <WhenField
            is="day"
            bare
            :label="`${days_.name} to`"
            :model-value="days_.to"
            @update:model-value="$event && change(kind, place, { to: $event })"
          />
          <QuietBtn
            size="small"
            :aria-label="`Take ${days_.name} away`"
            @click="save({ [kind]: calendar[kind].filter((_, at) => at !== place) })"
          >
            ✕
          </QuietBtn>
        </p>
        <QuietBtn size="small" @click="add(kind)"> + {{ kind === 'terms' ? 'a term' : 'a holiday' }} </QuietBtn>
      </div>
    </AppFold>
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
.name {
  width: 150px;
}
</style>
