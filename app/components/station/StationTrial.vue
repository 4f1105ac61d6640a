<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { useLocalStorage } from '@vueuse/core'
import { type Group, type LessonRecord, type Reading, type NewReading } from '~~/core/lesson'
import { atMoment, testOf, type Device } from '~~/core/test'
import { devicesFor } from '~~/core/measuring'
import { asksSecondReader, openBeside, type AskedEntry, type Cell, type Doubt, type Progress } from '~~/core/record'
import { DEVICE_WORDS } from '~~/core/wording'
import { DEVICE_SCREENS } from '../instruments/instrument'
import LapTimer from '~/components/instruments/LapTimer.vue'
import StationAsk from '~/components/station/StationAsk.vue'
import StationSecond from '~/components/station/StationSecond.vue'
import StationWhy from '~/components/station/StationWhy.vue'
import WithPlan from '~/components/pieces/WithPlan.vue'
import TrialHead from '~/components/station/TrialHead.vue'
import NativeChoice from '~/forms/NativeChoice.vue'
import { focusHeading } from '~/composables/focusHeading'
import { readingRow, superseding } from '~/following/readingRow'
import { useNumberEntry } from '~/composables/numberEntry'
import { keptAsIs, putRight, rowPartOf, seenAgain, useQuestioning, type Questioned } from '~/composables/questioning'

/** One trial: what to fetch, what has to be so, the number; and what is asked about it before it is written down. */
const plan = useLessonPlan()
const props = defineProps<{
  record: LessonRecord
  check: (entries: AskedEntry[]) => Promise<Doubt[][]>
  trial: Cell
  group: Group
  pictureOf: (id: string) => string
  progress: Progress
  fixing?: NewReading
  last?: Reading
}>()
const { read } = useNumberEntry()
const emit = defineEmits<{
  written: [reading: NewReading]
  several: [readings: NewReading[]]
  failed: [reason: string]
  fix: []
  back: []
  skipPractice: []
  choose: [cell: Cell]
}>()
/** The lesson as the measure of this trial sees it. */
const ofMeasure = computed(() => atMoment(plan.value, props.trial.moment))
const method = computed(() => testOf(ofMeasure.value).method!)
const unit = computed(() => method.value.unit)
const text = ref(props.fixing?.entered ?? '')
const trouble = ref('')
/** What somebody chose to measure with on this tablet; nobody has where it is empty. */
const chosenDevice = useLocalStorage<Device | ''>('jolly-beaker-measured-with', '')
const devices = computed(() => devicesFor(method.value))
const device = computed({
  get: () => devices.value.find((one) => !props.fixing && one === chosenDevice.value) ?? devices.value[0]!,
  set: (device) => {
    chosenDevice.value = device
    text.value = ''
    trouble.value = ''
  },
})
/** After a question the number is there again. */
const entry = useTemplateRef<HTMLElement>('entry')
watch(entry, (form) => focusHeading(form))
// The next trial begins at its heading.
onMounted(() => window.scrollTo({ top: 0 }))
const { checking, question } = useQuestioning(props.check)
const asked = shallowRef<Questioned>()
const sayingWhy = ref(false)
/** A number that waits for the second reader. */
const toConfirm = shallowRef<Questioned>()
const asking = computed(() => asked.value !== undefined || toConfirm.value !== undefined || sayingWhy.value)

/** What stands in the display, in the plan's unit; undefined and a message when it cannot be read. */
function typed(): { value: number; entered: string } | undefined {
  const startAndFinish = device.value === 'start-and-finish' || device.value === 'empty-and-full'
  const found = read(ofMeasure.value, text.value, startAndFinish)
  trouble.value = found.trouble
  return found.value === undefined ? undefined : { value: found.value, entered: found.entered }
}

async function submit(): Promise<void> {
  const found = checking.value ? undefined : typed()
  if (!found) return
  const { condition, repeat, moment: at, practice } = props.trial
  const place = { id: props.fixing?.id, group: props.group.id, condition, repeat, moment: at }
  if (practice) return settle({ ...found, doubts: [], confirmed: false, reason: '' })
  const [questioned] = await question([{ ...place, ...found, unit: unit.value }])
  settle(questioned!)
}

/** Asks what is still to be asked, and writes a number down, once a second reader has seen it where the class wants that and the thing can be looked at again. */
function settle(questioned: Questioned): void {
  asked.value = questioned.doubts.length > 0 ? questioned : undefined
  if (asked.value) return
  if (asksSecondReader(ofMeasure.value, props.trial, device.value)) toConfirm.value = questioned
  else write(questioned, rowPartOf(questioned))
}

function agreed(seen: { value: number; entered: string; reason: string }): void {
  const confirmed = seenAgain(toConfirm.value!, seen)
  toConfirm.value = undefined
  write(confirmed, rowPartOf(confirmed))
}

/** Several conditions timed with one clock. */
function lapped(times: { condition: string; value: number }[]): void {
  emit(
    'several',
    times.map(({ condition, value }) => readingRow({ ...props.trial, condition }, value, unit.value, String(value))),
  )
}

