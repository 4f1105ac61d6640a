<script setup lang="ts">
import { withEnd, type Calendar, type Days } from '~~/core/clock'
import { LONGEST } from '~~/core/lesson'
import { WEEKDAY_WORDS } from '~~/core/wording'
import type { CalendarBody } from '~~/schemas/school'
import AppFold from '~/components/pieces/AppFold.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import WhenField from '~/forms/WhenField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** When a class has school: its weekdays, terms, holidays. What is changed is stored at once. */
const props = defineProps<{
  className: string
  calendar: Calendar
  /** The day on which a new stretch of days begins. */
  begin: string
}>()
const emit = defineEmits<{ saved: [calendar: Calendar] }>()
const notices = useNotices()

/** As it stands here, before the server has it; what comes from outside waits until all of this is stored. */
const shown = ref(props.calendar)
let writing: Promise<void> = Promise.resolve()
let waiting = 0
watch(
  () => props.calendar,
  (calendar) => waiting === 0 && (shown.value = calendar),
)
watch(
  () => props.className,
  () => (shown.value = props.calendar),
)

/** Writes go one after the other, so that the last one counts. */
function save(change: Partial<Calendar>): void {
  shown.value = { ...shown.value, ...change }
  const body = { className: props.className, calendar: shown.value }
  waiting += 1
  writing = writing.then(() => store(body))
}
async function store(body: CalendarBody): Promise<void> {
  const stored = await callServer('PUT /api/calendar', { body }).catch((error: unknown) => notices.trouble(messageOf(error)))
  waiting -= 1
  if (stored && waiting === 0) emit('saved', body.calendar)
}
type Stretch = 'terms' | 'holidays'
function change(kind: Stretch, place: number, changed: Days): void {
  save({ [kind]: shown.value[kind].map((one, at) => (at === place ? changed : one)) })
}
function add(kind: Stretch): void {
  const name = kind === 'terms' ? 'Term' : 'Holiday'
  save({ [kind]: [...shown.value[kind], { name, from: props.begin, to: props.begin }] })
}
</script>

<template>
  <AppFold :title="`School days of class ${className || 'without a name'}`">
    <p class="row">
      <TickField
        v-for="(name, place) in WEEKDAY_WORDS"
        :key="name"
        :label="name"
        :model-value="shown.weekdays[place]!"
        @update:model-value="
          save({
            weekdays: shown.weekdays.map((on, at) => (at === place ? $event : on)),
          })
        "
      />
    </p>
    <div v-for="kind in ['terms', 'holidays'] as const" :key="kind" class="stretches mt-near">
      <p class="hint">{{ kind === 'terms' ? 'Terms (none: the whole year is term)' : 'Holidays and days off' }}</p>
      <p v-for="(days_, place) in shown[kind]" :key="place" class="row my-tight mx-0">
        <TextField
          bare
          label="Name"
          class="name"
          lazy
          :longest="LONGEST.name"
          :model-value="days_.name"
          @update:model-value="change(kind, place, { ...days_, name: $event })"
        />
        <template v-for="end in ['from', 'to'] as const" :key="end">
          {{ end === 'to' ? 'to' : '' }}
          <WhenField
            is="day"
            bare
            :label="`${days_.name} ${end}`"
            :model-value="days_[end]"
            @update:model-value="$event && change(kind, place, withEnd(days_, end, $event))"
          />
        </template>
        <QuietBtn
          size="small"
          :aria-label="`Take ${days_.name} away`"
          @click="save({ [kind]: shown[kind].filter((_, at) => at !== place) })"
        >
          ✕
        </QuietBtn>
      </p>
      <QuietBtn size="small" @click="add(kind)"> + {{ kind === 'terms' ? 'a term' : 'a holiday' }} </QuietBtn>
    </div>
  </AppFold>
</template>

<style scoped>
.name {
  width: 150px;
}
</style>
