<script setup lang="ts">
import { AGES, BOUNDS, LONGEST, TOPICS } from '~~/core/lesson'
import { withFirstDay } from '~~/core/term'
import { AGE_WORDS, counted, TOPIC_WORDS, WEEKDAY_WORDS, lessonName } from '~~/core/wording'
import { emptyWeekWords, laidLines, termPlanReport, weekWords } from '~~/core/wording/reports'
import type { TermPlan, TermPlanAsk } from '~~/schemas/termPlan'
import SchoolDays from '~/components/clock/SchoolDays.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import ReportSheet from '~/components/print/ReportSheet.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import WhenField from '~/forms/WhenField.vue'
import { useCustoms } from '~/composables/customs'
import { useLookAgain } from '~/composables/lookAgain'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** A term of investigations: laid over the school's weeks, changed by hand, made into lessons, and what to buy for all of them. */
useHead({ title: 'Plan a term · Jolly Beaker' })
const notices = useNotices()
const { currency } = useCustoms()
const ask = ref<TermPlanAsk>({
  ...{ from: '', to: '', className: '', children: null, weekday: null, every: 1, age: '', topic: '', chosen: {} },
})
const plan = shallowRef<TermPlan>()
const making = ref(false)
const titles = computed(() => Object.fromEntries((plan.value?.candidates ?? []).map(({ id, title }) => [id, title])))
const report = computed(() => plan.value && termPlanReport({ ...plan.value, titles: titles.value }, currency.value))
const laid = computed(() =>
  (plan.value?.weeks ?? []).flatMap(({ laid: its }) => (its ? [{ investigation: its.candidate, date: its.day }] : [])),
)
const again = useLookAgain(load)
onMounted(load)

