<script setup lang="ts">
import { LONGEST, letterOf, type Reading } from '~~/core/lesson'
import { atMoment } from '~~/core/test'
import { answersTo } from '~~/core/secondLook'
import { cellKey, checkReading, countedReadings, historyOf, type Cell } from '~~/core/record'
import { timeWords, doubtWords, fixWords, momentWords, nameOfCondition, nameOfGroup, REASONS, readingWords } from '~~/core/wording'
import TextField from '~/forms/TextField.vue'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useSecondLook } from '~/stores/secondLook'

/** One place of the grid: what was written, what is asked about it, how it came to be; and the ways to set it right. */
const props = defineProps<{ place: Cell }>()
const lesson = useLesson()
const writing = useRecordWriting()
const look = useSecondLook()
const { customs } = useCustoms()
const plan = computed(() => lesson.plan!)
/** The lesson as the measure of this place sees it. */
const own = computed(() => atMoment(plan.value, props.place.moment))
const settingAside = ref<string>()
const reason = ref('')
watch(
  () => cellKey(props.place),
  () => (settingAside.value = undefined),
)

const shown = computed(() => [...props.place.kept, ...props.place.setAside])
// In the plan's unit, whatever unit it was written in.
const asked = computed(() =>
  countedReadings(own.value, lesson.record.readings)
    .filter((reading) => !reading.confirmed && props.place.kept.some(({ id }) => id === reading.id))
    .flatMap((reading) => checkReading(own.value, lesson.record.readings, reading).map((doubt) => ({ reading, doubt }))),
)
const doubtsOf = (reading: Reading) => asked.value.filter((one) => one.reading.id === reading.id)
/** The latest of its earlier forms; the journal has them all. */
const SHOWN = 4
const earlierOf = (reading: Reading) => historyOf(reading, lesson.record.readings)

async function setAside(reading: Reading): Promise<void> {
  if (reason.value.trim() === '') return
  if (await writing.supersede(reading, { status: 'set-aside', reason: reason.value.trim() })) {
    settingAside.value = undefined
    reason.value = ''
  }
}
</script>

<template>
  <section class="sheet mt-14px" aria-label="The chosen place">
    <h3 class="mb-close text-body">
      {{ nameOfGroup(plan, place.group) }} · {{ letterOf(plan, place.condition) }} {{ nameOfCondition(plan, place.condition) }} ·
      {{ place.practice ? 'practice, never counted' : `repeat ${place.repeat}`
      }}{{ place.moment === '' ? '' : `, ${momentWords(plan, place.moment)}` }}
    </h3>
    <p v-if="shown.length === 0" class="soft">Nothing written yet.</p>
    <ul>
      <li v-for="reading in shown" :key="reading.id">
        <div class="row">
          <strong class="value font-heading text-large nowrap" :class="{ aside: reading.status === 'set-aside' }">
            {{ readingWords(plan, reading) }}
          </strong>
          <span class="soft">written “{{ reading.entered }}” at the {{ reading.by }}, {{ timeWords(reading.at) }}</span>
          <span v-if="reading.status === 'set-aside'">set aside: {{ reading.reason }}</span>
          <VBtn
            v-if="reading.status === 'set-aside'"
            size="small"
            @click="writing.supersede(reading, { status: 'kept', reason: 'taken back' })"
          >
            Count it again
          </VBtn>
          <VBtn v-else-if="settingAside !== reading.id" size="small" @click="settingAside = reading.id"> Set aside … </VBtn>
        </div>
        <div
          v-for="one in doubtsOf(reading)"
          :key="one.doubt.code"
          class="row doubt mt-close py-close px-near edge-left-4-brass-mark bg-brass-light"
        >
          <span>{{ doubtWords(own, one.reading.value, one.reading.unit, one.doubt) }}</span>
          <VBtn v-for="fix in answersTo(one.doubt, one.reading)" :key="fix.code" size="small" @click="look.apply(fix)">
            {{ fixWords(fix, own, customs.english) }}
          </VBtn>
        </div>
        <form
          v-if="settingAside === reading.id"
          class="row why gap-y-tight gap-x-close mt-near"
          @submit.prevent="setAside(reading)"
        >
          <QuietBtn v-for="ready in REASONS" :key="ready" size="small" @click="reason = ready">
            {{ ready }}
          </QuietBtn>
          <TextField bare label="Why it is set aside" v-model="reason" :longest="LONGEST.reason" placeholder="why?" />
          <MainBtn type="submit" size="small" :disabled="reason.trim() === ''">Set aside</MainBtn>
          <QuietBtn size="small" @click="settingAside = undefined">Leave it</QuietBtn>
        </form>
        <p v-for="earlier in earlierOf(reading).slice(0, SHOWN)" :key="earlier.id" class="soft text-small">
          before: {{ readingWords(plan, earlier) }}{{ earlier.status === 'set-aside' ? `, set aside: ${earlier.reason}` : '' }},
          {{ timeWords(earlier.at) }}
        </p>
        <p v-if="earlierOf(reading).length > SHOWN" class="soft text-small">
          and {{ earlierOf(reading).length - SHOWN }} before that: see the journal
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li + li {
  margin-top: 8px;
  padding-top: var(--gap-near);
  border-top: 1px solid var(--line);
}
.value.aside {
  text-decoration: line-through;
}
.why .field {
  width: 220px;
}
</style>
