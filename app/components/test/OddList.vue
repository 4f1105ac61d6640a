<script setup lang="ts">
import { letterOf, type Reading } from '~~/core/lesson'
import { atMoment } from '~~/core/test'
import { currentReadings } from '~~/core/record'
import { answersTo, type Finding } from '~~/core/secondLook'
import { doubtWords, findingWords, fixWords, nameOfCondition, nameOfGroup, REASONS } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { useKeys } from '~/composables/keys'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useSecondLook } from '~/stores/secondLook'

/** Numbers that look odd, as they come in, each answered with one key while the beaker is still wet. */
const emit = defineEmits<{ look: [reading: Reading] }>()
type Doubtful = Extract<Finding, { code: 'doubtful' }>
const lesson = useLesson()
const writing = useRecordWriting()
const look = useSecondLook()
const { customs } = useCustoms()
const plan = computed(() => lesson.plan!)
const current = computed(() => new Map(currentReadings(lesson.record.readings).map((reading) => [reading.id, reading])))
const odd = computed(() =>
  look.findings
    .filter((finding): finding is Doubtful => finding.code === 'doubtful')
    .flatMap((finding) => {
      // What was answered a moment ago is gone before the Second look has looked again.
      const reading = current.value.get(finding.reading)
      return reading
        ? [{ finding, reading, view: atMoment(plan.value, reading.moment), answers: answersTo(finding.doubt, reading) }]
        : []
    }),
)
/** The number that was found odd last is said once, wherever the focus is. */
const told = ref('')
watch(
  () => odd.value.map(({ reading }) => reading.id),
  (now, before = []) => {
    const fresh = odd.value.find(({ reading }) => !before.includes(reading.id) && now.includes(reading.id))
    if (!fresh) return
    const { title, text } = findingWords(fresh.finding, plan.value)
    told.value = `${title}. ${text}`
  },
)
const list = ref<HTMLElement>()
const settingAside = ref<string>()
const KEYS = { 'keep-reading': 'k', 'correct-reading': 'f' } as Record<string, string>

async function answered(work: () => Promise<unknown>, place: number): Promise<void> {
  settingAside.value = undefined
  await work()
  await nextTick()
  const rows = rowsOf()
  rows[Math.min(place, rows.length - 1)]?.focus()
}
const rowsOf = () => [...(list.value?.querySelectorAll<HTMLElement>('[data-odd]') ?? [])]

function onKey(event: KeyboardEvent, place: number): void {
  const one = odd.value[place]!
  if (event.target !== event.currentTarget || event.ctrlKey || event.metaKey || event.altKey) return
  const reason = settingAside.value === one.reading.id ? REASONS[Number(event.key) - 1] : undefined
  const answer = one.answers.find(({ code }) => KEYS[code] === event.key)
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (reason) void answered(() => writing.supersede(one.reading, { status: 'set-aside', reason }), place)
  else if (answer) void answered(() => look.apply(answer), place)
  else if (event.key === 'a') settingAside.value = one.reading.id
  else if (event.key === 'Escape') settingAside.value = undefined
  else if (event.key === 'Enter') emit('look', one.reading)
  else if (step) rowsOf()[place + step]?.focus()
  else return
  event.preventDefault()
}
useKeys({ o: () => rowsOf()[0]?.focus() })
</script>

<template>
  <p class="sr-only" role="status">{{ told }}</p>
  <section
    v-if="odd.length > 0"
    class="mb-wide py-near px-wide edge-1.5-brass-mark rounded bg-brass-light"
    data-target="odd"
    aria-label="Odd numbers"
  >
    <h3 class="text-body">
      {{ odd.length }} to look at
      <span class="hint ml-near font-normal">o comes here; k keeps, f puts a slip right, a sets aside, Enter shows the place</span>
    </h3>
    <ul ref="list">
      <li
        v-for="(one, place) in odd"
        :key="one.reading.id"
        data-odd
        tabindex="0"
        :aria-label="`${nameOfGroup(plan, one.reading.group)}: ${doubtWords(one.view, one.finding.value, one.finding.unit, one.finding.doubt)}`"
        @keydown="onKey($event, place)"
      >
        <span class="mr-near">
          {{ nameOfGroup(plan, one.reading.group) }}, {{ letterOf(plan, one.reading.condition) }}
          {{ nameOfCondition(plan, one.reading.condition) }}:
        </span>
        <span class="why">{{ doubtWords(one.view, one.finding.value, one.finding.unit, one.finding.doubt) }}</span>
        <span class="flex flex-wrap gap-close mt-tight">
          <template v-if="settingAside !== one.reading.id">
            <VBtn v-for="answer in one.answers" :key="answer.code" size="small" @click="answered(() => look.apply(answer), place)">
              {{ fixWords(answer, one.view, customs.english) }} <kbd>{{ KEYS[answer.code] }}</kbd>
            </VBtn>
            <VBtn size="small" @click="settingAside = one.reading.id">Set aside … <kbd>a</kbd></VBtn>
          </template>
          <template v-else>
            <VBtn
              v-for="(reason, at) in REASONS"
              :key="reason"
              size="small"
              @click="answered(() => writing.supersede(one.reading, { status: 'set-aside', reason }), place)"
            >
              <kbd>{{ at + 1 }}</kbd> {{ reason }}
            </VBtn>
          </template>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: var(--gap-close);
  max-height: 230px;
  margin-top: 6px;
  overflow-y: auto;
}
li {
  padding: var(--gap-close) var(--gap-near);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
</style>
