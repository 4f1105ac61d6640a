<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { type Group, type LessonRecord, type Plan, type Reading, type NewReading } from '~~/core/lesson'
import { atMoment, testOf, type Device } from '~~/core/test'
import { devicesFor } from '~~/core/measuring'
import { asksSecondReader, openBeside, type AskedEntry, type Cell, type Doubt, type Progress } from '~~/core/record'
import { DEVICE_WORDS } from '~~/core/wording'
import { INSTRUMENTS } from '../instruments/instrument'
import LapTimer from '~/components/instruments/LapTimer.vue'
import StationAsk from '~/components/station/StationAsk.vue'
import StationSecond from '~/components/station/StationSecond.vue'
import StationWhy from '~/components/station/StationWhy.vue'
import TrialHead from '~/components/station/TrialHead.vue'
import NativeChoice from '~/forms/NativeChoice.vue'
import { focusHeading } from '~/composables/focusHeading'
import { readingRow, superseding } from '~/following/readingRow'
import { useNumberEntry } from '~/composables/numberEntry'

/** One trial: what to fetch, what has to be so, the number; and what is asked about it before it is written down. */
const props = defineProps<{
  plan: Plan
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
  fix: []
  back: []
  skipPractice: []
  choose: [cell: Cell]
}>()
/** The lesson as the measure of this trial sees it. */
const ofMeasure = computed(() => atMoment(props.plan, props.trial.moment))
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
const asked = shallowRef<{ value: number; entered: string; doubts: Doubt[]; confirmed: boolean }>()
const sayingWhy = ref(false)
/** A number that waits for the second reader. */
const toConfirm = shallowRef<{ value: number; entered: string; more: Partial<NewReading> }>()
const asking = computed(() => asked.value !== undefined || toConfirm.value !== undefined || sayingWhy.value)

/** What stands in the display, in the plan's unit; undefined and a message when it cannot be read. */
function typed(): { value: number; entered: string } | undefined {
  const startAndFinish = device.value === 'start-and-finish' || device.value === 'empty-and-full'
  const found = read(ofMeasure.value, text.value, startAndFinish)
  trouble.value = found.trouble
  return found.value === undefined ? undefined : { value: found.value, entered: found.entered }
}

const checking = ref(false)

async function submit(): Promise<void> {
  const found = checking.value ? undefined : typed()
  if (!found) return
  const { condition, repeat, moment: at, practice } = props.trial
  const place = { id: props.fixing?.id, group: props.group.id, condition, repeat, moment: at }
  checking.value = true
  const [doubts = []] = practice ? [] : await props.check([{ ...place, ...found, unit: unit.value }])
  checking.value = false
  if (doubts.length > 0) asked.value = { ...found, doubts, confirmed: false }
  else settle(found)
}

/** "Keep it" answers the one question: what else is to be asked comes next. A number that is only fine is not confirmed as one of its fellows. */
function kept(): void {
  const { doubts, confirmed, ...found } = asked.value!
  const [answered, ...rest] = doubts
  const sure = confirmed || answered!.code !== 'too-fine'
  if (rest.length > 0) asked.value = { ...found, doubts: rest, confirmed: sure }
  else settle(found, { confirmed: sure })
}

/** Writes a number down, once a second reader has seen it where the class wants that and the thing can be looked at again. */
function settle(entry: { value: number; entered: string }, more: Partial<NewReading> = {}): void {
  asked.value = undefined
  if (asksSecondReader(ofMeasure.value, props.trial, device.value)) toConfirm.value = { ...entry, more }
  else write(entry, more)
}

function agreed({ value, entered, reason }: { value: number; entered: string; reason: string }): void {
  const { more } = toConfirm.value!
  toConfirm.value = undefined
  write({ value, entered }, { ...more, confirmed: true, ...(reason === '' ? {} : { reason: reason.slice(0, 300) }) })
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

function setAside(reason: string): void {
  const found = asked.value ?? typed()
  if (found) write(found, { status: 'set-aside', reason })
}
</script>

<template>
  <div class="trial grid grid-cols-1 gap-wide pt-wide">
    <TrialHead
      :plan="plan"
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
    <StationAsk
      v-if="asked"
      :plan="ofMeasure"
      :value="asked.value"
      :unit="unit"
      :doubt="asked.doubts[0]!"
      @right="kept"
      @mend="settle({ ...asked, value: $event }, { confirmed: true, reason: `was written as ${asked.entered}`.slice(0, 300) })"
      @again="typeAgain"
      @aside="setAside"
    />
    <StationSecond
      v-else-if="toConfirm"
      :plan="ofMeasure"
      :condition="trial.condition"
      :first="toConfirm"
      :picture-of="pictureOf"
      @agreed="agreed"
      @again="typeAgain"
      @back="toConfirm = undefined"
    />
    <LapTimer
      v-else-if="device === 'laps' && !sayingWhy"
      :plan="ofMeasure"
      :conditions="openBeside(progress, trial)"
      @taken="lapped"
    />
    <StationWhy
      v-else-if="sayingWhy"
      :has-number="text.trim() !== ''"
      :trouble="trouble"
      @why="setAside"
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
        :is="INSTRUMENTS[device]"
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
@media (width < 600px) and (height < 800px) {
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
    grid-template-columns: minmax(0, 1fr) minmax(300px, 420px);
    gap: var(--gap-block);
    padding-top: var(--gap-near);
  }
}
@media (width >= 720px) {
  .trial {
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