function write({ value, entered }: { value: number; entered: string }, more: Partial<NewReading> = {}): void {
  const row = readingRow(props.trial, value, unit.value, entered)
  const fixed =
    props.fixing &&
    superseding(props.fixing, {
      value,
      unit: unit.value,
      entered,
      status: 'kept',
      reason: 'fixed at the station',
      confirmed: false,
      ...more,
    })
  emit('written', fixed ?? { ...row, ...more })
  // A trial that was set aside is the next one again, on this very page.
  text.value = ''
  asked.value = undefined
  sayingWhy.value = false
}

/** Read again from the thing itself: what stood there does not stand in the way. */
function typeAgain(): void {
  text.value = ''
  asked.value = undefined
  toConfirm.value = undefined
}

function why(reason: string): void {
  if (text.value.trim() !== '') return setAside(reason)
  emit('failed', reason)
  sayingWhy.value = false
}

function setAside(reason: string): void {
  const found = asked.value ?? typed()
  if (found) write(found, { status: 'set-aside', reason })
}
</script>

<template>
  <div class="trial grid grid-cols-1 gap-wide pt-wide">
    <TrialHead
      :trial="trial"
      :group="group"
      :progress="progress"
      :fixing="fixing"
      :last="last"
      :asking="asking"
      @fix="emit('fix')"
      @back="emit('back')"
      @choose="emit('choose', $event)"
    >
      <NativeChoice
        v-if="devices.length > 1 && !fixing && !asking"
        label="Measure with"
        inline
        class="with"
        v-model="device"
        :options="devices.map((one) => ({ value: one, title: DEVICE_WORDS[one] }))"
      />
    </TrialHead>
    <WithPlan v-if="asked" :plan="ofMeasure">
      <StationAsk
        :value="asked.value"
        :unit="unit"
        :doubt="asked.doubts[0]!"
        @right="settle(keptAsIs(asked))"
        @mend="settle(putRight(asked, $event))"
        @again="typeAgain"
        @aside="setAside"
      />
    </WithPlan>
    <WithPlan v-else-if="toConfirm" :plan="ofMeasure">
      <StationSecond
        :condition="trial.condition"
        :first="toConfirm"
        :picture-of="pictureOf"
        @agreed="agreed"
        @again="typeAgain"
        @back="toConfirm = undefined"
      />
    </WithPlan>
    <LapTimer
      v-else-if="device === 'laps' && !sayingWhy"
      :plan="ofMeasure"
      :conditions="openBeside(progress, trial)"
      @taken="lapped"
    />
    <StationWhy
      v-else-if="sayingWhy"
      :has-number="text.trim() !== ''"
      :practice="trial.practice"
      :trouble="trouble"
      @why="why"
      @back="sayingWhy = false"
    />
    <!-- What is pressed while the number is looked at would belong to the next trial, and is not taken for this one. -->
    <form
      v-else
      ref="entry"
      class="entry grid grid-cols-1 content-start gap-near"
      :class="{ checking }"
      :aria-busy="checking"
      @submit.prevent="submit"
      @keydown.capture="checking && $event.preventDefault()"
    >
      <component
        :is="DEVICE_SCREENS[device]"
        v-if="device !== 'laps'"
        :key="device"
        v-model="text"
        :plan="ofMeasure"
        :condition="trial.condition"
        :device="device"
        :trouble="trouble"
        :picture-of="pictureOf"
      />
      <p v-if="device !== 'pad' && trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="row">
        <VBtn class="wrong" @click="sayingWhy = true">something went wrong</VBtn>
        <MainBtn type="submit" class="write flex-1 text-title">Write it down</MainBtn>
      </div>
      <LinkBtn v-if="trial.practice" @click="emit('skipPractice')">Start the trials that count</LinkBtn>
    </form>
  </div>
</template>

<style scoped>
.with {
  flex: 1;
}
.checking {
  pointer-events: none;
}
/* Always in reach, however small the tablet is. */
.entry > .row {
  position: sticky;
  bottom: 0;
  z-index: var(--layer-raised);
  flex-wrap: nowrap;
  padding: var(--gap-close) 0;
  background: var(--paper);
}
.wrong {
  flex: none;
  width: 132px;
  min-height: 60px;
  border-color: var(--ink);
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-body);
  font-weight: 400;
  line-height: 1.15;
}
/* On a phone the number comes right after its condition; what else is to be known of the trial stands below. */
@media (width < 600px) and (height < 900px) {
  .trial {
    display: flex;
    flex-direction: column;
    gap: var(--gap-near);
    padding-top: var(--gap-near);
  }
  .trial > .entry {
    order: 1;
  }
}
@media (height < 480px) {
  .entry {
    gap: var(--gap-tight);
  }
  .entry > .row {
    padding: 0;
  }
  .wrong,
  .write {
    min-height: 48px;
  }
}
@media (width >= 600px) {
  .trial {
    grid-template-columns: minmax(0, 1fr) minmax(280px, 360px);
    gap: var(--gap-block);
    padding-top: var(--gap-near);
  }
}
@media (width >= 720px) {
  .trial {
    grid-template-columns: minmax(0, 1fr) minmax(300px, 420px);
    gap: var(--gap-far);
    padding-top: var(--gap-far);
  }
}
@media (height < 480px) {
  .trial {
    padding-top: var(--gap-tight);
  }
}
</style>