async function load(): Promise<void> {
  const body = { ...ask.value }
  try {
    const answer = await callServer('POST /api/term/plan', { body })
    // A slow answer to what is not asked any more comes too late.
    if (JSON.stringify(body) !== JSON.stringify(ask.value)) return
    plan.value = answer
    again(answer.renewing)
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}

/** What is asked, with what the server chose where nothing was said. */
const asked = computed(() => {
  const { from, to, className, children } = ask.value
  const { from: first = '', to: last = '', className: ofLast = '', children: count = null } = plan.value ?? {}
  return { from: from || first, to: to || last, className: className || ofLast, children: children ?? count }
})
function change(by: Partial<TermPlanAsk>): Promise<void> {
  ask.value = { ...ask.value, ...asked.value, ...by }
  return load()
}
/** Another class has its own calendar, and so its own term. */
const forClass = (className: string) => change({ className, from: '', to: '', chosen: {} })
const choose = (monday: string, id: string | null) => change({ chosen: { ...ask.value.chosen, [monday]: id } })

const choices = {
  weekday: [{ value: null, title: 'Any day' }, ...WEEKDAY_WORDS.map((title, value) => ({ value, title: `On ${title}s` }))],
  every: [1, 2, 3, 4].map((value) => ({ value, title: value === 1 ? 'Every week' : `Every ${value} weeks` })),
  age: [{ value: '', title: 'Any age' }, ...AGES.map((value) => ({ value, title: AGE_WORDS[value] }))],
  topic: [{ value: '', title: 'Any topic' }, ...TOPICS.map((value) => ({ value, title: TOPIC_WORDS[value] }))],
} as const
const lessons = computed(() => [
  { value: null, title: 'Leave this week free' },
  ...(plan.value?.candidates ?? []).map(({ id, title }) => ({ value: id, title })),
])

async function make(): Promise<void> {
  const { className, children } = plan.value!
  making.value = true
  try {
    const { ids } = await callServer('POST /api/term/lessons', { body: { className, children, lessons: laid.value } })
    // Until they stand in their weeks nobody makes them a second time.
    await change({ chosen: {} })
    const undo = () => putAway(ids)
    notices.done(`${counted(ids.length, 'lesson')} on the shelf, each on its day.`, { label: 'Undo', run: undo })
  } catch (error) {
    notices.trouble(messageOf(error))
  }
  making.value = false
}

async function putAway(ids: string[]): Promise<void> {
  try {
    for (const lesson of ids) {
      await callServer('PUT /api/lessons/[lesson]/archived', { path: { lesson }, body: { archived: true } })
    }
  } catch (error) {
    notices.trouble(messageOf(error))
  }
  await load()
}
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only bar">
      <div class="row mb-10px">
        <QuietBtn to="/">‹ Shelf</QuietBtn>
        <h1 class="text-huge">Plan a term</h1>
        <VBtn class="ml-auto" :disabled="!report" @click="print">Print</VBtn>
      </div>
      <template v-if="plan">
        <div class="row">
          <TextField
            lazy
            inline
            label="Class"
            list="classes"
            class="class"
            :longest="LONGEST.name"
            :model-value="asked.className"
            @update:model-value="forClass"
          />
          <datalist id="classes">
            <option v-for="one in plan.classes" :key="one" :value="one" />
          </datalist>
          <WhenField
            is="day"
            inline
            label="From"
            :model-value="asked.from"
            @update:model-value="change(withFirstDay(asked, $event))"
          />
          <WhenField is="day" inline label="to" :model-value="asked.to" @update:model-value="change({ to: $event })" />
          <NumberField
            inline
            whole
            label="Children"
            v-bind="BOUNDS.children"
            :model-value="asked.children"
            @update:model-value="change({ children: $event })"
          />
        </div>
        <div class="row mt-near filters">
          <ChoiceField
            bare
            label="Weekday"
            :model-value="ask.weekday"
            :options="choices.weekday"
            @update:model-value="change({ weekday: $event })"
          />
          <ChoiceField
            bare
            label="How often"
            :model-value="ask.every"
            :options="choices.every"
            @update:model-value="change({ every: $event })"
          />
          <ChoiceField
            bare
            label="Age"
            :model-value="ask.age"
            :options="choices.age"
            @update:model-value="change({ age: $event })"
          />
          <ChoiceField
            bare
            label="Topic"
            :model-value="ask.topic"
            :options="choices.topic"
            @update:model-value="change({ topic: $event })"
          />
        </div>
        <SchoolDays class="mt-near" :class-name="plan.className" :calendar="plan.calendar" :begin="asked.from" @saved="load" />
        <ol class="weeks mt-wide" aria-label="Week by week">
          <li v-for="week in plan.weeks" :key="week.week.from" :class="{ soft: !week.isOpen && week.standing.length === 0 }">
            <span class="when">{{ weekWords(week) }}</span>
            <span v-if="week.standing.length > 0" class="standing">
              <NuxtLink v-for="one in week.standing" :key="one.id" :to="`/lesson/${one.id}/plan`" class="mr-near">{{
                lessonName(one.title)
              }}</NuxtLink>
              <span class="hint">on the shelf</span>
            </span>
            <template v-else-if="week.isOpen">
              <ChoiceField
                bare
                :label="`Investigation, ${weekWords(week)}`"
                :model-value="week.laid?.candidate ?? null"
                :options="lessons"
                @update:model-value="choose(week.week.from, $event)"
              />
              <span v-if="week.laid" class="hint">{{ laidLines(week.laid).join('. ') }}</span>
            </template>
            <span v-else>{{ emptyWeekWords(week) }}</span>
          </li>
        </ol>
        <div class="row mt-near">
          <MainBtn :disabled="laid.length === 0 || making" @click="make">Make {{ counted(laid.length, 'lesson') }}</MainBtn>
          <QuietBtn v-if="Object.keys(ask.chosen).length > 0" @click="change({ chosen: {} })">Suggest all anew</QuietBtn>
          <span v-if="plan.withoutDay > 0" class="hint">
            {{ counted(plan.withoutDay, 'lesson') }} of this class without a day: choose one in the Clock, and it has its week here.
          </span>
        </div>
      </template>
    </div>
    <ReportSheet v-if="report" :report="report" />
    <NoticeBar />
  </main>
</template>

<style scoped>
.bar {
  font-size: 14px;
}
.filters > * {
  width: 160px;
}
.weeks {
  display: grid;
  gap: var(--gap-hair);
  padding: 0;
  list-style: none;
}
.weeks li {
  display: grid;
  grid-template-columns: 128px 240px minmax(0, 1fr);
  align-items: center;
  gap: var(--gap-near);
  min-height: 44px;
}
.standing {
  grid-column: 2 / -1;
}
.class {
  width: 170px;
}
.when {
  font-weight: 700;
}
@media (width < 700px) {
  .weeks li {
    grid-template-columns: minmax(0, 1fr);
  }
  .standing {
    grid-column: 1;
  }
}
</style>
